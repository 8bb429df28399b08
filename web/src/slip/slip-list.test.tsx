/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter, useLocation } from 'react-router';
import type { SlipSummary } from '@brackenfell/contract/slip';
import { watchForBursts } from '../keys/keys.ts';
import { press } from '../testing/press.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { SlipList } from './slip-list.tsx';

const WREN = { id: '1', name: 'Wren', initials: 'WA', role: 'specialist' } as const;

const parked = (slipId: string, more: Partial<SlipSummary> = {}): SlipSummary => ({
  slipId,
  docket: 4200 + Number(slipId),
  state: 'parked',
  customer: '',
  vehicle: '',
  engine: null,
  holder: null,
  lines: 1,
  waitsFor: 'to be taken up',
  updatedAt: '2026-11-28T09:00:00Z',
  ...more,
});

let stopWatching: () => void;
let sent: string[];
beforeEach(() => {
  sent = [];
  window.localStorage.clear();
  stopWatching = watchForBursts(
    () => undefined,
    () => undefined,
  );
});
afterEach(() => {
  stopWatching();
  cleanup();
});

function Address() {
  const { pathname, search } = useLocation();
  return <p data-testid="address">{`${pathname}${search}`}</p>;
}
const address = () => screen.getByTestId('address').textContent;

/** The list, opened by Wren, with a server that lists so until it is told otherwise. */
async function open(slips: SlipSummary[]) {
  let now = slips;
  globalThis.fetch = jest.fn((path: string, { method = 'GET' }: RequestInit = {}) => {
    if (method !== 'GET') sent.push(`${method} ${path}`);
    const body = path === '/api/session' ? WREN : /^\/api\/slips\/\d+/.test(path) ? { version: 3 } : { slips: now };
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(body) } as Response);
  }) as unknown as typeof fetch;
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  queries.setQueryData(['session'], WREN);
  render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={['/counter/engine']}>
        <Address />
        <SlipList me={WREN} onClose={() => undefined} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  await waitFor(() => expect(rows().length).toBe(Math.min(slips.length, LETTERS.length)));
  return async (next: SlipSummary[]) => {
    now = next;
    await act(() => queries.invalidateQueries({ queryKey: ['slips', 'list'] }));
  };
}
const rows = () => within(screen.getByRole('list')).queryAllByRole('listitem');

test('a letter takes up the slip that it stood for when the list was opened, though another was parked since', async () => {
  const become = await open([parked('1'), parked('2')]);
  await become([parked('9'), parked('1'), parked('2')]);
  await waitFor(() => expect(rows()).toHaveLength(3));
  expect(rows().map(({ textContent }) => /04\d+/.exec(textContent)?.[0])).toEqual(['04201', '04202', '04209']);
  expect(rows()[2]!.textContent).toContain('new');
  press(LETTERS[0]!);
  await waitFor(() => expect(sent).toEqual(['POST /api/slips/1/take-over']));
});

test('a slip that somebody took up meanwhile is looked at, and not taken out of their hands', async () => {
  const become = await open([parked('1'), parked('2')]);
  await become([parked('1', { state: 'open', holder: 'Perrin' }), parked('2')]);
  await waitFor(() => expect(rows()[0]!.textContent).toContain('changed'));
  press(LETTERS[0]!);
  await waitFor(() => expect(address()).toContain('slip=1'));
  expect(sent).toEqual([]);
});

test('what comes and finds no letter left is said to have come', async () => {
  const full = [...LETTERS].map((_, i) => parked(String(i + 1)));
  const become = await open([...full]);
  expect(screen.getByRole('status').textContent).toBe('');
  await become([parked('99'), ...full]);
  await waitFor(() => expect(screen.getByRole('status').textContent).toContain('1 slip came meanwhile'));
});
