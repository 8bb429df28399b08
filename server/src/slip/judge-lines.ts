import { isPartKind, PART_KINDS, type PartKind } from '@brackenfell/core/fitment/part-kinds';
import { reasonPhrase } from '@brackenfell/core/fitment/reason';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context.ts';
import type { Writing } from '../db/database.ts';
import { judgeEngine } from '../tray/judge-engine.ts';
import type { JudgedCandidate, JudgedEngine } from '../tray/judge-plugs.ts';
import { findingView } from '../tray/present.ts';
import { readLines, type LineRow, type SlipRow } from './store.ts';

interface Asked {
  readonly kind: PartKind;
  readonly partIds: readonly string[];
  readonly positionId?: string | undefined;
  readonly units: UnitDisplay;
}

/** Cap and rotor are judged beside each other where both are on the slip. */
const OTHER_HALF: Partial<Record<PartKind, PartKind>> = { cap: 'rotor', rotor: 'cap' };

/** Judges parts of one kind for the slip's engine, its build and what else is on it. Undefined without such a position. */
export async function judgeForSlip(
  context: Context,
  trx: Writing,
  slip: SlipRow & { readonly engine_id: string },
  lines: readonly LineRow[],
  { kind, partIds, positionId, units }: Asked,
): Promise<JudgedEngine | undefined> {
  const beside = lines.find((line) => line.part_kind === OTHER_HALF[kind])?.part_id;
  const question = {
    kind,
    engineId: slip.engine_id,
    build: slip.build ?? undefined,
    positionId,
    beside,
    only: partIds,
  };
  return judgeEngine(context, question, units, trx);
}

/** Keeps a judgement as it was told. */
export async function storeJudgement(
  context: Context,
  trx: Writing,
  lineId: string,
  staff: Staff,
  judged: JudgedEngine,
  candidate: JudgedCandidate,
): Promise<void> {
  const { findings, verdict } = candidate.judgement;
  await trx
    .insertInto('judgement')
    .values({
      slip_line_id: lineId,
      staff_id: staff.id,
      catalogue_version: judged.catalogueVersion,
      rules_version: context.rules.version,
      verdict,
      reason: reasonPhrase(findings, verdict, candidate.evidence),
      findings: JSON.stringify(findings.map(findingView)),
    })
    .execute();
}

/** When what a slip is for changes, its lines are judged anew for it; the earlier judgements stay as told. */
export async function judgeLinesAgain(
  context: Context,
  trx: Writing,
  slip: SlipRow,
  staff: Staff,
  kinds: readonly PartKind[] = PART_KINDS,
): Promise<void> {
  if (slip.engine_id === null) return;
  const withEngine = { ...slip, engine_id: slip.engine_id };
  const lines = await readLines(trx, slip.id);
  for (const kind of kinds) {
    const own = lines.filter((line) => line.part_kind === kind && isPartKind(line.part_kind));
    if (own.length === 0) continue;
    const partIds = own.map((line) => line.part_id);
    const judged = await judgeForSlip(context, trx, withEngine, lines, { kind, partIds, units: 'metric' });
    for (const line of own) {
      const candidate = judged?.candidates.find((c) => c.part.id === line.part_id);
      if (!judged || !candidate) continue;
      await storeJudgement(context, trx, line.id, staff, judged, candidate);
      await trx
        .updateTable('slip_line')
        .set({ positions: [...candidate.servedAt] })
        .where('id', '=', line.id)
        .execute();
    }
  }
}
