import { describe, expect, test } from '@jest/globals';
import { guessColumns, type Column } from './columns.ts';
import { rowReader, type ReadRow } from './read-row.ts';
import { sortRow, type HeldFacts } from './sort-row.ts';
import { readTold, type ToldUse } from './told.ts';

const stated = (use: ToldUse, cell: string) => {
  const read = readTold(use, cell);
  return read.kind === 'told' ? Object.fromEntries(read.stated) : read.says;
};

describe('a cell that tells what a plug is', () => {
  test.each(['M14x1.25', 'm14 × 1,25', '14-1.25', 'M14*1.25 mm'])('the thread %s is 14 mm by 1.25', (cell) =>
    expect(stated('thread', cell)).toEqual({ 'plug.threadDiameterMm': 14, 'plug.threadPitchMm': 1.25 }),
  );
  test('a diameter alone states no pitch; a pitch that it is not cut with, and a thread of no plug, are asked', () => {
    expect(stated('thread', '18 mm')).toEqual({ 'plug.threadDiameterMm': 18 });
    expect(stated('thread', 'M14x1.5')).toBe('thread “M14x1.5”: M14 is cut 1.25 mm');
    for (const none of ['M16', '7/8', 'fine', '141.25']) expect(stated('thread', none)).toMatch(/no thread of a plug/);
  });
  test.each([
    ['Taper', 'taper'],
    ['conical, no gasket', 'seat “conical, no gasket”: flat with a gasket, or a taper?'],
    ['cone', 'taper'],
    ['flat', 'gasket-fixed'],
    ['Gasket (loose)', 'gasket-loose'],
    ['round', 'seat “round”: flat with a gasket, or a taper?'],
  ])('the seat %s is %s', (cell, seat) => {
    const read = stated('seat', cell);
    expect(typeof read === 'string' ? read : read['plug.seat']).toBe(seat);
  });
  test.each([
    ['R', { kind: 'present' }],
    ['no', { kind: 'none' }],
    ['5', { kind: 'value', kohm: 5 }],
    ['5k', { kind: 'value', kohm: 5 }],
    ['5000 ohm', { kind: 'value', kohm: 5 }],
  ])('the resistor %s', (cell, resistor) => expect(stated('resistor', cell)).toEqual({ 'plug.resistor': resistor }));
  test('one metal of a tip is told; two, or a core’s, are asked', () => {
    expect(stated('electrode', 'Iridium fine wire')).toEqual({ 'plug.centreMaterial': 'iridium' });
    expect(stated('electrode', 'Platinum/iridium')).toMatch(/^centre electrode “Platinum\/iridium”: nickel, silver/);
    expect(stated('electrode', 'copper core')).toMatch(/^centre electrode/);
    expect(stated('resistor', 'maybe')).toMatch(/^resistor “maybe”: yes, no/);
    expect(stated('heat', '63 or 71 cold')).toMatch(/one rating/);
  });
});

const HEADINGS = ['Number', 'Thread', 'Thread length mm', 'Seat', 'Heat', 'Centre electrode', 'Resistor'];
const read = (...cells: string[]) => rowReader(guessColumns(HEADINGS), { mark: undefined, asked: new Set() })(cells);

test('headings tell these columns apart from a length of thread', () => {
  expect(guessColumns(HEADINGS).map(({ use }: Column) => use)).toEqual([
    'number',
    'thread',
    'reach',
    'seat',
    'heat',
    'electrode',
    'resistor',
  ]);
});

describe('what is told, laid beside what is held', () => {
  const held: HeldFacts = {
    'plug.threadDiameterMm': { value: 14, source: 'Kestrane catalogue' },
    'plug.seat': { value: 'gasket-loose', source: 'Kestrane catalogue' },
    'plug.heat': { value: { maker: 'kestrane', code: '63' }, source: 'Kestrane catalogue' },
    'plug.resistor': { value: { kind: 'value', kohm: 5 }, source: 'the ohmmeter' },
  };
  const sort = (row: ReadRow, more: Partial<Parameters<typeof sortRow>[1]> = {}) =>
    sortRow(row, {
      ours: { netMinor: null, ourMinor: null, packOf: 1, barcodes: [], facts: held },
      ...{ isShared: false, equal: undefined, isMakerHeld: true, isPlug: true },
      ratings: new Set(['63', '71']),
      ...more,
    });
  const rated = (code: string): ReadRow => ({
    ...read('KX 1'),
    told: { heat: [['plug.heat', { maker: 'kestrane', code }]] },
  });

  test('a flat seat is that of a loose gasket too, and that there is a resistor says nothing against its value', () => {
    expect(sort(read('KX 1', '14', '', 'flat', '', '', 'yes')).heap).toBe('same');
    expect(sort(read('KX 1', '14', '', 'flat', '', '', 'no')).why).toEqual([
      'resistor none, where the ohmmeter says 5 kΩ: ours stands',
    ]);
    expect(sort(read('KX 1', '', '', 'taper')).why).toEqual([
      'seat taper, where Kestrane catalogue says flat, gasket loose: ours stands',
    ]);
  });
  test('a blank is filled, in the words of the trade', () => {
    expect(sort(read('KX 1', 'M14x1.25', '', '', '', 'platinum')).changes).toEqual([
      { what: 'thread', ours: null, theirs: 'M14 × 1.25' },
      { what: 'electrode', ours: null, theirs: 'platinum' },
    ]);
    expect(sort(read('KX 1', 'M12x1.25')).why).toEqual([
      'thread M12 × 1.25, where Kestrane catalogue says M14: ours stands',
    ]);
  });
  test('a rating is of its maker’s scale or none', () => {
    expect(sort(rated('63')).heap).toBe('same');
    expect(sort(rated('71')).why).toEqual(['heat 71, where Kestrane catalogue says 63: ours stands']);
    expect(sort(rated('99')).why).toEqual(['heat rating 99, which is on no scale of its maker that is known here']);
    expect(sort(rated('63'), { ratings: undefined }).heap).toBe('doubtful');
  });
  test('nothing of a plug is written of a part that is none', () => {
    const [heap, [why]] = [
      sort(read('KX 1', 'M14'), { isPlug: false }).heap,
      sort(read('KX 1', 'M14'), { isPlug: false }).why,
    ];
    expect([heap, why]).toEqual([
      'doubtful',
      'states what is stated of a plug, and the part is none: leave the column out',
    ]);
    expect(sort(read('KX 1'), { isPlug: false }).heap).toBe('same');
  });
});
