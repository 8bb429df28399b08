import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { partIdOf } from '../testing/counter.ts';
import { openLists, type Lists } from '../testing/lists.ts';

let on: Lists;
beforeAll(async () => {
  on = await openLists();
});
afterAll(() => on.counter.close());

/** More rows than are written at a time, and the first number twice more at the end: as it stood, and equal to another. */
const ROWS = 2100;
const CODE = '4006381333931';
const LIST = ['No;Brand;Net;Gap mm;EAN;Equal to']
  .concat(
    `KX 70-0;Kestrane;5.10;0.9;${CODE};KN 419G-63DR`,
    Array.from({ length: ROWS - 1 }, (_, i) => `KX 70-${i + 1};Kestrane;5.${10 + (i % 80)};0.9;;`),
    `KX 70-0;Kestrane;5.10;0.9;${CODE};KN 419G-63DR`,
    `kx70 0;Kestrane;5.10;0.9;${CODE};KN 426G-63DR`,
  )
  .join('\n');

describe('a list of more rows than are written at a time', () => {
  test('makes a number once, however far apart its rows stand, and states every figure once', async () => {
    const before = await on.snapshot();
    const began = Date.now();
    const written = await on.go(await on.go(await on.take(LIST), 'columns', { newKind: 'plug' }), 'write');
    expect(written).toMatchObject({ state: 'written', counts: { new: ROWS + 1, same: 1 } });
    const [alike] = await on.rowsOf(written, 'same');
    expect([alike!.line, alike!.why]).toEqual([ROWS + 2, ['stands in line 2 already']]);
    const named = await on.counter.owner
      .selectFrom('part_name')
      .select('part_id')
      .where('normal_form', 'like', 'KX70%')
      .orderBy('id')
      .execute();
    expect(named).toHaveLength(ROWS);
    const first = named[0]!.part_id;
    const of = (table: 'figure' | 'part_name') =>
      on.counter.owner.selectFrom(table).select('id').where('part_id', '=', first).execute();
    expect([(await of('figure')).length, (await of('part_name')).length]).toEqual([1, 2]);
    const equals = await on.counter.owner
      .selectFrom('reference')
      .select('to_part_id')
      .where('from_part_id', '=', first)
      .execute();
    const meant = await Promise.all(['KN 419G-63DR', 'KN 426G-63DR'].map((one) => partIdOf(on.counter, one)));
    expect(equals.map(({ to_part_id }) => to_part_id).sort()).toEqual(meant.sort());
    const specified = await on.counter.owner
      .selectFrom('chosen_figure')
      .innerJoin('figure', 'figure.id', 'chosen_figure.figure_id')
      .select('figure.part_id')
      .distinct()
      .where('chosen_figure.rules', '=', true)
      .where('figure.attribute', '=', 'plug.gapMm')
      .where(
        'figure.part_id',
        'in',
        named.map(({ part_id }) => part_id),
      )
      .execute();
    expect(specified).toHaveLength(ROWS);
    // Whoever asks while it is written is not answered as if there were only what there was before.
    const looked = sql<{
      at: Date | null;
    }>`select last_analyze as at from pg_stat_user_tables where relname = 'part_name'`;
    expect((await looked.execute(on.counter.owner)).rows[0]!.at!.getTime()).toBeGreaterThan(began);
    expect(await on.take(LIST)).toMatchObject({ state: 'sorted', counts: { same: ROWS + 2 } });
    expect((await on.go(written, 'take-back')).state).toBe('taken-back');
    expect(await on.snapshot()).toEqual(before);
  });

  test('is decided page by page: one statement names no more than it can', async () => {
    const real = await partIdOf(on.counter, 'KN 419G-63DR');
    const ruling = () =>
      on.counter.owner
        .selectFrom('chosen_figure')
        .selectAll()
        .where('part_id', '=', real)
        .orderBy('figure_id')
        .execute();
    const before = await ruling();
    const strangers = Array.from({ length: 70_000 }, (_, i) => String(10_000_000 + i));
    await on.counter.db.transaction().execute((trx) => chooseFigures(trx, [real, ...strangers], []));
    expect(await ruling()).toEqual(before);
    expect(before.length).toBeGreaterThan(0);
  });
});
