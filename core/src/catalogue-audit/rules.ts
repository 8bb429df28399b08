import { SAME_HEX_MM } from '../plugs/socket.ts';
import { REACH_MM } from '../plugs/checks/reach.ts';

/** What a cluster member is held against others by. Null where no single figure rules. */
export interface AuditedPlug {
  readonly threadDiameterMm: number | null;
  readonly threadPitchMm: number | null;
  readonly reachMm: number | null;
  readonly seat: string | null;
  readonly hexMm: number | null;
  /** `none`, `present` or `value`. */
  readonly resistor: string | null;
  readonly heatIndexBar: number | null;
  /** The larger of the steps to its neighbours on its maker's scale. */
  readonly heatStepBar: number | null;
}

/** A fact by which the members of one look-alike cluster are compared. */
export interface ClusterRule {
  readonly id: string;
  readonly title: string;
  /** What comes of it at the counter when it is believed. */
  readonly consequence: string;
  readonly isKnown: (plug: AuditedPlug) => boolean;
  readonly differs: (a: AuditedPlug, b: AuditedPlug) => boolean;
  readonly say: (plug: AuditedPlug) => string;
}

const ROUNDING = 1e-6;
const apart = (a: number | null, b: number | null, by: number): boolean =>
  a !== null && b !== null && Math.abs(a - b) > by + ROUNDING;
const form = (seat: string | null): string | undefined => seat?.split('-')[0];

/** Facts compared within clusters; each tolerance is the match band of its check. References: Contradictions. */
export const CLUSTER_RULES: readonly ClusterRule[] = [
  {
    id: 'thread-differs',
    title: 'Another thread called equal',
    consequence: 'The plug does not start in the hole; forced, it costs the head its thread.',
    isKnown: ({ threadDiameterMm }) => threadDiameterMm !== null,
    differs: (a, b) => apart(a.threadDiameterMm, b.threadDiameterMm, 0) || apart(a.threadPitchMm, b.threadPitchMm, 0),
    say: ({ threadDiameterMm, threadPitchMm }) =>
      `M${threadDiameterMm}${threadPitchMm === null ? '' : ` × ${threadPitchMm}`}`,
  },
  {
    id: 'reach-differs',
    title: 'Another reach called equal',
    consequence:
      'Too long, bare threads overheat in the chamber and may meet the piston; too short, the spark is shrouded and the head’s threads carbon.',
    isKnown: ({ reachMm }) => reachMm !== null,
    differs: (a, b) => apart(a.reachMm, b.reachMm, REACH_MM.match),
    say: ({ reachMm }) => `reach ${reachMm?.toFixed(1)} mm`,
  },
  {
    id: 'seat-differs',
    title: 'Taper and gasket seat called equal',
    consequence: 'A cone on a flat, or a gasket on a cone, does not seal: it leaks and overheats.',
    isKnown: ({ seat }) => seat !== null,
    differs: (a, b) => a.seat !== null && b.seat !== null && form(a.seat) !== form(b.seat),
    say: ({ seat }) => `${form(seat) ?? 'unknown'} seat`,
  },
  {
    id: 'hex-differs',
    title: 'Another hex called equal',
    consequence: 'The fitter’s socket does not fit, or the larger socket does not enter the well.',
    isKnown: ({ hexMm }) => hexMm !== null,
    differs: (a, b) => apart(a.hexMm, b.hexMm, SAME_HEX_MM),
    say: ({ hexMm }) => `hex ${hexMm} mm`,
  },
  {
    id: 'resistor-differs',
    title: 'With and without resistor called equal',
    consequence: 'Without its resistor the plug disturbs the radio and may disturb the control unit.',
    isKnown: ({ resistor }) => resistor !== null,
    differs: (a, b) =>
      a.resistor !== null && b.resistor !== null && (a.resistor === 'none') !== (b.resistor === 'none'),
    say: ({ resistor }) => (resistor === 'none' ? 'no resistor' : 'a resistor'),
  },
  {
    id: 'heat-differs',
    title: 'Heat more than a step apart called equal',
    consequence: 'The hotter one may glow and burn the engine; the colder one fouls on short runs.',
    isKnown: ({ heatIndexBar }) => heatIndexBar !== null,
    differs: (a, b) => apart(a.heatIndexBar, b.heatIndexBar, Math.max(a.heatStepBar ?? 0, b.heatStepBar ?? 0)),
    say: ({ heatIndexBar }) => `heat ${heatIndexBar?.toFixed(1)} bar`,
  },
];

/** What is found wrong about one part, number or chain of renamings rather than between two plugs. */
export const OTHER_RULES = {
  'leads-to-discontinued': {
    title: 'References to a discontinued part',
    consequence: 'It is promised and cannot be had; what replaces it has to be found while the customer waits.',
  },
  'number-shared': {
    title: 'One number used by two makers',
    consequence: 'Whoever orders by this number may be sent either part.',
  },
  'renamed-in-a-ring': {
    title: 'Supersession goes in a ring',
    consequence: 'No number of the ring stands today: the old number leads nowhere.',
  },
  'split-undecided': {
    title: 'Supersession splits without a condition',
    consequence: 'Nobody can say which successor an engine needs: every sale has to ask first.',
  },
  'figures-disagree': {
    title: 'Sources give different figures',
    consequence:
      'The plug is judged by each figure and the worst outcome counts, so it may be refused or asked about for nothing.',
  },
  'interval-outlives-plug': {
    title: 'Interval longer than its own plug lasts',
    consequence:
      'The engine maker’s own number wears out before its own interval is over: the customer is told the plug’s life, and misfires if told the interval.',
  },
  'gauged-otherwise': {
    title: 'Gauged here otherwise than on paper',
    consequence:
      'Pieces at this counter measured, twice and alike, another figure than the catalogue gives: it is wrong, or the pieces are not what their number says.',
  },
  'leads-to-nothing': {
    title: 'Reference to a number nobody holds',
    consequence: 'The trail ends at a number that cannot be ordered.',
  },
  'filled-by-two': {
    title: 'One engine maker’s number, two makers’ parts',
    consequence: 'A set ordered under this number can arrive mixed.',
  },
} as const;
export type OtherRuleId = keyof typeof OTHER_RULES;

/** Title and consequence of a rule by its id; undefined for a rule of a release gone by. */
export function ruleOf(id: string): { readonly title: string; readonly consequence: string } | undefined {
  return (
    CLUSTER_RULES.find((rule) => rule.id === id) ??
    (OTHER_RULES as Record<string, { title: string; consequence: string }>)[id]
  );
}
