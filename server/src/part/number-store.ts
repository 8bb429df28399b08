import { sql } from 'kysely';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { NUMBERS_A_PAGE } from '@brackenfell/contract/part';
import type { Database } from '../db/database.ts';
import type { PartNameTable, StoredKind } from '../db/tables/catalogue.ts';

interface Asked {
  readonly begins: string;
  readonly kind?: StoredKind | undefined;
  readonly maker?: string | undefined;
  readonly stocked?: 'yes' | undefined;
  readonly afterForm?: string | undefined;
  readonly afterId?: string | undefined;
}

interface NumberFound {
  readonly id: string;
  readonly normal_form: string;
  readonly part_id: string;
  readonly printed: string;
  readonly kind: PartNameTable['kind'];
  readonly maker: string;
  readonly part_kind: StoredKind;
  readonly on_hand: number | null;
  readonly each_minor: number | null;
}

/** After every number that begins with a prefix: no normal form has a letter beyond this. */
const LAST = '\uffff';

/** Numbers in the order of their normal form, one more than a page: walked along the index, so that a page deep down costs what the first does. */
export async function readNumbers(db: Database, { begins, kind, maker, stocked, afterForm, afterId }: Asked) {
  const prefix = normalForm(begins);
  const from = afterForm ?? prefix;
  const { rows } = await sql<NumberFound>`
    select n.id, n.normal_form, n.part_id, n.printed, n.kind, m.name as maker, p.kind as part_kind, s.on_hand, pr.each_minor
      from part_name n join part p on p.id = n.part_id join maker m on m.id = p.maker_id
      left join stock s on s.part_id = p.id left join price pr on pr.part_id = p.id
     where n.normal_form ~>=~ ${from} and n.normal_form ~<~ ${prefix + LAST}
       and (n.normal_form <> ${from} or n.id > ${afterId ?? '0'})
       and (${kind ?? null}::text is null or p.kind = ${kind ?? null})
       and (${maker ?? null}::text is null or p.maker_id = ${maker ?? null})
       and (${stocked ?? null}::text is null or s.on_hand > 0)
     order by n.normal_form using ~<~, n.id
     limit ${NUMBERS_A_PAGE + 1}`.execute(db);
  return rows;
}

export const readMakers = (db: Database) =>
  db.selectFrom('maker').select(['id as makerId', 'name']).orderBy('name').limit(500).execute();
