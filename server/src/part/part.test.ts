import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { PartCard, PartFills, PartGraph } from '@brackenfell/contract/part';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const idOf = async (printed: string): Promise<string> =>
  (await counter.db.selectFrom('part_name').select('part_id').where('printed', '=', printed).executeTakeFirstOrThrow())
    .part_id;
const get = async <T>(path: string, status = 200): Promise<T> =>
  (await (await counter.as('specialist')).get(path).expect(status)).body as T;
const part = async (printed: string) => get<PartCard>(`/api/parts/${await idOf(printed)}`);

describe('the number on a part’s page', () => {
  test('is explained position by position, with where each stands in print', async () => {
    const { decoded } = await part('IVX-C19-D11');
    expect(decoded!.fields.map(({ code, from, to, says }) => [code, from, to, says])).toEqual([
      ['IVX', 0, 3, 'Ivorix'],
      ['C', 4, 5, 'heat rating C'],
      ['19', 5, 7, 'reach 19 mm and a fraction'],
      ['D', 8, 9, 'platinum on both electrodes'],
      ['11', 9, 11, 'gap 11 tenths of a millimetre and a fraction'],
    ]);
    expect(decoded!.mismatches).toEqual([]);
  });

  test('of a maker without a scheme says nothing', async () => {
    expect((await part('TS 500 226')).decoded).toBeNull();
    expect((await part('40-61-118-552')).decoded).toBeNull();
  });

  test('that a gauged figure contradicts is reported with both', async () => {
    const id = await idOf('HB/19/50.D1');
    await counter.owner.transaction().execute(async (trx) => {
      await trx
        .insertInto('figure')
        .values({
          part_id: id,
          position_id: null,
          attribute: 'plug.reachMm',
          value: JSON.stringify(26.5),
          source_rank: 'gauged',
          source_name: 'Gauged at this counter',
          readings: 3,
          withdrawn_at: null,
        })
        .execute();
      await chooseFigures(trx, [id], []);
    });
    const { decoded } = await part('HB/19/50.D1');
    expect(decoded!.mismatches).toHaveLength(1);
    expect(decoded!.mismatches[0]!.says).toMatch(/number says 19–20.*Gauged at this counter says 26\.5/);
  });
});

describe('an old number’s page', () => {
  test.each([
    ['40-61-118-340', 'replaced', /superseded by 40-61-118-552/],
    [
      'DMW 41.218',
      'split',
      /DMW 41\.220 iron manifold, to 1988; DMW 41\.221 alloy manifold, from 1989\. Which is it\?/,
    ],
    ['TG 17510 AA', 'split', /nobody says for which engine: ask first/],
    ['P-66-2190/1', 'loop', /ring: P-66-2190\/1 → P-66-2190\/2 → P-66-2190\/1/],
    ['TS 500 235', 'dangling', /TS 500 295, which no catalogue here holds/],
  ])('%s is %s', async (printed, kind, says) => {
    const { succession } = await part(printed);
    expect(succession).toMatchObject({ kind });
    expect(succession!.says).toMatch(says);
  });

  test('of a number nobody holds says where it was spoken of', async () => {
    const card = await part('CL 2051');
    expect(card).toMatchObject({ kind: 'unheld', maker: 'Maker not known', facts: [], succession: null });
    expect(card.references).toMatchObject([{ printed: 'IVX-C19-D13', source: 'Eastgate list', direction: 'from' }]);
  });
});

describe('engines a part is judged for', () => {
  const engines = async (printed: string) =>
    get<{ engines: { title: string; verdict: string; reason: string }[] }>(`/api/parts/${await idOf(printed)}/engines`);

  test('stand from those it suits to those it is refused for, each with the reason', async () => {
    const own = (await engines('KN 419G-63DR')).engines;
    expect(own.map(({ title }) => title).sort()).toEqual(['Skerrow SC20']);
    expect(own.every(({ verdict }) => verdict === 'sell')).toBe(true);
    const long = (await engines('KN 426G-63DR')).engines;
    expect(long.every(({ verdict, reason }) => verdict === 'refuse' && reason.includes('7.5 mm too long'))).toBe(true);
  });

  test('are none for a number that is only ordered by', async () => {
    expect((await engines('40-61-118-552')).engines).toEqual([]);
  });
});

describe('a number to order by', () => {
  test('shows what fills it, by several makers, with price, stock and verdict, and in what they differ', async () => {
    const fills = await get<PartFills>(`/api/parts/${await idOf('P-66-2210/3')}/fills`);
    expect(new Set(fills.parts.map(({ maker }) => maker)).size).toBeGreaterThan(1);
    expect(fills.engine).not.toBeNull();
    for (const { verdict, values } of fills.parts) {
      expect(verdict).not.toBeNull();
      expect(values).toHaveLength(fills.differIn.length);
    }
    const differing = fills.differIn.map((_, i) => new Set(fills.parts.map(({ values }) => values[i])).size);
    expect(differing.every((count) => count > 1)).toBe(true);
  });

  test('that is filled by nothing says so, and one that does not exist is not found', async () => {
    expect((await get<PartFills>(`/api/parts/${await idOf('KN 419G-59DR')}/fills`)).parts).toEqual([]);
    await get('/api/parts/999999/fills', 404);
  });
});

describe('the graph of a part', () => {
  const graph = async (printed: string) => get<PartGraph>(`/api/parts/${await idOf(printed)}/graph`);

  test('begins with the part, nearest numbers first, and holds only references between what it shows', async () => {
    const { nodes, edges, partId } = await graph('KN 419G-63DR');
    expect(nodes[0]).toMatchObject({ partId, hops: 0 });
    expect(nodes.map(({ hops }) => hops)).toEqual(nodes.map(({ hops }) => hops).sort((a, b) => a - b));
    const shown = new Set(nodes.map((node) => node.partId));
    expect(edges.every(({ from, to }) => shown.has(from) && shown.has(to))).toBe(true);
    expect(edges.length).toBeGreaterThan(nodes.length);
  });

  test('marks each number for the engine, each reference the dimensions contradict, and what is still to come', async () => {
    const { nodes, edges } = await get<PartGraph>(`/api/parts/${await idOf('KN 419G-63DR')}/graph?engine=skerrow-sc20`);
    expect(nodes[0]).toMatchObject({ verdict: 'sell' });
    const wrong = edges.filter(({ contradicts }) => contradicts?.includes('reach 19.0 mm ≠ reach 26.5 mm'));
    expect(wrong.length).toBeGreaterThan(0);
    const long = nodes.find(({ partId }) => partId === wrong[0]!.to || partId === wrong[0]!.from);
    expect(long).toBeDefined();
    const toCome = edges.find(({ inForceFrom }) => inForceFrom !== null)!;
    expect(nodes.find(({ partId }) => partId === toCome.to)!.printed).toBe('KN 419G-63ER');
    const { succession } = await get<{ succession: object | null }>(`/api/parts/${await idOf('KN 419G-63DR')}`);
    expect(succession).toBeNull();
  });

  test('of a number that nothing refers to is that number alone', async () => {
    const { nodes, edges } = await graph('KN 419G-59DR');
    expect([nodes.length, edges.length]).toEqual([1, 0]);
  });

  test('of a part that does not exist is not found', async () => {
    await get('/api/parts/999999/graph', 404);
    await get('/api/parts/999999/engines', 404);
  });
});
