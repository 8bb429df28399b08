import type { InspectionMatter, JournalEntry } from '@brackenfell/core/authenticity/inspection';
import type { Inspection } from './inspection.ts';

/** What core judges an inspection from; `pending` entries were made at this counter and are on their way to the server. */
export function matterOf(inspection: Inspection, pending: readonly JournalEntry[] = []): InspectionMatter {
  const { part, reference, decoded, channel, record, paper, pieces, batchSize, askedFor, catalogue, bearers, journal } =
    inspection;
  return {
    channel,
    record,
    paper,
    pieces,
    batchSize,
    askedFor,
    catalogue,
    bearers,
    tells: reference?.content.tells ?? [],
    part: { partId: part.partId, names: part.names },
    decoded: decoded?.figures ?? {},
    decodedAgainst: decoded?.against ?? [],
    journal: [...journal, ...pending],
  };
}
