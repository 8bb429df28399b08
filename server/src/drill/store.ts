import { sql } from 'kysely';
import type { DrillCase } from '@brackenfell/core/drill/drill-case';
import { LOOKED_AT, type DrillAnswer } from '@brackenfell/core/drill/progress';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { SchemedNumber } from '@brackenfell/core/drill/number-cases';
import type { Database, Writing } from '../db/database.ts';

/** So many cases of a person are kept. */
const KEPT = 500;

const secondsOf = sql<number>`extract(epoch from answered_at - dealt_at)::float8`;

/** The case that was dealt to somebody last. */
export const readLatest = (db: Database, staffId: string) =>
  db
    .selectFrom('drill_case')
    .select(['id', 'dealt', 'dealt_at', 'choice', 'is_right', 'answered_at'])
    .select(secondsOf.as('seconds'))
    .where('staff_id', '=', staffId)
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();

/** A case of somebody's own, held for the transaction: of two answers the later one waits. */
export const lockCase = (trx: Writing, staffId: string, caseId: string) =>
  trx
    .selectFrom('drill_case')
    .select(['id', 'dealt', 'answered_at'])
    .where('id', '=', caseId)
    .where('staff_id', '=', staffId)
    .forUpdate()
    .executeTakeFirst();

/** Keeps a case as it is dealt, and no more of the old ones than tell how somebody stands. */
export async function keepCase(trx: Writing, staffId: string, dealt: DrillCase): Promise<void> {
  await trx
    .insertInto('drill_case')
    .values({
      staff_id: staffId,
      topic: dealt.topic,
      dealt: JSON.stringify(dealt),
      choice: null,
      is_right: null,
      answered_at: null,
    })
    .execute();
  await sql`
    delete from drill_case where staff_id = ${staffId}
       and id < (select id from drill_case where staff_id = ${staffId} order by id desc offset ${KEPT - 1} limit 1)`.execute(
    trx,
  );
}

export const storeAnswer = (trx: Writing, caseId: string, choice: string | null, isRight: boolean) =>
  trx
    .updateTable('drill_case')
    .set({ choice, is_right: isRight, answered_at: sql`clock_timestamp()` })
    .where('id', '=', caseId)
    .execute();

/** The last answers of each topic, of one person or of all who work here, the latest first. */
export async function readAnswers(
  db: Database,
  staffId: string | undefined,
): Promise<readonly (DrillAnswer & { readonly staffId: string })[]> {
  const { rows } = await sql<DrillAnswer & { staffId: string }>`
    select staff_id as "staffId", topic, is_right as "isRight", seconds
      from (select id, staff_id, topic, is_right, ${secondsOf} as seconds,
                   row_number() over (partition by staff_id, topic order by id desc) as place
              from drill_case
             where answered_at is not null and (${staffId ?? null}::bigint is null or staff_id = ${staffId ?? null}::bigint)) a
     where place <= ${LOOKED_AT} order by id desc`.execute(db);
  return rows;
}

export const readStaff = (db: Database) =>
  db.selectFrom('staff').select(['id', 'name', 'initials']).where('active', '=', true).orderBy('name').execute();

/** Some engines that take parts of a kind, in an order by chance: the same for the same word. */
export const readEnginesTaking = async (
  db: Database,
  kind: PartKind,
  { most, by }: { readonly most: number; readonly by: string },
): Promise<readonly string[]> =>
  (
    await sql<{ engine_id: string }>`
      select engine_id from engine_position where kind = ${kind} group by engine_id
       order by md5(engine_id || ${by}::text) limit ${most}`.execute(db)
  ).rows.map(({ engine_id }) => engine_id);

const NUMBERS_READ = 500;

/**
 * Some numbers with the scheme that reads each: those that were recorded from a random place on, for there may be millions.
 * `share`: that place, from 0 up to 1.
 */
export async function readSomeNumbers(db: Database, share: number): Promise<readonly SchemedNumber[]> {
  const from = async (at: number) =>
    (
      await sql<SchemedNumber>`
        select n.printed, g.grammar
          from (select maker_id, printed, kind from part_name
                 where id >= (select min(id) + ((max(id) - min(id)) * ${at}::float8)::bigint from part_name)
                 order by id limit ${NUMBERS_READ}) n
          join maker_grammar g on g.maker_id = n.maker_id
         where n.kind = 'catalogue'`.execute(db)
    ).rows;
  const some = await from(share);
  return some.length > 0 ? some : from(0);
}
