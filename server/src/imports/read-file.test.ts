import { describe, expect, test } from '@jest/globals';
import ExcelJS from 'exceljs';
import { crc32, deflateRawSync } from 'node:zlib';
import { readList } from './read-file.ts';

const all = async (bytes: Buffer | string) => {
  const file = await readList(typeof bytes === 'string' ? Buffer.from(bytes) : bytes);
  const rows = [];
  for await (const handful of file.rows) rows.push(...handful);
  return { ...file, rows };
};
const cells = async (bytes: Buffer | string) => (await all(bytes)).rows.map((row) => row.cells);
const utf16 = (text: string, mark: boolean, big = false) => {
  const bytes = Buffer.from(`${mark ? '\ufeff' : ''}${text}`, 'utf16le');
  return big ? bytes.swap16() : bytes;
};

describe('a list as text', () => {
  const WANTED = [
    ['KX 1', '5,45', 'Größe'],
    ['KX 2', '', ''],
  ];
  const TEXT = 'No;Net;Note\r\nKX 1;5,45;Größe\r\nKX 2;;\r\n';
  test.each([
    ['UTF-8', Buffer.from(TEXT), 'UTF-8'],
    ['UTF-8 with its mark', Buffer.from(`\ufeff${TEXT}`), 'UTF-8'],
    ['Windows-1252', Buffer.from(TEXT, 'latin1'), 'Windows-1252'],
    ['UTF-16 with its mark', utf16(TEXT, true), 'UTF-16'],
    ['UTF-16 without', utf16(TEXT, false), 'UTF-16'],
    ['UTF-16, the high byte first', utf16(TEXT, true, true), 'UTF-16'],
  ])('is read in %s', async (_, bytes, letters) => {
    const { form, headings, rows } = await all(bytes);
    expect(form).toBe(`semicolon between cells, ${letters}`);
    expect(headings).toEqual(['No', 'Net', 'Note']);
    expect(rows.map((row) => row.cells)).toEqual(WANTED);
  });
  test.each([
    ['comma', 'No,Net\nKX 1,"5,45"\n'],
    ['tab', 'No\tNet\nKX 1\t5,45\n'],
    ['bar', 'No|Net\nKX 1|5,45\n'],
    ['semicolon', 'No;Net\nKX 1;5,45\n'],
  ])('is parted at its %s', async (name, text) => {
    expect((await all(text)).form).toMatch(new RegExp(`^${name}`));
    expect(await cells(text)).toEqual([['KX 1', '5,45']]);
  });
  test('keeps quotes, delimiters and line ends inside a cell, and knows its lines', async () => {
    const { rows } = await all('No,Note\nKX 1,"a ""new"" one, of\ntwo lines"\n\n\nKX 2,b\n');
    expect(rows[0]!.cells).toEqual(['KX 1', 'a "new" one, of two lines']);
    expect(rows[1]).toEqual({ line: 6, cells: ['KX 2', 'b'] });
  });
  test('loses no row of another length: what is too many stands with it', async () => {
    expect(await cells('No,Net\nKX 1\nKX 2,3,extra\n')).toEqual([['KX 1'], ['KX 2', '3', 'extra']]);
  });
  test('is refused clearly where a quotation mark is never closed, or one row is endless', async () => {
    await expect(all('No,Note\nKX 1,"open\nKX 2,b\n')).rejects.toThrow(/never closed/);
    await expect(all(`No,Note\nKX 1,${'x'.repeat(2_000_000)}\n`)).rejects.toThrow(/longer than/);
    await expect(all('')).rejects.toThrow(/empty/);
  });
  test('keeps no character that no database keeps, and no cell that nobody would read', async () => {
    expect(await cells(`No,Note\nKX\u00001,a\u0007b\nKX 2,${'y'.repeat(5000)}\n`)).toEqual([
      ['KX 1', 'a b'],
      ['KX 2', `${'y'.repeat(399)}…`],
    ]);
    // Neither half of a character that a file breaks off, nor one that is broken where the cell is cut.
    const [broken, cut] = await cells(`{"no":"KX\\ud8001"}\n{"no":"${'y'.repeat(398)}😀 and more"}`);
    expect([broken, cut]).toEqual([['KX 1'], [`${'y'.repeat(398)}…`]]);
  });
});

describe('a list as JSON lines', () => {
  test('has the names of its first objects for headings; a line that is none is told', async () => {
    const { headings, rows } = await all(
      '{"number":"KX 1","net":5.45}\nnonsense\n{"number":"KX 2","pack":4,"more":null}\n',
    );
    expect(headings).toEqual(['number', 'net', 'pack', 'more']);
    expect(rows).toEqual([
      { line: 1, cells: ['KX 1', '5.45', '', ''] },
      { line: 2, cells: ['nonsense'], broken: 'no JSON object' },
      { line: 3, cells: ['KX 2', '', '4', ''] },
    ]);
  });
});

describe('a spreadsheet', () => {
  test('is read as it shows: dates, rich text, and of a formula its last result', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('List');
    sheet.addRow(['No', 'Net', 'From', 'Note']);
    sheet.addRow([
      'KX 1',
      { formula: 'A1*2', result: 5.45 },
      new Date('2026-03-01T00:00:00Z'),
      { richText: [{ text: 'a ' }, { text: 'b' }] },
    ]);
    sheet.addRow([{ formula: 'HYPERLINK("x")' }, 3, null, { error: '#N/A' }]);
    const bytes = Buffer.from(await book.xlsx.writeBuffer());
    const { form, headings, rows } = await all(bytes);
    expect([form, headings]).toEqual(['spreadsheet', ['No', 'Net', 'From', 'Note']]);
    expect(rows.map((row) => row.cells)).toEqual([
      ['KX 1', '5.45', '2026-03-01', 'a b'],
      ['=HYPERLINK("x")', '3', '', ''],
    ]);
  });
  test('that would unpack to far more than a list is refused before it is opened', async () => {
    await expect(all(bomb(120))).rejects.toThrow(/far larger than any list/);
  });
  test('that is damaged, or no workbook at all, is refused clearly', async () => {
    const book = new ExcelJS.Workbook();
    book.addWorksheet('List').addRow(['No']);
    const bytes = Buffer.from(await book.xlsx.writeBuffer());
    await expect(all(bytes.subarray(0, bytes.length - 40))).rejects.toThrow(/cannot be unpacked|damaged/);
    await expect(all(bomb(1))).rejects.toThrow(/cannot be opened|no sheet/);
  });
});

/** A zip of one entry that unpacks to so many megabytes of nothing. */
function bomb(megabytes: number): Buffer {
  const plain = Buffer.alloc(megabytes * 1024 * 1024);
  const packed = deflateRawSync(plain);
  const crc = crc32(plain);
  const name = Buffer.from('xl/workbook.xml');
  const head = Buffer.alloc(30);
  head.writeUInt32LE(0x04034b50, 0);
  head.writeUInt16LE(20, 4);
  head.writeUInt16LE(8, 8);
  head.writeUInt32LE(crc, 14);
  head.writeUInt32LE(packed.length, 18);
  head.writeUInt32LE(plain.length, 22);
  head.writeUInt16LE(name.length, 26);
  const central = Buffer.alloc(46);
  central.writeUInt32LE(0x02014b50, 0);
  central.writeUInt16LE(20, 4);
  central.writeUInt16LE(20, 6);
  central.writeUInt16LE(8, 10);
  central.writeUInt32LE(crc, 16);
  central.writeUInt32LE(packed.length, 20);
  central.writeUInt32LE(plain.length, 24);
  central.writeUInt16LE(name.length, 28);
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(1, 8);
  end.writeUInt16LE(1, 10);
  end.writeUInt32LE(central.length + name.length, 12);
  end.writeUInt32LE(head.length + name.length + packed.length, 16);
  return Buffer.concat([head, name, packed, central, name, end]);
}
