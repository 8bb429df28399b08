import { counted } from '@brackenfell/core/words/counted';
import type { Database } from '../db/database.ts';
import { runAudit } from './run-audit.ts';
import { clearFindings, countFound, keepFindings } from './store.ts';

/** Audits everything as a job; gives what it came to. `step` throws where somebody asked to cancel it. */
export async function workAudit(
  db: Database,
  jobId: string,
  step: (share: number, doing: string) => Promise<void>,
): Promise<string> {
  let count = 0;
  await clearFindings(db);
  await runAudit(db, {
    step,
    found: async (contradictions) => {
      count += contradictions.length;
      await keepFindings(db, jobId, contradictions);
    },
  });
  return `${counted(count, 'contradiction')} found.`;
}

/** What an audit that did not come to its end leaves. */
export const leaveAudit = async (db: Database, jobId: string, why: 'cancelled' | 'failed'): Promise<string> =>
  why === 'cancelled'
    ? `Cancelled; ${await countFound(db, jobId)} found until then.`
    : 'The audit stopped at a fault; what it found until then is kept. Start it again.';
