import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Intent } from '../wire/outbox.ts';
import { gapScale } from './gap-geometry.ts';
import { standingGaps, type Gap } from './standing-gaps.ts';
import { torqueScale } from './torque-geometry.ts';

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('every gap that was read, and the range, lie on the strip, wider gaps further right', () => {
  fc.assert(
    fc.property(fc.array(mm(0.2, 2.2), { maxLength: 8 }), mm(0.4, 1.4), mm(0.02, 0.3), (read, low, width) => {
      const { at } = gapScale({ low, high: low + width }, read, undefined);
      const places = [...read, low, low + width].sort((a, b) => a - b).map(at);
      expect(Math.min(...places)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...places)).toBeLessThanOrEqual(100);
      expect([...places].sort((a, b) => a - b)).toEqual(places);
    }),
  );
});

test('every torque lies on the axis, and both systems’ ticks name the same place', () => {
  const { at, lbfFtTicks } = torqueScale([
    { lowNm: 15, highNm: 18 },
    { lowNm: 20, highNm: 24 },
  ]);
  for (const nm of [15, 18, 20, 24]) expect(at(nm)).toBeGreaterThan(0);
  expect(at(24)).toBeLessThan(100);
  for (const { lbfFt, nm } of lbfFtTicks) expect(nm / lbfFt).toBeCloseTo(1.3558179, 6);
});

describe('gaps as the desk shows them', () => {
  const stored = (piece: number, gapMm: number): Gap => ({
    piece,
    stage: 'before',
    gapMm,
    how: 'gauged',
    device: 'gauge',
    by: 'Wren',
    at: '2026-11-27T09:00:00.000Z',
  });
  const intent = (name: string, body: object, lineId = '7'): Intent =>
    ({
      key: name,
      staffId: '1',
      name,
      request: { params: { lineId }, body },
      slipId: '3',
      says: '',
    }) as unknown as Intent;
  const add = (piece: number, gapMm: number, lineId?: string) =>
    intent('addGapReading', { piece, stage: 'before', gapMm, how: 'typed' }, lineId);
  const take = (piece: number, which: string) => intent('withdrawGapReading', { piece, which });
  const shown = (unsent: readonly Intent[]) =>
    standingGaps('7', [stored(1, 1.1), stored(2, 0.9)], unsent).map(({ piece, gapMm, by }) => [piece, gapMm, by]);

  test('what is on its way stands beside what is stored, and is nobody’s yet', () => {
    expect(shown([add(3, 1.08)])).toEqual([
      [1, 1.1, 'Wren'],
      [2, 0.9, 'Wren'],
      [3, 1.08, null],
    ]);
  });
  test('what is taken back is gone at once: the last of a piece, or all of it; another line’s is none of its business', () => {
    expect(shown([add(2, 1.1), take(2, 'last')]).map(([piece, gapMm]) => [piece, gapMm])).toEqual([
      [1, 1.1],
      [2, 0.9],
    ]);
    expect(shown([add(2, 1.1), take(2, 'all'), add(1, 5, '8')]).map(([piece]) => piece)).toEqual([1]);
  });
});
