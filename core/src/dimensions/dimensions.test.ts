import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { nearness, type Held } from './dimensions.ts';
import { readDimensions } from './read-dimensions.ts';

const held: Held = {
  threadMm: 14,
  reachLowMm: 19,
  reachHighMm: 19,
  seat: 'gasket-fixed',
  hexMm: 16,
  terminal: 'nut',
};

describe('a part measured at the counter', () => {
  test('is the nearer, the less its figures are off', () => {
    const off = (reachMm: number) => nearness({ reachMm }, held, 'tape')!;
    expect([off(19), off(19.5), off(20)]).toEqual([0, 0.5, 1]);
    expect(nearness({ reachMm: 20.1 }, held, 'tape')).toBeUndefined();
  });
  test('by gauge is held to the bands of the checks, by tape to a millimetre', () => {
    expect(nearness({ reachMm: 19.3 }, held, 'gauge')).toBeCloseTo(1);
    expect(nearness({ reachMm: 19.4 }, held, 'gauge')).toBeUndefined();
    expect(nearness({ reachMm: 18.2, threadMm: 13.7, hexMm: 15.5 }, held, 'tape')).toBeCloseTo(0.8 + 0.3 + 0.5);
  });
  test('is ruled out by another seat or grip, not by a nut on its stud', () => {
    expect(nearness({ seat: 'taper' }, held, 'tape')).toBeUndefined();
    expect(nearness({ seat: 'gasket', terminal: 'solid' }, held, 'tape')).toBe(0);
    expect(nearness({ terminal: 'cup' }, held, 'tape')).toBeUndefined();
  });
  test('is not ruled out by what nobody has published, which stands behind what agrees', () => {
    expect(nearness({ hexMm: 16 }, { ...held, hexMm: undefined }, 'tape')).toBe(1);
  });
});

describe('a sentence that measures', () => {
  test.each([
    ['m14 reach 19 hex 16 taper', { threadMm: 14, reachMm: 19, hexMm: 16, seat: 'taper' }, 'gauge'],
    ['M14x1.25, 19 mm reach, 5/8" hex', { threadMm: 14, reachMm: 19, hexMm: 15.875 }, 'gauge'],
    ['14 mm thread, reach 12,7 mm, with washer, by tape', { threadMm: 14, reachMm: 12.7, seat: 'gasket' }, 'tape'],
    ['hex 16 nut', { hexMm: 16, terminal: 'solid' }, 'gauge'],
  ])('%s', (text, asked, how) => {
    expect(readDimensions(text)).toEqual({ asked, how });
  });
  test.each(['the silver one', 'KN 419G-63DR', 'merrin 2.4 2012', 'taper', '0.8 mm', 'TS 500 226'])(
    '%s measures nothing',
    (text) => {
      expect(readDimensions(text)).toBeUndefined();
    },
  );
});

describe('whatever was measured', () => {
  const mm = fc.double({ min: 8, max: 30, noNaN: true });
  test('the very figures are nearest, and what is further off is never nearer', () => {
    fc.assert(
      fc.property(
        mm,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (reach, a, b) => {
          const at = { ...held, reachLowMm: reach, reachHighMm: reach };
          const near = (off: number) => nearness({ reachMm: reach + off }, at, 'tape') ?? Infinity;
          expect(nearness({ reachMm: reach }, at, 'gauge')).toBe(0);
          if (a <= b) expect(near(a)).toBeLessThanOrEqual(near(b) + 1e-9);
        },
      ),
    );
  });
  test('a gauge never lets through what a tape would not', () => {
    fc.assert(
      fc.property(mm, mm, (reachMm, hexMm) => {
        if (nearness({ reachMm, hexMm }, held, 'gauge') !== undefined)
          expect(nearness({ reachMm, hexMm }, held, 'tape')).toBeDefined();
      }),
    );
  });
  test('nothing measured fits everything', () => {
    expect(nearness({}, held, 'gauge')).toBe(0);
  });
});
