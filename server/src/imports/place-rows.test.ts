import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import { openTestCounter, partIdOf, type TestCounter } from '../testing/counter.ts';
import { readMakers } from './held-store.ts';
import { placeRows } from './place-rows.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const place = async (row: Partial<ReadRow>) =>
  (
    await placeRows(counter.db, await readMakers(counter.db), 'Eastgate', 'plug', [
      { line: 2, read: { number: 'KN 419G-63DR', figuresMm: {}, invalid: [], doubtful: [], ...row } },
    ])
  )[0]!;
/** A name that a second part answers to as well. */
const alsoCalled = async (printed: string, part: string, normal: string) => {
  const partId = await partIdOf(counter, part);
  const { maker_id } = await counter.owner
    .selectFrom('part')
    .select('maker_id')
    .where('id', '=', partId)
    .executeTakeFirstOrThrow();
  await counter.owner
    .insertInto('part_name')
    .values({ part_id: partId, maker_id, kind: 'box', printed, normal_form: normal, fold_key: normal })
    .execute();
  return { partId, maker: maker_id };
};

describe('the part that a row speaks of', () => {
  test.each(['KN 419G-63DR', 'kn419g63dr', 'KN-419G/63DR', ' KN  419G 63DR '])(
    'is found by %s, however its maker prints it',
    async (number) => expect((await place({ number })).partId).toBe(await partIdOf(counter, 'KN 419G-63DR')),
  );

  test('is asked where parts of several makers have the number, and told apart by the maker', async () => {
    const { partId, maker } = await alsoCalled('KN 419G-63DR', 'HB/19/45.D1', 'KN419G63DR');
    expect(await place({ number: 'KN 419G-63DR' })).toMatchObject({
      heap: 'doubtful',
      why: ['parts of several makers have this number: whose is it?'],
    });
    expect((await place({ number: 'KN 419G-63DR', maker })).partId).toBe(partId);
    await counter.owner
      .deleteFrom('part_name')
      .where('printed', '=', 'KN 419G-63DR')
      .where('kind', '=', 'box')
      .execute();
  });

  test('is never found by a barcode that looks like its number, nor by a number that only a list speaks of', async () => {
    const { partId } = await alsoCalled('200123', 'HB/19/45.D1', '200123');
    await counter.owner.updateTable('part_name').set({ kind: 'barcode' }).where('printed', '=', '200123').execute();
    expect((await place({ number: '200123' })).partId).toBeNull();
    await counter.owner.deleteFrom('part_name').where('printed', '=', '200123').execute();
    expect(partId).not.toBeNull();
  });

  test('stands beside what is held of it: its figures with their source, its price, what this supplier took', async () => {
    const id = await partIdOf(counter, 'KN 419G-63DR');
    await counter.owner.updateTable('price').set({ each_minor: 940, pack_of: 1 }).where('part_id', '=', id).execute();
    expect(await place({ ourMinor: 940, figuresMm: { reach: 19 } })).toMatchObject({ heap: 'same' });
    const otherwise = await place({ ourMinor: 990, netMinor: 500, figuresMm: { reach: 26.5 } });
    expect(otherwise.changes).toEqual([
      { what: 'net-price', ours: null, theirs: '5.00' },
      { what: 'our-price', ours: '9.40', theirs: '9.90' },
    ]);
    expect(otherwise.why[0]).toMatch(/^reach 26\.50 mm, where Kestrane catalogue says 19\.00 mm: ours stands$/);
  });
});

describe('what a row calls equal', () => {
  test('is denied by the figures the row itself states, where the number is new', async () => {
    const row = { number: 'KX 88-1', maker: 'Kestrane', equalTo: 'KN 419G-63DR' };
    expect((await place(row)).heap).toBe('new');
    expect(await place({ ...row, figuresMm: { reach: 9.5 } })).toMatchObject({
      heap: 'doubtful',
      why: ['called equal, but reach 9.5 mm ≠ reach 19.0 mm'],
    });
  });

  test('is asked where several makers have that number', async () => {
    const { partId } = await alsoCalled('HB/19/45.D1', 'KN 419G-63PR', 'HB1945D1');
    expect((await place({ equalTo: 'HB/19/45.D1' })).why).toEqual([
      'equal to HB/19/45.D1, which several makers have: whose is meant?',
    ]);
    await counter.owner.deleteFrom('part_name').where('part_id', '=', partId).where('kind', '=', 'box').execute();
  });

  test('is not the part itself, and needs to be held by somebody', async () => {
    expect((await place({ equalTo: 'kn419g-63dr' })).why).toEqual(['equal to kn419g-63dr, which nobody here holds']);
    expect((await place({ equalTo: 'NOBODY 1' })).why).toEqual(['equal to NOBODY 1, which nobody here holds']);
  });

  test('is the same once this list’s own word for it is kept; another source’s word does not speak for it', async () => {
    const [from, to] = [await partIdOf(counter, 'KN 419G-63DR'), await partIdOf(counter, 'HB/19/45.D1')];
    const said = (source: string) =>
      counter.owner
        .insertInto('reference')
        .values({
          from_part_id: from,
          to_part_id: to,
          grade: 'equivalent',
          source,
          noted_on: '2026-01-01',
          note: null,
          rejected_at: null,
          rejected_by: null,
          from_cluster_id: null,
          to_cluster_id: null,
          condition: null,
          engine_ids: null,
          in_force_from: null,
        })
        .execute();
    await said('Somebody else');
    expect((await place({ equalTo: 'HB/19/45.D1' })).heap).toBe('changed');
    await said('Eastgate');
    expect((await place({ equalTo: 'HB/19/45.D1' })).heap).toBe('same');
  });
});
