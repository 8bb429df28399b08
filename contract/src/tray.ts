import { z } from 'zod';
import { CONNECTORS } from '@brackenfell/core/facts/coil-facts';
import { ALL_CHECK_IDS } from '@brackenfell/core/fitment/check-ids';
import { OUTCOMES } from '@brackenfell/core/fitment/finding';
import { VERDICTS } from '@brackenfell/core/fitment/verdict';
import { REFERENCE_GRADES } from '@brackenfell/core/interchange/trail';
import { DutyText } from './duty.ts';
import { EngineKey, endpoint, EVERYONE, Id, line, Units } from './endpoint.ts';
import { Source } from './engine.ts';
import { EnginePlan } from './engine-plan.ts';
import { RECORDED_SHAPES } from '@brackenfell/core/facts/facts';
import { FactKey } from './open-matter.ts';
import { PartKind } from './part-kind.ts';
import { MOST_ASKED, MOST_EXPLAINED } from './tray-limits.ts';
import { CapShape, CoilShape, HeadShape, PartShape, PlugShape, RotorShape } from './shapes.ts';

/** A fact that was read, with the source of its figure; `questions` when it only raised a question. */
const FactUsed = z
  .object({ fact: z.string(), source: Source, questions: z.boolean().optional() })
  .meta({ id: 'FactUsed' });
export type FactUsed = z.infer<typeof FactUsed>;

/** The same with the place of its source in the tray's table: a maker's catalogue speaks for twenty facts of each of its parts. */
const TrayFact = FactUsed.omit({ source: true }).extend({ from: z.number().int() }).meta({ id: 'TrayFact' });
export type TrayFact = z.infer<typeof TrayFact>;

export const Finding = z
  .object({
    check: z.enum(ALL_CHECK_IDS),
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
    /** Facts that would settle it; `fact` in words. Judgements of an earlier release have no `id`. */
    missing: z.array(z.object({ id: FactKey.optional(), fact: z.string(), question: z.string() })),
    blocks: z.boolean(),
    relief: z.enum(['as-specified', 'listed-not-measured']).optional(),
    onlyAt: z.array(z.string()),
  })
  .meta({ id: 'Finding' });
export type Finding = z.infer<typeof Finding>;

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
        /** Where the dimensions contradict this reference: by what. */
        contradicts: z.string().nullable(),
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
    /** Free to sell; pieces held in quarantine are counted apart. */
    onHand: z.number().int(),
    held: z.number().int(),
    /** On the shelf and free to sell, of batches that were looked at and are not proven. */
    unproven: z.number().int(),
    /** Pieces one engine takes, in whole packs. */
    takes: z.number().int(),
    bin: z.string().nullable(),
    priceMinor: z.number().int().nullable(),
    costOverServiceMinor: z.number().int().nullable(),
    heatBar: z.number().nullable(),
    heatCode: z.string().nullable(),
    shape: PartShape,
    /** Where it goes: a cylinder's intake or exhaust side, a bank; its drawing stands under this. */
    place: z.string(),
    inHand: z.boolean(),
  })
  .meta({ id: 'TrayRow' });
export type TrayRow = z.infer<typeof TrayRow>;

export const HeatRail = z
  .object({ maker: z.string(), ratings: z.array(z.object({ code: z.string(), indexBar: z.number() })) })
  .meta({ id: 'HeatRail' });
export type HeatRail = z.infer<typeof HeatRail>;

/** What the drawing beside the tray shows, besides the picked row's own shape. */
export const Drawing = z
  .discriminatedUnion('part', [
    z.object({
      part: z.literal('plug'),
      head: HeadShape,
      oePlug: z.object({ printed: z.string(), shape: PlugShape }).nullable(),
      heat: z.object({
        rails: z.array(HeatRail),
        requiredMaker: z.string().nullable(),
        requiredBar: z.array(z.number()),
        targetLowBar: z.number().nullable(),
        targetHighBar: z.number().nullable(),
        /** Where the other school would aim, if elsewhere. */
        other: z.object({ school: z.string(), lowBar: z.number(), highBar: z.number() }).nullable(),
      }),
    }),
    /** The coil on the maker's own plug, in the head. */
    z.object({ part: z.literal('coil'), head: HeadShape, plug: PlugShape.nullable(), asked: CoilShape }),
    z.object({
      part: z.literal('lead-set'),
      plan: EnginePlan.nullable(),
      routes: RECORDED_SHAPES['leadsAsked.routes'].nullable(),
      mostSlackMm: z.number(),
      kohmPerM: RECORDED_SHAPES['leadsAsked.kohmPerM'].nullable(),
      /** Where each cylinder's lead stands on the distributor's cap; null without one. */
      towers: z.array(z.object({ cylinder: z.number().int(), angleDeg: z.number() })).nullable(),
    }),
    z.object({
      part: z.literal('cap'),
      asked: CapShape,
      plan: EnginePlan.nullable(),
      towers: z.array(z.object({ cylinder: z.number().int(), angleDeg: z.number() })).nullable(),
    }),
    z.object({ part: z.literal('rotor'), asked: RotorShape, contactRadiusMm: z.number().nullable() }),
  ])
  .meta({ id: 'Drawing' });
export type Drawing = z.infer<typeof Drawing>;
export type DrawingOf<P extends Drawing['part']> = Extract<Drawing, { part: P }>;

/** One build of the engine that asks another part, with what can be seen of it. */
const BuildChoice = z
  .object({
    label: z.string(),
    connector: z.enum(CONNECTORS).nullable(),
    pins: z.number().int().nullable(),
    bootAngleDeg: z.number().nullable(),
    bootLengthMm: z.number().nullable(),
    revision: z.string().nullable(),
  })
  .meta({ id: 'BuildChoice' });
export type BuildChoice = z.infer<typeof BuildChoice>;

export const Tray = z
  .object({
    engineId: EngineKey,
    kind: PartKind,
    /** The checks of this kind of part, in the order of the rows' findings. */
    columns: z.array(z.object({ check: z.enum(ALL_CHECK_IDS), title: z.string(), startsGroup: z.boolean() })),
    positions: z.array(z.string()),
    /** Set where the builds of the engine ask different parts of this kind. */
    split: z.object({ chosen: z.string().nullable(), question: z.string(), choices: z.array(BuildChoice) }).nullable(),
    /** The first of the candidates in the tray's order, each with all its reasons. */
    rows: z.array(TrayRow),
    /** What the rows' checks found, each once. */
    findings: z.array(TrayFinding),
    /** Facts and where their figures come from; the rows' findings refer to it. */
    sources: z.array(TrayFact),
    /** Where figures come from; the facts refer to it. */
    origins: z.array(Source),
    /** All candidates that were judged, shown or not. */
    counts: z.object({
      byReference: z.number().int(),
      bySize: z.number().int(),
      /** Of about the form asked, and further off than those that were judged. */
      notJudged: z.number().int(),
      verdicts: z.record(z.enum(VERDICTS), z.number().int()),
    }),
    order: z.string(),
    rules: z.array(z.object({ rule: z.string(), choice: z.string() })),
    /** Numbers to order by that several makers fill: a set ordered under one can arrive mixed. */
    mixedFill: z.array(z.object({ number: z.string(), makers: z.array(z.string()) })),
    /** The duty judged for, and what each school of the rules it touches makes of it. */
    duty: z.object({
      says: z.string(),
      schools: z.array(z.object({ rule: z.string(), school: z.string(), answer: z.string(), chosen: z.boolean() })),
    }),
    /** What the cost column is spread over: `10 000 km`, or `1 000 h` where the engine counts running hours. */
    costOver: z.string(),
    /** What the drawing shows besides the picked row's own shape, by the place the row goes to. */
    drawings: z.record(z.string(), Drawing),
    /** At which it was laid out: whatever was changed since touches nothing that it tells. */
    catalogueVersion: z.string(),
    rulesVersion: z.number().int(),
  })
  .meta({ id: 'Tray' });
export type Tray = z.infer<typeof Tray>;

export const getTray = endpoint('getTray', {
  summary: 'Every part of a kind that could serve an engine, judged check by check, in the order it could be sold.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({
    units: Units.default('metric'),
    kind: PartKind.default('plug'),
    /** The build of the engine, by its label, where its builds ask different parts. */
    build: line(60).optional(),
    /** What the engine is used for; standard when left out. */
    duty: DutyText.optional(),
    /** Revision of the coils that stay in the engine; all are renewed when left out. */
    staying: line(20).optional(),
    /** The cap or rotor that is used with it. */
    beside: Id.optional(),
    /** The slip whose readings of its pieces and vehicle count here. */
    slip: Id.optional(),
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
        check: z.enum(ALL_CHECK_IDS),
        title: z.string(),
        count: z.number().int(),
        nearest: z.array(NearMissPart),
      }),
    ),
  })
  .meta({ id: 'NearMisses' });
export type NearMisses = z.infer<typeof NearMisses>;

export const getNearMisses = endpoint('getNearMisses', {
  summary: 'Of all plugs of the catalogue those that one check alone keeps out of an engine, and why.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({ units: Units.default('metric') }),
  response: NearMisses,
});
