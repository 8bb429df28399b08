import { CHECK_IDS, type CheckId } from '../../fitment/check-ids.ts';
import { PLUG_CHECKS } from '../plug-checks.ts';
import type { Outcome } from '../../fitment/finding.ts';
import type { PlugColumns, PlugPlace } from './plug-columns.ts';
import type { Screen } from './screen.ts';

/** Which checks refuse a plug, a bit each in their order; above them whether any is open, and whether any cautions. */
export type Misses = number;
const OPEN: Misses = 1 << PLUG_CHECKS.length;
const CAUTIONED: Misses = OPEN << 1;
const REFUSALS: Misses = OPEN - 1;

const missOf = (check: number, outcome: Outcome): Misses =>
  outcome === 'refuse' ? 1 << check : outcome === 'unknown' ? OPEN : outcome === 'caution' ? CAUTIONED : 0;

/** What stands in the way of every plug of the columns at the screen's position; a class list is left out of it. */
export function screenAll(columns: PlugColumns, screen: Screen): Uint32Array {
  const misses = new Uint32Array(columns.count);
  for (const { checks, codes, combinations } of columns.packed()) {
    const ofCheck = checks.map((check) => {
      const table = screen.table(check)!;
      return columns.checks[check]!.samples.map((_, code) => missOf(check, table.outcome(code)));
    });
    const table = new Uint32Array(combinations.length);
    for (const [code, own] of combinations.entries()) {
      let all: Misses = 0;
      for (let i = 0; i < own.length; i += 1) all |= ofCheck[i]![own[i]!]!;
      table[code] = all;
    }
    addMisses(misses, codes, table);
  }
  return misses;
}

/** Kept apart and plain: it runs over every plug there is. */
function addMisses(misses: Uint32Array, codes: Uint32Array, table: Uint32Array): void {
  for (let plug = 0; plug < misses.length; plug += 1) misses[plug]! |= table[codes[plug]!]!;
}

const refusalCount = (misses: Misses): number => {
  let count = 0;
  for (let left = misses & REFUSALS; left !== 0; left &= left - 1) count += 1;
  return count;
};

/** Plug by plug what stands in the way at whichever of two places it is nearer to suiting. */
export function fewerRefusals(a: Uint32Array, b: Uint32Array): Uint32Array {
  return a.map((misses, i) => (refusalCount(b[i]!) < refusalCount(misses) ? b[i]! : misses));
}

/** Plugs that one check alone keeps out. */
export interface NearMiss {
  readonly check: CheckId;
  readonly count: number;
  /** The nearest of them: those with nothing else open or cautioned first, then in the order of the columns. */
  readonly nearest: readonly PlugPlace[];
}

/** The plugs that would do but for one check, by that check, the commonest first. */
export function nearMisses(misses: Uint32Array, most: number): NearMiss[] {
  const near = CHECK_IDS.map((check) => ({ check, count: 0, levels: [[], [], []] as PlugPlace[][] }));
  for (let plug = 0; plug < misses.length; plug += 1) {
    const all = misses[plug]!;
    const refusals = all & REFUSALS;
    if (refusals === 0 || (refusals & (refusals - 1)) !== 0) continue;
    const entry = near[31 - Math.clz32(refusals)]!;
    entry.count += 1;
    const level = entry.levels[(all & OPEN ? 1 : 0) + (all & CAUTIONED ? 1 : 0)]!;
    if (level.length < most) level.push(plug);
  }
  return near
    .filter(({ count }) => count > 0)
    .map(({ check, count, levels }) => ({ check, count, nearest: levels.flat().slice(0, most) }))
    .sort((a, b) => b.count - a.count);
}
