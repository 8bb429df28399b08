import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { FittedSet } from '@brackenfell/contract/fitted-set';
import { coilOf } from '@brackenfell/demo/ignition/coils';
import { fetchTray, openTestCounter, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const fitted = async (engineId: string, numbers: readonly string[], more = ''): Promise<FittedSet> =>
  (
    await wren
      .get(`/api/engines/${engineId}/fitted-set?numbers=${encodeURIComponent(numbers.join('|'))}${more}`)
      .expect(200)
  ).body as FittedSet;

describe('what is fitted', () => {
  test('six of one maker and two of another under one number: plugs 4 and 7 differ, and two make the set whole', async () => {
    const [own, other] = ['KN 417T-59IR', 'IVX-E17V-J06'];
    const set = await fitted('pellworth-pg66', [own, own, own, other, own, own, other, own]);
    expect([set.odd, set.usual?.printed, set.missing]).toEqual([['4', '7'], own, []]);
    expect(set.positions.map(({ verdict }) => verdict)).toEqual(Array.from({ length: 8 }, () => 'sell'));
    expect(set.says).toMatch(/^Plugs 4 and 7 differ from the rest: .*shake the engine/);
    expect(set.differences.map(({ fact }) => fact)).toContain('heat rating');
    expect(set.repair).toMatchObject({ quantity: 2, at: ['4', '7'], part: { printed: own } });
  });

  test('one stranger among five of the supercharged engine: plug 4 only differs', async () => {
    const own = 'KN 419G-65IR';
    const { says } = await fitted('aldersyke-ak23s', [own, own, own, 'IVX-B19-J06', own]);
    expect(says).toMatch(/^Plug 4 only differs from the rest/);
  });

  test('a long plug among four is refused where it sits, and only there', async () => {
    const own = 'KN 419G-63DR';
    const set = await fitted('skerrow-sc20', [own, 'KN 426G-63DR', own, '']);
    expect(set.positions.map(({ label, verdict, odd }) => [label, verdict, odd])).toEqual([
      ['1', 'sell', false],
      ['2', 'refuse', true],
      ['3', 'sell', false],
      ['4', null, false],
    ]);
    expect(set.missing).toEqual(['4']);
    expect(set.differences.find(({ fact }) => fact === 'reach')).toMatchObject({ usual: '19.0 mm', other: '26.5 mm' });
  });

  test('where most hold what is not for the engine, a whole set is the repair', async () => {
    const wrong = 'KN 426G-63DR';
    const { repair } = await fitted('skerrow-sc20', [wrong, wrong, wrong, 'KN 419G-63DR']);
    expect(repair).toMatchObject({ quantity: 4, part: { printed: 'KN 419G-63DR' } });
    expect(repair!.says).toMatch(/not for this engine: a whole set/);
  });

  test('intake and exhaust take different plugs, each judged where it sits', async () => {
    const [intake, exhaust] = ['KN 419G-63DR', 'KN 219G-63DR'];
    const { positions, odd, repair } = await fitted('aldersyke-at20', [
      exhaust,
      intake,
      intake,
      intake,
      exhaust,
      intake,
      exhaust,
      intake,
    ]);
    const first = positions.find(({ label }) => label === '1 exhaust')!;
    const crossed = positions.find(({ label }) => label === '2 exhaust')!;
    expect([first.verdict, crossed.verdict]).toEqual(['sell', 'refuse']);
    expect(odd).toEqual(['2 exhaust']);
    expect(repair).toMatchObject({ quantity: 1, at: ['2 exhaust'], part: { printed: exhaust } });
  });

  test('coils of two revisions stand out', async () => {
    const a = coilOf('ostrel-of16t', 'own', 'to Feb 2018');
    const set = await fitted(
      'ostrel-of16t',
      [a, a, 'MS-C 2900', a],
      `&kind=coil&build=${encodeURIComponent('to Feb 2018')}`,
    );
    expect([set.odd, set.usual?.printed]).toEqual([['3'], a]);
    expect(set.differences.find(({ fact }) => fact === 'revision')).toMatchObject({ usual: 'A', other: 'C' });
  });

  test('a number nobody knows is told so, and a worn one is read', async () => {
    const { positions } = await fitted('skerrow-sc20', ['XX 1', 'KN 4I9G-63DR', '', '']);
    expect(positions[0]).toMatchObject({ part: null, verdict: null });
    expect(positions[1]!.part!.printed).toBe('KN 419G-63DR');
  });
});

test('a number filled by two makers is told where it is sold', async () => {
  const { mixedFill } = await fetchTray(wren, 'pellworth-pg66');
  expect(mixedFill).toEqual([{ number: 'P-66-2210/3', makers: ['Ivorix', 'Kestrane'] }]);
  expect((await fetchTray(wren, 'pellworth-pp20')).mixedFill).toEqual([]);
});
