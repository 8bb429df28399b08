import { sql, type RawBuilder, type SelectQueryBuilder } from 'kysely';
import type { Database } from './database.ts';

// oxlint-disable-next-line typescript/no-explicit-any -- a reading of any tables
type Reading<Row> = SelectQueryBuilder<any, any, Row> | RawBuilder<Row>;
type RowOf<R> = R extends Reading<infer Row> ? Row : never;

/** Keys come as text and moments as dates, as they do when a reading is made by itself. */
function revive(row: Record<string, unknown>): Record<string, unknown> {
  for (const [name, value] of Object.entries(row)) {
    if (typeof value === 'number' && (name === 'id' || name.endsWith('_id'))) row[name] = String(value);
    else if (typeof value === 'string' && (name === 'at' || name.endsWith('_at'))) row[name] = new Date(value);
  }
  return row;
}

/** Makes several readings in one round trip, all of one snapshot; each gives its rows in its own order. */
export async function readTogether<R extends Readonly<Record<string, Reading<unknown>>>>(
  db: Database,
  readings: R,
): Promise<{ readonly [N in keyof R]: RowOf<R[N]>[] }> {
  const columns = Object.entries(readings).map(
    ([name, reading]) => sql`(select coalesce(jsonb_agg(to_jsonb(t)), '[]') from ${reading} t) as ${sql.ref(name)}`,
  );
  const { rows } = await sql<Record<string, Record<string, unknown>[]>>`select ${sql.join(columns)}`.execute(db);
  return Object.fromEntries(Object.entries(rows[0]!).map(([name, found]) => [name, found.map(revive)])) as never;
}
