import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { HandOver, PaperView } from '@brackenfell/contract/hand-over';
import type { Slip } from '@brackenfell/contract/slip';
import { WORK_PHASES } from '@brackenfell/core/fitting-plan/steps';
import { demoWorld } from '@brackenfell/demo/world';
import { barcodesOf, pdfOf, textOf } from '../testing/papers.ts';
import { fetchTray, openTestCounter, rowOf, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

async function slipFor(engineId: string, printed?: string, details: object = {}): Promise<Slip> {
  const begun = (await write(wren, 'post', '/api/slips', { engineId, ...details }).expect(201)).body as Slip;
  const { rows } = await fetchTray(wren, engineId, '?most=400');
  const row = printed
    ? rows.find((one) => one.printed === printed)!
    : rows.find(({ verdict }) => verdict !== 'refuse')!;
  const put = { partId: row.partId, version: begun.version };
  return (await write(wren, 'post', `/api/slips/${begun.slipId}/lines`, put).expect(201)).body as Slip;
}
const handOverOf = async (slip: Slip, units = 'metric') =>
  (await wren.get(`/api/slips/${slip.slipId}/hand-over?units=${units}`).expect(200)).body as HandOver;
const print = (slip: Slip, size = 'A5', by: Agent = wren) =>
  write(by, 'post', `/api/slips/${slip.slipId}/papers`, {
    kind: 'fitting-card',
    size,
    origin: 'http://127.0.0.1:8417',
  });
describe('what a fitter leaves with', () => {
  test('has figures, order of work and kit for the plug, and says what nobody has verified', async () => {
    const card = await handOverOf(
      await slipFor('skerrow-sc20', 'KN 419G-63DR', { customer: 'Cawdle Minibus Co-operative' }),
    );
    const [line] = card.fitted;
    expect(line!.figures.map(({ what }) => what)).toEqual(['Gap', 'Tighten', 'Due']);
    expect(line!.gaps.map(({ says }) => says)).toEqual(Array(4).fill('not verified'));
    expect(line!.kit.map(({ what }) => what)).toEqual(expect.arrayContaining(['Lead labels', 'Wire or blade gauge']));
    expect(card.options[0]).toMatchObject({
      printed: 'KN 419G-63DR',
      setMinor: 4 * 940,
      lastsKm: 60_000,
      isOnSlip: true,
    });
    expect(card.options.length).toBeGreaterThan(2);
    expect(card.notVerified).toContain('KN 419G-63DR: The gap of none is measured yet.');
  });

  test.each(demoWorld.engines.map(({ id }) => id))(
    '%s: no step and no tool that the engine cannot have',
    async (engineId) => {
      const card = await handOverOf(await slipFor(engineId));
      const { facts } = demoWorld.engines.find(({ id }) => id === engineId)!;
      const [line] = card.fitted;
      const steps = line!.steps.map(({ says }) => says).join('\n');
      const kit = line!.kit.map(({ what }) => what).join('\n');
      expect(line!.steps.map(({ phase }) => phase)).toEqual(
        [...line!.steps.map(({ phase }) => phase)].sort((a, b) => WORK_PHASES.indexOf(a) - WORK_PHASES.indexOf(b)),
      );
      const hasBattery = (facts as Record<string, unknown>)['position.hasBattery'] !== false;
      expect(steps.includes('Battery negative off')).toBe(hasBattery);
      expect(/battery/i.test(kit)).toBe(hasBattery);
      expect(steps.includes('licensed gas fitter')).toBe((facts as Record<string, unknown>)['position.fuel'] === 'gas');
      expect(steps.includes('gasket flat')).toBe((facts as Record<string, unknown>)['position.seat'] === 'gasket');
      expect(line!.steps.some(({ isQuestion }) => isQuestion)).toBe(false);
      // Closed off place by place, by what comes off there; no lamp and nothing to learn again without a battery.
      expect(line!.steps.filter(({ id }) => id.startsWith('closed-')).length).toBe(line!.quantity);
      expect(/no lamp|learn again/.test(steps)).toBe(hasBattery);
    },
  );
});

describe('a step that was done', () => {
  const tickOf = (slip: Slip, stepId: string, done: boolean, by: Agent = wren) =>
    write(by, 'post', `/api/slips/${slip.slipId}/ticks`, { lineId: slip.lines[0]!.lineId, stepId, done });

  test('stands with who ticked it, once however many hands tick it, and is taken back', async () => {
    const slip = await slipFor('skerrow-sc20', 'KN 419G-63DR');
    const perrin = await counter.as('starter');
    await Promise.all([tickOf(slip, 'cold', true).expect(200), tickOf(slip, 'cold', true, perrin).expect(200)]);
    await tickOf(slip, 'blow', true, perrin).expect(200);
    const ticks = async () => (await handOverOf(slip)).fitted[0]!.ticks.map(({ stepId }) => stepId);
    expect(await ticks()).toEqual(['cold', 'blow']);
    const { body } = await tickOf(slip, 'cold', false).expect(200);
    expect(body.ticks).toMatchObject([{ stepId: 'blow', by: 'Perrin' }]);
    expect(await ticks()).toEqual(['blow']);
  });

  test('is ticked after the slip was collected too, is of this slip, and not the editor’s', async () => {
    const slip = await slipFor('skerrow-sc20', 'KN 419G-63DR');
    await write(wren, 'post', `/api/slips/${slip.slipId}/collect`, { version: slip.version }).expect(200);
    await tickOf(slip, 'cold', true).expect(200);
    const other = await slipFor('skerrow-sc20', 'KN 419G-63DR');
    await tickOf({ ...slip, slipId: other.slipId }, 'cold', true).expect(404);
    await tickOf(other, 'procedure-1', true).expect(200);
    for (const invented of ['colder', 'tighten-0', 'do-not-fit', '']) await tickOf(other, invented, true).expect(400);
    await tickOf(other, 'cold', true, await counter.as('editor')).expect(403);
  });
});

describe('a fitting card', () => {
  test.each(['A5', 'A4'] as const)(
    'on %s holds what was told, in words an independent reader finds, uncut',
    async (size) => {
      const long = `Cawdle Minibus Co-operative of the Upper Dale, ${'and its depot '.repeat(5)}`.slice(0, 118);
      const slip = await slipFor('pellworth-pg66', undefined, { customer: long, vehicle: 'standby set 7' });
      const { paperId } = (await print(slip, size).expect(201)).body as PaperView;
      const text = textOf(await pdfOf(wren, paperId));
      const card = await handOverOf(slip, 'both');
      const plain = (says: string) => says.replaceAll(/\s+/g, ' ').trim();
      for (const says of [
        long,
        card.engine,
        card.fitted[0]!.printed,
        ...card.fitted[0]!.figures.map((one) => one.says),
        ...card.cautions,
        ...card.notVerified,
      ])
        expect(text).toContain(plain(says));
      for (const { says } of card.fitted[0]!.steps) expect(text).toContain(plain(printed(says)));
      const docket = String(slip.docket).padStart(5, '0');
      expect(text).toContain(docket);
      expect(barcodesOf(await pdfOf(wren, paperId))).toEqual([
        `CODE-128:${docket}`,
        `QR-Code:http://127.0.0.1:8417/work/${slip.slipId}`,
      ]);
    },
  );

  test('is kept as it was printed: the same bytes after the slip has changed', async () => {
    const slip = await slipFor('skerrow-sc20', 'KN 419G-63DR');
    const { paperId } = (await print(slip).expect(201)).body as PaperView;
    const before = await pdfOf(wren, paperId);
    await write(wren, 'patch', `/api/slips/${slip.slipId}`, {
      version: slip.version,
      customer: 'Somebody else',
    }).expect(200);
    expect((await pdfOf(wren, paperId)).equals(before)).toBe(true);
    await expect(counter.db.updateTable('printed_paper').set({ size: 'A4' }).execute()).rejects.toThrow(/permission/);
    const { papers } = (await wren.get(`/api/slips/${slip.slipId}/papers`).expect(200)).body as { papers: PaperView[] };
    expect(papers).toEqual([{ paperId, kind: 'fitting-card', size: 'A5', by: 'Wren', at: expect.any(String) }]);
  });

  test('names a refused part only as one that must not be fitted', async () => {
    const slip = await slipFor('skerrow-sc20', 'KN 419G-63DR');
    const row = rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'KN 426G-63DR');
    const own = { partId: row.partId, kind: 'customers-own', version: slip.version };
    const now = (await write(wren, 'post', `/api/slips/${slip.slipId}/lines`, own).expect(201)).body as Slip;
    const { paperId } = (await print(now).expect(201)).body as PaperView;
    const text = textOf(await pdfOf(wren, paperId));
    expect(text.split('KN 426G-63DR')).toHaveLength(2);
    expect(text).toContain('Do not fit KN 426G-63DR');
  });

  test('is not printed without an engine, nor by the catalogue’s editor', async () => {
    const bare = (await write(wren, 'post', '/api/slips', {}).expect(201)).body as Slip;
    await print(bare).expect(409);
    await print(await slipFor('skerrow-sc20', 'KN 419G-63DR'), 'A5', await counter.as('editor')).expect(403);
    await wren.get('/api/papers/999999').expect(404);
  });
});

/** What the faces print for signs they lack. */
const printed = (says: string) =>
  says.replaceAll('⁄', '/').replaceAll('⅓', '1/3').replaceAll('⅔', '2/3').replaceAll('⅛', '1/8');
