import { HOUSE_RULES, type RuleId } from '@brackenfell/core/house-rules/house-rules';
import type { Slip, SlipLine, SlipSummary } from '@brackenfell/contract/slip';
import type { InspectionLine } from '@brackenfell/contract/inspection';
import type { LineRow, listSlipRows, readNotes, SlipRow, ToldRow } from './store.ts';

/** Value added tax of the demo counter, per cent, on prices that are quoted without it. */
const TAX_PERCENT = 20;

const engineTitle = (row: { engine_maker: string | null; engine_code: string | null }) =>
  row.engine_code === null ? null : `${row.engine_maker} ${row.engine_code}`;

/** Questions that must be answered before a line is settled: those of blocking unknowns, as they were told. */
function openQuestions(line: LineRow, held: string | null): string[] {
  if (line.kind === 'customers-own') return [];
  if (held !== null) return [held];
  if (line.verdict === null) return ['Which engine is it for? The part was not judged.'];
  if (line.verdict === 'refuse') return ['Refused for the engine now on the slip: take it off.'];
  if (line.verdict === 'needs-supervisor') return line.released_by === null ? ['Waits for the supervisor.'] : [];
  if (line.verdict !== 'ask-first') return [];
  const blocking = (line.findings ?? []).filter((finding) => finding.outcome === 'unknown' && finding.blocks);
  return blocking.map((finding) => finding.told.toDo ?? finding.told.says);
}

/** Why none of a line may be handed over now. */
function heldBack(line: LineRow, state: SlipRow['state']): string | null {
  if (line.kind === 'customers-own' || state === 'closed') return null;
  if (line.batch_state === 'held' || line.batch_state === 'confirmed')
    return `${line.batch_code === '' ? 'Its delivery' : `Batch ${line.batch_code!}`} is in quarantine: hand none of it over.`;
  return line.batch_id === null && line.some_held
    ? 'A batch of it is in quarantine: say which batch these are from.'
    : null;
}

function lineView(
  line: LineRow,
  judgements: readonly ToldRow[],
  state: SlipRow['state'],
  inspections: readonly InspectionLine[],
): SlipLine {
  const held = heldBack(line, state);
  const own = judgements.filter((judgement) => judgement.slip_line_id === line.id);
  return {
    lineId: line.id,
    kind: line.kind,
    partId: line.part_id,
    partKind: line.part_kind,
    printed: line.printed,
    maker: line.maker,
    quantity: line.quantity,
    unitPriceMinor: line.unit_price_minor,
    positions: line.positions,
    verdict: line.verdict,
    reason: line.reason ?? 'Not judged: no engine on the slip',
    openQuestions: openQuestions(line, held),
    told: line.findings ?? [],
    judgedAt: line.judged_at?.toISOString() ?? null,
    judgedBy: line.judged_by,
    toldBefore: own.slice(1).map((told, i) => ({
      at: told.at.toISOString(),
      by: told.by,
      verdict: told.verdict,
      reason: told.reason,
      changedBy: sayCause(own[i]!.cause),
    })),
    released:
      line.released_by === null
        ? null
        : { by: line.released_by, reason: line.release_reason!, at: line.released_at!.toISOString() },
    batch:
      line.batch_id === null
        ? null
        : { batchId: line.batch_id, code: line.batch_code!, state: line.batch_state!, seller: line.batch_seller! },
    held,
    proof: inspections.find(({ slipLineId }) => slipLineId === line.id) ?? null,
    review: line.review,
  };
}

const RULE = 'rule:';

/** What made a line be judged again, in words. */
function sayCause(cause: string | null): string {
  if (cause?.startsWith(RULE)) {
    const rule = cause.slice(RULE.length) as RuleId;
    return `house rule ${HOUSE_RULES[rule].title}`;
  }
  return 'what the slip is for';
}

/** A slip as the docket shows it. Only lines for sale are priced; a customer's own part never is. */
export function slipView(
  slip: SlipRow,
  lines: readonly LineRow[],
  notes: Awaited<ReturnType<typeof readNotes>>,
  judgements: readonly ToldRow[],
  inspections: readonly InspectionLine[],
  inHandPrinted: string | null,
): Slip {
  const goodsMinor = lines
    .filter((line) => line.kind === 'sale' && line.verdict !== 'refuse')
    .reduce((sum, line) => sum + line.quantity * (line.unit_price_minor ?? 0), 0);
  const taxMinor = Math.round((goodsMinor * TAX_PERCENT) / 100);
  return {
    slipId: slip.id,
    docket: slip.docket,
    state: slip.state,
    version: slip.version,
    customer: slip.customer,
    vehicle: slip.vehicle,
    cameFor: slip.came_for,
    engineId: slip.engine_id,
    engine: engineTitle(slip),
    build: slip.build,
    duty: slip.duty,
    staying: slip.revision_staying,
    engineCount: slip.engine_count,
    inHand: slip.in_hand_part_id === null ? null : { partId: slip.in_hand_part_id, printed: inHandPrinted ?? '' },
    holder: slip.holder,
    lines: lines.map((line) => lineView(line, judgements, slip.state, inspections)),
    notes: notes.map((note) => ({ at: note.at.toISOString(), by: note.by, text: note.text })),
    goodsMinor,
    taxMinor,
    totalMinor: goodsMinor + taxMinor,
    createdAt: slip.created_at.toISOString(),
    updatedAt: slip.updated_at.toISOString(),
  };
}

export function summaryView(row: Awaited<ReturnType<typeof listSlipRows>>[number]): SlipSummary {
  return {
    slipId: row.id,
    docket: row.docket,
    state: row.state,
    customer: row.customer,
    vehicle: row.vehicle,
    engine: engineTitle(row),
    holder: row.holder,
    lines: Number(row.line_count),
    updatedAt: row.updated_at.toISOString(),
  };
}
