import { Migrator } from 'kysely';
import { FACTS, type FactId } from '@brackenfell/core/facts/facts';
import { completeDerived } from '../loading/complete-derived.ts';
import type { Database } from '../db/database.ts';
import { MIGRATIONS } from '../db/migrations/list.ts';

/** Brings a database up to date, as its owner. Throws what went wrong; a failed migration leaves nothing half-done. */
export async function migrate(db: Database): Promise<readonly string[]> {
  const migrator = new Migrator({
    db: db,
    provider: { getMigrations: () => Promise.resolve(MIGRATIONS) },
  });
  const { error, results = [] } = await migrator.migrateToLatest();
  const unknown = /previously executed migration (\S+) is missing/.exec(error instanceof Error ? error.message : '');
  if (unknown)
    throw new Error(
      `The data was last used by a newer release (it has had the migration ${unknown[1]!}). Start that release, or restore a backup made before it; nothing was changed.`,
    );
  if (error)
    throw new Error(
      `The database could not be brought up to date; it is as it was before. ${error instanceof Error ? error.message : ''}`,
      { cause: error },
    );
  await shareAttributes(db);
  await completeDerived(db);
  return results.map((result) => result.migrationName);
}

/** The attribute table holds core's facts, so that a figure can only be of something the checks know. */
async function shareAttributes(db: Database): Promise<void> {
  const rows = (Object.keys(FACTS) as FactId[]).map((id) => ({
    id,
    label: FACTS[id].label,
    question: FACTS[id].question,
  }));
  await db
    .insertInto('attribute')
    .values(rows)
    .onConflict((conflict) =>
      conflict
        .column('id')
        .doUpdateSet((eb) => ({ label: eb.ref('excluded.label'), question: eb.ref('excluded.question') })),
    )
    .execute();
}
