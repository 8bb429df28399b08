import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Migrator, sql } from 'kysely';
import { FACTS, factNow, type FactId } from '@brackenfell/core/facts/facts';
import { neighbourKeys } from '@brackenfell/core/part-numbers/one-edit';
import { openEmptyDatabase } from '../testing/counter.ts';
import type { Database } from '../db/database.ts';
import { migrate } from './migrate.ts';
import { MIGRATIONS } from '../db/migrations/list.ts';

let owner: Database;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ owner, close } = await openEmptyDatabase());
  const migrator = new Migrator({ db: owner, provider: { getMigrations: () => Promise.resolve(MIGRATIONS) } });
  const { error } = await migrator.migrateTo('2026-11-25-first-counter');
  expect(error).toBeUndefined();
  for (const statement of RELEASE_BEFORE) await sql.raw(statement).execute(owner);
  await migrate(owner);
});
afterAll(() => close());

/** Figures of every form as the first release packed them, and the values they are. */
const PACKED: readonly (readonly [
  id: string,
  low: number | null,
  high: number | null,
  code: string | null,
  value: unknown,
])[] = [
  ['plug.reachMm', 19.05, 19.05, null, 19.05],
  ['plug.seat', null, null, 'gasket-fixed', 'gasket-fixed'],
  ['plug.nutCanBeFitted', null, null, 'no', false],
  ['plug.heat', null, null, 'kestrane:63', { maker: 'kestrane', code: '63' }],
  ['plug.resistor', 5, 5, 'value', { kind: 'value', kohm: 5 }],
  ['plug.gapAdjust', null, null, 'fixed', { kind: 'fixed' }],
  ['plug.supply', null, null, 'superseded:KN 1: A', { state: 'superseded', successor: 'KN 1: A' }],
  ['position.gapMm', 1.05, 1.15, null, { low: 1.05, high: 1.15 }],
  ['position.heat', null, null, 'kestrane:60,63', { maker: 'kestrane', codes: ['60', '63'] }],
  ['position.resistor', null, null, 'none-asked', { kind: 'none-asked' }],
  ['position.wellBoreMm', null, null, 'open', 'open'],
  ['position.crownMm', 28.5, 28.5, null, 28.5],
  ['coilAsked.primaryOhm', 0.5, 0.5, null, 0.5],
  ['coilAsked.revisions', null, null, '["A","B"]', ['A', 'B']],
];

/** A catalogue as the first release kept it: three numbers, two of them called equal, one superseded. */
const RELEASE_BEFORE = [
  `insert into maker (id, name) values ('kestrane', 'Kestrane'), ('tamsel', 'Tamsel')`,
  `insert into part (maker_id, kind) values ('kestrane', 'plug'), ('tamsel', 'plug'), ('tamsel', 'plug')`,
  `insert into part_name (part_id, kind, printed, normal_form, fold_key) values
     (1, 'catalogue', 'KN 419G-63', 'KN419G63', 'KN419663'), (2, 'catalogue', 'TS 500 226', 'TS500226', 'T5500226'),
     (3, 'catalogue', 'TS 500 234', 'TS500234', 'T5500234')`,
  `insert into reference (from_part_id, to_part_id, grade, source, noted_on) values
     (2, 1, 'equivalent', 'a list', '2024-01-01'), (3, 2, 'supersedes', 'a list', '2024-01-01')`,
  `insert into slip (state) values ('closed'), ('parked')`,
  `insert into attribute (id, label, question) select id, '', '' from unnest(array[${PACKED.map(([id]) => `'${id}'`).join()}]) id`,
  `insert into figure (part_id, attribute, low, high, code, source_rank, source_name) values
     ${PACKED.map(([id, low, high, code]) => `(1, '${id}', ${low}, ${high}, ${code === null ? 'null' : `'${code}'`}, 'part-maker', 'a sheet')`).join()}`,
];

describe('a database of the release before', () => {
  test('keeps every figure, each now of the shape its fact declares', async () => {
    const figures = await owner.selectFrom('figure').select(['attribute', 'value']).orderBy('id').execute();
    expect(figures).toEqual(PACKED.map(([id, , , , value]) => ({ attribute: factNow(id), value })));
    for (const { attribute, value } of figures)
      expect([attribute, FACTS[attribute as FactId].recorded!.safeParse(value).success]).toEqual([attribute, true]);
  });

  test('gets its names’ makers, so that a maker in a question narrows', async () => {
    const names = await owner.selectFrom('part_name').select(['part_id', 'maker_id']).orderBy('part_id').execute();
    expect(names.map(({ maker_id }) => maker_id)).toEqual(['kestrane', 'tamsel', 'tamsel']);
  });

  test('gets its look-alike clusters, on parts and on references; a superseded number stays outside', async () => {
    const parts = await owner.selectFrom('part').select('cluster_id').orderBy('id').execute();
    expect(parts.map(({ cluster_id }) => cluster_id)).toEqual(['1', '1', '3']);
    const edges = await owner
      .selectFrom('reference')
      .select(['from_cluster_id', 'to_cluster_id'])
      .orderBy('id')
      .execute();
    expect(edges).toEqual([
      { from_cluster_id: '1', to_cluster_id: '1' },
      { from_cluster_id: '3', to_cluster_id: '1' },
    ]);
  });

  test('gets every name filed under all its neighbourhood keys', async () => {
    const filed = await owner.selectFrom('name_neighbour').select('hash').where('name_id', '=', '1').execute();
    expect(filed.map(({ hash }) => Number(hash)).sort()).toEqual(neighbourKeys('KN419663').sort());
  });

  test('gets its closed slips ended where no stock had moved, and what was parked stays so', async () => {
    const slips = await owner.selectFrom('slip').select('state').orderBy('id').execute();
    expect(slips.map(({ state }) => state)).toEqual(['ended', 'parked']);
    await expect(sql`update slip set state = 'open' where state = 'ended'`.execute(owner)).rejects.toThrow(/final/);
  });

  test('is left alone by a second start, and a name added meanwhile is filed by it', async () => {
    const count = async () =>
      Number(
        (
          await owner
            .selectFrom('name_neighbour')
            .select((eb) => eb.fn.countAll().as('n'))
            .executeTakeFirstOrThrow()
        ).n,
      );
    const before = await count();
    expect(await migrate(owner)).toEqual([]);
    expect(await count()).toBe(before);
    await owner
      .insertInto('part_name')
      .values({ part_id: '1', kind: 'box', printed: 'AB', normal_form: 'AB', fold_key: 'A8', maker_id: 'kestrane' })
      .execute();
    await migrate(owner);
    expect(await count()).toBe(before + neighbourKeys('A8').length);
  });
});
