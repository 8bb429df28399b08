import { useEffect, useState } from 'react';
import type { SweepAsked, SweptBoost } from '@brackenfell/core/spark-demand/boost-sweep';

export interface Sweep {
  readonly swept: readonly SweptBoost[];
  readonly isDone: boolean;
  /** The worker died: nothing is drawn that was not reckoned. */
  readonly hasFailed: boolean;
}

const NOTHING: Sweep = { swept: [], isDone: false, hasFailed: false };

/** Sweeps in a worker, off the page's own time; ended when it is asked otherwise or left. */
export function useSweep(asked: SweepAsked): Sweep {
  const key = JSON.stringify(asked);
  const [sweep, setSweep] = useState({ key, ...NOTHING });
  useEffect(() => {
    const worker = new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' });
    let swept: readonly SweptBoost[] = [];
    worker.onmessage = ({ data }: MessageEvent<readonly SweptBoost[] | null>) => {
      swept = data === null ? swept : [...swept, ...data];
      setSweep({ key, swept, isDone: data === null, hasFailed: false });
    };
    worker.onerror = () => setSweep({ key, swept, isDone: true, hasFailed: true });
    worker.postMessage(JSON.parse(key));
    return () => worker.terminate();
  }, [key]);
  return sweep.key === key ? sweep : NOTHING;
}
