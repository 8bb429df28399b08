import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { guessColumns, unitAsked, type Column } from './columns.ts';
import { decimalMark, readMoney, rowReader, type ReadRow } from './read-row.ts';
import { sortRow, type Ours } from './sort-row.ts';

const NONE = { mark: undefined, asked: new Set<number>() };
const read = (cells: readonly string[], columns: readonly Column[], mark?: '.' | ',') =>
  rowReader(columns, { ...NONE, mark })(cells);

test('a cell that a list says again and again is read as it was the first time, in whichever column and row', () => {
  const columns = guessColumns(['Number', 'Maker', 'Net price', 'Price', 'Gap mm', 'Reach mm', 'Thread']);
  const cell = fc.constantFrom('', '0.9', '0,9', '19', '1,234', '12.50', 'M14 × 1.25', '=1+1', 'KX 1', '43', 'none');
  const options = { ...NONE, asked: new Set([5]) };
  fc.assert(
    fc.property(fc.array(fc.array(cell, { minLength: 7, maxLength: 7 }), { maxLength: 20 }), (rows) => {
      const reader = rowReader(columns, options);
      for (const cells of rows) expect(reader(cells)).toEqual(rowReader(columns, options)(cells));
    }),
  );
  // More of them than are remembered.
  const reader = rowReader(columns, NONE);
  const read = Array.from({ length: 12_000 }, (_, i) => reader(['K', '', ((i + 1) / 100).toFixed(2)]).netMinor);
  expect(read).toEqual(read.map((_, i) => i + 1));
});

describe('the headings of a list', () => {
  test('tell what each column is and the unit of its figures; what they do not tell is left out', () => {
    const of = guessColumns(['Art. no', 'Brand', 'Reach mm', 'Gap (thou)', 'Equal to', 'Net £', 'EAN', 'Lager']);
    expect(of.map(({ use, unit }) => (unit ? `${use} ${unit}` : use))).toEqual([
      'number',
      'maker',
      'reach mm',
      'gap thou',
      'equal-to',
      'net-price',
      'barcode',
      'left-out',
    ]);
  });
  test('give no use to two columns', () => {
    const uses = guessColumns(['Part number', 'Item no', 'Price', 'Price each']).map(({ use }) => use);
    expect(uses.filter((use) => use !== 'left-out')).toEqual(['number', 'our-price']);
  });
});

describe('the unit of a column', () => {
  const gap: Column = { heading: 'Gap mm', use: 'gap', unit: 'mm' };
  test('thousandths under a millimetre heading are asked, with what they would be', () => {
    const asked = unitAsked(gap, ['43', '28', '44', '', '31', '0.9']);
    expect(asked).toMatchObject({ beyond: 4, of: 5, low: 0.9, high: 44, likely: 'thou' });
    expect(asked!.likelyHighMm).toBeCloseTo(1.1176, 4);
  });
  test('is believed of two values, of a mixture, of values with their own unit, and where a person said so', () => {
    expect(unitAsked(gap, ['43', '28'])).toBeUndefined();
    expect(unitAsked(gap, ['43', '0.9', '1.1', '28'])).toBeUndefined();
    expect(unitAsked(gap, ['43 thou', '28 thou', '35 thou'])).toBeUndefined();
    expect(unitAsked({ ...gap, isUnitSaid: true }, ['43', '28', '44'])).toBeUndefined();
    expect(unitAsked({ heading: 'Reach mm', use: 'reach', unit: 'mm' }, ['19', '26.5', '12.7'])).toBeUndefined();
  });
  test('nothing is read of a column while its unit is asked: its rows wait', () => {
    const row = rowReader([{ heading: 'No', use: 'number' }, gap], { ...NONE, asked: new Set([1]) })(['KX 1', '43']);
    expect([row.figuresMm, row.doubtful]).toEqual([{}, ['gap 43: mm?']]);
  });
});

describe('a cell', () => {
  const figure = (cell: string, unit: Column['unit'] = 'mm', use: 'gap' | 'reach' = 'gap') => {
    const row = read(
      ['KX 1', cell],
      [
        { heading: 'No', use: 'number' },
        { heading: use, use, unit },
      ],
    );
    return row.figuresMm[use] ?? row.doubtful[0];
  };
  test.each([
    ['0,9', 'mm', 0.9],
    ['0.035', 'in', 0.889],
    ['35', 'thou', 0.889],
    ['.9 mm', 'thou', 0.9],
  ] as const)('a gap of %s in %s is %s mm', (cell, unit, mm) => expect(figure(cell, unit)).toBeCloseTo(mm, 6));
  test('that is blank states nothing, and is never a zero', () => {
    expect(figure('')).toBeUndefined();
    expect(figure('0')).toMatch(/not a usual gap/);
  });
  test('that is a range, no figure or a thread is asked', () => {
    expect(figure('0.8-0.9')).toMatch(/a range/);
    expect(figure('n/a')).toMatch(/^gap: /);
    expect(figure('14', 'mm', 'reach')).toMatch(/thread as often as a reach/);
  });
  test.each([
    ['5.45', undefined, 545],
    ['1.234,50', undefined, 123450],
    ['£1,234.50', undefined, 123450],
    ['1 234,5', ',', 123450],
    ['1,234', '.', 123400],
    ['1,234', ',', 123],
    ['1.234.567', undefined, 123456700],
    ['0,345', undefined, 35],
    ['1234.5678', undefined, 123457],
  ] as const)('an amount %s, decimals after %s, is %s pence', (cell, mark, minor) =>
    expect(readMoney(cell, mark)).toEqual({ kind: 'minor', minor }),
  );
  test('an amount that may be thousands is asked unless its column tells; nothing and less is refused', () => {
    expect(readMoney('1,234', undefined)).toMatchObject({ kind: 'asked' });
    expect([decimalMark(['1,234', '5,40']), decimalMark(['5.40', '5,40']), decimalMark(['12'])]).toEqual([
      ',',
      undefined,
      undefined,
    ]);
    // Past what tells the column, another mark is asked and not a hundredfold price.
    expect(readMoney('5,40', '.')).toMatchObject({ kind: 'asked', says: expect.stringMatching(/another mark/) });
    for (const cell of ['0', '-3.10', 'call us', '1e9', '1.2.3', '1,23,456.00'])
      expect(readMoney(cell, '.').kind).toBe('unreadable');
  });
  test('that is a formula, or a barcode with two digits swapped, takes its row out with the reason', () => {
    const columns: Column[] = [
      { heading: 'No', use: 'number' },
      { heading: 'EAN', use: 'barcode' },
    ];
    expect(read(['=HYPERLINK("x")', ''], columns).invalid).toEqual(['No: a formula, not a value']);
    expect(read(['KX 1', '2001234500014'], columns).invalid[0]).toMatch(/check digit would be 2/);
    for (const nothing of ['', '---', '/ .'])
      expect(read([nothing, '2001234500104'], columns).invalid).toEqual(['no part number']);
  });
});

const HELD: Ours = {
  netMinor: 520,
  ourMinor: 940,
  packOf: 1,
  barcodes: ['2001234500104'],
  facts: { 'plug.reachMm': { value: 19, source: 'Kestrane catalogue' } },
};
const ROW: ReadRow = { number: 'KX 1', figuresMm: {}, invalid: [], doubtful: [] };
const RATINGS = new Set(['63', '71']);
const sorted = (row: Partial<ReadRow>, more: Partial<Parameters<typeof sortRow>[1]> = {}) =>
  sortRow(
    { ...ROW, ...row },
    { ours: HELD, isShared: false, equal: undefined, isMakerHeld: true, isPlug: true, ratings: RATINGS, ...more },
  );

describe('a row laid beside what is held', () => {
  test('that states what is held is the same; a blank changes nothing', () => {
    expect(sorted({ netMinor: 520, figuresMm: { reach: 19 }, barcode: '2001234500104' }).heap).toBe('same');
    expect(sorted({}).heap).toBe('same');
  });
  test('fills a blank and changes a price, with how much dearer it is', () => {
    expect(sorted({ netMinor: 545, figuresMm: { gap: 0.9 } })).toEqual({
      heap: 'changed',
      changes: [
        { what: 'net-price', ours: '5.20', theirs: '5.45' },
        { what: 'gap', ours: null, theirs: '0.90 mm' },
      ],
      why: ['4.8% dearer'],
    });
  });
  test('never overrides a figure that is held, nor a price by ten times: a person looks first', () => {
    expect(sorted({ figuresMm: { reach: 26.5 } })).toMatchObject({
      heap: 'doubtful',
      why: ['reach 26.50 mm, where Kestrane catalogue says 19.00 mm: ours stands'],
    });
    expect(sorted({ netMinor: 5200 })).toMatchObject({ heap: 'doubtful', why: ['10 times: a lost point?'] });
  });
  test('takes a pack only beside a price of ours', () => {
    expect(sorted({ packOf: 4 })).toMatchObject({ heap: 'changed', changes: [{ ours: '1', theirs: '4' }] });
    const unpriced = { ...HELD, ourMinor: null };
    expect(sorted({ packOf: 4 }, { ours: unpriced }).why).toEqual([
      'packs of 4, where we have no price: give it with one',
    ]);
    expect(sorted({ packOf: 4, ourMinor: 900 }, { ours: unpriced }).heap).toBe('changed');
  });
  test('joins no two parts whose dimensions deny it, nor one that nobody holds', () => {
    const equal = { isHeld: true, isShared: false, isSaid: false, contradicts: 'reach 9.5 mm ≠ reach 19.0 mm' };
    expect(sorted({ equalTo: 'HX 2' }, { equal }).why).toEqual(['called equal, but reach 9.5 mm ≠ reach 19.0 mm']);
    expect(sorted({ equalTo: 'HX 2' }, { equal: { ...equal, contradicts: undefined } }).heap).toBe('changed');
    expect(sorted({ equalTo: 'HX 2' }, { equal: { ...equal, isSaid: true } }).heap).toBe('same');
    expect(sorted({ equalTo: 'HX 2' }, { equal: { ...equal, isHeld: false } }).heap).toBe('doubtful');
    const several = { ...equal, contradicts: undefined, isShared: true };
    expect(sorted({ equalTo: 'HX 2' }, { equal: several }).why).toEqual([
      'equal to HX 2, which several makers have: whose is meant?',
    ]);
  });
  test('of a number that nobody has is new where its maker is known, else asked; of several makers it is asked', () => {
    expect(sorted({ netMinor: 100 }, { ours: undefined }).heap).toBe('new');
    expect(sorted({ maker: 'Nobody' }, { ours: undefined, isMakerHeld: false }).why).toEqual([
      'no maker called Nobody is known here',
    ]);
    expect(sorted({}, { isShared: true }).heap).toBe('doubtful');
  });
  test('once what it changes is held, is the same: a list read twice writes nothing the second time', () => {
    const price = fc.option(fc.integer({ min: 130, max: 4000 }), { nil: undefined });
    fc.assert(
      fc.property(
        price,
        price,
        fc.option(fc.constantFrom(0.7, 0.9, 1.1), { nil: undefined }),
        (netMinor, ourMinor, gap) => {
          const row = { netMinor, ourMinor, figuresMm: gap === undefined ? {} : { gap } };
          const after: Ours = {
            ...HELD,
            netMinor: netMinor ?? HELD.netMinor,
            ourMinor: ourMinor ?? HELD.ourMinor,
            facts: {
              ...HELD.facts,
              ...(gap === undefined ? {} : { 'plug.gapMm': { value: gap, source: 'the list' } }),
            },
          };
          return sorted(row, { ours: after }).heap === 'same';
        },
      ),
    );
  });
});
