import { setTimeout as sleep } from 'node:timers/promises';
import type { Logger } from 'pino';
import { leaveAudit, workAudit } from '../audit/work-audit.ts';
import type { Database } from '../db/database.ts';
import { isSaid, leaveImport, workImport } from '../imports/work-import.ts';
import type { Rest } from './give-way.ts';
import { beat, claimJob, endJob, sayAlive, type Job } from './store.ts';

const PULSE_MS = 15_000;

/** A job that took so many workers with it is not taken up again. */
const MOST_TRIES = 3;

class Cancelled extends Error {}
class GivenUp extends Error {}

type Step = (share: number, doing: string) => Promise<void>;

/** What is done for each kind of job, and what is left in order where it was cancelled or failed. */
const WORK: Readonly<
  Record<
    Job['kind'],
    {
      readonly run: (db: Database, job: Job, step: Step) => Promise<string>;
      readonly left: (db: Database, job: Job, why: 'cancelled' | 'failed', error: unknown) => Promise<string>;
    }
  >
> = {
  audit: {
    run: (db, job, step) => workAudit(db, job.id, step),
    left: (db, job, why) => leaveAudit(db, job.id, why),
  },
  import: {
    run: (db, job, step) => workImport(db, job.importId!, step),
    left: (db, job, why, error) => leaveImport(db, job.importId!, why, error),
  },
};

const WITHOUT_REST: Rest = () => Promise.resolve();

/** Works one waiting job, if there is one, with a rest after each of its steps. True when it did. */
export async function workOneJob(db: Database, log: Logger, rest: Rest = WITHOUT_REST): Promise<boolean> {
  const job = await claimJob(db);
  if (!job) return false;
  // One step over a large catalogue may take longer than a worker may stay silent.
  const pulse = setInterval(() => void sayAlive(db, job.id).catch(() => undefined), PULSE_MS);
  let since = performance.now();
  try {
    if (job.tries > MOST_TRIES) throw new GivenUp(`given up after ${MOST_TRIES} tries`);
    const outcome = await WORK[job.kind].run(db, job, async (share, doing) => {
      if (await beat(db, job.id, share, doing)) throw new Cancelled();
      await rest(performance.now() - since);
      since = performance.now();
    });
    await endJob(db, job.id, 'done', outcome);
  } catch (error) {
    const why = error instanceof Cancelled ? 'cancelled' : 'failed';
    if (isSaid(error)) log.info({ jobId: job.id }, 'job ended: whoever asked for it is told why');
    else if (why === 'failed') log.error({ err: error, jobId: job.id }, 'job failed');
    await endJob(db, job.id, why, await WORK[job.kind].left(db, job, why, error));
  } finally {
    clearInterval(pulse);
  }
  return true;
}

const LOOK_EVERY_MS = 700;

/** Works jobs one after another until told to stop. */
export async function workJobs(
  db: Database,
  log: Logger,
  signal: AbortSignal,
  rest: Rest = WITHOUT_REST,
): Promise<void> {
  while (!signal.aborted) {
    const worked = await workOneJob(db, log, rest).catch((error: unknown) => {
      log.warn({ err: error }, 'jobs cannot be looked at');
      return false;
    });
    if (!worked) await sleep(LOOK_EVERY_MS, undefined, { signal }).catch(() => undefined);
  }
}
