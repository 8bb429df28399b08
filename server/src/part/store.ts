import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

export async function readNames(db: Database, partId: string) {
  return db.selectFrom('part_name').select(['kind', 'printed']).where('part_id', '=', partId).orderBy('id').execute();
}

/** References in and out of a part that nobody has rejected. */
export async function readReferences(db: Database, partId: string) {
  return db
    .selectFrom('reference')
    .select(['from_part_id', 'to_part_id', 'grade', 'source'])
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
