import type { Till } from '../faults/till.ts';
import { bringList } from '../tills/beside.ts';
import type { Series } from './series.ts';

const ROWS = [500, 2000, 8000, 32_000];

/** A supplier's list of more and more new plugs: read and sorted, then written. */
export async function ofLists(editor: Till): Promise<readonly Series[]> {
  const sorted: { count: number; ms: number }[] = [];
  const written: { count: number; ms: number }[] = [];
  for (const count of ROWS) {
    const took = await bringList(editor, `G${count}`, count, () => true);
    sorted.push({ count, ms: took.sortedMs });
    written.push({ count, ms: took.writtenMs });
  }
  return [
    { what: 'list read and sorted', of: 'rows', points: sorted },
    { what: 'list written', of: 'rows', points: written },
  ];
}
