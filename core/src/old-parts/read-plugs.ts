import type { ToldByCompression } from '../compression/log.ts';
import { CAUSE_IDS, CAUSES, type CauseId, type PlugCheck, type SoldThing } from './causes.ts';
import { factorOf, patternsOf, type Pattern, type Standing } from './patterns.ts';
import { COMPRESSION_POINTS, CONTEXTS, givenBy, SIGN_IDS, SIGNS, type ContextId, type SignId } from './signs.ts';
import { lowerFirst } from '../words/case.ts';

/** What was read of one cylinder's plug; a line that was not looked at has no sign. */
export interface CylinderRead {
  readonly cylinder: number;
  /** Which of a cylinder's plugs; undefined where it has one. */
  readonly place?: string | undefined;
  readonly signs: readonly SignId[];
  /** In mm, as it came out. */
  readonly gapMm?: number | undefined;
}

/** What became of a check: it bears the cause out, it does not, or it could not be told. */
export const CHECK_RESULTS = ['found', 'not-found', 'cannot-tell'] as const;
export type CheckResult = (typeof CHECK_RESULTS)[number];

export interface PlugReading {
  readonly cylinders: readonly CylinderRead[];
  readonly context: readonly ContextId[];
  /** What a compression log says to them; undefined where nobody has logged it, or it does not decide. */
  readonly compression?: ToldByCompression | undefined;
  readonly results: Readonly<Partial<Record<CauseId, CheckResult>>>;
}

/** The engine as far as the reading goes by it. */
export interface ReadEngine extends Standing {
  readonly hasChargeCooler: boolean;
  /** Largest gap it may run, in mm; undefined where it is not known. */
  readonly gapLimitMm: number | undefined;
}

export interface RankedCause {
  readonly cause: CauseId;
  readonly points: number;
  readonly cylinders: readonly number[];
  /** The one side that shows it, where a cylinder has two plugs and both sides were read. */
  readonly onlyAt: string | undefined;
  readonly patterns: readonly Pattern[];
  /** Each thing that spoke for it, with its points. */
  readonly by: readonly { readonly says: string; readonly points: number }[];
}

export interface PlugAnswer {
  readonly ranked: readonly RankedCause[];
  /** Separates the first two, or proves the first: the cheapest that was not done. */
  readonly next: (PlugCheck & { readonly of: CauseId }) | undefined;
  /** Nothing is sold before it. */
  readonly separateFirst: boolean;
  /** Nothing is started or driven before it is looked at. */
  readonly stop: boolean;
  readonly sell: readonly SoldThing[];
  readonly notYet: readonly SoldThing[];
  readonly says: string;
}

/** From so much of the first's points on, a second cause has to be told from it. */
const NEAR = 0.75;
const COOLER_FITTED: ContextId = 'charge-cooler';

/** The signs of a cylinder, wear read off the gap among them: it is measured, not guessed. */
function signsOf({ signs, gapMm }: CylinderRead, { gapLimitMm }: ReadEngine): readonly SignId[] {
  if (gapMm === undefined || gapLimitMm === undefined) return signs;
  const others = signs.filter((id) => id !== 'grown');
  return gapMm > gapLimitMm + 1e-9 ? [...others, 'grown'] : others;
}

/** The tables a reading goes by: points of a sign for a cause, and the factor of a cause in a pattern. */
export interface ReadingTables {
  readonly points: (sign: SignId, cause: CauseId) => number | undefined;
  readonly factor: (cause: CauseId, patterns: readonly Pattern[]) => number;
}
export const TABLES: ReadingTables = { points: (sign, cause) => givenBy(sign)[cause], factor: factorOf };

/** The place that all of some plugs share, where others were read at another place. */
function sideOf(some: readonly CylinderRead[], all: readonly CylinderRead[]): string | undefined {
  const places = new Set(some.map(({ place }) => place));
  return places.size === 1 && new Set(all.map(({ place }) => place)).size > 1 ? [...places][0] : undefined;
}

/** One cause with all that speaks for it. Undefined where no sign does: context alone is no cause. */
function weigh(
  cause: CauseId,
  reading: PlugReading,
  engine: ReadEngine,
  { points: pointsOf, factor }: ReadingTables,
): RankedCause | undefined {
  const low = cause === 'gasket' && reading.compression?.kind === 'neighbours-low' ? reading.compression.cylinders : [];
  const of = reading.cylinders
    .map((read) => ({ ...read, signs: signsOf(read, engine).filter((id) => pointsOf(id, cause)) }))
    .filter(({ signs }) => signs.length > 0);
  const signs = SIGN_IDS.filter((id) => of.some((one) => one.signs.includes(id)));
  if (signs.length === 0 && low.length === 0) return undefined;
  const known = [...reading.context, ...(engine.hasChargeCooler ? [COOLER_FITTED] : [])];
  const by = [
    ...signs.map((id) => ({ says: SIGNS[id].title, points: pointsOf(id, cause)! })),
    ...(low.length > 0 ? [{ says: 'two neighbours low', points: COMPRESSION_POINTS.neighboursLow }] : []),
    ...(cause === 'gasket' && reading.compression?.kind === 'good'
      ? [{ says: 'compression good', points: COMPRESSION_POINTS.good }]
      : []),
    ...[...new Set(known)].flatMap((id) => {
      const points = (CONTEXTS[id].gives as Partial<Record<CauseId, number>>)[cause];
      return points === undefined ? [] : [{ says: CONTEXTS[id].title, points }];
    }),
  ];
  // Two low neighbours are a sign of their own, at those two.
  const cylinders = [...new Set([...of.map(({ cylinder }) => cylinder), ...low])].sort((a, b) => a - b);
  const patterns = patternsOf(cylinders, engine);
  const sum = by.reduce((total, { points }) => total + points, 0);
  return {
    cause,
    points: sum * factor(cause, patterns),
    cylinders,
    onlyAt: sideOf(of, reading.cylinders),
    patterns,
    by,
  };
}

const isSettled = (reading: PlugReading, cause: CauseId): boolean => {
  const result = reading.results[cause];
  return result === 'found' || result === 'not-found';
};

/**
 * The causes of a reading, the likeliest first. What a check bore out stands first, what it did not is left out.
 * Old parts: Ranking.
 */
export function rankCauses(
  reading: PlugReading,
  engine: ReadEngine,
  tables: ReadingTables = TABLES,
): readonly RankedCause[] {
  return CAUSE_IDS.filter((cause) => reading.results[cause] !== 'not-found')
    .filter((cause) => cause !== 'cooler' || engine.hasChargeCooler)
    .flatMap((cause) => weigh(cause, reading, engine, tables) ?? [])
    .filter(({ points }) => points > 0)
    .sort(
      (a, b) =>
        Number(reading.results[b.cause] === 'found') - Number(reading.results[a.cause] === 'found') ||
        b.points - a.points ||
        CAUSE_IDS.indexOf(a.cause) - CAUSE_IDS.indexOf(b.cause),
    );
}

/** Every gap that speaks was measured: wear needs no other proof. */
const isGauged = ({ cylinders }: PlugReading, { gapLimitMm }: ReadEngine): boolean =>
  gapLimitMm !== undefined && cylinders.every(({ signs, gapMm }) => signs.length === 0 || gapMm !== undefined);

/**
 * What the plugs say: causes ranked, the next check, what may be sold and what not yet. Where a second cause reaches three
 * quarters of the first, or a pair are neighbours too, nothing is sold before the check that separates them; a healthy look
 * never holds a sale back, and wear is settled by the gap against its limit. Old parts: What is sold.
 */
export function answerReading(reading: PlugReading, engine: ReadEngine): PlugAnswer {
  const ranked = rankCauses(reading, engine);
  const ills = ranked.filter(({ cause }) => cause !== 'healthy');
  const [first, second] = ills;
  if (!first) {
    const isRead = ranked.length > 0;
    return {
      ranked,
      next: undefined,
      separateFirst: false,
      stop: false,
      sell: [],
      notYet: [],
      says: isRead ? CAUSES.healthy.advice : 'Nothing is read yet.',
    };
  }
  const wornIsSettled = isGauged(reading, engine);
  const isProven = reading.results[first.cause] === 'found' || (first.cause === 'worn' && wornIsSettled);
  const blocks = second !== undefined && !(second.cause === 'worn' && wornIsSettled);
  const coincides = first.patterns.includes('pair') && first.patterns.includes('neighbours');
  const isNear = blocks && second.points >= NEAR * first.points - 1e-9;
  const separateFirst = !isProven && (isNear || (coincides && reading.compression === undefined));
  const asked =
    coincides && reading.compression === undefined
      ? (['gasket', ...ills.map(({ cause }) => cause)] as const)
      : ills.map(({ cause }) => cause);
  const proofs = asked
    .slice(0, 2)
    .filter((cause) => reading.results[cause] === undefined && !(cause === 'worn' && wornIsSettled))
    .flatMap((of) => {
      const check = CAUSES[of].check;
      return check ? [{ ...check, of }] : [];
    })
    .sort((a, b) => a.minutes - b.minutes);
  const later = ills
    .filter(({ cause }) => reading.results[cause] === undefined)
    .flatMap(({ cause }) => (CAUSES[cause].check ? [{ ...CAUSES[cause].check, of: cause }] : []));
  const compression =
    coincides && reading.compression === undefined ? proofs.find(({ of }) => of === 'gasket') : undefined;
  const next = isProven ? undefined : (compression ?? proofs[0] ?? later[0]);
  const stop = ills.some(({ cause }) => cause === 'strike') && !isSettled(reading, 'strike');
  const holds = separateFirst || stop;
  const { title, advice, sells, notYet } = CAUSES[first.cause];
  const held = holds
    ? [...new Set(ills.slice(0, 2).flatMap(({ cause }) => [...CAUSES[cause].sells, ...CAUSES[cause].notYet]))]
    : notYet;
  return {
    ranked,
    next,
    separateFirst,
    stop,
    sell: holds ? [] : sells,
    notYet: [...held],
    says:
      separateFirst && second
        ? `${title} or ${lowerFirst(CAUSES[second.cause].title)}: to be told apart before anything is sold.`
        : `${isProven ? 'Found' : 'Likely'}: ${lowerFirst(title)}. ${advice}`,
  };
}
