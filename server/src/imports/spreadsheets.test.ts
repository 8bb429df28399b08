import { readdirSync, readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { guessColumns } from '@brackenfell/core/imports/columns';
import { readingOf } from '@brackenfell/core/imports/read-list';
import { readList } from './read-file.ts';

/** One small list as three spreadsheet programs saved it, each in the dialects that it offers. */
const FOLDER = new URL('./fixtures/', import.meta.url);
const FILES = readdirSync(FOLDER);
/** Sheets are packed, and kept as letters. */
const bytesOf = (name: string) => {
  const bytes = readFileSync(new URL(name, FOLDER));
  return name.endsWith('.base64') ? Buffer.from(bytes.toString(), 'base64') : bytes;
};

test.each(FILES)('a list saved as %s says what it says as every other', async (name) => {
  const file = await readList(bytesOf(name));
  const rows = [];
  for await (const handful of file.rows) rows.push(...handful);
  const { read, asked } = readingOf(
    guessColumns(file.headings),
    rows.map(({ cells }) => cells),
  );
  expect(asked.filter(Boolean)).toEqual([]);
  expect(rows.map(read)).toMatchObject([
    { number: 'KX 0014-R', maker: 'Kestrane', netMinor: 123_450, figuresMm: { gap: 0.9 }, barcode: '4006381333931' },
    { number: '007-112', maker: 'Kestrane', netMinor: 625, figuresMm: { gap: 1.1 }, barcode: undefined },
    { number: 'KX 21é', maker: 'Kestrane', netMinor: 1250, figuresMm: { gap: 0.7 }, barcode: undefined },
    { number: 'KX 22', maker: 'Kestrane', netMinor: 700, figuresMm: { gap: 0.8 }, barcode: undefined },
  ]);
  expect(rows.map(({ cells }) => cells[6])).toEqual([
    'plain',
    'a comma, a semicolon; and "quotes"',
    'two lines',
    'ends',
  ]);
});

test('the lists come from several programs, as text and as sheets', () => {
  expect(FILES.filter((name) => name.includes('.xlsx'))).toHaveLength(3);
  expect(FILES.filter((name) => !name.includes('.xlsx')).length).toBeGreaterThanOrEqual(8);
});
