import { expect, test } from '@jest/globals';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { holdOrder } from './held-order.ts';

const row = (partId: string, some: Partial<OpenRow> = {}): OpenRow =>
  ({
    partId,
    printed: `BK ${partId}`,
    verdict: 'sell',
    reason: 'Every check is met',
    onHand: 8,
    unproven: 0,
    held: 0,
    priceMinor: 1000,
    takes: 4,
    findings: [{ check: 'heat', sources: [3] }],
    ...some,
  }) as unknown as OpenRow;
const tray = (...rows: OpenRow[]): OpenTray =>
  ({ kind: 'plug', rows, counts: { verdicts: { sell: rows.length }, byReference: rows.length } }) as never;
const TAX = 0;

test('a tray that was judged anew and found the same stands as it was judged, and says nothing', () => {
  const fresh = tray(row('1'), row('2'));
  const held = holdOrder(tray(row('1'), row('2')), fresh, TAX);
  expect(held.says).toEqual([]);
  expect(held.rows.map(({ under, changed }) => [under, changed])).toEqual([
    ['sell', null],
    ['sell', null],
  ]);
});

test('a row that is refused now keeps its place under the hand, under the heading it stood under, and says what it is', () => {
  const fresh = tray(row('2'), row('1', { verdict: 'refuse', reason: 'Reach too long' }));
  const { rows, says } = holdOrder(tray(row('1'), row('2')), fresh, TAX);
  expect(rows.map(({ partId, verdict, under }) => [partId, verdict, under])).toEqual([
    ['1', 'refuse', 'sell'],
    ['2', 'sell', 'sell'],
  ]);
  expect(says).toEqual(['BK 1: Sell → Refuse']);
});

test('what is sold, held, found not proven or priced otherwise at another till is said in figures', () => {
  const laidOut = tray(row('1'), row('2'), row('3'), row('4'));
  const fresh = tray(
    row('1', { onHand: 4 }),
    row('2', { unproven: 3, held: 5 }),
    row('3', { priceMinor: 1250 }),
    row('4', { reason: 'Fits, gap to be set' }),
  );
  expect(holdOrder(laidOut, fresh, TAX).says).toEqual([
    'BK 1: free 8 → 4',
    'BK 2: free 8 → 5, a batch is held',
    'BK 3: price 40.00 → 50.00',
    'BK 4: Fits, gap to be set',
  ]);
});

test('new candidates wait until the tray is laid out anew; one that is none any more stands, says so, and cites nothing', () => {
  const { rows, says, counts } = holdOrder(tray(row('1'), row('2')), tray(row('3'), row('2')), TAX);
  expect(rows.map(({ partId, changed }) => [partId, changed])).toEqual([
    ['1', 'no longer a candidate'],
    ['2', null],
  ]);
  expect(rows[0]!.findings[0]!.sources).toEqual([]);
  expect(says).toEqual(['BK 1: no longer a candidate', 'one more candidate']);
  expect(counts.verdicts.sell).toBe(2);
});
