import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Database } from '../db/database.ts';

export interface NumberRead {
  readonly partId: string;
  /** Read through look-alike characters. */
  readonly worn: boolean;
}

/** The part of a kind each number stands for: as written, or the only one a worn stamping can be. */
export async function readNumbers(
  db: Database,
  kind: PartKind,
  numbers: readonly string[],
): Promise<Map<string, NumberRead>> {
  const asked = [...new Set(numbers.filter((number) => normalForm(number) !== ''))];
  if (asked.length === 0) return new Map();
  const rows = await db
    .selectFrom('part_name')
    .innerJoin('part', 'part.id', 'part_name.part_id')
    .select(['part.id', 'part_name.normal_form', 'part_name.fold_key'])
    .where('part.kind', '=', kind)
    .where(
      'part_name.fold_key',
      'in',
      asked.map((one) => foldKey(one)),
    )
    .orderBy('part.id')
    .execute();
  const read = new Map<string, NumberRead>();
  for (const number of asked) {
    const exact = new Set(rows.filter((row) => row.normal_form === normalForm(number)).map(({ id }) => id));
    const worn = new Set(rows.filter((row) => row.fold_key === foldKey(number)).map(({ id }) => id));
    const [only] = exact.size > 0 ? exact : worn;
    if (only !== undefined && (exact.size === 1 || (exact.size === 0 && worn.size === 1)))
      read.set(number, { partId: only, worn: exact.size === 0 });
  }
  return read;
}
