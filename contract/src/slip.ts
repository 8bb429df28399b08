import { z } from 'zod';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { COUNTER, EngineKey, endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { DutyText } from './duty.ts';
import { StoredKind } from './part-kind.ts';
import { BatchTag, InspectionLine } from './inspection.ts';
import { Finding } from './tray.ts';

export const SLIP_STATES = ['open', 'parked', 'closed'] as const;
export const LINE_KINDS = ['sale', 'customers-own'] as const;

export const SlipLine = z
  .object({
    lineId: Id,
    kind: z.enum(LINE_KINDS),
    partId: Id,
    partKind: StoredKind,
    printed: z.string(),
    maker: z.string(),
    quantity: z.number().int(),
    unitPriceMinor: z.number().int().nullable(),
    positions: z.array(z.string()),
    verdict: z.enum(VERDICTS).nullable(),
    reason: z.string(),
    /** What is still to be asked or measured before this line can be settled. */
    openQuestions: z.array(z.string()),
    /** The sentences as they were told when the line was judged. */
    told: z.array(Finding),
    judgedAt: z.string().nullable(),
    judgedBy: z.string().nullable(),
    /** What was told before, the latest first, each with what changed it since. */
    toldBefore: z.array(
      z.object({
        at: z.string(),
        by: z.string(),
        verdict: z.enum(VERDICTS),
        reason: z.string(),
        changedBy: z.string(),
      }),
    ),
    /** A supervisor's word on this judgement. */
    released: z.object({ by: z.string(), reason: z.string(), at: z.string() }).nullable(),
    /** The batch its pieces are from, where somebody said. */
    batch: BatchTag.nullable(),
    /** Why none of it may leave the counter: its batch is held, or nobody has said which batch it is from. */
    held: z.string().nullable(),
    /** The latest inspection of its pieces. */
    proof: InspectionLine.nullable(),
    /** On a sold line: a rule chosen since would judge it otherwise. */
    review: z
      .object({ rule: z.string(), before: z.enum(VERDICTS), after: z.enum(VERDICTS), at: z.string() })
      .nullable(),
  })
  .meta({ id: 'SlipLine' });
export type SlipLine = z.infer<typeof SlipLine>;

export const Slip = z
  .object({
    slipId: Id,
    docket: z.number().int(),
    state: z.enum(SLIP_STATES),
    version: z.number().int(),
    customer: z.string(),
    vehicle: z.string(),
    cameFor: z.string(),
    engineId: EngineKey.nullable(),
    engine: z.string().nullable(),
    build: z.string().nullable(),
    duty: z.string(),
    staying: z.string().nullable(),
    engineCount: z.number().int(),
    inHand: z.object({ partId: Id, printed: z.string() }).nullable(),
    holder: z.string().nullable(),
    lines: z.array(SlipLine),
    notes: z.array(z.object({ at: z.string(), by: z.string(), text: z.string() })),
    goodsMinor: z.number().int(),
    taxMinor: z.number().int(),
    totalMinor: z.number().int(),
    createdAt: z.string(),
    updatedAt: z.string(),
  })
  .meta({ id: 'Slip' });
export type Slip = z.infer<typeof Slip>;

export const SlipSummary = z
  .object({
    slipId: Id,
    docket: z.number().int(),
    state: z.enum(SLIP_STATES),
    customer: z.string(),
    vehicle: z.string(),
    engine: z.string().nullable(),
    holder: z.string().nullable(),
    lines: z.number().int(),
    updatedAt: z.string(),
  })
  .meta({ id: 'SlipSummary' });
export type SlipSummary = z.infer<typeof SlipSummary>;

const slipId = z.object({ slipId: Id });
const slipLine = z.object({ slipId: Id, lineId: Id });
/** The version the caller saw; a change made meanwhile by somebody else is refused, not overwritten. */
const version = z.number().int().min(1);
const details = {
  customer: line(120).optional(),
  vehicle: line(120).optional(),
  cameFor: line(200).optional(),
  engineId: EngineKey.nullable().optional(),
  inHandPartId: Id.nullable().optional(),
  /** Which build of the engine, by its label; another engine takes it away. */
  build: line(60).nullable().optional(),
  duty: DutyText.optional(),
  /** Revision of the coils that stay in the engine; another engine takes it away. */
  staying: line(20).nullable().optional(),
  /** How many such engines the job is for; quantities of lines put down from then on follow. */
  engineCount: z.number().int().min(1).max(50).optional(),
};

export const listSlips = endpoint({
  method: 'GET',
  path: '/api/slips',
  summary: 'Slips by state, latest first.',
  roles: EVERYONE,
  query: z.object({ state: z.enum(SLIP_STATES).optional() }),
  response: z.object({ slips: z.array(SlipSummary) }),
});

export const createSlip = endpoint({
  method: 'POST',
  path: '/api/slips',
  summary: 'Begin a slip.',
  roles: COUNTER,
  body: z.object(details).strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const getSlip = endpoint({
  method: 'GET',
  path: '/api/slips/:slipId',
  summary: 'One slip as it stands.',
  roles: EVERYONE,
  params: slipId,
  response: Slip,
});

export const changeSlip = endpoint({
  method: 'PATCH',
  path: '/api/slips/:slipId',
  summary: 'Change who it is for, the engine, or the part in hand.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version, ...details }).strict(),
  response: Slip,
  idempotent: true,
});

export const parkSlip = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/park',
  summary: 'Set a slip aside for later.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const takeOverSlip = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/take-over',
  summary: 'Take up a parked slip, or one a colleague holds.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const closeSlip = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/close',
  summary: 'Close a slip; it can be reopened.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const reopenSlip = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/reopen',
  summary: 'Open a closed slip again.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const addLine = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/lines',
  summary: 'Put a part on the slip; it is judged again here and stored as told.',
  roles: COUNTER,
  params: slipId,
  body: z
    .object({
      version,
      partId: Id,
      kind: z.enum(LINE_KINDS).default('sale'),
      quantity: z.number().int().min(1).max(999).optional(),
      positionId: Id.optional(),
      units: z.enum(['metric', 'imperial', 'both']).default('metric'),
    })
    .strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const changeLine = endpoint({
  method: 'PATCH',
  path: '/api/slips/:slipId/lines/:lineId',
  summary: 'Change how many, or say which batch the pieces are from.',
  roles: COUNTER,
  params: slipLine,
  body: z
    .object({
      version,
      quantity: z.number().int().min(1).max(999).optional(),
      batchId: Id.nullable().optional(),
    })
    .strict(),
  response: Slip,
  idempotent: true,
});

export const removeLine = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/lines/:lineId/remove',
  summary: 'Take a line off the slip; its judgement is kept.',
  roles: COUNTER,
  params: slipLine,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const restoreLine = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/lines/:lineId/restore',
  summary: 'Put a removed line back.',
  roles: COUNTER,
  params: slipLine,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const addNote = endpoint({
  method: 'POST',
  path: '/api/slips/:slipId/notes',
  summary: 'Write down what was said or found.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version, text: line(400).min(1) }).strict(),
  response: Slip,
  idempotent: true,
});
