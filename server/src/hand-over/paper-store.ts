import type { PaperView } from '@brackenfell/contract/hand-over';
import type { Database, Writing } from '../db/database.ts';

/** What was printed of a slip, the latest first; without its bytes. */
export const readPapers = (db: Database, slipId: string) =>
  db
    .selectFrom('printed_paper')
    .innerJoin('staff', 'staff.id', 'printed_paper.staff_id')
    .select(['printed_paper.id', 'printed_paper.kind', 'printed_paper.size', 'printed_paper.at', 'staff.name as by'])
    .where('printed_paper.slip_id', '=', slipId)
    .orderBy('printed_paper.id', 'desc')
    .execute();

export const readPdf = (db: Database, paperId: string) =>
  db.selectFrom('printed_paper').select('pdf').where('id', '=', paperId).executeTakeFirst();

interface NewPaper {
  readonly slipId: string;
  readonly kind: PaperView['kind'];
  readonly size: PaperView['size'];
  readonly pdf: Buffer;
  readonly staffId: string;
}

/** Keeps a paper as it was printed: it is never altered, and printed again from here. */
export async function storePaper(trx: Writing, { slipId, kind, size, pdf, staffId }: NewPaper): Promise<string> {
  const { id } = await trx
    .insertInto('printed_paper')
    .values({ slip_id: slipId, kind, size, pdf, staff_id: staffId })
    .returning('id')
    .executeTakeFirstOrThrow();
  return id;
}
