import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Delivery } from '@brackenfell/contract/delivery';
import type { Batch, SellerRecord } from '@brackenfell/contract/quarantine';
import type { Slip } from '@brackenfell/contract/slip';
import { write } from '../testing/counter.ts';
import { openGarage, type Garage } from '../testing/garage.ts';

let on: Garage;
let counter: Garage['counter'];
let wren: Garage['wren'];
let supervisor: Garage['supervisor'];
let vehicle: Garage['vehicle'];
let served: Garage['served'];
beforeAll(async () => {
  on = await openGarage();
  ({ counter, wren, supervisor, vehicle, served } = on);
});
afterAll(() => on.counter.close());

/** Pieces of a part taken in as a batch: what is sold of the number from now on may be of it. */
async function received(printed: string): Promise<{ batchId: string }> {
  const found = (await wren.get(`/api/part-numbers/${encodeURIComponent(printed)}`).expect(200)).body as {
    parts: { partId: string }[];
  };
  const { sellers } = (await wren.get('/api/sellers').expect(200)).body as { sellers: SellerRecord[] };
  const body = {
    sellerId: sellers[0]!.sellerId,
    lines: [{ partId: found.parts[0]!.partId, quantity: 8, code: 'CW 50' }],
  };
  return ((await write(wren, 'post', '/api/deliveries', body).expect(201)).body as Delivery).lines[0]!;
}

describe('a person’s data', () => {
  test('is exported whole, and erased by a supervisor who types the name: sales and judgements stay, the person is gone', async () => {
    const batch = await received('KN 426G-63IR');
    const { vehicleId, slip } = await served('Vesper Quillan', 'CW-2050');
    await write(wren, 'post', `/api/slips/${slip.slipId}/notes`, {
      version: slip.version,
      text: 'Vesper rings on Friday',
    }).expect(200);
    await write(wren, 'post', `/api/slips/${slip.slipId}/papers`, {
      kind: 'fitting-card',
      size: 'A5',
      units: 'both',
      origin: 'http://127.0.0.1',
    }).expect(201);
    // Its batch is called back: the answer lists the buyers, and so does what is kept of it for a retry.
    const versionOfBatch = async () =>
      ((await wren.get(`/api/batches/${batch.batchId}`).expect(200)).body as Batch).version;
    await write(wren, 'post', `/api/batches/${batch.batchId}/hold`, {
      version: await versionOfBatch(),
      reason: 'gaps scattered',
    }).expect(200);
    await write(wren, 'post', `/api/batches/${batch.batchId}/contacts`, {
      lineId: slip.lines[0]!.lineId,
      outcome: 'no-answer',
      note: 'Vesper Quillan is out until Friday',
    }).expect(200);
    const { customer } = await vehicle(vehicleId);
    const at = `/api/garage/customers/${customer!.customerId}`;
    await wren.get(`${at}/export`).expect(403);
    const { body } = await supervisor.get(`${at}/export`).expect(200);
    expect(body).toMatchObject({
      customer: { name: 'Vesper Quillan' },
      vehicles: [{ plate: 'CW-2050' }],
      slips: [{ docket: slip.docket, customer: 'Vesper Quillan' }],
    });
    await write(wren, 'post', `${at}/erase`, { name: 'Vesper Quillan' }).expect(403);
    await write(supervisor, 'post', `${at}/erase`, { name: 'vesper' }).expect(400);
    const gone = await write(supervisor, 'post', `${at}/erase`, { name: 'Vesper Quillan' }).expect(200);
    expect(gone.body).toMatchObject({ slips: 1, vehicles: 1, papers: 1, notes: 1 });
    await supervisor.get(`${at}/export`).expect(404);

    // Nowhere in the database but in hashes: every column of every table as text.
    const tables = await counter.owner.introspection.getTables();
    for (const { name } of tables) {
      const { rows } = await queryText(name);
      expect([name, rows]).toEqual([name, []]);
    }
    const kept = (await wren.get(`/api/slips/${slip.slipId}`).expect(200)).body as Slip;
    expect(kept).toMatchObject({
      state: 'collected',
      customer: '',
      phone: '',
      vehicle: '',
      lines: [{ printed: 'KN 426G-63IR' }],
    });
    expect(kept.lines[0]!.verdict).not.toBeNull();
    await write(supervisor, 'post', `/api/batches/${batch.batchId}/settle`, {
      version: await versionOfBatch(),
      as: 'release',
      reason: 'gauged again',
    }).expect(200);
  });

  test('erased, takes no answer along that is kept for another whose name holds theirs', async () => {
    const { vehicleId } = await served('Bo (Fen)', 'CW-2052');
    const [other, key] = [{ customer: 'McBo (Fen) Works', engineId: 'aldersyke-as22' }, randomUUID()];
    const begun = (await write(wren, 'post', '/api/slips', other, key).expect(201)).body as Slip;
    const { customer } = await vehicle(vehicleId);
    const at = `/api/garage/customers/${customer!.customerId}`;
    await write(supervisor, 'post', `${at}/erase`, { name: 'Bo (Fen)' }).expect(200);
    const again = (await write(wren, 'post', '/api/slips', other, key).expect(201)).body as Slip;
    expect(again.slipId).toBe(begun.slipId);
    const { rows } = await queryText('request_receipt', '"Bo [(]Fen[)]"');
    expect(rows).toEqual([]);
  });

  test('freed of its name, a sold slip can still not be changed by the application in any other way', async () => {
    const { slip } = await served('Perpetua Lowe', 'CW-2051');
    const change = (set: object) => counter.db.updateTable('slip').set(set).where('id', '=', slip.slipId).execute();
    await expect(change({ customer: 'Somebody else' })).rejects.toThrow(/final/);
    await expect(change({ customer: '', state: 'open' })).rejects.toThrow(/final/);
  });

  test('of two entries that are one person is merged: vehicles follow, and the old entry answers no more', async () => {
    const [one, two] = [await served('Jory Pell', 'CW-2060'), await served('Jory Pell (farm)', 'CW-2061')];
    const [from, into] = [(await vehicle(one.vehicleId)).customer!, (await vehicle(two.vehicleId)).customer!];
    const merge = (body: object) => write(wren, 'post', `/api/garage/customers/${from.customerId}/merge`, body);
    await merge({ version: from.version + 1, intoId: into.customerId }).expect(409);
    await merge({ version: from.version, intoId: from.customerId }).expect(400);
    await merge({ version: from.version, intoId: into.customerId }).expect(200, {
      customerId: into.customerId,
      vehicles: 2,
    });
    expect((await vehicle(one.vehicleId)).customer!.name).toBe('Jory Pell (farm)');
    await merge({ version: from.version + 1, intoId: into.customerId }).expect(404);
  });
});

/** Rows of a table that hold the erased person, whatever the column. */
function queryText(table: string, said = 'vesper|quillan|CW-2050') {
  const query = `select t::text from "${table}" t where t::text ~* '${said}'`;
  return counter.owner.executeQuery<object>({
    sql: query,
    parameters: [],
    query: { kind: 'RawNode' } as never,
    queryId: { queryId: 'x' },
  });
}
