import { expect, test } from '@jest/globals';
import { Migrator, sql } from 'kysely';
import { MIGRATIONS } from '../db/migrations/list.ts';
import { readRows } from '../imports/row-store.ts';
import { takeBackList } from '../imports/take-back-store.ts';
import { openEmptyDatabase } from '../testing/counter.ts';
import { migrate } from './migrate.ts';

const BEFORE = '2026-12-23-rows-of-lists';

/** A part that was held, another that a list brought, and what the list made of both, noted thing by thing. */
const WRITTEN = [
  `insert into maker (id, name) values ('kestrane', 'Kestrane')`,
  `insert into staff (name, initials, role, password_hash, pin_hash) values ('Corwin', 'CM', 'editor', 'x', 'x')`,
  `insert into part (maker_id, kind, cluster_id) values ('kestrane', 'plug', 1), ('kestrane', 'plug', 2)`,
  `insert into part_name (part_id, maker_id, kind, printed, normal_form, fold_key)
     values (1, 'kestrane', 'catalogue', 'KN 1', 'KN1', 'KN1'), (2, 'kestrane', 'catalogue', 'KX 2', 'KX2', 'KX2')`,
  `insert into list_import (supplier, file_name, state, staff_id) values ('Eastgate', 'a.csv', 'written', 1), ('Eastgate', 'b.csv', 'written', 1)`,
  `insert into price (part_id, each_minor, pack_of) values (1, 900, 4), (2, 500, 1)`,
  `insert into supplier_price (supplier, part_id, net_minor, import_id) values ('Eastgate', 1, 610, 2), ('Eastgate', 2, 400, 2)`,
  `insert into list_row (import_id, line, cells, heap, number, part_id, maker_id, read, changes, why)
     values (2, 2, '{KN 1,"6,10","a \\"b\\""}', 'changed', 'KN 1', 1, 'kestrane', '{"number":"KN 1","netMinor":610}',
             '[{"what":"net-price","ours":"5.00","theirs":"6.10"}]', '{"22.0% dearer"}')`,
  `insert into list_made (import_id, kind, subject_id, before, after)
     values (2, 'part', 2, null, null), (2, 'name', 2, null, null),
            (2, 'price', 1, '{"ourMinor":800,"packOf":1}', '{"ourMinor":900,"packOf":4}'),
            (2, 'price', 2, null, '{"ourMinor":500,"packOf":1}'),
            (2, 'supplier-price', 1, '{"netMinor":500,"importId":"1"}', '{"netMinor":610}'),
            (2, 'supplier-price', 2, null, '{"netMinor":400}')`,
];

test('a list that was written before the upgrade reads as it did, and is taken back after it as it would have been', async () => {
  const { owner, close } = await openEmptyDatabase();
  try {
    const migrator = new Migrator({ db: owner, provider: { getMigrations: () => Promise.resolve(MIGRATIONS) } });
    expect((await migrator.migrateTo(BEFORE)).error).toBeUndefined();
    for (const statement of WRITTEN) await sql.raw(statement).execute(owner);
    await migrate(owner);
    const [row] = await readRows(owner, '2', -1, 10);
    expect(row).toMatchObject({
      cells: ['KN 1', '6,10', 'a "b"'],
      why: ['22.0% dearer'],
      read: { number: 'KN 1', netMinor: 610 },
      changes: [{ what: 'net-price', ours: '5.00', theirs: '6.10' }],
    });
    await owner.transaction().execute((trx) => takeBackList(trx, '2'));
    const held = async (table: 'part' | 'price' | 'supplier_price' | 'list_made') =>
      owner.selectFrom(table).selectAll().execute();
    expect(await held('part')).toMatchObject([{ id: '1' }]);
    expect(await held('price')).toEqual([{ part_id: '1', each_minor: 800, pack_of: 1 }]);
    expect(await held('supplier_price')).toEqual([
      { supplier: 'Eastgate', part_id: '1', net_minor: 500, import_id: '1' },
    ]);
    expect(await held('list_made')).toEqual([]);
  } finally {
    await close();
  }
});
