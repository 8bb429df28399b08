import { at20C } from '@brackenfell/core/coils/measured-resistance';
import { compressionSpread, type CompressionWord } from '@brackenfell/core/compression/shares';
import { sayIn } from '@brackenfell/core/fitment/say';
import { socketFor } from '@brackenfell/core/plugs/socket';
import { formatIn, formatQuantity, systemOf, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { QUANTITIES, type QuantityKind } from '@brackenfell/core/quantities/plausible-ranges';
import { asOne, oneOf, readPence, readPlain, type PlainReading } from '@brackenfell/core/quantities/plain-figure';
import { printedPairAgrees, readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import type { Dimension, UnitId } from '@brackenfell/core/quantities/units';
import { costOver, USUAL_HORIZON_KM } from '@brackenfell/core/service-plan/cost-over';
import { printPrice } from '@brackenfell/core/words/money';
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

/** One answer of the page: what it says, what each field is read as or asked back, and what is wrong between them. */
export interface Answer {
  readonly readings?: Readonly<Record<string, QuantityReading | PlainReading | undefined>>;
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
  if (reading?.kind !== 'read') return { readings: { figure: reading }, lines: [] };
  const { low, high } = reading;
  const both = formatQuantity(kind, low, high, 'both');
  return {
    readings: { figure: reading },
    lines: [both, ...SHOWN[QUANTITIES[kind].dimension].map((unit) => formatIn(low, high, unit))],
  };
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
  const hex = asOne(read(search.get('hex') ?? '', 'hex', units));
  if (hex?.kind !== 'read') return { readings: { hex }, lines: [] };
  const socket = socketFor(hex.low);
  const say = sayIn(units);
  return {
    readings: { hex },
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
  const lead = asOne(read(search.get('lead') ?? '', 'lead-resistance', units));
  const length = readPlain((search.get('length') ?? '').replace(/\s*mm$/i, ''), 'A length in mm, such as 620.', 1);
  const [ohm, lengthMm] = [oneOf(lead), oneOf(length)];
  const readings = { lead, length };
  if (ohm === undefined || lengthMm === undefined) return { readings, lines: [] };
  return { readings, lines: [`${(ohm / lengthMm).toFixed(1)} kΩ a metre.`] };
}

/** A winding's resistance brought to 20 °C. */
export function copperSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const readings = {
    ohm: asOne(read(search.get('ohm') ?? '', 'coil-primary', units)),
    warm: asOne(read(search.get('warm') ?? '', 'temperature', units)),
  };
  const [readOhm, coilTempC] = [oneOf(readings.ohm), oneOf(readings.warm)];
  if (readOhm === undefined || coilTempC === undefined) return { readings, lines: [] };
  const ohm = at20C({ readOhm, shortedOhm: 0, coilTempC, meterErrorOhm: 0 });
  return { readings, lines: [`${ohm.toFixed(2)} Ω at 20 °C, copper’s own heat taken out.`] };
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
    return {
      readings: { cylinders: readings[odd] ?? { kind: 'unreadable', why: 'Figures apart by spaces.' } },
      lines: [],
    };
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

/** Parts and labour over a distance. */
export function costSays(search: URLSearchParams, units: UnitDisplay): Answer {
  const readings = {
    price: readPence(search.get('price') ?? ''),
    labour: readPence(search.get('labour') ?? ''),
    lasts: asOne(read(search.get('lasts') ?? '', 'distance', units), true),
    horizon: asOne(read(search.get('horizon') ?? '', 'distance', units), true),
  };
  const [setMinor, lastsKm] = [oneOf(readings.price), oneOf(readings.lasts)];
  const isAsked = [readings.labour, readings.horizon].some((one) => one !== undefined && oneOf(one) === undefined);
  // What cannot be read is never reckoned as nothing, nor as the usual.
  if (setMinor === undefined || lastsKm === undefined || isAsked) return { readings, lines: [] };
  const labourMinor = oneOf(readings.labour) ?? 0;
  const horizonKm = oneOf(readings.horizon) ?? USUAL_HORIZON_KM;
  const cost = costOver({ setMinor, labourMinor, lastsKm }, horizonKm);
  const say = sayIn(units);
  const named = labourMinor > 0 ? 'Parts and labour' : 'Parts';
  return {
    readings,
    lines: [
      `${named} to ${say.quantity('distance', horizonKm)}: ${printPrice(cost.totalMinor)}, ${cost.changes} sets, the first now.`,
      `${printPrice(cost.perTenThousandKmMinor)} for 10 000 km. Nothing is taken back for what remains.`,
    ],
  };
}
