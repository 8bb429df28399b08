import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import supertest from 'supertest';
import { coilOf } from '@brackenfell/demo/ignition/coils';
import { demoStaff } from '@brackenfell/demo/staff';
import type { OpenLineOf } from '@brackenfell/contract/open-catalogue';
import type { CatalogueRecord } from '@brackenfell/contract/record';
import { createApp } from '../app.ts';
import { createContext } from '../context/context.ts';
import { silentLog } from '../context/log.ts';
import { fetchTray, partIdOf, write, type Agent } from '../testing/counter.ts';
import { openLists, type Lists } from '../testing/lists.ts';

const ENGINE = 'skerrow-sc20';
const RULES = { rank: 'engine-maker', source: 'Karnow sheet 12' } as const;

let lists: Lists;
let wren: Agent;
beforeAll(async () => {
  lists = await openLists();
  wren = await lists.counter.as('specialist');
});
afterAll(() => lists.counter.close());

/** A server that has just been started, which has laid no tray yet. */
async function started(): Promise<Agent> {
  const agent = supertest.agent(createApp(createContext(lists.counter.db, silentLog())));
  const { name, password } = demoStaff.find(({ role }) => role === 'specialist')!;
  await agent.post('/api/session').send({ name, password }).expect(200);
  return agent;
}

const versionOf = async () => (await fetchTray(wren, ENGINE)).catalogueVersion;

/** Trays of several sizes as they are told, but for the version they were laid at. */
async function trays(agent: Agent) {
  const asked = [
    ...[ENGINE, 'ostrel-ow12', 'aldersyke-as22', 'pellworth-pg66'].map((engineId) => ({ engineId, kind: 'plug' })),
    { engineId: 'ostrel-of16t', kind: 'coil' },
  ];
  return Promise.all(
    asked.map(async ({ engineId, kind }) => {
      const { status, body } = await agent.get(`/api/engines/${engineId}/tray?kind=${kind}`);
      return { engineId, kind, status, ...(body as object), catalogueVersion: undefined };
    }),
  );
}

const mend = async (part: string, change: object) => {
  const partId = await partIdOf(lists.counter, part);
  await write(lists.editor, 'post', `/api/parts/${partId}/mending`, { change }).expect(200);
};
const figure = (part: string, fact: string, value: unknown) => mend(part, { what: 'figure', fact, value, ...RULES });
const listed = async (text: string, columns: object = {}) => {
  const list = await lists.take(text);
  await lists.go(await lists.go(list, 'columns', columns), 'write');
};

/** A plug of a size that this engine cannot take, and its own. */
const [ELSEWHERE, OWN] = ['KN 226G-63NR', 'KN 419G-63DR'];
const OWN_COIL = coilOf(ENGINE, 'own', 'to Aug 2016');

describe('a tray that was laid out outlives a change of plugs that none of its own is among,', () => {
  test.each<[string, () => Promise<unknown>]>([
    [
      'new ones of which no size is known',
      () =>
        listed('Number;Maker;Net price;Price;Pack\nQZ 1-R;Kestrane;1.20;2.60;4\nQZ 2-R;Kestrane;1.20;2.60;4', {
          newKind: 'plug',
        }),
    ],
    ['a figure of one of another size', () => figure(ELSEWHERE, 'plug.lifeKm', 41_000)],
  ])('%s: and says what one laid anew would', async (_change, change) => {
    await trays(wren);
    const before = await versionOf();
    await change();
    expect(await versionOf()).toBe(before);
    expect(await trays(wren)).toEqual(await trays(await started()));
  });
});

describe('a tray is laid anew, as on a server just started, by', () => {
  test.each<[string, () => Promise<unknown>]>([
    ['a figure of a plug that lies in it', () => figure(OWN, 'plug.lifeKm', 41_000)],
    [
      'a plug that turns out to be of its size',
      async () => {
        await figure(ELSEWHERE, 'plug.threadDiameterMm', 14);
        await figure(ELSEWHERE, 'plug.threadPitchMm', 1.25);
        await figure(ELSEWHERE, 'plug.seat', 'gasket-fixed');
        await figure(ELSEWHERE, 'plug.reachMm', 19);
      },
    ],
    ['a figure of the coil its engine is named for', () => figure(OWN_COIL, 'coil.ratedKv', 31)],
    ['a plug that turns out to be of another', () => figure(ELSEWHERE, 'plug.threadDiameterMm', 12)],
    [
      'whom its engine no longer names',
      async () => {
        const { line, seen } = (await lists.editor.get(`/api/records/engine/${ENGINE}`).expect(200))
          .body as CatalogueRecord;
        const { named } = line as OpenLineOf<'engine'>;
        await write(lists.editor, 'post', `/api/records/engine/${ENGINE}`, {
          line: { ...line, named: named.slice(1) },
          seen,
        }).expect(200);
      },
    ],
    ['a name of a part that its trails go by', () => mend(OWN, { what: 'name', as: 'stamping', printed: 'QZ 77' })],
    [
      'who lists a plug for its engine',
      () =>
        mend('HB/26S/45.P1', {
          what: 'listing',
          engineId: ENGINE,
          place: null,
          source: 'Karnow list',
          builtFrom: null,
          builtTo: null,
        }),
    ],
    [
      'a list that says which part is equal to which',
      () => listed(`Number;Maker;Equal to;Price\nQZ 3-R;Kestrane;${OWN};2.60`, { newKind: 'plug' }),
    ],
  ])('%s', async (_change, change) => {
    await trays(wren);
    const before = await versionOf();
    await change();
    expect(await versionOf()).not.toBe(before);
    expect(await trays(wren)).toEqual(await trays(await started()));
  });
});
