import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

export async function readListings(db: Database, engineId: string) {
  return db.selectFrom('listing').selectAll().where('engine_id', '=', engineId).orderBy('id').execute();
}

const REACH_BAND_MM = 0.5;
const MOST_BY_SIZE = 400;

/** Plugs whose thread, reach and seat could serve any of the engine's positions; what is unknown does not rule a plug out. */
export async function findPlugsBySize(db: Database, engineId: string): Promise<string[]> {
  const { rows } = await sql<{ part_id: string }>`
    select distinct s.part_id
      from engine_position e
      join plug_spec s on s.thread_diameter_mm = e.thread_diameter_mm
       and (s.thread_pitch_mm = e.thread_pitch_mm or s.thread_pitch_mm is null)
       and (s.reach_mm between e.reach_low_mm - ${REACH_BAND_MM} and e.reach_high_mm + ${REACH_BAND_MM} or s.reach_mm is null)
       and (split_part(s.seat, '-', 1) = e.seat or s.seat is null)
     where e.engine_id = ${engineId}
     order by s.part_id
     limit ${MOST_BY_SIZE}`.execute(db);
  return rows.map((row) => row.part_id);
}

/** What the tray prints of each part besides its facts. */
export async function readPartRows(db: Database, partIds: readonly string[]) {
  if (partIds.length === 0) return [];
  return db
    .selectFrom('part')
    .innerJoin('maker', 'maker.id', 'part.maker_id')
    .innerJoin('part_name', (join) =>
      join.onRef('part_name.part_id', '=', 'part.id').on('part_name.kind', 'in', ['catalogue', 'oe']),
    )
    .leftJoin('stock', 'stock.part_id', 'part.id')
    .leftJoin('price', 'price.part_id', 'part.id')
    .select([
      'part.id',
      'part.kind',
      'part_name.printed',
      'maker.name as maker',
      'stock.on_hand',
      'stock.bin',
      'price.each_minor',
    ])
    .where('part.id', 'in', partIds)
    .execute();
}
export type PartRow = Awaited<ReturnType<typeof readPartRows>>[number];
