import type { Database } from '../db/database.ts';
import { sql, type InferResult } from 'kysely';
import type { StoredKind } from '../db/tables/catalogue.ts';

/** What is printed of each part besides its facts. */
export const partRowsOf = (db: Database, partIds: readonly string[]) =>
  db
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
      'price.pack_of',
    ])
    .where('part.id', 'in', partIds);
export type PartRow = InferResult<ReturnType<typeof partRowsOf>>[number];

export const readPartRows = async (db: Database, partIds: readonly string[]): Promise<PartRow[]> =>
  partIds.length === 0 ? [] : partRowsOf(db, partIds).execute();

/** Parts by id with the number they are called by. */
export async function readNamedParts(db: Database, partIds: readonly string[]) {
  if (partIds.length === 0) return [];
  const { rows } = await sql<{ id: string; kind: StoredKind; printed: string }>`
    select p.id, p.kind, min(n.printed) as printed from part p join part_name n on n.part_id = p.id
     where p.id = any(${partIds}::bigint[]) and n.kind in ('catalogue', 'oe') group by p.id`.execute(db);
  return rows;
}
