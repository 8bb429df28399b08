import { describe, expect, test } from '@jest/globals';
import { sayIn } from './say.ts';
import { supplyCheck } from './supply-check.ts';
import { sheetOf } from '../testing/sheet-of.ts';
import { toldOf } from '../testing/told-as.ts';

const metric = sayIn('metric');

describe('supply of any kind of part', () => {
  const ask = (value: object | undefined) =>
    toldOf(supplyCheck('plug.supply').ask(sheetOf({ 'plug.supply': value }), metric));
  test('names a successor where it is known, and asks for it where not', () => {
    expect(ask({ state: 'superseded', successor: 'KN 2' })).toMatchObject({
      is: 'acceptable: superseded',
      says: 'The maker has replaced it by KN 2.',
      toDo: 'Offer KN 2.',
      phrase: 'Superseded by KN 2',
    });
    expect(ask({ state: 'superseded' })).toMatchObject({
      says: 'The maker has replaced it.',
      toDo: 'Ask what replaced it.',
      phrase: 'Superseded',
    });
  });
  test('is a question that holds nothing up, and no word of anybody stands for it', () => {
    expect(ask(undefined).is).toBe('unknown: missing, not open');
    expect(supplyCheck('coil.supply').vouchedBy).toEqual([]);
  });
});
