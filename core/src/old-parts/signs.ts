import type { CauseId } from './causes.ts';

/** Points that a sign, or what is known of the engine, gives to causes. */
export type Points = Readonly<Partial<Record<CauseId, number>>>;

interface Sign {
  readonly title: string;
  /** The line of the plug it stands on. */
  readonly line: SignLine;
  readonly gives: Points;
  readonly why: string;
}

export const SIGN_LINES = [
  'deposit',
  'shell',
  'wet',
  'insulator',
  'tip',
  'thread',
  'gasket',
  'boot',
  'connector',
] as const;
export type SignLine = (typeof SIGN_LINES)[number];
export const SIGN_LINE_WORDS: Readonly<Record<SignLine, string>> = {
  deposit: 'Deposit',
  shell: 'Above the shell',
  wet: 'Wet',
  insulator: 'Insulator',
  tip: 'Tip',
  thread: 'Thread',
  gasket: 'Gasket',
  boot: 'Boot and well',
  connector: 'Connector',
};

const sign = (line: SignLine, title: string, gives: Points, why: string): Sign => ({ line, title, gives, why });

/**
 * What is seen on a plug that came out, with the points each gives and why. `charge cooler` counts only where one is fitted.
 * Old parts: Signs.
 */
export const SIGNS = {
  tan: sign('deposit', 'tan or grey, dry', { healthy: 6 }, 'It burnt at the right heat and kept itself clean.'),
  soot: sign(
    'deposit',
    'black soot, dry',
    { 'short-runs': 4, rich: 4, 'too-cold': 3, 'no-spark': 2, injector: 1 },
    'Carbon stays where the tip never gets hot enough, or there is more fuel than burns.',
  ),
  white: sign(
    'deposit',
    'white, dry',
    { lean: 4, hot: 3, gasket: 1 },
    'Everything burnt off: too hot, or too little fuel.',
  ),
  blistered: sign(
    'deposit',
    'white with blisters',
    { hot: 6, lean: 3, loose: 2 },
    'The insulator began to glaze and boil: heat was not led away.',
  ),
  specks: sign('deposit', 'specks of metal', { hot: 6 }, 'Metal of piston or electrode has melted on to it.'),
  powder: sign(
    'deposit',
    'white powder or glaze that wipes off',
    { gasket: 7, cooler: 4 },
    'Additives of the coolant are left when the water has boiled away.',
  ),
  washed: sign(
    'deposit',
    'washed clean',
    { gasket: 5, cooler: 3, lean: 1 },
    'Steam cleans the tip bare where the others are coloured.',
  ),
  crust: sign('deposit', 'brown crust', { ash: 5, below: 3 }, 'Ash of oil or of additives builds a crust.'),
  ring: sign('shell', 'brown ring', { healthy: 2 }, 'A stain of the discharge above the shell: normal, no leak.'),
  tracks: sign('shell', 'tracks', { flash: 7, 'no-spark': 1 }, 'The spark ran down the outside and burnt its way.'),
  'blow-by': sign(
    'shell',
    'grey blow-by',
    { loose: 6, hot: 1 },
    'Gas passed between insulator and shell, or past the seat.',
  ),
  fuel: sign(
    'wet',
    'with fuel',
    { 'no-spark': 5, injector: 4, rich: 2, gasket: 2 },
    'Fuel that no spark lit, or more of it than could be lit.',
  ),
  'oil-tip': sign('wet', 'with oil, at the tip', { below: 7 }, 'Oil at the tip comes from the chamber.'),
  'oil-thread': sign(
    'wet',
    'with oil, on the upper thread',
    { seal: 6, below: 1 },
    'Oil above the seat came down the well, not out of the chamber.',
  ),
  crack: sign(
    'insulator',
    'cracked',
    { flash: 3, 'no-spark': 3, hot: 1 },
    'A crack leads the spark past the gap; a knock, or heat that came at once.',
  ),
  grown: sign('tip', 'worn round, gap grown evenly', { worn: 6, healthy: 1 }, 'Even wear is what its life is made of.'),
  struck: sign('tip', 'peened, or gap closed', { strike: 12 }, 'Only something that met it closes a gap.'),
  carboned: sign(
    'thread',
    'exposed turns carboned',
    { reach: 12 },
    'Turns that stood in the chamber, or a hole left unfilled, gather carbon.',
  ),
  uncrushed: sign('gasket', 'not crushed', { loose: 6 }, 'A gasket that is still round never sealed.'),
  'oil-boot': sign(
    'boot',
    'oil',
    { seal: 6, flash: 2, 'no-spark': 1 },
    'Oil in the well swells the boot and leads the spark away.',
  ),
  'water-well': sign(
    'boot',
    'water',
    { flash: 4, 'no-spark': 2 },
    'Water in the well is the shorter way for the spark.',
  ),
  open: sign('connector', 'open, or not latched', { 'no-spark': 8 }, 'No current, no spark.'),
} as const satisfies Readonly<Record<string, Sign>>;

export type SignId = keyof typeof SIGNS;
export const SIGN_IDS = Object.keys(SIGNS) as readonly SignId[];
/** The points of a sign, as plain data. */
export const givenBy = (id: SignId): Points => SIGNS[id].gives;

interface ContextLine {
  readonly title: string;
  readonly gives: Points;
}

/** What is known of engine and use; it adds to a cause only where a sign already speaks for it. */
export const CONTEXTS = {
  'short-runs': { title: 'short cold runs', gives: { 'short-runs': 4 } },
  'coolant-loss': { title: 'loses coolant', gives: { gasket: 4, cooler: 4 } },
  'oil-use': { title: 'uses oil', gives: { below: 4 } },
  colder: { title: 'plug colder than asked', gives: { 'too-cold': 5 } },
  hotter: { title: 'plug hotter than asked', gives: { hot: 5 } },
  boost: { title: 'boost raised', gives: { hot: 2, lean: 1 } },
  carburettor: { title: 'carburettor', gives: { rich: 3 } },
  'trims-rich': { title: 'fuel trims read rich', gives: { rich: 4 } },
  'trims-lean': { title: 'fuel trims read lean', gives: { lean: 4 } },
  'past-life': { title: 'past its life', gives: { worn: 3, 'no-spark': 1 } },
  touched: { title: 'just worked on', gives: { 'no-spark': 3, loose: 3 } },
  'wrong-reach': { title: 'reach known to be wrong', gives: { reach: 6, strike: 4 } },
  'charge-cooler': { title: 'water-cooled charge cooler', gives: { cooler: 4 } },
} as const satisfies Readonly<Record<string, ContextLine>>;
export type ContextId = keyof typeof CONTEXTS;
export const CONTEXT_IDS = Object.keys(CONTEXTS) as readonly ContextId[];

/** What two low neighbours add, and what good compression takes away. A low pair is a sign of its own. */
export const COMPRESSION_POINTS = { neighboursLow: 6, good: -5 } as const;
