import { describe, expect, test } from '@jest/globals';
import { answerCompression, type CompressionRead } from './log.ts';

const SIX = {
  banks: [{ label: 'front to rear', cylinders: [1, 2, 3, 4, 5, 6] }],
  firingOrder: [1, 5, 3, 6, 2, 4],
};
const ONE = { banks: [{ label: 'it', cylinders: [1] }], firingOrder: [1] };
const log = (dry: readonly number[], wet: readonly (number | undefined)[] = []): CompressionRead[] =>
  dry.map((dryKpa, i) => ({ cylinder: i + 1, dryKpa, wetKpa: wet[i] }));
const answer = (...given: Parameters<typeof log>) => answerCompression(log(...given), SIX, undefined, false);

describe('a compression log', () => {
  test('all within a tenth of the best are good, and say so to the plugs; one missing and they do not', () => {
    expect(answer([1200, 1180, 1150, 1190, 1080, 1200])).toMatchObject({
      tellsPlugs: { kind: 'good' },
      leakDownFirst: false,
    });
    expect(answer([1200, 1180, 1150, 1190, 1100]).tellsPlugs).toBeUndefined();
  });
  test('two low neighbours point to the gasket between them; two low ones apart do not', () => {
    expect(answer([1200, 800, 810, 1190, 1200, 1200])).toMatchObject({
      neighbours: [2, 3],
      tellsPlugs: { kind: 'neighbours-low', cylinders: [2, 3] },
    });
    expect(answer([1200, 800, 1200, 810, 1200, 1200])).toMatchObject({ neighbours: undefined, low: [2, 4] });
  });
  test('two neighbours that are only down ask for a leak-down before anything is sold', () => {
    const down = answer([1200, 1000, 1010, 1190, 1200, 1200]);
    expect([down.leakDownFirst, down.tellsPlugs]).toEqual([true, undefined]);
    expect(down.says.join(' ')).toMatch(/2 and 3 .*leak-down/);
  });
  test('oil that raises a low one more than the good ones points to rings; that does not, to valves', () => {
    const wet = [1230, 1000, 1230, 1230, 1230, 1230];
    expect(answer([1200, 800, 1200, 1200, 1200, 1200], wet).says[0]).toMatch(/25%: rings/);
    expect(answer([1200, 800, 1200, 1200, 1200, 1200], [1230, 815]).says[0]).toMatch(/valves/);
    expect(answer([1200, 800, 1200, 1200, 1200, 1200]).says[0]).toMatch(/read it wet/);
  });
  test('one cylinder says nothing without the specified pressure, and a decompressor makes any reading false', () => {
    const single = (kpa: number, specified?: number, decompressor = false) =>
      answerCompression(log([kpa]), ONE, specified, decompressor).says.join(' ');
    expect(single(700)).toMatch(/nothing without the specified/);
    expect(single(900, 1000)).toMatch(/^Good/);
    expect(single(760, 1000)).toMatch(/^Usable/);
    expect(single(740, 1000)).toMatch(/^Low/);
    expect(single(1000, 1000, true)).toMatch(/false, however it looks/);
  });
  test('nothing read, and one of several read, are said to be so', () => {
    expect(answer([]).says).toEqual(['Nothing is read yet.']);
    expect(answer([1200]).says[0]).toMatch(/one alone says nothing/);
  });
});
