import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import type { NumberRow } from '@brackenfell/contract/part';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

/** Every page of a list, one after another. */
async function walk(query: Record<string, string> = {}): Promise<NumberRow[]> {
  const agent = await counter.as('specialist');
  const all: NumberRow[] = [];
  for (let after: Record<string, string> = {}; ;) {
    const { body } = await agent
      .get('/api/numbers')
      .query({ ...query, ...after })
      .expect(200);
    const { numbers, hasMore } = body as { numbers: NumberRow[]; hasMore: boolean };
    all.push(...numbers);
    if (!hasMore) return all;
    const last = numbers.at(-1)!;
    after = { afterForm: last.normal, afterId: last.nameId };
  }
}

test('walking the pages meets every number once and in order, also where many are written alike', async () => {
  // A hundred and fifty makers' parts of one number: a page ends in the midst of them.
  const { rows } = await sql<{ id: string }>`
    insert into part (maker_id, kind) select (select id from maker limit 1), 'unheld' from generate_series(1, 150)
    returning id`.execute(counter.owner);
  await sql`insert into part_name (part_id, maker_id, kind, printed, normal_form, fold_key)
    select id, (select id from maker limit 1), 'catalogue', 'AB 1', 'AB1', 'AB1'
      from unnest(${rows.map(({ id }) => id)}::bigint[]) as t (id)`.execute(counter.owner);
  const all = await walk();
  const { count } = await counter.db
    .selectFrom('part_name')
    .select(({ fn }) => fn.countAll<string>().as('count'))
    .executeTakeFirstOrThrow();
  expect(new Set(all.map(({ nameId }) => nameId)).size).toBe(Number(count));
  expect(all).toHaveLength(Number(count));
  const forms = all.map(({ normal }) => normal);
  expect(forms).toEqual([...forms].sort((a, b) => Buffer.compare(Buffer.from(a), Buffer.from(b))));
});

test('a list is narrowed by how a number begins, however it is written, by kind and by shelf', async () => {
  const begun = await walk({ begins: 'kn 42' });
  expect(begun.length).toBeGreaterThan(3);
  expect(begun.every(({ normal }) => normal.startsWith('KN42'))).toBe(true);
  const coils = await walk({ kind: 'coil', stocked: 'yes' });
  expect(coils.length).toBeGreaterThan(0);
  expect(coils.every(({ kind, onHand }) => kind === 'coil' && onHand! > 0)).toBe(true);
  expect(await walk({ begins: '%' })).toEqual(await walk());
  expect(await walk({ begins: 'zz_zz' })).toEqual([]);
});
