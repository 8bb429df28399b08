import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

export interface Job {
  readonly id: string;
  readonly kind: 'audit' | 'import';
  /** Of an import: which. */
  readonly importId: string | null;
  /** How often it was taken up, this time included. */
  readonly tries: number;
}

/** A worker that has not been heard of for this long is taken to be gone. */
const SILENT_S = 60;

/** Takes the oldest job that nobody works on; two workers never get the same one. */
export async function claimJob(db: Database): Promise<Job | undefined> {
  const { rows } = await sql<Job>`
    update job set state = 'running', started_at = now(), beat_at = now(), progress = 0, tries = tries + 1
     where id = (select id from job j where (state = 'waiting'
                    or state = 'running' and beat_at < now() - make_interval(secs => ${SILENT_S}))
                    -- Of two audits the later begins when the earlier has ended: what they find stands in one place.
                    and not (kind = 'audit' and exists (
                      select from job r where r.kind = 'audit' and r.id < j.id and r.state in ('waiting', 'running')))
                  order by id limit 1 for update skip locked)
    returning id, kind, import_id as "importId", tries`.execute(db);
  return rows[0];
}

/** Says how far a job is and that its worker lives. True when somebody asked to cancel it. */
export async function beat(db: Database, jobId: string, progress: number, doing: string): Promise<boolean> {
  const row = await db
    .updateTable('job')
    // Parts of a whole, summed, may come to a hair more than it.
    .set({ progress: Math.min(1, progress), doing, beat_at: new Date() })
    .where('id', '=', jobId)
    .returning('cancel_asked')
    .executeTakeFirst();
  return row?.cancel_asked ?? true;
}

export async function sayAlive(db: Database, jobId: string): Promise<void> {
  await db.updateTable('job').set({ beat_at: new Date() }).where('id', '=', jobId).execute();
}

export async function endJob(
  db: Database,
  jobId: string,
  state: 'done' | 'cancelled' | 'failed',
  outcome: string,
): Promise<void> {
  await db.updateTable('job').set({ state, outcome, ended_at: new Date() }).where('id', '=', jobId).execute();
}
