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
} as const satisfies PositionFacts;

/** Cylinders that all fire forward. */
export const forward = (cylinders: number) =>
  Array.from({ length: cylinders }, (_, i) => ({
    cylinder: i + 1,
    facts: { 'position.polarity': 'forward' } as const,
  }));
