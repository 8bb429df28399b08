import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkDigit, innerEan13, readBarcode } from './barcode.ts';
import { foldKey, readDifferences } from './fold-key.ts';
import { normalForm } from './normal-form.ts';

describe('the normal form', () => {
  test.each([
    ['kn 419g-63dr', 'KN419G63DR'],
    ['HB/19/45.D1', 'HB1945D1'],
    ['40-61-118-552', '4061118552'],
    ['AK_3081·447', 'AK3081447'],
    ['КN 419G', 'KN419G'], // a Cyrillic К
    ['ＫＮ４１９', 'KN419'], // full width
    ['- / .', ''],
  ])('%s is %s', (printed, normal) => {
    expect(normalForm(printed)).toBe(normal);
  });

  test('a sign that the maker’s grammar declares significant is kept', () => {
    expect(normalForm('EX-4+', '+')).toBe('EX4+');
  });

  test('what separates its signs changes nothing, be it on every keyboard or on none', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom('', '+', '-/'), (text, significant) =>
        expect(normalForm(text, significant)).toBe(normalForm(`·${text}`, significant)),
      ),
    );
  });

  test('normalising twice changes nothing', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(normalForm(normalForm(text))).toBe(normalForm(text))));
  });
});

describe('the fold key of a worn stamping', () => {
  test.each(['0OQD', '1IL', '2Z', '5S', '6G', '8B', 'UV'])('%s are one', (group) => {
    expect(new Set([...group].map((one) => foldKey(one))).size).toBe(1);
  });

  test.each(['17', '4A', '49', '38', 'CG', 'EF', 'PR'])(
    '%s are not folded: they would merge neighbouring numbers',
    (pair) => {
      expect(new Set([...pair].map((one) => foldKey(one))).size).toBe(2);
    },
  );

  test('neighbouring heat ratings of one maker stay apart', () => {
    const ratings = ['57', '59', '61', '63', '65', '67', '69'].map((heat) => foldKey(`KN 419G-${heat}DR`));
    expect(new Set(ratings).size).toBe(7);
  });

  test('tells which characters were read as which, where they stand in print', () => {
    expect(readDifferences('kn42gg 63dr', 'KN 426G-63DR')).toEqual([{ printedIndex: 5, read: 'G', as: '6' }]);
  });
});

describe('barcodes', () => {
  test('an EAN-13, a UPC-A and an ITF-14 with right check digits are known', () => {
    for (const body of ['290000419630', '29000041963', '1290000419630']) {
      expect(readBarcode(body + checkDigit(body)).kind).toBe('barcode');
    }
  });

  test('a wrong check digit is told with the right one', () => {
    const right = checkDigit('290000419630');
    const wrong = String((Number(right) + 1) % 10);
    expect(readBarcode(`290000419630${wrong}`)).toMatchObject({ kind: 'wrong-check-digit', expected: right });
  });

  test('reckoned by hand, 290000419630 ends in 4', () => {
    expect(checkDigit('290000419630')).toBe('4');
  });

  test('an ITF-14 also answers for the EAN-13 inside it', () => {
    const ean = `290000419630${checkDigit('290000419630')}`;
    const body = `1${ean.slice(0, 12)}`;
    expect(innerEan13(body + checkDigit(body))).toBe(ean);
  });

  test.each(['29000041963', 'KN 419G', '', '12345678901a2'])('%p is not a barcode', (text) => {
    expect(readBarcode(text).kind).toBe('not-a-barcode');
  });
});
