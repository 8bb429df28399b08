import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

export async function readListings(db: Database, engineId: string) {
  return db.selectFrom('listing').selectAll().where('engine_id', '=', engineId).orderBy('id').execute();
}

/** Stock and price of plugs, one row each. */
export async function readStock(db: Database, partIds: readonly string[]) {
  const { rows } = await sql<{ id: string; on_hand: number | null; bin: string | null; each_minor: number | null }>`
    select i.id, s.on_hand, s.bin, p.each_minor from unnest(${partIds}::bigint[]) as i (id)
      left join stock s on s.part_id = i.id left join price p on p.part_id = i.id`.execute(db);
  return new Map(rows.map((row) => [row.id, row]));
}

/** What is printed of each part besides its facts. */
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
