/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { line, slip } from '../testing/slips.ts';
import { elsewhere } from './changed-elsewhere.ts';

const release = { by: 'Isolde', reason: 'seen', at: '2026-11-01T09:00:00Z' };

test('what another till does to a slip is said line by line: released, held, more of it, judged otherwise, put on, taken off', () => {
  const was = slip({
    lines: [
      line({ lineId: '1', printed: 'A 1' }),
      line({ lineId: '2', printed: 'B 2' }),
      line({ lineId: '3', printed: 'C 3' }),
      line({ lineId: '4', printed: 'D 4' }),
      line({ lineId: '5', printed: 'E 5' }),
    ],
  });
  const is = slip({
    version: 9,
    lines: [
      line({ lineId: '1', printed: 'A 1', released: release }),
      line({ lineId: '2', printed: 'B 2', held: 'Batch 7 is held' }),
      line({ lineId: '3', printed: 'C 3', quantity: 8 }),
      line({ lineId: '4', printed: 'D 4', verdict: 'refuse' }),
      line({ lineId: '6', printed: 'F 6' }),
    ],
  });
  const { says, lines } = elsewhere(was, is);
  expect(says).toEqual([
    'A 1: released by Isolde',
    'B 2: Batch 7 is held',
    'C 3: 4 → 8',
    'D 4: now Refuse',
    'F 6: put on',
    'E 5: taken off',
  ]);
  expect([...lines]).toEqual(['1', '2', '3', '4', '6']);
});

test('who took a slip up, what became of it and what was noted on it is said; what nobody acts upon is not', () => {
  const was = slip({ holderId: '1', holder: 'Wren' });
  const taken = slip({
    holderId: '2',
    holder: 'Corwin',
    state: 'parked',
    notes: [{ noteId: '1', at: '', by: 'Corwin', text: 'asked twice', mended: false }],
  });
  expect(elsewhere(was, taken).says).toEqual(['the slip is parked', 'Corwin holds it', 'Corwin noted something']);
  expect(elsewhere(was, slip({ holderId: '1', holder: 'Wren', version: 8, updatedAt: 'later' })).says).toEqual([]);
});
