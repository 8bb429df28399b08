import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { fetchTray, openTestCounter, rowOf, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

describe('the tray of an engine that counts hours', () => {
  test('spreads a set’s price over a thousand hours and tells lives and intervals in hours', async () => {
    const tray = await fetchTray(wren, 'pellworth-pp20');
    expect(tray.costOver).toBe('1 000 h');
    const own = rowOf(tray, 'KN 409G-59N');
    // Nickel of 20 000 km stands 400 hours: one plug, so two and a half of its price a thousand.
    const price = own.priceMinor!;
    expect(own.costOverServiceMinor).toBe(Math.round((price * 50_000) / 20_000));
    const card = (await wren.get('/api/engines/pellworth-pp20').expect(200)).body as {
      requirement: { label: string; value: string; question: string | null }[];
    };
    const line = (label: string) => card.requirement.find((one) => one.label === label);
    expect(line('Interval')).toMatchObject({ value: '100 h', question: null });
    expect(line('Wrench')).toMatchObject({ value: 'does not reach: by turn' });
  });

  test('agrees fewer hours for a cautious shop’s duty, and a vehicle’s cost stays over distance', async () => {
    const tray = await fetchTray(wren, 'pellworth-pp20', '?duty=power:1.5');
    const interval = tray.duty.schools.filter(({ rule }) => rule === 'Interval').map(({ answer }) => answer);
    expect(interval).toEqual(['50 h', '50 h', '30 h']);
    expect((await fetchTray(wren, 'skerrow-sc20')).costOver).toBe('10 000 km');
  });
});

describe('the shelf in a tray', () => {
  test('tells apart what was looked at and is not proven, which is on the shelf and not free without a word', async () => {
    const before = rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'HB/19/45.D1');
    expect(before.unproven).toBe(0);
    const batch = await counter.owner
      .selectFrom('batch')
      .select(['id', 'on_hand'])
      .where('part_id', '=', before.partId)
      .where('state', '=', 'open')
      .where('on_hand', '>', 0)
      .executeTakeFirstOrThrow();
    const { rows } = await sql<{ id: string }>`
      insert into inspection (part_id, seller_id, channel, batch_id, reference_used, pieces, batch_size, staff_id)
      select part_id, seller_id, 'wholesale', id, 'drawings', 1, 4, 1 from batch where id = ${batch.id} returning id`.execute(
      counter.owner,
    );
    const conclude = (band: string) =>
      sql`insert into inspection_conclusion (inspection_id, band, bands, chance, says, journal_length, staff_id)
          values (${rows[0]!.id}, ${band}, ${[band]}, 0.2, '[]', 1, 1)`.execute(counter.owner);
    await conclude('not-proven');
    const after = rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'HB/19/45.D1');
    expect([after.unproven, after.onHand]).toEqual([batch.on_hand, before.onHand]);
    await conclude('consistent');
    expect(rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'HB/19/45.D1').unproven).toBe(0);
  });
});
