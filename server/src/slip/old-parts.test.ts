import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import type { EngineCard } from '@brackenfell/contract/engine';
import type { Slip, SlipSummary } from '@brackenfell/contract/slip';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import { answerKeptComeback, answerKeptPlugs } from '@brackenfell/core/old-parts/kept-answers';
import { OLD_PART_STORIES } from '@brackenfell/demo/old-part-stories';
import { openTestCounter, partIdOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const begin = async (details: object) => (await write(wren, 'post', '/api/slips', details).expect(201)).body as Slip;
const seen = async ({ slipId }: Slip) => (await wren.get(`/api/slips/${slipId}`).expect(200)).body as Slip;
const put = async (slip: Slip, printed: string) =>
  (
    await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, {
      partId: await partIdOf(counter, printed),
      version: (await seen(slip)).version,
    }).expect(201)
  ).body as Slip;
const keep = async (slip: Slip, kept: SlipKept) =>
  (
    await write(wren, 'post', `/api/slips/${slip.slipId}/kept`, {
      version: (await seen(slip)).version,
      kept,
    }).expect(200)
  ).body as Slip;
const collect = async (slip: Slip) =>
  write(wren, 'post', `/api/slips/${slip.slipId}/collect`, { version: (await seen(slip)).version });
const collectAtDatabase = ({ slipId }: Slip) =>
  counter.db.updateTable('slip').set({ state: 'collected' }).where('id', '=', slipId).execute();

/** One tip wet with fuel: no spark and the injector stand near each other. */
const WET: SlipKept = {
  kind: 'old-plugs',
  engineId: 'skerrow-sc20',
  cylinders: [{ cylinder: 2, looked: ['wet'], signs: ['fuel'], gapMm: null }],
  context: [],
  results: {},
};
const heldOf = ({ open }: Slip) =>
  open.filter(({ kind }) => /^(?:plugs|compression|comeback)-first$/.test(kind)).map(({ says }) => says);

describe('what old plugs say', () => {
  test('holds the parts that either of two causes would sell, at the route and in the database, until they are told apart', async () => {
    const slip = await put(await begin({ engineId: 'skerrow-sc20' }), 'KN 419G-63DR');
    const held = await keep(slip, WET);
    expect(heldOf(held)).toEqual([expect.stringMatching(/two causes alike: swap coil or lead/)]);
    const refused = await collect(slip);
    expect([refused.status, (refused.body as { code: string }).code]).toEqual([409, 'not-collected']);
    await expect(collectAtDatabase(slip)).rejects.toMatchObject({ code: 'BF001' });
    // A thing that no engine asks for is not held with them.
    const sundry = await begin({ engineId: 'skerrow-sc20' });
    await keep(await put(sundry, 'HARR 110'), WET);
    await collect(sundry).then(({ status }) => expect(status).toBe(200));
    // The swap told that it is not the spark: the injector is left, and the plugs are free.
    const told = await keep(slip, { ...WET, results: { 'no-spark': 'not-found' } });
    expect(heldOf(told)).toEqual([]);
    await collect(slip).then(({ status }) => expect(status).toBe(200));
  });

  test('follows what is split off it: the rest of a slip that is held is not sold from another', async () => {
    const slip = await keep(await put(await begin({ engineId: 'skerrow-sc20' }), 'KN 419G-63DR'), WET);
    const { id } = await counter.owner
      .insertInto('slip')
      .values({
        engine_id: 'skerrow-sc20',
        build: null,
        revision_staying: null,
        in_hand_part_id: null,
        holder_id: null,
        split_from_id: slip.slipId,
      })
      .returning('id')
      .executeTakeFirstOrThrow();
    await counter.owner.updateTable('slip_line').set({ slip_id: id }).where('slip_id', '=', slip.slipId).execute();
    const rest = await wren.get(`/api/slips/${id}`).expect(200);
    expect(heldOf(rest.body as Slip)).toHaveLength(1);
    await expect(collectAtDatabase(rest.body as Slip)).rejects.toMatchObject({ code: 'BF001' });
  });

  test('goes with the engine: another engine on the slip is read by its own plan', async () => {
    const slip = await begin({ engineId: 'skerrow-sc20' });
    await keep(slip, WET);
    const held = async () =>
      (await counter.db.selectFrom('slip').select('held_kinds').where('id', '=', slip.slipId).executeTakeFirstOrThrow())
        .held_kinds;
    expect(await held()).toEqual(expect.arrayContaining(['plug', 'coil']));
    await write(wren, 'patch', `/api/slips/${slip.slipId}`, {
      version: (await seen(slip)).version,
      engineId: null,
    }).expect(200);
    expect(await held()).toEqual([]);
  });

  test('is read seat by seat where a cylinder has two plugs, and of no side that the engine does not have', async () => {
    const slip = await begin({ engineId: 'aldersyke-at20' });
    const sooty = (place?: string): SlipKept => ({
      ...WET,
      engineId: 'aldersyke-at20',
      cylinders: [
        { cylinder: 1, looked: ['deposit'], signs: ['soot'], gapMm: null, outNm: 21, ...(place ? { place } : {}) },
      ],
    });
    const { kept } = await keep(slip, sooty('exhaust'));
    expect(kept).toEqual([sooty('exhaust')]);
    for (const strange of ['top', undefined]) {
      const refused = await write(wren, 'post', `/api/slips/${slip.slipId}/kept`, {
        version: (await seen(slip)).version,
        kept: sooty(strange),
      });
      expect([refused.status, (refused.body as { detail: string }).detail]).toEqual([
        400,
        `This engine has no cylinder ${strange ? `1 ${strange}` : '1'}.`,
      ]);
    }
  });

  test('old coils and leads are kept beside it and told in the vehicle’s history', async () => {
    const vehicle = await counter.db
      .selectFrom('garage_vehicle')
      .select(['id', 'engine_id'])
      .where('engine_id', '=', 'skerrow-sc20')
      .executeTakeFirstOrThrow();
    const slip = await begin({ engineId: 'skerrow-sc20', garageVehicleId: vehicle.id });
    const seenOn: SlipKept = {
      kind: 'old-others',
      engineId: 'skerrow-sc20',
      seen: [{ sign: 'coil-browned', cylinders: [2, 3] }],
    };
    await keep(slip, seenOn);
    const told = (await wren.get(`/api/garage/vehicles/${vehicle.id}`).expect(200)).body as GarageVehicle;
    expect(told.found[0]).toMatchObject({ kind: 'old-others', says: 'Seen: coil 2, 3 browned or tracked boot' });
    const strange = { ...seenOn, seen: [{ sign: 'coil-browned', cylinders: [9] }] };
    await write(wren, 'post', `/api/slips/${slip.slipId}/kept`, {
      version: (await seen(slip)).version,
      kept: strange,
    }).expect(400);
  });

  test('a peened tip holds everything of the ignition', async () => {
    const slip = await put(await begin({ engineId: 'pellworth-pp20' }), 'HB/9/55.C1');
    const struck: SlipKept = {
      ...WET,
      kind: 'old-plugs',
      engineId: 'pellworth-pp20',
      cylinders: [{ cylinder: 1, looked: ['tip'], signs: ['struck'], gapMm: null }],
    };
    expect(heldOf(await keep(slip, struck))).toEqual([expect.stringMatching(/struck/)]);
  });
});

describe('work that came back', () => {
  const BACK: SlipKept = {
    kind: 'comeback',
    engineId: 'skerrow-sc20',
    howSoon: 'once',
    misfire: 'one',
    when: [],
    lamp: 'steady',
    untouched: [],
    isToldDropped: false,
    code: '',
    isTakenBack: false,
    results: {},
  };
  test('sells no coil before what was touched is undone, whoever sends it', async () => {
    const slip = await put(await begin({ engineId: 'skerrow-sc20' }), 'KN 419G-63DR');
    expect(heldOf(await keep(slip, BACK))).toEqual([expect.stringMatching(/undone first.*connector/)]);
    await expect(collectAtDatabase(slip)).rejects.toMatchObject({ code: 'BF001' });
    expect(heldOf(await keep(slip, { ...BACK, results: { connector: 'wrong' } }))).toEqual([]);
    await collect(slip).then(({ status }) => expect(status).toBe(200));
  });

  test('is freed by nobody’s note: only by what was found, or by saying that it was none', async () => {
    const slip = await put(await begin({ engineId: 'skerrow-sc20' }), 'KN 419G-63DR');
    await keep(slip, BACK);
    await write(wren, 'post', `/api/slips/${slip.slipId}/notes`, {
      version: (await seen(slip)).version,
      text: 'Came back, not found.',
    }).expect(200);
    expect(heldOf(await seen(slip))).toHaveLength(1);
    expect(heldOf(await keep(slip, { ...BACK, isTakenBack: true }))).toEqual([]);
  });

  test('two neighbours that are down hold the ignition until the leak-down test was made', async () => {
    const slip = await put(await begin({ engineId: 'skerrow-sc20' }), 'KN 419G-63DR');
    const log = (isLeakDownMade: boolean): SlipKept => ({
      kind: 'compression',
      engineId: 'skerrow-sc20',
      reads: [1200, 1000, 1010, 1190].map((dryKpa, i) => ({ cylinder: i + 1, dryKpa, wetKpa: null })),
      conditions: [],
      specifiedKpa: null,
      hasDecompressor: false,
      isLeakDownMade,
      state: '',
    });
    const held = await keep(slip, log(false));
    expect(held.open.map(({ kind }) => kind)).toEqual(['compression-first']);
    await expect(collectAtDatabase(slip)).rejects.toMatchObject({ code: 'BF001' });
    expect((await keep(slip, log(true))).open).toEqual([]);
  });

  test('is told in the vehicle’s history with what was found, as the old plugs and the compression are', async () => {
    const { body } = await wren.get('/api/garage?q=CW-1908').expect(200);
    const [{ vehicleId }] = (body as { vehicles: [{ vehicleId: string }] }).vehicles;
    const slip = await begin({ garageVehicleId: vehicleId });
    await keep(slip, { ...BACK, results: { connector: 'wrong' } });
    await keep(slip, WET);
    await keep(slip, {
      kind: 'compression',
      engineId: 'skerrow-sc20g',
      reads: [{ cylinder: 1, dryKpa: 1190, wetKpa: null }],
      conditions: [],
      specifiedKpa: null,
      hasDecompressor: false,
      isLeakDownMade: false,
      state: 'warm',
    });
    const vehicle = (await wren.get(`/api/garage/vehicles/${vehicleId}`).expect(200)).body as GarageVehicle;
    expect(vehicle.found.map(({ says }) => says)).toEqual(
      expect.arrayContaining([
        'Came back, one cylinder: connector shut and locked',
        'Old plugs, 1 read: 2 with fuel',
        'Compression, warm: 1 11.9 bar',
      ]),
    );
  });
});

test('what is no sign, no cylinder or no pressure is refused at the edge', async () => {
  const slip = await begin({ engineId: 'skerrow-sc20' });
  for (const kept of [
    { ...WET, cylinders: [{ cylinder: 5, looked: [], signs: [], gapMm: 0.9 }] },
    { ...WET, cylinders: [{ cylinder: 0, looked: [], signs: [], gapMm: null }] },
    { ...WET, cylinders: [{ cylinder: 1, looked: [], signs: ['rust'], gapMm: null }] },
    { ...WET, cylinders: [{ cylinder: 1, looked: [], signs: [], gapMm: -1 }] },
    { ...WET, results: { nobody: 'found' } },
    { kind: 'compression', reads: [{ cylinder: 1, dryKpa: -5, wetKpa: null }] },
  ])
    await write(wren, 'post', `/api/slips/${slip.slipId}/kept`, { version: slip.version, kept }).expect(400);
});

describe('planted stories of old parts, as they stand in the demo', () => {
  test.each(OLD_PART_STORIES.map((story) => [story.tells, story] as const))('%s', async (_, story) => {
    const { slips } = (await wren.get(`/api/slips?q=${story.docket}`).expect(200)).body as { slips: SlipSummary[] };
    const slip = (await wren.get(`/api/slips/${slips[0]!.slipId}`).expect(200)).body as Slip;
    const card = (await wren.get(`/api/engines/${story.engineId}`).expect(200)).body as EngineCard;
    const engine = { ...card, hasLeadSet: card.needs.some(({ kind }) => kind === 'lead-set') };
    const latest = <K extends SlipKept['kind']>(kind: K) =>
      slip.kept.find((one): one is Extract<SlipKept, { kind: K }> => one.kind === kind);
    const [plugs, comeback] = [latest('old-plugs'), latest('comeback')];
    const says = plugs
      ? answerKeptPlugs(plugs, latest('compression'), engine, card.plan!).says
      : answerKeptComeback(comeback!, engine, card.plan!).found;
    expect(says).toMatch(story.says);
  });
});
