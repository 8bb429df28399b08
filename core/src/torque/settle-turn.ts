import type { TurnStatement } from '../facts/torque-statements.ts';

/** A turn of the trade where no maker gives one, from finger-tight. Torque: Turns. */
const turn = (lowTurns: number, highTurns: number, gasket: TurnStatement['gasket']): TurnStatement => ({
  lowTurns,
  highTurns,
  from: 'fingers',
  gasket,
});
const USUAL = {
  gasket: turn(1 / 2, 2 / 3, 'new'),
  slim: turn(1 / 3, 1 / 2, 'new'),
  used: turn(1 / 12, 1 / 12, 'used'),
  taper: turn(1 / 16, 1 / 16, 'none'),
};
const SLIM_MM = 12;

export interface TurnAnswer {
  /** Who speaks: the plug maker for that very gasket, else the engine maker, else the usual turn of the trade. */
  readonly by: 'plug-maker' | 'engine-maker' | 'usual';
  readonly governs: readonly TurnStatement[];
  /** What another maker says otherwise; shown beside. */
  readonly beside: readonly TurnStatement[];
}

const alike = (a: TurnStatement, b: TurnStatement): boolean =>
  Math.abs(a.lowTurns - b.lowTurns) < 1e-6 && Math.abs(a.highTurns - b.highTurns) < 1e-6 && a.from === b.from;

/** How far a plug is turned where no wrench is used: two sources that differ are both told. Torque: Turns. */
export function settleTurn(
  engine: readonly TurnStatement[],
  plug: readonly TurnStatement[],
  form: { readonly isTaper: boolean; readonly threadMm: number },
): TurnAnswer {
  const gasket = form.isTaper ? 'none' : 'new';
  const suits = (one: TurnStatement) => one.gasket === gasket || (one.gasket === 'used' && !form.isTaper);
  const [ofPlug, ofEngine] = [plug.filter(suits), engine.filter(suits)];
  if (ofPlug.length > 0) {
    const differs = ofEngine.filter((one) => !ofPlug.some((other) => other.gasket === one.gasket && alike(one, other)));
    return { by: 'plug-maker', governs: ofPlug, beside: differs };
  }
  if (ofEngine.length > 0) return { by: 'engine-maker', governs: ofEngine, beside: [] };
  const usual = form.isTaper ? [USUAL.taper] : [form.threadMm <= SLIM_MM ? USUAL.slim : USUAL.gasket, USUAL.used];
  return { by: 'usual', governs: usual, beside: [] };
}

const FRACTIONS: readonly (readonly [turns: number, printed: string])[] = [
  [1 / 16, '1⁄16'],
  [1 / 12, '1⁄12'],
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
];

/** A part of a turn as a fitter says it; in degrees where it is no usual fraction. */
const printTurns = (turns: number): string =>
  FRACTIONS.find(([value]) => Math.abs(value - turns) < 0.005)?.[1] ?? `${Math.round(turns * 360)}°`;

const GASKET_WORDS = { new: ' on a new gasket', used: ' on a used one', none: '' } as const;
const START_WORDS = { fingers: 'finger-tight', 'seat-contact': 'where it meets its seat' } as const;

/** From where, how far and on which gasket, in words. */
export function sayTurn({ lowTurns, highTurns, from, gasket }: TurnStatement): string {
  const [low, high] = [printTurns(lowTurns), printTurns(highTurns)];
  const far = low === high ? low : `${low} to ${high}`;
  return `from ${START_WORDS[from]} ${far}${far.endsWith('°') ? '' : ' of a turn'}${GASKET_WORDS[gasket]}`;
}
