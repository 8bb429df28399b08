import type { RecordKind, RecordLine } from '@brackenfell/contract/record';
import type { Database } from '../db/database.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { findMaker, findParts, partKey } from './store.ts';

/** Why a line cannot stand as this record; what it says of itself is the contract’s to check. */
export async function amissIn(
  db: Database,
  kind: RecordKind,
  key: string,
  before: RecordLine | undefined,
  line: RecordLine,
): Promise<Trouble | undefined> {
  const own = line.line === 'engine' ? line.id : line.line === 'heat-scale' ? line.maker : line.grammar.maker;
  if (line.line !== kind || own !== key)
    return trouble('invalid-request', 'It is of something else than what is mended.', { line: 'is of something else' });
  const makerKey = line.line === 'engine' ? line.maker : key;
  if (!(await findMaker(db, makerKey)))
    return trouble('invalid-request', `No maker of this catalogue has the key “${makerKey}”.`, {
      'line.maker': 'is no maker’s key',
    });
  if (line.line === 'numbering') return ofSigns(before, line.grammar.significant);
  if (line.line !== 'engine') return undefined;
  const parts = await findParts(
    db,
    line.named.map(({ part }) => part),
  );
  const strange = line.named.findIndex(({ part }) => !parts.has(partKey(part)));
  if (strange < 0) return undefined;
  const { maker, number } = line.named[strange]!.part;
  return trouble('invalid-request', `${maker} ${number} is no number of this catalogue.`, {
    [`line.named.${strange}.part.number`]: 'is no number of this catalogue',
  });
}

/** Numbers are kept as they were read by the signs that counted then. */
function ofSigns(before: RecordLine | undefined, significant: string): Trouble | undefined {
  const held = before?.line === 'numbering' ? before.grammar.significant : '';
  return held === significant
    ? undefined
    : trouble('not-allowed-now', 'Which signs count stays as it is: every number of the maker is kept by them.', {
        'line.grammar.significant': `stays “${held}”`,
      });
}
