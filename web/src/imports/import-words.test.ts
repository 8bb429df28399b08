import { describe, expect, test } from '@jest/globals';
import { list as view, NONE } from '../testing/lists.ts';
import { markOf, sayImport, toWrite } from './import-words.ts';

describe('where a list stands', () => {
  test('a column that is asked comes before what could be written', () => {
    const asked = {
      beyond: 4,
      of: 4,
      low: 31,
      high: 43,
      likely: 'thou',
      likelyLowMm: 0.79,
      likelyHighMm: 1.09,
    } as const;
    const said = sayImport(
      view({
        counts: { ...NONE, changed: 2 },
        columns: [{ heading: 'Gap mm', use: 'gap', unit: 'mm', first: '39', asked }],
      }),
    );
    expect([said.says, said.then]).toEqual(['One column asked', 'Gap mm: in which unit? Nothing is written yet.']);
  });
  test('only what is new and changed is to be written, and nothing of it is before it is', () => {
    const two = view({ counts: { invalid: 9, doubtful: 8, new: 1, changed: 1, same: 7, gone: 6 } });
    expect([toWrite(two), sayImport(two).says, sayImport(two).then]).toEqual([
      2,
      '2 rows to write',
      'Nothing is written yet.',
    ]);
    expect(sayImport(view({}))).toMatchObject({ mark: 'match-small', says: 'Nothing to write' });
  });
  test('a whole catalogue is told by its lines, and that none of it is there until all of it is', () => {
    const whole = view({ whole: { catalogue: 1, maker: 2, part: 40 }, rows: 43, counts: { ...NONE, new: 43 } });
    expect(sayImport(whole)).toEqual({
      mark: 'acceptable',
      says: 'A whole catalogue of 43 lines',
      then: 'Nothing of it is loaded yet. It is loaded whole, or not at all.',
    });
    expect(sayImport({ ...whole, state: 'written', outcome: '43 lines loaded.' }).says).toBe('Loaded');
  });
  test('a list of which nothing can be taken is no list that is as we hold it', () => {
    const none = sayImport(view({ counts: { ...NONE, invalid: 2, doubtful: 5 } }));
    expect(none).toEqual({
      mark: 'unknown',
      says: 'Nothing to write: 7 rows not taken',
      then: 'Each tells below why.',
    });
    expect(markOf({ state: 'sorted', counts: { ...NONE, doubtful: 1, changed: 1 } })).toBe('acceptable');
    expect(markOf({ state: 'written', counts: { ...NONE, doubtful: 1 } })).toBe('match');
  });
  test('what a worker came to is told, and what stopped it', () => {
    expect(sayImport(view({ state: 'failed', outcome: 'The file is empty.' }))).toMatchObject({
      mark: 'refuse',
      then: 'The file is empty.',
    });
    expect(sayImport(view({ state: 'written', outcome: 'A part it brought is in use.' })).then).toMatch(/in use/);
    expect(sayImport(view({ state: 'writing', doing: '400 rows written' })).then).toBe('400 rows written');
    expect(sayImport(view({ state: 'reading', counts: null })).then).toBe('waiting for its turn');
  });
});
