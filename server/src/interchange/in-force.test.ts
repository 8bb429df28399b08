import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import type { AskAnswer } from '@brackenfell/contract/ask';
import type { PartGraph } from '@brackenfell/contract/part';
import { fetchTray, openTestCounter, rowOf, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let wren: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  wren = await counter.as('specialist');
});
afterAll(() => counter.close());

const idOf = async (printed: string): Promise<string> =>
  (
    await counter.owner
      .selectFrom('part_name')
      .select('part_id')
      .where('printed', '=', printed)
      .executeTakeFirstOrThrow()
  ).part_id;
const inForceFrom = async (from: string, to: string, day: string | null, engines: string[] | null = null) => {
  await sql`update reference set in_force_from = ${day}, engine_ids = ${engines}
             where from_part_id = ${await idOf(from)} and to_part_id = ${await idOf(to)}`.execute(counter.owner);
  await sql`update catalogue_version set version = version + 1`.execute(counter.owner);
};
const ask = async (q: string, engine?: string) =>
  (
    (
      await wren
        .get('/api/ask')
        .query({ q, ...(engine ? { engine } : {}) })
        .expect(200)
    ).body as AskAnswer
  ).parts[0]!;

describe('a supersession told for a day to come', () => {
  test('leads nowhere until that day, is drawn with it, and then counts', async () => {
    const [old, successor] = ['KN 419G-63DR', 'KN 419G-63ER'];
    expect((await ask(old)).succession).toBeNull();
    const { edges } = (await wren.get(`/api/parts/${await idOf(old)}/graph`).expect(200)).body as PartGraph;
    expect(edges.filter((edge) => edge.inForceFrom !== null)).toHaveLength(1);
    await inForceFrom(old, successor, '2020-01-01');
    // Nobody holds the successor yet: the old number says so instead of naming what cannot be had.
    expect((await ask(old)).succession).toMatchObject({ kind: 'dangling' });
    await inForceFrom(old, successor, '2041-06-01');
    expect((await ask(old)).succession).toBeNull();
  });
});

describe('an equal told for a day to come', () => {
  test('is on no trail of a tray before its day', async () => {
    const trailOf = async () =>
      rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'KN 426G-63DR').evidence.trail?.steps ?? null;
    expect(await trailOf()).not.toBeNull();
    // The one list that calls the long plug an equal.
    await sql`update reference set in_force_from = '2041-01-01'
               where ${await idOf('KN 426G-63DR')} in (from_part_id, to_part_id)`.execute(counter.owner);
    await sql`update catalogue_version set version = version + 1`.execute(counter.owner);
    const row = (await fetchTray(wren, 'skerrow-sc20', '?most=400')).rows.find(
      ({ printed }) => printed === 'KN 426G-63DR',
    );
    expect(row?.evidence.trail ?? null).toBeNull();
    await sql`update reference set in_force_from = null where in_force_from = '2041-01-01'`.execute(counter.owner);
    await sql`update catalogue_version set version = version + 1`.execute(counter.owner);
    expect(await trailOf()).not.toBeNull();
  });

  test('marks on the trail the reference that the dimensions contradict', async () => {
    const row = rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'KN 426G-63DR');
    expect(row.evidence.trail!.steps.map(({ contradicts }) => contradicts).filter(Boolean)).toEqual([
      'reach 19.0 mm ≠ reach 26.5 mm',
    ]);
    const sound = rowOf(await fetchTray(wren, 'skerrow-sc20', '?most=400'), 'HB/19/45.D1');
    expect(sound.evidence.trail!.steps.every(({ contradicts }) => contradicts === null)).toBe(true);
  });
});

describe('a number that splits', () => {
  test('is decided by the engine where its maker names one for each successor, and asked where it does not', async () => {
    const old = 'DMW 41.218';
    expect((await ask(old, 'dunmarrow-h6')).succession).toMatchObject({ kind: 'split' });
    await inForceFrom(old, 'DMW 41.221', null, ['dunmarrow-h6']);
    const decided = (await ask(old, 'dunmarrow-h6')).succession!;
    expect(decided.kind).toBe('replaced');
    expect(decided.to.map(({ printed }) => printed)).toEqual(['DMW 41.221']);
    expect((await ask(old)).succession).toMatchObject({ kind: 'split' });
    expect((await ask(old, 'skerrow-sc20')).succession).toMatchObject({ kind: 'split' });
  });
});
