import { HELD_STATES } from '@brackenfell/core/authenticity/batch-states';
import { sql } from 'kysely';
import { REACH_MM } from '@brackenfell/core/plugs/checks/reach';
import { bareDigits, digitsOf, holding, SHORTEST_PHONE } from '../db/search.ts';
import type { Database } from '../db/database.ts';
import type { StoredKind } from '../db/tables/catalogue.ts';

export interface PartDetail {
  readonly id: string;
  readonly kind: StoredKind;
  readonly maker: string;
  readonly number: string;
  readonly shared_by: number;
  readonly on_hand: number | null;
  readonly each_minor: number | null;
  readonly is_superseded: boolean;
  readonly suits_engine: boolean | null;
}

/** What an answer says of each part beside its name. `normals` are the normal forms that answered, part by part. */
export async function readDetails(
  db: Database,
  partIds: readonly string[],
  normals: readonly string[],
  engineId: string | undefined,
): Promise<Map<string, PartDetail>> {
  if (partIds.length === 0) return new Map();
  const suits =
    engineId === undefined
      ? sql`null::boolean`
      : sql`(select bool_or(s.thread_diameter_mm = e.thread_diameter_mm
               and s.reach_mm between e.reach_low_mm - ${REACH_MM.acceptable}::double precision and e.reach_high_mm + ${REACH_MM.acceptable}::double precision and split_part(s.seat, '-', 1) = e.seat)
               from engine_position e, plug_spec s where e.engine_id = ${engineId} and s.part_id = p.id)`;
  const { rows } = await sql<PartDetail>`
    select p.id, p.kind, m.name as maker, s.on_hand, pr.each_minor, ${suits} as suits_engine,
           (select min(c.printed) from part_name c where c.part_id = p.id and c.kind in ('catalogue', 'oe')) as number,
           (select count(distinct o.part_id)::int from part_name o where o.normal_form = a.normal) as shared_by,
           exists (select from reference r where r.from_part_id = p.id and r.grade = 'supersedes'
                    and r.rejected_at is null
                    and (r.in_force_from is null or r.in_force_from <= current_date)) as is_superseded
      from unnest(${partIds}::bigint[], ${normals}::text[]) as a (part_id, normal)
      join part p on p.id = a.part_id
      join maker m on m.id = p.maker_id
      left join stock s on s.part_id = p.id
      left join price pr on pr.part_id = p.id`.execute(db);
  return new Map(rows.map((row) => [row.id, row]));
}

/** Slips by docket number, or whose customer or vehicle holds the words. */
export function slipsFound(db: Database, question: string, most: number) {
  const asked = question.trim();
  const docket = /^\d{1,9}$/.test(asked) ? Number(asked) : null;
  const digits = digitsOf(asked);
  const like = holding(asked.toLowerCase());
  return db
    .selectFrom('slip')
    .select(['id', 'docket', 'customer', 'vehicle', 'state'])
    .where((eb) =>
      eb.or([
        ...(docket === null ? [] : [eb('docket', '=', docket)]),
        eb(sql<string>`lower(customer || ' ' || vehicle)`, 'like', like),
        ...(digits.length >= SHORTEST_PHONE ? [eb(bareDigits('phone'), 'like', holding(digits))] : []),
      ]),
    )
    .orderBy('updated_at', 'desc')
    .limit(most);
}

/** Batches under a production code, held ones first. */
export async function findBatches(db: Database, codeNormal: string, most: number) {
  return db
    .selectFrom('batch')
    .innerJoin('seller', 'seller.id', 'batch.seller_id')
    .innerJoin('part_name', (join) =>
      join.onRef('part_name.part_id', '=', 'batch.part_id').on('part_name.kind', '=', 'catalogue'),
    )
    .select(['batch.id', 'batch.code', 'batch.state', 'part_name.printed', 'seller.name as seller'])
    .where('batch.code_normal', '=', codeNormal)
    .orderBy((eb) => eb('batch.state', 'in', HELD_STATES), 'desc')
    .orderBy('batch.id', 'desc')
    .limit(most)
    .execute();
}

/** What kind of part each is. */
export async function readKinds(db: Database, partIds: readonly string[]): Promise<Map<string, StoredKind>> {
  if (partIds.length === 0) return new Map();
  const rows = await db.selectFrom('part').select(['id', 'kind']).where('id', 'in', partIds).execute();
  return new Map(rows.map(({ id, kind }) => [id, kind]));
}
