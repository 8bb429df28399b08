import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import express from 'express';
import pg from 'pg';
import pino from 'pino';
import { sql } from 'kysely';
import { trailsFrom } from '@brackenfell/core/interchange/trail';
import { ruleFacts } from '@brackenfell/core/duty/duty-facts';
import { DEFAULT_HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { screenAll } from '@brackenfell/core/plugs/screening/near-miss';
import { Screen } from '@brackenfell/core/plugs/screening/screen';
import type { AlikeAnswer, AskAnswer } from '@brackenfell/contract/ask';
import { createApp } from '@brackenfell/server/app';
import { readEdgesAround } from '@brackenfell/server/interchange/store';
import { createContext } from '@brackenfell/server/context/context';
import { openDatabase } from '@brackenfell/server/db/database';
import { demoStaff } from '@brackenfell/demo/staff';
import { chance } from '@brackenfell/demo/large/random';
import { buildWorld } from './large/build-world.ts';
import { corrupt, CORRUPTIONS } from './large/corrupt.ts';
import { HttpClient } from './large/http-client.ts';
import { hold as holdFigure } from '@brackenfell/scripts/figures';
import { percentile, row } from './percentiles.ts';

const option = (name: string, usual: string): string =>
  process.argv.find((word) => word.startsWith(`--${name}=`))?.split('=')[1] ?? usual;
const parts = Number(option('parts', '1000000'));
const seed = Number(option('seed', '1'));
const corruptionSeeds = option('corruption', '101,102,103').split(',').map(Number);
const only = option('only', '');
const rounds = Number(option('rounds', '400'));

const env = (name: string) => process.env[name]!;
const inLarge = (url: string) => url.replace('template_world', 'large_world');
const ready = process.env.BRACKENFELL_LARGE_READY === 'yes';

if (!ready) {
  const root = new pg.Client({ connectionString: env('BRACKENFELL_TEST_SUPER_URL') });
  await root.connect();
  await root.query('create database large_world template template_world owner brackenfell_owner');
  await root.end();
  console.log(`Building ${parts.toLocaleString('en')} parts, seed ${seed} …`);
  const start = performance.now();
  const world = await buildWorld(
    env('BRACKENFELL_TEST_SUPER_URL').replace(/postgres$/, 'large_world'),
    seed,
    parts,
    console.log,
  );
  console.log(
    `Built in ${((performance.now() - start) / 1000).toFixed(0)} s; ${world.planted.length} contradictions planted.`,
  );
}

const db = openDatabase(inLarge(env('BRACKENFELL_TEST_APP_URL')), () => undefined, { patient: true });
const { id: anyPart } = await db.selectFrom('part').select('id').limit(1).executeTakeFirstOrThrow();
const yardstick = express();
yardstick.get('/pk', async (_req, res) => {
  res.json(await db.selectFrom('part').selectAll().where('id', '=', anyPart).executeTakeFirst());
});
// What is measured asks as the application does.
const asApplication = openDatabase(inLarge(env('BRACKENFELL_TEST_APP_URL')), () => undefined);
const context = createContext(asApplication, pino({ level: 'silent' }));
const app = createApp(context);
const listen = (on: express.Express) =>
  new Promise<{ port: number; close: () => void }>((resolve) => {
    const server = on.listen(0, '127.0.0.1', () => {
      const address = server.address();
      resolve({ port: typeof address === 'object' && address ? address.port : 0, close: () => server.close() });
    });
  });
const bare = await listen(yardstick);
const real = await listen(app);
const signedIn = await fetch(`http://127.0.0.1:${real.port}/api/session`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ name: demoStaff[0]!.name, password: demoStaff[0]!.password }),
});
const client = new HttpClient(signedIn.headers.get('set-cookie')!.split(';')[0]!);
const ask = (q: string, more = '') => `/api/ask?q=${encodeURIComponent(q)}${more}`;

/** Of a million parts: what it was when the targets were set, where it was measured then. */
const BEFORE: Readonly<Record<string, number>> = {
  'suggestions ÷ pk route': 1.6,
  'suggestions ÷ pk route, p95': 5.2,
  'full answer ÷ pk route, p95': 4.6,
  '* ÷ pk route': 4.3,
  'words of a vehicle ÷ pk route': 13.6,
  'whole tray, its engine never asked before ÷ pk route': 19,
  'near-miss screen, M verdicts a second': 26,
  'audit ÷ streaming its edges': 1.9,
};
const hold = (what: string, value: number, target: number, atLeast = false) =>
  holdFigure({ what, value, target, before: BEFORE[what], atLeast });

/** Catalogue and OE numbers of the large world, drawn by a seed, with their makers' names. */
async function drawNumbers(count: number, from: number) {
  const by = chance(from);
  const { max } = await db
    .selectFrom('part')
    .select((eb) => eb.fn.max<string>('id').as('max'))
    .executeTakeFirstOrThrow();
  const ids = Array.from({ length: count }, () => String(1000 + by.below(Number(max) - 1000)));
  const { rows } = await sql<{ id: string; printed: string; maker: string }>`
    select p.id, n.printed, m.name as maker from unnest(${ids}::bigint[]) with ordinality as a (id, place)
      join part p on p.id = a.id join part_name n on n.part_id = p.id and n.kind in ('catalogue', 'oe')
      join maker m on m.id = p.maker_id order by a.place`.execute(db);
  return rows;
}

async function latency(): Promise<void> {
  const by = chance(7);
  const numbers = await drawNumbers(rounds + 60, 7);
  const { rows: engines } = await sql<{ id: string; words: string }>`
    select id, (select min(v.make || ' ' || v.model) from vehicle v where v.engine_id = engine.id) as words
      from engine where id like 'large-%' order by hashtext(id) limit ${rounds + 60}`.execute(db);
  const typed = (kind: string, i: number) => corrupt(kind, numbers[i]!.printed, by) ?? numbers[i]!.printed;
  const routes: Record<string, (i: number) => [number, string]> = {
    pk: () => [bare.port, '/pk'],
    'suggestions, as typed': (i) => [real.port, ask(numbers[i]!.printed, '&quick=yes')],
    'suggestions, a beginning': (i) => [real.port, ask(typed('prefix', i), '&quick=yes')],
    'full, as written': (i) => [real.port, ask(numbers[i]!.printed)],
    'full, one wrong': (i) => [real.port, ask(typed('wrong', i))],
    'full, a beginning': (i) => [real.port, ask(typed('prefix', i))],
    'one ?': (i) => [real.port, ask(typed('?', i))],
    'a run *': (i) => {
      const number = numbers[i]!.printed;
      const at = 2 + by.below(Math.max(1, number.length - 5));
      return [real.port, ask(`${number.slice(0, at)}*${number.slice(at + 2)}`)];
    },
    'words of a vehicle': (i) => [real.port, ask(engines[i]!.words)],
    'words of nothing': (i) => [real.port, ask(engines[i]!.id.replace('large-', 'heron '))],
    // Asked by the page after an answer that found little.
    'alike, afterwards': (i) => [real.port, ask(typed('wrong', i)).replace('/ask?', '/ask/alike?')],
    tray: (i) => [real.port, `/api/engines/${engines[i]!.id}/tray`],
    // Laid out a moment ago: only the shelf is looked at.
    'tray again': (i) => [real.port, `/api/engines/${engines[i]!.id}/tray`],
  };
  const samples = new Map<string, number[]>(Object.keys(routes).map((name) => [name, []]));
  for (let i = 0; i < rounds + 40; i += 1) {
    for (const [name, route] of Object.entries(routes)) {
      if (only && name !== 'pk' && !name.includes(only)) continue;
      const { ms } = await client.get(...route(i));
      if (i >= 40) samples.get(name)!.push(ms);
    }
  }
  const pk = percentile(samples.get('pk')!, 0.5);
  console.log(`\n${row('route', 'p50 ms', 'p95 ms', '÷ pk p50', '÷ pk p95')}`);
  const ratio = (name: string, share: number) => percentile(samples.get(name)!, share) / pk;
  for (const [name, own] of samples)
    if (own.length > 0)
      console.log(
        row(
          name,
          percentile(own, 0.5).toFixed(2),
          percentile(own, 0.95).toFixed(2),
          ratio(name, 0.5).toFixed(2),
          ratio(name, 0.95).toFixed(2),
        ),
      );
  if (only) return;
  const worst = (names: readonly string[], share: number) => Math.max(...names.map((name) => ratio(name, share)));
  const quick = ['suggestions, as typed', 'suggestions, a beginning'];
  const full = ['full, as written', 'full, one wrong', 'full, a beginning'];
  hold('suggestions ÷ pk route', worst(quick, 0.5), 2);
  hold('suggestions ÷ pk route, p95', worst(quick, 0.95), 2.5);
  hold('suggestions, p95 ÷ the pk route’s own p95', worst(quick, 0.95) / ratio('pk', 0.95), 2.5);
  hold('full answer ÷ pk route', worst(full, 0.5), 3);
  hold('full answer ÷ pk route, p95', worst(full, 0.95), 4.5);
  hold('full answer, p95 ÷ the pk route’s own p95', worst(full, 0.95) / ratio('pk', 0.95), 4.5);
  hold('? ÷ pk route', ratio('one ?', 0.5), 2);
  hold('* ÷ pk route', ratio('a run *', 0.5), 4);
  hold('words of a vehicle ÷ pk route', ratio('words of a vehicle', 0.5), 4);
  hold('whole tray, its engine never asked before ÷ pk route', ratio('tray', 0.5), 6);
  hold('whole tray asked again ÷ pk route', ratio('tray again', 0.5), 6);
}

const RECALL_TARGETS: Record<string, number> = {
  separators: 0.99,
  confusables: 0.99,
  extra: 0.99,
  '?': 0.99,
  swapped: 0.95,
  wrong: 0.93,
  missing: 0.9,
  prefix: 0.94,
};
const WITH_MAKER_TARGET = 0.985;
const RECALL_OF = 10;

async function recall(): Promise<void> {
  const perKind = rounds;
  console.log(`\nrecall@${RECALL_OF}, ${perKind} numbers a kind and seed; second figure with the maker's name`);
  console.log(row('kind', ...corruptionSeeds.map((s) => `seed ${s}`)));
  for (const [kind, target] of Object.entries(RECALL_TARGETS)) {
    const figures: { plain: number; named: number }[] = [];
    for (const from of corruptionSeeds) {
      const by = chance(from);
      const numbers = await drawNumbers(perKind, from * 31 + Object.keys(CORRUPTIONS).indexOf(kind));
      let [asked, plain, named] = [0, 0, 0];
      for (const { id, printed, maker } of numbers) {
        const typed = corrupt(kind, printed, by);
        if (typed === undefined) continue;
        asked += 1;
        const found = async (q: string) => {
          const { body } = await client.get(real.port, ask(q));
          const { parts, hasAlike } = JSON.parse(body) as AskAnswer;
          const further = hasAlike ? await client.get(real.port, ask(q).replace('/ask?', '/ask/alike?')) : undefined;
          const alike = further ? (JSON.parse(further.body) as AlikeAnswer).parts : [];
          return [...parts, ...alike].slice(0, RECALL_OF).some((part) => part.partId === id);
        };
        if (await found(typed)) plain += 1;
        if (await found(`${maker} ${typed}`)) named += 1;
      }
      figures.push({ plain: plain / asked, named: named / asked });
    }
    console.log(row(kind, ...figures.map(({ plain, named }) => `${plain.toFixed(3)} ${named.toFixed(3)}`)));
    hold(`recall ${kind}, worst seed`, Math.min(...figures.map(({ plain }) => plain)), target, true);
    if (target < 0.99)
      hold(
        `recall ${kind} with maker, worst seed`,
        Math.min(...figures.map(({ named }) => named)),
        WITH_MAKER_TARGET,
        true,
      );
  }
}

/** Trails from a part, walked to the end, against one primary-key query of the same pool. */
async function trails(): Promise<void> {
  const numbers = await drawNumbers(rounds, 19);
  const { rows: hubs } = await sql<{ id: string }>`
    select to_part_id as id from reference where grade = 'alternative' group by 1 order by count(*) desc limit 10`.execute(
    db,
  );
  const time = async (work: () => Promise<unknown>) => {
    const start = performance.now();
    await work();
    return performance.now() - start;
  };
  const walk = async (id: string) => trailsFrom([id], await readEdgesAround(db, [id]));
  const samples = { pk: [] as number[], random: [] as number[], hub: [] as number[] };
  for (const [i, { id }] of numbers.entries()) {
    samples.pk.push(await time(() => db.selectFrom('part').selectAll().where('id', '=', id).executeTakeFirst()));
    samples.random.push(await time(() => walk(id)));
    samples.hub.push(await time(() => walk(hubs[i % hubs.length]!.id)));
  }
  const p50 = (kind: keyof typeof samples) => percentile(samples[kind], 0.5);
  console.log(
    `\ntrails: pk query ${p50('pk').toFixed(2)} ms, random ${p50('random').toFixed(2)}, hub ${p50('hub').toFixed(2)}`,
  );
  hold('trails, random part ÷ pk query', p50('random') / p50('pk'), 2.5);
  hold('trails, hub ÷ pk query', p50('hub') / p50('pk'), 10);
}

const SCREENED_ENGINES = 40;

/** How many plugs a second one core screens for what keeps them out: making an engine's tables apart from looking through. */
async function nearMissScreen(): Promise<void> {
  const { plugs } = await context.sheets.withPlugs(db);
  const { rows: positions } = await sql<{ id: string }>`
    select min(id)::text as id from engine_position where engine_id like 'large-%'
     group by engine_id order by hashtext(engine_id) limit ${SCREENED_ENGINES}`.execute(db);
  const sheets = await context.sheets.positions(
    db,
    await context.sheets.at(db),
    positions.map(({ id }) => id),
  );
  plugs.packed();
  const time = (work: () => void) => {
    const start = performance.now();
    work();
    return (performance.now() - start) / 1000;
  };
  const [whole, scan]: [number[], number[]] = [[], []];
  for (const { id } of positions) {
    const screen = new Screen(plugs, { ...sheets.get(id)!, ...ruleFacts(DEFAULT_HOUSE_RULES) });
    whole.push(time(() => screenAll(plugs, screen)));
    // Again with the tables at hand: what a second look at an engine costs.
    scan.push(time(() => screenAll(plugs, screen)));
  }
  const perSecond = (seconds: readonly number[]) => plugs.count / percentile(seconds, 0.5) / 1e6;
  console.log(
    `\nnear-miss screen over ${plugs.count.toLocaleString('en')} plugs: ${perSecond(scan).toFixed(0)} M a second; with making the tables ${perSecond(whole).toFixed(1)} M`,
  );
  hold('near-miss screen, M verdicts a second', perSecond(scan), 30, true);
}

interface AuditRun {
  readonly ms: number;
  readonly found: number;
  readonly planted: number;
  readonly heapMb: number;
}

/** The audit of everything, in a process of its own as in the server. */
function auditOnce(): Promise<AuditRun> {
  const worker = fork(fileURLToPath(new URL('./audit-worker.js', import.meta.url)), [
    inLarge(env('BRACKENFELL_TEST_APP_URL')),
  ]);
  return new Promise((resolve, reject) => {
    worker.once('message', (message) => resolve(message as AuditRun));
    worker.once('error', reject);
  });
}

/** The audit against streaming its edges, each with the machine to itself; then once more, beside an ask line that never rests. */
async function audit(): Promise<void> {
  const streamStart = performance.now();
  let edges = 0;
  for (let after = '0'; ;) {
    const rows = await db
      .selectFrom('reference')
      .select(['id', 'from_part_id', 'to_part_id', 'grade'])
      .where('id', '>', after)
      .orderBy('id')
      .limit(5000)
      .execute();
    edges += rows.length;
    if (rows.length < 5000) break;
    after = rows.at(-1)!.id;
  }
  const streamMs = performance.now() - streamStart;
  const alone = await auditOnce();
  const numbers = await drawNumbers(200, 23);
  const asked = async (i: number) => (await client.get(real.port, ask(numbers[i % numbers.length]!.printed))).ms;
  const idle: number[] = [];
  for (let i = 0; i < 200; i += 1) idle.push(await asked(i));
  const ended = auditOnce();
  const state = { done: false };
  void ended.then(() => (state.done = true));
  const busy: number[] = [];
  while (!state.done) busy.push(await asked(busy.length));
  const beside = await ended;
  console.log(
    `\naudit: ${(alone.ms / 1000).toFixed(1)} s for ${edges.toLocaleString('en')} references (streaming them ${(streamMs / 1000).toFixed(1)} s), ` +
      `${(beside.ms / 1000).toFixed(1)} s beside an ask line that never rests; ${alone.found} contradictions, ${alone.planted} of them of reach; ` +
      `heap at most ${alone.heapMb} MB; ask line p50 ${percentile(idle, 0.5).toFixed(1)} ms idle, ${percentile(busy, 0.5).toFixed(1)} ms meanwhile`,
  );
  hold('audit ÷ streaming its edges', alone.ms / streamMs, 1.4);
  hold('ask line during the audit ÷ idle', percentile(busy, 0.5) / percentile(idle, 0.5), 1.5);
}

await client.get(real.port, ask('warm up'));
await latency();
if (!only) {
  await nearMissScreen();
  await trails();
  await audit();
  await recall();
}

client.close();
bare.close();
real.close();
await Promise.all([db.destroy(), asApplication.destroy()]);
