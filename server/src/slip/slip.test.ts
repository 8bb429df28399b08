import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Slip } from '@brackenfell/contract/slip';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
let isolde: Agent;
const parts = new Map<string, string>();
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
  isolde = await counter.as('supervisor');
  for (const row of (await fetchTray(wren, 'skerrow-sc20')).rows) parts.set(row.printed, row.partId);
});
afterAll(() => counter.close());

const begin = async (body: object = { engineId: 'skerrow-sc20' }): Promise<Slip> =>
  (await write(wren, 'post', '/api/slips', body).expect(201)).body as Slip;
const add = (slip: Slip, printed: string, more: object = {}, agent = wren) =>
  write(agent, 'post', `/api/slips/${slip.slipId}/lines`, {
    version: slip.version,
    partId: parts.get(printed)!,
    ...more,
  });
const move = (slip: Slip, action: string, agent = wren) =>
  write(agent, 'post', `/api/slips/${slip.slipId}/${action}`, { version: slip.version });

describe('a line put on a slip', () => {
  test('is judged again by the server and stored as told, with quantity and price for all its positions', async () => {
    const { body } = await add(await begin(), 'KN 419G-63DR').expect(201);
    const slip = body as Slip;
    expect(slip.lines[0]).toMatchObject({
      quantity: 4,
      unitPriceMinor: 940,
      verdict: 'sell',
      positions: ['1', '2', '3', '4'],
      judgedBy: 'Wren',
    });
    expect(slip.open).toEqual([]);
    const told = await wren.get(`/api/slips/${slip.slipId}/lines/${slip.lines[0]!.lineId}/told`).expect(200);
    expect(told.body.told).toHaveLength(16);
    expect([slip.goodsMinor, slip.taxMinor, slip.totalMinor]).toEqual([3760, 752, 4512]);
  });

  test('that is refused can be noted as the customer’s own, never sold', async () => {
    const slip = await begin();
    const refused = await add(slip, 'KN 426G-63DR').expect(409);
    expect(refused.body).toMatchObject({ code: 'not-allowed-now' });
    const { body } = await add(slip, 'KN 426G-63DR', { kind: 'customers-own' }).expect(201);
    expect((body as Slip).lines[0]).toMatchObject({ kind: 'customers-own', unitPriceMinor: null, verdict: 'refuse' });
    expect((body as Slip).totalMinor).toBe(0);
  });

  test('that must be asked first carries its question', async () => {
    const { body } = await add(await begin(), 'TS 500 231').expect(201);
    expect((body as Slip).open).toMatchObject([
      { kind: 'question', says: 'Measure from the seat face to the end of the shell, in mm.', facts: ['plug.reachMm'] },
    ]);
  });

  test('without an engine is not judged, and asks which engine', async () => {
    const { body } = await add(await begin({}), 'KN 419G-63DR').expect(201);
    expect((body as Slip).lines[0]!.verdict).toBeNull();
    expect((body as Slip).open[0]).toMatchObject({ kind: 'not-judged', says: expect.stringMatching(/Which engine/) });
  });

  test('is judged anew when the engine changes; what was told before is kept', async () => {
    const { body: first } = await add(await begin(), 'KN 419G-63DR').expect(201);
    const { slipId, version, lines } = first as Slip;
    const { body } = await write(wren, 'patch', `/api/slips/${slipId}`, {
      version,
      engineId: 'aldersyke-ak23s',
    }).expect(200);
    expect((body as Slip).lines[0]!.verdict).toBe('refuse');
    expect((body as Slip).open[0]).toMatchObject({ kind: 'refused', says: expect.stringMatching(/take it off/) });
    expect((body as Slip).goodsMinor).toBe(0);
    const kept = await counter.db
      .selectFrom('judgement')
      .select('verdict')
      .where('slip_line_id', '=', lines[0]!.lineId)
      .orderBy('id')
      .execute();
    expect(kept.map((j) => j.verdict)).toEqual(['sell', 'refuse']);
  });

  test('can be changed, taken off and put back', async () => {
    let slip = (await add(await begin(), 'KN 419G-63DR')).body as Slip;
    const path = `/api/slips/${slip.slipId}/lines/${slip.lines[0]!.lineId}`;
    slip = (await write(wren, 'patch', path, { version: slip.version, quantity: 2 }).expect(200)).body as Slip;
    expect(slip.goodsMinor).toBe(1880);
    slip = (await write(wren, 'post', `${path}/remove`, { version: slip.version }).expect(200)).body as Slip;
    expect(slip.lines).toEqual([]);
    slip = (await write(wren, 'post', `${path}/restore`, { version: slip.version }).expect(200)).body as Slip;
    expect(slip.lines[0]).toMatchObject({ quantity: 2, verdict: 'sell' });
    await write(wren, 'post', `${path}/restore`, { version: slip.version }).expect(404);
  });
});

describe('a job for several engines', () => {
  test('takes plugs for each of them', async () => {
    const begun = await begin({ engineId: 'skerrow-sc20', engineCount: 2 });
    const { lines, engineCount } = (await add(begun, 'KN 419G-63DR').expect(201)).body as Slip;
    expect([engineCount, lines[0]!.quantity]).toEqual([2, 8]);
    await write(wren, 'patch', `/api/slips/${begun.slipId}`, { version: begun.version, engineCount: 0 }).expect(400);
  });
});

describe('two people and one slip', () => {
  test('the second of two changes to one version is refused and told who was first', async () => {
    const slip = await begin();
    await write(wren, 'patch', `/api/slips/${slip.slipId}`, {
      version: slip.version,
      customer: 'Ling Moor Farm',
    }).expect(200);
    const late = await write(wren, 'patch', `/api/slips/${slip.slipId}`, {
      version: slip.version,
      customer: 'Windle Quarry',
    }).expect(409);
    expect(late.body).toMatchObject({ code: 'changed-meanwhile', detail: expect.stringContaining('Wren') });
    expect((await wren.get(`/api/slips/${slip.slipId}`)).body.customer).toBe('Ling Moor Farm');
  });

  test('ten at once on one version: one wins, nothing is half-written', async () => {
    const slip = await begin();
    const answers = await Promise.all(Array.from({ length: 10 }, () => add(slip, 'KN 419G-63DR')));
    expect(answers.filter((a) => a.status === 201)).toHaveLength(1);
    expect(answers.filter((a) => a.status === 409)).toHaveLength(9);
    expect((await wren.get(`/api/slips/${slip.slipId}`)).body.lines).toHaveLength(1);
  });

  test('a slip is written on by its holder alone; a colleague takes it over first', async () => {
    const slip = await begin();
    const theirs = await add(slip, 'KN 419G-63DR', {}, isolde).expect(409);
    expect(theirs.body.detail).toMatch(/^Wren holds slip \d+: take it over first/);
    const taken = (await move(slip, 'take-over', isolde).expect(200)).body as Slip;
    await add(taken, 'KN 419G-63DR', {}, isolde).expect(201);
    const perrin = await counter.as('starter');
    const asked = await move({ ...taken, version: taken.version + 1 }, 'take-over', perrin).expect(403);
    expect(asked.body.detail).toMatch(/Isolde holds slip/);
  });

  test('one is parked, taken over by a colleague and ended with its reason, which is final', async () => {
    let slip = (await move(await begin(), 'park').expect(200)).body as Slip;
    expect(slip.state).toBe('parked');
    await add(slip, 'KN 419G-63DR').expect(409);
    const parked = (await isolde.get('/api/slips?states=parked')).body as { slips: { slipId: string }[] };
    expect(parked.slips.map((s) => s.slipId)).toContain(slip.slipId);
    slip = (await move(slip, 'take-over', isolde).expect(200)).body as Slip;
    expect(slip).toMatchObject({ state: 'open', holder: 'Isolde' });
    await write(isolde, 'post', `/api/slips/${slip.slipId}/end`, { version: slip.version }).expect(400);
    const end = { version: slip.version, reason: 'price' };
    slip = (await write(isolde, 'post', `/api/slips/${slip.slipId}/end`, end).expect(200)).body as Slip;
    expect(slip).toMatchObject({ state: 'ended', endReason: 'price' });
    for (const action of ['park', 'take-over', 'collect']) await move(slip, action, isolde).expect(409);
    await write(wren, 'patch', `/api/slips/${slip.slipId}`, { version: slip.version, customer: 'X' }).expect(409);
  });
});

describe('a retry', () => {
  test('under the same key gives the first answer again and writes nothing twice', async () => {
    const key = randomUUID();
    const slip = await begin();
    const body = { version: slip.version, partId: parts.get('KN 419G-63DR')! };
    const path = `/api/slips/${slip.slipId}/lines`;
    const first = await write(wren, 'post', path, body, key).expect(201);
    const again = await write(wren, 'post', path, body, key).expect(201);
    expect(again.body).toEqual(first.body);
    expect((again.body as Slip).lines).toHaveLength(1);
  });

  test('under a key that another call used is refused', async () => {
    const key = randomUUID();
    await write(wren, 'post', '/api/slips', {}, key).expect(201);
    expect((await write(wren, 'post', '/api/slips', { customer: 'Walk-in' }, key).expect(422)).body.code).toBe(
      'key-reused',
    );
    expect((await write(isolde, 'post', '/api/slips', {}, key).expect(422)).body.code).toBe('key-reused');
  });

  test('of a call that was refused is free to be tried again', async () => {
    const key = randomUUID();
    const slip = await begin();
    await write(wren, 'post', `/api/slips/${slip.slipId}/notes`, { version: 99, text: 'late' }, key).expect(409);
    await write(wren, 'post', `/api/slips/${slip.slipId}/notes`, { version: slip.version, text: 'in time' }, key)
      .expect(201)
      .catch(() => undefined);
    expect((await wren.get(`/api/slips/${slip.slipId}`)).body.notes).toHaveLength(1);
  });
});

describe('what was done', () => {
  test('is written down with who, when, and what it was before', async () => {
    const slip = await begin({ customer: 'Walk-in' });
    await write(wren, 'patch', `/api/slips/${slip.slipId}`, {
      version: slip.version,
      customer: 'Fellside Rescue',
    }).expect(200);
    const entries = await counter.db
      .selectFrom('change_entry')
      .selectAll()
      .where('subject', '=', 'slip')
      .where('subject_id', '=', slip.slipId)
      .orderBy('id')
      .execute();
    expect(entries.map((e) => [e.action, e.before, e.after])).toEqual([
      ['create', null, { customer: 'Walk-in' }],
      ['change', { customer: 'Walk-in' }, { customer: 'Fellside Rescue' }],
    ]);
  });

  test('cannot be rewritten by the application itself', async () => {
    for (const table of ['judgement', 'change_entry', 'figure', 'slip_note'] as const) {
      await expect(counter.db.deleteFrom(table).execute()).rejects.toThrow(/permission denied/);
    }
    await expect(counter.db.updateTable('judgement').set({ verdict: 'sell' }).execute()).rejects.toThrow(
      /permission denied/,
    );
  });

  test('a part of no engine, an engine of no catalogue and a dangling line are refused by field', async () => {
    const slip = await begin();
    expect((await write(wren, 'post', '/api/slips', { engineId: 'no-such' })).body.fields).toEqual({
      engineId: 'no such engine',
    });
    expect((await write(wren, 'post', '/api/slips', { inHandPartId: '999999' })).body.fields).toEqual({
      inHandPartId: 'no such part',
    });
    expect(
      (await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, { version: slip.version, partId: '999999' })).body
        .fields,
    ).toEqual({ partId: 'no such part' });
    expect((await add(slip, 'KN 419G-63DR', { positionId: '999999' })).body.fields).toEqual({
      positionId: 'no such position',
    });
    expect(rowOf(await fetchTray(wren, 'skerrow-sc20'), 'KN 419G-63DR').verdict).toBe('sell');
  });
});
