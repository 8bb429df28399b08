import type { PositionFacts } from '@brackenfell/contract/catalogue-file';

/** What nearly every engine of the world asks alike. */
export const USUAL = {
  'position.hexPoints': 6,
  'position.groundCount': 1,
  'position.groundForm': 'over-tip',
  'position.electrodeBan': 'nothing',
  'position.singlePreciousBan': false,
  'position.aspiration': 'natural',
  'position.fuel': 'petrol',
  'position.shellFitted': 'one-piece',
  'position.seizesTwoPiece': false,
  'position.headMetal': 'aluminium',
  'position.hasBattery': true,
  'position.wrenchReaches': true,
} as const satisfies PositionFacts;

/** How the engine is built: what a spark has to be told of it. `boostKpa` is the maker's own, over the outside air. */
export const built = (of: {
  boreMm: number;
  strokeMm: number;
  ratio: number;
  ratedRpm: number;
  boostKpa?: number;
}): PositionFacts => ({
  'position.boreMm': of.boreMm,
  'position.strokeMm': of.strokeMm,
  'position.compressionRatio': of.ratio,
  'position.ratedRpm': of.ratedRpm,
  ...(of.boostKpa === undefined ? {} : { 'position.boostKpa': of.boostKpa }),
});

/** Cylinders that all fire forward. */
export const forward = (cylinders: number) =>
  Array.from({ length: cylinders }, (_, i) => ({
    cylinder: i + 1,
    facts: { 'position.polarity': 'forward' } as const,
  }));

/** The hole of a modern engine: head thread as long as the reach, solid terminal, a resistor between 3 and 7.5 kΩ. */
export const hole = (form: {
  threadMm: number;
  pitchMm?: number;
  reachMm: number;
  seat?: 'gasket' | 'taper';
  hexMm: number;
  lengthMm: number;
  wellBoreMm: number | 'open';
}): PositionFacts => ({
  'position.threadDiameterMm': form.threadMm,
  'position.threadPitchMm': form.pitchMm ?? 1.25,
  'position.reachMm': { low: form.reachMm, high: form.reachMm },
  'position.headThreadMm': form.reachMm,
  'position.seat': form.seat ?? 'gasket',
  'position.hexMm': form.hexMm,
  'position.wellBoreMm': form.wellBoreMm,
  'position.lengthMm': { low: form.lengthMm, high: form.lengthMm },
  'position.terminal': 'solid',
  'position.resistor': { kind: 'range', low: 3, high: 7.5 },
});

/** Four cylinders on a waste-spark pack: 2 and 4 fire in reverse. */
export const WASTE_SPARK_FOUR = ([1, 2, 3, 4] as const).map((cylinder) => ({
  cylinder,
  facts: { 'position.polarity': cylinder % 2 === 0 ? 'reverse' : 'forward' } as const,
}));
