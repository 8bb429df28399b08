import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { buffer, text } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { sql } from 'kysely';
import yazl from 'yazl';
import { counted } from '@brackenfell/core/words/counted';
import { openFile } from '../open-format/routes.ts';
import { zippedSheets } from '../open-format/write-sheets.ts';
import { openNewShop, openTestCounter, type TestCounter } from '../testing/counter.ts';
import { listsOf, openLists } from '../testing/lists.ts';
import { BEGIN, FIRST_CODE } from '../testing/new-shop.ts';

/** A shop that was begun a moment ago; its supervisor takes lists in. */
async function beginShop() {
  const shop = await openNewShop(FIRST_CODE);
  const maud = shop.anonymous();
  await maud.post('/api/shop').send(BEGIN).expect(201);
  return { ...shop, ...listsOf(shop, maud) };
}
type Shop = Awaited<ReturnType<typeof beginShop>>;
const emptied = async (shop: Shop) => (await text(Readable.from(openFile(shop.db)))).split('\n').length - 1;

let demo: TestCounter;
let asLines: string;
let asSheets: Buffer;
beforeAll(async () => {
  demo = await openTestCounter();
  // Words that a spreadsheet would work out, or that begin as such words do once they are marked.
  await demo.owner
    .insertInto('maker')
    .values([
      { id: 'odd', name: '=SUM(A1)' },
      { id: 'odder', name: "'=quoted" },
      { id: 'oddest', name: "'plain\r\n" },
    ])
    .execute();
  asLines = await text(Readable.from(openFile(demo.db)));
  asSheets = await buffer(Readable.from(zippedSheets(demo.db)));
});
afterAll(() => demo.close());

/** A zip of sheets by their names. */
async function zipOf(sheets: Readonly<Record<string, string | Buffer>>): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, sheet] of Object.entries(sheets)) zip.addBuffer(Buffer.from(sheet), name);
  zip.end();
  return buffer(zip.outputStream);
}

describe('a whole catalogue taken in by a shop that has none', () => {
  test.each([
    ['JSON lines', () => Buffer.from(asLines)],
    ['sheets in a zip', () => asSheets],
  ])('as %s is counted first, then loaded, and comes out again the same to the byte', async (form, file) => {
    const shop = await beginShop();
    try {
      const looked = await shop.take(file());
      const lines = asLines.trimEnd().split('\n').length;
      expect(looked).toMatchObject({ state: 'sorted', form: `a whole catalogue, ${form}`, rows: lines, columns: [] });
      expect(Object.values(looked.whole!).reduce((sum, one) => sum + one, 0)).toBe(lines);
      expect(await emptied(shop)).toBe(1);
      expect(await shop.go(looked, 'write')).toMatchObject({
        state: 'written',
        outcome: `${counted(lines, 'line')} loaded. What the audit finds in it stands under Audit.`,
      });
      expect((await text(Readable.from(openFile(shop.db)))) === asLines).toBe(true);
      const { rows: audits } = await sql<{ state: string }>`select state from job where kind = 'audit'`.execute(
        shop.owner,
      );
      expect(audits).toEqual([{ state: 'done' }]);
      const asked = await shop.editor.get('/api/ask').query({ q: 'kn 42gg-63dr' }).expect(200);
      expect(asked.body.parts.length).toBeGreaterThan(0);
      // It is not taken back, and another one is not laid over it.
      expect((await shop.send(looked, 'take-back')).status).toBe(409);
      const again = await shop.take(file());
      expect(again).toMatchObject({ state: 'failed', outcome: expect.stringMatching(/there is one here already/) });
    } finally {
      await shop.close();
    }
  });

  test('is not loaded by halves: with a line that speaks of what is nowhere, or broken off, the catalogue is as empty as before', async () => {
    const shop = await beginShop();
    try {
      // Every line keeps to the format; what it speaks of stands nowhere, which is seen when all before it is written.
      for (const [of, by] of [
        [/("line":"listing","part":\{"maker":"[^"]+","number":")[^"]+/, '$1NOWHERE'],
        [/("line":"listing",.*?"engine":")[^"]+/, '$1nowhere'],
        // Two lines of one thing: said by this file alone when the second is written.
        [/^\{"line":"maker".*$/m, '$&\n$&'],
        [/^\{"line":"numbering".*$/m, '$&\n$&'],
        [/^\{"line":"engine".*$/m, '$&\n$&'],
      ] as const) {
        const astray = await shop.take(asLines.replace(of, by));
        const told = await shop.go(astray, 'write');
        expect(told).toMatchObject({
          state: 'sorted',
          outcome: expect.stringMatching(/nowhere is spoken of|stands on two lines|already exists/i),
        });
        expect(await emptied(shop)).toBe(1);
      }
      const looked = await shop.take(asLines);
      // The place that it would take is taken meanwhile.
      await shop.owner
        .insertInto('class_list')
        .values({ class_name: 'x', valid_from: '2026-01-01', valid_to: null, numbers: [], source: 's' })
        .execute();
      const kept = await shop.go(looked, 'write');
      expect(kept).toMatchObject({ state: 'sorted', outcome: expect.stringMatching(/not empty/) });
      await shop.owner.deleteFrom('class_list').execute();
      // Asked to stop before it is done.
      await shop.send(looked, 'write');
      await shop.owner.updateTable('job').set({ cancel_asked: true }).where('state', '=', 'waiting').execute();
      await shop.work();
      expect(await shop.at(looked.importId)).toMatchObject({
        state: 'sorted',
        outcome: 'Stopped. Nothing of it was written.',
      });
      expect(await emptied(shop)).toBe(1);
      expect(await shop.go(looked, 'write')).toMatchObject({ state: 'written' });
    } finally {
      await shop.close();
    }
  });
});

describe('a file that says it is a whole catalogue, and is none that can be loaded', () => {
  let shop: Shop;
  beforeAll(async () => {
    shop = await beginShop();
  });
  afterAll(() => shop.close());

  const FIRST = 'format,version\nbrackenfell,1\n';
  test.each([
    ['lines, one of them no JSON', () => `${asLines.split('\n')[0]!}\n{"line":`, /Line 2 is no JSON/],
    [
      'lines, a reach that is a word',
      () => asLines.replace(/("plug.reachMm","value":)[0-9.]+/, '$1"long"'),
      /figures.*no plug\.reachMm/,
    ],
    [
      'lines in other letters',
      () => Buffer.concat([Buffer.from(asLines), Buffer.from([0xe9, 0x0a])]),
      /not written in UTF-8/,
    ],
    [
      'lines, one without end',
      () => `${asLines.split('\n')[0]!}\n{"line":"${'x'.repeat(5 * 1024 * 1024)}"}`,
      /Line 2 is longer than any/,
    ],
    [
      'lines, a figure of lists within lists',
      () =>
        `${asLines.split('\n')[0]!}\n{"line":"part","maker":"m","kind":"plug","names":[{"as":"catalogue","printed":"X"}],` +
        `"figures":[{"fact":"plug.reachMm","value":${'['.repeat(100_000)}${']'.repeat(100_000)},"rank":"part-maker","source":"s"}]}`,
      /Line 2 holds lists within lists without end/,
    ],
    [
      'a sheet in other letters',
      () => zipOf({ 'catalogue.csv': FIRST, 'maker.csv': Buffer.from('id,name\nm,M\u00fcrow\n', 'latin1') }),
      /maker\.csv, row 2, name: not written in UTF-8/,
    ],
    [
      'a sheet with a column nobody knows, in a folder',
      () => zipOf({ 'out/catalogue.csv': FIRST, '__MACOSX/out/maker.csv': 'x', 'out/maker.csv': 'id,called\nm,M\n' }),
      /out\/maker\.csv: no column of it is called “called”/,
    ],
    [
      'a sheet with a column nobody knows',
      () => zipOf({ 'catalogue.csv': FIRST, 'maker.csv': 'id,name,colour\nm,M,red\n' }),
      /maker\.csv: no column of it is called “colour”/,
    ],
    [
      'a cell that should be JSON',
      () => zipOf({ 'catalogue.csv': FIRST, 'heat-scale.csv': 'maker,ratings\nm,hot\n' }),
      /heat-scale\.csv, row 2, ratings: no JSON/,
    ],
    [
      'a row with a cell too many',
      () => zipOf({ 'catalogue.csv': FIRST, 'maker.csv': 'id,name\nm,M,red\n' }),
      /maker\.csv, after row 1: its cells cannot be parted/,
    ],
    [
      'a maker without a name',
      () => zipOf({ 'catalogue.csv': FIRST, 'maker.csv': 'id,name\nm,\n' }),
      /maker\.csv, row 2, name/,
    ],
    ['a zip whose sheet is damaged', () => damaged(asSheets), /damaged/],
  ])('%s is refused with the place to mend, and nothing is written', async (_, file, why) => {
    const told = await shop.take(await file());
    expect(told).toMatchObject({ state: 'failed', outcome: expect.stringMatching(why) });
    expect(await emptied(shop)).toBe(1);
  });
});

/** Bytes in the midst of what is packed are others. */
function damaged(zip: Buffer): Buffer {
  const copy = Buffer.from(zip);
  copy.fill(0xff, Math.floor(copy.length / 3), Math.floor(copy.length / 3) + 64);
  return copy;
}

test('a shop that has a catalogue is told that a whole one goes into an empty one alone, and its own stands', async () => {
  const on = await openLists();
  try {
    const before = await on.snapshot();
    expect(await on.take(asSheets)).toMatchObject({
      state: 'failed',
      outcome: expect.stringMatching(/Nothing of it was written/),
    });
    expect(await on.snapshot()).toEqual(before);
  } finally {
    await on.counter.close();
  }
});
