import type { Database } from '../db/database.ts';

/** Everything the ask line and the engine stage look through, as the catalogue stands. */
export const readIndexed = (db: Database) =>
  Promise.all([
    db.selectFrom('maker').selectAll().execute(),
    db.selectFrom('maker_grammar').selectAll().execute(),
    db.selectFrom('engine').selectAll().orderBy('visits', 'desc').orderBy('id').execute(),
    db
      .selectFrom('vehicle')
      .select(['id', 'engine_id', 'make', 'model', 'built_from', 'built_to'])
      .orderBy('built_from')
      .orderBy('id')
      .execute(),
    db
      .selectFrom('engine_position')
      .selectAll()
      .where('kind', '=', 'plug')
      .orderBy('cylinder')
      .orderBy('place')
      .execute(),
    db
      .selectFrom('named_number')
      .select(['engine_id', 'part_id', 'place'])
      .where('kind', '=', 'plug')
      .orderBy('part_id')
      .execute(),
  ]);
