import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { parse } from 'csv-parse/sync';
import ExcelJS from 'exceljs';
import type { ImportView } from '@brackenfell/contract/imports';
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
    const before = await on.snapshot();
    const list = await on.take(LIST);
    expect(list).toMatchObject({ state: 'sorted', form: 'semicolon between cells, UTF-8', rows: 6 });
    expect(list.counts).toEqual({ invalid: 2, doubtful: 3, new: 0, changed: 1, same: 0, gone: 0 });
    const why = Object.fromEntries((await on.rowsOf(list)).map((row) => [row.number, [row.heap, row.why[0]]]));
    expect(why['KN 426G-63DR']).toEqual(['doubtful', expect.stringMatching(/^called equal, but reach .* ≠ reach/)]);
    expect(why['KX 77-1']).toEqual(['doubtful', expect.stringMatching(/say what the new ones/)]);
    expect(why['HB/19/45.D1']).toEqual(['invalid', expect.stringMatching(/check digit/)]);
    expect(why['']).toEqual(['invalid', 'no part number']);
    expect(why['QQ 1']![1]).toMatch(/no maker called Nobody/);
    expect(await on.snapshot()).toEqual(before);
  });

  test('is written in one step and taken back in one: the very rows as before', async () => {
    const before = await on.snapshot();
    const list = await on.go(await on.take(LIST), 'columns', { newKind: 'plug' });
    expect(list.counts).toMatchObject({ new: 1, changed: 1 });
    const written = await on.go(list, 'write');
    expect(written).toMatchObject({ state: 'written', outcome: '2 rows written.' });
    const isNew = await partIdOf(counter, 'KX 77-1');
    const asked = (await editor.get('/api/ask').query({ q: 'kx771' }).expect(200)).body as {
      parts: { partId: string }[];
    };
    expect(asked.parts.map(({ partId }) => partId)).toContain(isNew);
    const tray = await fetchTray(await counter.as('specialist'), 'skerrow-sc20', '?most=400');
    expect(tray.rows.map(({ printed }) => printed)).toContain('KX 77-1');
    expect(await on.snapshot()).not.toEqual(before);
    const back = await on.go(written, 'take-back');
    expect(back).toMatchObject({ state: 'taken-back' });
    expect(await on.snapshot()).toEqual(before);
    const after = await fetchTray(await counter.as('specialist'), 'skerrow-sc20', '?most=400');
    expect(after.rows.map(({ printed }) => printed)).not.toContain('KX 77-1');
  });

  test('read a second time changes nothing, and remembers how it was read', async () => {
    const first = await on.go(await on.go(await on.take(LIST), 'columns', { newKind: 'plug' }), 'write');
    const again = await on.go(await on.take(LIST), 'columns', { newKind: 'plug' });
    expect(again.isRemembered).toBe(true);
    expect(again.counts).toMatchObject({ new: 0, changed: 0, same: 2 });
    const refused = await on.send(again, 'write');
    expect([refused.status, (refused.body as { detail: string }).detail]).toEqual([
      409,
      expect.stringMatching(/nothing to write/),
    ]);
    // A later list that changed a price stands on it: that one goes first.
    const later = await on.go(await on.take(LIST.replace('9,90', '10,20')), 'write');
    expect((await on.go(first, 'take-back')).outcome).toMatch(/KN 419G-63DR was changed since/);
    await on.go(later, 'take-back');
    expect((await on.go(first, 'take-back')).state).toBe('taken-back');
  });

  test('with a part that is on a slip since stays as a whole, and says why', async () => {
    const list = await on.go(await on.go(await on.take(LIST), 'columns', { newKind: 'plug' }), 'write');
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
    const before = await on.snapshot();
    const kept = await on.go(list, 'take-back');
    expect([kept.state, kept.outcome]).toEqual(['written', expect.stringMatching(/in use/)]);
    expect(await on.snapshot()).toEqual(before);
  });

  test('with thousandths under a millimetre heading waits for the answer, and reads it then', async () => {
    const thou = ['Art. no;Gap mm', 'KN 419G-63DR;35', 'HB/19/45.D1;43', 'KN 426G-63DR;28', 'KX 77-1;31'].join('\n');
    const list = await on.take(thou, 'Inch Works');
    expect(list.columns[1]).toMatchObject({ unit: 'mm', asked: { beyond: 4, of: 4, likely: 'thou' } });
    expect(list.counts).toMatchObject({ doubtful: 4, changed: 0 });
    const said = await on.go(list, 'columns', { columns: [{ use: 'number' }, { use: 'gap', unit: 'thou' }] });
    expect(said.columns[1]!.asked).toBeNull();
    const rows = await on.rowsOf(said);
    expect(rows.flatMap(({ why }) => why).every((why) => !why.endsWith('mm?'))).toBe(true);
    expect(rows.find(({ number }) => number === 'KX 77-1')).toMatchObject({
      heap: 'doubtful',
      why: [/0\.79 mm, where .* says 0\.90/].map((one) => expect.stringMatching(one)),
    });
  });

  test('marked complete tells what its supplier no longer has, and touches no stock', async () => {
    await on.go(await on.take('No;Net\nKN 419G-63DR;5,00\nHB/19/45.D1;4,00', 'Whole Store'), 'write');
    const shorter = await on.take('No;Net\nKN 419G-63DR;5,00', 'Whole Store');
    expect(shorter.counts!.gone).toBe(0);
    const complete = await on.go(shorter, 'columns', { isComplete: true });
    expect([complete.counts!.gone, complete.goneNumbers]).toEqual([1, ['HB/19/45.D1']]);
  });

  test('gives its rejected rows back as they came, with their reasons, and no formula in them', async () => {
    const list = await on.take('No;Net\n=1+1;5,00\nKN 419G-63DR;call us', 'Rejects');
    const sheet = await editor.get(`/api/imports/${list.importId}/rejected.csv`).buffer(true).expect(200);
    const rows = parse<Record<string, string>>(sheet.text, { bom: true, columns: true });
    expect(rows).toEqual([
      { line: '2', heap: 'invalid', reason: 'No: a formula, not a value', No: "'=1+1", Net: '5,00' },
      { line: '3', heap: 'invalid', reason: '“call us” is no amount', No: 'KN 419G-63DR', Net: 'call us' },
    ]);
  });

  test('that cannot be read says what to do, and is sent anew', async () => {
    const list = await on.take('No,Note\nKX 1,"open\n', 'Broken');
    expect([list.state, list.outcome]).toEqual(['failed', expect.stringMatching(/never closed.*send it again/)]);
    expect((await on.send(list, 'write')).status).toBe(409);
  });

  test('is seen and changed by those who mend the catalogue alone, and by the one who saw it last', async () => {
    const wren = await counter.as('specialist');
    await wren.get('/api/imports').expect(403);
    const list = await on.take(LIST);
    await on.go(list, 'columns', { isComplete: true });
    await write(editor, 'post', `/api/imports/${list.importId}/write`, { version: list.version }).expect(409);
    const twice = await on.send(list, 'columns', { columns: list.columns.map(() => ({ use: 'number' })) });
    expect(twice.status).toBe(400);
  });

  test('is stopped before it is worked on, and can be gone on with', async () => {
    const list = await on.take('No;Net\nKN 419G-63DR;7,77', 'Stopped');
    await on.send(list, 'write').then(({ status }) => expect(status).toBe(200));
    await write(editor, 'post', `/api/imports/${list.importId}/stop`, {}).expect(200);
    expect(await on.at(list.importId)).toMatchObject({
      state: 'sorted',
      outcome: 'Stopped. Nothing of it was written.',
    });
    expect((await on.go(list, 'write')).state).toBe('written');
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
    await on.work();
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
      said.push((await on.rowsOf(await on.take(file, `Kind ${i}`))).map(({ line: _, ...row }) => row));
    expect(said[1]).toEqual(said[0]);
    expect(said[2]).toEqual(said[0]);
    expect(said[0]![0]!.changes).toContainEqual({ what: 'net-price', ours: null, theirs: '7.15' });
  });
});
