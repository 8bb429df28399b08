import { describe, expect, test } from '@jest/globals';
import type { ProblemCode } from '@brackenfell/contract/problem';
import { AwayError, ProblemError } from '../wire/call.ts';
import { failureOf, InspectionOutbox, type Shelf, type Waiting } from './inspection-outbox.ts';

function shelf(): Shelf {
  const kept = new Map<string, string>();
  return { getItem: (name) => kept.get(name) ?? null, setItem: (name, text) => void kept.set(name, text) };
}
const entry = (key: string, staffId = '1'): Waiting => ({
  key,
  staffId,
  inspectionId: '7',
  entries: [{ what: 'measure', subject: 'gapMm', piece: 1, value: 1.04 }],
});
const none = { onStored: () => undefined, onRefused: () => undefined };
const STORED = { stored: undefined };

describe('readings on their way to the server', () => {
  test('are sent in the order they were taken, each once', async () => {
    const sent: string[] = [];
    const box = new InspectionOutbox(shelf(), ({ key }) => Promise.resolve(sent.push(key)).then(() => STORED));
    for (const key of ['a', 'b', 'c']) box.add(entry(key));
    await Promise.all([box.flush('1', none), box.flush('1', none)]);
    expect(sent).toEqual(['a', 'b', 'c']);
    expect(box.waiting).toEqual([]);
  });

  test('stay through an absence of the server and a restart of the counter, and are sent under the same key', async () => {
    const place = shelf();
    const before = new InspectionOutbox(place, () => Promise.resolve('away'));
    before.add(entry('a'));
    before.add(entry('b'));
    await before.flush('1', none);
    const sent: string[] = [];
    const after = new InspectionOutbox(place, ({ key }) => Promise.resolve(sent.push(key)).then(() => STORED));
    expect(after.waiting.map(({ key }) => key)).toEqual(['a', 'b']);
    await after.flush('1', none);
    expect(sent).toEqual(['a', 'b']);
    expect(new InspectionOutbox(place, () => Promise.resolve(STORED)).waiting).toEqual([]);
  });

  test('are waited for before anything is concluded from them', async () => {
    let away = true;
    const box = new InspectionOutbox(shelf(), () => Promise.resolve(away ? 'away' : STORED));
    box.add(entry('a'));
    let drained = false;
    const waited = box.drained('7').then(() => (drained = true));
    await box.flush('1', none);
    expect(drained).toBe(false);
    away = false;
    await box.flush('1', none);
    await waited;
    expect(drained).toBe(true);
    await box.drained('another inspection');
  });

  test('of a colleague wait for that colleague: nobody signs for another', async () => {
    const box = new InspectionOutbox(shelf(), () => Promise.resolve(STORED));
    box.add(entry('a', '2'));
    box.add(entry('b', '1'));
    await box.flush('1', none);
    expect(box.waiting.map(({ key }) => key)).toEqual(['a']);
  });

  test('that the server refuses are told and do not hold up the rest', async () => {
    const told: string[] = [];
    const box = new InspectionOutbox(shelf(), ({ key }) =>
      Promise.resolve(key === 'a' ? { refused: 'no such tell' } : STORED),
    );
    box.add(entry('a'));
    box.add(entry('b'));
    await box.flush('1', { ...none, onRefused: (why) => told.push(why) });
    expect([told, box.waiting]).toEqual([['no such tell'], []]);
  });

  test('are let go of only at the server’s final word: a page being left or a fault over there keeps them', () => {
    const problem = (code: ProblemCode) =>
      new ProblemError({ type: '', title: 'Wrong.', status: 400, code, detail: 'Mend it.' });
    for (const code of ['invalid-request', 'not-found', 'role-not-allowed'] as const)
      expect(failureOf(problem(code))).toEqual({ refused: 'Wrong. Mend it.' });
    for (const error of [
      new AwayError(),
      new DOMException('The page is being left.', 'AbortError'),
      new TypeError('Failed to fetch'),
      problem('not-signed-in'),
      problem('busy'),
      problem('fault'),
    ])
      expect(failureOf(error)).toBe('away');
  });

  test('an unreadable shelf is an empty one', () => {
    const place = shelf();
    place.setItem('brackenfell inspection entries', '{');
    expect(new InspectionOutbox(place, () => Promise.resolve(STORED)).waiting).toEqual([]);
  });
});
