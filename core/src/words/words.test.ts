import { describe, expect, test } from '@jest/globals';
import { counted, listed, printAverage, printCount, wordFor } from './counted.ts';
import { CURRENCIES, inOurMoney, LOCALES, printAmount, printPrice, writeMoneyIn } from './money.ts';
import { printMoment, writeMomentsAs } from './moments.ts';

describe('words of a counter', () => {
  test('a count takes the word it takes: one line, no lines, several batches', () => {
    expect([0, 1, 2].map((n) => counted(n, 'line'))).toEqual(['0 lines', '1 line', '2 lines']);
    expect([1, 3].map((n) => wordFor(n, 'batch', 'batches'))).toEqual(['batch', 'batches']);
    expect([printCount(60_000), printAverage(12.34), printAverage(1234.5)]).toEqual([
      '60\u00a0000',
      '12.3',
      '1\u00a0235',
    ]);
  });

  test('things in a row are joined as they are said', () => {
    expect([listed([]), listed(['1']), listed(['1', '4']), listed(['1', '2', '4'])]).toEqual([
      '',
      '1',
      '1 and 4',
      '1, 2 and 4',
    ]);
    expect(listed(['a', 'b'], 'or')).toBe('a or b');
  });

  test('a price is told in pounds, and one that nobody knows is a dash, not nothing', () => {
    expect([printPrice(123_456), printPrice(0), printPrice(null), printAmount(5)]).toEqual([
      '£1,234.56',
      '£0.00',
      '–',
      '0.05',
    ]);
  });

  test('money is written as the shop has it; every currency on offer counts in hundredths', () => {
    writeMoneyIn('SEK', 'en-IE');
    expect([printPrice(123_456), printAmount(5), inOurMoney('Deposit, £')]).toEqual([
      'kr\u00a01,234.56',
      '0.05',
      'Deposit, kr',
    ]);
    for (const currency of CURRENCIES)
      for (const locale of LOCALES) {
        writeMoneyIn(currency, locale);
        expect(printPrice(123_456)).toMatch(/1.?234[.,]56/);
        expect(
          new Intl.NumberFormat(locale, { style: 'currency', currency }).resolvedOptions().maximumFractionDigits,
        ).toBe(2);
      }
    writeMoneyIn('GBP', 'en-GB');
  });

  test('a moment of this year has its time, one of another its year', () => {
    const of = (iso: string) => printMoment(iso, new globalThis.Date(2026, 10, 26));
    expect(of('2026-11-25T12:00:00')).toMatch(/^25 Nov,? 12:00$/);
    expect(of('2024-02-29T12:00:00')).toBe('29 Feb 2024');
    // Where the month is written first, it is; the words stay those of the counter.
    writeMomentsAs('en-US');
    expect(of('2024-02-29T12:00:00')).toBe('Feb 29, 2024');
    writeMomentsAs('en-GB');
  });
});
