import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { HouseRulesView } from '@brackenfell/contract/house-rules';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let [wren, isolde]: Agent[] = [];
beforeAll(async () => {
  counter = await openTestCounter();
  [wren, isolde] = [await counter.as('specialist'), await counter.as('supervisor')];
});
afterAll(() => counter.close());

const tray = (query = '', engine = 'skerrow-sc20') => fetchTray(wren!, engine, query);
const shelf = (partId: string, onHand: number) =>
  counter.owner.updateTable('stock').set({ on_hand: onHand }).where('part_id', '=', partId).execute();

describe('a tray that was laid out before', () => {
  test.each(['skerrow-sc20', 'pellworth-pg66'])('is answered word for word: %s', async (engine) => {
    expect(await tray('', engine)).toEqual(await tray('', engine));
    const coils = await tray('?kind=coil', 'ostrel-of16t');
    expect(await tray('?kind=coil', 'ostrel-of16t')).toEqual(coils);
  });

  test('follows the shelf: what is sold out says so at once, judged as before, and all is as it was with the next delivery', async () => {
    const before = await tray();
    // Two that differ in nothing but what the shelf and the price say.
    const equals = before.rows.filter(
      (row) => row.verdict === before.rows[0]!.verdict && row.evidenceWord === before.rows[0]!.evidenceWord,
    );
    const first = equals.find(({ onHand }) => onHand > 0)!;
    await shelf(first.partId, 0);
    const soldOut = await tray();
    expect(rowOf(soldOut, first.printed).onHand).toBe(0);
    expect(rowOf(soldOut, first.printed).findings).toEqual(rowOf(before, first.printed).findings);
    await shelf(first.partId, first.onHand);
    expect(await tray()).toEqual(before);
  });

  test('follows what the counter tells of a part besides: its price, its bin, what of it is held', async () => {
    const { rows } = await tray();
    const {
      id,
      version,
      part_id: partId,
    } = await counter.owner
      .selectFrom('batch')
      .select(['id', 'version', 'part_id'])
      .where('state', '=', 'open')
      .where('on_hand', '>', 0)
      .where(
        'part_id',
        'in',
        rows.map((row) => row.partId),
      )
      .executeTakeFirstOrThrow();
    const { printed, held } = rows.find((row) => row.partId === partId)!;
    const told = async () => rowOf(await tray(), printed);
    await counter.owner.updateTable('price').set({ each_minor: 4321 }).where('part_id', '=', partId).execute();
    expect((await told()).priceMinor).toBe(4321);
    await counter.owner.updateTable('stock').set({ bin: 'Z 99' }).where('part_id', '=', partId).execute();
    expect(await told()).toMatchObject({ priceMinor: 4321, bin: 'Z 99', held });
    await write(isolde!, 'post', `/api/batches/${id}/hold`, { version, reason: 'The seals are broken.' }).expect(200);
    expect((await told()).held).toBeGreaterThan(held);
    expect(await tray()).toEqual(await tray());
  });

  test('is laid out anew by another rule of the shop, by other units, by another part in hand and by another duty', async () => {
    const [told] = [await tray('?most=400')];
    const { version, rules } = (await wren!.get('/api/house-rules').expect(200)).body as HouseRulesView;
    const school = rules.find(({ rule }) => rule === 'ownNumber')!.schools.find(({ id }) => id !== 'preferred')!.id;
    await write(isolde!, 'post', '/api/house-rules/ownNumber', { school, version }).expect(200);
    const ruled = await tray('?most=400');
    expect(ruled.rulesVersion).not.toBe(told.rulesVersion);
    const places = (one: typeof told) => one.rows.map(({ printed }) => printed);
    expect(places(ruled)).not.toEqual(places(told));
    const [row] = ruled.rows;
    expect(rowOf(await tray(`?most=400&inHand=${row!.partId}`), row!.printed).inHand).toBe(true);
    expect(JSON.stringify((await tray('?units=imperial')).rows)).not.toBe(JSON.stringify((await tray()).rows));
    expect((await tray('?duty=gas')).duty).not.toEqual((await tray()).duty);
  });
});
