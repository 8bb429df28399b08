import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { HouseRules } from '@brackenfell/core/house-rules/house-rules';
import { gapThroughLife, sparkDesk } from '@brackenfell/core/set-up/spark-desk';
import { torqueDesk } from '@brackenfell/core/torque/torque-desk';
import { demoWorld } from '@brackenfell/demo/world';
import { sayIn } from '@brackenfell/core/fitment/say';
import { setUpPoints } from '@brackenfell/core/set-up/set-up-points';
import { SET_UP_STORIES } from '@brackenfell/demo/stories';
import type { BladesOwned, SetUp } from '@brackenfell/contract/set-up';
import type { Slip } from '@brackenfell/contract/slip';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

async function lineOf(engineId: string, printed: string, details: object = {}): Promise<Slip> {
  const begun = (await write(wren, 'post', '/api/slips', { engineId, ...details }).expect(201)).body as Slip;
  const row = rowOf(await fetchTray(wren, engineId, '?most=400'), printed);
  const put = { partId: row.partId, version: begun.version };
  return (await write(wren, 'post', `/api/slips/${begun.slipId}/lines`, put).expect(201)).body as Slip;
}
const gap = (slip: Slip, piece: number, gapMm: number, stage = 'before') =>
  write(wren, 'post', `/api/slips/${slip.slipId}/lines/${slip.lines[0]!.lineId}/gaps`, {
    version: slip.version,
    piece,
    stage,
    gapMm,
    how: 'typed',
  });

describe('what is told with a line of plugs', () => {
  test('is the gap to set, the torque and the interval, with who says so', async () => {
    const slip = await lineOf('skerrow-sc20', 'KN 419G-63DR');
    const [figures] = slip.lines[0]!.setUp;
    expect(figures).toMatchObject({
      at: ['1', '2', '3', '4'],
      gap: { range: { low: 1.05, high: 1.15 }, source: 'Skerrow workshop sheet' },
      tightening: { method: 'wrench', torque: { condition: 'dry' } },
    });
    expect(figures!.interval!.value).toBeGreaterThan(0);
  });

  test('is kept as it was told: the database takes no other afterwards', async () => {
    await lineOf('skerrow-sc20', 'KN 419G-63DR');
    await expect(counter.db.updateTable('judgement').set({ set_up: null }).execute()).rejects.toThrow(/permission/);
    await expect(counter.db.updateTable('gap_reading').set({ gap_mm: 1 }).execute()).rejects.toThrow(/permission/);
  });

  test('follows the customer’s duty: on a smaller pulley, by reserve, a closer gap and half the interval', async () => {
    const slip = await lineOf('aldersyke-ak23s', 'KN 419G-65IR', { duty: 'boost:110' });
    expect(slip.lines[0]!.setUp[0]).toMatchObject({
      gap: { range: { low: 0.6, high: 0.7 } },
      interval: { value: 30_000, share: 0.5 },
    });
    const ida = await counter.as('supervisor');
    await write(ida, 'post', `/api/slips/${slip.slipId}/rules/gapForDuty`, {
      version: slip.version,
      school: 'margin',
      reason: 'hill climb',
    }).expect(200);
    const now = (await wren.get(`/api/slips/${slip.slipId}`).expect(200)).body as Slip;
    expect(now.lines[0]!.setUp[0]!.gap).toMatchObject({ range: { low: 0.5, high: 0.55 } });
    expect(now.lines[0]!.setUp[0]!.gap.source).toMatch(/House rule: Gap when boosted/);
  });

  test('is told apart where a place differs: no wrench goes on the V4’s fourth', async () => {
    const row = (await fetchTray(wren, 'thrushgill-tn17', '?most=400')).rows.find(({ verdict }) => verdict === 'sell')!;
    const slip = await lineOf('thrushgill-tn17', row.printed);
    const methods = slip.lines[0]!.setUp.map(({ at, tightening }) => [at.join(), tightening.method]);
    expect(methods).toContainEqual(['4', 'no-wrench-reaches']);
    expect(methods.some(([, method]) => method === 'wrench')).toBe(true);
  });
});

describe('planted stories of setting up, over HTTP', () => {
  test.each(SET_UP_STORIES.map((story) => [`${story.engineId}: ${story.tells}`, story] as const))(
    '%s',
    async (_, story) => {
      let slip = await lineOf(story.engineId, story.printed, story.duty ? { duty: story.duty } : {});
      const isolde = await counter.as('supervisor');
      for (const [rule, school] of Object.entries(story.rules ?? {}))
        slip = (
          await write(isolde, 'post', `/api/slips/${slip.slipId}/rules/${rule}`, {
            version: slip.version,
            school,
            reason: 'as asked',
          }).expect(200)
        ).body as Slip;
      for (const [i, gapMm] of (story.gapsMm ?? []).entries())
        slip = (await gap(slip, i + 1, gapMm).expect(201)).body as Slip;
      const [line] = slip.lines;
      const [figures] = line!.setUp;
      if (story.gap) expect(figures!.gap).toMatchObject(story.gap);
      if (story.torque) expect(figures!.tightening.torque).toMatchObject(story.torque);
      if (story.interval) expect(figures!.interval).toMatchObject(story.interval);
      const { quantity, setUp, gaps } = line!;
      const open = setUpPoints({ quantity, figures: setUp, gaps }, sayIn('metric')).map(({ kind }) => kind);
      if (story.open) expect(open).toEqual(story.open);
    },
  );
});

describe('gaps read at the desk', () => {
  test('stand on the line with who read them, and are taken back whole or one by one', async () => {
    let slip = await lineOf('skerrow-sc20', 'KN 419G-63DR');
    for (const [piece, gapMm, stage] of [
      [1, 1.1, 'before'],
      [2, 0.94, 'before'],
      [2, 1.1, 'after'],
    ] as const)
      slip = (await gap(slip, piece, gapMm, stage).expect(201)).body as Slip;
    expect(slip.lines[0]!.gaps.map(({ piece, stage, gapMm, by }) => [piece, stage, gapMm, by])).toEqual([
      [1, 'before', 1.1, 'Wren'],
      [2, 'before', 0.94, 'Wren'],
      [2, 'after', 1.1, 'Wren'],
    ]);
    const back = async (which: string) => {
      const path = `/api/slips/${slip.slipId}/lines/${slip.lines[0]!.lineId}/gaps/withdraw`;
      slip = (await write(wren, 'post', path, { version: slip.version, piece: 2, which }).expect(200)).body as Slip;
      return slip.lines[0]!.gaps.length;
    };
    expect([await back('last'), await back('all')]).toEqual([2, 1]);
    const kept = await counter.owner.selectFrom('gap_reading').selectAll().execute();
    expect(kept.filter(({ withdrawn_at }) => withdrawn_at !== null)).toHaveLength(2);
  });

  test('a piece that is not there, another slip’s line and a gap no plug has are refused by field', async () => {
    const slip = await lineOf('skerrow-sc20', 'KN 419G-63DR');
    const other = await lineOf('skerrow-sc20', 'KN 419G-63DR');
    await gap(slip, 5, 1.1).expect(400);
    await gap(slip, 1, 35).expect(400);
    await gap({ ...slip, lines: other.lines }, 1, 1.1).expect(404);
  });

  test('one that cannot be brought into the range keeps the slip, until another lies in its place', async () => {
    let slip = await lineOf('skerrow-sc20', 'KN 419G-63DR');
    slip = (await gap(slip, 3, 0.5).expect(201)).body as Slip;
    expect(slip.open.map(({ kind }) => kind)).toEqual(['piece-to-return']);
    const collect = (of: Slip) => write(wren, 'post', `/api/slips/${of.slipId}/collect`, { version: of.version });
    expect(((await collect(slip).expect(409)).body as { detail: string }).detail).toMatch(/number 3/);
    const path = `/api/slips/${slip.slipId}/lines/${slip.lines[0]!.lineId}/gaps/withdraw`;
    slip = (await write(wren, 'post', path, { version: slip.version, piece: 3, which: 'all' }).expect(200))
      .body as Slip;
    expect(slip.open).toEqual([]);
    await collect(slip).expect(200);
  });
});

describe('what setting up is reckoned with', () => {
  const setUpOf = async (slip: Slip, more = '') =>
    (
      await wren
        .get(`/api/engines/${slip.engineId!}/set-up?part=${slip.lines[0]!.partId}&slip=${slip.slipId}${more}`)
        .expect(200)
    ).body as SetUp;

  test('has the engine’s own coil with its source, and a distributor’s cylinders', async () => {
    const row = (await fetchTray(wren, 'dunmarrow-h6', '?most=400')).rows.find(({ verdict }) => verdict === 'sell')!;
    const setUp = await setUpOf(await lineOf('dunmarrow-h6', row.printed));
    const [place] = setUp.places;
    expect(place!.onPaper['coil.ratedKv']?.ruling[0]?.value).toBe(33);
    expect(place!.onPaper['job.cylindersCount']?.ruling[0]?.value).toBeGreaterThan(3);
    expect(setUp.coil).toMatchObject({ isOwn: true });
  });

  test('has another coil in place of it where one is on the slip', async () => {
    const slip = await lineOf('aldersyke-ak23s', 'KN 419G-65IR');
    const coils = await fetchTray(wren, 'aldersyke-ak23s', '?kind=coil');
    const setUp = await setUpOf(slip, `&coil=${coils.rows.at(-1)!.partId}`);
    expect(setUp.coil).toEqual({ printed: coils.rows.at(-1)!.printed, isOwn: false });
  });
});

describe('every demo engine, its own plug against its own coil, as the desk is sent it', () => {
  const MAGNETOS = ['dunmarrow-dd70', 'pellworth-pp20'];
  test.each(demoWorld.engines.map(({ id }) => id))('%s has a spark that is reckoned and holds', async (engineId) => {
    const row = (await fetchTray(wren, engineId, '?most=400')).rows.find(({ evidence }) => evidence.named)!;
    const setUp = (await wren.get(`/api/engines/${engineId}/set-up?part=${row.partId}`).expect(200)).body as SetUp;
    expect(setUp.coil).toMatchObject({ isOwn: true });
    for (const place of setUp.places) {
      const onPaper = place.onPaper as unknown as FactSheet;
      const rules = place.rules as unknown as HouseRules;
      const desk = sparkDesk({ onPaper, plug: setUp.plug as unknown as FactSheet, duty: {}, rules });
      if (desk.kind !== 'ready') throw new Error(`${place.label}: ${desk.missing.join()} missing`);
      const through = gapThroughLife({ ...desk, end: { growthMm: 0.2, lifeUsed: 1 } }, desk.makers.high);
      if (through.asSet.kind !== 'estimated' || through.atEnd.kind !== 'estimated') throw new Error('not estimated');
      // A magneto's margins are small by nature: it is asked at starting and at its torque peak.
      const points = MAGNETOS.includes(engineId) ? through.atEnd.points.slice(0, 2) : through.atEnd.points;
      expect(Math.min(...points.map(({ margin }) => margin))).toBeGreaterThanOrEqual(0.145);
      if (!MAGNETOS.includes(engineId)) expect(through.asSet.lowest.margin).toBeGreaterThanOrEqual(0.3);
      const torque = torqueDesk(place.asked as unknown as FactSheet, setUp.plug as unknown as FactSheet, { rules });
      expect(torque.answer).toBeDefined();
      expect(torque.sources.every(({ name }) => name !== '')).toBe(true);
    }
  });
});

describe('the shop’s blades', () => {
  test('are the usual ones until somebody says which, and a new starter does not', async () => {
    const read = async () => (await wren.get('/api/blades').expect(200)).body as BladesOwned;
    expect(await read()).toEqual({ blades: null, by: null, at: null });
    const blades = [
      { size: 0.05, unit: 'mm' },
      { size: 28, unit: 'thou' },
    ];
    await write(await counter.as('starter'), 'post', '/api/blades', { blades }).expect(403);
    await write(wren, 'post', '/api/blades', { blades: [{ size: 28, unit: 'mm' }] }).expect(400);
    await write(wren, 'post', '/api/blades', { blades }).expect(200);
    expect(await read()).toMatchObject({ blades, by: 'Wren' });
  });
});
