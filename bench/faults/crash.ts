import { setTimeout as sleep } from 'node:timers/promises';
import type { Cluster } from '@brackenfell/scripts/cluster';

/** Chances from 0 to 1, the same at every run. */
export function* chances(seed: number): Generator<number, never> {
  for (let state = seed; ;) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    yield state / 2 ** 32;
  }
}

/** Ends a database as a power cut would, its helpers being left to notice; started again, it recovers by its journal. */
export async function crash(cluster: Cluster, again: (port: number) => Promise<Cluster>): Promise<Cluster> {
  cluster.kill();
  for (let tries = 0; ; tries += 1) {
    await sleep(300);
    try {
      return await again(cluster.port);
    } catch (error) {
      // Helpers of the dead one still hold its memory.
      if (tries > 40) throw error;
    }
  }
}
