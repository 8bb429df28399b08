import { describe, expect, test } from '@jest/globals';
import type { CoilShape, PlugShape } from '@brackenfell/contract/shapes';
import { CONNECTORS } from '@brackenfell/core/facts/coil-facts';
import { coilInWell, packPlan } from './coil-geometry.ts';
import { connectorFace, FACE_HEIGHT, FACE_WIDTH } from './connector-geometry.ts';

const SIZE = { widthPx: 480, heightPx: 240 };
const coil = (bootLengthMm: number | null): CoilShape => ({
  part: 'coil',
  topology: null,
  towers: null,
  connector: null,
  pins: null,
  bootLengthMm,
  bootAngleDeg: null,
  mounting: null,
});
const plug = { reachMm: 19, lengthMm: 50.5 } as PlugShape;

describe('a coil drawn in its well', () => {
  test('with the asked boot meets the plug; one 3 mm short leaves a gap that the spark must jump, one too long presses', () => {
    const gapOf = (boot: number | null) => coilInWell(coil(boot), coil(95), plug, SIZE).gapMm;
    expect([95, 92, 98].map(gapOf)).toEqual([0, 3, -3]);
  });

  test('whose boot, or whose plug, is not known has no gap drawn', () => {
    expect(coilInWell(coil(null), coil(95), plug, SIZE).gapMm).toBeNull();
    expect(coilInWell(coil(95), coil(null), plug, SIZE).gapMm).toBeNull();
    expect(coilInWell(coil(95), coil(95), null, SIZE)).toMatchObject({ coverMm: null, gapMm: null });
  });

  test('fits the drawing from the plug’s end to the coil’s top', () => {
    const { scale, leftMm, coverMm } = coilInWell(coil(95), coil(95), plug, SIZE);
    expect(leftMm).toBeLessThan(-19);
    expect((coverMm! + 34 - leftMm) * scale).toBeLessThanOrEqual(SIZE.widthPx);
  });
});

describe('a pack seen from above', () => {
  const pack = (towers: number, holes: number, spacingMm: number): CoilShape => ({
    ...coil(null),
    towers,
    mounting: { holes, spacingMm, threadMm: 6 },
  });
  test('has its towers in a row about its middle and its holes at their distance', () => {
    const { towers, holes } = packPlan(pack(4, 3, 80), SIZE);
    expect(towers).toHaveLength(4);
    expect(towers.reduce((sum, [x]) => sum + x, 0)).toBeCloseTo(0, 9);
    expect(holes.map(([x]) => x)).toEqual([-40, 0, 40]);
    expect(packPlan(pack(2, 1, 0), SIZE).holes.map(([x]) => x)).toEqual([0]);
  });
  test('is never narrower than its holes', () => {
    const { bodyMm } = packPlan(pack(4, 2, 120), SIZE);
    expect(bodyMm[0]).toBeGreaterThan(120);
  });
});

describe('a connector’s face', () => {
  test.each(CONNECTORS)('%s holds its pins inside the field, as many as asked', (connector) => {
    for (const pins of [2, 3, 4]) {
      const face = connectorFace(connector, pins);
      expect(face.pins).toHaveLength(pins);
      for (const [x, y] of face.pins) {
        expect(x > 0 && x < FACE_WIDTH).toBe(true);
        expect(y > 0 && y < FACE_HEIGHT).toBe(true);
      }
    }
  });
  test('keyed left and keyed right are each other’s mirror image, and no two faces are alike', () => {
    const [left] = connectorFace('flat-left', 3).keys;
    const [right] = connectorFace('flat-right', 3).keys;
    expect(left![0] + left![2] / 2 - FACE_WIDTH / 2).toBeCloseTo(-(right![0] + right![2] / 2 - FACE_WIDTH / 2), 9);
    const faces = CONNECTORS.map((connector) => JSON.stringify(connectorFace(connector, 3)));
    expect(new Set(faces).size).toBe(CONNECTORS.length);
  });
});
