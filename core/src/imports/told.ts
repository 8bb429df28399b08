import { MATERIALS, type Seat } from '../facts/plug-facts.ts';
import type { RecordedFactId } from '../facts/facts.ts';
import { readQuantity } from '../quantities/read-quantity.ts';
import type { ColumnUse } from './columns.ts';

/** Columns that tell by a word or a code what a plug is. */
export const TOLD_USES = ['thread', 'seat', 'heat', 'electrode', 'resistor'] as const satisfies readonly ColumnUse[];
export type ToldUse = (typeof TOLD_USES)[number];

/** One thing that is stated of a part, as a catalogue records it. */
export type Stated = readonly [fact: RecordedFactId, value: unknown];

export type ToldRead =
  | { readonly kind: 'told'; readonly stated: readonly Stated[] }
  | { readonly kind: 'asked'; readonly says: string };

const told = (...stated: readonly Stated[]): ToldRead => ({ kind: 'told', stated });
const asked = (says: string): ToldRead => ({ kind: 'asked', says });

/** Threads of plugs, by diameter in mm: the pitches in mm that each is cut with. */
const PITCHES_MM: ReadonlyMap<number, readonly number[]> = new Map([
  [8, [1]],
  [10, [1]],
  [12, [1.25]],
  [14, [1.25]],
  [18, [1.5]],
]);
const THREAD = /^m?\s*(\d{1,2})\s*(?:mm)?(?:\s*[x×*/-]\s*(\d(?:[.,]\d{1,2})?)\s*(?:mm)?)?$/i;

function readThread(cell: string): ToldRead {
  const read = THREAD.exec(cell);
  const diameterMm = Number(read?.[1]);
  const pitches = PITCHES_MM.get(diameterMm);
  if (!pitches) return asked(`thread “${cell}”: no thread of a plug that is known`);
  const diameter: Stated = ['plug.threadDiameterMm', diameterMm];
  if (read?.[2] === undefined) return told(diameter);
  const pitchMm = Number(read[2].replace(',', '.'));
  return pitches.includes(pitchMm)
    ? told(diameter, ['plug.threadPitchMm', pitchMm])
    : asked(`thread “${cell}”: M${diameterMm} is cut ${pitches.join(' or ')} mm`);
}

/** A new plug has its gasket held on; that it is loose has to be said. */
function readSeat(cell: string): ToldRead {
  const isTaper = /taper|\bcon(?:e|ical)\b/i.test(cell);
  const isFlat = /flat|gasket|washer/i.test(cell);
  if (isTaper === isFlat) return asked(`seat “${cell}”: flat with a gasket, or a taper?`);
  const seat: Seat = isTaper ? 'taper' : /loose/i.test(cell) ? 'gasket-loose' : 'gasket-fixed';
  return told(['plug.seat', seat]);
}

const LONGEST_RATING = 8;
const readHeat = (cell: string): ToldRead =>
  cell.length > LONGEST_RATING
    ? asked(`heat rating “${cell}”: one rating of its maker is meant`)
    : // Whose scale it is on, its part tells.
      told(['plug.heat', { maker: '', code: cell }]);

function readElectrode(cell: string): ToldRead {
  const [material, another] = MATERIALS.filter((one) => cell.toLowerCase().includes(one));
  return material === undefined || another !== undefined
    ? asked(`centre electrode “${cell}”: ${MATERIALS.join(', ')}?`)
    : told(['plug.centreMaterial', material]);
}

function readResistor(cell: string): ToldRead {
  if (/^(?:yes|y|true|r|with|resistor)$/i.test(cell)) return told(['plug.resistor', { kind: 'present' }]);
  if (/^(?:no|n|none|false|without|0)$/i.test(cell)) return told(['plug.resistor', { kind: 'none' }]);
  const read = readQuantity(cell, 'plug-resistor', { as: 'specification', told: true });
  if (read.kind === 'read' && read.low === read.high)
    return told(['plug.resistor', { kind: 'value', kohm: read.low / 1000 }]);
  return asked(`resistor “${cell}”: yes, no, or one figure in kΩ`);
}

const READ: Readonly<Record<ToldUse, (cell: string) => ToldRead>> = {
  thread: readThread,
  seat: readSeat,
  heat: readHeat,
  electrode: readElectrode,
  resistor: readResistor,
};

/**
 * What a cell tells of a plug, as a catalogue records it (lengths in mm, resistance in kΩ), or the question why it is not
 * taken. `cell` is trimmed and not empty. Source: shop, A shop's own catalogue.
 */
export const readTold = (use: ToldUse, cell: string): ToldRead => READ[use](cell);
