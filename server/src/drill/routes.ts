import type { Express } from 'express';
import { byNeed, pointsOf, progressOf, type DrillAnswer } from '@brackenfell/core/drill/progress';
import { TOPICS } from '@brackenfell/core/drill/topics';
import { answerCase, dealCase, getDrill, type DrillCaseView, type DrillView } from '@brackenfell/contract/drill';
import type { Staff } from '@brackenfell/contract/session';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { serve } from '../http/serve.ts';
import { trouble } from '../http/trouble.ts';
import { deal } from './deal.ts';
import { keepCase, lockCase, readAnswers, readLatest, readStaff, storeAnswer } from './store.ts';

/** A case as it is shown: its answer only once it is given. */
function showCase(row: NonNullable<Awaited<ReturnType<typeof readLatest>>>): DrillCaseView {
  const { topic, asks, facts, rows, choices, right, why } = row.dealt;
  const { is_right: isRight, seconds } = row;
  return {
    caseId: row.id,
    topic,
    asks,
    facts: facts.map((fact) => ({ isCode: false, ...fact })),
    rows: rows.map(({ title, asked, has }) => ({ title, asked, has })),
    choices: [...choices],
    dealtAt: row.dealt_at.toISOString(),
    answer:
      isRight === null
        ? null
        : {
            given: row.choice,
            right,
            isRight,
            seconds,
            points: pointsOf({ topic, isRight, seconds }),
            why: [...why],
            rows: rows.map(({ outcome, says }) => ({ outcome, says })),
          },
  };
}

const topicsOf = (answers: readonly DrillAnswer[]): DrillView['topics'] =>
  progressOf(answers).map(({ topic, of, right, typicalSeconds, standing, course }) => ({
    topic,
    of,
    right,
    typicalSeconds: typicalSeconds ?? null,
    standing,
    course: [...course],
  }));

async function showDrill(db: Database, me: Staff): Promise<DrillView> {
  const isSupervisor = me.role === 'supervisor';
  const [latest, answers, staff] = await Promise.all([
    readLatest(db, me.id),
    readAnswers(db, isSupervisor ? undefined : me.id),
    isSupervisor ? readStaff(db) : [],
  ]);
  const of = (staffId: string) => answers.filter((answer) => answer.staffId === staffId);
  return {
    topics: topicsOf(of(me.id)),
    byNeed: [...byNeed(progressOf(of(me.id)))],
    shown: latest ? showCase(latest) : null,
    people: staff.map(({ id, name, initials }) => ({ name, initials, topics: topicsOf(of(id)) })),
  };
}

/** Practice: cases dealt from the catalogue and the rules, answered against the clock. */
export function drillRoutes(app: Express, context: Context): void {
  serve(app, context, getDrill, ({ db, staff }) => showDrill(db, staff));

  serve(app, context, dealCase, async ({ body: { topic, units }, staff, trx }) => {
    const topics = topic ? [topic] : byNeed(progressOf(await readAnswers(trx, staff.id)));
    const dealt = await deal({ context, db: trx, units, draw: Math.random }, topics);
    if (!dealt)
      return trouble(
        'not-allowed-now',
        `The catalogue has nothing to ask of “${TOPICS[topic!].title}” yet: practise another topic meanwhile.`,
      );
    await keepCase(trx, staff.id, dealt);
    return showCase((await readLatest(trx, staff.id))!);
  });

  serve(app, context, answerCase, async ({ params: { caseId }, body: { choice }, staff, trx }) => {
    const asked = await lockCase(trx, staff.id, caseId);
    if (!asked) return trouble('not-found', 'No such case was dealt to you.');
    if (asked.answered_at) return trouble('not-allowed-now', 'It is answered already, and the first answer counts.');
    const { choices, right } = asked.dealt;
    if (choice !== null && !choices.some(({ id }) => id === choice))
      return trouble('invalid-request', 'Give one of the answers that are shown.', { choice: 'is none of them' });
    await storeAnswer(trx, caseId, choice, choice === right);
    return showDrill(trx, staff);
  });
}
