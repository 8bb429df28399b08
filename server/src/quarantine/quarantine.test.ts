import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { sql } from 'kysely';
import type { Delivery } from '@brackenfell/contract/delivery';
import type { Batch, SellerRecord } from '@brackenfell/contract/quarantine';
import type { Slip } from '@brackenfell/contract/slip';
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

const NUMBER = 'KN 419G-61DR';
const ENGINE = 'skerrow-sc20';
const REASON = 'gaps scattered on two of them';

async function partOf(printed: string): Promise<string> {
  const answer = await wren!.get(`/api/part-numbers/${encodeURIComponent(printed)}`).expect(200);
  return (answer.body as { parts: { partId: string }[] }).parts[0]!.partId;
}
async function sellerOf(name: string): Promise<SellerRecord> {
  const { sellers } = (await wren!.get('/api/sellers').expect(200)).body as { sellers: SellerRecord[] };
  return sellers.find((seller) => seller.name === name)!;
}
/** Takes in pieces of a part; gives the line of the delivery, a batch. */
async function receive(printed: string, quantity: number, more: object = {}, seller = 'Eastgate Clearance') {
  const [partId, { sellerId }] = await Promise.all([partOf(printed), sellerOf(seller)]);
  const lines = [{ partId, quantity, ...more }];
  return ((await write(wren!, 'post', '/api/deliveries', { sellerId, lines }).expect(201)).body as Delivery).lines[0]!;
}
const batch = async (batchId: string): Promise<Batch> =>
  (await wren!.get(`/api/batches/${batchId}`).expect(200)).body as Batch;
const hold = async (batchId: string, who = wren!): Promise<Batch> =>
  (
    await write(who, 'post', `/api/batches/${batchId}/hold`, {
      version: (await batch(batchId)).version,
      reason: REASON,
    }).expect(200)
  ).body as Batch;
const show = async (slipId: string): Promise<Slip> =>
  (await wren!.get(`/api/slips/${slipId}`).expect(200)).body as Slip;

/** A slip with two pieces of a part, of a named batch where one is given. */
async function slipWith(partId: string, batchId?: string, who = wren!): Promise<Slip> {
  const slip = (await write(who, 'post', '/api/slips', { engineId: ENGINE }).expect(201)).body as Slip;
  let lined = (
    await write(who, 'post', `/api/slips/${slip.slipId}/lines`, { version: 1, partId, quantity: 2 }).expect(201)
  ).body as Slip;
  // What waits for the supervisor is released, so that only the batch stands in the way.
  if (lined.lines[0]!.verdict === 'needs-supervisor')
    lined = (
      await write(isolde!, 'post', `/api/slips/${slip.slipId}/lines/${lined.lines[0]!.lineId}/release`, {
        version: lined.version,
        reason: 'seen with the customer',
      }).expect(200)
    ).body as Slip;
  if (batchId === undefined) return lined;
  const at = `/api/slips/${slip.slipId}/lines/${lined.lines[0]!.lineId}`;
  return (await write(who, 'patch', at, { version: lined.version, batchId }).expect(200)).body as Slip;
}
const close = (slip: Pick<Slip, 'slipId' | 'version'>, who = wren!, key?: string) =>
  write(who, 'post', `/api/slips/${slip.slipId}/collect`, { version: slip.version }, key);

/** Pieces of a batch that went out of the door. */
const soldOf = async (batchId: string): Promise<number> => (await batch(batchId)).sold;

describe('a batch in quarantine', () => {
  test('is told on every open slip that would sell of it, and none of these can be collected', async () => {
    const line = await receive(NUMBER, 6, { code: 'M26 30 01' });
    const [named, unnamed] = [await slipWith(line.partId, line.batchId), await slipWith(line.partId)];
    await hold(line.batchId);
    for (const { slipId } of [named, unnamed]) {
      const told = await show(slipId);
      expect(told.notes.at(-1)?.text).toMatch(/^Batch M26 30 01 of KN 419G-61DR is held in quarantine/);
      expect(told.lines[0]!.held).toMatch(/in quarantine/);
      expect(told.open.map(({ says }) => says)).toContain(told.lines[0]!.held);
      const refused = await close(told).expect(409);
      expect((refused.body as { detail: string }).detail).toMatch(/held in quarantine/);
      expect((await show(slipId)).state).toBe('open');
    }
    expect(await soldOf(line.batchId)).toBe(0);
  });

  test('does not stop another batch of the number, once it is said which the pieces are from', async () => {
    const good = await receive(NUMBER, 4, { code: 'M26 31 01' }, 'Kestrane depot');
    const slip = await slipWith(good.partId, good.batchId);
    await close(slip).expect(200);
    expect(await soldOf(good.batchId)).toBe(2);
    expect((await batch(good.batchId)).onHand).toBe(2);
  });

  test('is refused in the tray while nothing else of the number is left, and no longer when something arrives', async () => {
    const printed = 'KN 419G-65DR';
    const partId = await partOf(printed);
    await sql`update stock set on_hand = 0 where part_id = ${partId}`.execute(counter.owner);
    const line = await receive(printed, 3, { code: 'M26 32 01' });
    const supplyOf = async () => {
      const tray = await fetchTray(wren!, ENGINE);
      const finding = rowOf(tray, printed).findings.find(({ check }) => check === 'supply')!;
      return [finding.outcome, tray.sources[finding.sources[0]!]!.source.name];
    };
    expect((await supplyOf())[0]).toBe('match');
    await hold(line.batchId);
    expect(await supplyOf()).toEqual(['refuse', 'Quarantine, batch M26 32 01']);
    // What is held is not counted as free to sell.
    expect(rowOf(await fetchTray(wren!, ENGINE), printed)).toMatchObject({ onHand: 0, held: 3 });
    await receive(printed, 2, { code: 'M26 33 01' }, 'Kestrane depot');
    expect((await supplyOf())[0]).toBe('match');
  });

  test('only a supervisor lets go of, with a reason, and it counts in the seller’s record', async () => {
    const line = await receive(NUMBER, 4, { code: 'M26 34 01' });
    const before = await sellerOf('Eastgate Clearance');
    const held = await hold(line.batchId, perrin);
    expect((await sellerOf('Eastgate Clearance')).settled).toBe(before.settled);
    const at = `/api/batches/${line.batchId}/settle`;
    for (const who of [wren!, perrin!])
      await write(who, 'post', at, { version: held.version, as: 'release', reason: REASON }).expect(403);
    await write(isolde!, 'post', at, { version: held.version, as: 'release', reason: '' }).expect(400);
    const settled = (
      await write(isolde!, 'post', at, { version: held.version, as: 'confirm', reason: REASON }).expect(200)
    ).body as Batch;
    expect(settled.state).toBe('confirmed');
    const after = await sellerOf('Eastgate Clearance');
    expect([after.settled - before.settled, after.notGenuine - before.notGenuine]).toEqual([1, 1]);
    expect(after.prior).toBeGreaterThan(before.prior);
    expect(after.low).toBeLessThan(after.share!);
    expect(after.high).toBeGreaterThan(after.share!);
    // A confirmed batch is not sold, and is not merely held again.
    await write(wren!, 'post', `/api/batches/${line.batchId}/hold`, {
      version: settled.version,
      reason: REASON,
    }).expect(409);
    expect((await close(await slipWith(line.partId, undefined))).status).toBe(409);
  });
});

describe('no way and no race sells of a held batch', () => {
  test('two sellers collect while it is held: each sale stands wholly before the hold, or not at all', async () => {
    for (let round = 0; round < 6; round += 1) {
      const line = await receive(NUMBER, 8, { code: `M26 40 ${10 + round}` });
      const slips = [
        await slipWith(line.partId, line.batchId, wren),
        await slipWith(line.partId, line.batchId, perrin),
      ];
      const [held, ...closed] = await Promise.all([
        write(isolde!, 'post', `/api/batches/${line.batchId}/hold`, { version: 1, reason: REASON }),
        close(slips[0]!, wren),
        close(slips[1]!, perrin),
      ]);
      expect(held.status).toBe(200);
      const sales = closed.filter(({ status }) => status === 200).length;
      expect(closed.every(({ status }) => status === 200 || status === 409)).toBe(true);
      const now = await batch(line.batchId);
      expect([now.state, now.sold, now.onHand]).toEqual(['held', 2 * sales, 8 - 2 * sales]);
      // What was sold before the hold is on the recall list; nothing is sold after it.
      expect(now.sales).toHaveLength(sales);
      for (const slip of slips) {
        const later = await show(slip.slipId);
        if (later.state === 'open') await close(later).expect(409);
      }
      expect(await soldOf(line.batchId)).toBe(2 * sales);
    }
  });

  test('a slip written long before, parked and taken up again, does not', async () => {
    const line = await receive(NUMBER, 4, { code: 'M26 50 01' });
    const slip = await slipWith(line.partId, line.batchId);
    await sql`update slip set created_at = now() - interval '80 days', updated_at = now() - interval '80 days'
               where id = ${slip.slipId}`.execute(counter.owner);
    const parked = (await write(wren!, 'post', `/api/slips/${slip.slipId}/park`, { version: slip.version }).expect(200))
      .body as Slip;
    await hold(line.batchId);
    const told = await show(slip.slipId);
    expect(told.version).toBe(parked.version + 1);
    await close(told, perrin).expect(409);
    expect(await soldOf(line.batchId)).toBe(0);
  });

  test('a retry of a refused sale does not, and a retry of one made before the hold sells nothing twice', async () => {
    const line = await receive(NUMBER, 8, { code: 'M26 51 01' });
    const [before, after] = [await slipWith(line.partId, line.batchId), await slipWith(line.partId, line.batchId)];
    const key = randomUUID();
    await close(before, wren, key).expect(200);
    await hold(line.batchId);
    await close(before, wren, key).expect(200);
    expect(await soldOf(line.batchId)).toBe(2);
    const told = await show(after.slipId);
    const second = randomUUID();
    for (let i = 0; i < 3; i += 1) await close(told, wren, second).expect(409);
    expect(await soldOf(line.batchId)).toBe(2);
  });

  test('naming the held batch on a line does not, and an old sale of it stays as it was', async () => {
    const line = await receive(NUMBER, 4, { code: 'M26 52 01' });
    const sold = await slipWith(line.partId, line.batchId);
    const closed = (await close(sold).expect(200)).body as Slip;
    await hold(line.batchId);
    await write(wren!, 'post', `/api/slips/${sold.slipId}/park`, { version: closed.version }).expect(409);
    expect(await soldOf(line.batchId)).toBe(2);
    const other = await slipWith(line.partId);
    const at = `/api/slips/${other.slipId}/lines/${other.lines[0]!.lineId}`;
    await write(wren!, 'patch', at, { version: other.version, batchId: line.batchId }).expect(409);
    expect(await soldOf(line.batchId)).toBe(2);
  });

  test('the database refuses it by itself, whatever an application sends', async () => {
    const line = await receive(NUMBER, 4, { code: 'M26 53 01' });
    const slip = await slipWith(line.partId, line.batchId);
    await hold(line.batchId);
    const { lineId } = slip.lines[0]!;
    const collect = (db = counter.db) => sql`update slip set state = 'collected' where id = ${slip.slipId}`.execute(db);
    await expect(collect()).rejects.toThrow(/held in quarantine/);
    // Not even where a table of the caller's own stands before the real one.
    await expect(
      counter.db.transaction().execute(async (trx) => {
        await sql`create temporary table batch (id bigint, part_id bigint, code text, state text, on_hand int)`.execute(
          trx,
        );
        await sql`set local search_path = pg_temp, public`.execute(trx);
        await collect(trx);
      }),
    ).rejects.toThrow(/held in quarantine/);
    // Nor a slip without a line to sell; nor a line put on a slip that is final.
    await sql`update slip_line set removed_at = now() where id = ${lineId}`.execute(counter.db);
    await expect(collect()).rejects.toThrow(/Nothing on it is sold/);
    await sql`update slip set state = 'ended', end_reason = 'other' where id = ${slip.slipId}`.execute(counter.db);
    await expect(sql`update slip_line set removed_at = null where id = ${lineId}`.execute(counter.db)).rejects.toThrow(
      /final/,
    );
    for (const rewrite of [
      `update batch_event set reason = 'other'`,
      `delete from inspection_entry`,
      `update stock_movement set quantity = 1`,
      `delete from recall_contact`,
      `update proof_reference set content = '{}'`,
    ])
      await expect(sql.raw(rewrite).execute(counter.db)).rejects.toThrow(/permission denied/);
  });
});

describe('a recall', () => {
  test('lists who bought, tells named from taken for granted, and closes only when everybody was reached', async () => {
    const line = await receive('HB/19/40.D1', 8, { code: 'SD-7' });
    await sql`update batch set on_hand = 0 where part_id = ${line.partId} and id <> ${line.batchId}`.execute(
      counter.owner,
    );
    for (const slip of [await slipWith(line.partId, line.batchId), await slipWith(line.partId)])
      await close(slip).expect(200);
    await hold(line.batchId);
    let now = await batch(line.batchId);
    expect(now.sales.map(({ named, quantity }) => [named, quantity])).toEqual([
      [true, 2],
      [false, 2],
    ]);
    const closing = () =>
      write(isolde!, 'post', `/api/batches/${line.batchId}/close-recall`, { version: now.version, reason: 'all told' });
    await closing().expect(409);
    const call = async (lineId: string, outcome: string) =>
      write(wren!, 'post', `/api/batches/${line.batchId}/contacts`, { lineId, outcome, note: 'by phone' });
    now = (await call(now.sales[0]!.lineId, 'no-answer')).body as Batch;
    expect(now.toContact).toBe(2);
    now = (await call(now.sales[0]!.lineId, 'returned')).body as Batch;
    now = (await call(now.sales[1]!.lineId, 'not-traceable')).body as Batch;
    expect([now.toContact, now.sales[0]!.contacts.length]).toEqual([0, 2]);
    await call('999999', 'reached').then(({ status }) => expect(status).toBe(404));
    const closed = (await closing().expect(200)).body as Batch;
    expect(closed.recallClosed).toMatchObject({ by: 'Isolde', reason: 'all told' });
  });

  test('notice that comes in holds what is here, and what arrives of it later', async () => {
    const here = await receive('HB/19/45.P1', 4, { code: 'SE-0099' });
    const partId = here.partId;
    const notice = { partId, code: 'se 0099', from: 'Hollin & Bray depot', says: 'Insulators cracked in firing.' };
    await write(wren!, 'post', '/api/recall-notices', notice).expect(201);
    expect((await batch(here.batchId)).state).toBe('held');
    const later = await receive('HB/19/45.P1', 4, { code: 'SE0099' }, 'Norrad Wholesale');
    expect(later.state).toBe('held');
    expect((await batch(later.batchId)).events[0]).toMatchObject({ action: 'notice' });
    expect((await receive('HB/19/45.P1', 4, { code: 'SE0100' }, 'Norrad Wholesale')).state).toBe('open');
  });
});

describe('a delivery', () => {
  test('raises the stock by what came, once, and says what to look at first by seller, price and code', async () => {
    const partId = await partOf('IVX-C19-F10');
    const onHand = async () =>
      (await sql<{ on_hand: number }>`select on_hand from stock where part_id = ${partId}`.execute(counter.db)).rows[0]!
        .on_hand;
    const before = await onHand();
    const { sellerId } = await sellerOf('Fellpost Online');
    const line = { partId, quantity: 9, code: 'F6-1330', unitCostMinor: 240 };
    const key = randomUUID();
    const send = () => write(wren!, 'post', '/api/deliveries', { sellerId, lines: [line] }, key);
    const [first, again] = [(await send()).body as Delivery, (await send()).body as Delivery];
    expect(again.deliveryId).toBe(first.deliveryId);
    expect(await onHand()).toBe(before + 9);
    const [received] = first.lines;
    expect(received!.partOnHand).toBe(before + 9);
    expect(received!.suggested.pieces).toBe(3);
    expect(received!.suggested.says).toMatch(/no such date.*price \d+% under usual/);
    const depot = await receive('IVX-C19-F10', 9, { code: 'F6-1021', unitCostMinor: 420 }, 'Kestrane depot');
    expect(depot.suggested.pieces).toBe(0);
  });

  test('filled by two makers under one OE number says so; an unknown part or seller takes nothing in', async () => {
    const { sellerId } = await sellerOf('Norrad Wholesale');
    const [one, two] = [await partOf('KN 419G-65IR'), await partOf('IVX-B19-J06')];
    const line = (partId: string, quantity: number) => ({ partId, quantity, orderedUnder: 'AK/3081-447' });
    const mixed = (
      await write(wren!, 'post', '/api/deliveries', { sellerId, lines: [line(one, 5), line(two, 1)] }).expect(201)
    ).body as Delivery;
    expect(mixed.mixed).toEqual([{ orderedUnder: 'AK/3081-447', makers: ['Ivorix', 'Kestrane'] }]);
    const count = async () =>
      ((await wren!.get('/api/deliveries')).body as { deliveries: unknown[] }).deliveries.length;
    const before = await count();
    await write(wren!, 'post', '/api/deliveries', { sellerId, lines: [line(one, 5), line('999999', 1)] }).expect(400);
    await write(wren!, 'post', '/api/deliveries', { sellerId: '9999', lines: [line(one, 5)] }).expect(400);
    await write(wren!, 'post', '/api/deliveries', { sellerId, lines: [] }).expect(400);
    expect(await count()).toBe(before);
  });
});

describe('an evidence pack', () => {
  test('keeps to its published schema, and its paper twin is a PDF', async () => {
    const line = await receive('TS 500 226', 4, { code: 'T26 30 001', unitCostMinor: 250 });
    const begun = await write(wren!, 'post', '/api/inspections', { ...line, pieces: 2 }).expect(400);
    expect((begun.body as { code: string }).code).toBe('invalid-request');
    const { inspectionId } = (
      await write(wren!, 'post', '/api/inspections', { partId: line.partId, batchId: line.batchId, pieces: 2 }).expect(
        201,
      )
    ).body as { inspectionId: string };
    const entries = [
      { what: 'number', subject: 'box', piece: 0, answer: 'TS 500 226' },
      { what: 'tell', subject: 'plating', piece: 1, answer: 'differs' },
      { what: 'measure', subject: 'weightG', piece: 1, value: 40.2, device: 'scale, simulated' },
      { what: 'tell', subject: 'chamfer', piece: 1, answer: 'differs' },
    ];
    await write(wren!, 'post', `/api/inspections/${inspectionId}/entries`, { entries }).expect(200);
    await write(wren!, 'post', `/api/inspections/${inspectionId}/conclude`, { hold: true, reason: 'suspect' }).expect(
      200,
    );
    const pack: unknown = (await wren!.get(`/api/batches/${line.batchId}/evidence.json`).expect(200)).body;
    const schema = (await wren!.get('/api/evidence-pack.schema.json').expect(200)).body as object;
    const validate = new Ajv2020({ strict: false }).compile(schema);
    expect([validate(pack), validate.errors]).toEqual([true, null]);
    expect(validate({ ...(pack as object), accused: 'somebody' })).toBe(false);
    expect(pack).toMatchObject({
      batch: { number: 'TS 500 226', state: 'held' },
      inspections: [
        {
          band: 'suspect',
          pieces: [
            { piece: 'A', band: 'suspect' },
            { piece: 'B', band: 'not-inspected' },
          ],
        },
      ],
    });
    const paper = await wren!.get(`/api/batches/${line.batchId}/evidence.pdf`).expect(200);
    expect(paper.headers['content-type']).toBe('application/pdf');
    expect((paper.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });
});
