import { sql } from 'kysely';
import type { Database } from '../db/database.ts';
import type { StoredKind } from '../db/tables/catalogue.ts';

/** What is in a kit, in the order it was entered. */
export async function readKit(db: Database, kitId: string) {
  const rows = await db
    .selectFrom('kit_part')
    .innerJoin('part_name', (join) =>
      join.onRef('part_name.part_id', '=', 'kit_part.part_id').on('part_name.kind', '=', 'catalogue'),
    )
    .select(['kit_part.part_id', 'part_name.printed', 'kit_part.quantity'])
    .where('kit_id', '=', kitId)
    .orderBy('kit_part.part_id')
    .execute();
  return rows.map(({ part_id: partId, ...held }) => ({ partId, ...held }));
}

interface OfferRow {
  readonly use: string;
  readonly partId: string;
  readonly printed: string;
  readonly title: string;
  readonly eachMinor: number;
  readonly onHand: number;
}

/** What the shop sells for each use: what is on the shelf before what is not, then the cheaper. */
export async function readOffers(db: Database, uses: readonly string[]): Promise<OfferRow[]> {
  const { rows } = await sql<OfferRow>`
    select d.use, d.part_id as "partId", n.printed, d.title, pr.each_minor as "eachMinor",
           coalesce(s.on_hand, 0) as "onHand"
      from sundry d join part_name n on n.part_id = d.part_id and n.kind = 'catalogue'
      join price pr on pr.part_id = d.part_id left join stock s on s.part_id = d.part_id
     where d.use = any(${[...uses]}::text[])
     order by d.use, coalesce(s.on_hand, 0) > 0 desc, pr.each_minor, d.part_id`.execute(db);
  return rows;
}

/** Kits whose maker lists them for an engine, with what is in each. */
export async function readKitsFor(db: Database, engineId: string) {
  const { rows } = await sql<{
    partId: string;
    printed: string;
    maker: string;
    holds: { printed: string; quantity: number }[];
  }>`
    select p.id as "partId", n.printed, m.name as maker,
           (select jsonb_agg(jsonb_build_object('printed', h.printed, 'quantity', k.quantity) order by k.part_id)
              from kit_part k join part_name h on h.part_id = k.part_id and h.kind = 'catalogue'
             where k.kit_id = p.id) as holds
      from listing l join part p on p.id = l.part_id and p.kind = 'kit' join maker m on m.id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind = 'catalogue'
     where l.engine_id = ${engineId} order by n.printed`.execute(db);
  return rows;
}

/** What a part of no engine is; null for what an engine asks for, or is only a number. */
export async function shelfCard(db: Database, { id, kind }: { readonly id: string; readonly kind: StoredKind }) {
  if (kind === 'kit')
    return {
      title: 'A kit: put down as its parts, each judged by itself',
      holds: (await readKit(db, id)).map(({ printed, quantity }) => ({ printed, quantity })),
    };
  const sundry =
    kind === 'sundry'
      ? await db.selectFrom('sundry').select('title').where('part_id', '=', id).executeTakeFirst()
      : undefined;
  return sundry ? { title: sundry.title, holds: [] } : null;
}
