import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { askNext, isSettled, outlookOf } from '@brackenfell/core/identification/ask-next';
import type { EngineCandidate } from '@brackenfell/core/identification/candidates';
import { questionsFor, type Question } from '@brackenfell/core/identification/questions';
import type { Identification } from '@brackenfell/contract/identify';
import { chance } from '@brackenfell/demo/large/random';
import { CatalogueIndexes } from '../catalogue/catalogue-index.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';

let counter: TestCounter;
let candidates: readonly EngineCandidate[];
beforeAll(async () => {
  counter = await openTestCounter();
  candidates = (await new CatalogueIndexes().at(counter.db)).candidates;
});
afterAll(() => counter.close());

const identify = async (...said: string[]): Promise<Identification> =>
  (await (await counter.as('specialist')).get('/api/identify').query({ said }).expect(200)).body as Identification;

/** Minutes of asking on average by whatever picks the next one; every order is tried when `pick` is left out. */
function minutesNeeded(
  some: readonly EngineCandidate[],
  open: readonly Question[],
  pick?: (some: readonly EngineCandidate[], asked: readonly string[]) => string | undefined,
  asked: readonly string[] = [],
  seen = new Map<string, number>(),
): number {
  if (isSettled(some)) return 0;
  const key = `${some.map((c) => c.key).join()}|${open.map((q) => q.id).join()}`;
  const known = seen.get(key);
  if (known !== undefined) return known;
  const useful = open.flatMap((question) => outlookOf(question, some) ?? []);
  const picked = pick?.(some, asked);
  const tried = pick ? useful.filter(({ question }) => question.id === picked) : useful;
  const lengths = tried.map(({ question, answers }) => {
    const left = open.filter((other) => other !== question);
    const onward = [...asked, question.id];
    return answers.reduce(
      (sum, { chance: p, stay }) => sum + p * minutesNeeded(stay, left, pick, onward, seen),
      question.minutes,
    );
  });
  const fewest = lengths.length === 0 ? 0 : Math.min(...lengths);
  seen.set(key, fewest);
  return fewest;
}

describe('asking next, over the demo engines', () => {
  test('takes no more minutes than the best of all orders, on 240 random subsets', () => {
    const by = chance(2024);
    const worse: string[] = [];
    for (let round = 0; round < 240; round += 1) {
      const size = 2 + by.below(8);
      const some = [...candidates]
        .map((candidate) => ({ candidate, at: by.below(1_000_000) }))
        .sort((a, b) => a.at - b.at)
        .slice(0, size)
        .map(({ candidate }) => candidate);
      const questions = questionsFor(some);
      const best = minutesNeeded(some, questions);
      const ours = minutesNeeded(some, questions, (left, asked) => {
        const next = askNext(left, asked);
        return next.kind === 'ask' ? next.best.question.id : undefined;
      });
      if (ours > best + 1e-6) worse.push(`${some.map((c) => c.key).join()}: ${ours} against ${best}`);
    }
    expect(worse).toEqual([]);
  });
});

describe('the engine stage', () => {
  test('begins with every engine, and asks one question whose answers say what would remain', async () => {
    const start = await identify();
    expect(start).toMatchObject({ state: 'ask', left: start.total, statements: [] });
    expect(start.ask!.answers.every(({ stay }) => stay < start.left)).toBe(true);
    expect(start.guess!.says).toMatch(/^If it proves to be/);
  });

  test('narrows statement by statement, and names those that cannot both be true', async () => {
    const narrowed = await identify('make:Skerrow', 'answer:leads=pack', 'answer:fuel=gas');
    expect(narrowed.engines.map(({ code }) => code)).toEqual(['SC20G']);
    expect(narrowed.state).toBe('settled');
    const wrong = await identify('make:Pellworth', 'model:Haulm');
    expect(wrong).toMatchObject({ state: 'none-left', left: 0 });
    expect(wrong.statements.map(({ contradicts }) => contradicts)).toEqual([true, true]);
  });

  test('remembers “cannot tell” and does not ask again', async () => {
    const first = await identify('make:Skerrow');
    const second = await identify('make:Skerrow', `answer:${first.ask!.questionId}=?`);
    expect(second.left).toBe(first.left);
    expect(second.ask!.questionId).not.toBe(first.ask!.questionId);
  });

  test('is narrowed by the part in hand to the engines its references lead to', async () => {
    const part = await counter.db
      .selectFrom('part_name')
      .select('part_id')
      .where('printed', '=', 'HB/17V/55.J1')
      .executeTakeFirstOrThrow();
    expect((await identify(`part:${part.part_id}`)).engines.map(({ code }) => code)).toEqual(['PG66']);
  });

  test.each([
    ['SD-4471', 'found', ['make:Skerrow', 'model:Haulm 2.0', 'built:2015-03']],
    ['ZZ-1234', 'unknown', []],
    ['ZZ-0099', 'failed', []],
    ['ZZ-0088', 'slow', []],
  ])('asks the register for %s, which is %s, and guesses nothing', async (plate, kind, statements) => {
    const agent = await counter.as('specialist');
    const { body } = await agent.get('/api/identify/plate').query({ plate }).expect(200);
    expect(body).toMatchObject({ kind, statements, register: 'look-up stand-in, simulated' });
  });

  test('refuses what is no statement', async () => {
    const agent = await counter.as('specialist');
    await agent.get('/api/identify').query({ said: 'colour:red' }).expect(400);
  });
});

describe('an engine that changed at a serial number', () => {
  test('is asked for it, and one answer settles the coil where no month would', async () => {
    const told = ['code:AS22', 'built:2012-05'];
    const both = await identify(...told);
    expect(both.engines.map(({ build }) => build)).toEqual(['serial to 408 211', 'serial 408 212 on']);
    const late = await identify(...told, 'answer:serial:408212=from');
    expect(late.engines.map(({ build }) => build)).toEqual(['serial 408 212 on']);
    expect(late.statements.at(-1)!.told).toBe('Serial number from 408\u00a0212');
    const cannotTell = await identify(...told, 'answer:serial:408212=?');
    expect(cannotTell.left).toBe(2);
  });

  test('and a serial number nobody changed at is no question', async () => {
    const { left } = await identify('code:AS22', 'answer:serial:0=from');
    expect(left).toBe(2);
  });
});
