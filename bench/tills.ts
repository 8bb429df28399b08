import { writeFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { Till, type Answer } from './faults/till.ts';
import { hold } from '@brackenfell/scripts/figures';
import { memoryMb } from './memory.ts';
import { percentile, row } from './percentiles.ts';
import { audit, bringLists } from './tills/beside.ts';
import { drawLoad, type Span } from './tills/draw-load.ts';
import { watchPage } from './tills/watch-page.ts';
import { watchWaits } from './tills/watch-waits.ts';

/**
 * Forty tills at a counter's pace, each with its page open: the ask line, a tray, a slip begun, a part put on it, collected. First
 * quiet, then beside supplier's lists that are written and audits one after the other.
 */
const option = (name: string, otherwise: string) =>
  process.argv.find((word) => word.startsWith(`--${name}=`))?.split('=')[1] ?? otherwise;
const TILLS = Number(option('tills', '40'));
const MINUTES = Number(option('minutes', '10'));
const DRAWN = option('draw', '');
/** Between two things that somebody does. */
const PACE_MS = 1000;

const env = (name: string) => process.env[name]!;
const database = 'tills_world';
const root = new pg.Client({ connectionString: env('BRACKENFELL_TEST_SUPER_URL') });
await root.connect();
await root.query(`create database ${database} template template_world owner brackenfell_owner`);
await root.end();
const owner = new pg.Client({
  connectionString: env('BRACKENFELL_TEST_SUPER_URL').replace(/postgres$/, database),
});
await owner.connect();
await owner.query('update stock set on_hand = 1000000');

const server = await startServer(env('BRACKENFELL_TEST_APP_URL').replace('template_world', database), 0, {
  BRACKENFELL_LOG: 'silent',
  BRACKENFELL_SECRET: env('BRACKENFELL_SECRET'),
});
const address = () => server.address;

type Kind = 'ask' | 'tray' | 'begin' | 'put' | 'collect';
interface Took {
  readonly kind: Kind;
  readonly ms: number;
  readonly at: number;
}
const { engines } = (await (await new Till(address).signIn()).send('GET', '/api/engines')).body as {
  engines: { engineId: string }[];
};
const began = performance.now();
let took: Took[] = [];
let errors: string[] = [];

const QUESTIONS = ['kn419g63dr', 'hb/19/45', 'ivx d12', 'skerrow', '0w12'];

async function timed(kind: Kind, work: () => Promise<Answer>, fine: readonly number[]): Promise<Answer> {
  const start = performance.now();
  const answer = await work().catch((error: unknown) => ({ status: 599, body: { error: String(error) } }));
  took.push({ kind, ms: performance.now() - start, at: start - began });
  if (!fine.includes(answer.status))
    errors.push(`${kind}: ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`);
  return answer;
}

/** One customer after the other, until told to stop. */
async function serve(till: Till, place: number, going: () => boolean): Promise<void> {
  const pause = () => sleep(PACE_MS * (0.5 + Math.random()));
  await sleep((PACE_MS * place) / TILLS);
  for (let customer = place; going(); customer += 1) {
    const engine = engines[customer % engines.length]!.engineId;
    await timed(
      'ask',
      () => till.send('GET', `/api/ask?q=${encodeURIComponent(QUESTIONS[customer % QUESTIONS.length]!)}`),
      [200],
    );
    await pause();
    const tray = await timed('tray', () => till.send('GET', `/api/engines/${engine}/tray?kind=plug`), [200]);
    const rows = (tray.body.rows ?? []) as { partId: string; verdict: string }[];
    // What customers choose is spread over what can be sold.
    const fit = rows.filter(({ verdict }) => verdict === 'sell');
    const part = fit[customer % fit.length];
    await pause();
    const begun = await timed('begin', () => till.send('POST', '/api/slips', { engineId: engine }), [201]);
    if (begun.status !== 201 || !part) continue;
    await pause();
    const { slipId, version } = begun.body as { slipId: string; version: number };
    const put = await timed(
      'put',
      () => till.send('POST', `/api/slips/${slipId}/lines`, { version, partId: part.partId }),
      [201],
    );
    await pause();
    // A slip of which something is open is told so, and that is an answer too.
    await timed(
      'collect',
      () =>
        till.send('POST', `/api/slips/${slipId}/collect`, {
          version: (put.body as { version?: number }).version ?? version,
        }),
      [200, 409],
    );
    await pause();
  }
}

const editor = await new Till(address).signIn(demoStaff.find(({ role }) => role === 'editor')!.name);
const done = { lists: 0, audits: 0 };

interface Phase {
  readonly name: string;
  readonly took: readonly Took[];
  readonly errors: readonly string[];
  readonly toldMs: readonly number[];
}
const spans: Span[] = [];

async function phase(name: string, besides: readonly ((going: () => boolean) => Promise<void>)[]): Promise<Phase> {
  [took, errors] = [[], []];
  const leaves = new AbortController();
  const toldAt = new Map<string, number>();
  const people = demoStaff.filter(({ role }) => role !== 'editor');
  const tills: Till[] = [];
  for (let i = 0; i < TILLS; i += 1) tills.push(await new Till(address).signIn(people[i % people.length]!.name));
  for (const [i, till] of tills.entries())
    void watchPage(server, till.cookie, leaves.signal, (slipId, at) => {
      if (i === 0 && !toldAt.has(slipId)) toldAt.set(slipId, at);
    }).catch(() => undefined);
  const until = performance.now() + MINUTES * 60_000;
  const going = () => performance.now() < until;
  const toldMs: number[] = [];
  const measure = async () => {
    while (going()) {
      const begun = await tills[1]!.send('POST', '/api/slips', {}).catch(() => undefined);
      const at = performance.now();
      await sleep(3000);
      const heard = toldAt.get((begun?.body as { slipId?: string } | undefined)?.slipId ?? '');
      // Never told counts as the whole wait.
      if (begun?.status === 201) toldMs.push(heard === undefined ? 3000 : Math.max(0, heard - at));
    }
  };
  const record = async () => {
    while (going()) {
      const from = took.length;
      await sleep(10_000);
      const ms = took.slice(from).map((one) => one.ms);
      spans.push({
        at: (performance.now() - began) / 1000,
        phase: name,
        p50Ms: percentile(ms, 0.5),
        p95Ms: percentile(ms, 0.95),
        memoryMb: memoryMb(server),
      });
    }
  };
  await Promise.all([
    ...tills.map((till, i) => serve(till, i, going)),
    measure(),
    record(),
    ...besides.map((work) => work(going)),
  ]);
  leaves.abort();
  return { name, took, errors, toldMs };
}

const waits = watchWaits(owner, database);
const quiet = await phase('quiet', []);
const busy = await phase('beside lists and audits', [
  (going) => bringLists(editor, going, () => (done.lists += 1)),
  (going) => audit(editor, going, () => (done.audits += 1)),
]);

const say = (ms: readonly number[]) => [0.5, 0.95, 0.99].map((share) => percentile(ms, share).toFixed(0));
console.log(row('what, ms', 'quiet p50', 'p95', 'p99', 'beside p50', 'p95', 'p99', 'p95 ÷ quiet'));
for (const kind of ['ask', 'tray', 'begin', 'put', 'collect'] as const) {
  const of = ({ took: all }: Phase) => all.filter((one) => one.kind === kind).map((one) => one.ms);
  const [a, b] = [of(quiet), of(busy)];
  console.log(row(kind, ...say(a), ...say(b), (percentile(b, 0.95) / percentile(a, 0.95)).toFixed(2)));
  hold({
    what: `${TILLS} tills beside lists and audits, ${kind}: p95 ÷ quiet`,
    value: percentile(b, 0.95) / percentile(a, 0.95),
    target: 3,
  });
}
const all = (p: Phase) => p.took.map((one) => one.ms);
console.log(
  row(
    'all',
    ...say(all(quiet)),
    ...say(all(busy)),
    (percentile(all(busy), 0.95) / percentile(all(quiet), 0.95)).toFixed(2),
  ),
);
hold({
  what: `${TILLS} tills beside lists and audits, all: p95 ÷ quiet`,
  value: percentile(all(busy), 0.95) / percentile(all(quiet), 0.95),
  target: 3,
});
hold({ what: 'errors of all calls', value: quiet.errors.length + busy.errors.length, target: 0 });
hold({ what: 'told to another till, p99', value: percentile(busy.toldMs, 0.99), target: 2000, unit: 'ms' });
console.log(row('told to another till', ...say(quiet.toldMs), ...say(busy.toldMs)));
for (const { name, took: calls, errors: wrong } of [quiet, busy]) {
  console.log(`${name}: ${calls.length} calls in ${MINUTES} min, ${wrong.length} errors`);
  for (const error of [...new Set(wrong)].slice(0, 5)) console.log(`  ${error}`);
}
const most = spans.map(({ memoryMb: of }) => of);
console.log(`lists written ${done.lists}, audits asked ${done.audits}`);
console.log(
  `memory of the server: ${most[0]?.[0]} MB at first, ${most.at(-1)?.[0]} MB at last, ${Math.max(...most.map(([of]) => of ?? 0))} MB at most`,
);
const waited = await waits.end();
await owner.end();
console.log('what was waited for in the database:');
for (const { wait, times } of waited) console.log(`  ${times} × ${wait}`);
if (DRAWN !== '') writeFileSync(DRAWN, drawLoad(spans));
await stopServer(server);
