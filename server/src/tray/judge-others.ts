import { judgeWhileBuildUnknown } from '@brackenfell/core/fitment/build-split';
import { CHECKS_BY_KIND } from '@brackenfell/core/kinds/checks-by-kind';
import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { judgeOverPositions, judgePart, type LineJudgement } from '@brackenfell/core/fitment/judge-part';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { compareInTray, trayPlacing } from '@brackenfell/core/fitment/ranking';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import type { Evidence, Verdict } from '@brackenfell/core/fitment/verdict';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { HeldOthers } from '../catalogue/fact-sheets.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { alikePositions, readAsked, type Asked, type AskedPosition } from './asked.ts';
import { buildQuestion } from './build-question.ts';
import { layOnce } from './lay-once.ts';
import type { OthersQuestion } from './question.ts';
import type { FittedPart, JudgedCandidate, JudgedEngine } from './judge-plugs.ts';
import { readRuling } from '../ruling/ruling.ts';
import { standingBy } from './standing.ts';
import { findByForm } from './store.ts';
import { NO_STOCK, notLookedFor, readStock } from '../stock/store.ts';

type OtherKind = Exclude<PartKind, 'plug'>;

/** What of a tray does not depend on the shelf. */
interface LaidOthers {
  readonly asked: Asked<HeldOthers>;
  readonly fitted: ReadonlyMap<string, FittedPart>;
}

async function layOthers(
  context: Context,
  held: HeldOthers,
  question: OthersQuestion & { readonly kind: OtherKind },
  units: UnitDisplay,
  db: Database,
): Promise<LaidOthers | undefined> {
  const { kind, inHand } = question;
  const asked = await readAsked(context, db, kind, question, held);
  if (!asked) return undefined;
  const { others } = held;
  const byForm = question.only ? [] : await findByForm(db, kind, formOf(asked.positions));
  const singled = question.only ?? [...new Set([...asked.reached, ...(inHand ? [inHand] : []), ...byForm])];
  const ids = singled.filter((id) => others.get(id)?.title.kind === kind);
  const jobFacts = jobFactsOf(asked, question);
  const say = sayIn(units);
  const sheetOf = (id: string) =>
    withReadings(question.found?.asIf?.get(id) ?? others.get(id)!.sheet, question.found?.ofPart.get(id) ?? []);
  const fit = (id: string): FittedPart => {
    const { place, evidence, judgement } = judgeAtBestPlace(asked, kind, id, { ...sheetOf(id), ...jobFacts }, say);
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
  return { asked, fitted: new Map(ids.map((id) => [id, fit(id)])) };
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
  const { asked, fitted } = laid;
  const stock = question.only ? NO_STOCK : await readStock(db, [...fitted.keys()]);
  const standing = standingBy(ruling.rules);
  const candidates = [...fitted]
    .map(([id, part]): JudgedCandidate => ({
      ...part,
      part: { ...(stock.get(id) ?? notLookedFor(id)), ...held.others.get(id)!.title },
      costOverServiceMinor: null,
    }))
    .sort((a, b) => compareInTray(rankOf(a, standing), rankOf(b, standing)));
  const count = (verdict: Verdict) => candidates.filter((c) => c.judgement.verdict === verdict).length;
  return {
    kind,
    laid,
    ruling,
    engine: asked.engine,
    positions: asked.positions,
    everyPosition: asked.everyPosition,
    candidates,
    counts: {
      byReference: candidates.filter((c) => !c.bySizeOnly).length,
      bySize: candidates.filter((c) => c.bySizeOnly).length,
      sell: count('sell'),
      'sell-with-advice': count('sell-with-advice'),
      'ask-first': count('ask-first'),
      'needs-supervisor': count('needs-supervisor'),
      refuse: count('refuse'),
    },
    edges: new Map(asked.edges.map((edge) => [edge.id, edge])),
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

/** Where an engine takes different parts at different places, a part is judged at the one it suits best. */
function judgeAtBestPlace(asked: Asked, kind: OtherKind, id: string, part: FactSheet, say: Say): AtPlace {
  const places = [...new Set(asked.positions.map(({ place }) => place))];
  const isSooner = (a: AtPlace, b: AtPlace): boolean =>
    trayPlacing(a.judgement.verdict, a.evidence, a.judgement.closeness) <
    trayPlacing(b.judgement.verdict, b.evidence, b.judgement.closeness);
  return places
    .map((place): AtPlace => {
      const evidence = asked.evidenceAt(place, id);
      const here = asked.positions.filter((position) => position.place === place);
      const builds = [...new Set(here.map(({ build }) => build))];
      const forBuilds = builds.map((build) => ({
        build: build ?? 'any build',
        judgement: judgeOverPositions(
          alikePositions(here.filter((position) => position.build === build)).map((alike) => ({
            labels: alike.map(({ label }) => label),
            judgement: judgePart(CHECKS_BY_KIND[kind], { ...part, ...alike[0]!.sheet }, evidence, say),
          })),
        ),
      }));
      const judgement =
        forBuilds.length === 1
          ? forBuilds[0]!.judgement
          : judgeWhileBuildUnknown(forBuilds, buildQuestion(here, asked.engine.builds), evidence);
      return { place, evidence, judgement };
    })
    .reduce((best, one) => (isSooner(one, best) ? one : best));
}

/** What an engine plainly asks of a part, to look for others of that form. */
function formOf(positions: readonly AskedPosition[]) {
  const unique = <T>(values: readonly T[]): T[] => [...new Set(values)];
  return {
    topologies: unique(positions.flatMap(({ sheet }) => rulingValue(sheet, 'coilAsked.topology') ?? [])),
    connectors: unique(positions.flatMap(({ sheet }) => rulingValue(sheet, 'coilAsked.connector') ?? [])),
    pins: unique(positions.flatMap(({ sheet }) => rulingValue(sheet, 'coilAsked.pinsCount') ?? [])),
    leads: rulingValue(positions[0]!.sheet, 'leadsAsked.routes')?.length ?? 0,
  };
}

/** What this job settles beside the part: coils that stay, and the other half of cap and rotor. */
function jobFactsOf({ held }: Asked<HeldOthers>, { staying, beside }: OthersQuestion): FactSheet {
  const source = { rank: 'gauged', name: 'This job' } as const;
  const other = beside === undefined ? undefined : held.others.get(beside)?.sheet;
  const family = other && (rulingValue(other, 'cap.family') ?? rulingValue(other, 'rotor.family'));
  return {
    ...(staying === undefined ? {} : { 'job.revisionStaying': { ruling: [{ value: staying, source }] } }),
    ...(family === undefined ? {} : { 'job.otherHalfFamily': { ruling: [{ value: family, source }] } }),
  };
}
