/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { ChangedStrip } from './changed-strip.tsx';
import { useHeldOrder } from './use-held-order.ts';

afterEach(cleanup);

const tray = (...rows: [string, number][]): OpenTray =>
  ({
    rows: rows.map(
      ([printed, onHand]) =>
        ({
          partId: printed,
          printed,
          verdict: 'sell',
          reason: '',
          onHand,
          unproven: 0,
          held: 0,
          priceMinor: null,
          takes: 1,
          findings: [],
        }) as unknown as OpenRow,
    ),
    counts: { verdicts: { sell: rows.length } },
  }) as unknown as OpenTray;

function Shown({ of, asked }: { of: OpenTray; asked: string | undefined }) {
  const { held, layOut } = useHeldOrder(of, asked);
  return (
    <>
      <p data-testid="rows">{held.rows.map(({ printed, onHand }) => `${printed} ${onHand}`).join(', ')}</p>
      <ChangedStrip says={held.says} onLayOut={layOut} />
    </>
  );
}
const rows = () => screen.getByTestId('rows').textContent;
const said = () => screen.getByRole('status').textContent;

test('a tray judged anew keeps its order and says what changed, until the person lays it out anew', () => {
  const { rerender } = render(<Shown of={tray(['A', 4], ['B', 2])} asked="plugs" />);
  expect(said()).toBe('');
  rerender(<Shown of={tray(['B', 2], ['A', 1])} asked="plugs" />);
  expect(rows()).toBe('A 1, B 2');
  expect(said()).toContain('A: free 4 → 1');
  // What changes after that is added to what was said.
  rerender(<Shown of={tray(['B', 0], ['A', 1])} asked="plugs" />);
  expect(said()).toContain('A: free 4 → 1; B: free 2 → 0');
  act(() => void fireEvent.click(screen.getByRole('button', { name: /lay out anew/ })));
  expect(rows()).toBe('B 0, A 1');
  expect(said()).toBe('');
});

test('another question is laid out at once; while its answer is awaited the old one stands as it was', () => {
  const { rerender } = render(<Shown of={tray(['A', 4], ['B', 2])} asked="plugs" />);
  rerender(<Shown of={tray(['B', 2], ['A', 4])} asked={undefined} />);
  expect(rows()).toBe('A 4, B 2');
  rerender(<Shown of={tray(['B', 1], ['A', 4])} asked="plugs of a duty" />);
  expect(rows()).toBe('B 1, A 4');
  expect(said()).toBe('');
});

test('of many changes the first three are said, and how many more are marked', () => {
  render(<ChangedStrip says={['A', 'B', 'C', 'D', 'E']} onLayOut={() => undefined} />);
  expect(said()).toContain('A; B; C and 2 more, marked in their rows');
});
