import { RECORDED_SHAPES, type RecordedFactId } from '@brackenfell/core/facts/facts';
import type { CoilPlace } from '@brackenfell/core/spark-demand/available';
import type { SparkPath, SparkPlug } from '@brackenfell/core/spark-demand/demand';
import type { SparkSetting } from '@brackenfell/core/spark-demand/margin';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { readGap } from './read-gap.ts';

/** A figure that is typed. What it may be is what its fact may be. */
interface Figure {
  readonly name: string;
  readonly label: string;
  readonly fact: RecordedFactId;
  /** Stands where nothing is typed. */
  readonly unless?: number;
}

export const ENGINE_FIGURES = [
  { name: 'ratio', label: 'Compression ratio', fact: 'position.compressionRatio' },
  { name: 'rpm', label: 'Rated speed, rpm', fact: 'position.ratedRpm' },
  { name: 'boost', label: 'Boost, kPa (none if empty)', fact: 'position.boostKpa', unless: 0 },
] as const satisfies readonly Figure[];

export const COIL_FIGURES = [
  { name: 'ohm', label: 'Primary at 20 °C, Ω', fact: 'coil.primaryOhm' },
  { name: 'mh', label: 'Primary, mH', fact: 'coil.inductanceMh' },
  { name: 'amps', label: 'Peak current, A', fact: 'coil.peakA' },
  { name: 'kv', label: 'Rated voltage, kV', fact: 'coil.ratedKv' },
] as const satisfies readonly Figure[];

export const PLACES = [
  { value: 'on-plug', says: 'a coil on each plug' },
  { value: 'pack', says: 'a pack, two cylinders at once' },
  { value: 'twin', says: 'one coil, both plugs of a cylinder' },
  { value: 'four', says: 'a distributor for four' },
  { value: 'six', says: 'a distributor for six' },
  { value: 'eight', says: 'a distributor for eight' },
] as const;
export type PlaceChoice = (typeof PLACES)[number]['value'];

const ARRANGED: Readonly<Record<PlaceChoice, readonly [CoilPlace, cylinders: number, SparkPath]>> = {
  'on-plug': ['on-plug', 1, 'direct'],
  pack: ['pack', 2, 'companion-cylinder'],
  twin: ['pack', 1, 'both-of-one-cylinder'],
  four: ['distributor', 4, 'rotor-gap'],
  six: ['distributor', 6, 'rotor-gap'],
  eight: ['distributor', 8, 'rotor-gap'],
};

export const FUELS = [
  { value: 'petrol', says: 'petrol' },
  { value: 'gas', says: 'gas' },
] as const;
export const TIPS = [
  { value: 'fine-wire', says: 'fine wire' },
  { value: 'nickel', says: 'nickel' },
] as const;
export const WAYS = [
  { value: 'forward', says: 'forward' },
  { value: 'reverse', says: 'in reverse' },
] as const;

/** What an address asks, as far as it can be reckoned with. */
export interface SparkAsked {
  readonly setting: SparkSetting;
  readonly plug: Omit<SparkPlug, 'gapMm' | 'lifeUsed'>;
  readonly range: { readonly low: number; readonly high: number };
}
export type SparkReading =
  | { readonly kind: 'asked'; readonly asked: SparkAsked }
  /** Labels of what is missing or cannot be. */
  | { readonly kind: 'not-estimated'; readonly missing: readonly string[]; readonly wrong: readonly string[] };

const numberOf = (text: string): number => Number(text.trim().replace(',', '.'));

/** A choice in an address; the first where there is none of that name. */
export const chosen = <V extends string>(
  search: URLSearchParams,
  name: string,
  options: readonly { readonly value: V }[],
): V => options.find(({ value }) => value === search.get(name))?.value ?? options[0]!.value;

/** Reads what an address asks of the sum. Nothing is taken for granted that decides it: what is not there is named. */
export function readSparkInputs(search: URLSearchParams, units: UnitDisplay): SparkReading {
  const missing: string[] = [];
  const wrong: string[] = [];
  const figure = ({ name, label, fact, unless }: Figure): number => {
    const text = (search.get(name) ?? '').trim();
    if (text === '' && unless !== undefined) return unless;
    if (text === '') missing.push(label);
    else if (!RECORDED_SHAPES[fact].safeParse(numberOf(text)).success) wrong.push(label);
    return numberOf(text);
  };
  const [ratio, rpm, boost] = ENGINE_FIGURES.map(figure);
  const [ohm, mh, amps, kv] = COIL_FIGURES.map(figure);
  const gap = readGap(search, units);
  if (gap === undefined) missing.push('Gap');
  else if (gap.kind !== 'read') wrong.push('Gap');
  if (missing.length > 0 || wrong.length > 0 || gap?.kind !== 'read') return { kind: 'not-estimated', missing, wrong };
  const [place, cylinders, path] = ARRANGED[chosen(search, 'place', PLACES)];
  return {
    kind: 'asked',
    asked: {
      setting: {
        engine: {
          compressionRatio: ratio!,
          ratedRpm: rpm!,
          boostKpa: boost!,
          isOnGas: chosen(search, 'fuel', FUELS) === 'gas',
        },
        source: {
          kind: 'inductive',
          place,
          cylinders,
          primaryOhm: ohm!,
          inductanceMh: mh!,
          peakA: amps!,
          ratedKv: kv!,
        },
        path,
      },
      plug: { tip: chosen(search, 'tip', TIPS), inReverse: chosen(search, 'way', WAYS) === 'reverse' },
      range: { low: gap.low, high: gap.high },
    },
  };
}
