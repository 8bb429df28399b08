import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { TOPICS } from '@brackenfell/contract/live-line';
import type { Tidings } from '@brackenfell/contract/live';
import { demoStaff } from '@brackenfell/demo/staff';
import { openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';
import { listen } from '../tidings/listen-store.ts';
import { Page } from '../tidings/live.ts';

/** As long as a word may take to a page: the promise is two seconds. */
const SOON_MS = 2000;

let counter: TestCounter;
let wren: Agent;
let server: Server;
let listening: { stop: () => void };
let lost = 0;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
  server = createServer(counter.app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  listening = listen(counter.url, counter.live, () => (lost += 1));
});
afterAll(async () => {
  listening.stop();
  counter.live.close();
  server.closeAllConnections();
  server.close();
  await counter.close();
});

const open: AbortController[] = [];
afterEach(() => {
  for (const one of open.splice(0)) one.abort();
});

const at = (path: string) => `http://127.0.0.1:${(server.address() as AddressInfo).port}${path}`;

/** Another till: signs in, opens a page, and gives what it was told as it comes. */
async function openTill(role: 'specialist' | 'supervisor' = 'specialist') {
  const { name, password } = demoStaff.find((person) => person.role === role)!;
  const signedIn = await fetch(at('/api/session'), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, password }),
  });
  const cookie = signedIn.headers.get('set-cookie')!.split(';')[0]!;
  const leaves = new AbortController();
  open.push(leaves);
  const stream = await fetch(at('/api/live'), { headers: { cookie }, signal: leaves.signal });
  const told: Tidings[] = [];
  let ended = false;
  const read = async () => {
    const decoder = new TextDecoder();
    for await (const bytes of stream.body!) {
      for (const part of decoder.decode(bytes as Uint8Array).split('\n\n')) {
        const [name, data] = part.split('\n');
        if (name === 'event: tidings') told.push(JSON.parse(data!.slice('data: '.length)) as Tidings);
      }
    }
    ended = true;
  };
  read().catch(() => undefined);
  /** Waits until it is so; false where it is not so in time. */
  const soon = async (isSo: () => boolean): Promise<boolean> => {
    const until = Date.now() + SOON_MS;
    while (!isSo() && Date.now() < until) await sleep(10);
    return isSo();
  };
  // The line is open before anything is done: the database has to be listened to as well.
  while (!(await isListened())) await sleep(20);
  return { stream, told, soon, isEnded: () => ended, cookie };
}

const isListened = async (): Promise<boolean> => {
  const { rows } = await sql<{ pid: number }>`select pid from pg_stat_activity where ${ofListener()}`.execute(
    counter.superuser,
  );
  return rows.length > 0;
};

/** The connection that listens, among all of the cluster. */
const ofListener = () =>
  sql`datname = ${new URL(counter.url).pathname.slice(1)} and query in ('listen brackenfell', 'select 1')`;

describe('what is done at one till is told to every other', () => {
  test('a slip that is begun and noted on, by its number and version', async () => {
    const till = await openTill();
    const begun = (await write(wren, 'post', '/api/slips', { engineId: 'aldersyke-as22' }).expect(201)).body as {
      slipId: string;
    };
    expect(await till.soon(() => till.told.some(({ slips }) => slips.some((s) => s.slipId === begun.slipId)))).toBe(
      true,
    );
    expect(till.stream.headers.get('content-type')).toContain('text/event-stream');
    expect(till.stream.headers.get('cache-control')).toBe('no-store, no-transform');
  });

  test('a batch that is held, by the part it is of', async () => {
    const till = await openTill();
    const { id, part_id, version } = await counter.owner
      .selectFrom('batch')
      .select(['id', 'part_id', 'version'])
      .where('state', '=', 'open')
      .executeTakeFirstOrThrow();
    const isolde = await counter.as('supervisor');
    await write(isolde, 'post', `/api/batches/${id}/hold`, { version, reason: 'The seals are broken.' }).expect(200);
    expect(await till.soon(() => till.told.some(({ parts }) => parts.includes(part_id)))).toBe(true);
  });

  test('a house rule that is chosen, and a list of prices as one word', async () => {
    const till = await openTill();
    await counter.owner
      .insertInto('house_rule_choice')
      .values((eb) => ({
        rule: 'grease',
        school: 'smear',
        condition: null,
        staff_id: eb.selectFrom('staff').select('id').limit(1),
      }))
      .execute();
    expect(await till.soon(() => till.told.some(({ topics }) => topics.includes('rules')))).toBe(true);
    await counter.owner.updateTable('price').set({ pack_of: 1 }).execute();
    expect(await till.soon(() => till.told.some(({ topics }) => topics.includes('shelf')))).toBe(true);
    expect(till.told.flatMap(({ parts }) => parts)).toEqual([]);
  });
});

describe('a line that is lost', () => {
  test('of the server to its database, is made anew, and every page told that it may have missed something', async () => {
    const till = await openTill();
    const before = lost;
    await sql`select pg_terminate_backend(pid) from pg_stat_activity where ${ofListener()}`.execute(counter.superuser);
    expect(await till.soon(() => till.told.some(({ gap }) => gap))).toBe(true);
    expect(lost).toBe(before + 1);
    // And is heard again.
    await write(wren, 'post', '/api/slips', {}).expect(201);
    expect(await till.soon(() => till.told.some(({ slips }) => slips.length > 0))).toBe(true);
  });

  test('of a page that leaves, is forgotten', async () => {
    const till = await openTill();
    expect(counter.live.pages).toBeGreaterThan(0);
    for (const one of open.splice(0)) one.abort();
    expect(await till.soon(() => counter.live.pages === 0)).toBe(true);
  });
});

test('whoever is signed out is told nothing more', async () => {
  const till = await openTill('supervisor');
  await fetch(at('/api/session'), { method: 'DELETE', headers: { cookie: till.cookie } });
  expect(await till.soon(till.isEnded)).toBe(true);
  const { length } = till.told;
  await write(wren, 'post', '/api/slips', {}).expect(201);
  expect(till.told).toHaveLength(length);
});

test('a session that ends while its page gathers what to tell is told nothing of it', async () => {
  const page = new Page();
  let mayHear = true;
  const leaves = new AbortController();
  const events = page.events(leaves.signal, () => Promise.resolve(mayHear));
  await events.next();
  page.tell('people');
  const told = events.next();
  await sleep(10);
  mayHear = false;
  page.tell('people');
  expect((await told).done).toBe(true);
});

test('one that ends while it is asked whether it may hear is asked again at once', async () => {
  const page = new Page();
  const answers = [true, false];
  const leaves = new AbortController();
  const events = page.events(leaves.signal, () => {
    page.tell('people');
    return Promise.resolve(answers.shift()!);
  });
  await events.next();
  page.tell('people');
  expect((await events.next()).done).toBe(false);
  expect((await events.next()).done).toBe(true);
});

/** What follows from a write that is told, or that no page shows by itself. */
const UNTOLD = [
  // Read by the catalogue's version, which is told.
  ...[
    'attribute',
    'chosen_figure',
    'class_list',
    'coil_spec',
    'distributor_spec',
    'engine',
    'engine_position',
    'figure',
  ],
  ...['heat_rating', 'kit_part', 'lead_set', 'listing', 'maker', 'maker_grammar', 'name_neighbour', 'named_number'],
  ...['part', 'part_name', 'plug_spec', 'reference', 'sundry', 'supplier_price', 'vehicle'],
  // Written with the slip, whose version is told.
  ...[
    'gap_reading',
    'judgement',
    'piece_reading',
    'release',
    'slip_kept',
    'slip_line',
    'slip_note',
    'slip_rule_choice',
  ],
  // Written with a batch, an import or a job, which are told; or told to nobody.
  ...['audit_finding', 'change_entry', 'list_file', 'list_made', 'list_mapping', 'list_row', 'request_receipt'],
  ...['stock_movement', 'kysely_migration', 'kysely_migration_lock'],
];

test('every table is told of, or follows from one that is: a new one has to be put on one side', async () => {
  const { rows } = await sql<{ name: string }>`select c.relname as name from pg_class c
    join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
    where c.relkind = 'r' and not exists (select from pg_trigger t where t.tgrelid = c.oid and t.tgname like 'tell%')
    order by 1`.execute(counter.owner);
  expect(rows.map(({ name }) => name)).toEqual([...UNTOLD].sort());
});

test('every word that a trigger says is a topic that pages know', async () => {
  const { rows } = await sql<{ word: string }>`select distinct encode(tgargs, 'escape') as word from pg_trigger
    where tgname = 'tell' and tgnargs = 1`.execute(counter.owner);
  // An argument ends with a byte of nothing.
  const said = rows.map(({ word }) => word.replace('\\000', ''));
  expect(said.sort()).toEqual([...TOPICS].sort());
});

test('a page that is slow to read is told one word a topic, a part and a slip, and the newest of each', async () => {
  const page = new Page();
  const leaves = new AbortController();
  const events = page.events(leaves.signal, () => Promise.resolve(true));
  await events.next();
  for (let version = 1; version <= 500; version += 1) {
    page.tellSlip('7', version);
    page.tell('work');
    page.tellPart('3');
  }
  const { value } = await events.next();
  expect(JSON.parse((value as string).split('data: ')[1]!)).toEqual({
    topics: ['work'],
    parts: ['3'],
    slips: [{ slipId: '7', version: 500 }],
    gap: false,
  });
  leaves.abort();
  expect((await events.next()).done).toBe(true);
});
