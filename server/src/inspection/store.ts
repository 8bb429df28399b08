import { sql, type Insertable } from 'kysely';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { Band } from '@brackenfell/core/authenticity/judge-piece';
import type { SettledRecord } from '@brackenfell/core/authenticity/prior';
import type { Database, Writing } from '../db/database.ts';
import type { StoredKind } from '../db/tables/catalogue.ts';
import type { InspectionConclusionTable, InspectionEntryTable, InspectionTable } from '../db/tables/proof.ts';

export async function findInspection(db: Database, inspectionId: string) {
  return db
    .selectFrom('inspection')
    .innerJoin('staff', 'staff.id', 'inspection.staff_id')
    .leftJoin('seller', 'seller.id', 'inspection.seller_id')
    .leftJoin('batch', 'batch.id', 'inspection.batch_id')
    .leftJoin('seller as batch_seller', 'batch_seller.id', 'batch.seller_id')
    .leftJoin('slip_line', 'slip_line.id', 'inspection.slip_line_id')
    .leftJoin('slip', 'slip.id', 'slip_line.slip_id')
    .selectAll('inspection')
    .select([
      'staff.name as by',
      'seller.name as seller_name',
      'batch.code as code',
      'batch.state as batch_state',
      'batch.unit_cost_minor',
      'batch_seller.name as batch_seller_name',
      'slip.id as slip_id',
      'slip.docket',
    ])
    .where('inspection.id', '=', inspectionId)
    .executeTakeFirst();
}
export type InspectionRow = NonNullable<Awaited<ReturnType<typeof findInspection>>>;

export async function readJournal(db: Database, inspectionId: string) {
  return db
    .selectFrom('inspection_entry')
    .innerJoin('staff', 'staff.id', 'inspection_entry.staff_id')
    .selectAll('inspection_entry')
    .select('staff.name as by')
    .where('inspection_id', '=', inspectionId)
    .orderBy('inspection_entry.id')
    .execute();
}

export async function readConclusion(db: Database, inspectionId: string) {
  return db
    .selectFrom('inspection_conclusion')
    .innerJoin('staff', 'staff.id', 'inspection_conclusion.staff_id')
    .selectAll('inspection_conclusion')
    .select('staff.name as by')
    .where('inspection_id', '=', inspectionId)
    .orderBy('inspection_conclusion.id', 'desc')
    .limit(1)
    .executeTakeFirst();
}

/**
 * A seller's batches that a supervisor has settled, and how many of them were not genuine. The batch in question is left
 * out: what was said of it before is no evidence about it.
 */
export async function readRecord(
  db: Database,
  sellerId: string | null,
  butBatch: string | null = null,
): Promise<SettledRecord> {
  if (sellerId === null) return { settled: 0, notGenuine: 0 };
  const { rows } = await sql<{ settled: string; fake: string }>`
    select count(*) filter (where state in ('released', 'confirmed')) as settled,
           count(*) filter (where state = 'confirmed') as fake
      from batch where seller_id = ${sellerId} and id is distinct from ${butBatch}`.execute(db);
  return { settled: Number(rows[0]!.settled), notGenuine: Number(rows[0]!.fake) };
}

/** Where else a maker's batch code was met: numbers other than this, and over how many sellers. */
export async function readCodeUses(
  db: Database,
  { partId, code, sellerId }: { partId: string; code: string; sellerId: string | null },
): Promise<{ otherNumbers: string[]; sellers: number }> {
  if (normalForm(code) === '') return { otherNumbers: [], sellers: 0 };
  const { rows } = await sql<{ part_id: string; printed: string; seller_id: string }>`
    select distinct b.part_id, n.printed, b.seller_id
      from batch b join part p on p.id = b.part_id join part mine on mine.id = ${partId} and mine.maker_id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind = 'catalogue'
     where b.code_normal = ${normalForm(code)} order by n.printed`.execute(db);
  const sellers = new Set([...rows.map((row) => row.seller_id), ...(sellerId === null ? [] : [sellerId])]);
  return {
    otherNumbers: [...new Set(rows.filter((row) => row.part_id !== partId).map(({ printed }) => printed))],
    sellers: sellers.size,
  };
}

/** What the shop has paid for a part before, minor units, but for one batch. */
export async function readUsualPrices(db: Database, partId: string, butBatch: string | null): Promise<number[]> {
  const rows = await db
    .selectFrom('batch')
    .select('unit_cost_minor')
    .where('part_id', '=', partId)
    .where('unit_cost_minor', 'is not', null)
    .where('id', 'is distinct from', butBatch)
    .orderBy('id', 'desc')
    .limit(200)
    .execute();
  return rows.map((row) => row.unit_cost_minor!);
}

export interface BearerRow {
  readonly id: string;
  readonly printed: string;
  readonly maker: string;
  readonly kind: StoredKind;
  readonly revision: string | null;
  readonly asked: string;
  readonly worn: boolean;
}

/** Parts that bear each number as written; with `worn`, those it can be read as where none does. */
export async function readBearers(db: Database, numbers: readonly string[], worn = false): Promise<BearerRow[]> {
  const asked = [...new Set(numbers)].filter((number) => normalForm(number) !== '');
  if (asked.length === 0) return [];
  const { rows } = await sql<Omit<BearerRow, 'worn'> & { exact: boolean }>`
    select distinct p.id, c.printed, m.name as maker, p.kind, a.asked, n.normal_form = a.normal as exact,
           (select f.value #>> '{}' from chosen_figure h join figure f on f.id = h.figure_id
             where h.part_id = p.id and h.rules and f.attribute = 'coil.revision' limit 1) as revision
      from unnest(${asked}::text[], ${asked.map((n) => normalForm(n))}::text[], ${asked.map((one) => foldKey(one))}::text[]) as a (asked, normal, fold)
      join part_name n on n.fold_key = a.fold
      join part p on p.id = n.part_id
      join maker m on m.id = p.maker_id
      join part_name c on c.part_id = p.id and c.kind in ('catalogue', 'oe')
     order by p.id`.execute(db);
  return asked.flatMap((number) => {
    const found = rows.filter((row) => row.asked === number);
    const exact = found.filter((row) => row.exact);
    return exact.length > 0 || !worn
      ? exact.map((row) => ({ ...row, worn: false }))
      : [...new Map(found.map((row) => [row.id, { ...row, worn: true }])).values()];
  });
}

export async function addInspection(trx: Writing, values: Insertable<InspectionTable>): Promise<string> {
  const { id } = await trx.insertInto('inspection').values(values).returning('id').executeTakeFirstOrThrow();
  return id;
}

/** One person after another concludes an inspection: two at once would both make a batch of it. */
export const lockInspection = (trx: Writing, inspectionId: string) =>
  trx.selectFrom('inspection').select('id').where('id', '=', inspectionId).forUpdate().execute();

export async function addEntries(trx: Writing, entries: readonly Insertable<InspectionEntryTable>[]): Promise<void> {
  await trx
    .insertInto('inspection_entry')
    .values([...entries])
    .execute();
}

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
