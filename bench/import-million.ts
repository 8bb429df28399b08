import { randomUUID } from 'node:crypto';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { setTimeout as sleep } from 'node:timers/promises';
import { parse } from 'csv-parse';
import pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { demoStaff } from '@brackenfell/demo/staff';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { HttpClient } from './large/http-client.ts';
import { memoryMb } from './memory.ts';
import { percentile, row } from './percentiles.ts';

/**
 * A supplier's list of a million new numbers, the same list again, and one of which a tenth has changed; the ask line meanwhile.
 * `--keep` takes none of them back, which of a million takes longer than all the rest.
 */
const rows = Number(process.argv.find((word) => word.startsWith('--rows='))?.split('=')[1] ?? '1000000');
const keeps = process.argv.includes('--keep');
const env = (name: string) => process.env[name]!;
const inWorld = (url: string) => url.replace('template_world', 'import_world');

const superUrl = env('BRACKENFELL_TEST_SUPER_URL');
const root = new pg.Client({ connectionString: superUrl });
await root.connect();
await root.query('create database import_world template template_world owner brackenfell_owner');
await root.end();
const watch = new pg.Client({ connectionString: superUrl.replace(/postgres$/, 'import_world') });
await watch.connect();

/** Every tenth line of the changed list is dearer. */
const listOf = (changedList: boolean): string => {
  const lines = ['Number;Maker;Net price;Price;Pack;Gap mm'];
  for (let i = 0; i < rows; i += 1) {
    const net = 120 + (i % 700) + (changedList && i % 10 === 0 ? 5 : 0);
    const price = 260 + (i % 900);
    lines.push(`QX ${i}-R;Kestrane;${(net / 100).toFixed(2)};${(price / 100).toFixed(2)};4;0.${7 + (i % 3)}`);
  }
  return lines.join('\n');
};

/** The yardstick: the list read and normalised in the stream, and copied into one table without an index. */
async function copyAndNormalise(list: string): Promise<number> {
  await watch.query(
    'create table bare_list (number text, normal text, fold text, maker text, net int, price int, pack int, gap float8)',
  );
  const start = performance.now();
  const lines = async function* () {
    let chunk = '';
    const records = Readable.from([Buffer.from(list)]).pipe(parse({ delimiter: ';', from_line: 2 })) as AsyncIterable<
      string[]
    >;
    for await (const [number, maker, net, price, pack, gap] of records) {
      chunk += `${number}\t${normalForm(number!)}\t${foldKey(number!)}\t${maker}\t${Math.round(Number(net) * 100)}\t${Math.round(Number(price) * 100)}\t${pack}\t${gap}\n`;
      if (chunk.length > 60_000) {
        yield chunk;
        chunk = '';
      }
    }
    yield chunk;
  };
  await pipeline(Readable.from(lines()), watch.query(copyFrom('copy bare_list from stdin')));
  const ms = performance.now() - start;
  await watch.query('drop table bare_list');
  return ms;
}

/** What a fresh row makes, each before what refers to it. */
const MADE = [
  'part',
  'part_name',
  'name_neighbour',
  'price',
  'supplier_price',
  'figure',
  'chosen_figure',
  'plug_spec',
  'list_row',
] as const;

/**
 * The least that the same rows could take: moved from one table into another without an index or a reference, which are made
 * afterwards, all at once. Nothing is read from a file, laid beside anything or told; nobody asks meanwhile.
 */
async function floorOfRows(): Promise<number> {
  const start = performance.now();
  for (const table of MADE) {
    await watch.query(`create table floor_${table} (like ${table} including defaults)`);
    await watch.query(`insert into floor_${table} select * from ${table}`);
  }
  for (const table of MADE) {
    const { rows: indexes } = await watch.query<{ made: string }>(
      'select pg_get_indexdef(indexrelid) as made from pg_index where indrelid = $1::regclass',
      [table],
    );
    for (const [i, { made }] of indexes.entries())
      await watch.query(made.replace(/INDEX \S+ ON \S+/, `INDEX floor_${table}_${i} ON floor_${table}`));
    const { rows: references } = await watch.query<{ made: string; to: string }>(
      `select pg_get_constraintdef(oid) as made, confrelid::regclass::text as to from pg_constraint
        where conrelid = $1::regclass and contype = 'f'`,
      [table],
    );
    for (const { made, to } of references) {
      const target = (MADE as readonly string[]).includes(to) ? `floor_${to}` : to;
      await watch.query(`alter table floor_${table} add ${made.replace(`REFERENCES ${to}(`, `REFERENCES ${target}(`)}`);
    }
  }
  const ms = performance.now() - start;
  for (const table of [...MADE].reverse()) await watch.query(`drop table floor_${table} cascade`);
  return ms;
}

const settings = { BRACKENFELL_LOG: 'silent', BRACKENFELL_SECRET: env('BRACKENFELL_SECRET') };
const server = await startServer(inWorld(env('BRACKENFELL_TEST_APP_URL')), 0, settings);
const { name, password } = demoStaff.find(({ role }) => role === 'editor')!;
let cookie = '';
const send = async (method: string, path: string, body?: BodyInit, type = 'application/json') => {
  const answer = await fetch(`${server.address}${path}`, {
    method,
    headers: { cookie, 'content-type': type, 'idempotency-key': randomUUID() },
    ...(body === undefined ? {} : { body }),
  });
  cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? cookie;
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}: ${await answer.text()}`);
  return (await answer.json()) as Record<string, unknown>;
};
await send('POST', '/api/session', JSON.stringify({ name, password }));
const client = new HttpClient(cookie);
const ASKED = ['kn419g63dr', 'heron', '0w12', 'hb/19/45'];
const askOnce = async (i: number) =>
  (await client.get(server.port, `/api/ask?q=${encodeURIComponent(ASKED[i % ASKED.length]!)}`)).ms;

interface Watched {
  readonly ms: number;
  readonly asked: readonly number[];
  readonly memoryMb: readonly number[];
}

const WORKED = ['reading', 'sorting', 'writing', 'taking-back'];

const ASK_EVERY_MS = 250;

/** Waits until an import comes to a state, asking the ask line four times a second meanwhile, as a busy counter does. */
async function until(id: string, state: string): Promise<Watched> {
  const start = performance.now();
  const asked: number[] = [];
  const memory: number[] = [];
  for (let i = 0; ; i += 1) {
    const now = (await send('GET', `/api/imports/${id}`)) as { state: string; outcome: string | null };
    if (now.state === state) return { ms: performance.now() - start, asked, memoryMb: memory };
    if (!WORKED.includes(now.state)) throw new Error(`${now.state}: ${String(now.outcome)}`);
    memory.push(Math.max(...memoryMb(server)));
    asked.push(await askOnce(i));
    await sleep(ASK_EVERY_MS);
  }
}

const post = (path: string, body: object) => send('POST', path, JSON.stringify(body));
const versionOf = async (id: string) => (await send('GET', `/api/imports/${id}`)).version as number;
const done: { what: string; watched: Watched }[] = [];
const say = (what: string, watched: Watched) => {
  done.push({ what, watched });
  console.log(row(what, `${(watched.ms / 1000).toFixed(1)} s`, `${Math.max(0, ...watched.memoryMb)} MB`));
};

async function bring(what: string, list: string): Promise<{ readonly id: string; readonly ms: number }> {
  const { importId } = await send(
    'POST',
    '/api/imports?supplier=Eastgate&fileName=list.csv',
    list,
    'application/octet-stream',
  );
  const id = importId as string;
  let total = 0;
  const phase = async (which: string, state: string) => {
    const watched = await until(id, state);
    total += watched.ms;
    say(`${what}: ${which}`, watched);
  };
  await phase('read and sorted', 'sorted');
  if (what === 'fresh') {
    await post(`/api/imports/${id}/columns`, { version: await versionOf(id), newKind: 'plug' });
    await phase('sorted as plugs', 'sorted');
  }
  if (what !== 'same again') {
    await post(`/api/imports/${id}/write`, { version: await versionOf(id) });
    await phase('written', 'written');
  }
  console.log(JSON.stringify((await send('GET', `/api/imports/${id}`)).counts));
  return { id, ms: total };
}

async function takeBack(what: string, id: string): Promise<number> {
  await post(`/api/imports/${id}/take-back`, { version: await versionOf(id) });
  const watched = await until(id, 'taken-back');
  say(`${what}: taken back`, watched);
  return watched.ms;
}

const idle: number[] = [];
for (let i = 0; i < 240; i += 1) {
  const ms = await askOnce(i);
  if (i >= 40) idle.push(ms);
}
const fresh = listOf(false);
// Twice before and twice after: the machine has better minutes and worse ones.
const floors = [await copyAndNormalise(fresh), await copyAndNormalise(fresh)];
const freshList = await bring('fresh', fresh);
await bring('same again', fresh);
const leastMs = await floorOfRows();
console.log(row('the rows alone, then their indexes', `${(leastMs / 1000).toFixed(1)} s`));
const changedList = await bring('a tenth changed', listOf(true));
floors.push(await copyAndNormalise(fresh), await copyAndNormalise(fresh));
const floorMs = percentile(floors, 0.5);
console.log(row('COPY and normalise', floors.map((ms) => `${(ms / 1000).toFixed(1)} s`).join(', ')));
// The later first: its prices stand on the other's.
if (!keeps) await takeBack('a tenth changed', changedList.id);
const backMs = keeps ? undefined : await takeBack('fresh', freshList.id);
const busy = done.flatMap(({ watched }) => watched.asked);
console.table({
  'fresh ÷ COPY and normalise': { measured: (freshList.ms / floorMs).toFixed(1), target: 5 },
  'the rows alone, then their indexes ÷ COPY and normalise': { measured: (leastMs / floorMs).toFixed(1), target: '' },
  'a tenth changed ÷ COPY and normalise': { measured: (changedList.ms / floorMs).toFixed(1), target: 3.5 },
  ...(backMs === undefined
    ? {}
    : { 'fresh taken back ÷ COPY and normalise': { measured: (backMs / floorMs).toFixed(1), target: '' } }),
  'ask line meanwhile ÷ idle, p50': {
    measured: (percentile(busy, 0.5) / percentile(idle, 0.5)).toFixed(2),
    target: 1.5,
  },
  'ask line meanwhile, worst ms': { measured: Math.max(...busy).toFixed(0), target: '' },
  'memory, most MB': { measured: Math.max(...done.flatMap(({ watched }) => watched.memoryMb)), target: 'flat' },
});
client.close();
await watch.end();
await stopServer(server);
