import { createHash } from 'node:crypto';
import { stable } from '@brackenfell/core/words/stable';
import type { CatalogueRecord, RecordKind, RecordLine } from '@brackenfell/contract/record';
import type { Database } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { sayDifferences } from './preview.ts';
import { findMaker, readEntries, readLine, type RecordEntry } from './store.ts';

/** Of which state a record is. */
export const printOf = (line: RecordLine | undefined): string =>
  line ? createHash('sha256').update(stable(line)).digest('hex').slice(0, 32) : 'none';

export const canUndo = (entry: RecordEntry, line: RecordLine | undefined): boolean =>
  stable(entry.after ?? null) === stable(line ?? null);

const TITLES: Readonly<Record<RecordKind, string>> = {
  engine: 'Engine',
  'heat-scale': 'Heat scale of',
  numbering: 'Numbering of',
};

/** A record as it stands, with what was changed of it by hand. */
export async function showRecord(db: Database, kind: RecordKind, key: string): Promise<CatalogueRecord | Trouble> {
  const line = await readLine(db, kind, key);
  const maker = await findMaker(db, line?.line === 'engine' ? line.maker : key);
  if (kind !== 'engine' && !maker) return trouble('not-found', 'No maker of this catalogue has that key.');
  const name = kind !== 'engine' ? maker!.name : line?.line === 'engine' ? `${maker?.name ?? ''} ${line.code}` : key;
  const entries = await readEntries(db, kind, key);
  return {
    kind,
    key,
    title: `${TITLES[kind]} ${name}`,
    line: line ?? null,
    seen: printOf(line),
    history: entries.map((entry, i) => ({
      entryId: entry.id,
      at: entry.at.toISOString(),
      by: entry.by,
      says: sayDifferences(entry.before ?? undefined, entry.after ?? undefined),
      canUndo: i === 0 && canUndo(entry, line),
    })),
  };
}
