import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { MeasuredMatches } from '@brackenfell/contract/dimensions';
import { openTestCounter, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const search = async (query: string) =>
  (await wren.get(`/api/by-dimension?${query}`).expect(200)).body as MeasuredMatches;

describe('a plug that a customer measured', () => {
  test('leads to parts and to engines of its thread and reach, and to no other', async () => {
    const found = await search('threadMm=14&reachMm=12.5&seat=gasket&hexMm=21');
    expect(found.parts.map(({ printed }) => printed)).toContain('KN 412G-59N');
    expect(found.engines.map(({ engineId }) => engineId)).toContain('dunmarrow-dd70');
    for (const { says } of [...found.parts, ...found.engines]) expect(says).toMatch(/^M14, reach 12\.\d mm, gasket/);
  });

  test('by tape finds more than by gauge, the nearest first', async () => {
    const [tape, gauge] = [await search('reachMm=19.4&how=tape'), await search('reachMm=19.4&how=gauge')];
    expect(tape.partCount).toBeGreaterThan(gauge.partCount);
    const off = tape.parts.map(({ says }) => Math.abs(Number(/reach ([\d.]+)/.exec(says)![1]) - 19.4));
    expect([...off].sort((a, b) => a - b)).toEqual(off);
  });

  test('with nothing measured, or with nonsense, is asked back by field', async () => {
    await wren.get('/api/by-dimension').expect(400);
    await wren.get('/api/by-dimension?reachMm=tall').expect(400);
    await wren.get('/api/by-dimension?threadMm=1e9').expect(400);
  });

  test('that fits nothing says so with empty lists', async () => {
    expect(await search('threadMm=30&reachMm=80')).toMatchObject({ partCount: 0, engineCount: 0 });
  });

  test('is offered in the ask line, and a remark about its colour is not', async () => {
    const ask = async (q: string) =>
      (await wren.get(`/api/ask?q=${encodeURIComponent(q)}`).expect(200)).body as { measured: object | null };
    expect((await ask('m14 reach 19 hex 16')).measured).toMatchObject({ threadMm: 14, reachMm: 19, hexMm: 16 });
    expect((await ask('the silver one')).measured).toBeNull();
  });
});
