import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { rulingValue } from '@brackenfell/core/facts/facts';
import { openDatabase, type Writing } from '../db/database.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { CatalogueIndexes } from './catalogue-index.ts';
import { chooseFigures } from './figure-store.ts';
import { FactSheets } from './fact-sheets.ts';
import { bumpCatalogueVersion } from './version-store.ts';

let counter: TestCounter;
let plugId: string;
beforeAll(async () => {
  counter = await openTestCounter();
  ({ part_id: plugId } = await counter.db
    .selectFrom('part_name')
    .select('part_id')
    .where('printed', '=', 'KN 419G-63DR')
    .executeTakeFirstOrThrow());
});
afterAll(() => counter.close());

async function setReach(trx: Writing, mm: number): Promise<void> {
  await trx
    .updateTable('figure')
    .set({ value: JSON.stringify(mm) })
    .where('part_id', '=', plugId)
    .where('attribute', '=', 'plug.reachMm')
    .execute();
  await chooseFigures(trx, [plugId], []);
}

const reachIn = async (sheets: FactSheets) => {
  const { plugs } = await sheets.withPlugs(counter.db);
  return rulingValue(plugs.sheetOf(plugs.placeOf(plugId)!), 'plug.reachMm');
};

describe('the plugs held in memory', () => {
  test('are all there are, each with its title', async () => {
    const { plugs, titles } = await new FactSheets(counter.db).withPlugs(counter.db);
    const { n } = await counter.db
      .selectFrom('part')
      .select((eb) => eb.fn.countAll<string>().as('n'))
      .where('kind', '=', 'plug')
      .executeTakeFirstOrThrow();
    expect(plugs.count).toBe(Number(n));
    expect(titles[plugs.placeOf(plugId)!]).toEqual({ kind: 'plug', printed: 'KN 419G-63DR', maker: 'Kestrane' });
    expect(titles.filter(Boolean)).toHaveLength(plugs.count);
  });

  test('follow a changed figure, and only that plug is read again', async () => {
    const sheets = new FactSheets(counter.db);
    const before = await sheets.withPlugs(counter.db);
    expect(await reachIn(sheets)).toBe(19);
    await counter.owner.transaction().execute((trx) => setReach(trx, 19.2));
    expect(await reachIn(sheets)).toBe(19.2);
    const after = await sheets.withPlugs(counter.db);
    expect(after.plugs).toBe(before.plugs);
    expect(await changedSince(before.version)).toEqual([plugId]);
    await counter.owner.transaction().execute((trx) => setReach(trx, 19));
    expect(await reachIn(sheets)).toBe(19);
  });

  test('never take in what a transaction has not committed, nor lose it when it does', async () => {
    const sheets = new FactSheets(counter.db);
    expect(await reachIn(sheets)).toBe(19);
    const undone = counter.owner.transaction().execute(async (trx) => {
      await setReach(trx, 26.5);
      const { plugs, version } = await sheets.withPlugs(trx);
      expect(rulingValue(plugs.sheetOf(plugs.placeOf(plugId)!), 'plug.reachMm')).toBe(19);
      expect((await sheets.withPlugs(counter.db)).version).toBe(version);
      throw new Error('thought better of it');
    });
    await expect(undone).rejects.toThrow('thought better of it');
    // The next change gets the very version that was never seen.
    await counter.owner.transaction().execute((trx) => setReach(trx, 12.7));
    expect(await reachIn(sheets)).toBe(12.7);
    await counter.owner.transaction().execute((trx) => setReach(trx, 19));
  });

  test('are brought up to date though every connection is held by somebody who waits for that', async () => {
    const tills = openDatabase(counter.url, () => undefined, { max: 4 });
    const sheets = new FactSheets(counter.aside);
    await sheets.withPlugs(tills);
    await counter.owner.transaction().execute((trx) => setReach(trx, 19.2));
    const selling = () =>
      tills.transaction().execute(async (trx) => {
        await trx.selectFrom('slip').select('id').limit(1).execute();
        return (await sheets.withPlugs(trx)).version;
      });
    expect(new Set(await Promise.all([1, 2, 3, 4].map(selling))).size).toBe(1);
    await tills.destroy();
    await counter.owner.transaction().execute((trx) => setReach(trx, 19));
  });

  test('are all read again when a maker’s heat scale is another', async () => {
    const sheets = new FactSheets(counter.db);
    const before = await sheets.withPlugs(counter.db);
    const heatOf = ({ plugs }: typeof before) =>
      rulingValue(plugs.sheetOf(plugs.placeOf(plugId)!), 'plug.heat')!.indexBar;
    await counter.owner.transaction().execute(async (trx) => {
      await trx
        .updateTable('heat_rating')
        .set((eb) => ({ index_bar: eb('index_bar', '+', 0.3) }))
        .where('maker_id', '=', 'kestrane')
        .execute();
      await bumpCatalogueVersion(trx);
    });
    expect(heatOf(await sheets.withPlugs(counter.db))).toBeCloseTo(heatOf(before) + 0.3, 6);
  });
});

test('the index of engines that was made of a change only thought of is nobody else’s', async () => {
  const indexes = new CatalogueIndexes();
  const summaryOf = async () => (await indexes.at(counter.db)).engines.get('skerrow-sc20')!.summary;
  const was = await summaryOf();
  const say = async (trx: Writing, summary: string) => {
    await trx.updateTable('engine').set({ summary }).where('id', '=', 'skerrow-sc20').execute();
    await bumpCatalogueVersion(trx);
  };
  const thoughtOf = counter.owner.transaction().execute(async (trx) => {
    await say(trx, 'Only thought of');
    expect((await indexes.at(trx)).engines.get('skerrow-sc20')!.summary).toBe('Only thought of');
    throw new Error('thought better of it');
  });
  await expect(thoughtOf).rejects.toThrow('thought better of it');
  // The next change gets the very version that was never seen.
  await counter.owner.transaction().execute((trx) => say(trx, 'Written'));
  expect(await summaryOf()).toBe('Written');
  await counter.owner.transaction().execute((trx) => say(trx, was));
});

async function changedSince(version: string): Promise<string[]> {
  const rows = await counter.db
    .selectFrom('plug_spec')
    .select('part_id')
    .where('catalogue_version', '>', version)
    .execute();
  return rows.map((row) => row.part_id);
}
