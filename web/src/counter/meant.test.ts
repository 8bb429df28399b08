import { expect, test } from '@jest/globals';
import { slip } from '../testing/slips.ts';
import { meant } from './meant.ts';

test('what was typed of a customer and is not sent yet counts as said, the last of it, each field by itself', () => {
  const change = (body: Record<string, unknown>, name: 'changeSlip' | 'addNote' = 'changeSlip') => ({
    name,
    request: { body },
  });
  const unsent = [
    change({ customer: 'Vesper' }),
    change({ customer: 'Vesper Quillan' }),
    change({ vehicle: '' }),
    change({ phone: '01632 960 199' }, 'addNote'),
  ];
  const stored = slip({ customer: '', vehicle: 'Aldersyke Merrin', phone: '', engineCount: 2 });
  expect(
    (['customer', 'vehicle', 'phone', 'engineCount'] as const).map((field) => meant(stored, field, unsent)),
  ).toEqual(['Vesper Quillan', '', '', 2]);
});
