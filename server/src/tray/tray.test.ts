import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import type { PartCard } from '@brackenfell/contract/part';
import { NearMisses, Tray } from '@brackenfell/contract/tray';
import { demoWorld } from '@brackenfell/demo/world';
import { CHECK_IDS } from '@brackenfell/core/fitment/check-ids';
import { fetchTray, findingOf, openTestCounter, rowOf, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let tray: OpenTray;

beforeAll(async () => {
  counter = await openTestCounter();
  tray = await fetchTray(await counter.as('specialist'), 'skerrow-sc20');
});
afterAll(() => counter.close());

describe('the tray of the SC20 over HTTP', () => {
  test('gives every candidate with all sixteen checks, their figures, sentences and sources', async () => {
    const answer = await (await counter.as('specialist')).get('/api/engines/skerrow-sc20/tray').expect(200);
    expect(() => Tray.parse(answer.body)).not.toThrow();
    for (const row of tray.rows) {
      expect(row.findings.map((finding) => finding.check)).toEqual([...CHECK_IDS]);
      for (const finding of row.findings) {
        expect(finding.told.says).not.toBe('');
        if (finding.outcome !== 'unknown') expect(finding.sources.length).toBeGreaterThan(0);
      }
    }
  });

  test('names for each figure of a plug a source that the plug’s own page names, and sends each source once', async () => {
    const wren = await counter.as('specialist');
    const { origins } = (await wren.get('/api/engines/skerrow-sc20/tray').expect(200)).body as Tray;
    expect(new Set(origins.map((origin) => JSON.stringify(origin))).size).toBe(origins.length);
    for (const row of tray.rows.slice(0, 6)) {
      const { facts } = (await wren.get(`/api/parts/${row.partId}`).expect(200)).body as PartCard;
      const named = new Map(facts.map(({ label, sources }) => [label, sources.map(({ name }) => name)]));
      const used = row.findings.flatMap(({ sources }) => sources.map((place) => tray.sources[place]!));
      const own = used.filter(({ fact }) => named.has(fact));
      expect(own.length).toBeGreaterThan(10);
      for (const { fact, source } of own)
        expect([fact, named.get(fact)]).toEqual([fact, expect.arrayContaining([source.name])]);
    }
  });

  test('refuses the long-reach plug, 7.5 mm too long, though a list calls it equivalent', () => {
    const row = rowOf(tray, 'KN 426G-63DR');
    const reach = findingOf(row, 'reach');
    expect(row.verdict).toBe('refuse');
    expect(row.evidence.trail?.grade).toBe('equivalent');
    expect(reach).toMatchObject({ outcome: 'refuse', caseId: 'longer', figures: { differenceMm: 7.5 } });
    expect(reach.told.says).toMatch(/into the chamber/);
    expect(findingOf(row, 'depth').told.says).toMatch(/inside the piston’s path/);
  });

  test('asks first for a plug whose reach nobody gives, with the measurement that settles it', () => {
    const row = rowOf(tray, 'TS 500 231');
    expect(row.verdict).toBe('ask-first');
    expect(findingOf(row, 'reach')).toMatchObject({ outcome: 'unknown', blocks: true });
    expect(findingOf(row, 'reach').missing.map((m) => m.question)).toEqual([
      'Measure from the seat face to the end of the shell, in mm.',
    ]);
  });

  test('refuses the cheap single-precious plug at the cylinders that fire in reverse', () => {
    const polarity = findingOf(rowOf(tray, 'IVX-C19-F10'), 'polarity');
    expect(polarity).toMatchObject({ outcome: 'refuse', onlyAt: ['2', '4'] });
    expect(polarity.told.says).toMatch(/forbids/);
  });

  test('refuses a taper seat in a gasket head', () => {
    expect(findingOf(rowOf(tray, 'TS 500 187'), 'seat')).toMatchObject({
      outcome: 'refuse',
      caseId: 'taper-in-gasket',
    });
  });

  test('counts every candidate, and shows the first of the order with all that a list or a name claims to fit', async () => {
    const agent = await counter.as('specialist');
    const all = Object.values(tray.counts.verdicts).reduce((sum, n) => sum + n, 0);
    expect(tray.counts.byReference + tray.counts.bySize).toBe(all);
    const everyOne = await fetchTray(agent, 'skerrow-sc20', '?most=400');
    expect(everyOne.rows).toHaveLength(all);
    const few = await fetchTray(agent, 'skerrow-sc20', '?most=5');
    expect(few.counts).toEqual(tray.counts);
    const claimed = ['named', 'listed', 'same', 'renamed', 'equiv.'];
    expect(few.rows.map(({ printed }) => printed)).toEqual(
      everyOne.rows.filter((row, i) => i < 5 || claimed.includes(row.evidenceWord)).map(({ printed }) => printed),
    );
    expect(rowOf(few, 'KN 426G-63DR').verdict).toBe('refuse');
    const stranger = everyOne.rows.at(-1)!;
    expect(
      rowOf(await fetchTray(agent, 'skerrow-sc20', `?most=5&inHand=${stranger.partId}`), stranger.printed),
    ).toEqual({
      ...stranger,
      inHand: true,
      findings: expect.anything(),
    });
    expect(few.rows[0]).toEqual(tray.rows[0]);
  });

  test('names of all plugs those that one check alone keeps out, as the tray would judge them', async () => {
    const agent = await counter.as('specialist');
    const { body } = await agent.get('/api/engines/skerrow-sc20/near-misses').expect(200);
    const { considered, byCheck } = NearMisses.parse(body);
    expect(considered).toBe(demoWorld.plugs.length);
    expect(byCheck.length).toBeGreaterThan(3);
    for (const { check, count, nearest } of byCheck) {
      expect(count).toBeGreaterThanOrEqual(nearest.length);
      const { partId, printed, phrase } = nearest[0]!;
      const row = rowOf(await fetchTray(agent, 'skerrow-sc20', `?inHand=${partId}`), printed);
      expect(row.findings.filter(({ outcome }) => outcome === 'refuse').map((f) => f.check)).toEqual([check]);
      expect(phrase).toBe(findingOf(row, check).told.phrase);
    }
    await agent.get('/api/engines/no-such/near-misses').expect(404);
  });

  test('puts the engine maker’s own plug first, to be sold', () => {
    expect(tray.rows[0]).toMatchObject({ printed: 'KN 419G-63DR', verdict: 'sell', evidenceWord: 'named' });
  });
});
