import { sql } from 'kysely';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Database } from '../db/database.ts';

/** Rows of a list; a catalogue of thousands is narrowed by words. */
const MOST_LISTED = 60;

const literal = (text: string): string => text.replaceAll(/[\\%_]/g, '\\$&');

/** Engines whose own or whose vehicles' words hold every word asked, the counter's commonest first. */
export async function listEngineRows(db: Database, words: string | undefined) {
  const asked = (words ?? '').toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
  return db
    .selectFrom('engine')
    .innerJoin('maker', 'maker.id', 'engine.maker_id')
    .select(['engine.id', 'maker.name as maker', 'engine.code', 'engine.summary', 'engine.layout', 'engine.cautions'])
    .where((eb) =>
      eb.and(
        asked.map((word) =>
          eb.or([
            eb('engine.words', 'like', `%${literal(word)}%`),
            eb.exists(
              eb
                .selectFrom('vehicle')
                .select(sql`1`.as('one'))
                .whereRef('vehicle.engine_id', '=', 'engine.id')
                .where('vehicle.words', 'like', `%${literal(word)}%`),
            ),
          ]),
        ),
      ),
    )
    .orderBy('engine.visits', 'desc')
    .orderBy('engine.code')
    .limit(MOST_LISTED)
    .execute();
}

export async function countEngines(db: Database): Promise<number> {
  const { total } = await db
    .selectFrom('engine')
    .select((eb) => eb.fn.countAll<string>().as('total'))
    .executeTakeFirstOrThrow();
  return Number(total);
}

export async function findEngine(db: Database, engineId: string) {
  return db
    .selectFrom('engine')
    .innerJoin('maker', 'maker.id', 'engine.maker_id')
    .select([
      'engine.id',
      'maker.name as maker',
      'engine.code',
      'engine.summary',
      'engine.layout',
      'engine.cautions',
      'engine.plan',
      'engine.traits',
      'engine.notes',
      'engine.builds',
    ])
    .where('engine.id', '=', engineId)
    .executeTakeFirst();
}

/** Where an engine takes parts: of one kind, or of all. */
export async function listPositions(db: Database, engineIds: readonly string[], kinds: readonly PartKind[] = ['plug']) {
  if (engineIds.length === 0) return [];
  return db
    .selectFrom('engine_position')
    .select(['id', 'engine_id', 'kind', 'cylinder', 'place', 'label', 'build'])
    .where('engine_id', 'in', engineIds)
    .where('kind', 'in', kinds)
    .orderBy('cylinder')
    .orderBy('place')
    .orderBy('id')
    .execute();
}

export async function listVehicles(db: Database, engineIds: readonly string[]) {
  if (engineIds.length === 0) return [];
  return db
    .selectFrom('vehicle')
    .selectAll()
    .where('engine_id', 'in', engineIds)
    .orderBy('built_from')
    .orderBy('model')
    .execute();
}

/** Numbers the engine maker names for an engine's parts of some kinds. */
export async function listNamedNumbers(db: Database, engineId: string, kinds: readonly PartKind[] = ['plug']) {
  return db
    .selectFrom('named_number')
    .innerJoin('part_name', 'part_name.part_id', 'named_number.part_id')
    .select([
      'named_number.part_id',
      'named_number.kind',
      'named_number.place',
      'named_number.note',
      'part_name.printed',
    ])
    .where('named_number.engine_id', '=', engineId)
    .where('named_number.kind', 'in', kinds)
    .where('part_name.kind', 'in', ['oe', 'catalogue'])
    .orderBy('named_number.part_id')
    .execute();
}

/** The engine maker's own procedures, in its words: they stand above every house rule. */
export async function readProcedures(db: Database, engineId: string): Promise<string[]> {
  const row = await db.selectFrom('engine').select('notes').where('id', '=', engineId).executeTakeFirst();
  return (row?.notes ?? []).filter(({ about }) => about === 'procedure').map(({ says }) => says);
}
