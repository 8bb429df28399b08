import { sql } from 'kysely';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { neighbourKeys } from '@brackenfell/core/part-numbers/one-edit';
import { copyRows } from '../db/copy-rows.ts';
import type { Database, Writing } from '../db/database.ts';
import type { PartNameTable } from '../db/tables/catalogue.ts';

/** A name of a part, with the maker by whose signs it is read. */
export interface NewName {
  readonly partId: string;
  readonly maker: { readonly id: string; readonly significant: string };
  readonly kind: PartNameTable['kind'];
  readonly printed: string;
}

/** Names with the neighbourhoods they are found by; gives their ids. */
export async function addNames(trx: Writing, names: readonly NewName[]): Promise<readonly string[]> {
  if (names.length === 0) return [];
  const folded = names.map(({ printed, maker }) => foldKey(printed, maker.significant));
  const insert = sql<{ id: string; fold_key: string }>`
    insert into part_name (part_id, maker_id, kind, printed, normal_form, fold_key)
    select * from unnest(${names.map(({ partId }) => partId)}::bigint[], ${names.map(({ maker }) => maker.id)}::text[],
                         ${names.map(({ kind }) => kind)}::text[], ${names.map(({ printed }) => printed)}::text[],
                         ${names.map(({ printed, maker }) => normalForm(printed, maker.significant))}::text[], ${folded}::text[])
    returning id, fold_key`.execute(trx);
  // While the database writes the names.
  const keysOf = new Map(folded.map((key) => [key, neighbourKeys(key)]));
  const { rows } = await insert;
  // In the order of their index, which is the larger the more names there are.
  const neighbours = rows
    .flatMap(({ id, fold_key }) => keysOf.get(fold_key)!.map((hash) => [hash, id] as const))
    .sort(([a], [b]) => a - b);
  await copyRows(trx, 'name_neighbour', ['hash', 'name_id'], neighbours);
  return rows.map(({ id }) => id);
}

export async function removeName(trx: Writing, nameId: string): Promise<void> {
  await trx.deleteFrom('name_neighbour').where('name_id', '=', nameId).execute();
  await trx.deleteFrom('part_name').where('id', '=', nameId).execute();
}

/** Every name of a part, the number it is called by first. */
export const readNames = (db: Database, partId: string) =>
  db.selectFrom('part_name').select(['id', 'kind', 'printed']).where('part_id', '=', partId).orderBy('id').execute();

/** The maker of a part, with the signs that count in its numbers. */
export async function readMakerOf(db: Database, partId: string): Promise<NewName['maker']> {
  const { rows } = await sql<NewName['maker']>`
    select p.maker_id as id, coalesce(g.grammar ->> 'significant', '') as significant
      from part p left join maker_grammar g on g.maker_id = p.maker_id where p.id = ${partId}`.execute(db);
  return rows[0]!;
}
