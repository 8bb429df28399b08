import { coilDistance } from '@brackenfell/core/coils/coil-distance';
import { judgeWhileBuildUnknown } from '@brackenfell/core/fitment/build-split';
import { CHECKS_BY_KIND } from '@brackenfell/core/kinds/checks-by-kind';
import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { judgeOverPositions, judgePart, type LineJudgement } from '@brackenfell/core/fitment/judge-part';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { compareInTray, trayPlacing } from '@brackenfell/core/fitment/ranking';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { VERDICTS, type Evidence, type Verdict } from '@brackenfell/core/fitment/verdict';
import { MOST_SLACK_MM } from '@brackenfell/core/leads/assign-leads';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { HeldOthers } from '../catalogue/fact-sheets.ts';
import type { Laid } from '../catalogue/keeping.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { alikePositions, readAsked, type Asked, type AskedPosition } from './asked.ts';
import { buildQuestion } from './build-question.ts';
import { layOnce } from './lay-once.ts';
import type { OthersQuestion } from './question.ts';
import type { FittedPart, JudgedCandidate, JudgedEngine } from './judge-plugs.ts';
import { readRuling } from '../ruling/ruling.ts';
import { standingBy } from './standing.ts';
import { answeredInAnyCase, type CandidateCounts } from './pick-candidates.ts';
import { findCoils, findLeadSets } from './store.ts';
import { findOnShelf, NO_STOCK, notLookedFor, readStock, shelfOf } from '../stock/store.ts';

type OtherKind = Exclude<PartKind, 'plug'>;
type Others = HeldOthers['others'];

/** Of those that nobody speaks for, as many as are nearest in form are judged; of so many more, those that are on the shelf. */
const MOST_BY_FORM = 60;
const MOST_LOOKED = 2000;

/** What of a tray does not depend on the shelf. It outlives the version it was laid at, and holds nothing of that version. */
interface LaidOthers extends Laid {
  readonly asked: Asked;
  /** Those that are judged wherever they lie. */
  readonly first: readonly string[];
  /** Those that are judged if they are on the shelf. */
  readonly further: ReadonlySet<string>;
  /** Of about the form, and among neither. */
  readonly beyond: number;
  /** In words, made once. */
  fitted(id: string): FittedPart;
}

async function layOthers(
  context: Context,
  held: HeldOthers,
  question: OthersQuestion & { readonly kind: OtherKind },
  units: UnitDisplay,
  db: Database,
): Promise<LaidOthers | undefined> {
  const { kind } = question;
  const asked = await readAsked(context, db, kind, question, held);
  if (!asked) return undefined;
  const byForm = question.only ? NOTHING : await findByForm(db, kind, asked, held.others);
  return layAsked(held.others, asked, byForm, question, units);
}

function layAsked(
  others: Others,
  asked: Asked,
  byForm: ByForm,
  question: OthersQuestion & { readonly kind: OtherKind },
  units: UnitDisplay,
): LaidOthers {
  const { kind, inHand } = question;
  const isOfKind = (id: string) => others.get(id)?.title.kind === kind;
  const singled = new Set(question.only ?? [...asked.reached, ...(inHand ? [inHand] : [])]);
  const formed = byForm.ids.filter((id) => !singled.has(id) && isOfKind(id));
  const places = placesOf(asked);
  const jobFacts = jobFactsOf(others, question);
  const say = sayIn(units);
  const sheetOf = (id: string) =>
    withReadings(question.found?.asIf?.get(id) ?? others.get(id)!.sheet, question.found?.ofPart.get(id) ?? []);
  const fit = (id: string): FittedPart => {
    const { place, evidence, judgement } = judgeAtBestPlace(
      asked,
      places,
      kind,
      id,
      { ...sheetOf(id), ...jobFacts },
      say,
    );
    return {
      sheet: sheetOf(id),
      judgement,
      evidence,
      servedAt: [...new Set(asked.positions.filter((p) => p.place === place).map(({ label }) => label))],
      place,
      listedBy: asked.listingAt(place, id),
      trail: asked.trails.get(id),
      bySizeOnly: !asked.reached.has(id),
    };
  };
  const known = new Map<string, FittedPart>();
  return {
    asked,
    first: [...[...singled].filter(isOfKind), ...formed.slice(0, MOST_BY_FORM)],
    further: new Set(formed.slice(MOST_BY_FORM)),
    beyond: byForm.all - byForm.ids.length,
    // Of these there are few, and a change of one is a change of all but plugs besides: every tray of them is laid anew.
    isTouchedBy: ({ ids }) => ids.size > 0,
    fitted: (id) => {
      const fitted = known.get(id) ?? fit(id);
      known.set(id, fitted);
      return fitted;
    },
  };
}

function countAll(parts: readonly FittedPart[], notJudged: number): CandidateCounts {
  const verdicts = Object.fromEntries(VERDICTS.map((verdict) => [verdict, 0])) as Record<Verdict, number>;
  for (const { judgement } of parts) verdicts[judgement.verdict] += 1;
  const bySize = parts.filter(({ bySizeOnly }) => bySizeOnly).length;
  return { ...verdicts, byReference: parts.length - bySize, bySize, notJudged };
}

/** Judges every coil, lead set, cap or rotor that could serve an engine (by reference, listing or form). */
export async function judgeOthers(
  context: Context,
  question: OthersQuestion & { readonly kind: OtherKind },
  units: UnitDisplay,
  db: Database,
): Promise<JudgedEngine | undefined> {
  const { kind } = question;
  const [held, ruling] = await Promise.all([context.sheets.withOthers(db), readRuling(db, question)]);
  const laid = await layOnce(held, question, ruling, units, () => layOthers(context, held, question, units, db));
  if (!laid) return undefined;
  const { asked, first, further } = laid;
  const onShelf = further.size === 0 ? [] : (await findOnShelf(db, kind)).filter((id) => further.has(id));
  const fitted = new Map([...first, ...onShelf].map((id) => [id, laid.fitted(id)]));
  const most = question.most ?? fitted.size;
  const stock = question.only ? NO_STOCK : await readStock(db, [...fitted.keys()]);
  const claimed = [...fitted].map(([id, { evidence }]) => ({ id, evidence }));
  const answered = answeredInAnyCase(claimed, question.inHand);
  const standing = standingBy(ruling.rules);
  const inOrder = () =>
    [...fitted]
      .map(([id, part]): JudgedCandidate => ({
        ...part,
        part: { ...(stock.get(id) ?? notLookedFor(id)), ...held.others.get(id)!.title },
        costOverServiceMinor: null,
      }))
      .sort((a, b) => compareInTray(rankOf(a, standing), rankOf(b, standing)))
      .filter(({ part }, i) => i < most || answered.has(part.id));
  let candidates: readonly JudgedCandidate[] | undefined;
  return {
    kind,
    laid,
    shelf: shelfOf(stock),
    ruling,
    engine: asked.engine,
    positions: asked.positions,
    everyPosition: asked.everyPosition,
    get candidates() {
      return (candidates ??= inOrder());
    },
    counts: countAll([...fitted.values()], laid.beyond + further.size - onShelf.length),
    edges: asked.edgesById,
    printed: asked.printed,
    scales: held.scales,
    catalogueVersion: held.version,
  };
}

const rankOf = ({ part, judgement, evidence }: JudgedCandidate, standing: (evidence: Evidence) => Evidence) => ({
  verdict: judgement.verdict,
  evidence: standing(evidence),
  closeness: judgement.closeness,
  onHand: part.on_hand ?? 0,
  costOverService: undefined,
  printed: part.printed,
});

interface AtPlace {
  readonly place: string;
  readonly evidence: Evidence;
  readonly judgement: LineJudgement;
}

/** A place of an engine, and by build the positions of it that ask the very same. */
interface Place {
  readonly place: string;
  readonly positions: readonly AskedPosition[];
  readonly builds: readonly { readonly build: string | null; readonly alike: readonly (readonly AskedPosition[])[] }[];
}

function placesOf({ positions }: Asked): readonly Place[] {
  return [...new Set(positions.map(({ place }) => place))].map((place) => {
    const here = positions.filter((position) => position.place === place);
    const builds = [...new Set(here.map(({ build }) => build))].map((build) => ({
      build,
      alike: alikePositions(here.filter((position) => position.build === build)),
    }));
    return { place, positions: here, builds };
  });
}

/** Where an engine takes different parts at different places, a part is judged at the one it suits best. */
function judgeAtBestPlace(
  asked: Asked,
  places: readonly Place[],
  kind: OtherKind,
  id: string,
  part: FactSheet,
  say: Say,
): AtPlace {
  const isSooner = (a: AtPlace, b: AtPlace): boolean =>
    trayPlacing(a.judgement.verdict, a.evidence, a.judgement.closeness) <
    trayPlacing(b.judgement.verdict, b.evidence, b.judgement.closeness);
  return places
    .map(({ place, positions, builds }): AtPlace => {
      const evidence = asked.evidenceAt(place, id);
      const forBuilds = builds.map(({ build, alike }) => ({
        build: build ?? 'any build',
        judgement: judgeOverPositions(
          alike.map((same) => ({
            labels: same.map(({ label }) => label),
            judgement: judgePart(CHECKS_BY_KIND[kind], { ...part, ...same[0]!.sheet }, evidence, say),
          })),
        ),
      }));
      const judgement =
        forBuilds.length === 1
          ? forBuilds[0]!.judgement
          : judgeWhileBuildUnknown(forBuilds, buildQuestion(positions, asked.engine.builds), evidence);
      return { place, evidence, judgement };
    })
    .reduce((best, one) => (isSooner(one, best) ? one : best));
}

interface ByForm {
  readonly ids: readonly string[];
  /** Of about that form, whether or not they are among the nearest. */
  readonly all: number;
}
const NOTHING: ByForm = { ids: [], all: 0 };

/** Coils and sets of leads of the form an engine asks, the nearest, whoever speaks for them. Caps and rotors come by reference alone. */
async function findByForm(db: Database, kind: OtherKind, { positions }: Asked, others: Others): Promise<ByForm> {
  const unique = <T>(values: readonly T[]): T[] => [...new Set(values)];
  const sheets = positions.map(({ sheet }) => sheet);
  if (kind === 'coil') {
    const found = await findCoils(db, {
      topologies: unique(sheets.flatMap((sheet) => rulingValue(sheet, 'coilAsked.topology') ?? [])),
      connectors: unique(sheets.flatMap((sheet) => rulingValue(sheet, 'coilAsked.connector') ?? [])),
      pins: unique(sheets.flatMap((sheet) => rulingValue(sheet, 'coilAsked.pinsCount') ?? [])),
    });
    if (found.ids.length <= MOST_BY_FORM) return found;
    const off = (id: string): number => {
      const coil = others.get(id)?.sheet;
      return coil === undefined ? Infinity : Math.min(...sheets.map((sheet) => coilDistance(coil, sheet)));
    };
    const far = new Map(found.ids.map((id) => [id, off(id)]));
    return { ...found, ids: found.ids.toSorted((a, b) => far.get(a)! - far.get(b)!).slice(0, MOST_LOOKED) };
  }
  const routes = rulingValue(sheets[0]!, 'leadsAsked.routes');
  if (kind !== 'lead-set' || routes === undefined) return NOTHING;
  const longestMm = Math.max(...routes.map(({ routedMm }) => routedMm));
  const mostSlackMm = rulingValue(sheets[0]!, 'leadsAsked.mostSlackMm') ?? MOST_SLACK_MM;
  return findLeadSets(db, { ways: routes.length, longestMm, mostSlackMm }, MOST_LOOKED);
}

/** What this job settles beside the part: coils that stay, and the other half of cap and rotor. */
function jobFactsOf(others: Others, { staying, beside }: OthersQuestion): FactSheet {
  const source = { rank: 'gauged', name: 'This job' } as const;
  const other = beside === undefined ? undefined : others.get(beside)?.sheet;
  const family = other && (rulingValue(other, 'cap.family') ?? rulingValue(other, 'rotor.family'));
  return {
    ...(staying === undefined ? {} : { 'job.revisionStaying': { ruling: [{ value: staying, source }] } }),
    ...(family === undefined ? {} : { 'job.otherHalfFamily': { ruling: [{ value: family, source }] } }),
  };
}
