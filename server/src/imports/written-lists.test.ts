import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sql } from 'kysely';
import type { PartCard } from '@brackenfell/contract/part';
import type { Consequences } from '@brackenfell/contract/consequences';
import { workOneJob } from '../jobs/work-jobs.ts';
import { leaveImport } from './work-import.ts';
import { fetchTray, partIdOf, write } from '../testing/counter.ts';
import { openLists, type Lists } from '../testing/lists.ts';

let on: Lists;
let counter: Lists['counter'];
let editor: Lists['editor'];
beforeAll(async () => {
  on = await openLists();
  ({ counter, editor } = on);
});
afterAll(() => counter.close());

describe('what is said of a list', () => {
  test('two lists that bring one new number bring it once: the second is shown as it would be by then', async () => {
    const text = 'No;Brand;Net\nKX 44-1;Kestrane;5,00';
    const [first, second] = [
      await on.go(await on.take(text, 'First'), 'columns', { newKind: 'plug' }),
      await on.go(await on.take(text, 'Second'), 'columns', { newKind: 'plug' }),
    ];
    expect([first.counts!.new, second.counts!.new]).toEqual([1, 1]);
    await on.go(first, 'write');
    const before = await on.snapshot();
    const shown = await on.go(second, 'write');
    expect(shown).toMatchObject({ state: 'sorted', counts: { new: 0, changed: 1 } });
    expect(shown.outcome).toMatch(/^Nothing was written: what is held has changed/);
    expect(await on.snapshot()).toEqual(before);
    // Looked at, it is written, and adds this supplier's price to the one part.
    expect((await on.go(shown, 'write')).state).toBe('written');
    const named = await counter.owner.selectFrom('part_name').select('id').where('printed', '=', 'KX 44-1').execute();
    expect(named).toHaveLength(1);
  });

  test('that an earlier release has sorted is sorted by this one before it is written', async () => {
    const sorted = await on.take('No;Net\nKN 419G-63DR;6,13\nkn419g63dr;6,13', 'Of Before');
    await sql`update list_row set heap = 'changed', changes = '[{"what":"net-price","ours":null,"theirs":"6.13"}]', again_of = null
               where import_id = ${sorted.importId}`.execute(counter.owner);
    await sql`update list_import set sorted_as = null where id = ${sorted.importId}`.execute(counter.owner);
    const shown = await on.go(sorted, 'write');
    expect(shown).toMatchObject({ state: 'sorted', counts: { changed: 1, same: 1 } });
    expect((await on.go(shown, 'write')).outcome).toBe('1 row written.');
  });

  test('is held to where anything is written: a price changed since holds the list back, one of a row that was the same stays as it is', async () => {
    const [changed, same] = await Promise.all(['KN 419G-63DR', 'KN 426G-63DR'].map((one) => partIdOf(counter, one)));
    const priceOf = async (id: string) =>
      (await counter.owner.selectFrom('price').select('each_minor').where('part_id', '=', id).executeTakeFirst())
        ?.each_minor;
    const reprice = (id: string, to: number) =>
      counter.owner.updateTable('price').set({ each_minor: to }).where('part_id', '=', id).execute();
    const [dearer, told] = [(await priceOf(changed!))! + 5, (await priceOf(same!))!];
    const inWords = (minor: number) => (minor / 100).toFixed(2).replace('.', ',');
    const text = `No;Brand;Price\nKN 419G-63DR;Kestrane;${inWords(dearer)}\nKN 426G-63DR;Kestrane;${inWords(told)}`;
    const list = await on.take(text, 'Whoever');
    expect(list.counts).toMatchObject({ changed: 1, same: 1 });
    await reprice(same!, told + 100);
    await reprice(changed!, dearer + 1);
    const shown = await on.go(list, 'write');
    expect([shown.state, await priceOf(changed!)]).toEqual(['sorted', dearer + 1]);
    // Looked at again, it would change the other too; taken anew, that one is as it says, and is changed once more after.
    await reprice(same!, told);
    const again = await on.take(text, 'Whoever');
    await reprice(same!, told + 200);
    expect((await on.go(again, 'write')).state).toBe('written');
    expect([await priceOf(changed!), await priceOf(same!)]).toEqual([dearer, told + 200]);
  });

  test('that its new numbers are plugs moves them alone, to where a list that was told so before has them', async () => {
    const text = [
      'No;Brand;Net;Gap mm;Equal to',
      'KX 46-1;Kestrane;5,00;0,9;KN 419G-63DR',
      'KX 46-2;Nobody Yet;5,00;0,9;',
      'kx46-1;Kestrane;5,00;0,9;KN 426G-63DR',
      'KX 46-3;Kestrane;5,00;;',
      'KX 46-3;Kestrane;5,10;;',
      'KN 419G-63DR;Kestrane;7,77;;',
      'KX 46-1;Kestrane;5,00;0,9;KN 419G-63DR',
    ].join('\n');
    const rowsOf = (list: { importId: string }) =>
      counter.owner
        .selectFrom('list_row')
        .select(['line', 'heap', 'part_id', 'equal_id', 'changes', 'why', 'again_of', 'waits'])
        .where('import_id', '=', list.importId)
        .orderBy('line')
        .execute();
    const taken = await on.take(text, 'As Plugs');
    expect(taken.counts).toMatchObject({ new: 0, doubtful: 6, changed: 1 });
    const told = await on.go(taken, 'columns', { newKind: 'plug' });
    expect(told.counts).toMatchObject({ new: 2, same: 1, doubtful: 3, changed: 1 });
    const moved = await rowsOf(told);
    // Laid beside what is held once more, they lie the same.
    expect(await rowsOf(await on.go(told, 'columns', { newKind: 'plug' }))).toEqual(moved);
    // Whoever has come to be known since is known to the rows.
    const next = await on.take(text, 'As Plugs Next');
    await write(editor, 'post', '/api/makers', { name: 'Nobody Yet' }).expect(201);
    const known = await on.go(next, 'columns', { newKind: 'plug' });
    expect(known.counts).toMatchObject({ new: 3, doubtful: 2 });
  });

  test('of a maker’s own list, which names its maker nowhere, it is said once and remembered', async () => {
    const text = 'No;Net\nKX 45-1;5,00\nKN 419G-63DR;6,10';
    const taken = await on.take(text, 'Kestrane direct');
    await on.go(taken, 'columns', { newKind: 'plug' });
    expect((await on.rowsOf(taken, 'doubtful')).map(({ why }) => why)).toEqual([['a new number needs its maker']]);
    const stranger = await on.send(taken, 'columns', { ofMaker: 'nobody' });
    expect([stranger.status, (stranger.body as { detail: string }).detail]).toEqual([
      400,
      'No maker is called so here.',
    ]);
    const said = await on.go(taken, 'columns', { ofMaker: 'kestrane' });
    expect(said).toMatchObject({ ofMaker: 'kestrane', counts: { new: 1, changed: 1, doubtful: 0 } });
    await on.go(said, 'write');
    const made = await counter.owner
      .selectFrom('part_name')
      .select('maker_id')
      .where('printed', '=', 'KX 45-1')
      .executeTakeFirstOrThrow();
    expect(made.maker_id).toBe('kestrane');
    expect(await on.take(text, 'Kestrane direct')).toMatchObject({ ofMaker: 'kestrane', counts: { same: 2 } });
  });

  test('is true however its work is broken off: a written list that is not taken back stands as written', async () => {
    const written = await on.go(await on.take('No;Net\nKN 419G-63DR;6,66', 'True'), 'write');
    const before = await on.snapshot();
    await on.send(written, 'take-back').then(({ status }) => expect(status).toBe(200));
    await write(editor, 'post', `/api/imports/${written.importId}/stop`, {}).expect(200);
    expect(await on.at(written.importId)).toMatchObject({
      state: 'written',
      outcome: 'Stopped. It stands as it was written.',
    });
    // Stopped while a worker is at it, it is the same.
    await on.send(written, 'take-back').then(({ status }) => expect(status).toBe(200));
    await counter.owner.updateTable('job').set({ cancel_asked: true }).where('state', '=', 'waiting').execute();
    await on.work();
    expect(await on.snapshot()).toEqual(before);
    expect((await on.at(written.importId)).state).toBe('written');
    // Where only the telling of it failed, what was done stays said.
    const again = await on.go(await on.take('No;Net\nKN 419G-63DR;6,67', 'True'), 'write');
    expect(await leaveImport(counter.db, again.importId, 'failed', new Error('connection lost'))).toBe(
      '1 row written.',
    );
    expect(await on.at(again.importId)).toMatchObject({ state: 'written', outcome: '1 row written.' });
  });

  test('is audited once it is written: a contradiction that it brings is told of it, and prices alone ask for none', async () => {
    // Nobody had told its reach; told so, it cannot be what its references call it.
    const list = await on.take('No;Reach mm\nTS 500 231;12,7', 'Longer');
    expect(list.contradictions).toBeNull();
    const written = await on.go(list, 'write');
    await on.work();
    const told = await on.at(written.importId);
    expect(told.contradictions!.found).toBeGreaterThan(0);
    const prices = await on.go(await on.take('No;Net\nKN 419G-63DR;6,41', 'Longer'), 'write');
    await on.work();
    expect((await on.at(prices.importId)).contradictions).toBeNull();
    await on.go(prices, 'take-back');
    await on.go(written, 'take-back');
  });

  test('an audit that found something in a part it brought does not hold it back', async () => {
    const list = await on.go(
      await on.take('No;Brand;Reach mm;Equal to\nKX 33-1;Kestrane;19,0;KN 419G-63DR', 'Audited'),
      'columns',
      { newKind: 'plug' },
    );
    const before = await on.snapshot();
    const written = await on.go(list, 'write');
    await write(editor, 'post', '/api/audit/jobs', {}).expect(200);
    await on.work();
    const partId = await partIdOf(counter, 'KX 33-1');
    const { id: job_id } = await counter.owner
      .selectFrom('job')
      .select('id')
      .where('kind', '=', 'audit')
      .orderBy('id', 'desc')
      .executeTakeFirstOrThrow();
    await counter.owner
      .insertInto('audit_finding')
      .values({
        job_id,
        rule: 'reach-differs',
        subject: `reach ${partId}`,
        part_id: partId,
        other_part_id: null,
        edge_ids: [],
        trail: '[]',
        figures: '{"says":[],"parts":[]}',
        engines: 0,
        stock: 0,
      })
      .execute();
    expect((await on.go(written, 'take-back')).state).toBe('taken-back');
    expect(await on.snapshot()).toEqual(before);
  });
});

test('one number on two rows that differ is asked; rows that only join more equals are not', async () => {
  const apart = await on.take('No;Net\nKN 419G-63DR;5,00\nkn419g63dr;6,00', 'Rows');
  expect((await on.rowsOf(apart)).map(({ heap, why }) => [heap, why.at(-1)])).toEqual([
    ['doubtful', 'stands 2 times in this list, and not alike'],
    ['doubtful', 'stands 2 times in this list, and not alike'],
  ]);
  const alike = await on.go(
    await on.take(
      'No;Brand;Net;Equal to\nKX 66-1;Kestrane;5,00;KN 419G-63DR\nKX 66-1;Kestrane;5,00;HB/19/45.D1',
      'Rows',
    ),
    'columns',
    { newKind: 'plug' },
  );
  expect(alike.counts).toMatchObject({ new: 2, doubtful: 0 });
  const before = await on.snapshot();
  const written = await on.go(alike, 'write');
  const made = await counter.owner.selectFrom('part_name').select('id').where('printed', '=', 'KX 66-1').execute();
  expect(made).toHaveLength(1);
  await on.go(written, 'take-back');
  expect(await on.snapshot()).toEqual(before);
});

test('whatever a list holds, taking it back puts the very rows back', async () => {
  const number = fc.constantFrom('KN 419G-63DR', 'HB/19/45.D1', 'KN 419G-63PR', 'KX 55-1', 'KX 55-2', 'KX 55-3');
  const row = fc.record({
    number,
    net: fc.option(fc.integer({ min: 300, max: 1200 }), { nil: undefined }),
    price: fc.option(fc.integer({ min: 600, max: 1900 }), { nil: undefined }),
    pack: fc.option(fc.constantFrom(1, 2, 4), { nil: undefined }),
    gap: fc.option(fc.constantFrom('0.7', '0.9', '1.1'), { nil: undefined }),
    equal: fc.option(number, { nil: undefined }),
  });
  await fc.assert(
    fc.asyncProperty(fc.array(row, { minLength: 1, maxLength: 12 }), async (rows) => {
      const text = ['No;Brand;Net;Price;Pack;Gap mm;Equal to']
        .concat(
          rows.map(({ number: no, net, price, pack, gap, equal }) =>
            [
              no,
              no.startsWith('HB') ? '' : 'Kestrane',
              net && (net / 100).toFixed(2),
              price && (price / 100).toFixed(2),
              pack,
              gap,
              equal,
            ].join(';'),
          ),
        )
        .join('\n');
      const list = await on.go(await on.take(text, 'Any'), 'columns', { newKind: 'plug' });
      if (list.counts!.new + list.counts!.changed === 0) return;
      const before = await on.snapshot();
      const written = await on.go(list, 'write');
      expect(written.state).toBe('written');
      expect((await on.go(written, 'take-back')).state).toBe('taken-back');
      expect(await on.snapshot()).toEqual(before);
    }),
    { numRuns: 12 },
  );
});

/** What a list of new parts writes to, in its order. */
const WRITTEN_TO = [
  'part',
  'part_name',
  'name_neighbour',
  'supplier_price',
  'figure',
  'reference',
  'list_made',
  'chosen_figure',
  'plug_spec',
  'catalogue_version',
  'list_import',
] as const;

/** Works the job that waits until it would write to a table, which is held, and takes its connections away there. True when it came so far. */
async function cutOffAt(table: (typeof WRITTEN_TO)[number]): Promise<boolean> {
  let isOver = false;
  const { rows: named } = await sql<{ name: string }>`select current_database() as name`.execute(counter.owner);
  const { name } = named[0]!;
  const { working, isHeld } = await counter.owner.transaction().execute(async (trx) => {
    // It stops who writes to the table, and not who refers to a row of it.
    await sql`lock table ${sql.table(table)} in share mode`.execute(trx);
    const under = workOneJob(counter.db, on.log)
      .catch(() => true)
      .finally(() => (isOver = true));
    // Databases of other tests have the same tables by the same ids.
    const waits = sql`
      select from pg_locks l join pg_database d on d.oid = l.database
       where d.datname = ${name} and l.relation = ${table}::regclass and l.mode = 'RowExclusiveLock' and not l.granted`;
    let held = false;
    while (!held && !isOver) held = (await waits.execute(trx)).rows.length > 0;
    await sql`select pg_terminate_backend(pid) from pg_stat_activity
               where datname = ${name} and usename = 'brackenfell_app'`.execute(counter.superuser);
    // In a record: it ends only when the table is let go, for it writes down how it ended.
    return { working: under, isHeld: held };
  });
  await working;
  return isHeld;
}

test('a worker that is cut off at any point of writing leaves the old, and the next one finishes it', async () => {
  const rows = Array.from(
    { length: 40 },
    (_, i) => `KX 9${i}-A;Kestrane;${(5 + i / 10).toFixed(2)};${i % 2 ? '0.90' : ''};KN 419G-63DR`,
  );
  const list = await on.go(await on.take(['No;Brand;Net;Gap mm;Equal to', ...rows].join('\n'), 'Cut Off'), 'columns', {
    newKind: 'plug',
  });
  expect(list.counts).toMatchObject({ new: 40 });
  const before = await on.snapshot();
  for (const table of WRITTEN_TO) {
    await on.send(list, 'write').then(({ status }) => expect([200, 409]).toContain(status));
    expect([table, await cutOffAt(table)]).toEqual([table, true]);
    expect(await on.snapshot()).toEqual(before);
    await counter.owner.updateTable('job').set({ state: 'cancelled' }).where('import_id', '=', list.importId).execute();
    await counter.owner.updateTable('list_import').set({ state: 'sorted' }).where('id', '=', list.importId).execute();
  }
  await on.go(list, 'write');
  expect((await on.at(list.importId)).state).toBe('written');
  await on.go(list, 'take-back');
  expect(await on.snapshot()).toEqual(before);
});

test('which verdicts of what is on the shelf a list turns is told before it is written, and is what the trays say after', async () => {
  const printed = 'TS 500 231';
  const partId = await partIdOf(counter, printed);
  await sql`insert into stock (part_id, on_hand) values (${partId}, 6)
    on conflict (part_id) do update set on_hand = 6`.execute(counter.owner);
  const list = await on.take(`Number;Reach mm\n${printed};19,0`, 'Norrad Direct');
  const told = (await editor.get(`/api/imports/${list.importId}/consequences`).expect(200)).body as {
    consequences: Consequences;
    stocked: number;
    looked: number;
  };
  expect([told.stocked, told.looked]).toEqual([1, 1]);
  const { changes } = told.consequences;
  expect(changes.length).toBeGreaterThan(0);
  const verdictIn = async (engineId: string) =>
    (await fetchTray(await counter.as('specialist'), engineId, `?inHand=${partId}`)).rows.find(
      (row) => row.partId === partId,
    )?.verdict;
  const before = await Promise.all(changes.map(({ engineId }) => verdictIn(engineId)));
  expect(before).toEqual(changes.map((change) => change.before));
  await on.go(list, 'write');
  const after = await Promise.all(changes.map(({ engineId }) => verdictIn(engineId)));
  expect(after).toEqual(changes.map((change) => change.after));
});

test('a new plug that a list describes is judged by it from then on, with the list as its source', async () => {
  const text = [
    'Number;Brand;Thread;Reach mm;Seat;Hex mm;Heat;Gap mm;Tip;Resistor',
    'KX 92-1;Kestrane;M14x1,25;19,0;gasket;16;63;1,10;platinum;5k',
    'KX 92-2;Kestrane;M12x1,25;19,0;gasket;16;63;1,10;platinum;5k',
    'KX 92-3;Kestrane;M14x1,25;19,0;gasket;16;99;1,10;platinum;5k',
  ].join('\n');
  const list = await on.go(await on.take(text, 'Norrad Whole'), 'columns', { newKind: 'plug' });
  expect(list.counts).toMatchObject({ new: 2, doubtful: 1 });
  const before = await on.snapshot();
  const written = await on.go(list, 'write');
  const specialist = await counter.as('specialist');
  const judged = async (printed: string) => {
    const partId = await partIdOf(counter, printed);
    const { rows } = await fetchTray(specialist, 'skerrow-sc20', `?inHand=${partId}`);
    return rows.find((row) => row.partId === partId)!;
  };
  const [right, wrong] = [await judged('KX 92-1'), await judged('KX 92-2')];
  expect([right.verdict, wrong.verdict]).toEqual(['ask-first', 'refuse']);
  expect(JSON.stringify(wrong)).toContain('M12');
  const part = (await specialist.get(`/api/parts/${await partIdOf(counter, 'KX 92-1')}`).expect(200)).body as PartCard;
  const facts = new Map(part.facts.map((fact) => [fact.label, fact]));
  expect(facts.get('heat rating')).toMatchObject({
    value: '63 = 15.5 bar',
    sources: [{ rank: 'supplier', name: 'Norrad Whole' }],
  });
  // The same list again states what is held; taken back, nothing of it is left.
  expect((await on.take(text, 'Norrad Whole')).counts).toMatchObject({ new: 0, changed: 0, same: 2 });
  await on.go(written, 'take-back');
  expect(await on.snapshot()).toEqual(before);
});
