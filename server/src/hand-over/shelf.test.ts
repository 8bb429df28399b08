import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { HandOver } from '@brackenfell/contract/hand-over';
import type { PartCard } from '@brackenfell/contract/part';
import type { Slip } from '@brackenfell/contract/slip';
import { fetchTray, openTestCounter, partIdOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const begin = async (engineId: string | undefined, details: object = {}) =>
  (await write(wren, 'post', '/api/slips', { ...(engineId ? { engineId } : {}), ...details }).expect(201)).body as Slip;
const put = async (slip: Slip, printed: string, more: object = {}) =>
  write(wren, 'post', `/api/slips/${slip.slipId}/lines`, {
    partId: await partIdOf(counter, printed),
    version: slip.version,
    ...more,
  });
const seen = async ({ slipId }: Slip) => (await wren.get(`/api/slips/${slipId}`).expect(200)).body as Slip;
const handOver = async ({ slipId }: Slip) =>
  (await wren.get(`/api/slips/${slipId}/hand-over`).expect(200)).body as HandOver;

describe('a thing that no engine asks for', () => {
  test('is sold beside the parts without a verdict, and by itself; the shelf still counts', async () => {
    const slip = await begin(undefined);
    const with3 = (await put(slip, 'HARR 110', { quantity: 3 })).body as Slip;
    expect(with3.lines[0]).toMatchObject({ partKind: 'sundry', verdict: null, reason: 'Asked for by no engine' });
    expect(with3.open).toEqual([]);
    expect(with3.goodsMinor).toBe(360);
    // As many as are on the shelf, and none more: held by the route and by what is open.
    const short = (await put(with3, 'HARR 275')).body as Slip;
    expect(short.open.map(({ kind }) => kind)).toEqual(['not-on-shelf']);
    const line = short.lines.find(({ printed }) => printed === 'HARR 275')!;
    const off = (
      await write(wren, 'post', `/api/slips/${slip.slipId}/lines/${line.lineId}/remove`, { version: short.version })
    ).body as Slip;
    await write(wren, 'post', `/api/slips/${slip.slipId}/collect`, { version: off.version }).expect(200);
    const { on_hand } = await counter.db
      .selectFrom('stock')
      .select('on_hand')
      .where('part_id', '=', await partIdOf(counter, 'HARR 110'))
      .executeTakeFirstOrThrow();
    expect(on_hand).toBe(57);
  });

  test('a part of an engine that nobody judged is still not handed over beside it, by route or database', async () => {
    const slip = await begin(undefined);
    await put(slip, 'HARR 110').then(({ body }) => put(body as Slip, 'KN 419G-63DR'));
    expect((await seen(slip)).open.map(({ kind }) => kind)).toContain('not-judged');
    const sale = counter.db.updateTable('slip').set({ state: 'collected' }).where('id', '=', slip.slipId).execute();
    await expect(sale).rejects.toMatchObject({ code: 'BF001' });
  });
});

describe('a kit', () => {
  test('is put down as its parts, each judged by itself, at their own prices', async () => {
    const slip = await begin('pellworth-pg66');
    const { body } = await put(slip, 'MS-K 481');
    const { lines } = body as Slip;
    expect(lines.map(({ printed, quantity, verdict }) => [printed, quantity, verdict])).toEqual(
      expect.arrayContaining([
        ['MS-D 481', 1, 'sell'],
        ['MS-R 481', 1, 'sell'],
        ['HARR 240', 3, null],
      ]),
    );
    expect((await wren.get(`/api/parts/${await partIdOf(counter, 'MS-K 481')}`)).body as PartCard).toMatchObject({
      kind: 'kit',
      shelf: { holds: expect.arrayContaining([{ printed: 'HARR 240', quantity: 3 }]) as unknown },
    });
  });

  test('for two engines is put down twice over', async () => {
    const { body } = await put(await begin('pellworth-pg66', { engineCount: 2 }), 'MS-K 481');
    expect((body as Slip).lines.map(({ quantity }) => quantity).sort()).toEqual([2, 2, 6]);
  });

  test('that holds fewer than the engine takes is no set for it: nothing of it is put down', async () => {
    const slip = await begin('pellworth-pg66');
    const refused = await put(slip, 'KN-SET 6600');
    expect(refused.status).toBe(409);
    expect((refused.body as { detail: string }).detail).toMatch(
      /^Nothing of KN-SET 6600 was put down\..*holds 6 of KN 417T-59IR, the job takes 8/,
    );
    expect((await seen(slip)).lines).toEqual([]);
  });

  test('one of whose parts is refused for the engine is not sold by halves', async () => {
    const slip = await begin('dunmarrow-hf22');
    const refused = await put(slip, 'MS-K 481');
    expect(refused.status).toBe(409);
    expect((await seen(slip)).lines).toEqual([]);
  });
});

test('what is sold in packs is put down in whole packs: four for a three-cylinder, six for two of them', async () => {
  const put1 = await put(await begin('ostrel-ow12'), 'TS 500 310');
  expect((put1.body as Slip).lines[0]).toMatchObject({ quantity: 4, packOf: 2 });
  const put2 = await put(await begin('ostrel-ow12', { engineCount: 2 }), 'TS 500 310');
  expect((put2.body as Slip).lines[0]).toMatchObject({ quantity: 6, packOf: 2 });
  // No half pack: neither put down, nor counted to; and the tray tells the price of what is put down.
  await put(await begin('ostrel-ow12'), 'TS 500 310', { quantity: 3 }).then(({ status }) => expect(status).toBe(400));
  const line = (put1.body as Slip).lines[0]!;
  const count = (quantity: number) =>
    write(wren, 'patch', `/api/slips/${(put1.body as Slip).slipId}/lines/${line.lineId}`, {
      version: (put1.body as Slip).version,
      quantity,
    });
  await count(5).expect(400);
  await count(6).expect(200);
  const { rows } = await fetchTray(wren, 'ostrel-ow12', '?most=400');
  expect(rows.find(({ printed }) => printed === 'TS 500 310')!.takes).toBe(4);
  // What says nothing of packs is sold singly.
  const single = await put(await begin('skerrow-sc20'), 'KN 419G-63DR');
  expect((single.body as Slip).lines[0]).toMatchObject({ quantity: 4, packOf: 1 });
});

describe('what the fitter is offered', () => {
  test('each thing of the kit has what the shop sells for it; what is on the slip is marked', async () => {
    const slip = await begin('skerrow-sc20');
    const { body } = await put(slip, 'KN 419G-63DR');
    const { body: after } = await put(body as Slip, 'HARR 130');
    const [line] = (await handOver(after as Slip)).fitted;
    const offers = new Map(line!.kit.flatMap(({ what, offers: own }) => own.map((one) => [what, one] as const)));
    expect(offers.get('Lead labels')).toMatchObject({ printed: 'HARR 130', isOnSlip: true });
    expect(offers.get('Dielectric grease')).toMatchObject({ isOnSlip: false });
    expect(line!.kit.find(({ what }) => what.startsWith('Socket'))!.offers[0]!.title).toMatch(/16 mm/);
  });

  test('what may break is bought, held or left by what was said and seen on this slip, and survives the next reading of it', async () => {
    const slip = await begin('skerrow-sh28');
    const first = await handOver(slip);
    expect(first.fragile.find(({ says }) => says.startsWith('Intake gaskets'))).toMatchObject({
      advice: 'buy',
      quantity: 6,
    });
    const stud = first.fragile.find(({ says }) => says.startsWith('Intake studs'))!;
    expect(stud.advice).toBe('hold');
    const kept = {
      kind: 'fragile',
      isOpenedBefore: false,
      isOverTenYears: true,
      seenBroken: [first.bared[0]!.says],
    };
    await write(wren, 'post', `/api/slips/${slip.slipId}/kept`, { version: slip.version, kept }).expect(200);
    const next = await handOver(slip);
    expect(next.fragile.find(({ says }) => says === stud.says)).toMatchObject({ advice: 'buy' });
    expect(next.bared[0]!.standing).toBe('seen');
    // What is merely within reach is no line of the paper.
    expect(next.bared[1]!.standing).toBe('within-reach');
  });

  test('coils by themselves have an order of work of their own, and beside plugs only what is otherwise', async () => {
    const { rows } = await fetchTray(wren, 'ostrel-of16t', '?kind=coil&most=50');
    const coil = rows.find(({ verdict }) => verdict !== 'refuse')!;
    const alone = await put(await begin('ostrel-of16t'), coil.printed);
    const [work] = (await handOver(alone.body as Slip)).fitted;
    expect(work!.steps.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['cold', 'old', 'same', 'set', 'fix', 'lamp']),
    );
    const { rows: plugs } = await fetchTray(wren, 'ostrel-of16t', '?most=50');
    const plug = plugs.find(({ verdict }) => verdict !== 'refuse')!;
    const both = await put(alone.body as Slip, plug.printed);
    const [plugWork, coilWork] = (await handOver(both.body as Slip)).fitted;
    expect(plugWork!.steps.some(({ id }) => id === 'by-hand')).toBe(true);
    expect(coilWork!.steps.map(({ id }) => id)).not.toContain('cold');
  });
});

test('a past slip says what was told of its line, check by check, however the catalogue reads today', async () => {
  const slip = await begin('skerrow-sc20');
  const { body } = await put(slip, 'KN 419G-63DR');
  const [line] = (body as Slip).lines;
  const told = await wren.get(`/api/slips/${slip.slipId}/lines/${line!.lineId}/told`).expect(200);
  const reach = (told.body as { told: { check: string; title: string; told: { says: string } }[] }).told.find(
    ({ check }) => check === 'reach',
  )!;
  expect(reach.title).toBe('Reach');
  await counter.owner
    .updateTable('figure')
    .set({ withdrawn_at: new Date() })
    .where('attribute', '=', 'plug.reachMm')
    .where('part_id', '=', line!.partId)
    .execute();
  const again = await wren.get(`/api/slips/${slip.slipId}/lines/${line!.lineId}/told`).expect(200);
  expect(again.body).toEqual(told.body);
});
