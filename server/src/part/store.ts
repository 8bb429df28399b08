import { sql, type InferResult } from 'kysely';
import { asDecoded, type RecordedFigure } from '@brackenfell/core/part-numbers/grammar';
import type { Database } from '../db/database.ts';

/** Every name of a part, as printed. */
export const namesOf = (db: Database, partId: string) =>
  db.selectFrom('part_name').select(['kind', 'printed']).where('part_id', '=', partId).orderBy('id');

/** References in and out of a part that nobody has rejected. */
export async function readReferences(db: Database, partId: string) {
  return db
    .selectFrom('reference')
    .select(['from_part_id', 'to_part_id', 'grade', 'source', 'noted_on', 'note', 'in_force_from'])
    .where('rejected_at', 'is', null)
    .where((eb) => eb.or([eb('from_part_id', '=', partId), eb('to_part_id', '=', partId)]))
    .orderBy('id')
    .limit(200)
    .execute();
}

/** Engines that name the part, and those for which a maker lists it with whose list that is. */
export async function readEnginesOf(db: Database, partId: string) {
  const named = db
    .selectFrom('named_number')
    .innerJoin('engine', 'engine.id', 'named_number.engine_id')
    .innerJoin('maker', 'maker.id', 'engine.maker_id')
    .select(['engine.id', 'maker.name as maker', 'engine.code', sql<string | null>`null::text`.as('listed_by')])
    .where('named_number.part_id', '=', partId);
  const listed = db
    .selectFrom('listing')
    .innerJoin('engine', 'engine.id', 'listing.engine_id')
    .innerJoin('maker', 'maker.id', 'engine.maker_id')
    .select(['engine.id', 'maker.name as maker', 'engine.code', 'listing.source as listed_by'])
    .where('listing.part_id', '=', partId);
  return named.unionAll(listed).execute();
}

export async function readMakerId(db: Database, partId: string): Promise<string> {
  const { maker_id } = await db
    .selectFrom('part')
    .select('maker_id')
    .where('id', '=', partId)
    .executeTakeFirstOrThrow();
  return maker_id;
}

/** The figures of a part that stand, from every source, to hold its number against. */
export const recordedOf = (db: Database, partId: string) =>
  db
    .selectFrom('chosen_figure')
    .innerJoin('figure', 'figure.id', 'chosen_figure.figure_id')
    .select(['figure.attribute', 'figure.value', 'figure.source_name'])
    .where('chosen_figure.part_id', '=', partId)
    .orderBy('figure.id');

export const asRecordedFigure = (row: InferResult<ReturnType<typeof recordedOf>>[number]): RecordedFigure => ({
  fact: row.attribute,
  source: row.source_name,
  ...asDecoded(row.value),
});
