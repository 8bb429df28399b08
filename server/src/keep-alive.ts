import type { ChildProcess } from 'node:child_process';

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 30_000;
/** A child that has run this long was well: the next pause is short again. */
const WELL_AFTER_MS = 60_000;

/** Keeps a child process running: one that dies is started again, after pauses that grow while it keeps dying. */
export function keepAlive(start: () => ChildProcess, onExit: (code: number | null) => void): { stop: () => void } {
  let stopped = false;
  let pauseMs = FIRST_PAUSE_MS;
  let child: ChildProcess;
  const begin = () => {
    const since = Date.now();
    child = start();
    child.once('exit', (code) => {
      if (stopped) return;
      onExit(code);
      pauseMs = Date.now() - since > WELL_AFTER_MS ? FIRST_PAUSE_MS : Math.min(LONGEST_PAUSE_MS, pauseMs * 2);
      setTimeout(() => {
        if (!stopped) begin();
      }, pauseMs).unref();
    });
  };
  begin();
  return {
    stop: () => {
      stopped = true;
      child.kill();
    },
  };
}
