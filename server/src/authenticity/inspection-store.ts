import { sql, type InferResult, type Insertable } from 'kysely';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { SettledRecord } from '@brackenfell/core/authenticity/prior';
import { partRowsOf } from '../catalogue/part-store.ts';
import type { Database, Writing } from '../db/database.ts';
import type { InspectionEntryTable } from '../db/tables/proof.ts';
import { readTogether } from '../db/together.ts';
import { asRecordedFigure, namesOf, recordedOf } from '../part/store.ts';
import { bearersAsAsked, bearersOf } from './bearer-store.ts';
import { referencesOf } from './reference-store.ts';

const inspectionOf = (db: Database, inspectionId: string) =>
  db
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
    .where('inspection.id', '=', inspectionId);

const journalOf = (db: Database, inspectionId: string) =>
  db
    .selectFrom('inspection_entry')
    .innerJoin('staff', 'staff.id', 'inspection_entry.staff_id')
    .selectAll('inspection_entry')
    .select('staff.name as by')
    .where('inspection_id', '=', inspectionId)
    .orderBy('inspection_entry.id');
export type JournalRow = InferResult<ReturnType<typeof journalOf>>[number];

/** The last conclusion of an inspection. */
const conclusionOf = (db: Database, inspectionId: string) =>
  db
    .selectFrom('inspection_conclusion')
    .innerJoin('staff', 'staff.id', 'inspection_conclusion.staff_id')
    .selectAll('inspection_conclusion')
    .select('staff.name as by')
    .where('inspection_id', '=', inspectionId)
    .orderBy('inspection_conclusion.id', 'desc')
    .limit(1);

/** An inspection as it was begun, what was noted and concluded since, and the packaging it is held against; in one reading. */
export async function findInspection(db: Database, inspectionId: string) {
  const { row, journal, conclusion, reference } = await readTogether(db, {
    row: inspectionOf(db, inspectionId),
    journal: journalOf(db, inspectionId),
    conclusion: conclusionOf(db, inspectionId),
    reference: referencesOf({ inspectionId }),
  });
  return row[0] && { row: row[0], journal, conclusion: conclusion[0], reference: reference[0] };
}

interface Settled {
  readonly settled: number;
  readonly fake: number;
}
/** A seller's settled batches but for the one in question: what was said of it before is no evidence about it. */
const settledOf = (sellerId: string | null, butBatch: string | null) => sql<Settled>`(
    select count(*) filter (where state in ('released', 'confirmed'))::int as settled,
           count(*) filter (where state = 'confirmed')::int as fake
      from batch where seller_id = ${sellerId} and id is distinct from ${butBatch})`;
const asRecord = ({ settled, fake }: Settled): SettledRecord => ({ settled, notGenuine: fake });

/** A seller's batches that a supervisor has settled, and how many of them were not genuine. */
export async function readRecord(db: Database, sellerId: string): Promise<SettledRecord> {
  const { rows } = await settledOf(sellerId, null).execute(db);
  return asRecord(rows[0]!);
}

export interface PapersOf {
  readonly partId: string;
  readonly sellerId: string | null;
  /** Prices paid for this batch are not held against it. */
  readonly batchId: string | null;
  readonly batchCode: string;
}

/** Where else a maker's batch code was met. */
const codeUsesOf = ({ partId, batchCode }: PapersOf) => sql<{ part_id: string; printed: string; seller_id: string }>`(
    select distinct b.part_id, n.printed, b.seller_id
      from batch b join part p on p.id = b.part_id join part mine on mine.id = ${partId} and mine.maker_id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind = 'catalogue'
     where b.code_normal = ${normalForm(batchCode)} and b.code_normal <> '' order by n.printed)`;

/** What the shop has paid for a part before, minor units. */
const pricesOf = (db: Database, { partId, batchId }: PapersOf) =>
  db
    .selectFrom('batch')
    .select('unit_cost_minor')
    .where('part_id', '=', partId)
    .where('unit_cost_minor', 'is not', null)
    .where('id', 'is distinct from', batchId)
    .orderBy('id', 'desc')
    .limit(200);

/** What else the shop has received that batch code and price of some pieces are held against. */
export interface Elsewhere {
  readonly otherNumbers: string[];
  /** Sellers over whose batches the code is spread, the one in question counted. */
  readonly sellers: number;
  readonly pricesMinor: number[];
}
function asElsewhere(
  { partId, sellerId, batchCode }: PapersOf,
  uses: readonly { part_id: string; printed: string; seller_id: string }[],
  prices: readonly { unit_cost_minor: number | null }[],
): Elsewhere {
  const isCoded = normalForm(batchCode) !== '';
  const sellers = new Set([...uses.map((use) => use.seller_id), ...(isCoded && sellerId !== null ? [sellerId] : [])]);
  return {
    otherNumbers: [...new Set(uses.filter((use) => use.part_id !== partId).map(({ printed }) => printed))],
    sellers: sellers.size,
    pricesMinor: prices.map(({ unit_cost_minor: paid }) => paid!),
  };
}

export async function readElsewhere(db: Database, of: PapersOf): Promise<Elsewhere> {
  const { uses, prices } = await readTogether(db, { uses: codeUsesOf(of), prices: pricesOf(db, of) });
  return asElsewhere(of, uses, prices);
}

/** What an inspection is judged from besides its own journal; in one reading. */
export async function readAround(
  db: Database,
  papers: PapersOf,
  { recordOf, numbers }: { recordOf: string | null; numbers: readonly string[] },
) {
  const { partId } = papers;
  const around = await readTogether(db, {
    part: partRowsOf(db, [partId]),
    maker: db.selectFrom('part').select('maker_id').where('id', '=', partId),
    names: namesOf(db, partId),
    recorded: recordedOf(db, partId),
    references: referencesOf({ ofPart: partId }),
    settled: settledOf(recordOf, papers.batchId),
    uses: codeUsesOf(papers),
    prices: pricesOf(db, papers),
    bearers: bearersOf(numbers),
  });
  return {
    part: around.part[0]!,
    makerId: around.maker[0]!.maker_id,
    names: around.names.map(({ printed }) => printed),
    recorded: around.recorded.map(asRecordedFigure),
    references: around.references,
    record: asRecord(around.settled[0]!),
    elsewhere: asElsewhere(papers, around.uses, around.prices),
    bearers: bearersAsAsked(numbers, around.bearers, false),
  };
}

/** Adds to a journal, and gives the whole of it with how long it was when the inspection was last concluded. */
export async function addEntries(
  trx: Writing,
  inspectionId: string,
  entries: readonly Omit<Insertable<InspectionEntryTable>, 'inspection_id'>[],
): Promise<{ journal: JournalRow[]; concludedLength: number | null }> {
  const rows = await trx
    .with('added', (db) =>
      db
        .insertInto('inspection_entry')
        .values(entries.map((entry) => ({ ...entry, inspection_id: inspectionId })))
        .returningAll(),
    )
    .with('whole', (db) =>
      db
        .selectFrom('inspection_entry')
        .selectAll()
        .where('inspection_id', '=', inspectionId)
        .unionAll(db.selectFrom('added').selectAll()),
    )
    .selectFrom('whole')
    .innerJoin('staff', 'staff.id', 'whole.staff_id')
    .selectAll('whole')
    .select([
      'staff.name as by',
      sql<number | null>`(select journal_length from inspection_conclusion c where c.inspection_id = ${inspectionId}
                           order by c.id desc limit 1)`.as('concluded_length'),
    ])
    .orderBy('whole.id')
    .execute();
  return { journal: rows, concludedLength: rows[0]?.concluded_length ?? null };
}
