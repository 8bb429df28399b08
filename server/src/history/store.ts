import { sql } from 'kysely';
import type { Writing } from '../db/database.ts';

interface Change {
  readonly staffId: string;
  readonly subject: string;
  readonly subjectId: string;
  readonly action: string;
  readonly before?: unknown;
  readonly after?: unknown;
}

const json = (value: unknown): string | null => (value === undefined ? null : JSON.stringify(value));

/** Who changed what, when, and what it was before: written in the transaction that makes the change. */
export async function recordChange(trx: Writing, change: Change): Promise<void> {
  await trx
    .insertInto('change_entry')
    .values({
      staff_id: change.staffId,
      subject: change.subject,
      subject_id: change.subjectId,
      action: change.action,
      before: json(change.before),
      after: json(change.after),
    })
    .execute();
}

/** The same within the statement that makes the change: of the rows that `made` gives, by their id. */
export const recordedAfter = (made: string, change: Omit<Change, 'subjectId'>) => sql<{ id: string }>`(
  insert into change_entry (staff_id, subject, subject_id, action, before, after)
  select ${change.staffId}::bigint, ${change.subject}, id::text, ${change.action}, ${json(change.before)}::jsonb,
         ${json(change.after)}::jsonb
    from ${sql.ref(made)} returning id)`;
