import { sql } from 'kysely';
import type { ReferenceGrade } from '@brackenfell/core/interchange/trail';
import type { MendingChange } from '@brackenfell/contract/mending';
import type { Database, Writing } from '../db/database.ts';

/** Every figure of a part there ever was, with whether it stands and whether the checks go by it. */
export const readFigures = (db: Database, partId: string) =>
  db
    .selectFrom('figure')
    .leftJoin('chosen_figure', 'chosen_figure.figure_id', 'figure.id')
    .select([
      'figure.id',
      'figure.attribute',
      'figure.value',
      'figure.source_rank',
      'figure.source_name',
      'figure.withdrawn_at',
      'chosen_figure.rules',
    ])
    .where('figure.part_id', '=', partId)
    .orderBy('figure.id')
    .execute();

/** A figure of the part, also one that does not stand any more. */
export const findFigure = (db: Database, partId: string, figureId: string) =>
  db
    .selectFrom('figure')
    .select(['id', 'withdrawn_at'])
    .where('id', '=', figureId)
    .where('part_id', '=', partId)
    .executeTakeFirst();

export async function addFigure(
  trx: Writing,
  partId: string,
  { fact, value, rank, source }: Extract<MendingChange, { what: 'figure' }>,
): Promise<string> {
  const { id } = await trx
    .insertInto('figure')
    .values({
      part_id: partId,
      position_id: null,
      attribute: fact,
      value: JSON.stringify(value),
      source_rank: rank,
      source_name: source,
      withdrawn_at: null,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** References in and out of a part, with the other's number; those that were cut too, for what is told of them. */
export async function readEdges(db: Database, partId: string) {
  const { rows } = await sql<EdgeFound>`
    select r.id, case when r.from_part_id = ${partId} then 'to' else 'from' end as direction, r.grade, r.source,
           r.noted_on, r.in_force_from, r.rejected_at is not null as is_cut,
           (select printed from part_name n where n.part_id = o.id order by n.id limit 1) as printed, m.name as maker
      from reference r
      join part o on o.id = case when r.from_part_id = ${partId} then r.to_part_id else r.from_part_id end
      join maker m on m.id = o.maker_id
     where r.from_part_id = ${partId} or r.to_part_id = ${partId}
     order by r.id limit ${MOST_EDGES}`.execute(db);
  return rows;
}

const MOST_EDGES = 400;

interface EdgeFound {
  readonly id: string;
  readonly direction: 'to' | 'from';
  readonly grade: ReferenceGrade;
  readonly source: string;
  readonly noted_on: string;
  readonly in_force_from: string | null;
  readonly is_cut: boolean;
  readonly printed: string;
  readonly maker: string;
}

/** The new reference's id; undefined where that source has said the same of them already. */
export async function addEdge(
  trx: Writing,
  partId: string,
  { toPartId, grade, source, inForceFrom }: Extract<MendingChange, { what: 'reference' }>,
  today: string,
): Promise<string | undefined> {
  const { rows } = await sql<{ id: string }>`
    insert into reference (from_part_id, to_part_id, grade, source, noted_on, in_force_from, from_cluster_id, to_cluster_id)
    select f.id, t.id, ${grade}, ${source}, ${today}, ${inForceFrom}::date, f.cluster_id, t.cluster_id
      from part f, part t where f.id = ${partId} and t.id = ${toPartId}
    on conflict do nothing returning id`.execute(trx);
  return rows[0]?.id;
}

export interface Price {
  readonly eachMinor: number;
  readonly packOf: number;
}

export async function readPrice(db: Database, partId: string): Promise<Price | null> {
  const row = await db
    .selectFrom('price')
    .select(['each_minor as eachMinor', 'pack_of as packOf'])
    .where('part_id', '=', partId)
    .executeTakeFirst();
  return row ?? null;
}

export async function setPrice(trx: Writing, partId: string, { eachMinor, packOf }: Price): Promise<void> {
  const price = { each_minor: eachMinor, pack_of: packOf };
  await trx
    .insertInto('price')
    .values({ part_id: partId, ...price })
    .onConflict((conflict) => conflict.column('part_id').doUpdateSet(price))
    .execute();
}

export interface MendingEntry {
  readonly id: string;
  readonly at: Date;
  readonly by: string;
  readonly subject: 'figure' | 'price' | 'reference' | 'name' | 'listing';
  readonly subject_id: string;
  readonly action: string;
  readonly before: unknown;
  readonly after: unknown;
  /** The last word on its figure, or on the price. */
  readonly is_last: boolean;
}

const MOST_ENTRIES = 100;

/** What was changed of a part by hand, by a decision of the audit too; the latest first. */
export async function readHistory(db: Database, partId: string): Promise<readonly MendingEntry[]> {
  const { rows } = await sql<MendingEntry>`
    select c.id, c.at, coalesce(s.name, '') as by, c.subject, c.subject_id, c.action, c.before, c.after,
           row_number() over (partition by c.subject, c.subject_id order by c.id desc) = 1 as is_last
      from change_entry c left join staff s on s.id = c.staff_id
     where (c.subject = 'figure' and c.subject_id in (select id::text from figure where part_id = ${partId}))
        or (c.subject in ('price', 'name', 'listing') and c.subject_id = ${partId})
        or (c.subject = 'reference' and c.subject_id in (
              select id::text from reference where from_part_id = ${partId} or to_part_id = ${partId}))
     order by c.id desc limit ${MOST_ENTRIES}`.execute(db);
  return rows;
}
