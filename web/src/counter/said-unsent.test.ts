import { expect, test } from '@jest/globals';
import { saidUnsent } from './said-unsent.ts';

const said = (body: Record<string, unknown>) => ({ name: 'changeSlip', request: { params: {}, body } }) as const;

test('what was said last of a slip and is on its way stands; another engine forgets the build and the coils of the one before', () => {
  const begun = { name: 'createSlip', request: { body: { engineId: 'skerrow-sc20', build: 'late' } } } as const;
  expect(saidUnsent([])).toEqual({});
  expect(saidUnsent([begun, said({ duty: 'gas' })])).toEqual({
    ...{ engineId: 'skerrow-sc20', build: 'late', staying: null, duty: 'gas' },
  });
  expect(saidUnsent([begun, said({ engineId: 'dunmarrow-h6' })])).toEqual({
    ...{ engineId: 'dunmarrow-h6', build: null, staying: null },
  });
  expect(saidUnsent([{ name: 'addNote', request: { body: { engineId: 'none of a note’s' } } }])).toEqual({});
});
