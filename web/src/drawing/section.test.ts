import { describe, expect, test } from '@jest/globals';
import type { HeadShape, PlugShape } from '@brackenfell/contract/shapes';
import { drawHead, protrusion } from './head-outline.ts';
import { pathOf, toPx, type Outline } from './outline.ts';
import { drawPlug } from './plug-outline.ts';
import { frameFor } from './section-frame.ts';

const plug: PlugShape = {
  part: 'plug',
  threadDiameterMm: 14,
  threadPitchMm: 1.25,
  reachMm: 19,
  threadedLengthMm: null,
  seat: 'gasket-fixed',
  hexMm: 16,
  lengthMm: 50.5,
  terminal: 'solid',
  projectionMm: 2,
  gapMm: 1.1,
  groundThicknessMm: 1.4,
  groundCount: 1,
  groundForm: 'over-tip',
  tipMm: 1.1,
};
const head: HeadShape = {
  threadDiameterMm: 14,
  threadPitchMm: 1.25,
  headThreadMm: 19,
  seat: 'gasket',
  wellBoreMm: 24,
  pistonTopMm: 28.5,
  lengthLimitMm: 56,
};
const widest = (outlines: readonly Outline[]) => Math.max(...outlines.flat().map(([, r]) => r));
const leftmost = (outlines: readonly Outline[]) => Math.min(...outlines.flat().map(([x]) => x));

describe('a plug drawn to scale', () => {
  test('ends where its facts say: shell, deepest point, terminal', () => {
    expect(drawPlug(plug)).toMatchObject({ shellEndMm: -19, deepestMm: -23.5, topMm: 50.5, unknown: [], dashed: [] });
    expect(leftmost(drawPlug(plug).grounds)).toBeCloseTo(-23.5);
  });

  test('has a hex as wide over its corners as its flats ask', () => {
    const corners = (hexMm: number) => widest(drawPlug({ ...plug, hexMm }).metal);
    expect(corners(20.8)).toBeCloseTo(20.8 / Math.sqrt(3), 2);
    expect(corners(20.8)).toBeGreaterThan(corners(16));
  });

  test('has a thread of its diameter and pitch', () => {
    const crests = (threadPitchMm: number) =>
      drawPlug({ ...plug, threadPitchMm }).metal[0]!.filter(([, r]) => Math.abs(r - 7) < 1e-9).length;
    expect(crests(1.25)).toBe(30); // two points a crest, fifteen turns in 19 mm
    expect(crests(1.5)).toBeLessThan(crests(1.25));
  });

  test.each([
    ['gasket-fixed', true],
    ['gasket-loose', true],
    ['taper', false],
  ] as const)('with a %s seat: gasket drawn %s', (seat, drawn) => {
    expect(drawPlug({ ...plug, seat }).gasket !== null).toBe(drawn);
  });

  test('with a taper seat widens from the thread in a cone', () => {
    const [first, second] = drawPlug({ ...plug, seat: 'taper' }).metal[1]!;
    expect(first).toEqual([0, 7]);
    expect(second![1] - first![1]).toBeCloseTo((second![0] - first![0]) * Math.tan((31.5 * Math.PI) / 180));
  });

  test.each(['solid', 'nut', 'stud', 'cup'] as const)('with a %s terminal reaches its length', (terminal) => {
    const { metal, unknown } = drawPlug({ ...plug, terminal });
    expect(Math.max(...metal.flat().map(([x]) => x))).toBeCloseTo(50.5);
    expect(unknown).toEqual([]);
  });

  test.each([
    [1, 'over-tip', 1, 0, -23.5],
    [2, 'over-tip', 2, 0, -23.5],
    [3, 'over-tip', 2, 1, -23.5],
    [2, 'side', 2, 0, -21],
    [3, 'side', 2, 1, -21],
    [4, 'side', 2, 1, -21],
    [1, 'surface', 0, 0, -21],
  ] as const)(
    'with %d grounds %s draws %d beside and %d before the tip, deepest at %d',
    (groundCount, groundForm, beside, before, deepest) => {
      const drawn = drawPlug({ ...plug, groundCount, groundForm });
      expect([drawn.grounds.length, drawn.groundsInFront.length, drawn.deepestMm]).toEqual([beside, before, deepest]);
    },
  );

  test('with a thread shorter than its reach ends in a plain part', () => {
    const shank = drawPlug({ ...plug, threadedLengthMm: 15 }).metal[0]!;
    const plainEnd = shank.filter(([x]) => x === -19);
    expect(plainEnd.every(([, r]) => Math.abs(r) < 7)).toBe(true);
  });
});

describe('what is not known', () => {
  const nothing: PlugShape = Object.fromEntries(Object.keys(plug).map((key) => [key, null])) as unknown as PlugShape;

  test.each([
    ['reachMm', 'reach'],
    ['seat', 'seat'],
    ['hexMm', 'hex'],
    ['lengthMm', 'length'],
    ['terminal', 'terminal'],
    ['projectionMm', 'firing end'],
    ['groundThicknessMm', 'firing end'],
    ['threadPitchMm', 'thread'],
  ] as const)('%s is drawn dashed and named, never filled in', (fact, what) => {
    const drawn = drawPlug({ ...plug, [fact]: null });
    expect(drawn.unknown.map((u) => u.what)).toEqual([what]);
    expect(drawn.dashed.length).toBeGreaterThan(0);
  });

  test('an unknown reach has no end, no firing end and no protrusion', () => {
    const drawn = drawPlug({ ...plug, reachMm: null });
    expect([drawn.shellEndMm, drawn.deepestMm, drawn.tip, drawn.grounds]).toEqual([null, null, null, []]);
    expect(protrusion(drawn, 19)).toBeNull();
  });

  test('a plug of which nothing is known still draws, all of it dashed', () => {
    const drawn = drawPlug(nothing);
    expect(drawn.metal).toEqual([]);
    expect(drawn.unknown.length).toBeGreaterThanOrEqual(5);
  });

  test('a head without a thread is not drawn', () => {
    expect(drawHead({ ...head, headThreadMm: null })).toBeNull();
  });
});

describe('the plug in its head', () => {
  test('a long plug shows what stands in the chamber, a right one nothing', () => {
    expect(protrusion(drawPlug({ ...plug, reachMm: 26.5 }), 19)!.map(([x]) => x)).toEqual([-19, -26.5, -26.5, -19]);
    expect(protrusion(drawPlug(plug), 19)).toBeNull();
    expect(protrusion(drawPlug({ ...plug, reachMm: 12.7 }), 19)).toBeNull();
  });

  test('the well is as wide as its bore, and an open plug has none', () => {
    const walls = (wellBoreMm: number | null) =>
      drawHead({ ...head, wellBoreMm })!.blocks[0]!.map(([x, r]) => `${x} ${r}`);
    expect(walls(24)).toContain('40 12');
    expect(walls(null).some((point) => point.startsWith('40'))).toBe(false);
  });

  test('one frame holds every plug of the tray and the piston', () => {
    const plugs = [plug, { ...plug, reachMm: 26.5 }, { ...plug, reachMm: 12.7, lengthMm: 46 }].map(drawPlug);
    const size = { widthPx: 500, heightPx: 250 };
    const frame = frameFor(plugs, head, size);
    for (const { deepestMm, topMm } of plugs) {
      expect(toPx(frame, [deepestMm!, 0])[0]).toBeGreaterThan(0);
      expect(toPx(frame, [topMm!, 0])[0]).toBeLessThan(size.widthPx);
    }
    expect(toPx(frame, [-28.5, 0])[0]).toBeGreaterThan(0);
  });

  test('a millimetre is as many pixels along as across', () => {
    const frame = { scale: 5, leftMm: -40, axisPx: 100 };
    expect(toPx(frame, [0, 0])).toEqual([200, 100]);
    expect(toPx(frame, [10, 10])).toEqual([250, 50]);
    expect(
      pathOf(
        frame,
        [
          [0, 0],
          [10, 10],
        ],
        false,
      ),
    ).toBe('M200 100L250 50');
    expect(pathOf(frame, [])).toBe('');
  });
});
