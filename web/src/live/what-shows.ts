import type { Query, QueryKey } from '@tanstack/react-query';
import type { Slip } from '@brackenfell/contract/slip';
import type { Tidings } from '@brackenfell/contract/live';
import type { Topic } from '@brackenfell/contract/live-line';
import type { Tray } from '@brackenfell/contract/tray';

/** What is judged of an engine or a part, by the first word of its key. */
const JUDGED = ['tray', 'near misses', 'fills', 'part-engines', 'fitting plan', 'fitted set', 'set up', 'graph'];
const SLIPS = ['slips', 'waiting', 'hand-over'];
const NUMBERS = ['part', 'number', 'numbers', 'ask', 'scan', 'by dimension'];

/** What is shown of each topic, by the first word of a query's key. */
const SHOWS: Record<Topic, readonly string[]> = {
  shelf: [...JUDGED, ...SLIPS, ...NUMBERS, 'batches', 'batch', 'deliveries', 'sellers', 'audit', 'finding'],
  rules: [...JUDGED, ...SLIPS, 'house rules', 'heard'],
  catalogue: [
    ...JUDGED,
    ...SLIPS,
    ...NUMBERS,
    // Not the forms that a record is mended in: what was typed stands, and is laid beside what is held before it is written.
    ...['engine', 'engines', 'identify', 'makers', 'heard', 'audit', 'finding'],
  ],
  proof: [...SLIPS, 'inspections', 'inspection', 'references', 'tray', 'batch', 'batches'],
  garage: ['garage', 'hand-over', 'slips'],
  loans: ['loans', 'hand-over'],
  papers: ['hand-over', 'papers'],
  heard: ['heard'],
  practice: ['drill'],
  work: ['audit', 'finding', 'imports', 'instance'],
  people: ['people', 'staff', 'sessions', 'session'],
  tries: ['failed tries'],
  shop: ['shop', 'blades', 'instance'],
};

const isSlip = (data: unknown): data is Slip => typeof data === 'object' && data !== null && 'docket' in data;

/** Whether it shows one of these parts. What lists by other things than parts is asked anew for any. */
function showsPart(queryKey: QueryKey, data: unknown, parts: ReadonlySet<string>): boolean {
  if (data === undefined) return true;
  if (queryKey[0] === 'tray') return (data as Tray).rows.some(({ partId }) => parts.has(partId));
  if (queryKey[0] === 'slips' && isSlip(data)) return data.lines.some(({ partId }) => parts.has(partId));
  return queryKey[0] !== 'part' || parts.has(queryKey[1] as string);
}

/** A slip that is held as it stands, or as it stood later, is not asked for again. */
function isBehind(queryKey: QueryKey, data: unknown, told: Tidings['slips']): boolean {
  const [root, slipId] = queryKey;
  if (!SLIPS.includes(root as string)) return false;
  if (root === 'hand-over') return told.some((slip) => slip.slipId === slipId);
  if (root !== 'slips' || !isSlip(data)) return true;
  return told.some((slip) => slip.slipId === slipId && slip.version > data.version);
}

/** Whether what a query holds may no longer be so, going by the tidings. */
export function concerns(tidings: Tidings): (query: Pick<Query, 'queryKey' | 'state'>) => boolean {
  const roots = new Set<unknown>(tidings.topics.flatMap((topic) => SHOWS[topic]));
  const parts = new Set(tidings.parts);
  const ofShelf = new Set<unknown>(SHOWS.shelf);
  return ({ queryKey, state: { data } }) =>
    tidings.gap ||
    roots.has(queryKey[0]) ||
    (parts.size > 0 && ofShelf.has(queryKey[0]) && showsPart(queryKey, data, parts)) ||
    (tidings.slips.length > 0 && isBehind(queryKey, data, tidings.slips));
}
