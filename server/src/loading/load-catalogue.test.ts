import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { demoWorld } from '@brackenfell/demo/world';
import { openEmptyDatabase, openTestCounter, type TestCounter } from '../testing/counter.ts';
import { migrate } from '../upgrade/migrate.ts';
import { loadCatalogue } from './load-catalogue.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const world = () => structuredClone(demoWorld);
const counts = async () => ({
  parts: (await counter.owner.selectFrom('part').select('id').execute()).length,
  figures: (await counter.owner.selectFrom('figure').select('id').execute()).length,
});

describe('the demo world', () => {
  test('is as large as a lived-in counter’s catalogue', () => {
    expect(demoWorld.engines.length).toBeGreaterThanOrEqual(16);
    expect(demoWorld.engines.flatMap((e) => e.vehicles).length).toBeGreaterThanOrEqual(90);
    expect(demoWorld.plugs.length).toBeGreaterThanOrEqual(220);
    expect(demoWorld.references.length).toBeGreaterThanOrEqual(1500);
    expect(new Set(demoWorld.plugs.map((p) => p.maker)).size).toBe(4);
  });

  test('has stock and a price for every plug', () => {
    expect(demoWorld.plugs.filter((p) => p.onHand === undefined || p.priceMinor === undefined)).toEqual([]);
  });

  test('is projected into typed columns that agree with its figures', async () => {
    const specs = await counter.owner
      .selectFrom('plug_spec')
      .innerJoin('part_name', 'part_name.part_id', 'plug_spec.part_id')
      .selectAll('plug_spec')
      .select('part_name.printed')
      .where('part_name.kind', '=', 'catalogue')
      .execute();
    const spec = (printed: string) => specs.find((s) => s.printed === printed);
    expect(spec('KN 419G-63DR')).toMatchObject({
      thread_diameter_mm: 14,
      reach_mm: 19,
      seat: 'gasket-fixed',
      heat_index_bar: 15.5,
    });
    expect(spec('TS 500 231')).toMatchObject({ reach_mm: null });
    // One gauging does not rule, so the catalogue's reach stands in the projection.
    expect(spec('TS 500 237')).toMatchObject({ reach_mm: 19 });
    expect(specs).toHaveLength(demoWorld.plugs.length);
  });
});

describe('numbers that a sign alone tells apart', () => {
  test('are two numbers, each found as it is written', async () => {
    const { owner, close } = await openEmptyDatabase();
    await migrate(owner);
    const file = world();
    const own = file.plugs.find(({ maker }) => maker === 'tamsel')!;
    const grammar = file.grammars?.find(({ maker }) => maker === 'tamsel') ?? file.grammars![0]!;
    grammar.maker = 'tamsel';
    grammar.significant = '+';
    file.plugs.push({ ...own, number: 'TS 7+700', names: [] }, { ...own, number: 'TS 7700', names: [] });
    await loadCatalogue(owner, file);
    const names = await owner
      .selectFrom('part_name')
      .select(['printed', 'normal_form'])
      .where('printed', 'in', ['TS 7+700', 'TS 7700'])
      .orderBy('printed')
      .execute();
    expect(names.map(({ normal_form }) => normal_form)).toEqual(['TS7+700', 'TS7700']);
    await close();
  });
});

describe('a catalogue file that is wrong', () => {
  test.each<[string, (w: ReturnType<typeof world>) => unknown, RegExp]>([
    [
      'names a number it does not hold',
      (w) => w.references.push({ ...w.references[0]!, from: 'XX 1' }),
      /refers to XX 1/,
    ],
    ['holds a number twice', (w) => w.plugs.push(w.plugs[0]!), /stands twice/],
    ['has a reach of nothing', (w) => (w.plugs[0]!.facts = { 'plug.reachMm': 0 }), /plugs/],
    [
      'has a fact nobody knows',
      (w) => Object.assign(w.plugs[0]!.facts as object, { 'plug.colour': 'red' }),
      /plug\.colour|plugs/,
    ],
    ['has heat that does not run from hot to cold', (w) => w.heatScales[0]!.ratings.reverse(), /hot to cold/],
    ['has an engine without a position', (w) => (w.engines[0]!.positions = []), /positions/],
    ['grades a reference as it pleases', (w) => Object.assign(w.references[0]!, { grade: 'identical' }), /grade/],
  ])('because it %s is refused with the place, and nothing of it is kept', async (_, spoil, says) => {
    const before = await counts();
    const file = world();
    spoil(file);
    await expect(loadCatalogue(counter.owner, file)).rejects.toThrow(says);
    expect(await counts()).toEqual(before);
  });
});
