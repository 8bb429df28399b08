import { sql } from 'kysely';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { Database } from '../db/database.ts';
import type { StoredKind } from '../db/tables/catalogue.ts';

/** A part that bears a number: as it was asked for, or as it can be read where the stamping is `worn`. */
export interface BearerRow {
  readonly id: string;
  readonly printed: string;
  readonly maker: string;
  readonly kind: StoredKind;
  readonly revision: string | null;
  readonly asked: string;
  readonly worn: boolean;
}

type FoundBearer = Omit<BearerRow, 'worn'> & { readonly exact: boolean };
const askedNumbers = (numbers: readonly string[]): string[] =>
  [...new Set(numbers)].filter((number) => normalForm(number) !== '');

/** Parts that bear any of the numbers, as written or as they can be read; a selection, to be read alone or with others. */
export const bearersOf = (numbers: readonly string[]) => {
  const asked = askedNumbers(numbers);
  return sql<FoundBearer>`(
    select distinct p.id, c.printed, m.name as maker, p.kind, a.asked, n.normal_form = a.normal as exact,
           (select f.value #>> '{}' from chosen_figure h join figure f on f.id = h.figure_id
             where h.part_id = p.id and h.rules and f.attribute = 'coil.revision' limit 1) as revision
      from unnest(${asked}::text[], ${asked.map((n) => normalForm(n))}::text[], ${asked.map((one) => foldKey(one))}::text[]) as a (asked, normal, fold)
      join part_name n on n.fold_key = a.fold
      join part p on p.id = n.part_id
      join maker m on m.id = p.maker_id
      join part_name c on c.part_id = p.id and c.kind in ('catalogue', 'oe')
     order by p.id)`;
};

/** What was found, number by number: as written; with `worn`, as it can be read where none bears it as written. */
export function bearersAsAsked(numbers: readonly string[], rows: readonly FoundBearer[], worn: boolean): BearerRow[] {
  return askedNumbers(numbers).flatMap((number) => {
    const found = rows.filter((row) => row.asked === number);
    const exact = found.filter((row) => row.exact);
    return exact.length > 0 || !worn
      ? exact.map((row) => ({ ...row, worn: false }))
      : [...new Map(found.map((row) => [row.id, { ...row, worn: true }])).values()];
  });
}

/** Parts that bear a number as written, or those it can be read as where none does. */
export async function readBearers(db: Database, number: string): Promise<BearerRow[]> {
  return bearersAsAsked([number], (await bearersOf([number]).execute(db)).rows, true);
}
