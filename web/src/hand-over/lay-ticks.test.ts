import { expect, test } from '@jest/globals';
import type { HandOver } from '@brackenfell/contract/hand-over';
import { layTicks } from './lay-ticks.ts';

const tick = (stepId: string) => ({ stepId, by: 'Wren', at: '2026-11-27T09:00:00Z' });
const card = {
  fitted: [
    { lineId: '1', ticks: [tick('cold'), tick('read')] },
    { lineId: '2', ticks: [] },
  ],
} as unknown as HandOver;
const unsent = (lineId: string, stepId: string, done: boolean) => ({
  name: 'tickStep' as const,
  request: { params: { slipId: '7' }, body: { lineId, stepId, done } },
});

test('what was ticked here stands over what the server knows, the last word of each step, on its own line only', () => {
  const laid = layTicks(card, [
    unsent('1', 'cold', false),
    unsent('1', 'cold', true),
    unsent('1', 'read', false),
    unsent('2', 'gap', true),
    { name: 'addNote', request: { body: { lineId: '1', stepId: 'seat', done: true } } },
  ]);
  expect(laid.fitted.map(({ done }) => [...done])).toEqual([[['cold', null]], [['gap', null]]]);
  expect([...layTicks(card, []).fitted[0]!.done]).toEqual([
    ['cold', 'Wren'],
    ['read', 'Wren'],
  ]);
});
