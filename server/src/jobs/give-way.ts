import type { ChildProcess } from 'node:child_process';
import { performance } from 'node:perf_hooks';
import { setTimeout as sleep } from 'node:timers/promises';

const TOLD_EVERY_MS = 500;
const LONGEST_REST_MS = 1000;

/** What a worker is told by the server that it works beside. */
interface Told {
  /** The share of the time in which the server had something to do, 0 to 1. */
  readonly busy: number;
}

/** Tells a worker how busy this server is, as long as it lives. */
export function tellBusy(worker: ChildProcess): ChildProcess {
  let before = performance.eventLoopUtilization();
  const telling = setInterval(() => {
    const now = performance.eventLoopUtilization();
    const { utilization } = performance.eventLoopUtilization(now, before);
    before = now;
    // One that is just ending is heard of by whoever keeps it alive.
    if (worker.connected) worker.send({ busy: utilization } satisfies Told, () => undefined);
  }, TOLD_EVERY_MS);
  telling.unref();
  worker.once('exit', () => clearInterval(telling));
  return worker;
}

/** A rest after so many ms of work. */
export type Rest = (workedMs: number) => Promise<void>;

/** Rests as long as the server that it works beside makes due by what it last told. */
export function restBeside(server: Pick<NodeJS.Process, 'on'>): Rest {
  let busy = 0;
  server.on('message', (told) => {
    busy = (told as Told).busy;
  });
  return (workedMs) => sleep(restAfter(workedMs, busy));
}

/**
 * How long a worker rests, in ms, after it has worked for `workedMs` beside a server that is busy for that share of the time, 0 to 1.
 * The counter goes first: the worker has less than the share of the time that it leaves, for it keeps the database busy as well. A
 * second a rest at most, so that a list ends however busy the day is.
 */
export function restAfter(workedMs: number, busy: number): number {
  return Math.min(LONGEST_REST_MS, (2 * workedMs * busy) / Math.max(1 - busy, 0.01));
}
