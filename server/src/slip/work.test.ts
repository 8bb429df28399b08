import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { FittingPlan } from '@brackenfell/contract/fitting-plan';
import type { Slip } from '@brackenfell/contract/slip';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let [wren, perrin, isolde]: Agent[] = [];
beforeAll(async () => {
  counter = await openTestCounter();
  [wren, perrin, isolde] = await Promise.all([
    counter.as('specialist'),
    counter.as('starter'),
    counter.as('supervisor'),
  ]);
});
afterAll(() => counter.close());

const begin = async (body: object = { engineId: 'ostrel-ow12' }): Promise<Slip> =>
  (await write(wren!, 'post', '/api/slips', body).expect(201)).body as Slip;
const keep = (slip: Slip, kept: object, who: Agent = wren!) =>
  write(who, 'post', `/api/slips/${slip.slipId}/kept`, { version: slip.version, kept });
const swap = (...results: string[]): SlipKept => ({ kind: 'swap-test', code: 'P0302', results }) as SlipKept;

describe('work kept on a slip', () => {
  test('is the latest of each kind, and what was kept before stays written down', async () => {
    const first = (await keep(await begin(), swap('stayed')).expect(200)).body as Slip;
    const second = (await keep(first, swap('stayed', 'followed')).expect(200)).body as Slip;
    const fitted = { kind: 'fitted-set', part: 'coil', numbers: ['MS-C 1', ''] };
    const third = (await keep(second, fitted).expect(200)).body as Slip;
    expect(third.kept).toEqual([fitted, swap('stayed', 'followed')]);
    const rows = await counter.owner.selectFrom('slip_kept').selectAll().where('slip_id', '=', third.slipId).execute();
    expect(rows).toHaveLength(3);
  });

  test('is found by whoever takes the slip up', async () => {
    const kept = (await keep(await begin(), swap('followed')).expect(200)).body as Slip;
    const parked = (await write(wren!, 'post', `/api/slips/${kept.slipId}/park`, { version: kept.version }).expect(200))
      .body as Slip;
    const taken = (
      await write(perrin!, 'post', `/api/slips/${kept.slipId}/take-over`, { version: parked.version }).expect(200)
    ).body as Slip;
    expect(taken.kept).toEqual([swap('followed')]);
  });

  test('is its holder’s to write, against the slip as it stands, and once however often it is sent', async () => {
    const slip = await begin();
    expect((await keep(slip, swap('stayed'), perrin)).status).toBe(409);
    const key = randomUUID();
    const send = () =>
      wren!
        .post(`/api/slips/${slip.slipId}/kept`)
        .set('Idempotency-Key', key)
        .send({ version: slip.version, kept: swap('stayed') });
    const [one, again] = [await send().expect(200), await send().expect(200)];
    expect((again.body as Slip).version).toBe((one.body as Slip).version);
    expect((await keep(slip, swap('followed'))).body).toMatchObject({ code: 'changed-meanwhile' });
  });

  test.each([
    ['a result nobody can give', { kind: 'swap-test', code: '2', results: ['perhaps'] }],
    ['more swaps than can be made', { kind: 'swap-test', code: '2', results: Array(5).fill('stayed') }],
    ['a kind of work there is none of', { kind: 'poem', text: 'la' }],
    ['more places than an engine has', { kind: 'fitted-set', part: 'plug', numbers: Array(60).fill('1') }],
    ['half a surrogate', { kind: 'fitted-set', part: 'plug', numbers: ['\ud800'] }],
  ])('refuses %s by field and keeps nothing', async (_, kept) => {
    const slip = await begin();
    expect((await keep(slip, kept)).status).toBe(400);
    expect(((await wren!.get(`/api/slips/${slip.slipId}`)).body as Slip).kept).toEqual([]);
  });

  test('goes no further than its slip: a copy begins without it', async () => {
    const kept = (await keep(await begin(), swap('stayed')).expect(200)).body as Slip;
    const ended = (
      await write(wren!, 'post', `/api/slips/${kept.slipId}/end`, { version: kept.version, reason: 'price' }).expect(
        200,
      )
    ).body as Slip;
    expect((await keep(ended, swap('followed'))).status).toBe(409);
    const copy = (await write(wren!, 'post', `/api/slips/${kept.slipId}/copy`, {}).expect(201)).body as Slip;
    expect([copy.kept, copy.rules]).toEqual([[], []]);
  });
});

describe('a phone number on a slip', () => {
  test('is a field of its own, and finds the slip however it is spaced', async () => {
    const slip = await begin({ customer: 'Ferns Garage', phone: '01632 960 417' });
    expect(slip).toMatchObject({ customer: 'Ferns Garage', phone: '01632 960 417' });
    const ask = async (q: string) =>
      ((await wren!.get('/api/ask').query({ q }).expect(200)).body as { slips: { slipId: string }[] }).slips;
    for (const q of ['01632960417', '960-417', '(01632) 960417'])
      expect((await ask(q)).map(({ slipId }) => slipId)).toContain(slip.slipId);
    expect((await ask('960418')).map(({ slipId }) => slipId)).not.toContain(slip.slipId);
  });
});

describe('a rule settled on the slip', () => {
  test('takes a school it has, with a reason, or is asked back by field', async () => {
    const slip = await begin();
    const settle = (rule: string, body: object) =>
      write(wren!, 'post', `/api/slips/${slip.slipId}/rules/${rule}`, { version: slip.version, ...body });
    expect((await settle('grease', { school: 'lard', reason: 'as asked' })).status).toBe(400);
    expect((await settle('grease', { school: 'dry', reason: '' })).status).toBe(400);
    expect((await settle('colour', { school: 'dry', reason: 'as asked' })).status).toBe(400);
    expect(((await wren!.get(`/api/slips/${slip.slipId}`)).body as Slip).rules).toEqual([]);
  });

  test('moves the tray of that slip and no other, and the supervisor settles it on a slip a colleague holds', async () => {
    const slip = await begin({ engineId: 'dunmarrow-hf22' });
    const settled = await write(isolde!, 'post', `/api/slips/${slip.slipId}/rules/electrodeUpgrade`, {
      version: slip.version,
      school: 'allowed',
      reason: 'keeps a log',
    });
    expect(settled.status).toBe(200);
    const verdictIn = async (query: string) =>
      rowOf(await fetchTray(wren!, 'dunmarrow-hf22', `?most=400${query}`), 'IVX-D12T-F09').verdict;
    expect(await verdictIn(`&slip=${slip.slipId}`)).toBe('sell-with-advice');
    expect(await verdictIn('')).toBe('needs-supervisor');
  });

  test('and what was found on the vehicle reaches its order of work', async () => {
    const slip = await begin({ engineId: 'thrushgill-tc18' });
    const read = await write(wren!, 'post', `/api/slips/${slip.slipId}/readings`, {
      version: slip.version,
      partId: null,
      fact: 'position.hasBattery',
      value: false,
      how: 'seen',
    });
    expect(read.status).toBe(201);
    const row = (await fetchTray(wren!, 'thrushgill-tc18')).rows[0]!;
    const plan = async (query: string) =>
      (
        (await wren!.get(`/api/engines/thrushgill-tc18/fitting-plan?part=${row.partId}${query}`).expect(200))
          .body as FittingPlan
      ).steps
        .map(({ says }) => says)
        .join(' ');
    expect(await plan(`&slip=${slip.slipId}`)).toContain('No battery here');
    expect(await plan('')).toContain('Battery negative off');
  });
});
