import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import { fromBuffer, type Entry, type ZipFile } from 'yauzl';
import { text } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { openTestCounter, type Agent, type TestCounter } from '../testing/counter.ts';
import { readOpenLines } from './export-store.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const bytesOf = async (agent: Agent, path: string): Promise<Buffer> => {
  const sent = await agent
    .get(path)
    .buffer(true)
    .parse((res, done) => {
      const parts: Buffer[] = [];
      res.on('data', (part: Buffer) => parts.push(part));
      res.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  return sent.body as Buffer;
};

/** The sheets of a zip by name, each as rows by heading; by readers that have nothing to do with what wrote them. */
async function sheetsOf(zipped: Buffer): Promise<Map<string, Record<string, string>[]>> {
  const zip = await new Promise<ZipFile>((resolve, reject) =>
    fromBuffer(zipped, { lazyEntries: true }, (error, opened) => (error ? reject(error) : resolve(opened))),
  );
  const sheets = new Map<string, Record<string, string>[]>();
  await new Promise<void>((resolve, reject) => {
    zip.on('end', resolve);
    zip.on('error', reject);
    zip.on('entry', (entry: Entry) => {
      zip.openReadStream(entry, (error, stream: Readable) => {
        if (error) {
          reject(error);
          return;
        }
        void text(stream).then((sheet) => {
          sheets.set(entry.fileName, parse(sheet, { columns: true, bom: true, record_delimiter: '\r\n' }));
          zip.readEntry();
        }, reject);
      });
    });
    zip.readEntry();
  });
  return sheets;
}

test('the catalogue as sheets has a row for every line of the open format, and no cell that a spreadsheet would work out', async () => {
  await counter.owner.insertInto('maker').values({ id: 'odd', name: '=HYPERLINK("x")' }).execute();
  const editor = await counter.as('editor');
  const sheets = await sheetsOf(await bytesOf(editor, '/api/catalogue.zip'));
  const counted = new Map<string, number>();
  for await (const { line } of readOpenLines(counter.db)) counted.set(line, (counted.get(line) ?? 0) + 1);
  expect(new Map([...sheets].map(([name, rows]) => [name.replace('.csv', ''), rows.length]))).toEqual(counted);
  expect(sheets.get('maker.csv')!.find(({ id }) => id === 'odd')!.name).toBe('\'=HYPERLINK("x")');
  // What has parts of its own is JSON in its cell.
  const [part] = sheets.get('part.csv')!;
  expect(JSON.parse(part!.names!)).toEqual(
    expect.arrayContaining([expect.objectContaining({ printed: expect.any(String) })]),
  );
});

test('shelf and slips come out as sheets for the books: every piece, every line, and nobody’s name', async () => {
  const supervisor = await counter.as('supervisor');
  const rowsOf = async (path: string) =>
    parse<Record<string, string>>((await bytesOf(supervisor, path)).toString('utf8'), { columns: true, bom: true });
  const shelf = await rowsOf('/api/stock.csv');
  const { count } = await counter.db
    .selectFrom('stock')
    .select(({ fn }) => fn.sum<string>('on_hand').as('count'))
    .executeTakeFirstOrThrow();
  expect(shelf.reduce((sum, row) => sum + Number(row['on hand']), 0)).toBe(Number(count));
  const sold = await rowsOf('/api/slips.csv?from=2000-01-01&to=2100-01-01');
  const lines = await counter.db
    .selectFrom('slip_line')
    .select(({ fn }) => fn.countAll<string>().as('count'))
    .where('removed_at', 'is', null)
    .executeTakeFirstOrThrow();
  expect(sold).toHaveLength(Number(lines.count));
  expect(new Set(sold.map((row) => row['tax %']))).toEqual(new Set(['20']));
  const whole = JSON.stringify(sold);
  const people = await counter.db.selectFrom('slip').select('customer').where('customer', '!=', '').execute();
  expect(people.filter(({ customer }) => whole.includes(customer))).toEqual([]);
  await (await counter.as('editor')).get('/api/slips.csv?from=2000-01-01&to=2100-01-01').expect(403);
});
