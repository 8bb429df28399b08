/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor, within } from '@testing-library/react';
import type { WaitingLine } from '@brackenfell/contract/release';
import { WaitingList } from './waiting-list.tsx';

afterEach(cleanup);

const waiting = (lineId: string, printed: string, more: Partial<WaitingLine> = {}): WaitingLine => ({
  slipId: `4${lineId}`,
  docket: 4200,
  version: 1,
  lineId,
  printed,
  maker: 'Ivorix',
  quantity: 4,
  customer: '',
  engine: 'Dunmarrow HF22',
  reason: 'Iridium where nickel is designed',
  says: ['Iridium where nickel is designed.'],
  since: '2026-11-28T09:00:00Z',
  holder: 'Wren',
  ...more,
});

/** The list, with a server that answers so until it is told otherwise. */
async function show(lines: WaitingLine[]) {
  let now = lines;
  globalThis.fetch = jest.fn(() =>
    Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ lines: now }) } as Response),
  );
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={queries}>
      <WaitingList />
    </QueryClientProvider>,
  );
  await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(lines.length));
  return async (next: WaitingLine[]) => {
    now = next;
    await act(() => queries.invalidateQueries({ queryKey: ['waiting'] }));
  };
}
const shown = () => screen.getAllByRole('listitem').map(({ textContent }) => textContent);

test('a line that another releases meanwhile keeps its place and offers nothing; one that comes stands last and is new', async () => {
  const become = await show([waiting('1', 'IVX 1'), waiting('2', 'IVX 2')]);
  expect(screen.getByRole('heading').textContent).toContain('2');
  await become([waiting('2', 'IVX 2'), waiting('3', 'IVX 3')]);
  await waitFor(() => expect(shown()).toHaveLength(3));
  const [gone, still, arrived] = screen.getAllByRole('listitem');
  expect(gone!.textContent).toContain('no longer here');
  expect(within(gone!).queryByRole('button')).toBeNull();
  expect(still!.textContent).toContain('IVX 2');
  expect(still!.textContent).not.toMatch(/new|changed/);
  // The key goes to the one that waits longest of those that wait.
  expect(within(still!).getByRole('button').textContent).toContain('r');
  expect(arrived!.textContent).toContain('new');
  expect(screen.getByRole('heading').textContent).toContain('2');
});

test('a line of which more is wanted, or of which something else is said, is changed where it stands', async () => {
  const become = await show([waiting('1', 'IVX 1'), waiting('2', 'IVX 2')]);
  await become([waiting('1', 'IVX 1', { quantity: 8 }), waiting('2', 'IVX 2', { holder: 'Perrin' })]);
  await waitFor(() => expect(shown()[0]).toContain('changed'));
  expect(shown()[1]).not.toContain('changed');
});

test('what changed is gone when it is seen, and the list stands as the server has it', async () => {
  const become = await show([waiting('1', 'IVX 1'), waiting('2', 'IVX 2')]);
  expect(screen.queryByRole('button', { name: 'What changed is seen' })).toBeNull();
  await become([waiting('3', 'IVX 3'), waiting('2', 'IVX 2')]);
  const seen = await screen.findByRole('button', { name: 'What changed is seen' });
  act(() => seen.click());
  expect(shown().map((text) => /IVX \d/.exec(text)?.[0])).toEqual(['IVX 3', 'IVX 2']);
  expect(shown().join()).not.toMatch(/new|no longer/);
  expect(screen.queryByRole('button', { name: 'What changed is seen' })).toBeNull();
});

test('when nothing waits any more it says so', async () => {
  const become = await show([waiting('1', 'IVX 1')]);
  await become([]);
  await waitFor(() => expect(screen.getByText('Nothing waits.')).toBeTruthy());
});
