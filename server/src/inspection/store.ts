import { sql, type Insertable } from 'kysely';
import type { Band } from '@brackenfell/core/authenticity/judge-piece';
import type { Database, Writing } from '../db/database.ts';
import type { InspectionConclusionTable, InspectionTable } from '../db/tables/proof.ts';

export async function addInspection(trx: Writing, values: Insertable<InspectionTable>): Promise<string> {
  const { id } = await trx.insertInto('inspection').values(values).returning('id').executeTakeFirstOrThrow();
  return id;
}

/** One person after another concludes an inspection: two at once would both make a batch of it. */
export const lockInspection = (trx: Writing, inspectionId: string) =>
  trx.selectFrom('inspection').select('id').where('id', '=', inspectionId).forUpdate().execute();

export async function addConclusion(trx: Writing, values: Insertable<InspectionConclusionTable>): Promise<void> {
  await trx.insertInto('inspection_conclusion').values(values).execute();
}

export async function setInspectionBatch(trx: Writing, inspectionId: string, batchId: string): Promise<void> {
  await trx.updateTable('inspection').set({ batch_id: batchId }).where('id', '=', inspectionId).execute();
}

const MOST_LISTED = 60;

export interface InspectionListRow {
  readonly id: string;
  readonly printed: string;
  readonly maker: string;
  readonly seller: string | null;
  readonly pieces: number;
  readonly band: Band | null;
  readonly chance: number | null;
  readonly at: Date;
  readonly by: string;
  readonly slip_line_id: string | null;
}

/** Inspections, the latest first, by the slip, line or batch they belong to. */
interface InspectionsOf {
  readonly slipId?: string | undefined;
  readonly batchId?: string;
  readonly lineIds?: readonly string[];
}

/** The latest inspections, of a slip, a batch or some lines where asked. */
export function inspectionsOf(of: InspectionsOf = {}) {
  const where =
    of.batchId !== undefined
      ? sql`i.batch_id = ${of.batchId}`
      : of.lineIds !== undefined
        ? sql`i.slip_line_id = any(${of.lineIds}::bigint[])`
        : of.slipId !== undefined
          ? sql`i.slip_line_id in (select id from slip_line where slip_id = ${of.slipId})`
          : sql`true`;
  return sql<InspectionListRow>`(
    select i.id, n.printed, m.name as maker, s.name as seller, i.pieces, c.band, c.chance, i.at, w.name as by, i.slip_line_id
      from inspection i
      join part p on p.id = i.part_id
      join maker m on m.id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind in ('catalogue', 'oe')
      join staff w on w.id = i.staff_id
      left join seller s on s.id = i.seller_id
      left join lateral (select band, chance from inspection_conclusion c where c.inspection_id = i.id order by c.id desc limit 1) c on true
     where ${where} order by i.id desc limit ${MOST_LISTED})`;
}

export const listInspectionRows = async (db: Database, of: InspectionsOf = {}): Promise<InspectionListRow[]> =>
  (await inspectionsOf(of).execute(db)).rows;
