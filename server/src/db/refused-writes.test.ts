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

  test('a name that is read by the signs of another maker than its part’s', async () => {
    const name = await counter.owner
      .selectFrom('part_name')
      .select(['id', 'part_id', 'maker_id'])
      .executeTakeFirstOrThrow();
    const named = (maker: string) => sql`
      insert into part_name (part_id, maker_id, kind, printed, normal_form, fold_key)
      values (${name.part_id}, ${maker}, 'box', 'X 1', 'X1', 'X1')`;
    const other = name.maker_id === 'kestrane' ? 'skerrow' : 'kestrane';
    await expect(named(other).execute(counter.db)).rejects.toMatchObject({ code: '23503' });
    await expect(named(name.maker_id).execute(counter.db)).resolves.toBeDefined();
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
    // One that may not, among others that may: none of them is written.
    const { rows: chosen } = await sql<{ figure_id: string; part_id: string }>`
      delete from chosen_figure where part_id is not null returning figure_id, part_id`.execute(counter.db);
    const chooseAll = () =>
      sql`insert into chosen_figure (figure_id, part_id, rules)
            select *, true from unnest(${chosen.map((one) => one.figure_id)}::bigint[], ${chosen.map((one) => one.part_id)}::bigint[])`.execute(
        counter.db,
      );
    const withdraw = (at: string) => sql`update figure set withdrawn_at = ${at}::timestamptz where id = ${figure.id}`;
    await withdraw('2026-12-01').execute(counter.owner);
    await expect(chooseAll()).rejects.toMatchObject(refused);
    await sql`update figure set withdrawn_at = null where id = ${figure.id}`.execute(counter.owner);
    await expect(chooseAll()).resolves.toMatchObject({ numAffectedRows: BigInt(chosen.length) });
  });

  test('what a vehicle ran, what sat in it and what was lent, otherwise than by taking it back or settling it once', async () => {
    const denied = { code: '42501' };
    const attempts = [
      sql`update served_reading set served = 1`,
      sql`delete from served_reading`,
      sql`update fitted_record set interval = 999999`,
      sql`update fitted_record set vehicle_id = vehicle_id`,
      sql`delete from fitted_record`,
      sql`update tool_loan set deposit_minor = 0`,
      sql`update tool_loan set due_on = '2099-01-01'`,
      sql`delete from tool_loan`,
      sql`update declined_advice set says = 'nothing'`,
      sql`delete from garage_customer`,
      sql`update garage_customer set erased_at = now()`,
      sql`delete from printed_paper`,
      sql`update printed_paper set pdf = ''`,
      sql`update slip_note set text = ''`,
      sql`update change_entry set before = null`,
    ];
    for (const attempt of attempts) await expect(attempt.execute(counter.db)).rejects.toMatchObject(denied);
  });

  test('a loan settled twice or half, a paper of no kind, a part fitted no times', async () => {
    const broken = { code: '23514' };
    const [slip] = await counter.owner.selectFrom('slip').select('id').limit(1).execute();
    const [staff] = await counter.owner.selectFrom('staff').select('id').limit(1).execute();
    const lend = (set: string) =>
      sql`insert into tool_loan (slip_id, tool, deposit_minor, due_on, staff_id, settled_at, settled_as)
          values (${slip!.id}, 'Socket', ${set === 'free' ? -1 : 5}, '2026-01-01', ${staff!.id}, ${set === 'half' ? new Date() : null}, null)`;
    for (const set of ['free', 'half']) await expect(lend(set).execute(counter.db)).rejects.toMatchObject(broken);
    const paper = sql`insert into printed_paper (slip_id, kind, size, pdf, staff_id) values (${slip!.id}, 'poster', 'A4', '', ${staff!.id})`;
    await expect(paper.execute(counter.db)).rejects.toMatchObject(broken);
    const held = sql`update slip set held_until = '2026-01-01' where id = ${slip!.id}`;
    await expect(held.execute(counter.db)).rejects.toMatchObject(broken);
  });
});
