import type { Writing } from '../db/database.ts';

/** Who changed what, when, and what it was before: written in the transaction that makes the change. */
export async function recordChange(
  trx: Writing,
  change: { staffId: string; subject: string; subjectId: string; action: string; before?: unknown; after?: unknown },
): Promise<void> {
  await trx
    .insertInto('change_entry')
    .values({
      staff_id: change.staffId,
      subject: change.subject,
      subject_id: change.subjectId,
      action: change.action,
      before: change.before === undefined ? null : JSON.stringify(change.before),
      after: change.after === undefined ? null : JSON.stringify(change.after),
    })
    .execute();
}
