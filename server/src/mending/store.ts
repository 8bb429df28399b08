import { sql } from 'kysely';
import type { MendingChange } from '@brackenfell/contract/mending';
import type { Database, Writing } from '../db/database.ts';

/** Every figure of a part that stands, with whether the checks go by it. */
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
      'chosen_figure.rules',
    ])
    .where('figure.part_id', '=', partId)
    .where('figure.withdrawn_at', 'is', null)
    .orderBy('figure.id')
    .execute();

/** A figure of the part, also one that does not stand any more. */
export const findFigure = (db: Database, partId: string, figureId: string) =>
  db
    .selectFrom('figure')
    .select(['id', 'attribute', 'value', 'source_rank', 'source_name', 'withdrawn_at'])
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
  readonly subject: 'figure' | 'price';
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
        or (c.subject = 'price' and c.subject_id = ${partId})
     order by c.id desc limit ${MOST_ENTRIES}`.execute(db);
  return rows;
}
