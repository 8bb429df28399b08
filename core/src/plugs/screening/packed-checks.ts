import type { TupleColumn } from './tuple-column.ts';

/** Several checks' combinations of facts in one column, so that a plug costs one look-up for all of them. */
export interface PackedChecks {
  /** The checks, by their place in the list. */
  readonly checks: readonly number[];
  readonly codes: Uint32Array;
  /** By code: the code each of the checks has by itself. */
  readonly combinations: readonly (readonly number[])[];
}

/** As many as leave a table small enough to stay in the processor's cache. */
const MOST_COMBINATIONS = 8192;
/** Pairs of codes that are tried out in a table of their own. */
const MOST_PAIRS = 1 << 22;

/** Joins a check to a packed column; undefined when the combinations become too many. */
function join(packed: PackedChecks, check: number, own: Uint32Array, ownCount: number): PackedChecks | undefined {
  const before = packed.combinations;
  if (before.length * ownCount > MOST_PAIRS) return undefined;
  const known = new Int32Array(before.length * ownCount).fill(-1);
  const codes = new Uint32Array(packed.codes.length);
  const combinations: (readonly number[])[] = [];
  for (let plug = 0; plug < codes.length; plug += 1) {
    const pair = packed.codes[plug]! * ownCount + own[plug]!;
    if (known[pair] === -1) {
      if (combinations.length === MOST_COMBINATIONS) return undefined;
      known[pair] = combinations.push([...before[packed.codes[plug]!]!, own[plug]!]) - 1;
    }
    codes[plug] = known[pair]!;
  }
  return { checks: [...packed.checks, check], codes, combinations };
}

/** Packs the checks' columns into as few as stay small, the least various first. */
export function packChecks(columns: readonly TupleColumn[], count: number): PackedChecks[] {
  const byWidth = [...columns.keys()]
    .filter((check) => columns[check]!.facts.length > 0)
    .sort((a, b) => columns[a]!.samples.length - columns[b]!.samples.length);
  const packed: PackedChecks[] = [];
  for (const check of byWidth) {
    const { codes, samples } = columns[check]!;
    const own = codes.packed.subarray(0, count);
    const joined = packed.length > 0 ? join(packed.at(-1)!, check, own, samples.length) : undefined;
    if (joined) packed[packed.length - 1] = joined;
    else packed.push({ checks: [check], codes: own.slice(), combinations: samples.map((_, code) => [code]) });
  }
  return packed;
}
