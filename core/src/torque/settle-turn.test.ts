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

test('a used gasket is crushed already: a twelfth of a turn, told beside the new one, and never on a cone', () => {
  const said = (isTaper: boolean) => settleTurn([], [], { isTaper, threadMm: 14 }).governs.map(sayTurn);
  expect(said(false)).toEqual([
    'from finger-tight ½ to ⅔ of a turn on a new gasket',
    'from finger-tight 1⁄12 of a turn on a used one',
  ]);
  expect(said(true)).toEqual(['from finger-tight 1⁄16 of a turn']);
});

test('a maker’s turn for a used gasket counts where there is a gasket, and for a cone only one of a cone', () => {
  const used: TurnStatement = { lowTurns: 1 / 8, highTurns: 1 / 8, from: 'fingers', gasket: 'used' };
  const cone: TurnStatement = { lowTurns: 1 / 16, highTurns: 1 / 12, from: 'fingers', gasket: 'none' };
  expect(settleTurn([], [used, cone], gasket14)).toEqual({ by: 'plug-maker', governs: [used], beside: [] });
  const taper = { isTaper: true, threadMm: 14 };
  expect(settleTurn([], [used, cone], taper)).toEqual({ by: 'plug-maker', governs: [cone], beside: [] });
  expect(settleTurn([used, cone, half], [], taper)).toEqual({ by: 'engine-maker', governs: [cone], beside: [] });
  expect(settleTurn([], [], taper).beside).toEqual([]);
  expect(settleTurn([half, cone], [half], gasket14).beside).toEqual([]);
});

test.each([
  ['how far at least', { lowTurns: 0.4 }],
  ['how far at most', { highTurns: 0.75 }],
  ['from where', { from: 'seat-contact' }],
  ['on which gasket', { gasket: 'used' }],
] as const)('two makers who differ in %s differ: the engine maker’s stands beside', (_, more) => {
  const other: TurnStatement = { ...half, ...more };
  expect(settleTurn([other], [half], gasket14)).toEqual({ by: 'plug-maker', governs: [half], beside: [other] });
  // It is nothing new where any of the plug maker's says the same.
  expect(settleTurn([other], [half, other], gasket14).beside).toEqual([]);
});

test('the usual turn is less on a slim thread', () => {
  const said = (threadMm: number) => sayTurn(settleTurn([], [], { isTaper: false, threadMm }).governs[0]!);
  expect(said(14)).toBe('from finger-tight ½ to ⅔ of a turn on a new gasket');
  expect(said(12)).toBe('from finger-tight ⅓ to ½ of a turn on a new gasket');
});

test.each([
  [1 / 16, '1⁄16'],
  [1 / 12, '1⁄12'],
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
])('%d of a turn is said as %s', (turns, printed) => {
  expect(sayTurn({ ...half, lowTurns: turns, highTurns: turns })).toBe(
    `from finger-tight ${printed} of a turn on a new gasket`,
  );
});

test('each says from where it counts, in degrees where it is no usual part of a turn', () => {
  expect(sayTurn(quarter)).toBe('from where it meets its seat ¼ of a turn on a new gasket');
  expect(sayTurn({ ...quarter, lowTurns: 0.278, highTurns: 0.278, gasket: 'none' })).toBe(
    'from where it meets its seat 100°',
  );
});
