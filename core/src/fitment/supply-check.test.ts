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
  test.each([
    ['active', 'match: active', 'In supply.', undefined, 'In supply'],
    [
      'discontinued',
      'acceptable: discontinued',
      'No longer made; what is on the shelf is identical.',
      'Say that it cannot be ordered again.',
      'Discontinued, old stock',
    ],
    [
      'quarantined',
      'refuse: quarantined',
      'Its batch is held in quarantine until a supervisor has settled it.',
      'Do not sell from it.',
      'Batch in quarantine',
    ],
  ])('%s is told as it is: %s', (state, is, says, toDo, phrase) => {
    expect(ask({ state })).toEqual({ is, asked: 'active', has: state, says, phrase, ...(toDo ? { toDo } : {}) });
  });
  test.each(supplyCheck('coil.supply').examples)('by its own example, $says', ({ facts, outcome, caseId }) => {
    const found = supplyCheck('coil.supply').ask(sheetOf(facts), metric);
    expect(found.outcome).toBe(outcome);
    if (caseId) expect(found.caseId).toBe(caseId);
  });
  test('its examples tell every state, and what is not known', () => {
    const { examples } = supplyCheck('coil.supply');
    const states = examples.map(({ facts }) => (facts['coil.supply'] as { state: string } | undefined)?.state);
    expect(states).toEqual(['active', 'superseded', 'discontinued', 'quarantined', undefined]);
    expect(examples.map(({ outcome }) => outcome)).toEqual(['match', 'acceptable', 'acceptable', 'refuse', 'unknown']);
  });
  test('is a question that holds nothing up, and no word of anybody stands for it', () => {
    expect(ask(undefined).is).toBe('unknown: missing, not open');
    expect(supplyCheck('coil.supply').vouchedBy).toEqual([]);
  });
});
