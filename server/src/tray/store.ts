import { sql } from 'kysely';
import type { PartKind } from '@brackenfell/core/fitment/part-kinds';
import type { Database } from '../db/database.ts';

/** Makers' statements that a part of one kind suits the engine. */
export async function readListings(db: Database, engineId: string, kind: PartKind) {
  return db
    .selectFrom('listing')
    .innerJoin('part', 'part.id', 'listing.part_id')
    .selectAll('listing')
    .where('listing.engine_id', '=', engineId)
    .where('part.kind', '=', kind)
    .orderBy('listing.id')
    .execute();
}

/** What coils and leads are looked for by: what the engine plainly asks. */
export interface AskedForm {
  readonly topologies: readonly string[];
  readonly connectors: readonly string[];
  readonly pins: readonly number[];
  readonly leads: number;
}

/** Parts further than this are not looked through by form alone. */
const MOST_BY_FORM = 200;

/** Coils and lead sets of the form an engine asks, whoever speaks for them. Caps and rotors come by reference alone. */
export async function findByForm(db: Database, kind: PartKind, asked: AskedForm): Promise<string[]> {
  if (kind !== 'coil' && kind !== 'lead-set') return [];
  const { rows } = await (
    kind === 'coil'
      ? sql<{ id: string }>`select part_id as id from coil_spec
         where topology = any(${asked.topologies}::text[])
           and (connector is null or connector = any(${asked.connectors}::text[]))
           and (pins is null or pins = any(${asked.pins}::int[])) order by part_id limit ${MOST_BY_FORM}`
      : sql<{ id: string }>`select part_id as id from lead_set
         where leads between ${asked.leads - 1} and ${asked.leads + 1} order by part_id limit ${MOST_BY_FORM}`
  ).execute(db);
  return rows.map(({ id }) => id);
}

/** What is free to sell of each part, what lies held in quarantine beside it, bin and price; one row each. */
export async function readStock(db: Database, partIds: readonly string[]) {
  const { rows } = await sql<{
    id: string;
    on_hand: number | null;
    held: number;
    unproven: number;
    bin: string | null;
    each_minor: number | null;
  }>`
    select i.id, greatest(0, s.on_hand - coalesce(b.held, 0))::int as on_hand, coalesce(b.held, 0)::int as held,
           coalesce(b.unproven, 0)::int as unproven, s.bin, p.each_minor
      from unnest(${partIds}::bigint[]) as i (id)
      left join stock s on s.part_id = i.id left join price p on p.part_id = i.id
      left join (select part_id, sum(on_hand) filter (where state <> 'open') as held,
                        sum(on_hand) filter (where state = 'open' and 'not-proven' =
                          (select c.band from inspection n join inspection_conclusion c on c.inspection_id = n.id
                            where n.batch_id = batch.id order by c.id desc limit 1)) as unproven
                   from batch where part_id = any(${partIds}::bigint[]) and state <> 'released' and on_hand > 0
                  group by part_id) b on b.part_id = i.id`.execute(db);
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
