import { HOUSE_RULES, type RuleId } from '@brackenfell/core/house-rules/house-rules';
import { isFinal, isOver, sayWaiting } from '@brackenfell/core/slip/slip-states';
import { today } from '../context/today.ts';
import { totalsOf } from '@brackenfell/core/slip/totals';
import type { OpenMatter } from '@brackenfell/contract/open-matter';
import type { Slip, SlipLine, SlipReading, SlipSummary } from '@brackenfell/contract/slip';
import type { InspectionLine } from '@brackenfell/contract/inspection';
import type { ReadingRow } from '../reading/store.ts';
import type { standingChoices } from '../ruling/store.ts';
import { openOf } from './standing.ts';
import type { listSlipRows } from './list-store.ts';
import type { NoteRow, SlipRow } from './store.ts';
import type { LineRow, ToldRow } from './line-store.ts';

const engineTitle = (row: { engine_maker: string | null; engine_code: string | null }) =>
  row.engine_code === null ? null : `${row.engine_maker} ${row.engine_code}`;

function lineView(
  line: LineRow,
  judgements: readonly ToldRow[],
  open: readonly OpenMatter[],
  inspections: readonly InspectionLine[],
): SlipLine {
  const own = judgements.filter((judgement) => judgement.slip_line_id === line.id);
  return {
    lineId: line.id,
    kind: line.kind,
    partId: line.part_id,
    partKind: line.part_kind,
    printed: line.printed,
    maker: line.maker,
    quantity: line.quantity,
    packOf: line.pack_of ?? 1,
    unitPriceMinor: line.unit_price_minor,
    positions: line.positions,
    verdict: line.verdict,
    reason:
      line.reason ?? (line.part_kind === 'sundry' ? 'Asked for by no engine' : 'Not judged: no engine on the slip'),
    toTell: TOLD_FIRST.flatMap((outcome) =>
      (line.findings ?? []).filter((finding) => finding.outcome === outcome).map(({ told }) => told.says),
    ),
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
    held: open.find(({ lineId, kind }) => lineId === line.id && HELD_BACK.includes(kind))?.says ?? null,
    proof: inspections.find(({ slipLineId }) => slipLineId === line.id) ?? null,
    setUp: line.set_up ?? [],
    gaps: line.gaps.map(({ at, ...gap }) => ({ ...gap, at: new Date(at).toISOString() })),
    review: line.review,
  };
}

/** What is told of a line, gravest first. */
const TOLD_FIRST = ['caution', 'acceptable'] as const;
const HELD_BACK: readonly OpenMatter['kind'][] = ['batch-held', 'batch-not-named'];

const RULE = 'rule:';

/** What made a line be judged again, in words. */
function sayCause(cause: string | null): string {
  if (cause?.startsWith(RULE)) {
    const rule = cause.slice(RULE.length) as RuleId;
    return `house rule ${HOUSE_RULES[rule].title}`;
  }
  return cause === 'reading' ? 'a reading of the piece in hand' : 'what the slip is for';
}

/** What stands on a slip besides its lines. */
interface Beside {
  readonly notes: readonly NoteRow[];
  readonly judgements: readonly ToldRow[];
  readonly inspections: readonly InspectionLine[];
  readonly readings: readonly ReadingRow[];
  readonly rules: ReturnType<typeof standingChoices>;
  readonly kept: Slip['kept'];
}

/** A slip as the docket shows it. Only lines for sale are priced; a customer's own part never is. */
export function slipView(
  slip: SlipRow,
  lines: readonly LineRow[],
  { notes, judgements, inspections, readings, rules, kept }: Beside,
): Slip {
  const open = isFinal(slip.state) ? [] : openOf(lines);
  return {
    slipId: slip.id,
    docket: slip.docket,
    state: slip.state,
    version: slip.version,
    customer: slip.customer,
    phone: slip.phone,
    vehicle: slip.vehicle,
    cameFor: slip.came_for,
    engineId: slip.engine_id,
    engine: engineTitle(slip),
    build: slip.build,
    duty: slip.duty,
    staying: slip.revision_staying,
    engineCount: slip.engine_count,
    inHand:
      slip.in_hand_part_id === null ? null : { partId: slip.in_hand_part_id, printed: slip.in_hand_printed ?? '' },
    holder: slip.holder,
    holderId: slip.holder_id,
    endReason: slip.end_reason,
    lines: lines.map((line) => lineView(line, judgements, open, inspections)),
    open,
    readings: readings.map(({ id, part_id, fact, value, how, by, at }) => ({
      readingId: id,
      partId: part_id,
      fact,
      value: value as SlipReading['value'],
      how,
      by,
      at: at.toISOString(),
    })),
    rules: rules.map(({ at, ...choice }) => ({
      ...choice,
      title: HOUSE_RULES[choice.rule].title,
      says: HOUSE_RULES[choice.rule].schools.find(({ id }) => id === choice.school)?.says ?? choice.school,
      at: at.toISOString(),
    })),
    heldUntil: slip.held_until,
    isOver: isOver(slip.held_until, today()),
    linked: slip.linked,
    garage:
      slip.garage_vehicle_id === null
        ? null
        : { vehicleId: slip.garage_vehicle_id, called: slip.garage_called!, toRaise: slip.to_raise },
    kept,
    notes: notes.map((note) => ({
      noteId: note.id,
      at: note.at.toISOString(),
      by: note.by,
      text: note.text,
      mended: note.replaces_id !== null,
    })),
    ...totalsOf(
      lines.map((line) => ({
        kind: line.kind,
        verdict: line.verdict,
        quantity: line.quantity,
        unitPriceMinor: line.unit_price_minor,
      })),
      slip.tax_basis_points,
    ),
    taxBasisPoints: slip.tax_basis_points,
    createdAt: slip.created_at.toISOString(),
    updatedAt: slip.updated_at.toISOString(),
  };
}

export function summaryView(row: Awaited<ReturnType<typeof listSlipRows>>[number], day: string): SlipSummary {
  return {
    slipId: row.id,
    docket: row.docket,
    state: row.state,
    customer: row.customer,
    vehicle: row.vehicle,
    engine: engineTitle(row),
    holder: row.holder,
    lines: Number(row.line_count),
    waitsFor: sayWaiting({ state: row.state, heldUntil: row.held_until, linesShort: Number(row.lines_short) }, day),
    updatedAt: row.updated_at.toISOString(),
  };
}
