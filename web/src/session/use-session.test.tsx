/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Staff } from '@brackenfell/contract/session';
import { showToasts } from '../controls/toast.ts';
import { SwitchPerson } from './switch-person.tsx';
import { useSession } from './use-session.ts';

afterEach(cleanup);

const WREN: Staff = { id: '1', name: 'Wren', initials: 'WR', role: 'specialist' };
const ISOLDE: Staff = { id: '2', name: 'Isolde', initials: 'IS', role: 'supervisor' };
const NOBODY = { code: 'not-signed-in', title: 'Nobody is signed in.', detail: 'Sign in.' };

/** A call that waits until the test answers it. */
interface Asked {
  readonly what: string;
  readonly answer: (status: number, body: object) => void;
}

/** Wren's desk, with what of it was fetched, and the sheet to hand it over. */
function Desk({ beforeItEnds }: { beforeItEnds: () => Promise<number> }) {
  const { data: me } = useSession();
  useQuery({ queryKey: ['slips', '7'], queryFn: () => 'what a customer came for', enabled: Boolean(me) });
  if (!me) return <p>The first screen</p>;
  return (
    <>
      <p>The desk of {me.name}</p>
      <SwitchPerson me={me} beforeItEnds={beforeItEnds} onClose={() => undefined} />
    </>
  );
}

function openDesk(beforeItEnds = () => Promise.resolve(0)) {
  const asked: Asked[] = [];
  globalThis.fetch = jest.fn((address: unknown, { method = 'GET' }: RequestInit = {}) => {
    const what = `${method} ${address as string}`;
    const reply = (status: number, body: object) =>
      ({ ok: status < 400, status, json: () => Promise.resolve(body) }) as Response;
    if (what === 'GET /api/staff') return Promise.resolve(reply(200, { staff: [WREN, ISOLDE] }));
    return new Promise<Response>((resolve) => {
      asked.push({ what, answer: (status, body) => resolve(reply(status, body)) });
    });
  });
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: 60_000 } } });
  queries.setQueryData(['session'], WREN);
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <Desk beforeItEnds={beforeItEnds} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  /** The call that was asked, when it has been: of several alike the last. */
  const call = async (what: RegExp): Promise<Asked> => {
    await waitFor(() => expect(asked.some((one) => what.test(one.what))).toBe(true));
    return asked.findLast((one) => what.test(one.what))!;
  };
  const answer = async (what: RegExp, status: number, body: object) => {
    const one = await call(what);
    await act(async () => {
      one.answer(status, body);
      await new Promise((done) => setTimeout(done, 20));
    });
  };
  return { queries, asked, call, answer };
}

async function takeOver(): Promise<void> {
  await userEvent.click(await screen.findByRole('button', { name: /Isolde/ }));
  await userEvent.keyboard('4417{Enter}');
}

const WHO = /^GET \/api\/session/;
const SWITCH = /POST \/api\/session/;

test('who is asked for while the counter changes hands is not taken for the answer, however late it comes', async () => {
  const { queries, call, answer } = openDesk();
  // A word from another till has it asked who is here, and Isolde takes over meanwhile.
  const isAsked = queries.invalidateQueries({ queryKey: ['session'] });
  const late = await call(WHO);
  await takeOver();
  await answer(SWITCH, 200, ISOLDE);
  expect(screen.getByText('The desk of Isolde')).toBeTruthy();
  await act(async () => {
    late.answer(401, NOBODY);
    await isAsked;
    await new Promise((done) => setTimeout(done, 20));
  });
  expect(screen.getByText('The desk of Isolde')).toBeTruthy();
});

test('that the session before has ended sends nobody off while the next one begins', async () => {
  const { queries, asked, call, answer } = openDesk();
  await takeOver();
  await call(SWITCH);
  // The line of tidings was of the session before, and is cut with it.
  await act(() => queries.invalidateQueries({ queryKey: ['session'] }));
  expect(asked.filter(({ what }) => what === 'GET /api/session')).toEqual([]);
  await answer(SWITCH, 200, ISOLDE);
  expect(screen.getByText('The desk of Isolde')).toBeTruthy();
  // From then on it counts again.
  const isAsked = queries.invalidateQueries({ queryKey: ['session'] });
  await answer(WHO, 401, NOBODY);
  await isAsked;
  expect(screen.getByText('The first screen')).toBeTruthy();
});

test('what was written is sent before the counter changes hands; what could not be is told', async () => {
  const said: unknown[] = [];
  showToasts(((message: unknown) => said.push(message)) as never);
  let sent = (_left: number): void => undefined;
  const { asked, answer } = openDesk(() => new Promise((resolve) => (sent = resolve)));
  await takeOver();
  expect(asked).toEqual([]);
  await act(() => {
    sent(2);
    return Promise.resolve();
  });
  await answer(SWITCH, 200, ISOLDE);
  expect(screen.getByText('The desk of Isolde')).toBeTruthy();
  expect(said).toEqual(['2 changes of Wren could not be sent: kept here, and sent when Wren takes over again.']);
});

test('whoever leaves takes along all that was shown', async () => {
  const { queries, answer } = openDesk();
  await waitFor(() => expect(queries.getQueryData(['slips', '7'])).toBe('what a customer came for'));
  queries.setQueryData(['shop'], 'Tarn Parts');
  await userEvent.click(screen.getByRole('button', { name: 'Sign Wren out' }));
  await answer(/DELETE \/api\/session/, 200, { ok: true });
  expect(screen.getByText('The first screen')).toBeTruthy();
  expect(queries.getQueryData(['slips', '7'])).toBeUndefined();
  expect(queries.getQueryData(['shop'])).toBe('Tarn Parts');
});
