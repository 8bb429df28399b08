import { z } from 'zod';
import { CHECK_IDS } from '@brackenfell/core/fitment/check-ids';
import { GROUND_FORMS, SEATS, TERMINALS } from '@brackenfell/core/fitment/facts';
import { OUTCOMES } from '@brackenfell/core/fitment/finding';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { EngineKey, endpoint, EVERYONE, Id, Units } from './endpoint.ts';
import { Source } from './engine.ts';

/** A fact that was read, with the source of its figure; `questions` when it only raised a question. */
const FactUsed = z
  .object({ fact: z.string(), source: Source, questions: z.boolean().optional() })
  .meta({ id: 'FactUsed' });
export type FactUsed = z.infer<typeof FactUsed>;

export const Finding = z
  .object({
    check: z.enum(CHECK_IDS),
    outcome: z.enum(OUTCOMES),
    caseId: z.string(),
    figures: z.record(z.string(), z.union([z.number(), z.string(), z.boolean(), z.null(), z.array(z.string())])),
    told: z.object({
      asked: z.string(),
      has: z.string(),
      difference: z.string().nullable(),
      says: z.string(),
      toDo: z.string().nullable(),
      phrase: z.string(),
    }),
    sources: z.array(FactUsed),
    missing: z.array(z.object({ fact: z.string(), question: z.string() })),
    blocks: z.boolean(),
    relief: z.enum(['as-specified', 'listed-not-measured']).optional(),
    onlyAt: z.array(z.string()),
  })
  .meta({ id: 'Finding' });
export type Finding = z.infer<typeof Finding>;

/** Everything the section drawing needs of a plug; null is drawn dashed, never by a default. Lengths in mm. */
export const PlugShape = z
  .object({
    threadDiameterMm: z.number().nullable(),
    threadPitchMm: z.number().nullable(),
    reachMm: z.number().nullable(),
    threadedLengthMm: z.number().nullable(),
    seat: z.enum(SEATS).nullable(),
    hexMm: z.number().nullable(),
    lengthMm: z.number().nullable(),
    terminal: z.enum(TERMINALS).nullable(),
    projectionMm: z.number().nullable(),
    gapMm: z.number().nullable(),
    groundThicknessMm: z.number().nullable(),
    groundCount: z.number().nullable(),
    groundForm: z.enum(GROUND_FORMS).nullable(),
    tipMm: z.number().nullable(),
  })
  .meta({ id: 'PlugShape' });
export type PlugShape = z.infer<typeof PlugShape>;

export const HeadShape = z
  .object({
    threadDiameterMm: z.number().nullable(),
    threadPitchMm: z.number().nullable(),
    headThreadMm: z.number().nullable(),
    seat: z.enum(['gasket', 'taper']).nullable(),
    wellBoreMm: z.number().nullable(),
    crownMm: z.number().nullable(),
    lengthLimitMm: z.number().nullable(),
  })
  .meta({ id: 'HeadShape' });
export type HeadShape = z.infer<typeof HeadShape>;

/** A finding without its sources: candidates that have the same facts share one. */
const TrayFinding = Finding.omit({ sources: true }).meta({ id: 'TrayFinding' });
export type TrayFinding = z.infer<typeof TrayFinding>;

export const TrailView = z
  .object({
    from: z.string(),
    grade: z.enum(REFERENCE_GRADES),
    steps: z.array(
      z.object({
        to: z.string(),
        grade: z.enum(REFERENCE_GRADES),
        source: z.string(),
        notedOn: z.string(),
        note: z.string().nullable(),
      }),
    ),
  })
  .meta({ id: 'Trail' });
export type TrailView = z.infer<typeof TrailView>;

export const TrayRow = z
  .object({
    partId: Id,
    printed: z.string(),
    maker: z.string(),
    verdict: z.enum(VERDICTS),
    reason: z.string(),
    /** In the order of the checks: places in the tray's table of findings, and for each in its table of sources. */
    findings: z.array(z.number().int()),
    sources: z.array(z.array(z.number().int())),
    evidence: z.object({
      named: z.boolean(),
      listed: z.string().nullable(),
      trail: TrailView.nullable(),
    }),
    /** Short word for the evidence column: named, listed, same, equivalent, by size… */
    evidenceWord: z.string(),
    onHand: z.number().int(),
    bin: z.string().nullable(),
    priceMinor: z.number().int().nullable(),
    costPer10000KmMinor: z.number().int().nullable(),
    heatBar: z.number().nullable(),
    heatCode: z.string().nullable(),
    shape: PlugShape,
    inHand: z.boolean(),
  })
  .meta({ id: 'TrayRow' });
export type TrayRow = z.infer<typeof TrayRow>;

export const HeatRail = z
  .object({ maker: z.string(), ratings: z.array(z.object({ code: z.string(), indexBar: z.number() })) })
  .meta({ id: 'HeatRail' });
export type HeatRail = z.infer<typeof HeatRail>;

export const Tray = z
  .object({
    engineId: EngineKey,
    positions: z.array(z.string()),
    /** The first of the candidates in the tray's order, each with all its reasons. */
    rows: z.array(TrayRow),
    /** What the rows' checks found, each once. */
    findings: z.array(TrayFinding),
    /** Facts and where their figures come from; the rows' findings refer to it. */
    sources: z.array(FactUsed),
    /** All candidates that were judged, shown or not. */
    counts: z.object({
      byReference: z.number().int(),
      bySize: z.number().int(),
      verdicts: z.record(z.enum(VERDICTS), z.number().int()),
    }),
    order: z.string(),
    rules: z.array(z.object({ rule: z.string(), choice: z.string() })),
    head: HeadShape,
    oePlug: z.object({ printed: z.string(), shape: PlugShape }).nullable(),
    heat: z.object({
      rails: z.array(HeatRail),
      requiredMaker: z.string().nullable(),
      requiredBar: z.array(z.number()),
      targetLowBar: z.number().nullable(),
      targetHighBar: z.number().nullable(),
    }),
    catalogueVersion: z.string(),
    rulesVersion: z.number().int(),
  })
  .meta({ id: 'Tray' });
export type Tray = z.infer<typeof Tray>;

/** As many candidates as a counter looks through; the rest are counted and asked for. */
export const MOST_EXPLAINED = 50;
export const MOST_ASKED = 400;

export const getTray = endpoint({
  method: 'GET',
  path: '/api/engines/:engineId/tray',
  summary: 'Every plug that could serve an engine, judged check by check, in the order it could be sold.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({
    units: Units.default('metric'),
    /** One position; all of them when left out. */
    position: Id.optional(),
    /** How many candidates to explain, the first of the tray's order. */
    most: z.coerce.number().int().min(1).max(MOST_ASKED).default(MOST_EXPLAINED),
    /** The part in the customer's hand joins the tray whatever led to it. */
    inHand: Id.optional(),
    /** Build month, for listings that are restricted by it. */
    built: z
      .string()
      .regex(/^\d{4}-(0[1-9]|1[0-2])$/, 'must be a month such as 2016-09')
      .optional(),
  }),
  response: Tray,
});

/** A plug that would do but for one check. */
const NearMissPart = z
  .object({ partId: Id, printed: z.string(), maker: z.string(), onHand: z.number().int(), phrase: z.string() })
  .meta({ id: 'NearMissPart' });

export const NearMisses = z
  .object({
    considered: z.number().int(),
    /** By the one check that keeps them out, the commonest first. */
    byCheck: z.array(
      z.object({
        check: z.enum(CHECK_IDS),
        title: z.string(),
        count: z.number().int(),
        nearest: z.array(NearMissPart),
      }),
    ),
  })
  .meta({ id: 'NearMisses' });
export type NearMisses = z.infer<typeof NearMisses>;

export const getNearMisses = endpoint({
  method: 'GET',
  path: '/api/engines/:engineId/near-misses',
  summary: 'Of all plugs of the catalogue those that one check alone keeps out of an engine, and why.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({ units: Units.default('metric') }),
  response: NearMisses,
});
