import type { Slip } from '@brackenfell/contract/slip';
import { listInspectionRows } from '../inspection/store.ts';
import type { Database } from '../db/database.ts';
import { inspectionLine } from '../inspection/present.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { readSlipChoices } from '../ruling/store.ts';
import { readPartRows } from '../catalogue/part-store.ts';
import { readReadings } from '../reading/store.ts';
import { slipView } from './present.ts';
import { readKept, readNotes, readSlip } from './store.ts';
import { readJudgements, readLines } from './line-store.ts';

/** A slip as it stands, with what was told of its lines before. */
export async function showSlip(db: Database, slipId: string): Promise<Slip | Trouble> {
  const slip = await readSlip(db, slipId);
  if (!slip) return trouble('not-found', 'There is no slip of that number.');
  const [lines, notes, judgements, inspections, readings, rules, kept, inHand] = [
    await readLines(db, slipId),
    await readNotes(db, slipId),
    await readJudgements(db, slipId),
    (await listInspectionRows(db, { slipId })).map(inspectionLine),
    await readReadings(db, slipId),
    await readSlipChoices(db, slipId),
    await readKept(db, slipId),
    slip.in_hand_part_id === null ? [] : await readPartRows(db, [slip.in_hand_part_id]),
  ];
  return slipView(slip, lines, {
    notes,
    judgements,
    inspections,
    readings,
    rules,
    kept,
    inHandPrinted: inHand[0]?.printed ?? null,
  });
}
