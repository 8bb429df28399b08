import type { ShopState } from '@brackenfell/contract/shop';
import { counted } from '@brackenfell/core/words/counted';

const DAY_MS = 86_400_000;
/** A backup is made every night: after two nights without one somebody looks. */
const BACKUP_LATE_MS = 2 * DAY_MS;
/** A job is taken up within seconds while a worker lives. */
const JOB_LATE_MS = 5 * 60_000;
/** Less than this, or than the database once over, and a load or an upgrade may not fit. */
const LEAST_FREE_SHARE = 0.1;

/** What whoever answers for the shop should see to, each in a sentence that says why; `nowMs` since the epoch. */
export function warnings(
  { backup, databaseBytes, queue, failedLately, server }: ShopState,
  unsent: number,
  nowMs: number,
): string[] {
  const agedMs = backup && nowMs - Date.parse(backup.at);
  const late = queue.filter(({ state, askedAt }) => state === 'waiting' && nowMs - Date.parse(askedAt) > JOB_LATE_MS);
  const isRunning = queue.some(({ state }) => state === 'running');
  const again = queue.filter(({ tries }) => tries > 1);
  const { disk } = server;
  const isFull = disk && (disk.freeBytes < disk.bytes * LEAST_FREE_SHARE || disk.freeBytes < databaseBytes);
  return [
    ...(agedMs === null ? ['There is no backup yet: what is lost now is lost for good.'] : []),
    ...(agedMs !== null && agedMs > BACKUP_LATE_MS
      ? [`The last backup is ${counted(Math.floor(agedMs / DAY_MS), 'day')} old.`]
      : []),
    ...(isFull ? ['The disk is nearly full: when it is, nothing can be written.'] : []),
    ...(late.length > 0 && !isRunning
      ? [`${counted(late.length, 'job')} waited for more than five minutes while none ran: its worker may have died.`]
      : []),
    ...again.map(({ kind, tries }) => `The ${kind} that runs was taken up ${tries} times: a worker died at it.`),
    ...(failedLately > 0
      ? [`${counted(failedLately, 'job')} failed since yesterday; why stands where it was asked for.`]
      : []),
    ...(unsent > 0 ? [`${counted(unsent, 'write')} of this computer did not reach the server yet.`] : []),
  ];
}
