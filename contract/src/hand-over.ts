import { z } from 'zod';
import { STEP_ID } from '@brackenfell/core/fitting-plan/steps';
import { FRAGILE_ADVICE } from '@brackenfell/core/kit/fragile';
import { KIT_KINDS } from '@brackenfell/core/kit/kit-list';
import { APART_STANDINGS } from '@brackenfell/core/kit/while-apart';
import { COUNTER, endpoint, EVERYONE, Id, Units } from './endpoint.ts';
import { FittingPlan } from './fitting-plan.ts';

/** A step that was done, with who ticked it. */
const WorkTick = z.object({ stepId: z.string(), by: z.string(), at: z.string() });

/** A thing that the shop sells for a use. */
const Offer = z
  .object({
    partId: Id,
    printed: z.string(),
    title: z.string(),
    eachMinor: z.number().int(),
    onHand: z.number().int(),
    isOnSlip: z.boolean(),
  })
  .meta({ id: 'Offer' });
export type Offer = z.infer<typeof Offer>;
/** A thing of the kit: why, and what is sold for it. */
const KitItem = z.object({
  kind: z.enum(KIT_KINDS),
  what: z.string(),
  why: z.string(),
  offers: z.array(Offer),
});

/** One kind of plug that the job fits, with what is set and what was gauged. */
const FittedLine = z.object({
  lineId: Id,
  printed: z.string(),
  maker: z.string(),
  quantity: z.number().int(),
  isOwn: z.boolean(),
  figures: z.array(z.object({ at: z.string(), what: z.string(), says: z.string(), source: z.string() })),
  /** Piece by piece: how it was found, and set. */
  gaps: z.array(z.object({ piece: z.number().int(), place: z.string(), says: z.string() })),
  steps: FittingPlan.shape.steps,
  ticks: z.array(WorkTick),
  kit: z.array(KitItem),
  /** What goes on each place, how little, and who says so. */
  lubricants: z.array(z.object({ place: z.string(), says: z.string(), who: z.string(), isQuestion: z.boolean() })),
});

/** Everything a fitter leaves with: what is fitted where, in which order, with what, and what nobody has verified. */
export const HandOver = z
  .object({
    docket: z.number().int(),
    customer: z.string(),
    vehicle: z.string(),
    engine: z.string(),
    cameFor: z.string(),
    fitted: z.array(FittedLine),
    /** What comes off on the way: how many, how far, which is renewed. */
    fasteners: z.array(z.object({ what: z.string(), says: z.string(), isQuestion: z.boolean() })),
    /** What the work handles and may break: bought, held or left. */
    fragile: z.array(
      z.object({
        says: z.string(),
        quantity: z.number().int(),
        advice: z.enum(FRAGILE_ADVICE),
        why: z.string(),
        isSeenBroken: z.boolean(),
        offers: z.array(Offer),
      }),
    ),
    /** What only this job lays bare. */
    bared: z.array(
      z.object({ says: z.string(), standing: z.enum(APART_STANDINGS), why: z.string(), offers: z.array(Offer) }),
    ),
    /** Sets under one number that their makers list for the engine. */
    kits: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        holds: z.array(z.object({ printed: z.string(), quantity: z.number().int() })),
      }),
    ),
    otherLines: z.array(z.object({ printed: z.string(), maker: z.string(), quantity: z.number().int() })),
    /** Plugs that could be sold for it, with what a set costs before tax and how long it is agreed to last. */
    options: z.array(
      z.object({
        partId: Id,
        printed: z.string(),
        maker: z.string(),
        setMinor: z.number().int(),
        lastsKm: z.number(),
        onHand: z.number().int(),
        isOnSlip: z.boolean(),
        verdict: z.string(),
      }),
    ),
    countsIn: z.enum(['distance', 'hours']),
    /** Why it stays with a workshop whatever it costs. */
    stays: z.array(z.string()),
    /** What must not be fitted, with the reason. */
    doNotFit: z.array(z.object({ printed: z.string(), why: z.string() })),
    /** How to get to the plugs, in the words of the engine's notes. */
    access: z.array(z.string()),
    cautions: z.array(z.string()),
    notVerified: z.array(z.string()),
  })
  .meta({ id: 'HandOver' });
export type HandOver = z.infer<typeof HandOver>;

export const PAPER_KINDS = ['fitting-card', 'quote', 'slip', 'lead-labels', 'part-labels', 'loan-note'] as const;
export type PaperKind = (typeof PAPER_KINDS)[number];
/** A sheet, or a label a page. */
export const PAPER_SIZES = ['A5', 'A4', 'label'] as const;
/** Labels come as labels, all else on sheets. */
export const isLabel = (kind: PaperKind): boolean => kind === 'lead-labels' || kind === 'part-labels';

export const PaperView = z
  .object({
    paperId: Id,
    kind: z.enum(PAPER_KINDS),
    size: z.enum(PAPER_SIZES),
    by: z.string(),
    at: z.string(),
  })
  .meta({ id: 'Paper' });
export type PaperView = z.infer<typeof PaperView>;

const slipId = z.object({ slipId: Id });

export const getHandOver = endpoint('getHandOver', {
  summary: 'What a fitter leaves with: plugs and figures by place, order of work, kit, what is not verified.',
  roles: EVERYONE,
  params: slipId,
  query: z.object({ units: Units.default('both') }),
  response: HandOver,
});

/** All that is ticked on a line, as it stands after one more. */
export const LineTicks = z.object({ slipId: Id, lineId: Id, ticks: z.array(WorkTick) }).meta({ id: 'LineTicks' });
export type LineTicks = z.infer<typeof LineTicks>;

export const tickStep = endpoint('tickStep', {
  summary: 'Tick a step of the work as done, or take the tick back.',
  roles: COUNTER,
  params: slipId,
  body: z.object({ lineId: Id, stepId: z.string().regex(STEP_ID, 'no step of this work'), done: z.boolean() }).strict(),
  response: LineTicks,
  idempotent: true,
});

export const listPapers = endpoint('listPapers', {
  summary: 'What was printed of a slip, as it was printed, latest first.',
  roles: EVERYONE,
  params: slipId,
  response: z.object({ papers: z.array(PaperView) }),
});

export const printPaper = endpoint('printPaper', {
  summary: 'Print a card, a quote, the slip, labels or a loan note; it is kept byte for byte.',
  roles: COUNTER,
  params: slipId,
  body: z
    .object({
      kind: z.enum(PAPER_KINDS),
      size: z.enum(PAPER_SIZES),
      units: Units.default('both'),
      /** Where this counter is reached: the card's square opens the slip there. */
      origin: z.url({ protocol: /^https?$/ }).max(200),
    })
    .strict(),
  response: PaperView,
  status: 201,
  idempotent: true,
});

export const getPaper = endpoint('getPaper', {
  summary: 'A paper as it was printed.',
  roles: EVERYONE,
  params: z.object({ paperId: Id }),
  response: z.custom<Uint8Array>(),
  produces: 'application/pdf',
});
