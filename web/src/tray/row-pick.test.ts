import { expect, jest, test } from '@jest/globals';
import { COLUMNS, MARK_X, MARKS_WIDTH } from './columns.ts';
import { RowPick } from './row-pick.ts';
import { CHECK_IDS } from '@brackenfell/core/fitment/check-ids';

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

test('the tray’s columns are the sixteen checks in the order of the hand', () => {
  expect(COLUMNS.map((column) => column.check)).toEqual([...CHECK_IDS]);
});

test('marks stand in order inside their part of the row, with a gap before each group', () => {
  const steps = MARK_X.slice(1).map((x, i) => x - MARK_X[i]!);
  expect(steps.map((step) => step > 15)).toEqual(COLUMNS.slice(1).map((column) => column.startsGroup));
  expect(MARK_X.at(-1)! + 12).toBeLessThanOrEqual(MARKS_WIDTH);
});
