import { z } from 'zod';
import { STATEMENT_KINDS } from '@brackenfell/core/identification/statements';
import { EngineKey, endpoint, EVERYONE, line } from './endpoint.ts';

const LONGEST_STATEMENT = 80;
const MOST_STATEMENTS = 20;

/** A statement on the wire: `kind:value`. */
const Said = line(LONGEST_STATEMENT)
  .regex(new RegExp(`^(${STATEMENT_KINDS.join('|')}):.+$`), 'must be a statement such as make:Skerrow')
  .meta({ id: 'Said', description: 'A statement about the engine: its kind, a colon, what was said.' });

const Saids = z.union([Said.transform((one) => [one]), z.array(Said).max(MOST_STATEMENTS)]);

export const EngineLeft = z
  .object({
    key: z.string(),
    engineId: EngineKey,
    maker: z.string(),
    code: z.string(),
    build: z.string(),
    litres: z.string(),
    layout: z.string(),
    pins: z.string(),
    thread: z.string(),
    reach: z.string(),
    gap: z.string(),
    visits: z.number(),
    vehicles: z.array(z.string()),
  })
  .meta({ id: 'EngineLeft' });
export type EngineLeft = z.infer<typeof EngineLeft>;

export const QuestionOutlook = z
  .object({
    questionId: z.string(),
    asks: z.string(),
    how: z.string(),
    minutes: z.number(),
    drawn: z.boolean(),
    expectedLeft: z.number(),
    /** How many engines stay with each answer, most first. */
    parts: z.array(z.number().int()),
    cannotTell: z.boolean(),
  })
  .meta({ id: 'QuestionOutlook' });
export type QuestionOutlook = z.infer<typeof QuestionOutlook>;

export const AnswerKey = z
  .object({
    answer: z.string(),
    says: z.string(),
    /** Percent, by how often each engine comes to this counter. */
    likely: z.number(),
    stay: z.number().int(),
    codes: z.array(z.string()),
    /** What a guess at this point would cost, in a line. */
    guess: z.string(),
  })
  .meta({ id: 'AnswerKey' });
export type AnswerKey = z.infer<typeof AnswerKey>;

export const Identification = z
  .object({
    statements: z.array(
      z.object({
        said: z.string(),
        told: z.string(),
        /** Engines left after it and those before it. */
        left: z.number().int(),
        ruledOut: z.number().int(),
        contradicts: z.boolean(),
      }),
    ),
    total: z.number().int(),
    left: z.number().int(),
    engines: z.array(EngineLeft),
    state: z.enum(['none-left', 'settled', 'ask', 'cannot-separate']),
    ask: QuestionOutlook.extend({ answers: z.array(AnswerKey) }).nullable(),
    others: z.array(QuestionOutlook),
    /** Questions answered "cannot tell" that would tell the last ones apart. */
    would: z.array(QuestionOutlook),
    guess: z.object({ code: z.string(), rightIn100: z.number().int(), says: z.string() }).nullable(),
  })
  .meta({ id: 'Identification' });
export type Identification = z.infer<typeof Identification>;

export const identify = endpoint('identify', {
  summary: 'Which engines remain after what was said, and the one question that narrows most.',
  roles: EVERYONE,
  query: z.object({ said: Saids.optional() }),
  response: Identification,
});

export const readSentence = endpoint('readSentence', {
  summary: 'Reads a typed sentence into statements about the engine.',
  roles: EVERYONE,
  query: z.object({ sentence: line(120).trim().min(1) }),
  response: z.object({ statements: z.array(z.string()) }),
});

export const lookUpPlate = endpoint('lookUpPlate', {
  summary:
    'Asks the register of plates and serial numbers. It may be slow, fail or not know; none of these is a guess.',
  roles: EVERYONE,
  query: z.object({ plate: line(20).trim().min(2) }),
  response: z.object({
    kind: z.enum(['found', 'unknown', 'failed', 'slow']),
    /** What it says, as statements; empty unless found. */
    statements: z.array(z.string()),
    says: z.string(),
    /** Named where it shows: a simulated register is never taken for a real one. */
    register: z.string(),
  }),
});
