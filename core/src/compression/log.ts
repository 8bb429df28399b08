import { areNeighbours, type EnginePlan } from '../engine-plan/engine-plan.ts';
import { compressionSpread, type CompressionSpread } from './shares.ts';

/** What was read of one cylinder, in kPa; a wet reading is taken after a spoon of oil. */
export interface CompressionRead {
  readonly cylinder: number;
  readonly dryKpa: number;
  readonly wetKpa?: number | undefined;
}

/** How it was taken; each has to be so for a reading to count. */
export const LOG_CONDITIONS = ['isolated', 'throttle', 'battery', 'plugs-out'] as const;
export type LogCondition = (typeof LOG_CONDITIONS)[number];
export const CONDITION_SAYS: Readonly<Record<LogCondition, string>> = {
  isolated: 'Ignition and fuel disabled',
  throttle: 'Throttle open',
  battery: 'Battery charged',
  'plugs-out': 'All plugs out',
};

/** What a log says to the plugs of the same engine. */
export type ToldByCompression =
  | { readonly kind: 'neighbours-low'; readonly cylinders: readonly [number, number] }
  | { readonly kind: 'good' };

export interface CompressionAnswer {
  readonly spread: CompressionSpread | undefined;
  readonly low: readonly number[];
  /** Two low ones that stand side by side. */
  readonly neighbours: readonly [number, number] | undefined;
  /** What it says to the plugs; undefined where it does not decide. */
  readonly tellsPlugs: ToldByCompression | undefined;
  readonly says: readonly string[];
  /** Nothing is sold before the leak-down test. */
  readonly leakDownFirst: boolean;
}

/** With no good cylinder to hold it against, a wet rise counts from so much of a cylinder's own dry reading. */
const RISE = 0.05;
const LOOK_FURTHER = 0.75;
const GOOD = 0.9;
const riseOf = ({ dryKpa, wetKpa }: CompressionRead): number | undefined =>
  wetKpa === undefined || dryKpa <= 0 ? undefined : (wetKpa - dryKpa) / dryKpa;

/**
 * What a compression log says: lowest against highest, who is low, whether oil raised it (rings) or not (valves), whether two
 * neighbours are low together (the gasket between). One cylinder alone needs the specified figure. Old parts: Compression.
 */
export function answerCompression(
  reads: readonly CompressionRead[],
  plan: EnginePlan,
  specifiedKpa: number | undefined,
  hasDecompressor: boolean,
): CompressionAnswer {
  const nothing = { low: [], neighbours: undefined, tellsPlugs: undefined, leakDownFirst: false } as const;
  if (reads.length === 0) return { ...nothing, spread: undefined, says: ['Nothing is read yet.'] };
  const decompressor = hasDecompressor ? ['It has a decompressor: a cranking reading is false, however it looks.'] : [];
  if (plan.firingOrder.length === 1) {
    const [{ dryKpa }] = reads as readonly [CompressionRead];
    const says =
      specifiedKpa === undefined
        ? 'One cylinder says nothing without the specified pressure: look it up.'
        : dryKpa >= GOOD * specifiedKpa
          ? 'Good against the specified pressure.'
          : dryKpa >= LOOK_FURTHER * specifiedKpa
            ? 'Usable against the specified pressure.'
            : 'Low against the specified pressure: look further.';
    return { ...nothing, spread: undefined, says: [says, ...decompressor] };
  }
  const spread = compressionSpread(reads.map(({ dryKpa }) => dryKpa));
  if (!spread) return { ...nothing, spread, says: ['Read another cylinder: one alone says nothing.', ...decompressor] };
  const shareOf = (i: number) => spread.cylinders[i]!.share;
  const low = reads.filter((_, i) => spread.cylinders[i]!.word === 'look-further');
  const usable = reads.filter((_, i) => spread.cylinders[i]!.word === 'usable');
  const beside = (some: readonly CompressionRead[]): readonly [number, number] | undefined => {
    for (const [i, one] of some.entries())
      for (const other of some.slice(i + 1))
        if (areNeighbours(plan, one.cylinder, other.cylinder)) return [one.cylinder, other.cylinder];
    return undefined;
  };
  const neighbours = beside(low);
  const doubtful = neighbours === undefined ? beside([...low, ...usable]) : undefined;
  const rises = reads.flatMap((read, i) => (shareOf(i) >= GOOD - 1e-9 ? (riseOf(read) ?? []) : []));
  const goodRise = rises.length > 0 ? Math.max(...rises) : RISE;
  const isWhole = reads.length === plan.firingOrder.length;
  return {
    spread,
    low: low.map(({ cylinder }) => cylinder),
    neighbours,
    tellsPlugs:
      neighbours !== undefined
        ? { kind: 'neighbours-low', cylinders: neighbours }
        : isWhole && spread.word === 'good'
          ? { kind: 'good' }
          : undefined,
    leakDownFirst: doubtful !== undefined,
    says: [
      ...(neighbours
        ? [`${neighbours[0]} and ${neighbours[1]} stand side by side and are both low: the gasket between them.`]
        : []),
      ...(doubtful
        ? [
            `${doubtful[0]} and ${doubtful[1]} stand side by side and are both down: a leak-down test before anything is sold.`,
          ]
        : []),
      ...low.map((read) => {
        const rise = riseOf(read);
        if (rise === undefined) return `${read.cylinder} is low: read it wet, with a spoon of oil.`;
        return rise > Math.max(goodRise, RISE) + 1e-9
          ? `${read.cylinder} is low and oil raises it by ${Math.round(rise * 100)}%: rings.`
          : `${read.cylinder} is low and oil does not raise it: valves${neighbours?.includes(read.cylinder) ? ', or the gasket' : ''}.`;
      }),
      ...(low.length === 0 && !doubtful
        ? [
            spread.word === 'good'
              ? 'All within a tenth of the best: good.'
              : 'All within a quarter of the best: usable.',
          ]
        : []),
      ...(isWhole ? [] : ['Not every cylinder is read.']),
      ...decompressor,
    ],
  };
}
