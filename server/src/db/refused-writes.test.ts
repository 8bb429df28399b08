import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

describe('what the application may never write, whatever it sends', () => {
  const refused = { code: 'BF003' };
  test('a batch’s state without an event that says who and why, or settled by another than a supervisor', async () => {
    const batch = await counter.owner
      .selectFrom('batch')
      .selectAll()
      .where('state', '=', 'open')
      .executeTakeFirstOrThrow();
    const to = (state: string) => sql`update batch set state = ${state} where id = ${batch.id}`;
    await expect(to('released').execute(counter.db)).rejects.toMatchObject(refused);
    await expect(to('confirmed').execute(counter.db)).rejects.toMatchObject(refused);
    const { id: specialist } = await counter.owner
      .selectFrom('staff')
      .select('id')
      .where('role', '=', 'specialist')
      .executeTakeFirstOrThrow();
    const settledBySpecialist = counter.db.transaction().execute(async (trx) => {
      await sql`insert into batch_event (batch_id, action, reason, staff_id) values (${batch.id}, 'confirm', 'x', ${specialist})`.execute(
        trx,
      );
      await to('confirmed').execute(trx);
    });
    await expect(settledBySpecialist).rejects.toMatchObject(refused);
    const now = await counter.owner.selectFrom('batch').select('state').where('id', '=', batch.id).executeTakeFirst();
    expect(now!.state).toBe('open');
  });

  test('a figure of another part, or one that was withdrawn, as the one that rules', async () => {
    const figure = await counter.owner
      .selectFrom('figure')
      .select(['id', 'part_id'])
      .where('part_id', 'is not', null)
      .executeTakeFirstOrThrow();
    const chosenFor = (partId: string) =>
      sql`update chosen_figure set part_id = ${partId} where figure_id = ${figure.id}`.execute(counter.db);
    await expect(chosenFor(String(Number(figure.part_id) + 1))).rejects.toMatchObject(refused);
    await expect(chosenFor(figure.part_id!)).resolves.toBeDefined();
  });
});
