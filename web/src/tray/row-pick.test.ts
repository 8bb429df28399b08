import { expect, jest, test } from '@jest/globals';
import { markPlaces, marksWidth } from './columns.ts';
import { RowPick } from './row-pick.ts';

test('a move tells whoever listens once, and a move to the same row nobody', () => {
  const pick = new RowPick();
  const heard = jest.fn();
  const release = pick.subscribe(heard);
  pick.set(3);
  pick.set(3);
  release();
  pick.set(4);
  expect([pick.index, heard.mock.calls.length]).toEqual([4, 1]);
});

test('marks stand in order inside their part of the row, with a gap before each group, whatever the kind of part', () => {
  const columns = [false, false, true, false, true].map(
    (startsGroup) => ({ check: 'boot', title: 'x', startsGroup }) as const,
  );
  const places = markPlaces(columns);
  const steps = places.slice(1).map((x, i) => x - places[i]!);
  expect(steps.map((step) => step > 15)).toEqual([false, true, false, true]);
  expect(places.at(-1)! + 12).toBeLessThanOrEqual(marksWidth(columns));
});
