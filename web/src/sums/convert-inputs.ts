import { at20C } from '@brackenfell/core/coils/measured-resistance';
import { compressionSpread, type CompressionWord } from '@brackenfell/core/compression/shares';
import { sayIn } from '@brackenfell/core/fitment/say';
import { socketFor } from '@brackenfell/core/plugs/socket';
import { formatIn, formatQuantity, systemOf, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { QUANTITIES, type QuantityKind } from '@brackenfell/core/quantities/plausible-ranges';
import { printedPairAgrees, readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import type { Dimension, UnitId } from '@brackenfell/core/quantities/units';
import { costOver, USUAL_HORIZON_KM } from '@brackenfell/core/service-plan/cost-over';
import { printPrice } from '@brackenfell/core/words/money';
import { plainFigure } from '../measuring/reading-field.tsx';
import { chosen } from './spark-inputs.ts';

export const KINDS = [
  { value: 'gap', says: 'gap' },
  { value: 'plug-torque', says: 'plug torque' },
  { value: 'fastener-torque', says: 'other torque' },
  { value: 'reach', says: 'reach' },
  { value: 'hex', says: 'hex' },
  { value: 'compression', says: 'pressure in a cylinder' },
  { value: 'boost', says: 'boost' },
  { value: 'temperature', says: 'temperature' },
  { value: 'distance', says: 'distance' },
] as const satisfies readonly { readonly value: QuantityKind; readonly says: string }[];

/** Units that each is told in at a counter. */
const SHOWN: Readonly<Record<Dimension, readonly UnitId[]>> = {
  'length-mm': ['mm', 'in', 'thou'],
  'torque-nm': ['nm', 'lbfFt', 'lbfIn', 'kgfM'],
  'pressure-kpa': ['kpa', 'bar', 'psi'],
  'resistance-ohm': ['ohm', 'kohm'],
  'temperature-c': ['celsius', 'fahrenheit'],
  'distance-km': ['km', 'mile'],
  'voltage-kv': ['kv'],
  'mass-kg': ['kg'],
};

/** One answer of the page: what it says, and what is asked back or wrong. */
export interface Answer {
  readonly reading?: QuantityReading | undefined;
  readonly wrong?: string | undefined;
  readonly lines: readonly string[];
}

const NOTHING: Answer = { lines: [] };
const read = (text: string, kind: QuantityKind, units: UnitDisplay, told = false): QuantityReading | undefined =>
  text.trim() === '' ? undefined : readQuantity(text, kind, { system: systemOf(units), told });

/** A figure in every unit of what it measures; the ends of a range as limits, never widened. */
export function convert(search: URLSearchParams, units: UnitDisplay): Answer {
  const kind = chosen(search, 'kind', KINDS);
  const reading = read(search.get('figure') ?? '', kind, units, true);
  if (reading?.kind !== 'read') return { reading, lines: [] };
  const { low, high } = reading;
  const both = formatQuantity(kind, low, high, 'both');
  return { reading, lines: [both, ...SHOWN[QUANTITIES[kind].dimension].map((unit) => formatIn(low, high, unit))] };
}

/** Whether two figures printed side by side are one. */
export function pairGuard(search: URLSearchParams): Answer {
  const [one, other] = [search.get('one') ?? '', search.get('other') ?? ''];
  if (one.trim() === '' || other.trim() === '') return NOTHING;
  const isRange = /\d\s*[-–]\s*\d/.test(one);
  const agrees = printedPairAgrees(one, other, isRange ? 'limits' : 'nominal');
  if (agrees === undefined) return { wrong: 'Two figures of one kind, each with its unit.', lines: [] };
  return {
    lines: [
      agrees
        ? `${one.trim()} and ${other.trim()} agree, as far as their digits go.`
        : `${one.trim()} and ${other.trim()} are not the same: one of the two is wrong, or its unit is.`,
    ],
    wrong: agrees ? undefined : 'Do not take either before it is asked which the sheet means.',
  };
}

/** The socket for a hex, in both systems. */
export function socketSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const reading = read(search.get('hex') ?? '', 'hex', units);
  if (reading?.kind !== 'read' || reading.low !== reading.high) return { reading, lines: [] };
  const socket = socketFor(reading.low);
  const say = sayIn(units);
  return {
    reading,
    lines: socket
      ? [
          `${socket.mm} mm${socket.inch ? `, the same as ${socket.inch} in` : '; no inch socket is that size'}.`,
          `Thin wall: ${say.quantity('length', socket.outerMm)} outside, for a well of ${say.quantity('length', socket.leastWellMm)} and more.`,
        ]
      : ['The trade makes no plug socket of that size: measure across the flats again.'],
  };
}

/** A lead's resistance for a metre of it. */
export function leadSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const reading = read(search.get('lead') ?? '', 'lead-resistance', units);
  const lengthMm = plainFigure((search.get('length') ?? '').replace(/\s*mm$/i, ''));
  if (reading?.kind !== 'read' || lengthMm === undefined || lengthMm <= 0) return { reading, lines: [] };
  return { reading, lines: [`${(reading.low / lengthMm).toFixed(1)} kΩ a metre.`] };
}

/** A winding's resistance brought to 20 °C. */
export function copperSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const reading = read(search.get('ohm') ?? '', 'coil-primary', units);
  const temperature = read(search.get('warm') ?? '', 'temperature', units);
  if (reading?.kind !== 'read' || temperature?.kind !== 'read')
    return { reading: reading?.kind === 'read' ? temperature : reading, lines: [] };
  const ohm = at20C({ readOhm: reading.low, shortedOhm: 0, coilTempC: temperature.low, meterErrorOhm: 0 });
  return { reading, lines: [`${ohm.toFixed(2)} Ω at 20 °C, copper’s own heat taken out.`] };
}

const COMPRESSION_WORDS: Readonly<Record<CompressionWord, string>> = {
  good: 'good',
  usable: 'usable',
  'look-further': 'look further',
};

/** Each cylinder's share of the best. */
export function compressionSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const text = (search.get('cylinders') ?? '').trim();
  if (text === '') return NOTHING;
  const unit = /[a-z]+\s*$/i.exec(text)?.[0] ?? '';
  const parts = text
    .replace(/[a-z]+\s*$/i, '')
    .split(/[\s;]+/)
    .filter(Boolean);
  const readings = parts.map((part) => read(`${part} ${unit}`.trim(), 'compression', units));
  const odd = readings.findIndex((one) => one?.kind !== 'read');
  if (odd >= 0)
    return { reading: readings[odd], wrong: readings[odd] ? undefined : 'Figures apart by spaces.', lines: [] };
  const spread = compressionSpread(readings.map((one) => (one?.kind === 'read' ? one.low : 0)));
  if (!spread)
    return { wrong: 'Two cylinders at least: one alone says nothing without the specified figure.', lines: [] };
  const say = sayIn(units);
  return {
    lines: [
      `Lowest over highest ${Math.floor(spread.spread * 100)}%: ${COMPRESSION_WORDS[spread.word]}.`,
      ...spread.cylinders.map(
        ({ kpa, share, word }, i) =>
          `Cylinder ${i + 1}: ${say.quantity('compression', kpa)}, ${Math.floor(share * 100 + 1e-9)}%, ${COMPRESSION_WORDS[word]}`,
      ),
    ],
  };
}

const minor = (text: string): number | undefined => {
  const pounds = plainFigure(text.replace('£', ''));
  return pounds === undefined || pounds < 0 ? undefined : Math.round(pounds * 100);
};

/** Parts and labour over a distance. */
export function costSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const setMinor = minor(search.get('price') ?? '');
  const labourMinor = minor(search.get('labour') ?? '') ?? 0;
  const lasts = read(search.get('lasts') ?? '', 'distance', units);
  const horizon = read(search.get('horizon') ?? '', 'distance', units);
  const horizonKm = horizon?.kind === 'read' ? horizon.low : USUAL_HORIZON_KM;
  if (setMinor === undefined || lasts?.kind !== 'read' || lasts.low <= 0 || horizonKm <= 0)
    return { reading: lasts?.kind === 'read' ? horizon : lasts, lines: [] };
  const cost = costOver({ setMinor, labourMinor, lastsKm: lasts.low }, horizonKm);
  const say = sayIn(units);
  const named = labourMinor > 0 ? 'Parts and labour' : 'Parts';
  return {
    lines: [
      `${named} to ${say.quantity('distance', horizonKm)}: ${printPrice(cost.totalMinor)}, ${cost.changes} sets, the first now.`,
      `${printPrice(cost.perTenThousandKmMinor)} for 10 000 km. Nothing is taken back for what remains.`,
    ],
  };
}
