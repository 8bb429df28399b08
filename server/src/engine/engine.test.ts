import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { EngineCard, EngineLine } from '@brackenfell/contract/engine';
import type { PartCard } from '@brackenfell/contract/part';
import { fetchTray, openTestCounter, rowOf, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const engines = async (words?: string) =>
  (
    await wren
      .get('/api/engines')
      .query(words === undefined ? {} : { words })
      .expect(200)
  ).body as { engines: EngineLine[]; total: number };
const card = async (id: string, units = 'metric') =>
  (await wren.get(`/api/engines/${id}`).query({ units }).expect(200)).body as EngineCard;
const lines = (c: EngineCard, label: string) => c.requirement.filter((line) => line.label === label);
const part = async (printed: string, engine = 'skerrow-sc20') =>
  (await wren.get(`/api/parts/${rowOf(await fetchTray(wren, engine), printed).partId}`).expect(200)).body as PartCard;

describe('the list of engines', () => {
  test('begins with the one that comes most often', async () => {
    const { engines: all, total } = await engines();
    expect([all[0]!.code, all.length, total]).toEqual(['OW12', 16, 16]);
  });

  test.each([
    ['skerrow', ['OF16T', 'OW12', 'SC20', 'SC20G', 'SH28', 'TL24']],
    ['haulm', ['SC20', 'SC20G']],
    ['dunmarrow iron', ['H6', 'HF22']],
    ['TURBO', ['OF16T']],
    ['supercharger', ['AK23S']],
    ['pump', ['HF22', 'PG66', 'PP20']],
    ['100%', []],
    ['no such thing', []],
  ])('narrowed by “%s” by its own and its vehicles’ words', async (words, codes) => {
    expect((await engines(words)).engines.map((e) => e.code).sort()).toEqual([...codes].sort());
  });
});

describe('the engine card', () => {
  test('tells every figure with its source', async () => {
    const sc20 = await card('skerrow-sc20');
    expect(lines(sc20, 'Reach')).toMatchObject([{ value: '19.0 mm', sources: [{ rank: 'engine-maker' }], at: [] }]);
    expect(sc20.requirement.every((line) => line.sources.length > 0 || line.value === 'no rule')).toBe(true);
  });

  test('tells what differs between positions once a value, with where', async () => {
    expect(lines(await card('skerrow-sc20'), 'Polarity').map((line) => [line.value, line.at])).toEqual([
      ['forward', ['1', '3']],
      ['reversed', ['2', '4']],
    ]);
  });

  test('asks for what nobody publishes', async () => {
    const [depth] = lines(await card('ostrel-ow12'), 'Depth');
    expect(depth).toMatchObject({ value: '30.3 mm of ?', question: expect.stringMatching(/piston or valve/) });
  });

  test('speaks the reader’s units', async () => {
    expect(lines(await card('skerrow-sc20', 'imperial'), 'Gap')[0]!.value).toBe('42–45 thou');
    expect(lines(await card('skerrow-sc20', 'both'), 'Gap')[0]!.value).toBe('1.05–1.15 mm / 42–45 thou');
  });

  test('shows old OE numbers with what became of them', async () => {
    expect((await card('skerrow-sc20')).oeNumbers.map((oe) => [oe.printed, oe.note])).toEqual([
      ['40-61-118-552', null],
      ['40-61-118-340', 'until 2016'],
    ]);
  });
});

describe('a part by itself', () => {
  test('answers price and stock without an engine', async () => {
    expect(await part('KN 419G-63DR')).toMatchObject({ priceMinor: 940, onHand: 12, bin: 'B2', kind: 'plug' });
  });

  test('has all its names, and the engines that name or list it with who says so', async () => {
    const { names, engines: suits } = await part('KN 419G-63DR');
    expect(names.map((n) => n.kind)).toEqual(['catalogue', 'barcode', 'stamping']);
    expect(suits).toMatchObject([{ title: 'Skerrow SC20', how: 'listed: Kestrane application list' }]);
  });

  test('shows two lists of one maker that disagree side by side', async () => {
    const { facts } = await part('TS 500 238');
    expect(facts.filter((f) => f.label === 'resistor').map((f) => [f.value, f.ruling])).toEqual([
      ['5.0 kΩ', true],
      ['12.0 kΩ', true],
    ]);
  });

  test('shows a single gauging as what it is', async () => {
    const { facts } = await part('TS 500 237');
    expect(facts.filter((f) => f.label === 'reach').map((f) => [f.value, f.ruling])).toEqual([
      ['19.0 mm', true],
      ['26.5 mm', false],
    ]);
  });

  test('tells a supersession from either end', async () => {
    const old = await part('TS 500 234');
    const successor = await part('TS 500 226');
    expect(old.references).toContainEqual(
      expect.objectContaining({ printed: 'TS 500 226', grade: 'supersedes', direction: 'to' }),
    );
    expect(successor.references).toContainEqual(
      expect.objectContaining({ printed: 'TS 500 234', grade: 'supersedes', direction: 'from' }),
    );
  });
});
