import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'kysely';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import type { DrillCaseView, DrillView } from '@brackenfell/contract/drill';
import type { Tray } from '@brackenfell/contract/tray';
import { openTestCounter, write, type Agent, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let starter: Agent;
let supervisor: Agent;
beforeAll(async () => {
  counter = await openTestCounter();
  [starter, supervisor] = [await counter.as('starter'), await counter.as('supervisor')];
});
afterAll(() => counter.close());

const view = async (who: Agent) => (await who.get('/api/drill').expect(200)).body as DrillView;
const deal = async (who: Agent, topic?: string) =>
  (await write(who, 'post', '/api/drill/cases', topic ? { topic } : {}).expect(201)).body as DrillCaseView;
const answer = (who: Agent, { caseId }: DrillCaseView, choice: string | null) =>
  write(who, 'post', `/api/drill/cases/${caseId}/answer`, { choice });
const kept = async () =>
  (await counter.owner.selectFrom('drill_case').selectAll().orderBy('id', 'desc').execute()).at(0)!;

describe('a practice case', () => {
  test('tells its answer once it is given, with what each check amounts to; it survives a reload before and after', async () => {
    const dealt = await deal(starter, 'verdict');
    expect(dealt.answer).toBeNull();
    expect(JSON.stringify(dealt)).not.toMatch(/outcome|"right"|isRight/);
    expect((await view(starter)).shown).toEqual(dealt);
    const { right } = (await kept()).dealt;
    const { shown } = (await answer(starter, dealt, right).expect(200)).body as DrillView;
    expect(shown!.answer).toMatchObject({ given: right, right, isRight: true, points: 2 });
    expect(shown!.answer!.rows).toHaveLength(dealt.rows.length);
    expect((await view(starter)).shown).toEqual(shown);
  });

  test('asks the verdict that the tray of that engine gives that part', async () => {
    const engines = (await starter.get('/api/engines').expect(200)).body as {
      engines: { engineId: string; maker: string; code: string }[];
    };
    for (let i = 0; i < 6; i += 1) {
      const dealt = await deal(starter, 'verdict');
      const [engine, offered] = dealt.facts.map(({ says }) => says);
      const { engineId } = engines.engines.find(({ maker, code }) => engine!.startsWith(`${maker} ${code},`))!;
      const trays = await Promise.all(
        ['plug', 'coil', 'lead-set'].map((kind) =>
          starter.get(`/api/engines/${engineId}/tray`).query({ kind, most: 400 }),
        ),
      );
      const rows = trays
        .flatMap(({ status, body }) => (status === 200 ? (body as Tray).rows : []))
        .filter(({ maker, printed }) => `${maker} ${printed}` === offered);
      const { right } = (await kept()).dealt;
      expect(rows.map(({ verdict }) => VERDICT_WORDS[verdict])).toContain(
        dealt.choices.find(({ id }) => id === right)!.says,
      );
    }
  });

  test('is answered once, by who was asked, with one of its answers; that one cannot tell is an answer', async () => {
    const dealt = await deal(starter, 'torque');
    await answer(starter, dealt, '99').expect(400);
    await answer(supervisor, dealt, '1').expect(404);
    expect((await view(starter)).shown!.answer).toBeNull();
    const told = (await answer(starter, dealt, null).expect(200)).body as DrillView;
    expect(told.shown!.answer).toMatchObject({ given: null, isRight: false, points: 0 });
    await answer(starter, dealt, told.shown!.answer!.right).expect(409);
    await expect(
      sql`update drill_case set is_right = true where id = ${dealt.caseId}`.execute(counter.db),
    ).rejects.toThrow('answered once');
  });

  test('left for another counts nothing, and no more of the old ones are kept than tell how somebody stands', async () => {
    const before = await view(supervisor);
    await deal(supervisor, 'heat');
    await deal(supervisor, 'number');
    expect((await view(supervisor)).topics).toEqual(before.topics);
    await sql`
      insert into drill_case (staff_id, topic, dealt) select staff_id, topic, dealt from drill_case, generate_series(1, 600)
       where id = (select max(id) from drill_case)`.execute(counter.owner);
    const last = await deal(supervisor, 'torque');
    const { count } = await counter.owner
      .selectFrom('drill_case')
      .select((eb) => eb.fn.countAll<string>().as('count'))
      .where('staff_id', '=', (await kept()).staff_id)
      .executeTakeFirstOrThrow();
    expect(count).toBe('500');
    expect((await view(supervisor)).shown!.caseId).toBe(last.caseId);
  });
});

describe('how practice stands', () => {
  test('a supervisor sees how everybody stands, a starter only themselves', async () => {
    expect((await view(starter)).people).toEqual([]);
    const { people } = await view(supervisor);
    expect(people.find(({ name }) => name === 'Perrin')!.topics).toEqual((await view(starter)).topics);
  });

  test('what wants practice most is dealt where no topic is chosen; where the catalogue has none of it, the next', async () => {
    const { byNeed } = await view(starter);
    expect((await deal(starter)).topic).toBe(byNeed[0]);
    await sql`delete from heat_rating`.execute(counter.owner);
    const refused = await write(starter, 'post', '/api/drill/cases', { topic: 'heat' }).expect(409);
    expect((refused.body as { detail: string }).detail).toContain('nothing to ask of “Heat scales”');
  });
});
