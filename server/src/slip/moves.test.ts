import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { MAY_BECOME, SLIP_STATES, type SlipState } from '@brackenfell/core/slip/slip-states';
import type { Slip, SlipSummary } from '@brackenfell/contract/slip';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
let perrin: Agent;
let partId: string;
beforeAll(async () => {
  counter = await openTestCounter();
  [wren, perrin] = [await counter.as('specialist'), await counter.as('starter')];
  ({ partId } = rowOf(await fetchTray(wren, 'aldersyke-as22'), 'KN 426G-63IR'));
});
afterAll(() => counter.close());

/** So many of the plug are on the shelf from here on. */
const onShelf = (pieces: number) =>
  counter.owner.updateTable('stock').set({ on_hand: pieces }).where('part_id', '=', partId).execute();

async function slipWith(quantity = 4, customer = 'Vesper Quillan'): Promise<Slip> {
  const begun = (await write(wren, 'post', '/api/slips', { customer, engineId: 'aldersyke-as22' }).expect(201))
    .body as Slip;
  const body = { version: begun.version, partId, quantity };
  return (await write(wren, 'post', `/api/slips/${begun.slipId}/lines`, body).expect(201)).body as Slip;
}

const step = (slip: Slip, name: string, agent = wren, more: object = {}) =>
  write(agent, 'post', `/api/slips/${slip.slipId}/${name}`, { version: slip.version, ...more });
const done = async (slip: Slip, name: string, agent = wren): Promise<Slip> =>
  (await step(slip, name, agent).expect(200)).body as Slip;
const seen = async (slip: Slip): Promise<Slip> =>
  (await wren.get(`/api/slips/${slip.slipId}`).expect(200)).body as Slip;
const past = (slip: Slip) =>
  counter.owner.updateTable('slip').set({ held_until: '2026-01-05' }).where('id', '=', slip.slipId).execute();

describe('the states of a slip', () => {
  test('follow each other only as the table says, in the database too, whatever an application sends', async () => {
    await onShelf(500);
    for (const from of SLIP_STATES) {
      if (from === 'collected' || from === 'ended') continue;
      for (const to of SLIP_STATES) {
        if (to === from) continue;
        const { slipId } = await slipWith();
        const set = (state: SlipState) =>
          counter.db.updateTable('slip').set({ state }).where('id', '=', slipId).execute();
        if (from !== 'open') await set(from);
        const attempt = set(to);
        if (MAY_BECOME[from].includes(to)) await attempt;
        else await expect(attempt).rejects.toThrow(/cannot be/);
      }
    }
  });

  test('a quote holds its prices to its day; taken up after it, it is priced anew, and that is told', async () => {
    await onShelf(500);
    const quoted = await done(await slipWith(), 'quote');
    expect(quoted).toMatchObject({ state: 'quoted', isOver: false });
    expect(Date.parse(quoted.heldUntil!) - Date.parse(new Date().toISOString().slice(0, 10))).toBe(14 * 86_400_000);
    await write(wren, 'post', `/api/slips/${quoted.slipId}/lines`, { version: quoted.version, partId }).expect(409);
    const price = quoted.lines[0]!.unitPriceMinor!;
    await counter.owner
      .updateTable('price')
      .set({ each_minor: price + 55 })
      .where('part_id', '=', partId)
      .execute();
    // Within its days another price changes nothing, and anybody at the counter may hand it over.
    const again = await done(await done(quoted, 'take-over'), 'quote');
    expect(again.lines[0]!.unitPriceMinor).toBe(price);
    await past(again);
    const refused = await step(again, 'collect', perrin).expect(409);
    expect((refused.body as { detail: string }).detail).toMatch(/held to 5 Jan 2026/);
    const open = await done(again, 'take-over');
    expect(open.lines[0]!.unitPriceMinor).toBe(price + 55);
    expect(open.notes.map(({ text }) => text).join()).toContain('1 line priced anew');
  });

  test('a slip with nothing sold is no quote and no order', async () => {
    const begun = (await write(wren, 'post', '/api/slips', {}).expect(201)).body as Slip;
    for (const name of ['quote', 'order', 'ready']) await step(begun, name).expect(409);
  });
});

describe('what is ready', () => {
  test('is kept for its slip: another cannot have it, at the route or in the database, until its days are past', async () => {
    await onShelf(6);
    const ready = await done(await slipWith(4), 'ready');
    expect(ready.state).toBe('ready');
    const other = await slipWith(4);
    expect(other.open).toMatchObject([
      { kind: 'not-on-shelf', says: expect.stringContaining('4 kept for slips that are ready') },
    ]);
    await step(other, 'collect').expect(409);
    const sale = counter.db.updateTable('slip').set({ state: 'collected' }).where('id', '=', other.slipId).execute();
    await expect(sale).rejects.toThrow(/kept for slips that are ready/);
    await past(ready);
    expect((await seen(other)).open).toEqual([]);
    await done(other, 'collect');
    await step(ready, 'collect').expect(409);
  });

  test('is collected by anybody at the counter, and leaves the shelf once', async () => {
    await onShelf(6);
    const ready = await done(await slipWith(4), 'ready');
    expect((await done(ready, 'collect', perrin)).state).toBe('collected');
    const { on_hand } = await counter.db
      .selectFrom('stock')
      .select('on_hand')
      .where('part_id', '=', partId)
      .executeTakeFirstOrThrow();
    expect(on_hand).toBe(2);
  });

  test('of the last four two slips at once make one ready', async () => {
    await onShelf(4);
    const [one, two] = [await slipWith(4), await slipWith(4)];
    const answers = await Promise.all([step(one, 'ready'), step(two, 'ready')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  test('stays ready when a rule is chosen that tells nothing of it otherwise, and is open again when one does or its batch is held', async () => {
    await onShelf(500);
    const ready = await done(await slipWith(4), 'ready');
    const isolde = await counter.as('supervisor');
    let version = 0;
    const choose = async (rule: string, school: string) => {
      version = ((await isolde.get('/api/house-rules').expect(200)).body as { version: number }).version;
      return write(isolde, 'post', `/api/house-rules/${rule}`, { school, version }).expect(200);
    };
    // Its electrode is as designed: whether a better one may be sold is no matter of it.
    await choose('electrodeUpgrade', 'allowed');
    expect((await seen(ready)).state).toBe('ready');
    await choose('electrodeUpgrade', 'as-designed');
    expect((await seen(ready)).state).toBe('ready');
    // What is agreed as its interval is.
    await choose('interval', 'cautious');
    expect((await seen(ready)).state).toBe('open');
    await choose('interval', 'engine-maker');
    await done(await done(await seen(ready), 'take-over'), 'ready');
    const batch = await counter.owner
      .insertInto('batch')
      .values({
        part_id: partId,
        seller_id: (await counter.owner.selectFrom('seller').select('id').executeTakeFirstOrThrow()).id,
        delivery_id: null,
        code: 'HELD-1',
        code_normal: 'HELD1',
        quantity: 4,
        on_hand: 4,
        unit_cost_minor: null,
      })
      .returning(['id', 'version'])
      .executeTakeFirstOrThrow();
    const held = { version: batch.version, reason: 'Print looks soft' };
    await write(wren, 'post', `/api/batches/${batch.id}/hold`, held).expect(200);
    const open = await seen(ready);
    expect(open).toMatchObject({ state: 'open', heldUntil: null });
    expect(open.open.map(({ kind }) => kind)).toEqual(['batch-not-named']);
    await counter.owner.updateTable('batch').set({ on_hand: 0 }).where('id', '=', batch.id).execute();
  });
});

describe('a slip that is collected in part', () => {
  test('sells what leaves now; the rest waits on a linked slip, at its price and with what was told', async () => {
    await onShelf(3);
    const slip = await slipWith(4, 'Hesper Lowmoor');
    expect(slip.open.map(({ kind }) => kind)).toEqual(['not-on-shelf']);
    const [line] = slip.lines;
    const part = (quantity: number) =>
      step(slip, 'collect-part', wren, { lines: [{ lineId: line!.lineId, quantity }] });
    // Whatever the shop charges by now, the rest is taxed as the whole was.
    await counter.owner.updateTable('shop').set({ tax_basis_points: 700 }).execute();
    await part(5).expect(400);
    await part(4).expect(400);
    const sold = (await part(3).expect(200)).body as Slip;
    expect(sold).toMatchObject({ state: 'collected', lines: [{ quantity: 3 }], linked: [{ state: 'ordered' }] });
    const rest = (await wren.get(`/api/slips/${sold.linked[0]!.slipId}`).expect(200)).body as Slip;
    expect(rest).toMatchObject({
      state: 'ordered',
      customer: 'Hesper Lowmoor',
      taxBasisPoints: 2000,
      linked: [{ slipId: sold.slipId, state: 'collected' }],
      lines: [{ quantity: 1, unitPriceMinor: line!.unitPriceMinor, verdict: line!.verdict }],
    });
    const listed = async () =>
      (
        (await wren.get('/api/slips').query({ states: 'ordered', q: 'hesper' }).expect(200)).body as {
          slips: SlipSummary[];
        }
      ).slips;
    expect((await listed()).map(({ waitsFor }) => waitsFor)).toEqual(['waits for 1 line']);
    await onShelf(1);
    expect((await listed()).map(({ waitsFor }) => waitsFor)).toEqual(['all of it is here: make it ready']);
    await done(await done(rest, 'ready'), 'collect');
    await counter.owner.updateTable('shop').set({ tax_basis_points: 2000 }).execute();
  });
});

test('a slip is found by number, name, part and day', async () => {
  await onShelf(500);
  const slip = await slipWith(2, 'Perpetua Lowe');
  const today = new Date().toISOString().slice(0, 10);
  for (const query of [
    { q: String(slip.docket) },
    { q: 'perpetua' },
    { q: 'kn426g-63ir', day: today },
    { states: 'open,parked', q: 'Lowe' },
  ]) {
    const { body } = await wren.get('/api/slips').query(query).expect(200);
    expect((body as { slips: SlipSummary[] }).slips.map(({ slipId }) => slipId)).toContain(slip.slipId);
  }
  const none = await wren.get('/api/slips').query({ q: 'perpetua', day: '2001-01-01' }).expect(200);
  expect(none.body).toEqual({ slips: [] });
  await wren.get('/api/slips').query({ states: 'open,lost' }).expect(400);
});
