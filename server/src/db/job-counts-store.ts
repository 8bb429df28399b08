import type { Database } from './database.ts';

/** How many jobs stand how, by kind. */
export async function countJobs(db: Database) {
  const rows = await db
    .selectFrom('job')
    .select(['kind', 'state', ({ fn }) => fn.countAll<string>().as('count')])
    .groupBy(['kind', 'state'])
    .orderBy('kind')
    .orderBy('state')
    .execute();
  return rows.map(({ kind, state, count }) => ({ kind, state, count: Number(count) }));
}
