import { sql } from 'kysely';
import type { Held } from '@brackenfell/core/dimensions/dimensions';
import type { Database } from '../db/database.ts';

export interface HeldPlace extends Held {
  readonly engineId: string;
  readonly title: string;
  readonly summary: string;
}

/** Places that take plugs of about this thread and reach, one row for each different demand of an engine, commonest first. */
export async function readPlaces(
  db: Database,
  thread: readonly [low: number, high: number],
  reach: readonly [low: number, high: number],
): Promise<HeldPlace[]> {
  const { rows } = await sql<HeldPlace>`
    select e.id as "engineId", m.name || ' ' || e.code as title, e.summary, p.*
      from (select distinct p.engine_id, p.thread_diameter_mm as "threadMm", p.reach_low_mm as "reachLowMm",
                   p.reach_high_mm as "reachHighMm", p.seat, hex.mm as "hexMm", grip.form as terminal
              from engine_position p
              left join lateral (select f.value::double precision as mm from chosen_figure c join figure f on f.id = c.figure_id
                                  where c.position_id = p.id and c.rules and f.attribute = 'position.hexMm' limit 1) hex on true
              left join lateral (select f.value #>> '{}' as form from chosen_figure c join figure f on f.id = c.figure_id
                                  where c.position_id = p.id and c.rules and f.attribute = 'position.terminal' limit 1) grip on true
             where p.kind = 'plug' and (p.thread_diameter_mm is null or p.thread_diameter_mm between ${thread[0]} and ${thread[1]})
               and (p.reach_low_mm is null or p.reach_low_mm <= ${reach[1]} and p.reach_high_mm >= ${reach[0]})) p
      join engine e on e.id = p.engine_id join maker m on m.id = e.maker_id
     order by e.visits desc, e.id`.execute(db);
  return rows.map((row) => ({
    ...row,
    threadMm: row.threadMm ?? undefined,
    reachLowMm: row.reachLowMm ?? undefined,
    reachHighMm: row.reachHighMm ?? undefined,
    seat: row.seat ?? undefined,
    hexMm: row.hexMm ?? undefined,
    terminal: row.terminal ?? undefined,
  }));
}
