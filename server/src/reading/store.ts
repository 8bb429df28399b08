import { sql, type InferResult } from 'kysely';
import type { FactId, FactSheet } from '@brackenfell/core/facts/facts';
import type { PieceReading, ReadingHow } from '@brackenfell/core/slip/piece-readings';
import type { SlipChoice } from '@brackenfell/core/house-rules/settle-rules';
import type { Database, Writing } from '../db/database.ts';
import { readTogether } from '../db/together.ts';
import { slipChoicesOf, standingChoices, type SlipChoiceRow } from '../ruling/store.ts';

/** Readings that stand on a slip, in the order taken; before them what was found on its vehicle on earlier slips, of that very engine. */
export const readingsOf = (db: Database, slipId: string) =>
  db
    .selectFrom('piece_reading')
    .innerJoin('staff', 'staff.id', 'piece_reading.staff_id')
    .select([
      'piece_reading.id',
      'piece_reading.part_id',
      'piece_reading.fact',
      'piece_reading.value',
      'piece_reading.how',
      'piece_reading.at',
      // Who found it, and on which slip where it was another.
      sql<string>`staff.name || case when piece_reading.slip_id = ${slipId} then ''
        else (select ', slip ' || lpad(docket::text, 5, '0') from slip where id = piece_reading.slip_id) end`.as('by'),
    ])
    .where((eb) =>
      eb.or([
        eb('piece_reading.slip_id', '=', slipId),
        eb.and([
          eb('piece_reading.part_id', 'is', null),
          eb(
            'piece_reading.slip_id',
            'in',
            eb
              .selectFrom('slip as here')
              .innerJoin('slip as earlier', (join) =>
                join
                  .onRef('earlier.garage_vehicle_id', '=', 'here.garage_vehicle_id')
                  .onRef('earlier.engine_id', '=', 'here.engine_id')
                  .onRef('earlier.id', '<', 'here.id'),
              )
              .select('earlier.id')
              .where('here.id', '=', slipId),
          ),
        ]),
      ]),
    )
    .where('piece_reading.withdrawn_at', 'is', null)
    .orderBy('piece_reading.id');
export type ReadingRow = InferResult<ReturnType<typeof readingsOf>>[number];

/** What was found of the pieces on a slip and of its vehicle, ready to be laid over what is on paper. */
export interface FoundHere {
  /** Sheets as they would be after a change that is only thought of, in place of the catalogue's. */
  readonly asIf?: ReadonlyMap<string, FactSheet>;
  readonly ofVehicle: readonly PieceReading[];
  readonly ofPart: ReadonlyMap<string, readonly PieceReading[]>;
  /** House rules settled otherwise for this slip. */
  readonly ofRules: readonly SlipChoice[];
}

/** What is read for it, to be read together with what else is wanted. */
export const foundOf = (db: Database, slipId: string) => ({
  readings: readingsOf(db, slipId),
  choices: slipChoicesOf(slipId),
});

export const readFound = async (db: Database, slipId: string): Promise<FoundHere> =>
  layFound(await readTogether(db, foundOf(db, slipId)));

export function layFound({
  readings,
  choices,
}: {
  readonly readings: readonly ReadingRow[];
  readonly choices: readonly SlipChoiceRow[];
}): FoundHere {
  const ofVehicle: PieceReading[] = [];
  const ofPart = new Map<string, PieceReading[]>();
  for (const { part_id: partId, fact, value, how, by } of readings) {
    const reading = { fact, value: value as PieceReading['value'], how, by };
    if (partId === null) ofVehicle.push(reading);
    else ofPart.set(partId, [...(ofPart.get(partId) ?? []), reading]);
  }
  return { ofVehicle, ofPart, ofRules: standingChoices(choices) };
}

export async function storeReading(
  trx: Writing,
  reading: {
    slipId: string;
    partId: string | null;
    fact: FactId;
    value: PieceReading['value'];
    how: ReadingHow;
    device: string | null;
    staffId: string;
  },
): Promise<string> {
  const { id } = await trx
    .insertInto('piece_reading')
    .values({
      slip_id: reading.slipId,
      part_id: reading.partId,
      fact: reading.fact,
      value: JSON.stringify(reading.value),
      how: reading.how,
      device: reading.device,
      staff_id: reading.staffId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

/** Takes a reading back; the row is kept. False where none stands. */
export async function withdraw(trx: Writing, slipId: string, readingId: string): Promise<boolean> {
  const gone = await trx
    .updateTable('piece_reading')
    .set({ withdrawn_at: new Date() })
    .where('id', '=', readingId)
    .where('slip_id', '=', slipId)
    .where('withdrawn_at', 'is', null)
    .returning('id')
    .executeTakeFirst();
  return gone !== undefined;
}
