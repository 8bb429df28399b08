import { z } from 'zod';
import { OUTCOMES } from '@brackenfell/core/fitment/finding';
import { STANDINGS } from '@brackenfell/core/drill/progress';
import { DRILL_TOPICS } from '@brackenfell/core/drill/topics';
import { endpoint, EVERYONE, Id, Units } from './endpoint.ts';

const Topic = z.enum(DRILL_TOPICS).meta({ id: 'DrillTopic', description: 'What is practised.' });

/** How one topic stands by the last answers to it. */
const TopicView = z
  .object({
    topic: Topic,
    /** Of the last answers, how many there are and how many are right. */
    of: z.int(),
    right: z.int(),
    typicalSeconds: z.number().nullable(),
    standing: z.enum(STANDINGS),
    /** Points of the last answers, the oldest first: 2 right in time, 1 right later, 0 wrong. */
    course: z.array(z.int()),
  })
  .meta({ id: 'DrillProgress' });
export type DrillTopicView = z.infer<typeof TopicView>;

/** A practice case; its answer is told once it is given. */
const CaseView = z
  .object({
    caseId: Id,
    topic: Topic,
    asks: z.string(),
    facts: z.array(z.object({ label: z.string(), says: z.string(), isCode: z.boolean() })),
    rows: z.array(z.object({ title: z.string(), asked: z.string(), has: z.string() })),
    choices: z.array(z.object({ id: z.string(), says: z.string() })),
    /** When it was dealt: the clock runs from there, whoever reloads. */
    dealtAt: z.iso.datetime(),
    answer: z
      .object({
        /** Null for "cannot tell". */
        given: z.string().nullable(),
        right: z.string(),
        isRight: z.boolean(),
        seconds: z.number(),
        points: z.int(),
        why: z.array(z.string()),
        /** What each row amounts to, in their order. */
        rows: z.array(z.object({ outcome: z.enum(OUTCOMES), says: z.string() })),
      })
      .nullable(),
  })
  .meta({ id: 'DrillCase' });
export type DrillCaseView = z.infer<typeof CaseView>;

const DrillView = z
  .object({
    topics: z.array(TopicView),
    /** Topics in the order in which they want practice. */
    byNeed: z.array(Topic),
    /** The case dealt last, answered or not; null where none was. */
    shown: CaseView.nullable(),
    /** How each of the staff stands: told to a supervisor alone. */
    people: z.array(z.object({ name: z.string(), initials: z.string(), topics: z.array(TopicView) })),
  })
  .meta({ id: 'DrillView' });
export type DrillView = z.infer<typeof DrillView>;

export const getDrill = endpoint('getDrill', {
  summary: 'How practice stands, topic by topic, and the case that was dealt last.',
  roles: EVERYONE,
  response: DrillView,
});

export const dealCase = endpoint('dealCase', {
  summary:
    'Deal a practice case of a topic, or of the one that wants practice most. One that stands unanswered is left.',
  roles: EVERYONE,
  body: z.object({ topic: Topic.optional(), units: Units.default('metric') }).strict(),
  response: CaseView,
  status: 201,
  idempotent: true,
});

export const answerCase = endpoint('answerCase', {
  summary: 'Answer a practice case, or say that one cannot tell: once, by who was asked.',
  roles: EVERYONE,
  params: z.object({ caseId: Id }),
  body: z.object({ choice: z.string().max(40).nullable() }).strict(),
  response: DrillView,
  idempotent: true,
});
