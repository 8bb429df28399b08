import { expect, test } from '@jest/globals';
import { sayTurn, settleTurn } from './settle-turn.ts';
import type { TurnStatement } from '../facts/torque-statements.ts';

const half: TurnStatement = { lowTurns: 0.5, highTurns: 0.5, from: 'fingers', gasket: 'new' };
const quarter: TurnStatement = { lowTurns: 0.25, highTurns: 0.25, from: 'seat-contact', gasket: 'new' };
const gasket14 = { isTaper: false, threadMm: 14 };

test('the plug maker’s turn for that gasket governs, and another maker’s that differs stands beside', () => {
  expect(settleTurn([quarter], [half], gasket14)).toEqual({ by: 'plug-maker', governs: [half], beside: [quarter] });
  expect(settleTurn([half], [half], gasket14).beside).toEqual([]);
  expect(settleTurn([quarter], [], gasket14)).toMatchObject({ by: 'engine-maker', governs: [quarter] });
});

test('a turn for a gasket says nothing of a cone', () => {
  const taper = settleTurn([], [half], { isTaper: true, threadMm: 14 });
  expect([taper.by, taper.governs.map(sayTurn)]).toEqual(['usual', ['from finger-tight 1⁄16 of a turn']]);
});

test('the usual turn is less on a slim thread', () => {
  const said = (threadMm: number) => sayTurn(settleTurn([], [], { isTaper: false, threadMm }).governs[0]!);
  expect(said(14)).toBe('from finger-tight ½ to ⅔ of a turn on a new gasket');
  expect(said(12)).toBe('from finger-tight ⅓ to ½ of a turn on a new gasket');
});

test('each says from where it counts, in degrees where it is no usual part of a turn', () => {
  expect(sayTurn(quarter)).toBe('from where it meets its seat ¼ of a turn on a new gasket');
  expect(sayTurn({ ...quarter, lowTurns: 0.278, highTurns: 0.278, gasket: 'none' })).toBe(
    'from where it meets its seat 100°',
  );
});
