import { startServer } from '@brackenfell/scripts/server-process';
import { percentile } from '../percentiles.ts';
import { Till, type Tally } from './till.ts';
import { memoryMb } from '../memory.ts';

const READERS = 30;
const WRITERS = 6;
const SECONDS = 12;

const READS = [
  '/api/engines/skerrow-sc20/tray',
  '/api/ask?q=KN%20419G-63DR',
  '/api/engines/ostrel-ow12/tray?kind=coil',
  '/api/identify?said=make:Skerrow',
  '/api/slips?state=open',
];

/** Readers and writers at once while somebody signs in all the time: is anybody refused, and how long does a counter wait? */
export async function load(databaseUrl: string): Promise<Tally> {
  const server = await startServer(databaseUrl, 0);
  const address = () => server.address;
  const waits: number[] = [];
  let [calls, faults5xx, mostMb] = [0, 0, 0];
  const until = performance.now() + SECONDS * 1000;
  const timed = async (work: () => Promise<{ status: number }>) => {
    const begun = performance.now();
    const { status } = await work().catch(() => ({ status: 599 }));
    waits.push(performance.now() - begun);
    calls += 1;
    if (status >= 500) faults5xx += 1;
  };
  try {
    const till = await new Till(address).signIn();
    const readers = Array.from({ length: READERS }, async (_, i) => {
      for (let n = i; performance.now() < until; n += 1) await timed(() => till.send('GET', READS[n % READS.length]!));
    });
    const writers = Array.from({ length: WRITERS }, async () => {
      const begun = await till.send('POST', '/api/slips', {});
      let { version } = begun.body as { version: number };
      while (performance.now() < until)
        await timed(async () => {
          const answer = await till.send('POST', `/api/slips/${String(begun.body.slipId)}/notes`, {
            version,
            text: 'load',
          });
          version = (answer.body as { version?: number }).version ?? version;
          return answer;
        });
    });
    const signing = (async () => {
      while (performance.now() < until) {
        await timed(async () => {
          await new Till(address).signIn('Perrin');
          return { status: 200 };
        });
        mostMb = Math.max(mostMb, memoryMb(server)[0]!);
        await new Promise((resolve) => setTimeout(resolve, 250));
      }
    })();
    await Promise.all([...readers, ...writers, signing]);
    return {
      run: 'load',
      calls,
      lost: 0,
      doubled: 0,
      torn: 0,
      faults5xx,
      worstMs: Math.round(Math.max(...waits)),
      memoryMb: mostMb,
      says: `${READERS} readers, ${WRITERS} writers, sign-ins four a second for ${SECONDS} s: median ${Math.round(percentile(waits, 0.5))} ms, 95th ${Math.round(percentile(waits, 0.95))} ms`,
    };
  } finally {
    server.process.kill('SIGTERM');
  }
}
