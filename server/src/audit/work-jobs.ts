import { counted } from '@brackenfell/core/words/counted';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Logger } from 'pino';
import type { Database } from '../db/database.ts';
import { runAudit } from './run-audit.ts';
import { beat, claimJob, clearFindings, endJob, keepFindings, sayAlive } from './store.ts';

const PULSE_MS = 15_000;

class Cancelled extends Error {}

/** Works one waiting job, if there is one. True when it did. */
export async function workOneJob(db: Database, log: Logger): Promise<boolean> {
  const job = await claimJob(db);
  if (!job) return false;
  let count = 0;
  // One step over a large catalogue may take longer than a worker may stay silent.
  const pulse = setInterval(() => void sayAlive(db, job.id).catch(() => undefined), PULSE_MS);
  try {
    await clearFindings(db);
    await runAudit(db, {
      step: async (share, doing) => {
        if (await beat(db, job.id, share, doing)) throw new Cancelled();
      },
      found: async (contradictions) => {
        count += contradictions.length;
        await keepFindings(db, job.id, contradictions);
      },
    });
    await endJob(db, job.id, 'done', `${counted(count, 'contradiction')} found.`);
  } catch (error) {
    if (error instanceof Cancelled) {
      await endJob(db, job.id, 'cancelled', `Cancelled; ${count} found until then.`);
      return true;
    }
    log.error({ err: error, jobId: job.id }, 'job failed');
    await endJob(
      db,
      job.id,
      'failed',
      'The audit stopped at a fault; what it found until then is kept. Start it again.',
    );
  } finally {
    clearInterval(pulse);
  }
  return true;
}

const LOOK_EVERY_MS = 700;

/** Works jobs one after another until told to stop. */
export async function workJobs(db: Database, log: Logger, signal: AbortSignal): Promise<void> {
  while (!signal.aborted) {
    const worked = await workOneJob(db, log).catch((error: unknown) => {
      log.warn({ err: error }, 'jobs cannot be looked at');
      return false;
    });
    if (!worked) await sleep(LOOK_EVERY_MS, undefined, { signal }).catch(() => undefined);
  }
}
