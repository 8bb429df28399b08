import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { STORIES } from '@brackenfell/demo/stories';
import { demoWorld } from '@brackenfell/demo/world';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { fetchTray, findingOf, openTestCounter, rowOf, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
const trays = new Map<string, OpenTray>();
beforeAll(async () => {
  counter = await openTestCounter();
  const agent = await counter.as('specialist');
  for (const { id } of demoWorld.engines) trays.set(id, await fetchTray(agent, id, '?most=400'));
});
afterAll(() => counter.close());

describe('planted stories, over HTTP', () => {
  test.each(STORIES.map((story) => [`${story.engineId}: ${story.tells}`, story] as const))('%s', (_, story) => {
    const row = rowOf(trays.get(story.engineId)!, story.printed);
    const finding = findingOf(row, story.check);
    expect([row.verdict, finding.outcome]).toEqual([story.verdict, story.outcome]);
    expect(finding.figures).toMatchObject(story.figures ?? {});
    expect(`${finding.told.says} ${finding.told.toDo ?? ''}`).toMatch(story.consequence);
    expect(finding.onlyAt).toEqual(story.onlyAt ?? []);
  });
});

describe('every demo engine', () => {
  test.each(demoWorld.engines.map((engine) => engine.id))(
    '%s can be sold the plug its maker names, and has one to refuse',
    (engineId) => {
      const { rows } = trays.get(engineId)!;
      const named = rows.filter((row) => row.evidence.named);
      expect(named.length).toBeGreaterThan(0);
      // Never without a word: of two pieces, seizing and shorter-lived than the interval (the two-valve four), a nut to take
      // off (the pump).
      const told = ['skerrow-tl24', 'pellworth-pp20'];
      const verdict = told.includes(engineId) ? 'sell-with-advice' : 'sell';
      expect(named.map((row) => row.verdict)).toEqual(named.map(() => verdict));
      expect(rows.some((row) => row.verdict === 'refuse')).toBe(true);
      expect(named[0]!.drawing).toMatchObject({ part: 'plug', oePlug: { shape: { part: 'plug' } } });
    },
  );

  test('has trays ordered by how soon a part could be sold', () => {
    const order = ['sell', 'sell-with-advice', 'ask-first', 'needs-supervisor', 'refuse'];
    for (const { rows } of trays.values()) {
      const places = rows.map((row) => order.indexOf(row.verdict));
      expect(places).toEqual([...places].sort((a, b) => a - b));
    }
  });
});

describe('the tray', () => {
  test('of one position asks only what that position asks', async () => {
    const agent = await counter.as('specialist');
    const { body } = await agent.get('/api/engines/skerrow-sc20').expect(200);
    const [first, second] = (body.positions as { positionId: string }[]).map((p) => p.positionId);
    const forward = await fetchTray(agent, 'skerrow-sc20', `?position=${first}`);
    const reverse = await fetchTray(agent, 'skerrow-sc20', `?position=${second}`);
    expect(rowOf(forward, 'IVX-C19-F10').verdict).toBe('needs-supervisor'); // iridium where platinum is designed, by house rule
    expect(findingOf(rowOf(forward, 'IVX-C19-F10'), 'polarity').outcome).toBe('not-asked');
    expect(rowOf(reverse, 'IVX-C19-F10').verdict).toBe('refuse');
  });

  test('holds the part in the customer’s hand whatever led to it', async () => {
    const agent = await counter.as('specialist');
    const stranger = rowOf(trays.get('ostrel-ow12')!, 'KN 226G-63NR');
    expect(trays.get('pellworth-pp20')!.rows.some((row) => row.partId === stranger.partId)).toBe(false);
    const tray = await fetchTray(agent, 'pellworth-pp20', `?inHand=${stranger.partId}`);
    expect(rowOf(tray, 'KN 226G-63NR')).toMatchObject({ inHand: true, verdict: 'refuse', evidence: { trail: null } });
  });

  test('counts a listing restricted by build month only when the month meets it', async () => {
    const agent = await counter.as('specialist');
    const listedBy = async (query: string) =>
      rowOf(await fetchTray(agent, 'skerrow-sc20', query), 'TS 500 239').evidence.listed;
    expect(await listedBy('')).toBeNull();
    expect(await listedBy('?built=2011-03')).toBe('Tamsel application list');
    expect(await listedBy('?built=2012-07')).toBeNull();
  });

  test('tells figures in the reader’s units', async () => {
    const agent = await counter.as('specialist');
    const tray = await fetchTray(agent, 'skerrow-sc20', '?units=imperial');
    expect(findingOf(rowOf(tray, 'KN 426G-63DR'), 'reach').told.difference).toBe('+0.30 in');
  });

  test('is judged anew when a figure changes: what was cached goes with the catalogue’s version', async () => {
    const agent = await counter.as('specialist');
    const partId = rowOf(trays.get('skerrow-sc20')!, 'KN 419G-63D').partId;
    const before = findingOf(rowOf(await fetchTray(agent, 'skerrow-sc20'), 'KN 419G-63D'), 'resistor').outcome;
    await counter.owner.transaction().execute(async (trx) => {
      await trx
        .updateTable('figure')
        .set({ value: JSON.stringify({ kind: 'value', kohm: 5 }) })
        .where('part_id', '=', partId)
        .where('attribute', '=', 'plug.resistor')
        .execute();
      await chooseFigures(trx, [partId], []);
    });
    const after = findingOf(rowOf(await fetchTray(agent, 'skerrow-sc20'), 'KN 419G-63D'), 'resistor').outcome;
    expect([before, after]).toEqual(['refuse', 'match']);
  });
});
