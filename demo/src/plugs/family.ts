import { checkDigit } from '@brackenfell/core/part-numbers/barcode';
import type { PlugEntry, PlugFacts } from '@brackenfell/contract/catalogue-file';

/** Shelf data of one number: on hand, bin, price in pence. */
export type Shelf = readonly [onHand: number, bin: string, priceMinor: number];

export type PlugRow = readonly [
  number: string,
  facts: { [K in keyof PlugFacts]?: PlugFacts[K] | undefined },
  shelf?: Shelf,
  more?: Pick<PlugEntry, 'names' | 'extra'>,
];

/** What each maker's shells carry; Tamsel publishes nothing of it. */
const PLATING: Readonly<Record<string, PlugFacts>> = {
  kestrane: { 'plug.plating': 'nickel' },
  ivorix: { 'plug.plating': 'nickel' },
  'hollin-bray': { 'plug.plating': 'zinc' },
};

/** What each maker prints about tightening on a thread and seat: a range, one figure, a turn, or nothing. */
function tightening(maker: string, facts: PlugRow[1]): PlugFacts {
  const isTaper = facts['plug.seat'] === 'taper';
  const dry = (lowNm: number, highNm: number): PlugFacts => ({
    'plug.torque': { lowNm, highNm, condition: 'dry' },
  });
  switch (`${maker} ${facts['plug.threadDiameterMm']}${isTaper ? ' taper' : ''}`) {
    case 'kestrane 14':
      return { ...dry(25, 30), 'plug.turn': { lowTurns: 0.5, highTurns: 0.5, from: 'fingers', gasket: 'new' } };
    case 'kestrane 12':
      return dry(15, 20);
    case 'kestrane 14 taper':
      return dry(10, 15);
    case 'ivorix 14':
      return dry(25, 25);
    case 'ivorix 12':
      return { 'plug.turn': { lowTurns: 0.25, highTurns: 0.25, from: 'seat-contact', gasket: 'new' } };
    case 'hollin-bray 14':
      return { 'plug.turn': { lowTurns: 0.5, highTurns: 2 / 3, from: 'fingers', gasket: 'new' } };
    default:
      return {};
  }
}

/** What a maker says of all its plugs of a form: plating, torque, turn. */
export const makersOwn = (maker: string, facts: PlugRow[1]): PlugFacts => ({
  ...PLATING[maker],
  ...tightening(maker, facts),
});

/** Catalogue rows of one maker that share most of their facts. A fact set to `undefined` in a row is unpublished. */
export function family(maker: string, shared: PlugFacts, rows: readonly PlugRow[]): PlugEntry[] {
  return rows.map(([number, own, shelf, more]) => ({
    maker,
    number,
    facts: { ...makersOwn(maker, { ...shared, ...own }), ...shared, ...own } as PlugFacts,
    ...(shelf ? { onHand: shelf[0], bin: shelf[1], priceMinor: shelf[2] } : {}),
    ...more,
  }));
}

/** An in-house EAN-13 (prefix 29 is never an article of any maker) and a short stamping. */
export const alsoKnownAs = (article: number, stamping?: string): Pick<PlugEntry, 'names'> => {
  const body = `29${String(article).padStart(10, '0')}`;
  return {
    names: [
      { kind: 'barcode', printed: body + checkDigit(body) },
      ...(stamping ? [{ kind: 'stamping' as const, printed: stamping }] : []),
    ],
  };
};

export const heat = (maker: string) => (code: string) => ({ 'plug.heat': { maker, code } });
export const adjustable = (mm: number) => ({ kind: 'limit', mm }) as const;
export const FIXED = { kind: 'fixed' } as const;
export const R5 = { 'plug.resistor': { kind: 'value', kohm: 5 } } as const;
export const NO_RESISTOR = { 'plug.resistor': { kind: 'none' } } as const;

export const NICKEL = {
  'plug.centreMaterial': 'nickel',
  'plug.groundMaterial': 'nickel',
  'plug.lifeKm': 20_000,
  'plug.gapAdjust': adjustable(0.3),
} as const;
export const DOUBLE_PLATINUM = {
  'plug.centreMaterial': 'platinum',
  'plug.groundMaterial': 'platinum',
  'plug.lifeKm': 60_000,
  'plug.gapAdjust': adjustable(0.2),
} as const;
export const DOUBLE_IRIDIUM = {
  'plug.centreMaterial': 'iridium',
  'plug.groundMaterial': 'platinum',
  'plug.lifeKm': 100_000,
  'plug.gapAdjust': adjustable(0.15),
} as const;
/** Fine wire over a plain ground: cheap, and a trap where the spark runs in reverse. */
export const SINGLE_IRIDIUM = {
  'plug.centreMaterial': 'iridium',
  'plug.groundMaterial': 'nickel',
  'plug.lifeKm': 80_000,
  'plug.gapAdjust': adjustable(0.15),
} as const;

const COMMON = {
  'plug.supply': { state: 'active' },
  'plug.shell': 'one-piece',
  'plug.groundCount': 1,
  'plug.groundForm': 'over-tip',
  'plug.gapToleranceMm': 0.05,
  'plug.hexPoints': 6,
} as const;

/** M14 × 1.25, 19 mm reach, gasket, 16 mm hex, solid top, resistor: the common modern form. */
export const SLIM_14 = {
  ...COMMON,
  ...R5,
  'plug.threadDiameterMm': 14,
  'plug.threadPitchMm': 1.25,
  'plug.reachMm': 19,
  'plug.seat': 'gasket-fixed',
  'plug.hexMm': 16,
  'plug.lengthMm': 50.5,
  'plug.terminal': 'solid',
  'plug.projectionMm': 2,
  'plug.groundThicknessMm': 1.4,
} as const satisfies PlugFacts;

/** M12 × 1.25, 26.5 mm reach, 14 mm twelve-point hex: the slim long form. */
export const LONG_12 = {
  ...SLIM_14,
  'plug.threadDiameterMm': 12,
  'plug.reachMm': 26.5,
  'plug.hexMm': 14,
  'plug.hexPoints': 12,
  'plug.lengthMm': 54,
  'plug.projectionMm': 1.8,
  'plug.gapMm': 0.75,
  'plug.groundThicknessMm': 1.2,
} as const satisfies PlugFacts;

/** M14 × 1.25 with the old 20.8 mm hex, nut-fitted top and no resistor: small and air-cooled engines. */
export const OLD_14 = {
  ...COMMON,
  ...NO_RESISTOR,
  ...NICKEL,
  'plug.threadDiameterMm': 14,
  'plug.threadPitchMm': 1.25,
  'plug.reachMm': 12.7,
  'plug.seat': 'gasket-fixed',
  'plug.hexMm': 20.8,
  'plug.lengthMm': 46,
  'plug.terminal': 'nut',
  'plug.nutCanBeFitted': true,
  'plug.projectionMm': 1,
  'plug.gapMm': 0.75,
  'plug.groundThicknessMm': 1.4,
} as const satisfies PlugFacts;

/** The smallest pump engines' form: 9.5 mm reach and a short body. */
export const SHORT_14 = {
  ...OLD_14,
  'plug.reachMm': 9.5,
  'plug.lengthMm': 40,
  'plug.projectionMm': 0.8,
  'plug.gapMm': 0.6,
  'plug.groundThicknessMm': 1.3,
} as const satisfies PlugFacts;

/** M18 × 1.5 with a taper seat, for iron heads. */
export const TAPER_18 = {
  ...COMMON,
  ...R5,
  ...NICKEL,
  'plug.threadDiameterMm': 18,
  'plug.threadPitchMm': 1.5,
  'plug.reachMm': 12,
  'plug.seat': 'taper',
  'plug.hexMm': 20.8,
  'plug.lengthMm': 48,
  'plug.terminal': 'solid',
  'plug.projectionMm': 1.5,
  'plug.gapMm': 0.9,
  'plug.groundThicknessMm': 1.5,
} as const satisfies PlugFacts;
