import pg from 'pg';
import { contractFuzz } from './faults/contract-fuzz.ts';
import { killsBesideWriters } from './faults/kills.ts';
import { load } from './faults/load.ts';
import { races } from './faults/races.ts';
import type { Tally } from './faults/till.ts';

/** Faults on purpose: kills, races, nonsense and load. Bounded, outside the tests; anything lost, doubled or torn fails it. */
const app = process.env.BRACKENFELL_TEST_APP_URL!;
const client = new pg.Client({ connectionString: process.env.BRACKENFELL_TEST_OWNER_URL! });
await client.connect();
const runs: readonly (() => Promise<Tally>)[] = [
  () => killsBesideWriters(app, process.env.BRACKENFELL_SECRET!, client),
  () => races(app, client),
  () => contractFuzz(app),
  () => load(app),
];
const tallies: Tally[] = [];
for (const run of runs) {
  const tally = await run();
  console.log(`${tally.run}: ${tally.says}`);
  tallies.push(tally);
}
await client.end();
console.table(
  tallies.map(({ run, calls, lost, doubled, torn, faults5xx, worstMs, memoryMb }) => ({
    run,
    calls,
    lost,
    doubled,
    torn,
    '5xx': faults5xx,
    'worst ms': worstMs,
    'memory MB': memoryMb,
  })),
);
if (tallies.some(({ lost, doubled, torn, faults5xx }) => lost + doubled + torn + faults5xx > 0)) process.exitCode = 1;
