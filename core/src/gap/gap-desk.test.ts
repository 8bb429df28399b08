import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boxStatistics, gapDesk, type GapAsked, type GapReading } from './gap-desk.ts';

const asked: GapAsked = { range: { low: 1.05, high: 1.15 }, deliveredMm: 1.1, toleranceMm: 0.05, limitMm: 0.25 };
const before = (...gapsMm: readonly number[]): GapReading[] =>
  gapsMm.map((gapMm, i) => ({ piece: i + 1, stage: 'before', gapMm }));
const after = (piece: number, gapMm: number): GapReading => ({ piece, stage: 'after', gapMm });
const states = (readings: readonly GapReading[], of: GapAsked = asked, quantity = 4) =>
  gapDesk(of, quantity, readings, 'verify').pieces.map(({ state }) => state.kind);

describe('a box on the desk', () => {
  test('tells of each piece whether it fits, is to be set, or goes back', () => {
    expect(states(before(1.06, 0.94, 0.7, 1.08))).toEqual(['fits', 'to-set', 'to-return', 'fits']);
    expect(gapDesk(asked, 4, before(1.06, 0.94), 'verify').pieces[1]!.state).toMatchObject({
      move: { setToMm: 1.1, changeMm: 0.16 },
    });
  });

  test('a piece is done when it is read inside after it was set; read outside it is set again, counted from delivered', () => {
    const desk = (...more: GapReading[]) => gapDesk(asked, 2, [...before(0.94), ...more], 'verify').pieces[0]!.state;
    expect(desk(after(1, 1.1))).toEqual({ kind: 'fits', wasSet: true });
    expect(desk(after(1, 1.2))).toMatchObject({
      kind: 'to-set',
      isAgain: true,
      move: { setToMm: 1.1, changeMm: -0.1 },
    });
    expect(desk(after(1, 1.2), after(1, 1.12))).toEqual({ kind: 'fits', wasSet: true });
  });

  test('is told how much of what may be changed it takes, and whether it is set for the second time', () => {
    const [first, again] = gapDesk(asked, 2, [...before(0.9, 0.9), after(2, 1.2)], 'verify').pieces;
    expect(first!.state).toMatchObject({ isAgain: false, move: { usesShare: expect.closeTo(0.8, 6) } });
    expect(again!.state).toMatchObject({ isAgain: true, move: { usesShare: expect.closeTo(0.8, 6) } });
    const [back] = gapDesk(asked, 1, [...before(1.12), after(1, 0.9)], 'verify').pieces;
    expect(back!.state).toMatchObject({ move: { usesShare: 0 } });
  });

  test('lies as its readings lie: mean, spread, whose tolerance, and whether all were read', () => {
    const { box } = gapDesk(asked, 4, before(1.08, 1.12), 'verify');
    expect(box).toEqual({
      count: 2,
      meanMm: expect.closeTo(1.1, 9),
      spreadMm: 0.04,
      setAsideMm: null,
      toleranceMm: 0.05,
      isToleranceAssumed: false,
      fits: undefined,
    });
    expect(gapDesk({ ...asked, toleranceMm: undefined }, 2, before(1.08, 1.12), 'verify').box).toMatchObject({
      isToleranceAssumed: true,
      fits: true,
    });
    // What was set afterwards is no reading of how the box was delivered.
    expect(gapDesk(asked, 2, [...before(0.9), after(2, 1.1)], 'verify').box).toBeUndefined();
  });

  test('a sample of one in four becomes all as soon as one goes back, or one was set', () => {
    const toMeasure = (...readings: GapReading[]) => gapDesk(asked, 8, readings, 'sample').toMeasure;
    expect(toMeasure()).toEqual([1, 2]);
    expect(toMeasure(...before(1.1))).toEqual([2]);
    expect(toMeasure(...before(1.1, 1.1))).toEqual([]);
    expect(toMeasure(...before(0.7))).toEqual([2, 3, 4, 5, 6, 7, 8]);
    expect(toMeasure(...before(0.94))).toEqual([2, 3, 4, 5, 6, 7, 8]);
    expect(toMeasure(...before(0.94), after(1, 1.1))).toEqual([2, 3, 4, 5, 6, 7, 8]);
    expect(gapDesk(asked, 8, before(1.1), 'trust').toMeasure).toEqual([]);
    expect(gapDesk(asked, 8, before(0.7), 'trust').toMeasure).toHaveLength(7);
  });

  test('one that was inside and stands outside after it fell is brought back to where it was', () => {
    const [piece] = gapDesk(asked, 1, [...before(1.12), after(1, 0.9)], 'verify').pieces;
    expect(piece!.state).toMatchObject({ kind: 'to-set', move: { setToMm: 1.12, changeMm: 0.22 } });
  });

  test('one that must not be set, or not so far, goes back even when somebody bent it into the range', () => {
    const bent = [...before(0.7), after(1, 1.1)];
    expect(states(bent, asked, 1)).toEqual(['to-return']);
    expect(states([...before(0.94), after(1, 1.1)], { ...asked, limitMm: null }, 1)).toEqual(['to-return']);
    expect(states(bent, { ...asked, limitMm: undefined }, 1)).toEqual(['fits']);
  });

  test('measured with nothing to hold it against it stays open, and so does one that nobody says may be set', () => {
    expect(states(before(1.1), { ...asked, range: undefined }, 1)).toEqual(['open']);
    expect(states(before(0.9), { ...asked, limitMm: undefined }, 1)).toEqual(['open']);
    expect(states(before(1.1), { ...asked, limitMm: undefined }, 1)).toEqual(['fits']);
    expect(states(before(0.9), { ...asked, limitMm: null }, 1)).toEqual(['to-return']);
  });

  test('nothing on the desk is set outside the range, or further from delivered than its maker allows', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        mm(0.4, 1.6),
        mm(0.4, 1.6),
        mm(0.02, 0.4),
        mm(0.5, 1.2),
        mm(0.02, 0.2),
        (was, is, limitMm, low, width) => {
          const of = { range: { low, high: low + width }, limitMm };
          const [piece] = gapDesk(of, 1, [...before(was), after(1, is)], 'verify').pieces;
          if (piece!.state.kind !== 'to-set') return;
          const { setToMm, changeMm } = piece!.state.move;
          expect(setToMm).toBeGreaterThanOrEqual(low - 1e-5);
          expect(setToMm).toBeLessThanOrEqual(low + width + 1e-5);
          expect(Math.abs(setToMm - was)).toBeLessThanOrEqual(limitMm + 1e-5);
          expect(is + changeMm).toBeCloseTo(setToMm, 5);
        },
      ),
    );
  });
});

describe('the school of pre-gapped plugs', () => {
  const toMeasure = (school: 'verify' | 'sample' | 'trust', readings: GapReading[], quantity = 8) =>
    gapDesk(asked, quantity, readings, school).toMeasure;
  test('asks for each, for one in four, or for none', () => {
    expect(toMeasure('verify', before(1.1))).toEqual([2, 3, 4, 5, 6, 7, 8]);
    expect(toMeasure('sample', [])).toEqual([1, 2]);
    expect(toMeasure('sample', before(1.1, 1.08))).toEqual([]);
    expect(toMeasure('trust', [])).toEqual([]);
    expect(toMeasure('sample', [], 3)).toEqual([1]);
  });
  test('asks for all when one is outside, even of a box that was to be trusted, and after that one was set', () => {
    expect(toMeasure('sample', before(0.9))).toEqual([2, 3, 4, 5, 6, 7, 8]);
    expect(toMeasure('trust', before(0.9), 3)).toEqual([2, 3]);
    expect(toMeasure('sample', [...before(0.9), after(1, 1.1)], 3)).toEqual([2, 3]);
  });
});

describe('box statistics', () => {
  test('one knocked plug in four is set aside, and the box still fits; in a box of three it is a finding', () => {
    expect(boxStatistics([1.06, 1.08, 1.12, 0.8], asked)).toMatchObject({
      setAsideMm: 0.8,
      spreadMm: 0.06,
      fits: true,
    });
    expect(boxStatistics([1.06, 1.08, 0.8], asked)).toMatchObject({ setAsideMm: null, spreadMm: 0.28, fits: false });
  });
  test('a box with two readings outside does not fit, and a tolerance nobody publishes is taken as a twentieth', () => {
    expect(boxStatistics([1.06, 0.9, 1.3, 1.1], asked)!.fits).toBe(false);
    expect(boxStatistics([1.06, 1.1], { range: asked.range, deliveredMm: 1.1 })).toMatchObject({
      toleranceMm: 0.05,
      isToleranceAssumed: true,
      fits: true,
    });
    expect(boxStatistics([1.06, 1.1], { range: asked.range })!.fits).toBeUndefined();
    expect(boxStatistics([1.06], asked)).toBeUndefined();
  });
});
