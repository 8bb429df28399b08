import type { Inspection } from '@brackenfell/contract/inspection';
import { matterOf } from '@brackenfell/contract/inspection-matter';
import { judgeInspection } from '@brackenfell/core/authenticity/inspection';
import type { Till } from '../faults/till.ts';
import { medianMs, type Series } from './series.ts';

const PIECES = [4, 12, 36, 100];

/** An inspection of more and more pieces, every sign of each answered, judged anew as at each answer. */
export async function ofInspections(till: Till, partId: string): Promise<readonly Series[]> {
  const begun = await till.send('POST', '/api/inspections', { partId, channel: 'marketplace', pieces: 4 });
  if (begun.status !== 201) throw new Error(`${begun.status} ${JSON.stringify(begun.body)}`);
  const matter = matterOf(begun.body as unknown as Inspection);
  const told = { value: null, device: null, at: new Date().toISOString(), by: 'Wren' };
  const points: { count: number; ms: number }[] = [];
  for (const count of PIECES) {
    const journal = Array.from({ length: count }, (_, i) =>
      matter.tells
        .filter(({ measure }) => !measure)
        .map(({ id }) => ({ ...told, what: 'tell' as const, subject: id, piece: i + 1, answer: 'genuine-like' })),
    ).flat();
    const grown = { ...matter, pieces: count, journal };
    points.push({ count, ms: await medianMs(30, () => Promise.resolve(judgeInspection(grown))) });
  }
  return [{ what: 'inspection judged', of: 'pieces', points }];
}
