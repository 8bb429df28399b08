import { describe, expect, test } from '@jest/globals';
import type { PositionFacts } from '@brackenfell/contract/catalogue-file';
import { demoProof } from './proof/world.ts';
import { demoWorld } from './world.ts';

/** Every place of a plug with what is asked there. */
const asked = demoWorld.engines.flatMap(({ code, facts, positions }) =>
  positions.map((position) => ({ code, facts: { ...(facts as PositionFacts), ...(position.facts as PositionFacts) } })),
);
/** Every gap band of the world, with the engine whose it is. */
const bands = asked.flatMap(({ code, facts: { 'position.gapMm': gap } }) =>
  gap ? [{ code, band: `${gap.low}–${gap.high}` }] : [],
);

describe('the demo world', () => {
  test('has a gap band for each engine that serves no other', () => {
    const shared = bands.filter(({ code, band }) => bands.some((one) => one.band === band && one.code !== code));
    expect(shared).toEqual([]);
    expect(new Set(bands.map(({ code }) => code)).size).toBe(demoWorld.engines.length);
  });

  test('says of every engine and every coil of its maker what a spark has to be told', () => {
    const untold = asked.filter(
      ({ facts }) => !facts['position.boreMm'] || !facts['position.compressionRatio'] || !facts['position.ratedRpm'],
    );
    expect(untold.map(({ code }) => code)).toEqual([]);
    const own = new Set(demoWorld.references.filter(({ grade }) => grade === 'same').map(({ to }) => to));
    const coils = demoWorld.parts!.filter((part) => part.kind === 'coil' && own.has(part.number));
    expect(coils.length).toBeGreaterThan(15);
    expect(coils.filter(({ facts }) => !('coil.ratedKv' in facts || 'coil.magnetoKv' in facts))).toEqual([]);
  });

  test('looks lived-in: as many vehicles, parts, references, batches and past slips as a counter has', () => {
    const ofKind = (kind: string) => demoWorld.parts!.filter((part) => part.kind === kind).length;
    expect(demoWorld.engines.flatMap(({ vehicles }) => vehicles).length).toBeGreaterThanOrEqual(90);
    expect(demoWorld.plugs.length).toBeGreaterThanOrEqual(220);
    expect(ofKind('coil')).toBeGreaterThanOrEqual(70);
    expect(ofKind('lead-set')).toBeGreaterThanOrEqual(30);
    expect(demoWorld.references.length).toBeGreaterThanOrEqual(1500);
    expect(demoProof.batches.length).toBeGreaterThanOrEqual(30);
    expect(demoProof.sales.length).toBeGreaterThanOrEqual(120);
  });
});
