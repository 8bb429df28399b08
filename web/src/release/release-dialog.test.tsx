/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { slipCall } from '../counter/slip-call.ts';
import { useOutboxFlow } from '../counter/outbox-flow.ts';
import { sawSlip } from '../counter/slip-outbox.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { slip } from '../testing/slips.ts';
import { ReleaseDialog } from './release-dialog.tsx';

const ISOLDE = { id: '2', name: 'Isolde', initials: 'IS', role: 'supervisor' };

afterEach(() => {
  cleanup();
  localStorage.clear();
});

test('a release that is asked for while a note is on its way goes behind it, and is of the slip as the note has made it', async () => {
  const sent: { path: string; body: unknown }[] = [];
  let storeNote: () => void = () => undefined;
  globalThis.fetch = jest.fn((path: RequestInfo | URL, init?: RequestInit) => {
    sent.push({ path: path as string, body: JSON.parse((init?.body ?? 'null') as string) as unknown });
    const answer = (version: number) =>
      ({ ok: true, status: 200, json: () => Promise.resolve(slip({ slipId: '7', version })) }) as Response;
    if ((path as string).includes('release')) return Promise.resolve(answer(5));
    return new Promise<Response>((resolve) => {
      storeNote = () => resolve(answer(4));
    });
  });
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
  client.setQueryData(['session'], ISOLDE);
  const seen = slip({ slipId: '7', version: 3 });
  client.setQueryData(['slips', '7'], seen);
  sawSlip(seen);
  let note: () => void = () => undefined;
  function Counter() {
    useOutboxFlow();
    const { mutate } = useSlipWrite();
    note = () => mutate(slipCall('addNote', { params: { slipId: '7' }, body: { text: 'gauged' } }, 'a note'));
    return (
      <ReleaseDialog slip={seen} line={{ lineId: '1', printed: 'KX 1' }} says={[]} ownSession onClose={jest.fn()} />
    );
  }
  render(
    <QueryClientProvider client={client}>
      <Counter />
    </QueryClientProvider>,
  );
  act(() => note());
  fireEvent.change(screen.getByLabelText('Why it may be sold'), { target: { value: 'the customer knows' } });
  fireEvent.click(screen.getByRole('button', { name: 'Release' }));
  await waitFor(() => expect(screen.getByRole('button', { name: 'Release' })).toHaveProperty('disabled', true));
  expect(sent.filter(({ path }) => path.includes('release'))).toEqual([]);
  act(() => storeNote());
  await waitFor(() => expect(sent.filter(({ path }) => path.includes('release'))).toHaveLength(1));
  expect(sent.at(-1)!.body).toMatchObject({ version: 4, reason: 'the customer knows' });
});
