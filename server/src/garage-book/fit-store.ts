import { sql } from 'kysely';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import type { SetUpFigures } from '@brackenfell/core/set-up/told-figures';
import { dayHere } from '../context/today.ts';
import type { Writing } from '../db/database.ts';
import { addFitted } from './store.ts';

/** The agreed interval of a set: the earliest of its places. */
export function intervalOf(setUp: readonly SetUpFigures[] | null): {
  interval: number | null;
  interval_source: string | null;
} {
  const [first] = (setUp ?? []).flatMap(({ interval }) => interval ?? []).sort((a, b) => a.value - b.value);
  return { interval: first?.value ?? null, interval_source: first?.source ?? null };
}

interface Collected {
  readonly id: string;
  readonly garage_vehicle_id: string | null;
}

/** Of a slip whose goods were collected: each line that is fitted is remembered with its vehicle. A line is so once. */
export async function rememberFitted(trx: Writing, slip: Collected, staffId: string): Promise<void> {
  if (slip.garage_vehicle_id === null) return;
  const lines = await trx
    .selectFrom('slip_line')
    .innerJoin('slip', 'slip.id', 'slip_line.slip_id')
    .innerJoin('part', 'part.id', 'slip_line.part_id')
    .leftJoinLateral(
      (eb) =>
        eb
          .selectFrom('judgement')
          .select(['judgement.set_up', 'judgement.verdict'])
          .whereRef('judgement.slip_line_id', '=', 'slip_line.id')
          .orderBy('judgement.id', 'desc')
          .limit(1)
          .as('told'),
      (join) => join.onTrue(),
    )
    .select([
      'slip_line.id',
      'slip_line.part_id',
      'slip_line.quantity',
      'positions',
      'told.set_up',
      'told.verdict',
      // The day its goods left the shelf, however late the vehicle is remembered.
      sql<Date>`(select min(m.at) from stock_movement m join slip_line l on l.id = m.slip_line_id
                  where l.slip_id = slip.id and m.why = 'sold')`.as('collected_at'),
    ])
    .where('slip_id', '=', slip.id)
    .where('removed_at', 'is', null)
    .where('part.kind', 'in', PART_KINDS)
    .orderBy('slip_line.id')
    .execute();
  for (const line of lines) {
    // The customer's own part that must not be fitted is none that is.
    if (line.verdict === 'refuse') continue;
    const on = dayHere(line.collected_at);
    const read = await trx
      .selectFrom('served_reading')
      .select('served')
      .where('vehicle_id', '=', slip.garage_vehicle_id)
      .where('on_day', '=', on)
      .where('withdrawn_at', 'is', null)
      .orderBy('id', 'desc')
      .executeTakeFirst();
    await addFitted(trx, {
      vehicle_id: slip.garage_vehicle_id,
      part_id: line.part_id,
      quantity: line.quantity,
      places: line.positions,
      on_day: on,
      served: read?.served ?? null,
      how: 'known',
      slip_line_id: line.id,
      set_up: line.set_up === null ? null : JSON.stringify(line.set_up),
      ...intervalOf(line.set_up),
      staff_id: staffId,
    });
  }
}
