import type { FactId } from '@brackenfell/core/facts/facts';
import type { PieceReading, ReadingHow } from '@brackenfell/core/slip/piece-readings';
import type { SlipChoice } from '@brackenfell/core/house-rules/settle-rules';
import type { Database, Writing } from '../db/database.ts';
import { readSlipChoices } from '../ruling/store.ts';

/** Readings that stand on a slip, in the order taken. */
export async function readReadings(db: Database, slipId: string) {
  return db
    .selectFrom('piece_reading')
    .innerJoin('staff', 'staff.id', 'piece_reading.staff_id')
    .select([
      'piece_reading.id',
      'piece_reading.part_id',
      'piece_reading.fact',
      'piece_reading.value',
      'piece_reading.how',
      'piece_reading.at',
      'staff.name as by',
    ])
    .where('piece_reading.slip_id', '=', slipId)
    .where('piece_reading.withdrawn_at', 'is', null)
    .orderBy('piece_reading.id')
    .execute();
}
export type ReadingRow = Awaited<ReturnType<typeof readReadings>>[number];

/** What was found of the pieces on a slip and of its vehicle, ready to be laid over what is on paper. */
export interface FoundHere {
  readonly ofVehicle: readonly PieceReading[];
  readonly ofPart: ReadonlyMap<string, readonly PieceReading[]>;
  /** House rules settled otherwise for this slip. */
  readonly ofRules: readonly SlipChoice[];
}

export async function readFound(db: Database, slipId: string): Promise<FoundHere> {
  const ofVehicle: PieceReading[] = [];
  const ofPart = new Map<string, PieceReading[]>();
  const [readings, ofRules] = await Promise.all([readReadings(db, slipId), readSlipChoices(db, slipId)]);
  for (const { part_id: partId, fact, value, how, by } of readings) {
    const reading = { fact, value: value as PieceReading['value'], how, by };
    if (partId === null) ofVehicle.push(reading);
    else ofPart.set(partId, [...(ofPart.get(partId) ?? []), reading]);
  }
  return { ofVehicle, ofPart, ofRules };
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
