import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { evidences } from '../testing/any-sheet.ts';
import { compareInTray, TRAY_ORDER, trayPlacing, type Rankable } from './ranking.ts';

const rankable: fc.Arbitrary<Rankable> = fc.record({
  verdict: fc.constantFrom(...TRAY_ORDER),
  evidence: evidences,
  closeness: fc.integer({ min: 0, max: 900_000 }).map((n) => n / 10_000),
  onHand: fc.integer({ min: 0, max: 3 }),
  costOverService: fc.option(fc.integer({ min: 50, max: 400 }), { nil: undefined }),
  printed: fc.constantFrom('EX1', 'EX2', 'EX3'),
});

describe('the order of the tray', () => {
  test('never puts a part before one that could be sold sooner, nor among those one with weaker evidence', () => {
    fc.assert(
      fc.property(rankable, rankable, (a, b) => {
        const sooner = TRAY_ORDER.indexOf(a.verdict) - TRAY_ORDER.indexOf(b.verdict);
        if (sooner !== 0) expect(Math.sign(compareInTray(a, b))).toBe(Math.sign(sooner));
        else if (a.evidence.named !== b.evidence.named) expect(compareInTray(a, b) < 0).toBe(a.evidence.named);
      }),
    );
  });

  test('agrees with the placing by which the best of thousands are picked', () => {
    fc.assert(
      fc.property(rankable, rankable, (a, b) => {
        const placing = (r: Rankable) => trayPlacing(r.verdict, r.evidence, r.closeness);
        if (placing(a) !== placing(b)) expect(compareInTray(a, b) < 0).toBe(placing(a) < placing(b));
      }),
    );
  });

  test('puts what is here before what is not, and the cheaper by distance before the dearer, only among equals', () => {
    const equal: Rankable = {
      verdict: 'sell',
      evidence: { named: false, listed: true },
      closeness: 1,
      onHand: 0,
      costOverService: 200,
      printed: 'EX1',
    };
    expect(compareInTray({ ...equal, onHand: 2 }, equal)).toBeLessThan(0);
    expect(compareInTray({ ...equal, costOverService: 150 }, equal)).toBeLessThan(0);
    expect(compareInTray({ ...equal, costOverService: undefined }, equal)).toBeGreaterThan(0);
    expect(compareInTray({ ...equal, closeness: 0.5 }, { ...equal, onHand: 9 })).toBeLessThan(0);
  });
});
