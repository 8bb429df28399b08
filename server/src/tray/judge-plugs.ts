import type { AuditedPlug } from '@brackenfell/core/catalogue-audit/rules';
import { auditedPlug } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { LineJudgement } from '@brackenfell/core/fitment/judge-part';
import { compareInTray, type Rankable } from '@brackenfell/core/fitment/ranking';
import { couldServeAny, plugsBySize } from '@brackenfell/core/plugs/screening/by-size';
import type { PlugColumns } from '@brackenfell/core/plugs/screening/plug-columns';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Evidence } from '@brackenfell/core/fitment/verdict';
import type { Trail } from '@brackenfell/core/interchange/trail';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import type { PartTitle } from '../catalogue/fact-store.ts';
import type { HeldPlugs } from '../catalogue/fact-sheets.ts';
import type { Laid } from '../catalogue/keeping.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import type { StoredEdge } from '../interchange/store.ts';
import { alikePositions, readAsked, type Asked, type AskedPosition } from './asked.ts';
import { COST_FACTS, costOverServiceMinor } from './cost.ts';
import { layOnce } from './lay-once.ts';
import { layOut } from './lay-out.ts';
import {
  answeredInAnyCase,
  countAll,
  pickFirst,
  type CandidateCounts,
  type ScreenedCandidate,
} from './pick-candidates.ts';
import { readRuling, type Ruling } from '../ruling/ruling.ts';
import { standingBy } from './standing.ts';
import type { PlugsQuestion } from './question.ts';
import { NO_STOCK, notLookedFor, readStock, shelfOf } from '../stock/store.ts';

export interface TrayPart extends PartTitle {
  readonly id: string;
  /** Free to sell: held pieces are not counted. */
  readonly on_hand: number | null;
  readonly held: number;
  /** Of those, what was looked at and is not proven. */
  readonly unproven: number;
  readonly bin: string | null;
  readonly each_minor: number | null;
  readonly pack_of: number;
}

/** A part and how it fits, wherever it lies and whatever it costs. */
export interface FittedPart {
  readonly sheet: FactSheet;
  readonly judgement: LineJudgement;
  readonly evidence: Evidence;
  readonly listedBy: string | null;
  readonly trail: Trail | undefined;
  readonly bySizeOnly: boolean;
  /** Labels of the positions it was judged for: all, or those of the one place it suits best where places differ. */
  readonly servedAt: readonly string[];
  readonly place: string;
}

export interface JudgedCandidate extends FittedPart {
  readonly part: TrayPart;
  readonly costOverServiceMinor: number | null;
}

export interface JudgedEngine {
  readonly kind: PartKind;
  /** The same as long as the same tray is laid out: what was told of its parts is kept by it. */
  readonly laid: object;
  /** What lies where and what it costs, as it was read for this answer: with what is laid, all that a tray tells. */
  readonly shelf: string;
  readonly ruling: Ruling;
  readonly engine: Asked['engine'];
  readonly positions: readonly AskedPosition[];
  readonly everyPosition: readonly AskedPosition[];
  /** In the tray's order, the first `most` of all. */
  readonly candidates: readonly JudgedCandidate[];
  /** Everything that was looked at. */
  readonly counts: CandidateCounts;
  readonly edges: ReadonlyMap<string, StoredEdge>;
  readonly printed: ReadonlyMap<string, string>;
  /** What a number of a trail is compared by; undefined for what is no plug. */
  readonly comparedAs?: (partId: string) => AuditedPlug | undefined;
  readonly scales: HeatScales;
  readonly catalogueVersion: string;
}

/** What of a tray does not depend on the shelf. It outlives the version it was laid at, and holds nothing of that version. */
interface LaidPlugs extends Laid {
  readonly asked: Asked;
  /** Those that can be among the first, wherever they lie. */
  readonly chosen: readonly ScreenedCandidate[];
  readonly answered: ReadonlySet<string>;
  readonly most: number;
  readonly counts: CandidateCounts;
  /** In words, made once. */
  fitted(screened: ScreenedCandidate): FittedPart;
}

/** Screens every plug that could serve an engine. Undefined without such an engine or position. */
async function layPlugs(
  context: Context,
  held: HeldPlugs,
  ruling: Ruling,
  question: PlugsQuestion,
  units: UnitDisplay,
  db: Database,
): Promise<LaidPlugs | undefined> {
  const asked = await readAsked(context, db, 'plug', question, held);
  return asked && layAsked(held.plugs, asked, ruling, question, units);
}

function layAsked(
  plugs: PlugColumns,
  asked: Asked,
  ruling: Ruling,
  question: PlugsQuestion,
  units: UnitDisplay,
): LaidPlugs {
  const bench = layOut(plugs, asked, ruling, question.found);
  const { inHand } = question;
  const isPlug = (id: string) => plugs.placeOf(id) !== undefined;
  const read = question.found?.ofPart.keys() ?? [];
  // What is no plug yet, as far as is known here, may become one.
  const singledOut = new Set(question.only ?? [...asked.reached, ...(inHand ? [inHand] : []), ...read]);
  const singled = [...singledOut].filter(isPlug);
  const sheets = alikePositions(asked.positions).map(([first]) => first!.sheet);
  const others = question.only
    ? new Uint32Array()
    : plugsBySize(plugs, sheets, new Set(singled.map((id) => plugs.placeOf(id)!)));
  const screened = singled.map((id) => bench.screen(id));
  const bySize = bench.screenAll(others);
  const most = question.most ?? singled.length + others.length;
  const answered = answeredInAnyCase(screened, inHand);
  const explain = bench.explainIn(units);
  const known = new Map<string, FittedPart>();
  const fit = ({ id, place, evidence }: ScreenedCandidate): FittedPart => {
    const sheet = bench.sheetOf(id);
    return {
      sheet,
      judgement: explain(id, sheet, place),
      servedAt: asked.positions.filter((p) => p.place === place).map(({ label }) => label),
      place,
      evidence,
      listedBy: asked.listingAt(place, id),
      trail: asked.trails.get(id),
      bySizeOnly: !asked.reached.has(id),
    };
  };
  return {
    asked,
    chosen: pickFirst(screened, bySize, most, answered, standingBy(ruling.rules)),
    answered,
    most,
    counts: countAll(screened, bySize, asked.reached),
    isTouchedBy: ({ ids, sizes }) =>
      [...singledOut].some((id) => ids.has(id)) || sizes.some((size) => couldServeAny(size, sheets)),
    fitted: (screened) => {
      const fitted = known.get(screened.id) ?? fit(screened);
      known.set(screened.id, fitted);
      return fitted;
    },
  };
}

/** Judges every plug that could serve an engine (by reference, listing or size). Undefined without such an engine or position. */
export async function judgePlugs(
  context: Context,
  question: PlugsQuestion,
  units: UnitDisplay,
  db: Database,
): Promise<JudgedEngine | undefined> {
  const [held, ruling] = await Promise.all([context.sheets.withPlugs(db), readRuling(db, question)]);
  const laid = await layOnce(held, { ...question, kind: 'plug' }, ruling, units, () =>
    layPlugs(context, held, ruling, question, units, db),
  );
  if (!laid) return undefined;
  const { asked, chosen, answered, most } = laid;
  const standing = standingBy(ruling.rules);
  const ids = chosen.map(({ id }) => id);
  const stock = question.only ? NO_STOCK : await readStock(db, ids);
  const inOrder = () =>
    chosen
      .map((screened) => {
        const place = held.plugs.placeOf(screened.id)!;
        const part: TrayPart = { ...(stock.get(screened.id) ?? notLookedFor(screened.id)), ...held.titles[place]! };
        const costFacts = Object.fromEntries(COST_FACTS.map((fact) => [fact, held.plugs.factOf(place, fact)]));
        const cost = costOverServiceMinor(asked.positions, costFacts, part.each_minor);
        const { verdict, closeness, evidence } = screened;
        const onHand = part.on_hand ?? 0;
        const rank: Rankable = {
          verdict,
          evidence: standing(evidence),
          closeness,
          onHand,
          costOverService: cost,
          printed: part.printed,
        };
        return { screened, part, cost, rank };
      })
      .sort((a, b) => compareInTray(a.rank, b.rank))
      .filter(({ part }, i) => i < most || answered.has(part.id))
      .map(({ screened, part, cost }): JudgedCandidate => ({
        ...laid.fitted(screened),
        part,
        costOverServiceMinor: cost ?? null,
      }));
  let candidates: readonly JudgedCandidate[] | undefined;
  const compared = new Map<string, AuditedPlug | undefined>();
  const comparedAs = (partId: string): AuditedPlug | undefined => {
    const place = held.plugs.placeOf(partId);
    if (place !== undefined && !compared.has(partId)) compared.set(partId, auditedPlug(held.plugs.sheetOf(place)));
    return compared.get(partId);
  };
  return {
    kind: 'plug',
    laid,
    shelf: shelfOf(stock),
    ruling,
    engine: asked.engine,
    positions: asked.positions,
    everyPosition: asked.everyPosition,
    get candidates() {
      return (candidates ??= inOrder());
    },
    counts: laid.counts,
    edges: asked.edgesById,
    printed: asked.printed,
    comparedAs,
    scales: held.scales,
    catalogueVersion: held.version,
  };
}
