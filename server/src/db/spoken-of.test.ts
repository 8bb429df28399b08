import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

/** What a list brings, and takes away again when it is taken back, by the thousand. */
const TAKEN_AWAY = ['part', 'part_name', 'figure', 'reference'];

test('whether a part of a list is in use is looked up by an index in every table that may speak of it, however much was sold', async () => {
  const { rows } = await sql<{ column: string }>`
    select c.conrelid::regclass || '.' || a.attname as column
      from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
     where c.contype = 'f' and c.confrelid::regclass::text = any(${TAKEN_AWAY}::text[])
       and not exists (select from pg_index i where i.indrelid = c.conrelid and i.indkey[0] = a.attnum)`.execute(
    counter.owner,
  );
  expect(rows.map(({ column }) => column)).toEqual([]);
});
