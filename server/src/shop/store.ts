import { sql, type Insertable } from 'kysely';
import type { Shop } from '@brackenfell/contract/shop';
import { countJobs } from '../db/job-counts-store.ts';
import type { Database, Writing } from '../db/database.ts';
import type { ShopTable, StaffTable } from '../db/tables/counter.ts';

type Details = Omit<Shop, 'version'>;

const columnsOf = ({ taxBasisPoints, timeZone, ...same }: Details) => ({
  ...same,
  tax_basis_points: taxBasisPoints,
  time_zone: timeZone,
});

/** The shop this database is of; null while nobody has begun one. */
export async function readShop(db: Database): Promise<Shop | null> {
  const row = await db.selectFrom('shop').selectAll().executeTakeFirst();
  if (!row) return null;
  const {
    tax_basis_points: taxBasisPoints,
    time_zone: timeZone,
    name,
    address,
    currency,
    locale,
    units,
    version,
  } = row;
  return { name, address, currency, taxBasisPoints, locale, timeZone, units, version };
}

/** Takes the one place there is for a shop; false where it is taken, by somebody who was quicker or long ago. */
export async function takePlace(trx: Writing, details: Details): Promise<boolean> {
  const taken = await trx
    .insertInto('shop')
    .values(columnsOf(details) satisfies Insertable<ShopTable>)
    .onConflict((conflict) => conflict.doNothing())
    .returning('version')
    .executeTakeFirst();
  return taken !== undefined;
}

/** Null where the shop has been changed since `version`. */
export async function changeShopRow(trx: Writing, { version, ...details }: Shop): Promise<Shop | null> {
  const changed = await trx
    .updateTable('shop')
    .set({ ...columnsOf(details), version: version + 1 })
    .where('version', '=', version)
    .returning('version')
    .executeTakeFirst();
  return changed ? { ...details, version: changed.version } : null;
}

export const hasStaff = async (db: Database): Promise<boolean> =>
  (await db.selectFrom('staff').select('id').limit(1).executeTakeFirst()) !== undefined;

/** Whether any amount is kept in the shop's currency. */
export async function hasPrices(db: Database): Promise<boolean> {
  const { rows } = await sql<{ has: boolean }>`
    select exists (select from price) or exists (select from supplier_price) or exists (select from slip_line)
        or exists (select from delivery) or exists (select from tool_loan) as has`.execute(db);
  return rows[0]!.has;
}

/** The new person's id; undefined where the name is somebody's, letter case aside. */
export async function addPersonRow(
  trx: Writing,
  person: Pick<Insertable<StaffTable>, 'name' | 'initials' | 'role' | 'password_hash' | 'pin_hash'>,
): Promise<string | undefined> {
  const same = await trx
    .selectFrom('staff')
    .select('id')
    .where((eb) => eb(eb.fn<string>('lower', ['name']), '=', person.name.toLowerCase()))
    .executeTakeFirst();
  if (same) return undefined;
  const { id } = await trx.insertInto('staff').values(person).returning('id').executeTakeFirstOrThrow();
  return id;
}

/** How the instance stands, for who keeps it. */
export async function readState(db: Database) {
  const [{ rows: sizes }, { rows: migrations }, jobs, failed, queue, backup] = await Promise.all([
    sql<{ bytes: string }>`select pg_database_size(current_database()) as bytes`.execute(db),
    sql<{ name: string }>`select name from kysely_migration order by name desc limit 1`.execute(db),
    countJobs(db),
    db
      .selectFrom('job')
      .select(({ fn }) => fn.countAll<string>().as('count'))
      .where('state', '=', 'failed')
      .where('ended_at', '>', sql<Date>`now() - interval '1 day'`)
      .executeTakeFirstOrThrow(),
    db
      .selectFrom('job')
      .innerJoin('staff', 'staff.id', 'job.asked_by')
      .select(['job.id', 'kind', 'state', 'staff.name', 'asked_at', 'progress', 'doing', 'tries'])
      .where('state', 'in', ['waiting', 'running'])
      .orderBy('job.id')
      .limit(50)
      .execute(),
    db.selectFrom('backup_made').selectAll().orderBy('id', 'desc').limit(1).executeTakeFirst(),
  ]);
  return {
    databaseBytes: Number(sizes[0]!.bytes),
    lastMigration: migrations[0]?.name ?? '',
    jobs,
    failedLately: Number(failed.count),
    queue: queue.map(({ id, name, asked_at, ...job }) => ({
      ...job,
      jobId: id,
      askedBy: name,
      askedAt: asked_at.toISOString(),
    })),
    backup: backup ? { at: backup.at.toISOString(), tables: backup.tables, rows: Number(backup.rows) } : null,
  };
}
