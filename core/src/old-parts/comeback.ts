import {
  COMEBACK_CHECK_IDS,
  comebackCheck,
  TOUCHED_GROUPS,
  type ComebackCheckId,
  type HowSoon,
  type Misfire,
  type Needs,
  type TouchedGroup,
  type When,
} from './comeback-checks.ts';

/** What a check came to: right as somebody told, right as it was seen here, or what was wrong. */
export const COMEBACK_RESULTS = ['told-right', 'seen-right', 'wrong'] as const;
export type ComebackResult = (typeof COMEBACK_RESULTS)[number];

export const LAMPS = ['off', 'steady', 'flashing'] as const;
export type Lamp = (typeof LAMPS)[number];

export interface Comeback {
  readonly howSoon: HowSoon;
  readonly misfire: Misfire;
  readonly when: readonly When[];
  readonly lamp: Lamp;
  /** Groups that were not touched; what nobody has said counts as touched. */
  readonly untouched: readonly TouchedGroup[];
  /** A plug fell while it was fitted, as somebody told. */
  readonly isToldDropped: boolean;
  /** What a misfire code that was read here says; it outranks what was told. */
  readonly codeSays?: Misfire | undefined;
  readonly results: Readonly<Partial<Record<ComebackCheckId, ComebackResult>>>;
}

/** What the engine has: a check of what it cannot have is dropped. */
export type HasHere = Readonly<Record<Needs, boolean>>;

export interface RankedCheck {
  readonly id: ComebackCheckId;
  readonly minutes: number;
  readonly weight: number;
  /** By this the work is ordered. */
  readonly perMinute: number;
  readonly result: ComebackResult | undefined;
}

export interface ComebackAnswer {
  readonly ranked: readonly RankedCheck[];
  readonly next: RankedCheck | undefined;
  /** By weight alone; it may take longer than what is done first. */
  readonly likeliest: RankedCheck | undefined;
  readonly found: ComebackCheckId | undefined;
  /** Before any check: unburnt fuel overheats the catalyst. */
  readonly stop: boolean;
  /** Nothing is sold: what was touched is undone first. */
  readonly sell: string | null;
}

/** Right as told keeps a tenth; seen here it is out. */
const TOLD_RIGHT = 0.1;
const NOT_TOUCHED = 0.1;

function weightOf(id: ComebackCheckId, comeback: Comeback): number {
  const { group, weights, factors } = comebackCheck(id);
  const misfire = comeback.codeSays ?? comeback.misfire;
  const named = [misfire, ...comeback.when, ...(comeback.isToldDropped ? (['dropped'] as const) : [])];
  const symptom = named.reduce((product, name) => product * (factors[name] ?? 1), 1);
  const touched = group !== null && comeback.untouched.includes(group) ? NOT_TOUCHED : 1;
  const result = comeback.results[id];
  const seen = result === 'seen-right' ? 0 : result === 'told-right' ? TOLD_RIGHT : 1;
  return weights[comeback.howSoon] * symptom * touched * seen;
}

/**
 * The checks after work that came back, in the order of weight by minute. What was touched is undone before anything is
 * sold: until something was seen wrong, nothing is. A lamp that flashes stops it before any check. Old parts: Comeback.
 */
export function answerComeback(comeback: Comeback, has: HasHere): ComebackAnswer {
  const ranked = COMEBACK_CHECK_IDS.filter((id) => {
    const { needs } = comebackCheck(id);
    return needs === undefined || has[needs];
  })
    .map((id): RankedCheck => {
      const weight = weightOf(id, comeback);
      const { minutes } = comebackCheck(id);
      return { id, minutes, weight, perMinute: weight / minutes, result: comeback.results[id] };
    })
    .sort((a, b) => b.perMinute - a.perMinute || COMEBACK_CHECK_IDS.indexOf(a.id) - COMEBACK_CHECK_IDS.indexOf(b.id));
  const open = ranked.filter(({ weight, result }) => weight > 0 && result !== 'wrong');
  const found = ranked.find(({ result }) => result === 'wrong')?.id;
  return {
    ranked,
    next: found === undefined ? open[0] : undefined,
    likeliest: [...open].sort((a, b) => b.weight - a.weight)[0],
    found,
    stop: comeback.lamp === 'flashing',
    sell: found === undefined ? null : comebackCheck(found).sells,
  };
}

/** Groups a job on parts touches, as far as its slip tells: plugs are not reached without boots and connectors. */
export function touchedBy(kinds: readonly string[]): readonly TouchedGroup[] {
  const touched = new Set<TouchedGroup>();
  if (kinds.includes('plug'))
    for (const group of ['plugs', 'boots', 'connectors', 'leads'] as const) touched.add(group);
  if (kinds.includes('coil')) for (const group of ['coils', 'boots', 'connectors'] as const) touched.add(group);
  if (kinds.includes('lead-set')) for (const group of ['leads', 'boots'] as const) touched.add(group);
  if (kinds.includes('cap') || kinds.includes('rotor'))
    for (const group of ['cap', 'leads'] as const) touched.add(group);
  return TOUCHED_GROUPS.filter((group) => touched.has(group));
}

/** Up to so far it came back at once, and up to so far within its first distance, km. */
const [AT_ONCE_KM, WITHIN_KM] = [50, 1000];

/** How soon work came back, by what was run since, in km; at once where nobody knows. */
export const howSoonAfter = (sinceKm: number | undefined): HowSoon =>
  sinceKm === undefined || sinceKm <= AT_ONCE_KM ? 'once' : sinceKm <= WITHIN_KM ? 'within' : 'later';

/** Groups that an engine can have been touched at. */
export const groupsHere = (has: HasHere): readonly TouchedGroup[] =>
  TOUCHED_GROUPS.filter((group) => !(group in has) || has[group as Needs]);
