import { expect, test } from '@jest/globals';
import { BATCH_STATES, isHeld } from './batch-states.ts';

test('of a batch that is held or confirmed nothing is handed over; of one that nobody named, that is not known', () => {
  expect(BATCH_STATES.filter(isHeld)).toEqual(['held', 'confirmed']);
  expect([isHeld(null), isHeld(undefined)]).toEqual([false, false]);
});
