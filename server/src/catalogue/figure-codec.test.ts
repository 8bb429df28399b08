import { describe, expect, test } from '@jest/globals';
import { demoWorld } from '@brackenfell/demo/world';
import type { RecordedFactId } from '@brackenfell/contract/fact-values';
import type { HeatScale } from '@brackenfell/core/heat-range/heat-scale';
import { decodeFigure, encodeFigure } from './figure-codec.ts';

const scales = new Map<string, HeatScale>(
  demoWorld.heatScales.map((s) => [s.maker, { maker: s.maker, ratings: s.ratings }]),
);

describe('a figure row', () => {
  test('gives back every fact of the demo world as it was recorded', () => {
    const sheets = [
      ...demoWorld.plugs.map((p) => p.facts),
      ...demoWorld.engines.flatMap((e) => [e.facts, ...e.positions.map((p) => p.facts)]),
    ];
    const recorded = sheets.flatMap((facts) => Object.entries(facts as object)) as [RecordedFactId, unknown][];
    expect(recorded.length).toBeGreaterThan(2000);
    for (const [fact, value] of recorded) {
      if (value === undefined) continue;
      const read: unknown = decodeFigure(fact, encodeFigure(fact, value as never), scales);
      if (fact === 'plug.heat') expect(read).toEqual(expect.objectContaining(value as object));
      else if (fact === 'position.heat') expect(read).toMatchObject({ codes: (value as { codes: string[] }).codes });
      else expect([fact, read]).toEqual([fact, value]);
    }
  });

  test('of a heat code that is on no known scale says nothing', () => {
    expect(
      decodeFigure('plug.heat', encodeFigure('plug.heat', { maker: 'kestrane', code: '99' }), scales),
    ).toBeUndefined();
  });
});
