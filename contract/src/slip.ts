import { z } from 'zod';
import { Day } from './calendar.ts';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { GAP_STAGES } from '@brackenfell/core/gap/gap-desk';
import { setUpFigures } from '@brackenfell/core/set-up/told-figures';
import { READING_HOWS } from '@brackenfell/core/slip/piece-readings';
import { END_REASONS, SLIP_STATES } from '@brackenfell/core/slip/slip-states';
import { RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { COUNTER, EngineKey, endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { DutyText } from './duty.ts';
import { FactKey, OpenMatter } from './open-matter.ts';
import { SlipKept } from './slip-kept.ts';
import { StoredKind } from './part-kind.ts';
import { BatchTag, InspectionLine } from './inspection.ts';
import { Finding } from './tray.ts';

/** The largest whole number a version can be in the database. */
const MOST_VERSION = 2_147_483_647;
export const LINE_KINDS = ['sale', 'customers-own'] as const;

/** A reading of the pieces on the slip; of its vehicle where it is of no part. */
export const SlipReading = z
  .object({
    readingId: Id,
    partId: Id.nullable(),
    fact: FactKey,
    value: z.union([z.number(), z.string(), z.boolean()]),
    how: z.enum(READING_HOWS),
    by: z.string(),
    at: z.string(),
  })
  .meta({ id: 'SlipReading' });
export type SlipReading = z.infer<typeof SlipReading>;

export const SlipLine = z
  .object({
    lineId: Id,
    kind: z.enum(LINE_KINDS),
    partId: Id,
    partKind: StoredKind,
    printed: z.string(),
    maker: z.string(),
    quantity: z.number().int(),
    /** Sold in packs of so many; 1 for what is sold singly. */
    packOf: z.number().int(),
    unitPriceMinor: z.number().int().nullable(),
    positions: z.array(z.string()),
    verdict: z.enum(VERDICTS).nullable(),
    reason: z.string(),
    /** What the customer is told of it, or a supervisor weighs: cautions first. */
    toTell: z.array(z.string()),
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
    /** What is to be set, as it was told with its judgement; places alike are told once. Empty for what is no plug. */
    setUp: z.array(setUpFigures),
    /** Gaps that were read of its pieces, in the order taken. */
    gaps: z.array(
      z.object({
        piece: z.number().int(),
        stage: z.enum(GAP_STAGES),
        gapMm: z.number(),
        how: z.enum(['gauged', 'typed']),
        device: z.string().nullable(),
        by: z.string(),
        at: z.string(),
      }),
    ),
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
    phone: z.string(),
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
    holderId: Id.nullable(),
    endReason: z.enum(END_REASONS).nullable(),
    /** Last day its prices, or its goods, are held. */
    heldUntil: z.string().nullable(),
    /** That day is past: it is taken up again, and a quote priced anew. */
    isOver: z.boolean(),
    /** Slips that share its job: what it was split from, and what was split from it. */
    linked: z.array(z.object({ slipId: Id, docket: z.number().int(), state: z.enum(SLIP_STATES) })),
    lines: z.array(SlipLine),
    /** Everything that keeps it from being collected; empty when it may be. */
    open: z.array(OpenMatter),
    readings: z.array(SlipReading),
    /** House rules settled otherwise for this slip. */
    rules: z.array(
      z.object({
        rule: z.enum(RULE_IDS),
        title: z.string(),
        school: z.string(),
        says: z.string(),
        reason: z.string(),
        by: z.string(),
        at: z.string(),
      }),
    ),
    /** Its vehicle in the garage book, with advice declined before that is to be raised once. */
    garage: z
      .object({
        vehicleId: Id,
        called: z.string(),
        toRaise: z.array(z.object({ declinedId: Id, says: z.string() })),
      })
      .nullable(),
    kept: z.array(SlipKept),
    notes: z.array(z.object({ noteId: Id, at: z.string(), by: z.string(), text: z.string(), mended: z.boolean() })),
    goodsMinor: z.number().int(),
    /** The rate it was begun under. */
    taxBasisPoints: z.number().int(),
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
    /** What it waits for, in words. */
    waitsFor: z.string(),
    updatedAt: z.string(),
  })
  .meta({ id: 'SlipSummary' });
export type SlipSummary = z.infer<typeof SlipSummary>;

const slipId = z.object({ slipId: Id });
const slipLine = z.object({ slipId: Id, lineId: Id });
/** The version the caller saw; a change made meanwhile by somebody else is refused, not overwritten. */
export const SlipVersion = z.number().int().min(1).max(MOST_VERSION);
const version = SlipVersion;
const details = {
  customer: line(120).optional(),
  phone: line(40).optional(),
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

export const listSlips = endpoint('listSlips', {
  summary: 'Slips by state, by what they are about, or of a day; latest first.',
  roles: EVERYONE,
  query: z.object({
    /** Several, apart by commas. */
    states: z
      .string()
      .transform((text) => text.split(','))
      .pipe(z.array(z.enum(SLIP_STATES)))
      .optional(),
    /** In its number, customer, phone, vehicle, or the number of a part on it. */
    q: line(80).optional(),
    /** Changed on that day. */
    day: Day.optional(),
  }),
  response: z.object({ slips: z.array(SlipSummary) }),
});

export const createSlip = endpoint('createSlip', {
  summary: 'Begin a slip.',
  roles: COUNTER,
  /** For a vehicle of the garage book: what is remembered of it stands where nothing else is said. */
  body: z.object({ ...details, garageVehicleId: Id.optional() }).strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const getSlip = endpoint('getSlip', {
  summary: 'One slip as it stands.',
  roles: EVERYONE,
  params: slipId,
  response: Slip,
});

export const changeSlip = endpoint('changeSlip', {
  summary: 'Change who it is for, the engine, or the part in hand.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version, ...details }).strict(),
  response: Slip,
  idempotent: true,
});

export const copySlip = endpoint('copySlip', {
  summary: 'Begin a new slip like this one; its parts are judged anew.',
  roles: COUNTER,
  params: slipId,
  body: z.object({}).strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const addLine = endpoint('addLine', {
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
      /** It is on the slip already and as many more are meant; without this that is asked. */
      onTop: z.boolean().optional(),
      units: z.enum(['metric', 'imperial', 'both']).default('metric'),
    })
    .strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const changeLine = endpoint('changeLine', {
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

export const removeLine = endpoint('removeLine', {
  summary: 'Take a line off the slip; its judgement is kept.',
  roles: COUNTER,
  params: slipLine,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const restoreLine = endpoint('restoreLine', {
  summary: 'Put a removed line back.',
  roles: COUNTER,
  params: slipLine,
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const addNote = endpoint('addNote', {
  summary: 'Write down what was said or found.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ version, text: line(400).min(1) }).strict(),
  response: Slip,
  idempotent: true,
});

export const mendNote = endpoint('mendNote', {
  summary: 'Write a note anew, or take it back (no text); the earlier wording is kept.',
  roles: COUNTER,
  params: z.object({ slipId: Id, noteId: Id }),
  body: z.object({ version, text: line(400) }).strict(),
  response: Slip,
  idempotent: true,
});

export const addReading = endpoint('addReading', {
  summary: 'Answer an open question about the pieces on the slip, or its vehicle; what rests on it is judged again.',
  roles: COUNTER,
  params: slipId,
  body: z
    .object({
      version,
      partId: Id.nullable(),
      fact: FactKey,
      /** Measures in the fact's own unit: mm, kΩ. */
      value: z.union([z.number().min(0).max(1000), line(40), z.boolean()]),
      how: z.enum(READING_HOWS),
      device: line(60).optional(),
    })
    .strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const withdrawReading = endpoint('withdrawReading', {
  summary: 'Take a reading back; what rests on it is judged again.',
  roles: COUNTER,
  params: z.object({ slipId: Id, readingId: Id }),
  body: z.object({ version }).strict(),
  response: Slip,
  idempotent: true,
});

export const getLineTold = endpoint('getLineTold', {
  summary: 'What was told of a line, check by check, as it was told.',
  roles: EVERYONE,
  params: slipLine,
  response: z.object({ told: z.array(Finding.extend({ title: z.string() })) }),
});
