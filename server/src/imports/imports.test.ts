import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { parse } from 'csv-parse/sync';
import ExcelJS from 'exceljs';
import fc from 'fast-check';
import { sql } from 'kysely';
import type { ImportRow, ImportView } from '@brackenfell/contract/imports';
import type { Consequences } from '@brackenfell/contract/consequences';
import { silentLog } from '../context/log.ts';
import { workOneJob } from '../jobs/work-jobs.ts';
import { leaveImport } from './work-import.ts';
import { fetchTray, openTestCounter, partIdOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let editor: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  editor = await counter.as('editor');
});
afterAll(() => counter.close());

const log = silentLog();
const work = async () => {
  while (await workOneJob(counter.db, log));
};
const at = async (importId: string) => (await editor.get(`/api/imports/${importId}`).expect(200)).body as ImportView;
/** Takes a list and has it read and sorted. */
async function take(text: string | Buffer, supplier = 'Eastgate Clearance'): Promise<ImportView> {
  const answer = await editor
    .post('/api/imports')
    .query({ supplier, fileName: 'list.csv' })
    .set('idempotency-key', randomUUID())
    .type('application/octet-stream')
    .send(typeof text === 'string' ? Buffer.from(text) : text)
    .expect(201);
  await work();
  return at((answer.body as ImportView).importId);
}
const rowsOf = async ({ importId }: ImportView, heap = '') =>
  (
    (
      await editor
        .get(`/api/imports/${importId}/rows`)
        .query(heap === '' ? {} : { heap })
        .expect(200)
    ).body as { rows: ImportRow[] }
  ).rows;
const send = async ({ importId }: ImportView, what: string, body: object = {}) =>
  write(editor, 'post', `/api/imports/${importId}/${what}`, { version: (await at(importId)).version, ...body });
async function go(list: ImportView, what: string, body: object = {}): Promise<ImportView> {
  await send(list, what, body).then(({ status, body: told }) =>
    expect([status, told]).toEqual([200, expect.anything()]),
  );
  await work();
  return at(list.importId);
}
/** Everything that a list can change, row by row. */
async function snapshot(): Promise<Record<string, unknown>> {
  const tables = {
    part: 'id, maker_id, kind, cluster_id',
    part_name: 'id, part_id, kind, printed, normal_form, fold_key',
    name_neighbour: 'hash, name_id',
    price: 'part_id, each_minor, pack_of',
    supplier_price: 'supplier, part_id, net_minor, import_id',
    figure: 'id, part_id, attribute, value, source_name, withdrawn_at',
    chosen_figure: 'figure_id, part_id, rules',
    reference: 'id, from_part_id, to_part_id, grade, source, from_cluster_id, to_cluster_id',
    plug_spec: 'part_id, reach_mm, hex_mm, thread_diameter_mm',
  };
  const sums = await Promise.all(
    Object.entries(tables).map(async ([table, columns]) => {
      const { rows } = await sql<{ sum: string }>`
        select md5(string_agg(t::text, '|' order by t::text)) as sum from (select ${sql.raw(columns)} from ${sql.raw(table)}) t`.execute(
        counter.owner,
      );
      return [table, rows[0]!.sum] as const;
    }),
  );
  return Object.fromEntries(sums);
}

const LIST = [
  'Art. no;Brand;Gap mm;Equal to;Net;Price;EAN;Lager',
  'KN 419G-63DR;Kestrane;;;5,20;9,90;;12',
  'KN 426G-63DR;Kestrane;;HB/19/45.D1;5,45;;;3',
  'KX 77-1;Kestrane;0,9;KN 419G-63DR;6,10;11,40;2001234500104;0',
  'HB/19/45.D1;;;;4,90;;2001234500014;1',
  ';Kestrane;;;4,90;;;1',
  'QQ 1;Nobody;;;4,90;;;1',
].join('\n');

describe('a list that is taken in', () => {
  test('is read by its headings and sorted into heaps, each row with its reason; nothing is written', async () => {
    const before = await snapshot();
    const list = await take(LIST);
    expect(list).toMatchObject({ state: 'sorted', form: 'semicolon between cells, UTF-8', rows: 6 });
    expect(list.counts).toEqual({ invalid: 2, doubtful: 3, new: 0, changed: 1, same: 0, gone: 0 });
    const why = Object.fromEntries((await rowsOf(list)).map((row) => [row.number, [row.heap, row.why[0]]]));
    expect(why['KN 426G-63DR']).toEqual(['doubtful', expect.stringMatching(/^called equal, but reach .* ≠ reach/)]);
    expect(why['KX 77-1']).toEqual(['doubtful', expect.stringMatching(/say what the new ones/)]);
    expect(why['HB/19/45.D1']).toEqual(['invalid', expect.stringMatching(/check digit/)]);
    expect(why['']).toEqual(['invalid', 'no part number']);
    expect(why['QQ 1']![1]).toMatch(/no maker called Nobody/);
    expect(await snapshot()).toEqual(before);
  });

  test('is written in one step and taken back in one: the very rows as before', async () => {
    const before = await snapshot();
    const list = await go(await take(LIST), 'columns', { newKind: 'plug' });
    expect(list.counts).toMatchObject({ new: 1, changed: 1 });
    const written = await go(list, 'write');
    expect(written).toMatchObject({ state: 'written', outcome: '2 rows written.' });
    const isNew = await partIdOf(counter, 'KX 77-1');
    const asked = (await editor.get('/api/ask').query({ q: 'kx771' }).expect(200)).body as {
      parts: { partId: string }[];
    };
    expect(asked.parts.map(({ partId }) => partId)).toContain(isNew);
    const tray = await fetchTray(await counter.as('specialist'), 'skerrow-sc20', '?most=400');
    expect(tray.rows.map(({ printed }) => printed)).toContain('KX 77-1');
    expect(await snapshot()).not.toEqual(before);
    const back = await go(written, 'take-back');
    expect(back).toMatchObject({ state: 'taken-back' });
    expect(await snapshot()).toEqual(before);
    const after = await fetchTray(await counter.as('specialist'), 'skerrow-sc20', '?most=400');
    expect(after.rows.map(({ printed }) => printed)).not.toContain('KX 77-1');
  });

  test('read a second time changes nothing, and remembers how it was read', async () => {
    const first = await go(await go(await take(LIST), 'columns', { newKind: 'plug' }), 'write');
    const again = await go(await take(LIST), 'columns', { newKind: 'plug' });
    expect(again.isRemembered).toBe(true);
    expect(again.counts).toMatchObject({ new: 0, changed: 0, same: 2 });
    const refused = await send(again, 'write');
    expect([refused.status, (refused.body as { detail: string }).detail]).toEqual([
      409,
      expect.stringMatching(/nothing to write/),
    ]);
    // A later list that changed a price stands on it: that one goes first.
    const later = await go(await take(LIST.replace('9,90', '10,20')), 'write');
    expect((await go(first, 'take-back')).outcome).toMatch(/KN 419G-63DR was changed since/);
    await go(later, 'take-back');
    expect((await go(first, 'take-back')).state).toBe('taken-back');
  });

  test('with a part that is on a slip since stays as a whole, and says why', async () => {
    const list = await go(await go(await take(LIST), 'columns', { newKind: 'plug' }), 'write');
    const wren = await counter.as('specialist');
    const slip = (await write(wren, 'post', '/api/slips', { engineId: 'skerrow-sc20' }).expect(201)).body as {
      slipId: string;
      version: number;
    };
    await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, {
      partId: await partIdOf(counter, 'KX 77-1'),
      version: slip.version,
      kind: 'customers-own',
    }).expect(201);
    const before = await snapshot();
    const kept = await go(list, 'take-back');
    expect([kept.state, kept.outcome]).toEqual(['written', expect.stringMatching(/in use/)]);
    expect(await snapshot()).toEqual(before);
  });

  test('with thousandths under a millimetre heading waits for the answer, and reads it then', async () => {
    const thou = ['Art. no;Gap mm', 'KN 419G-63DR;35', 'HB/19/45.D1;43', 'KN 426G-63DR;28', 'KX 77-1;31'].join('\n');
    const list = await take(thou, 'Inch Works');
    expect(list.columns[1]).toMatchObject({ unit: 'mm', asked: { beyond: 4, of: 4, likely: 'thou' } });
    expect(list.counts).toMatchObject({ doubtful: 4, changed: 0 });
    const said = await go(list, 'columns', { columns: [{ use: 'number' }, { use: 'gap', unit: 'thou' }] });
    expect(said.columns[1]!.asked).toBeNull();
    const rows = await rowsOf(said);
    expect(rows.flatMap(({ why }) => why).every((why) => !why.endsWith('mm?'))).toBe(true);
    expect(rows.find(({ number }) => number === 'KX 77-1')).toMatchObject({
      heap: 'doubtful',
      why: [/0\.79 mm, where .* says 0\.90/].map((one) => expect.stringMatching(one)),
    });
  });

  test('marked complete tells what its supplier no longer has, and touches no stock', async () => {
    await go(await take('No;Net\nKN 419G-63DR;5,00\nHB/19/45.D1;4,00', 'Whole Store'), 'write');
    const shorter = await take('No;Net\nKN 419G-63DR;5,00', 'Whole Store');
    expect(shorter.counts!.gone).toBe(0);
    const complete = await go(shorter, 'columns', { isComplete: true });
    expect([complete.counts!.gone, complete.goneNumbers]).toEqual([1, ['HB/19/45.D1']]);
  });

  test('gives its rejected rows back as they came, with their reasons, and no formula in them', async () => {
    const list = await take('No;Net\n=1+1;5,00\nKN 419G-63DR;call us', 'Rejects');
    const sheet = await editor.get(`/api/imports/${list.importId}/rejected.csv`).buffer(true).expect(200);
    const rows = parse<Record<string, string>>(sheet.text, { bom: true, columns: true });
    expect(rows).toEqual([
      { line: '2', heap: 'invalid', reason: 'No: a formula, not a value', No: "'=1+1", Net: '5,00' },
      { line: '3', heap: 'invalid', reason: '“call us” is no amount', No: 'KN 419G-63DR', Net: 'call us' },
    ]);
  });

  test('that cannot be read says what to do, and is sent anew', async () => {
    const list = await take('No,Note\nKX 1,"open\n', 'Broken');
    expect([list.state, list.outcome]).toEqual(['failed', expect.stringMatching(/never closed.*send it again/)]);
    expect((await send(list, 'write')).status).toBe(409);
  });

  test('is seen and changed by those who mend the catalogue alone, and by the one who saw it last', async () => {
    const wren = await counter.as('specialist');
    await wren.get('/api/imports').expect(403);
    const list = await take(LIST);
    await go(list, 'columns', { isComplete: true });
    await write(editor, 'post', `/api/imports/${list.importId}/write`, { version: list.version }).expect(409);
    const twice = await send(list, 'columns', { columns: list.columns.map(() => ({ use: 'number' })) });
    expect(twice.status).toBe(400);
  });

  test('is stopped before it is worked on, and can be gone on with', async () => {
    const list = await take('No;Net\nKN 419G-63DR;7,77', 'Stopped');
    await send(list, 'write').then(({ status }) => expect(status).toBe(200));
    await write(editor, 'post', `/api/imports/${list.importId}/stop`, {}).expect(200);
    expect(await at(list.importId)).toMatchObject({ state: 'sorted', outcome: 'Stopped. Nothing of it was written.' });
    expect((await go(list, 'write')).state).toBe('written');
  });
});

describe('what is said of a list', () => {
  test('two lists that bring one new number bring it once: the second is shown as it would be by then', async () => {
    const text = 'No;Brand;Net\nKX 44-1;Kestrane;5,00';
    const [first, second] = [
      await go(await take(text, 'First'), 'columns', { newKind: 'plug' }),
      await go(await take(text, 'Second'), 'columns', { newKind: 'plug' }),
    ];
    expect([first.counts!.new, second.counts!.new]).toEqual([1, 1]);
    await go(first, 'write');
    const before = await snapshot();
    const shown = await go(second, 'write');
    expect(shown).toMatchObject({ state: 'sorted', counts: { new: 0, changed: 1 } });
    expect(shown.outcome).toMatch(/^Nothing was written: what is held has changed/);
    expect(await snapshot()).toEqual(before);
    // Looked at, it is written, and adds this supplier's price to the one part.
    expect((await go(shown, 'write')).state).toBe('written');
    const named = await counter.owner.selectFrom('part_name').select('id').where('printed', '=', 'KX 44-1').execute();
    expect(named).toHaveLength(1);
  });

  test('is true however its work is broken off: a written list that is not taken back stands as written', async () => {
    const written = await go(await take('No;Net\nKN 419G-63DR;6,66', 'True'), 'write');
    const before = await snapshot();
    await send(written, 'take-back').then(({ status }) => expect(status).toBe(200));
    await write(editor, 'post', `/api/imports/${written.importId}/stop`, {}).expect(200);
    expect(await at(written.importId)).toMatchObject({
      state: 'written',
      outcome: 'Stopped. It stands as it was written.',
    });
    // Stopped while a worker is at it, it is the same.
    await send(written, 'take-back').then(({ status }) => expect(status).toBe(200));
    await counter.owner.updateTable('job').set({ cancel_asked: true }).where('state', '=', 'waiting').execute();
    await work();
    expect(await snapshot()).toEqual(before);
    expect((await at(written.importId)).state).toBe('written');
    // Where only the telling of it failed, what was done stays said.
    const again = await go(await take('No;Net\nKN 419G-63DR;6,67', 'True'), 'write');
    expect(await leaveImport(counter.db, again.importId, 'failed', new Error('connection lost'))).toBe(
      '1 row written.',
    );
    expect(await at(again.importId)).toMatchObject({ state: 'written', outcome: '1 row written.' });
  });

  test('is audited once it is written: a contradiction that it brings is told of it, and prices alone ask for none', async () => {
    // Nobody had told its reach; told so, it cannot be what its references call it.
    const list = await take('No;Reach mm\nTS 500 231;12,7', 'Longer');
    expect(list.contradictions).toBeNull();
    const written = await go(list, 'write');
    await work();
    const told = await at(written.importId);
    expect(told.contradictions!.found).toBeGreaterThan(0);
    const prices = await go(await take('No;Net\nKN 419G-63DR;6,41', 'Longer'), 'write');
    await work();
    expect((await at(prices.importId)).contradictions).toBeNull();
    await go(prices, 'take-back');
    await go(written, 'take-back');
  });

  test('an audit that found something in a part it brought does not hold it back', async () => {
    const list = await go(
      await take('No;Brand;Reach mm;Equal to\nKX 33-1;Kestrane;19,0;KN 419G-63DR', 'Audited'),
      'columns',
      { newKind: 'plug' },
    );
    const before = await snapshot();
    const written = await go(list, 'write');
    await write(editor, 'post', '/api/audit/jobs', {}).expect(200);
    await work();
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
    expect((await go(written, 'take-back')).state).toBe('taken-back');
    expect(await snapshot()).toEqual(before);
  });
});

describe('a file that is sent', () => {
  const post = (bytes: Buffer, type = 'application/octet-stream') =>
    editor
      .post('/api/imports')
      .query({ supplier: 'Sent', fileName: 'a.csv' })
      .set('idempotency-key', randomUUID())
      .type(type)
      .send(bytes);
  test('is bytes, and not nothing: what is something else is refused with what to send', async () => {
    expect((await post(Buffer.alloc(0))).body).toMatchObject({ status: 400, detail: 'The file is empty.' });
    expect((await post(Buffer.from('No,Net\n'), 'text/plain')).status).toBe(415);
    const json = await post(Buffer.from('{}'), 'application/json');
    expect([json.status, (json.body as { detail: string }).detail]).toEqual([
      415,
      'Send Content-Type: application/octet-stream.',
    ]);
  });
  test('twice under one key is one list', async () => {
    const key = randomUUID();
    const once = () =>
      editor
        .post('/api/imports')
        .query({ supplier: 'Twice', fileName: 'a.csv' })
        .set('idempotency-key', key)
        .type('application/octet-stream')
        .send(Buffer.from('No,Net\nKN 419G-63DR,5\n'));
    const [first, second] = [await once(), await once()];
    expect((second.body as ImportView).importId).toBe((first.body as ImportView).importId);
    await work();
  });
  test('of more than it may hold is refused before it is read', async () => {
    const refused = await editor
      .post('/api/imports')
      .query({ supplier: 'Vast', fileName: 'a.csv' })
      .set('idempotency-key', randomUUID())
      .type('application/octet-stream')
      .send(Buffer.alloc(64 * 1024 * 1024 + 1));
    expect([refused.status, (refused.body as { detail: string }).detail]).toEqual([
      413,
      expect.stringMatching(/at most 64 MB/),
    ]);
  });
  test('of any kind comes to the same rows: text, spreadsheet, JSON lines', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('List');
    sheet.addRow(['No', 'Net', 'Gap (thou)']);
    sheet.addRow(['KN 419G-63PR', 7.15, 39]);
    const files = [
      'No;Net;Gap (thou)\nKN 419G-63PR;7,15;39',
      Buffer.from(await book.xlsx.writeBuffer()),
      '{"No":"KN 419G-63PR","Net":7.15,"Gap (thou)":39}',
    ];
    const said = [];
    for (const [i, file] of files.entries())
      said.push((await rowsOf(await take(file, `Kind ${i}`))).map(({ line: _, ...row }) => row));
    expect(said[1]).toEqual(said[0]);
    expect(said[2]).toEqual(said[0]);
    expect(said[0]![0]!.changes).toContainEqual({ what: 'net-price', ours: null, theirs: '7.15' });
  });
});

test('one number on two rows that differ is asked; rows that only join more equals are not', async () => {
  const apart = await take('No;Net\nKN 419G-63DR;5,00\nkn419g63dr;6,00', 'Rows');
  expect((await rowsOf(apart)).map(({ heap, why }) => [heap, why.at(-1)])).toEqual([
    ['doubtful', 'stands 2 times in this list, and not alike'],
    ['doubtful', 'stands 2 times in this list, and not alike'],
  ]);
  const alike = await go(
    await take('No;Brand;Net;Equal to\nKX 66-1;Kestrane;5,00;KN 419G-63DR\nKX 66-1;Kestrane;5,00;HB/19/45.D1', 'Rows'),
    'columns',
    { newKind: 'plug' },
  );
  expect(alike.counts).toMatchObject({ new: 2, doubtful: 0 });
  const before = await snapshot();
  const written = await go(alike, 'write');
  const made = await counter.owner.selectFrom('part_name').select('id').where('printed', '=', 'KX 66-1').execute();
  expect(made).toHaveLength(1);
  await go(written, 'take-back');
  expect(await snapshot()).toEqual(before);
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
      const list = await go(await take(text, 'Any'), 'columns', { newKind: 'plug' });
      if (list.counts!.new + list.counts!.changed === 0) return;
      const before = await snapshot();
      const written = await go(list, 'write');
      expect(written.state).toBe('written');
      expect((await go(written, 'take-back')).state).toBe('taken-back');
      expect(await snapshot()).toEqual(before);
    }),
    { numRuns: 12 },
  );
});

test('a worker that is cut off at any point of writing leaves the old or the new, and the next one finishes it', async () => {
  const rows = Array.from(
    { length: 40 },
    (_, i) => `KX 9${i}-A;Kestrane;${(5 + i / 10).toFixed(2)};${i % 2 ? '0.90' : ''};KN 419G-63DR`,
  );
  const list = await go(await take(['No;Brand;Net;Gap mm;Equal to', ...rows].join('\n'), 'Cut Off'), 'columns', {
    newKind: 'plug',
  });
  expect(list.counts).toMatchObject({ new: 40 });
  const before = await snapshot();
  const { rows: named } = await sql<{ name: string }>`select current_database() as name`.execute(counter.owner);
  const { name } = named[0]!;
  let cuts = 0;
  for (const after of [3, 6, 9, 12, 15, 18, 21, 24]) {
    await send(list, 'write').then(({ status }) => expect([200, 409]).toContain(status));
    const from = counter.statements.length;
    const working = workOneJob(counter.db, log).catch(() => true);
    while (counter.statements.length < from + after && (await stateNow(list)) === 'writing')
      await new Promise((resolve) => setImmediate(resolve));
    await sql`select pg_terminate_backend(pid) from pg_stat_activity where datname = ${name} and usename = 'brackenfell_app'`.execute(
      counter.superuser,
    );
    await working;
    const isWritten = (await stateNow(list)) === 'written';
    if (isWritten) break;
    cuts += 1;
    expect(await snapshot()).toEqual(before);
    await counter.owner.updateTable('job').set({ state: 'cancelled' }).where('import_id', '=', list.importId).execute();
    await counter.owner.updateTable('list_import').set({ state: 'sorted' }).where('id', '=', list.importId).execute();
  }
  expect(cuts).toBeGreaterThan(2);
  if ((await stateNow(list)) !== 'written') await go(list, 'write');
  expect((await at(list.importId)).state).toBe('written');
  await go(list, 'take-back');
  expect(await snapshot()).toEqual(before);
});

const stateNow = async ({ importId }: ImportView) =>
  (await counter.owner.selectFrom('list_import').select('state').where('id', '=', importId).executeTakeFirstOrThrow())
    .state;

test('which verdicts of what is on the shelf a list turns is told before it is written, and is what the trays say after', async () => {
  const printed = 'TS 500 231';
  const partId = await partIdOf(counter, printed);
  await sql`insert into stock (part_id, on_hand) values (${partId}, 6)
    on conflict (part_id) do update set on_hand = 6`.execute(counter.owner);
  const list = await take(`Number;Reach mm\n${printed};19,0`, 'Norrad Direct');
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
  await go(list, 'write');
  const after = await Promise.all(changes.map(({ engineId }) => verdictIn(engineId)));
  expect(after).toEqual(changes.map((change) => change.after));
});
