import { expect, test } from '@jest/globals';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import { lastKept } from './last-kept.ts';

const plugs = (gapMm: number): SlipKept => ({
  kind: 'old-plugs',
  engineId: 'skerrow-sc20',
  cylinders: [{ cylinder: 1, looked: [], signs: [], gapMm }],
  context: [],
  results: {},
});
const onItsWay = (kept: SlipKept) => ({ name: 'keepOnSlip', request: { params: {}, body: { kept } } }) as const;

test('a plug read a moment ago is not lost to the one read next: what is on its way stands over what is stored', () => {
  expect(lastKept('old-plugs', 'skerrow-sc20', [plugs(0.8)], [])).toEqual(plugs(0.8));
  expect(lastKept('old-plugs', 'skerrow-sc20', [plugs(0.8)], [onItsWay(plugs(0.9)), onItsWay(plugs(1.0))])).toEqual(
    plugs(1.0),
  );
  expect(
    lastKept('old-plugs', 'skerrow-sc20', [], [onItsWay({ kind: 'swap-test', code: '3', results: [] })]),
  ).toBeUndefined();
  // Of another engine on the same slip nothing is shown.
  expect(lastKept('old-plugs', 'skerrow-sh28', [plugs(0.8)], [])).toBeUndefined();
});
