import { PART_KINDS, type PartKind } from '../facts/part-kinds.ts';
import type { CompressionAnswer } from '../compression/log.ts';
import type { ComebackAnswer } from './comeback.ts';
import { comebackCheck } from './comeback-checks.ts';
import type { SoldThing } from './causes.ts';
import type { PlugAnswer } from './read-plugs.ts';
import { lowerFirst } from '../words/case.ts';

/** The desk whose question is open. */
export const HELD_BY = ['plugs', 'compression', 'comeback'] as const;
export type HeldBy = (typeof HELD_BY)[number];

/** Parts that are not handed over while old parts or a comeback are not told apart, and why. */
export interface Held {
  readonly by: HeldBy;
  readonly kinds: readonly PartKind[];
  readonly says: string;
}

/** What the words of a cause stand for on a slip. */
const KINDS_OF: Readonly<Record<SoldThing, readonly PartKind[]>> = {
  plugs: ['plug'],
  'coil or lead': ['coil', 'lead-set'],
  boots: [],
  'cover seal': [],
  hoses: [],
  oil: [],
};
const IGNITION = PART_KINDS;

/**
 * What a reading of old plugs holds: where two causes stand near each other, what either would have sold or spoilt, until they
 * are told apart; where something was struck, everything. Undefined where nothing is held. Old parts: What is sold.
 */
export function heldByReading({ separateFirst, stop, notYet, next }: PlugAnswer): Held | undefined {
  if (stop)
    return {
      by: 'plugs',
      kinds: IGNITION,
      says: 'Old plugs: struck. Reach and cylinder are looked at before anything is sold.',
    };
  if (!separateFirst) return undefined;
  const kinds = [...new Set(notYet.flatMap((thing) => KINDS_OF[thing]))];
  const first = next ? lowerFirst(next.says) : 'tell the causes apart';
  return kinds.length === 0 ? undefined : { by: 'plugs', kinds, says: `Old plugs, two causes alike: ${first} first.` };
}

/** What a compression log holds: everything of the ignition, while two neighbours are down and no leak-down test was made. */
export const heldByCompression = ({ leakDownFirst }: CompressionAnswer, isLeakDownMade: boolean): Held | undefined =>
  leakDownFirst && !isLeakDownMade
    ? {
        by: 'compression',
        kinds: IGNITION,
        says: 'Compression: two neighbours are down. A leak-down test before anything is sold.',
      }
    : undefined;

/** What a comeback holds: everything of the ignition, while a check of what was touched is open. Old parts: Comeback. */
export function heldByComeback({ next, found }: ComebackAnswer, isTakenBack: boolean): Held | undefined {
  return isTakenBack || found !== undefined || next === undefined
    ? undefined
    : {
        by: 'comeback',
        kinds: IGNITION,
        says: `Came back: what was touched is undone first. Next: ${comebackCheck(next.id).title.toLowerCase()}.`,
      };
}
