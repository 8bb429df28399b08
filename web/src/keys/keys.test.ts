import { expect, test } from '@jest/globals';
import { keyClashes } from './keys.ts';

const group = (title: string, press: string, more: object = {}) => ({
  title,
  yields: false,
  inDialog: false,
  bindings: [{ press, does: 'something', run: () => undefined }],
  ...more,
});

test('two commands of one screen on one key are named; one that gives way, or stands in a dialog, is none', () => {
  expect(keyClashes([group('Rail', 'o'), group('Desk', 'o'), group('Desk', 'i')])).toEqual([
    'o: Rail, something; Desk, something',
  ]);
  expect(
    keyClashes([group('Rail', 'o'), group('Slip', 'o', { yields: true }), group('Sheet', 'o', { inDialog: true })]),
  ).toEqual([]);
});
