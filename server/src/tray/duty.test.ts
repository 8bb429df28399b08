import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { fetchTray, findingOf, openTestCounter, rowOf, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent | undefined;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

describe('duty', () => {
  test('moves the target on the heat rails and tells both schools', async () => {
    const tray = await fetchTray(wren!, 'aldersyke-ak23s', '?duty=boost:140,factory:60');
    expect(tray.duty.says).toBe('boost 140 kPa, was 60');
    expect(
      tray.duty.schools.filter(({ rule }) => rule === 'Heat with power').map(({ answer, chosen }) => [answer, chosen]),
    ).toEqual([
      ['as the maker asks', true],
      ['1.5 colder', false],
    ]);
    const { drawing } = tray.rows[0]!;
    if (drawing.part !== 'plug') throw new Error('not a plug');
    expect(drawing.heat.other!.lowBar).toBeGreaterThan(drawing.heat.targetLowBar!);
  });

  test('gas conversion of a petrol engine refuses what is hotter, and asks one colder in both schools', async () => {
    const tray = await fetchTray(wren!, 'skerrow-sc20', '?duty=gas&most=400');
    expect(tray.duty.schools.filter(({ rule }) => rule === 'Heat with power').map(({ answer }) => answer)).toEqual([
      '1 colder',
      '1 colder',
    ]);
    expect(findingOf(rowOf(tray, 'KN 419G-63DR'), 'heat')).toMatchObject({
      outcome: 'caution',
      caseId: 'hotter-than-target',
    });
    expect(findingOf(rowOf(tray, 'KN 419G-65DR'), 'heat').outcome).toBe('match');
  });

  test('a class permits the printed number in force on the day, and refuses its twin', async () => {
    const on = async (day: string) => fetchTray(wren!, 'thrushgill-tc18', `?most=400&duty=class:Tarn 2,on:${day}`);
    const [before, after] = [await on('2025-12-31'), await on('2026-01-01')];
    const outcome = (tray: typeof before, printed: string) => findingOf(rowOf(tray, printed), 'class-list').outcome;
    expect([outcome(before, 'KN 419G-67S'), outcome(before, 'KN 419G-67SR')]).toEqual(['match', 'refuse']);
    expect([outcome(after, 'KN 419G-67S'), outcome(after, 'KN 419G-67SR')]).toEqual(['refuse', 'match']);
    expect(outcome(await on('2023-05-01'), 'KN 419G-67SR')).toBe('unknown');
  });

  test('that is none is refused by field', async () => {
    await wren!.get('/api/engines/skerrow-sc20/tray?duty=fast').expect(400);
  });
});
