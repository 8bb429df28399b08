import { sql } from 'kysely';
import type { Sale } from '@brackenfell/contract/quarantine';
import type { Database, Writing } from '../db/database.ts';
import { salesOf } from '../stock/sales-store.ts';

export interface SaleRow {
  readonly slip_id: string;
  readonly docket: number;
  readonly line_id: string;
  readonly customer: string;
  readonly vehicle: string;
  readonly quantity: number;
  readonly at: Date;
  readonly named: boolean;
}

/** Who bought of a batch. */
export async function readSales(db: Database, batchId: string): Promise<SaleRow[]> {
  const { rows } = await sql<SaleRow>`
    select s.id as slip_id, s.docket, l.id as line_id, s.customer, s.vehicle, sale.quantity, sale.at, sale.named
      from (${salesOf(sql`${batchId}`)}) sale join slip_line l on l.id = sale.slip_line_id join slip s on s.id = l.slip_id
     order by sale.at, l.id`.execute(db);
  return rows;
}

export async function readContacts(db: Database, batchId: string) {
  return db
    .selectFrom('recall_contact')
    .innerJoin('staff', 'staff.id', 'recall_contact.staff_id')
    .selectAll('recall_contact')
    .select('staff.name as by')
    .where('batch_id', '=', batchId)
    .orderBy('recall_contact.id')
    .execute();
}

export async function addContact(
  trx: Writing,
  contact: {
    batchId: string;
    lineId: string;
    outcome: Sale['contacts'][number]['outcome'];
    note: string;
    staffId: string;
  },
): Promise<void> {
  await trx
    .insertInto('recall_contact')
    .values({
      batch_id: contact.batchId,
      slip_line_id: contact.lineId,
      outcome: contact.outcome,
      note: contact.note,
      staff_id: contact.staffId,
    })
    .execute();
}

export async function addNotice(
  trx: Writing,
  notice: { partId: string; code: string; codeNormal: string; from: string; says: string; staffId: string },
): Promise<string> {
  const { id } = await trx
    .insertInto('recall_notice')
    .values({
      part_id: notice.partId,
      code: notice.code,
      code_normal: notice.codeNormal,
      from_whom: notice.from,
      says: notice.says,
      staff_id: notice.staffId,
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}

export interface NoticeRow {
  readonly id: string;
  readonly printed: string;
  readonly maker: string;
  readonly code: string;
  readonly from_whom: string;
  readonly says: string;
  readonly at: Date;
  readonly by: string;
  readonly batches: number;
}

export async function readNotices(db: Database): Promise<NoticeRow[]> {
  const { rows } = await sql<NoticeRow>`
    select r.id, n.printed, m.name as maker, r.code, r.from_whom, r.says, r.at, w.name as by,
           (select count(*) from batch b where b.part_id = r.part_id and b.code_normal = r.code_normal)::int as batches
      from recall_notice r join part p on p.id = r.part_id join maker m on m.id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind in ('catalogue', 'oe') join staff w on w.id = r.staff_id
     order by r.id desc limit 50`.execute(db);
  return rows;
}

/** Batches of a part under a code that could still be sold, as written or through worn characters of the notice. */
export async function findByCode(db: Database, partId: string, codeNormal: string) {
  return db
    .selectFrom('batch')
    .select(['id', 'version', 'state'])
    .where('part_id', '=', partId)
    .where('code_normal', '=', codeNormal)
    .where('state', 'in', ['open', 'released'])
    .orderBy('id')
    .execute();
}

export async function findNotice(db: Database, partId: string, codeNormal: string) {
  if (codeNormal === '') return undefined;
  return db
    .selectFrom('recall_notice')
    .selectAll()
    .where('part_id', '=', partId)
    .where('code_normal', '=', codeNormal)
    .orderBy('id', 'desc')
    .limit(1)
    .executeTakeFirst();
}
