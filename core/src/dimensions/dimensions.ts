import { SAME_HEX_MM } from '../plugs/socket.ts';
import { REACH_MM } from '../plugs/checks/reach.ts';
import type { Terminal } from '../facts/plug-facts.ts';

/** What a customer measured of a plug. Lengths in mm; what was not measured is left out. */
export interface Dimensions {
  readonly threadMm?: number | undefined;
  readonly reachMm?: number | undefined;
  readonly seat?: 'gasket' | 'taper' | undefined;
  readonly hexMm?: number | undefined;
  readonly terminal?: Terminal | undefined;
}

export const MEASURED_WITH = ['gauge', 'tape'] as const;
export type MeasuredWith = (typeof MEASURED_WITH)[number];

interface Band {
  readonly threadMm: number;
  readonly reachMm: number;
  readonly hexMm: number;
}

/**
 * How far a figure may be off and still be the part's: a slide gauge by the match bands of the checks (a screw's outside
 * measures under its name), a tape or ruler by a millimetre. Identification: Measured parts.
 */
export const WITHIN_MM: Readonly<Record<MeasuredWith, Band>> = {
  gauge: { threadMm: 0.3, reachMm: REACH_MM.match, hexMm: SAME_HEX_MM },
  tape: { threadMm: 1, reachMm: 1, hexMm: 1 },
};

/** What stands in a catalogue of a plug, or is asked at a place of an engine; reach as a range. */
export interface Held {
  readonly threadMm: number | undefined;
  readonly reachLowMm: number | undefined;
  readonly reachHighMm: number | undefined;
  readonly seat: string | undefined;
  readonly hexMm: number | undefined;
  readonly terminal: string | undefined;
}

/** A solid terminal and one with a nut on grip alike. */
const grip = (terminal: string): string => (terminal === 'nut' ? 'solid' : terminal);

/**
 * How near something held comes to what was measured: the sum of differences over what is allowed, less for the nearer;
 * undefined where a known figure rules it out. What is not held rules nothing out and counts as one allowance.
 */
export function nearness(asked: Dimensions, held: Held, how: MeasuredWith): number | undefined {
  const within = WITHIN_MM[how];
  const length = (measured: number | undefined, low: number | undefined, high: number | undefined, most: number) => {
    if (measured === undefined) return 0;
    if (low === undefined || high === undefined) return 1;
    const off = Math.max(low - measured, measured - high, 0);
    return off <= most + 1e-9 ? off / most : undefined;
  };
  const same = (measured: string | undefined, has: string | undefined) =>
    measured === undefined ? 0 : has === undefined ? 1 : has === measured ? 0 : undefined;
  const parts = [
    length(asked.threadMm, held.threadMm, held.threadMm, within.threadMm),
    length(asked.reachMm, held.reachLowMm, held.reachHighMm, within.reachMm),
    length(asked.hexMm, held.hexMm, held.hexMm, within.hexMm),
    same(asked.seat, held.seat?.startsWith('gasket') === true ? 'gasket' : held.seat),
    same(asked.terminal && grip(asked.terminal), held.terminal && grip(held.terminal)),
  ];
  return parts.some((part) => part === undefined) ? undefined : parts.reduce<number>((sum, part) => sum + part!, 0);
}
