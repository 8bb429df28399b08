import type { InferResult } from 'kysely';
import type { LineTicks } from '@brackenfell/contract/hand-over';
import type { Database, Writing } from '../db/database.ts';

/** Steps that stand as done on the lines of a slip, in the order ticked. */
export const ticksOf = (db: Database, slipId: string) =>
  db
    .selectFrom('work_tick')
    .innerJoin('slip_line', 'slip_line.id', 'work_tick.slip_line_id')
    .innerJoin('staff', 'staff.id', 'work_tick.staff_id')
    .select(['work_tick.slip_line_id', 'work_tick.step_id', 'work_tick.at', 'staff.name as by'])
    .where('slip_line.slip_id', '=', slipId)
    .where('work_tick.withdrawn_at', 'is', null)
    .orderBy('work_tick.id');
export type TickRow = InferResult<ReturnType<typeof ticksOf>>[number];

export const ticksOfLine = (rows: readonly TickRow[], lineId: string): LineTicks['ticks'] =>
  rows
    .filter(({ slip_line_id }) => slip_line_id === lineId)
    .map(({ step_id, by, at }) => ({ stepId: step_id, by, at: at.toISOString() }));

interface Tick {
  readonly lineId: string;
  readonly stepId: string;
  readonly staffId: string;
}

/** Ticks a step; one that stands already stays whose it is. */
export async function tick(trx: Writing, { lineId, stepId, staffId }: Tick): Promise<void> {
  await trx
    .insertInto('work_tick')
    .values({ slip_line_id: lineId, step_id: stepId, staff_id: staffId })
    .onConflict((on) => on.columns(['slip_line_id', 'step_id']).where('withdrawn_at', 'is', null).doNothing())
    .execute();
}

export async function untick(trx: Writing, { lineId, stepId }: Omit<Tick, 'staffId'>): Promise<void> {
  await trx
    .updateTable('work_tick')
    .set({ withdrawn_at: new Date() })
    .where('slip_line_id', '=', lineId)
    .where('step_id', '=', stepId)
    .where('withdrawn_at', 'is', null)
    .execute();
}
