import type pg from 'pg';

/** Rows of a table and a sum over them that does not depend on their order. */
export interface TableSum {
  readonly rows: number;
  readonly sum: string;
}
export type Sums = Readonly<Record<string, TableSum>>;

/** Nobody stays signed in through a backup: who comes back signs in. */
export const LEFT_OUT = 'session';

/** Every table of the shop as it stands in this transaction. */
export async function sumTables(client: pg.Client): Promise<Sums> {
  // What a value looks like as text is to be the same on every machine.
  await client.query(`set local timezone to 'UTC'; set local datestyle to iso; set local extra_float_digits to 3`);
  const { rows: tables } = await client.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' and tablename <> $1 order by tablename`,
    [LEFT_OUT],
  );
  const sums: Record<string, TableSum> = {};
  for (const { name } of tables) {
    const { rows } = await client.query<{ rows: string; sum: string | null }>(
      `select count(*) as rows, sum(('x' || left(md5(t::text), 15))::bit(60)::bigint)::text as sum from public."${name}" t`,
    );
    sums[name] = { rows: Number(rows[0]!.rows), sum: rows[0]!.sum ?? '0' };
  }
  return sums;
}

/** Tables that are not alike in both, by name; none where a backup is what it was made of. */
export const unlike = (first: Sums, second: Sums): readonly string[] =>
  [...new Set([...Object.keys(first), ...Object.keys(second)])].filter(
    (name) => first[name]?.rows !== second[name]?.rows || first[name]?.sum !== second[name]?.sum,
  );

export const rowsIn = (sums: Sums): number => Object.values(sums).reduce((all, { rows }) => all + rows, 0);
