/** The dimension a unit measures; figures are held in the base unit named here. */
export type Dimension =
  | 'length-mm'
  | 'torque-nm'
  | 'pressure-kpa'
  | 'resistance-ohm'
  | 'temperature-c'
  | 'distance-km'
  /** Nothing of these is measured here: they are known so that a slip of the unit is asked back. */
  | 'voltage-kv'
  | 'mass-kg';

export interface Unit {
  readonly id: string;
  readonly dimension: Dimension;
  /** Multiply a figure in this unit by this to reach the base unit. Exact factors, domain section 1. */
  readonly toBase: number;
  /** Added after multiplying; only temperatures need it. */
  readonly offset?: number;
  /** How the unit is printed beside a figure. */
  readonly printed: string;
  /** What people write for it, lower case, without spaces, dots or hyphens. */
  readonly spellings: readonly string[];
}

const INCH_MM = 25.4;
const LBF_FT_NM = 1.3558179483;
const LBF_IN_NM = 0.112984829;
const KGF_CM_NM = 0.0980665;
const PSI_KPA = 6.894757293;
const MILE_KM = 1.609344;

/** Every unit the counter reads and prints. Factors are exact or as given in domain section 1. */
export const UNITS = {
  mm: {
    id: 'mm',
    dimension: 'length-mm',
    toBase: 1,
    printed: 'mm',
    spellings: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
  },
  cm: { id: 'cm', dimension: 'length-mm', toBase: 10, printed: 'cm', spellings: ['cm', 'centimetre', 'centimetres'] },
  um: {
    id: 'um',
    dimension: 'length-mm',
    toBase: 0.001,
    printed: 'µm',
    spellings: ['μm', 'um', 'micron', 'microns', 'micrometre', 'micrometres'],
  },
  in: {
    id: 'in',
    dimension: 'length-mm',
    toBase: INCH_MM,
    printed: 'in',
    // A double prime is two primes once it is written plainly.
    spellings: ['in', '"', '”', '′′', 'inch', 'inches', 'ins'],
  },
  thou: {
    id: 'thou',
    dimension: 'length-mm',
    toBase: INCH_MM / 1000,
    printed: 'thou',
    spellings: ['thou', 'th', 'mil', 'mils'],
  },
  nm: {
    id: 'nm',
    dimension: 'torque-nm',
    toBase: 1,
    printed: 'N·m',
    spellings: ['nm', 'newtonmetre', 'newtonmetres', 'newtonmeter', 'newtonmeters'],
  },
  lbfFt: {
    id: 'lbfFt',
    dimension: 'torque-nm',
    toBase: LBF_FT_NM,
    printed: 'lbf·ft',
    spellings: [
      'lbfft',
      'ftlbf',
      'ftlb',
      'ftlbs',
      'lbft',
      'lbsft',
      'ft/lb',
      'ft/lbs',
      'lb/ft',
      'lbs/ft',
      'footpound',
      'footpounds',
      'poundfoot',
      'poundfeet',
      'poundsfeet',
      'feetpounds',
    ],
  },
  lbfIn: {
    id: 'lbfIn',
    dimension: 'torque-nm',
    toBase: LBF_IN_NM,
    printed: 'lbf·in',
    spellings: [
      'lbfin',
      'inlbf',
      'inlb',
      'inlbs',
      'lbin',
      'lbsin',
      'in/lb',
      'in/lbs',
      'lb/in',
      'inchpound',
      'inchpounds',
      'poundinch',
      'poundinches',
    ],
  },
  kgfCm: {
    id: 'kgfCm',
    dimension: 'torque-nm',
    toBase: KGF_CM_NM,
    printed: 'kgf·cm',
    spellings: ['kgfcm', 'kgcm', 'cmkgf', 'cmkg'],
  },
  kgfM: {
    id: 'kgfM',
    dimension: 'torque-nm',
    toBase: KGF_CM_NM * 100,
    printed: 'kgf·m',
    spellings: ['kgfm', 'kgm', 'mkgf', 'mkg'],
  },
  kpa: {
    id: 'kpa',
    dimension: 'pressure-kpa',
    toBase: 1,
    printed: 'kPa',
    spellings: ['kpa', 'kilopascal', 'kilopascals'],
  },
  mpa: {
    id: 'mpa',
    dimension: 'pressure-kpa',
    toBase: 1000,
    printed: 'MPa',
    spellings: ['mpa', 'megapascal', 'megapascals'],
  },
  psi: {
    id: 'psi',
    dimension: 'pressure-kpa',
    toBase: PSI_KPA,
    printed: 'psi',
    spellings: ['psi', 'poundspersquareinch'],
  },
  bar: { id: 'bar', dimension: 'pressure-kpa', toBase: 100, printed: 'bar', spellings: ['bar', 'bars'] },
  ohm: { id: 'ohm', dimension: 'resistance-ohm', toBase: 1, printed: 'Ω', spellings: ['ω', 'ohm', 'ohms', 'r'] },
  kohm: {
    id: 'kohm',
    dimension: 'resistance-ohm',
    toBase: 1000,
    printed: 'kΩ',
    spellings: ['kω', 'kohm', 'kohms', 'k', 'kiloohm', 'kiloohms'],
  },
  celsius: {
    id: 'celsius',
    dimension: 'temperature-c',
    toBase: 1,
    printed: '°C',
    spellings: ['°c', 'c', 'degc', 'celsius'],
  },
  kelvin: {
    id: 'kelvin',
    dimension: 'temperature-c',
    toBase: 1,
    offset: -273.15,
    printed: 'K',
    spellings: ['kelvin', 'kelvins', '°k'],
  },
  fahrenheit: {
    id: 'fahrenheit',
    dimension: 'temperature-c',
    toBase: 5 / 9,
    offset: -160 / 9,
    printed: '°F',
    spellings: ['°f', 'f', 'degf', 'fahrenheit'],
  },
  km: {
    id: 'km',
    dimension: 'distance-km',
    toBase: 1,
    printed: 'km',
    spellings: ['km', 'kms', 'kilometre', 'kilometres'],
  },
  mile: {
    id: 'mile',
    dimension: 'distance-km',
    toBase: MILE_KM,
    printed: 'miles',
    spellings: ['mi', 'mile', 'miles'],
  },
  kv: { id: 'kv', dimension: 'voltage-kv', toBase: 1, printed: 'kV', spellings: ['kv', 'kilovolt', 'kilovolts'] },
  volt: { id: 'volt', dimension: 'voltage-kv', toBase: 0.001, printed: 'V', spellings: ['v', 'volt', 'volts'] },
  kg: {
    id: 'kg',
    dimension: 'mass-kg',
    toBase: 1,
    printed: 'kg',
    spellings: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'],
  },
  lb: {
    id: 'lb',
    dimension: 'mass-kg',
    toBase: 0.45359237,
    printed: 'lb',
    spellings: ['lb', 'lbs', 'pound', 'pounds'],
  },
} as const satisfies Record<string, Unit>;

export type UnitId = keyof typeof UNITS;

const bySpelling = new Map<string, UnitId>(
  (Object.keys(UNITS) as UnitId[]).flatMap((id) => UNITS[id].spellings.map((spelling) => [spelling, id] as const)),
);

/** The unit a person wrote (`ft-lb`, `N·m`, `"`), or undefined when it is not one of ours. */
export function unitOf(written: string): UnitId | undefined {
  const plain = written
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[\s.·⋅\-_*]/g, '');
  return bySpelling.get(plain);
}

/** A figure written in a unit, in the unit's base (mm, N·m, kPa, Ω, °C, km). */
export function toBase(value: number, unit: UnitId): number {
  const { toBase: factor, offset = 0 }: Unit = UNITS[unit];
  return value * factor + offset;
}

/** A base figure expressed in a unit: the inverse of `toBase`. */
export function fromBase(value: number, unit: UnitId): number {
  const { toBase: factor, offset = 0 }: Unit = UNITS[unit];
  return (value - offset) / factor;
}
