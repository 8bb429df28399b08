import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { longestBetween } from '../db/long-statements.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { SlowCalls, Stalls, whyOf } from './slow-calls.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const call = { route: '/api/slips/:slipId', method: 'GET', status: 200 };

test('the longest statement that ran while a call waited is known, without its values', async () => {
  const began = performance.now();
  await sql`select 1`.execute(counter.db);
  expect(longestBetween(began, performance.now())).toBeUndefined();
  await sql`select   pg_sleep(${0.3})`.execute(counter.db);
  const ended = performance.now();
  expect(longestBetween(began, ended)).toMatchObject({ sql: 'select pg_sleep($1)' });
  expect(longestBetween(began, ended)!.ms).toBeGreaterThanOrEqual(300);
  expect(longestBetween(ended + 1, ended + 1000)).toBeUndefined();
});

test('why a call was slow: the statement or the reckoning that took a third of it, both, or neither', () => {
  const statement = { sql: 'select 1', ms: 400, endedAt: 0 };
  expect(whyOf(1200, statement, 0)).toBe('A statement of 400 ms ran meanwhile: select 1');
  expect(whyOf(1201, statement, 0)).toBe('Nothing took long by itself: it waited its turn, here or at the database.');
  expect(whyOf(1200, undefined, 400)).toBe('The server reckoned at something else for 400 ms.');
  expect(whyOf(1200, statement, 700)).toBe(
    'The server reckoned at something else for 700 ms. A statement of 400 ms ran meanwhile: select 1',
  );
});

test('a process that was not to be spoken to is charged for as much of it as fell into the call', () => {
  const stalls = new Stalls();
  stalls.note(1000, 1500);
  stalls.note(3000, 3100);
  expect(stalls.between(0, 900)).toBe(0);
  expect(stalls.between(1200, 3050)).toBe(350);
  expect(stalls.between(0, 9000)).toBe(600);
});

test('of slow calls the latest thirty are kept; one that took less than a second is none', () => {
  const slow = new SlowCalls(new Stalls());
  expect(slow.note(call, 0, 999)).toBeUndefined();
  expect(slow.note(call, 0, 1000.4)).toMatchObject({ ...call, ms: 1000 });
  for (let i = 0; i < 40; i += 1) slow.note(call, 0, 2000 + i);
  expect(slow.latest).toHaveLength(30);
  expect(slow.latest[0]!.ms).toBe(2039);
});

test('the supervisor is told how server, disk and queue stand, and what was slow; nobody else is', async () => {
  const isolde = await counter.as('supervisor');
  const asked = await counter.owner
    .insertInto('job')
    .values((eb) => ({ kind: 'audit', asked_by: eb.selectFrom('staff').select('id').where('name', '=', 'Corwin') }))
    .returning('id')
    .executeTakeFirstOrThrow();
  const { body } = await isolde.get('/api/shop/state').expect(200);
  expect(body.queue).toEqual([
    expect.objectContaining({ jobId: asked.id, kind: 'audit', askedBy: 'Corwin', tries: 0 }),
  ]);
  // What failed long ago is no news.
  await counter.owner
    .insertInto('job')
    .values((eb) =>
      [2, 30].map((hours) => ({
        kind: 'audit' as const,
        state: 'failed' as const,
        asked_by: eb.selectFrom('staff').select('id').where('name', '=', 'Corwin'),
        ended_at: new Date(Date.now() - hours * 3_600_000),
      })),
    )
    .execute();
  const later = await isolde.get('/api/shop/state').expect(200);
  expect([body.failedLately, later.body.failedLately]).toEqual([0, 1]);
  expect(body.server.disk.freeBytes).toBeGreaterThan(0);
  expect(body.server.disk.freeBytes < body.server.disk.bytes).toBe(true);
  expect(body.server.memoryBytes).toBeGreaterThan(10_000_000);
  expect(Array.isArray(body.slow)).toBe(true);
  await (await counter.as('specialist')).get('/api/shop/state').expect(403);
});
