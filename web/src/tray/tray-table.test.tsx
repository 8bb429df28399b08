/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { holdOrder } from './held-order.ts';
import { RowPick } from './row-pick.ts';
import { TrayTable } from './tray-table.tsx';

afterEach(cleanup);

const trayOf = (count: number) => {
  const rows = Array.from({ length: count }, (_, i) => ({
    partId: String(i),
    printed: `BK ${i}`,
    maker: 'Kestrane',
    verdict: i < count / 2 ? 'sell' : 'refuse',
    reason: 'Every check is met',
    evidenceWord: 'listed',
    onHand: 8,
    unproven: 0,
    held: 0,
    priceMinor: 1000,
    takes: 4,
    findings: [{ check: 'heat', title: 'Heat', outcome: i < count / 2 ? 'match' : 'refuse' }],
  }));
  const tray = {
    kind: 'plug',
    rows,
    columns: [{ check: 'heat', title: 'Heat', startsGroup: false }],
    counts: { byReference: count, bySize: 0, notJudged: 0, verdicts: { sell: count / 2, refuse: count / 2 } },
    order: '',
    costOver: '10 000 km',
  } as unknown as OpenTray;
  return holdOrder(tray, tray, 0);
};

const show = (count: number, pick = new RowPick()) =>
  render(<TrayTable tray={trayOf(count)} pick={pick} onTake={() => undefined} onMore={() => undefined} />);
const candidates = () => [...document.querySelectorAll('[role=row][data-row]')];
const count = () => candidates().length;
/** However busy the machine is. */
const allThere = (all: number) => waitFor(() => expect(count()).toBe(all), { timeout: 30_000 });

test('of a common tray the rows in sight are painted first, and all are there when the hand moves', async () => {
  show(54);
  expect(count()).toBeLessThan(30);
  await allThere(54);
  expect(candidates().at(-1)!.getAttribute('aria-label')).toContain('BK 53, Refuse');
});

test('of a tray of hundreds only rows in sight are there, however long one waits', async () => {
  show(400);
  await new Promise((painted) => setTimeout(painted, 100));
  expect(count()).toBeLessThan(60);
});

test('a row tells each check’s mark to whoever cannot see it, and hides nothing to do so', () => {
  show(2);
  const [sold, refused] = candidates();
  const marks = (row: Element) => row.querySelectorAll('[aria-label^="Heat:"]');
  expect(marks(sold!)[0]!.getAttribute('aria-label')).toBe('Heat: match');
  expect(marks(refused!)[0]!.getAttribute('aria-label')).toMatch(/^Heat: (?!match)/);
  expect(marks(sold!)[0]!.className).toBe('');
});

test('the picked row alone is selected, and the tray names it', async () => {
  const pick = new RowPick();
  show(54, pick);
  await allThere(54);
  pick.set(53);
  await waitFor(() => expect(document.querySelector('[aria-selected=true]')?.getAttribute('data-row')).toBe('BK 53'));
  expect(document.querySelectorAll('[aria-selected=true]')).toHaveLength(1);
  expect(screen.getByRole('grid').getAttribute('aria-activedescendant')).toBe('tray-row-53');
});
