import { describe, expect, test } from '@jest/globals';
import type { DueLine } from '@brackenfell/contract/garage';
import { dueMark, dueWhen } from './due-words.ts';
import { readServed } from './served-field.ts';

const due = (more: Partial<DueLine> = {}): DueLine => ({
  fittedId: '1',
  vehicleId: '2',
  called: 'car 8',
  plate: 'CW-1908',
  customer: '',
  phone: '',
  what: '4 × KN 419G-65GR',
  kind: 'due',
  isPast: false,
  at: 252_650,
  left: 11_570,
  on: '2027-01-27',
  countsIn: 'distance',
  because: '',
  ...more,
});

describe('when a set is due, in few words', () => {
  test.each([
    [due(), '252\u00a0650 km, about 27 Jan 2027', 'match'],
    [due({ on: null }), '252\u00a0650 km', 'match'],
    [due({ isPast: true }), 'now, since 252\u00a0650 km', 'refuse'],
    [due({ countsIn: 'hours', at: 8550, isPast: true }), 'now, since 8\u00a0550 h', 'refuse'],
    [due({ kind: 'history-unknown', at: null, on: null, isPast: true }), 'now: history unknown', 'unknown'],
    [due({ kind: 'never-read', at: null, on: null }), 'read it next time', 'unknown'],
  ] as const)('%#: %j', (line, says, mark) => {
    expect(dueWhen(line, 'metric')).toBe(says);
    expect(dueMark(line)).toBe(mark);
  });
  test('is told in the reader’s own distance', () =>
    expect(dueWhen(due({ on: null }), 'imperial')).toMatch(/^156.98\d mi/));
  test('nothing due is in order', () => expect(dueMark(null)).toBe('match'));
});

describe('what a vehicle has run, as it is typed', () => {
  test('is a distance in the reader’s unit or in the one written, and hours where it counts in those', () => {
    expect(readServed('80 000', 'distance', 'metric')).toMatchObject({ kind: 'read', low: 80_000 });
    expect(readServed('50 000 mi', 'distance', 'metric')).toMatchObject({
      kind: 'read',
      low: expect.closeTo(80_467, 0),
    });
    expect(readServed('8 412 h', 'hours', 'metric')).toEqual({ kind: 'plain', value: 8412 });
    expect(readServed('', 'distance', 'metric')).toBeUndefined();
  });
  test('that is no figure, a range, or less than nothing is asked back', () => {
    for (const text of ['far', '40 000-60 000 km', '80 000 mm'])
      expect(readServed(text, 'distance', 'metric')?.kind).not.toBe('read');
    for (const text of ['long', '-5', '10-20 h'])
      expect(readServed(text, 'hours', 'metric')).toMatchObject({ kind: 'unreadable' });
  });
});
