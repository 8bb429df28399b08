import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { coilOf } from '@brackenfell/demo/ignition/coils';
import { leadSetOf } from '@brackenfell/demo/ignition/leads';
import { demoWorld } from '@brackenfell/demo/world';
import type { EngineCard } from '@brackenfell/contract/engine';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { fetchTray, findingOf, openTestCounter, rowOf, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const trayOf = async (engineId: string, query: string) => fetchTray(await counter.as('specialist'), engineId, query);
const ofBuild = (kind: string, build: string) => `?kind=${kind}&build=${encodeURIComponent(build)}`;

describe('every engine, of everything it needs', () => {
  test.each(demoWorld.engines.map(({ id }) => [id] as const))(
    '%s can be sold what its maker names, has something plausible to refuse, and is drawn',
    async (engineId) => {
      const agent = await counter.as('specialist');
      const { needs, notes, plan } = (await agent.get(`/api/engines/${engineId}`).expect(200)).body as EngineCard;
      expect(notes.map(({ about }) => about)).toEqual(expect.arrayContaining(['access', 'fastener', 'breaks']));
      expect(notes.every(({ about, torque }) => (about === 'fastener') === (torque !== null))).toBe(true);
      expect(plan!.banks.flatMap(({ cylinders }) => cylinders).sort((a, b) => a - b)).toEqual(
        [...plan!.firingOrder].sort((a, b) => a - b),
      );
      expect(needs.map(({ kind }) => kind)).toContain('coil');
      for (const { kind, oeNumbers } of needs) {
        expect(oeNumbers.length).toBeGreaterThan(0);
        const open = await trayOf(engineId, `?kind=${kind}`);
        const builds = open.split?.choices.map(({ label }) => label) ?? [];
        const trays: OpenTray[] = builds.length === 0 ? [open] : [];
        for (const build of builds) trays.push(await trayOf(engineId, ofBuild(kind, build)));
        for (const tray of trays) {
          const named = tray.rows.filter((row) => row.evidence.named && row.verdict === 'sell');
          const tempting = tray.rows.filter(({ verdict, evidence }) => verdict === 'refuse' && evidence.trail !== null);
          expect([kind, named.length > 0, tempting.length > 0]).toEqual([kind, true, true]);
          expect(tray.rows.every(({ drawing, shape }) => drawing.part === kind && shape.part === kind)).toBe(true);
        }
      }
    },
  );
});

describe('coils that changed with the build', () => {
  test('are asked about while the build is not known, and the question tells what to look at', async () => {
    const tray = await trayOf('ostrel-of16t', '?kind=coil');
    const row = rowOf(tray, coilOf('ostrel-of16t', 'own', 'to Feb 2018'));
    expect(row.verdict).toBe('ask-first');
    expect(findingOf(row, 'connector').told.says).toMatch(/Mar 2018 on: 3 pins where 4 are asked, refused/);
    expect(tray.split).toMatchObject({ chosen: null });
    expect(tray.split!.question).toMatch(/to Feb 2018, or Mar 2018 on\?.*count the pins/);
  });

  test('are sold or refused once a month is told', async () => {
    const number = coilOf('ostrel-of16t', 'own', 'to Feb 2018');
    const verdictIn = async (month: string) =>
      rowOf(await trayOf('ostrel-of16t', `?kind=coil&built=${month}`), number).verdict;
    expect([await verdictIn('2018-02'), await verdictIn('2018-03')]).toEqual(['sell', 'refuse']);
  });

  test('at a serial number are asked for it, whatever month is told', async () => {
    const tray = await trayOf('aldersyke-as22', '?kind=coil&built=2012-05');
    const row = rowOf(tray, coilOf('aldersyke-as22', 'own', 'serial to 408 211'));
    expect(row.verdict).toBe('ask-first');
    expect(tray.split!.question).toMatch(/^Which serial number has it: serial to 408 211, or serial 408 212 on\?/);
  });

  test('by shape: a straight boot does not go down a stepped well', async () => {
    const tray = await trayOf('aldersyke-as22', ofBuild('coil', 'serial 408 212 on'));
    const row = rowOf(tray, coilOf('aldersyke-as22', 'own', 'serial to 408 211'));
    expect([row.verdict, findingOf(row, 'boot-angle').outcome]).toEqual(['refuse', 'refuse']);
  });

  test('differ by bank: the front bank’s coil is not long enough for the rear one’s wells, and is sold for its own', async () => {
    const tray = await trayOf('skerrow-sh28', '?kind=coil');
    const rear = tray.rows.find((row) => row.verdict === 'sell' && row.reason.startsWith('rear'));
    const front = tray.rows.find((row) => row.verdict === 'sell' && row.reason.startsWith('front'));
    const bootAsked = (row: typeof rear) => (row?.drawing.part === 'coil' ? row.drawing.asked.bootLengthMm : null);
    expect([bootAsked(rear), bootAsked(front)]).toEqual([141, 118]);
  });

  test('of a later revision may follow all together, and are a caution beside one that stays', async () => {
    const early = ofBuild('coil', 'to Feb 2018');
    const alone = rowOf(await trayOf('ostrel-of16t', early), 'MS-C 2900');
    expect(findingOf(alone, 'revision')).toMatchObject({ outcome: 'acceptable', caseId: 'all-together' });
    const beside = rowOf(await trayOf('ostrel-of16t', `${early}&staying=A`), 'MS-C 2900');
    expect(findingOf(beside, 'revision')).toMatchObject({ outcome: 'caution', caseId: 'mixed' });
    expect(beside.verdict).toBe('needs-supervisor');
  });
});

describe('lead sets', () => {
  test('one lead short are refused, and the cylinder that stays without is named', async () => {
    const row = rowOf(await trayOf('dunmarrow-hf22', '?kind=lead-set'), leadSetOf('dunmarrow-hf22', 'trap'));
    expect(row.verdict).toBe('refuse');
    expect(findingOf(row, 'lead-count').told.says).toMatch(/1 lead short: cylinder \d stays without/);
  });

  test('are given to the cylinders, every way once', async () => {
    const tray = await trayOf('dunmarrow-hf22', '?kind=lead-set');
    const { shape, drawing } = rowOf(tray, leadSetOf('dunmarrow-hf22', 'own'));
    expect(drawing).toMatchObject({ part: 'lead-set', plan: { firingOrder: [1, 3, 4, 2] } });
    expect(shape).toMatchObject({ part: 'lead-set', leadFor: [0, 1, 2, 3, 4], slackMm: [20, 30, 20, 30, 20] });
  });

  test('with straight boots alone lie on the manifold of the old six: refused', async () => {
    const row = rowOf(await trayOf('dunmarrow-h6', '?kind=lead-set'), leadSetOf('dunmarrow-h6', 'trap'));
    expect(findingOf(row, 'plug-boots').told.says).toMatch(/cylinder 3 and cylinder 4: it bears on hot metal/);
  });

  test('whose leads nobody published are asked about', async () => {
    const row = rowOf(await trayOf('skerrow-sc20', '?kind=lead-set'), leadSetOf('skerrow-sc20', 'unpublished'));
    expect(row.verdict).toBe('ask-first');
  });
});

describe('cap and rotor', () => {
  test('are judged as a pair once the other half is known', async () => {
    const rotors = await trayOf('dunmarrow-hf22', '?kind=rotor');
    const caps = await trayOf('dunmarrow-hf22', '?kind=cap');
    const named = rotors.rows.find((row) => row.evidence.named)!;
    const other = rotors.rows.find((row) => row.verdict === 'sell' && !row.evidence.named)!;
    const own = caps.rows.find((row) => row.evidence.named)!;
    expect(findingOf(own, 'pair').outcome).toBe('not-asked');
    const beside = async (partId: string) =>
      findingOf(rowOf(await trayOf('dunmarrow-hf22', `?kind=cap&beside=${partId}`), own.printed), 'pair').outcome;
    expect([await beside(named.partId), await beside(other.partId)]).toEqual(['match', 'caution']);
  });

  test('are not asked of an engine without a distributor', async () => {
    await (await counter.as('specialist')).get('/api/engines/ostrel-ow12/tray?kind=cap').expect(404);
  });
});
