import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import type { Slip } from '@brackenfell/contract/slip';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
const parts = new Map<string, string>();
let needsSupervisor = '';
beforeAll(async () => {
  counter = await openTestCounter();
  const wren = await counter.as('specialist');
  const { rows } = await fetchTray(wren, 'skerrow-sc20', '?most=100');
  for (const row of rows) parts.set(row.printed, row.partId);
  needsSupervisor = rows.find(({ verdict }) => verdict === 'needs-supervisor')!.printed;
  // Wherever only one thing is to stand in the way, the shelf does not.
  for (const printed of parts.keys()) await setStock(printed, 20);
});
afterAll(() => counter.close());

const GOOD = 'KN 419G-63DR';
const REACH_UNKNOWN = 'TS 500 231';
const setStock = (printed: string, onHand: number) =>
  sql`insert into stock (part_id, on_hand) values (${parts.get(printed)}, ${onHand})
      on conflict (part_id) do update set on_hand = ${onHand}`.execute(counter.owner);
const stockOf = async (printed: string) =>
  (await sql<{ on_hand: number }>`select on_hand from stock where part_id = ${parts.get(printed)}`.execute(counter.db))
    .rows[0]!.on_hand;
const begin = async (who: Agent, engineId = 'skerrow-sc20') =>
  (await write(who, 'post', '/api/slips', { engineId }).expect(201)).body as Slip;
const put = async (who: Agent, slip: Slip, printed: string, more: object = {}) =>
  (
    await write(who, 'post', `/api/slips/${slip.slipId}/lines`, {
      version: slip.version,
      partId: parts.get(printed),
      ...more,
    }).expect(201)
  ).body as Slip;
const collect = (who: Agent, slip: Slip) =>
  write(who, 'post', `/api/slips/${slip.slipId}/collect`, { version: slip.version });
const read = async (who: Agent, slip: Slip, value: unknown, more: object = {}) =>
  (
    await write(who, 'post', `/api/slips/${slip.slipId}/readings`, {
      version: slip.version,
      partId: parts.get(REACH_UNKNOWN),
      fact: 'plug.reachMm',
      value,
      how: 'gauged',
      ...more,
    }).expect(201)
  ).body as Slip;

describe.each(['specialist', 'starter', 'supervisor'] as const)('collected by a %s, a slip', (role) => {
  test.each([
    ['with an open question', 'skerrow-sc20', REACH_UNKNOWN, 'question'],
    ['with what waits for the supervisor', 'skerrow-sc20', 'of which one waits', 'waits-for-supervisor'],
    ['with what is refused since the engine changed', 'skerrow-sc20', GOOD, 'refused'],
    ['with more than is on the shelf', 'skerrow-sc20', GOOD, 'not-on-shelf'],
    ['with nothing sold', 'skerrow-sc20', undefined, 'nothing-sold'],
  ] as const)('%s stays open and says so', async (_, engine, printed, kind) => {
    const who = await counter.as(role);
    let slip = await begin(who, engine);
    await setStock(GOOD, 20);
    const before = await stockOf(GOOD);
    if (printed)
      slip = await put(
        who,
        slip,
        kind === 'waits-for-supervisor' ? needsSupervisor : printed,
        kind === 'not-on-shelf' ? { quantity: 21 } : { quantity: 1 },
      );
    if (kind === 'refused')
      slip = (
        await write(who, 'patch', `/api/slips/${slip.slipId}`, {
          version: slip.version,
          engineId: 'pellworth-pp20',
        }).expect(200)
      ).body as Slip;
    expect(slip.open.map((open) => open.kind)).toContain(kind);
    const answer = await collect(who, slip).expect(409);
    expect(answer.body).toMatchObject({ code: 'not-collected', open: slip.open });
    expect(((await who.get(`/api/slips/${slip.slipId}`)).body as Slip).state).toBe('open');
    expect(await stockOf(GOOD)).toBe(before);
    // Whatever an application sends, the database holds the same line; the shelf is held by its own.
    if (kind !== 'not-on-shelf')
      await expect(
        sql`update slip set state = 'collected' where id = ${slip.slipId}`.execute(counter.db),
      ).rejects.toThrow();
  });

  test('with all answered leaves the shelf emptier by what it sold, and is final', async () => {
    const who = await counter.as(role);
    await setStock(GOOD, 20);
    const slip = await put(who, await begin(who), GOOD);
    const sold = (await collect(who, slip).expect(200)).body as Slip;
    expect([sold.state, await stockOf(GOOD)]).toEqual(['collected', 16]);
    for (const rewrite of [
      sql`update slip set state = 'open' where id = ${slip.slipId}`,
      sql`update slip_line set quantity = 1 where slip_id = ${slip.slipId}`,
      sql`update slip_line set unit_price_minor = 1 where slip_id = ${slip.slipId}`,
      sql`update slip set docket = 1 where id = ${slip.slipId}`,
    ])
      await expect(rewrite.execute(counter.db)).rejects.toThrow(/final|permission denied/);
  });
});

describe('an open question answered where it stands', () => {
  test('by a reach typed once stays open; by two readings of the gauge that agree it is settled, for this slip alone', async () => {
    const wren = await counter.as('specialist');
    await setStock(REACH_UNKNOWN, 8);
    let slip = await put(wren, await begin(wren), REACH_UNKNOWN);
    slip = await read(wren, slip, 19, { how: 'typed' });
    expect(slip.lines[0]!.verdict).toBe('ask-first');
    slip = await write(wren, 'post', `/api/slips/${slip.slipId}/readings/${slip.readings[0]!.readingId}/withdraw`, {
      version: slip.version,
    })
      .expect(200)
      .then(({ body }) => body as Slip);
    slip = await read(wren, await read(wren, slip, 19.02), 19.06);
    expect(slip.lines[0]!.verdict).toBe('sell');
    expect(slip.lines[0]!.toldBefore[0]).toMatchObject({
      verdict: 'ask-first',
      changedBy: 'a reading of the piece in hand',
    });
    const tray = await fetchTray(wren, 'skerrow-sc20', `?slip=${slip.slipId}`);
    expect(rowOf(tray, REACH_UNKNOWN).verdict).toBe('sell');
    expect(rowOf(await fetchTray(wren, 'skerrow-sc20'), REACH_UNKNOWN).verdict).toBe('ask-first');
    await collect(wren, slip).expect(200);
  });

  test('by two readings of a long reach is refused', async () => {
    const wren = await counter.as('specialist');
    let slip = await put(wren, await begin(wren), REACH_UNKNOWN);
    slip = await read(wren, await read(wren, slip, 26.5), 26.45);
    expect(slip.lines[0]!.verdict).toBe('refuse');
    await collect(wren, slip).expect(409);
  });

  test('with what is no answer to it changes nothing', async () => {
    const wren = await counter.as('specialist');
    const slip = await put(wren, await begin(wren), REACH_UNKNOWN);
    const send = (body: object) =>
      write(wren, 'post', `/api/slips/${slip.slipId}/readings`, {
        version: slip.version,
        partId: parts.get(REACH_UNKNOWN),
        fact: 'plug.reachMm',
        how: 'gauged',
        ...body,
      });
    await send({ value: 'long' }).expect(400);
    await send({ value: true }).expect(400);
    await send({ value: 19, partId: null }).expect(400);
    await send({ value: 19, fact: 'plug.supply' }).expect(400);
    await send({ value: 'flat', fact: 'plug.seat', how: 'seen' }).expect(400);
  });
});

describe('a part put down twice', () => {
  test('is asked about, and meant it raises the one line', async () => {
    const wren = await counter.as('specialist');
    const slip = await put(wren, await begin(wren), GOOD);
    const again = { version: slip.version, partId: parts.get(GOOD) };
    const asked = await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, again).expect(409);
    expect(asked.body).toMatchObject({ code: 'already-there', detail: expect.stringMatching(/^4 are on it/) });
    const more = await put(wren, slip, GOOD, { onTop: true, quantity: 2 });
    expect(more.lines.map(({ quantity }) => quantity)).toEqual([6]);
  });
});

test('a collected slip copied to a new one is judged anew, and what may not be sold today stays behind', async () => {
  const wren = await counter.as('specialist');
  await setStock(GOOD, 20);
  const sold = (await collect(wren, await put(wren, await begin(wren), GOOD)).expect(200)).body as Slip;
  const copy = (await write(wren, 'post', `/api/slips/${sold.slipId}/copy`, {}).expect(201)).body as Slip;
  expect(copy).toMatchObject({ state: 'open', engineId: sold.engineId, lines: [{ quantity: 4, verdict: 'sell' }] });
});

test('of fifty tills that want the last ten boxes ten sell one, forty are told, and none is sold that is not there', async () => {
  const tills = await Promise.all(['specialist', 'starter', 'supervisor'].map((role) => counter.as(role as 'starter')));
  await setStock(GOOD, 10);
  const slips = await Promise.all(
    Array.from({ length: 50 }, async (_, i) => {
      const who = tills[i % tills.length]!;
      return { who, slip: await put(who, await begin(who), GOOD, { quantity: 1 }) };
    }),
  );
  const answers = await Promise.all(slips.map(({ who, slip }) => collect(who, slip)));
  expect(answers.filter(({ status }) => status === 200)).toHaveLength(10);
  const told = answers.filter(({ status }) => status === 409);
  expect(told).toHaveLength(40);
  expect(told.every(({ body }) => (body as { detail: string }).detail.includes('on the shelf'))).toBe(true);
  expect(await stockOf(GOOD)).toBe(0);
});
