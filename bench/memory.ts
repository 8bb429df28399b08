import { execFileSync } from 'node:child_process';
import type { RunningServer } from '@brackenfell/scripts/server-process';

/** What a server holds, then each worker it started, MB. */
export const memoryMb = ({ process: { pid } }: RunningServer): number[] =>
  execFileSync('ps', ['-o', 'rss=', '-p', String(pid), '--ppid', String(pid)])
    .toString()
    .trim()
    .split('\n')
    .map((kb) => Math.round(Number(kb) / 1024));
