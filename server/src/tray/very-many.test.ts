import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { coilOf } from '@brackenfell/demo/ignition/coils';
import { leadSetOf } from '@brackenfell/demo/ignition/leads';
import type { Lead } from '@brackenfell/core/facts/lead-facts';
import { fetchTray, openTestCounter, partIdOf, rowOf, type TestCounter } from '../testing/counter.ts';
import { makeManyLike } from '../testing/many-parts.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const trayOf = async (engineId: string, query: string) => fetchTray(await counter.as('specialist'), engineId, query);

describe('where a catalogue has hundreds of the form an engine asks', () => {
  test('the coil that is right is judged, however many wrong ones came before it, and the others are counted', async () => {
    const like = await partIdOf(counter, coilOf('ostrel-of16t', 'own', 'to Feb 2018'));
    const ids = await makeManyLike(counter.owner, like, 260, (place) =>
      // All but the last reach elsewhere, or their driver is elsewhere.
      place === 259
        ? {}
        : place % 2
          ? { 'coil.bootLengthMm': 60 + (place % 50) }
          : { 'coil.mounting': { holes: 1, spacingMm: 0, threadMm: 5 } },
    );
    const tray = await trayOf('ostrel-of16t', '?kind=coil&built=2018-02&most=50');
    const right = rowOf(tray, `MANY ${ids.at(-1)!}`);
    expect(right.verdict).not.toBe('refuse');
    expect(tray.rows.length).toBeLessThan(120);
    expect(tray.counts.notJudged).toBeGreaterThan(150);
    expect(tray.rows.some(({ printed }) => printed === `MANY ${ids[1]!}`)).toBe(false);
    // What lies on the shelf is judged, however far off it is.
    await counter.owner.insertInto('stock').values({ part_id: ids[1]!, on_hand: 2 }).execute();
    const after = await trayOf('ostrel-of16t', '?kind=coil&built=2018-02&most=400');
    expect(rowOf(after, `MANY ${ids[1]!}`)).toMatchObject({ verdict: 'refuse', onHand: 2 });
    expect(after.counts).toMatchObject({ notJudged: tray.counts.notJudged - 1 });
    // What the engine maker names is answered wherever it would stand.
    expect(rowOf(tray, coilOf('ostrel-of16t', 'own', 'to Feb 2018')).verdict).toBe('sell');
  });

  test('of sets of leads the nearest are judged: the one a little too long before those that hang, or reach nowhere', async () => {
    const own = leadSetOf('dunmarrow-hf22', 'own');
    const like = await partIdOf(counter, own);
    const { value } = await counter.owner
      .selectFrom('figure')
      .select('value')
      .where('part_id', '=', like)
      .where('attribute', '=', 'leads.set')
      .executeTakeFirstOrThrow();
    const longerBy = (mm: number) => ({
      'leads.set': (value as Lead[]).map((lead) => ({ ...lead, lengthMm: lead.lengthMm + mm })),
    });
    const ids = await makeManyLike(counter.owner, like, 240, (place) =>
      longerBy(place === 239 ? 5 : place % 2 ? 400 + place : -200),
    );
    const tray = await trayOf('dunmarrow-hf22', '?kind=lead-set&most=50');
    expect(rowOf(tray, `MANY ${ids.at(-1)!}`).verdict).not.toBe('refuse');
    expect(tray.counts.notJudged).toBeGreaterThan(130);
    expect(rowOf(tray, own).verdict).toBe('sell');
  });
});
