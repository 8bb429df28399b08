import { describe, expect, test } from '@jest/globals';
import { readBatchCode, type BatchCodeGrammar } from './batch-code.ts';
import { paperItems, type PaperTrail } from './paper.ts';
import { readPrice } from './price.ts';

const TODAY = '2026-11-25';
const byDay: BatchCodeGrammar = {
  title: 'works letter, year digit, month and day',
  fields: [{ kind: 'works', codes: { F: 'works F' } }, { kind: 'year-digit' }, { kind: 'month' }, { kind: 'day' }],
};
const byWeek: BatchCodeGrammar = {
  title: 'year letter and week',
  fields: [{ kind: 'year-letter', letters: 'ABCDEFGHJK', first: 2001 }, { kind: 'week' }],
};

describe('a batch code, by its maker’s grammar', () => {
  test('F2-0917 is works F, 17 September 2022: a repeating digit means its latest year not in the future', () => {
    const read = readBatchCode('F2-0917', byDay, TODAY);
    expect(read).toMatchObject({ kind: 'read', from: '2022-09-17', to: '2022-09-17' });
    expect(read.kind === 'read' && read.parts.map(({ says }) => says)).toEqual([
      'works F',
      '2022',
      'September',
      'day 17',
    ]);
    expect(readBatchCode('F6 1126', byDay, TODAY)).toMatchObject({ kind: 'read', from: '2016-11-26' });
    expect(readBatchCode('F6 1125', byDay, TODAY)).toMatchObject({ kind: 'read', from: '2026-11-25' });
  });

  test('31 April, month 13 and week 54 are no dates', () => {
    expect(readBatchCode('F20431', byDay, TODAY)).toMatchObject({ kind: 'impossible', why: 'April has no day 31.' });
    expect(readBatchCode('F21301', byDay, TODAY)).toMatchObject({ kind: 'impossible', why: 'There is no month 13.' });
    expect(readBatchCode('C54', byWeek, TODAY).kind).toBe('impossible');
  });

  test('29 February is a day of leap years alone: digit 3 means none, digit 4 means 2024', () => {
    expect(readBatchCode('F30229', byDay, TODAY).kind).toBe('impossible');
    expect(readBatchCode('F40229', byDay, TODAY)).toMatchObject({ kind: 'read', from: '2024-02-29' });
  });

  test('weeks are ISO weeks: week 53 exists in 2020 and not in 2021, and week 1 may begin in December', () => {
    expect(readBatchCode('K53', byWeek, TODAY)).toMatchObject({ kind: 'read', from: '2020-12-28', to: '2021-01-03' });
  });

  test('two digits of a year that has not come are told as in the future', () => {
    const grammar: BatchCodeGrammar = {
      title: 'year and week',
      fields: [{ kind: 'year-two-digits' }, { kind: 'week' }],
    };
    expect(readBatchCode('27 08', grammar, TODAY)).toMatchObject({ kind: 'future', from: '2027-02-22' });
    expect(readBatchCode('2648', grammar, TODAY)).toMatchObject({ kind: 'read', from: '2026-11-23' });
    expect(readBatchCode('2649', grammar, TODAY).kind).toBe('future');
  });

  const year: BatchCodeGrammar['fields'][number] = { kind: 'year-two-digits' };
  const grammarOf = (...fields: BatchCodeGrammar['fields'][number][]): BatchCodeGrammar => ({
    title: 'a form',
    fields,
  });
  const spanOf = (code: string, grammar: BatchCodeGrammar) => {
    const { parts: _, ...read } = { parts: [], ...readBatchCode(code, grammar, TODAY) };
    return read;
  };

  test.each([
    ['a year alone', '24', grammarOf(year), '2024-01-01', '2024-12-31'],
    ['a month', '24-02', grammarOf(year, { kind: 'month' }), '2024-02-01', '2024-02-29'],
    ['the first month', '24-01', grammarOf(year, { kind: 'month' }), '2024-01-01', '2024-01-31'],
    ['the last month', '24-12', grammarOf(year, { kind: 'month' }), '2024-12-01', '2024-12-31'],
    ['the first day', '240101', grammarOf(year, { kind: 'month' }, { kind: 'day' }), '2024-01-01', '2024-01-01'],
    ['the first week', '2401', grammarOf(year, { kind: 'week' }), '2024-01-01', '2024-01-07'],
    [
      'a month by its letter',
      '24C',
      grammarOf(year, { kind: 'month-letter', letters: 'ABCDEFGHJKLM' }),
      '2024-03-01',
      '2024-03-31',
    ],
    [
      'the first letter of a row of years',
      'A',
      grammarOf({ kind: 'year-letter', letters: 'ABCDEFGHJK', first: 2001 }),
      '2021-01-01',
      '2021-12-31',
    ],
    // Two rows of ten letters on, next year's letter is still last decade's.
    [
      'a letter whose latest year has not come',
      'H',
      grammarOf({ kind: 'year-letter', letters: 'ABCDEFGHJK', first: 2001 }),
      '2018-01-01',
      '2018-12-31',
    ],
  ])('%s is read from its first day to its last', (_, code, grammar, from, to) => {
    expect(spanOf(code, grammar)).toEqual({ kind: 'read', from, to });
  });

  test('every field is told, the maker’s mark and the running number too', () => {
    const grammar = grammarOf(
      { kind: 'constant', text: 'Q-' },
      { kind: 'works', codes: { F: 'works F' } },
      year,
      { kind: 'month-letter', letters: 'ABCDEFGHJKLM' },
      { kind: 'serial', digits: 3 },
    );
    const told = (code: string) => {
      const read = readBatchCode(code, grammar, TODAY);
      return 'parts' in read ? read.parts.map(({ code: at, says }) => `${at}: ${says}`) : read.kind;
    };
    expect(told('QF24C007')).toEqual([
      'Q: the maker’s mark',
      'F: works F',
      '24: 2024',
      'C: March',
      '007: running number',
    ]);
    expect(told('QF24Z007')).toContain('Z: Z is no month');
    expect(told('QF24C07')).toBe('not-of-this-scheme');
    const byWeekTold = readBatchCode('C07', byWeek, TODAY);
    expect('parts' in byWeekTold && byWeekTold.parts.map(({ says }) => says)).toEqual(['2023', 'week 7']);
  });

  test.each([
    ['F20917'.replace('0917', '0900'), byDay, 'September has no day 0.'],
    ['F20017', byDay, 'There is no month 0.'],
    ['C00', byWeek, 'No year that C can mean has a week 0.'],
    ['C54', byWeek, 'No year that C can mean has a week 54.'],
    ['Z07', byWeek, 'No year that Z can mean has a week 7.'],
    ['Z', grammarOf({ kind: 'year-letter', letters: 'ABC', first: 2001 }), 'Z stands for no year.'],
    [
      'Z06',
      grammarOf({ kind: 'year-letter', letters: 'ABC', first: 2001 }, { kind: 'month' }),
      'Z stands for no year.',
    ],
    ['06', grammarOf({ kind: 'month' }), 'It stands for no year.'],
    ['24Z', grammarOf(year, { kind: 'month-letter', letters: 'ABC' }), 'There is no month 0.'],
  ])('%s is no date: it says why', (code, grammar, why) => {
    expect(spanOf(code, grammar)).toEqual({ kind: 'impossible', why });
  });

  test('a year that no letter stands for is told as none, one of which only the day fails by its latest', () => {
    const parts = (code: string, grammar: BatchCodeGrammar) => {
      const read = readBatchCode(code, grammar, TODAY);
      return 'parts' in read ? read.parts.map(({ says }) => says) : [];
    };
    expect(parts('Z07', byWeek)).toEqual(['Z is no year', 'week 7']);
    expect(parts('F20431', byDay)).toEqual(['works F', '2022', 'April', 'day 31']);
    expect(parts('F21301', byDay)).toEqual(['works F', '2022', 'month 13', 'day 1']);
  });

  test('a code of another form is of no scheme', () => {
    expect(readBatchCode('G2-0917', byDay, TODAY).kind).toBe('not-of-this-scheme');
    expect(readBatchCode('', byDay, TODAY).kind).toBe('not-of-this-scheme');
  });
});

describe('a price against the usual', () => {
  const usual = [1050, 1080, 1100, 1110, 1120, 1150, 1090];
  test('counts only when it is both far out and a fifth below the median', () => {
    expect(readPrice(680, usual)).toMatchObject({ kind: 'far-below', medianMinor: 1100 });
    expect(readPrice(900, usual).robustZ).toBeLessThan(-3.5);
    expect(readPrice(900, usual).kind).toBe('usual');
    expect(readPrice(870, [400, 700, 900, 1100, 1300, 1500, 1900]).kind).toBe('usual');
    expect(readPrice(880, [1100, 1100, 1100, 1100, 1100]).kind).toBe('far-below');
    expect(readPrice(881, [1100, 1100, 1100, 1100, 1100]).kind).toBe('usual');
  });
  test('lies far out from three and a half deviations on: 259 pence under a median of 1000 that scatters by 50', () => {
    const scattered = [900, 950, 950, 1000, 1050, 1050, 1100];
    expect([741, 740].map((price) => readPrice(price, scattered).kind)).toEqual(['usual', 'far-below']);
    expect(readPrice(880, [1100, 1100, 1100, 1100, 1100]).robustZ).toBeCloseTo(-20, 9);
  });
  test('one odd earlier price does not move what is usual', () => {
    expect(readPrice(1100, [...usual, 120]).kind).toBe('usual');
    expect(readPrice(120, usual).kind).toBe('far-below');
  });
  test('the median of six lies between the middle two', () => {
    expect(readPrice(1000, [900, 950, 1000, 1050, 1100, 1150]).medianMinor).toBe(1025);
  });
  test('four earlier prices are too few to say', () => {
    expect(readPrice(10, usual.slice(0, 4)).kind).toBe('too-few-prices');
  });
});

describe('what paper says of a batch', () => {
  const trail: PaperTrail = { code: undefined, otherNumbers: [], sellers: 1, price: undefined, packaging: undefined };
  const oddities = (more: Partial<PaperTrail>) =>
    paperItems({ ...trail, ...more })
      .filter(({ logRatio }) => logRatio > 0)
      .map(({ id }) => id);

  test('nothing known says nothing', () => {
    expect(paperItems(trail)).toEqual([]);
  });
  test('an impossible and a future date, another number and a fourth seller are odd; three sellers are not', () => {
    expect(oddities({ code: readBatchCode('F20431', byDay, TODAY) })).toEqual(['impossible date']);
    expect(oddities({ otherNumbers: ['EX 1'] })).toEqual(['other number']);
    expect(oddities({ sellers: 4 })).toEqual(['many sellers']);
    expect(oddities({ sellers: 3 })).toEqual([]);
  });
  test('each oddity moves the odds by what is stated of it, before the cap', () => {
    const factors = (more: Partial<PaperTrail>) =>
      paperItems({ ...trail, ...more }).map(({ logRatio }) => Number(Math.exp(logRatio).toPrecision(3)));
    const code = (printed: string) => readBatchCode(printed, byDay, TODAY);
    const week = { title: 'year and week', fields: [{ kind: 'year-two-digits' }, { kind: 'week' }] } as const;
    expect(factors({ code: code('ZZ') })).toEqual([5]);
    expect(factors({ code: code('F20431') })).toEqual([20]);
    expect(factors({ code: readBatchCode('2708', week, TODAY) })).toEqual([10]);
    expect(factors({ code: code('F2-0917') })).toEqual([0.737]);
    expect(factors({ code: code('F2-0917'), packaging: { from: '2023-01-01', to: null } })).toEqual([7.5]);
    expect(factors({ otherNumbers: ['EX 1'], sellers: 4 })).toEqual([10, 6]);
    expect(factors({ price: readPrice(500, [1000, 1010, 990, 1000, 1005]) })).toEqual([13.3]);
    expect(factors({ price: readPrice(1000, [1000, 1010, 990, 1000, 1005]) })).toEqual([0.619]);
  });
  test('a code older than the packaging it stands on is odd; one that fits it speaks for the batch', () => {
    const code = readBatchCode('F2-0917', byDay, TODAY);
    expect(oddities({ code, packaging: { from: '2023-01-01', to: null } })).toEqual(['outside its packaging']);
    expect(oddities({ code, packaging: { from: null, to: '2021-12-31' } })).toEqual(['outside its packaging']);
    const fits = paperItems({ ...trail, code, packaging: { from: '2020-01-01', to: null } });
    expect(fits[0]!.logRatio).toBeLessThan(0);
  });
});
