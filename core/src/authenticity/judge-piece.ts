import { weigh, type EvidenceItem, type Weighed } from './evidence.ts';

export const BANDS = ['not-inspected', 'consistent', 'not-proven', 'suspect'] as const;
export type Band = (typeof BANDS)[number];

export const BAND_WORDS: Readonly<Record<Band, string>> = {
  'not-inspected': 'Not inspected',
  consistent: 'Consistent with genuine',
  'not-proven': 'Not proven',
  suspect: 'Suspect',
};

/** Below this chance a piece may be called consistent; at or above the other it may be called suspect. */
export const CONSISTENT_BELOW = 0.05;
export const SUSPECT_FROM = 0.5;
/** Physical groups that must have been seen before a piece may be called consistent. */
export const GROUPS_FOR_CONSISTENT = 3;

export interface PieceJudgement extends Weighed {
  readonly band: Band;
  /** Groups of physical tells in which something was seen. */
  readonly physicalGroups: number;
  readonly physicalDifferences: number;
}

/** The band of evidence already weighed. Proof: Bands. */
function bandOf(chance: number, items: readonly EvidenceItem[], physicalGroups: number, differences: number): Band {
  if (!items.some(({ aspect, unseen }) => aspect !== 'paper' && unseen !== true)) return 'not-inspected';
  if (chance >= SUSPECT_FROM && differences > 0) return 'suspect';
  return chance < CONSISTENT_BELOW && physicalGroups >= GROUPS_FOR_CONSISTENT ? 'consistent' : 'not-proven';
}

/**
 * Judges one piece by all that was observed of it. Suspect needs a physical difference, consistent three physical groups
 * seen; an odd box alone never makes a piece suspect.
 */
export function judgePiece(prior: number, items: readonly EvidenceItem[]): PieceJudgement {
  const weighed = weigh(prior, items);
  const physical = items.filter(({ aspect, unseen }) => aspect === 'physical' && unseen !== true);
  const physicalGroups = new Set(physical.map(({ group }) => group)).size;
  const physicalDifferences = physical.filter(({ logRatio }) => logRatio > 0).length;
  return {
    ...weighed,
    band: bandOf(weighed.chance, items, physicalGroups, physicalDifferences),
    physicalGroups,
    physicalDifferences,
  };
}

/** The pieces in hand together: suspect if any is, consistent only if every one of them is. */
export function judgeTogether(bands: readonly Band[]): Band {
  if (bands.every((band) => band === 'not-inspected')) return 'not-inspected';
  if (bands.includes('suspect')) return 'suspect';
  return bands.every((band) => band === 'consistent') ? 'consistent' : 'not-proven';
}

/** A batch is suspect if any piece is; consistent if every inspected piece is and enough were inspected. */
export function judgeBatch(bands: readonly Band[], batchSize: number): Band {
  const inspected = bands.filter((band) => band !== 'not-inspected');
  if (inspected.length === 0) return 'not-inspected';
  if (inspected.includes('suspect')) return 'suspect';
  const enough = inspected.length >= piecesToInspect(batchSize);
  return enough && inspected.every((band) => band === 'consistent') ? 'consistent' : 'not-proven';
}

/** Pieces that speak for a batch: two, or the square root of its size, never more than there are. */
export function piecesToInspect(batchSize: number): number {
  return Math.min(batchSize, Math.max(2, Math.ceil(Math.sqrt(batchSize))));
}
