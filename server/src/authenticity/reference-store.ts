import { sql } from 'kysely';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { ReferenceContent } from '@brackenfell/contract/proof-reference';
import type { Database, Writing } from '../db/database.ts';

export interface ReferenceRow {
  readonly id: string;
  readonly maker_id: string;
  readonly maker: string;
  readonly part_kind: PartKind;
  readonly generation: string;
  readonly version: number;
  readonly content: ReferenceContent;
  readonly by: string | null;
  readonly at: Date;
}

const COLUMNS = sql`r.id, r.maker_id, m.name as maker, r.part_kind, r.generation, r.version, r.content, s.name as by, r.at`;
const JOINS = sql`from proof_reference r join maker m on m.id = r.maker_id left join staff s on s.id = r.staff_id`;

/** References: the one an inspection is held against, or the latest version of each, of a part's maker and kind or of all. */
export const referencesOf = (
  of: { inspectionId: string } | { ofPart: string } | { makerId: string; partKind: string } | 'all',
) =>
  of !== 'all' && 'inspectionId' in of
    ? sql<ReferenceRow>`(
        select ${COLUMNS} ${JOINS} where r.id = (select reference_id from inspection where id = ${of.inspectionId}))`
    : sql<ReferenceRow>`(
        select distinct on (m.name, r.part_kind, r.generation) ${COLUMNS} ${JOINS}
         where ${
           of === 'all'
             ? sql`true`
             : 'ofPart' in of
               ? sql`(r.maker_id, r.part_kind) = (select maker_id, kind from part where id = ${of.ofPart})`
               : sql`r.maker_id = ${of.makerId} and r.part_kind = ${of.partKind}`
         }
         order by m.name, r.part_kind, r.generation, r.version desc)`;

export const readReferenceRows = async (
  db: Database,
  of: { ofPart: string } | { makerId: string; partKind: string } | 'all' = 'all',
): Promise<ReferenceRow[]> => (await referencesOf(of).execute(db)).rows;

/** One version of a reference, as an inspection was made with it. */
export async function findReference(db: Database, referenceId: string): Promise<ReferenceRow | undefined> {
  const { rows } = await sql<ReferenceRow>`select ${COLUMNS} ${JOINS} where r.id = ${referenceId}`.execute(db);
  return rows[0];
}

/** Adds a version; undefined where somebody else added the same one meanwhile, or there is no such maker. */
export async function addReference(
  trx: Writing,
  next: {
    makerId: string;
    partKind: PartKind;
    generation: string;
    version: number;
    content: ReferenceContent;
    staffId: string;
  },
): Promise<string | undefined> {
  const maker = await trx.selectFrom('maker').select('id').where('id', '=', next.makerId).executeTakeFirst();
  if (!maker) return undefined;
  const added = await trx
    .insertInto('proof_reference')
    .values({
      maker_id: next.makerId,
      part_kind: next.partKind,
      generation: next.generation,
      version: next.version,
      content: JSON.stringify(next.content),
      staff_id: next.staffId,
    })
    .onConflict((conflict) => conflict.doNothing())
    .returning('id')
    .executeTakeFirst();
  return added?.id;
}
