import { isDeepStrictEqual } from 'node:util';
import { readDuty } from '@brackenfell/core/duty/duty-text';
import type { SharedFinding } from '@brackenfell/core/fitment/judge-part';
import { PART_KINDS, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import { figuresFor } from '@brackenfell/core/set-up/figures';
import type { SetUpFigures } from '@brackenfell/core/set-up/told-figures';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Verdict } from '@brackenfell/core/fitment/verdict';
import type { ShopRules } from '@brackenfell/core/house-rules/settle-rules';
import type { RuleId } from '@brackenfell/core/house-rules/house-rules';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Writing } from '../db/database.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import type { JudgedCandidate, JudgedEngine } from '../tray/judge-plugs.ts';
import { findingView } from '../tray/present.ts';
import { readTogether } from '../db/together.ts';
import { foundOf, layFound, type FoundHere } from '../reading/store.ts';
import { reopenReady } from './move-store.ts';
import { type SlipRow } from './store.ts';
import { addJudgement, changeLineRow, linesOf, type LineRow } from './line-store.ts';

interface Asked {
  readonly kind: PartKind;
  readonly partIds: readonly string[];
  readonly positionId?: string | undefined;
  readonly units: UnitDisplay;
  readonly found: FoundHere;
  readonly shop?: ShopRules;
}

/** Cap and rotor are judged beside each other where both are on the slip. */
const OTHER_HALF: Partial<Record<PartKind, PartKind>> = { cap: 'rotor', rotor: 'cap' };

/** Judges parts of one kind for the slip's engine, its build and what else is on it. Undefined without such a position. */
export async function judgeForSlip(
  context: Context,
  trx: Writing,
  slip: SlipRow & { readonly engine_id: string },
  lines: readonly LineRow[],
  { kind, partIds, positionId, units, found, shop }: Asked,
): Promise<JudgedEngine | undefined> {
  const beside = lines.find((line) => line.part_kind === OTHER_HALF[kind])?.part_id;
  const question = {
    kind,
    engineId: slip.engine_id,
    build: slip.build ?? undefined,
    duty: readDuty(slip.duty),
    staying: slip.revision_staying ?? undefined,
    positionId,
    beside,
    only: partIds,
    found,
    shop,
  };
  return judgeEngine(context, question, units, trx);
}

/** Why a line is judged again: what the slip is for has changed, a piece was read, or a house rule was chosen. */
export type Cause = 'slip' | 'reading' | `rule:${RuleId}`;

/** A judgement as it is kept: what was told, by whom, at which state of catalogue and rules. */
export function toldRow(
  staff: Staff,
  judged: JudgedEngine,
  candidate: JudgedCandidate,
  { cause, found }: { readonly cause: Cause | null; readonly found: FoundHere },
) {
  const figures = figuresToSet(judged, candidate, found);
  return {
    staff_id: staff.id,
    catalogue_version: judged.catalogueVersion,
    rules_version: judged.ruling.rules.version,
    cause,
    ...told(candidate),
    set_up: figures.length > 0 ? JSON.stringify(figures) : null,
  };
}

/** What a plug is to be set to at each of its places; nothing for what is refused or no plug. */
function figuresToSet(
  { kind, positions, ruling }: JudgedEngine,
  { place, sheet, judgement }: JudgedCandidate,
  found: FoundHere,
): readonly SetUpFigures[] {
  if (kind !== 'plug' || judgement.verdict === 'refuse') return [];
  const places = positions
    .filter((position) => position.place === place)
    .map(({ label, sheet: paper }) => {
      const onPaper = withReadings(paper, found.ofVehicle);
      return { label, onPaper, asked: ruling.apply(onPaper) };
    });
  return figuresFor(places, sheet, ruling.duty, (asked, plug) => ruling.settle(asked, plug));
}

/** What would be stored of a judgement. */
function told({ judgement: { findings, verdict }, evidence }: JudgedCandidate) {
  const views = findings.map(findingView);
  return { verdict, reason: reasonPhrase(findings, verdict, evidence), findings: JSON.stringify(views) };
}

/**
 * A finding without its words, which depend on the reader's units; keys in order, as the database may have turned them. Which
 * school holds is no other telling where all is as it should be.
 */
const bare = ({
  outcome,
  caseId,
  figures,
  onlyAt,
}: Pick<SharedFinding, 'outcome' | 'caseId' | 'figures' | 'onlyAt'>) => {
  const told = Object.entries(figures).filter(([name]) => name !== 'rule' || outcome !== 'match');
  return JSON.stringify([outcome, caseId, onlyAt, told.sort(([a], [b]) => (a < b ? -1 : 1))]);
};

/** Whether a customer who was told the one would have to be told the other. */
const differs = (
  line: LineRow,
  { judgement: { verdict, findings } }: JudgedCandidate,
  figures: readonly SetUpFigures[],
): boolean =>
  line.verdict !== verdict ||
  (line.findings ?? []).map(bare).join() !== findings.map(bare).join() ||
  // What was judged before figures were told with it is no other judgement for that.
  (line.set_up !== null && !isDeepStrictEqual(line.set_up, figures));

export interface JudgedAgain {
  readonly line: LineRow;
  readonly verdict: Verdict;
  readonly differs: boolean;
}

interface AgainOptions {
  readonly cause: Cause;
  readonly kinds?: readonly PartKind[];
  /** `all` stores every new judgement, `changed` those that tell something else, `none` only looks. */
  readonly store: 'all' | 'changed' | 'none';
}

/** Judges a slip's lines anew when what they rest on has changed; the earlier judgements stay as told. */
export async function judgeLinesAgain(
  context: Context,
  trx: Writing,
  slip: SlipRow,
  staff: Staff,
  { cause, kinds = PART_KINDS, store }: AgainOptions,
): Promise<JudgedAgain[]> {
  if (slip.engine_id === null) return [];
  const withEngine = { ...slip, engine_id: slip.engine_id };
  const { lines, ...rows } = await readTogether(trx, { lines: linesOf(trx, slip.id), ...foundOf(trx, slip.id) });
  const found = layFound(rows);
  const again: JudgedAgain[] = [];
  for (const kind of kinds) {
    const own = lines.filter((line) => line.part_kind === kind);
    if (own.length === 0) continue;
    const partIds = own.map((line) => line.part_id);
    const judged = await judgeForSlip(context, trx, withEngine, lines, { kind, partIds, units: 'metric', found });
    for (const line of own) {
      const candidate = judged?.candidates.find((c) => c.part.id === line.part_id);
      if (!judged || !candidate) continue;
      const changed = differs(line, candidate, figuresToSet(judged, candidate, found));
      again.push({ line, verdict: candidate.judgement.verdict, differs: changed });
      if (store === 'none' || (store === 'changed' && !changed)) continue;
      await addJudgement(trx, { slip_line_id: line.id, ...toldRow(staff, judged, candidate, { cause, found }) });
      await changeLineRow(trx, line.id, { positions: [...candidate.servedAt] });
    }
  }
  // What is told otherwise is not ready any more: it is looked at again before it is handed over.
  if (slip.state === 'ready' && store !== 'none' && again.some(({ differs: isOther }) => isOther))
    await reopenReady(trx, slip.id);
  return again;
}
