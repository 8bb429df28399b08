import { z } from 'zod';
import { SOURCE_RANKS } from '@brackenfell/core/facts/facts';
import { ownedBlade } from '@brackenfell/core/gap/blade-sets';
import { GAP_STAGES } from '@brackenfell/core/gap/gap-desk';
import { RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { FactKey } from './open-matter.ts';
import { DutyText } from './duty.ts';
import { COUNTER, EngineKey, endpoint, EVERYONE, Id, line } from './endpoint.ts';
import { Slip, SlipVersion } from './slip.ts';

export const GAP_HOWS = ['gauged', 'typed'] as const;
export type GapHow = (typeof GAP_HOWS)[number];

const FactSource = z.object({ rank: z.enum(SOURCE_RANKS), name: z.string() });
/** A sheet of facts with their sources, each value as core declares the fact. */
const FactSheetView = z.partialRecord(
  FactKey,
  z.object({ ruling: z.array(z.object({ value: z.unknown(), source: FactSource })) }),
);

/** All that a plug is set up by at a place: paper, this vehicle, the coil, the shop's rules; core makes the answers of it. */
export const SetUp = z
  .object({
    engine: z.string(),
    part: z.string(),
    partMaker: z.string(),
    plug: FactSheetView,
    places: z.array(
      z.object({
        label: z.string(),
        /** As the engine maker asks it, with what was found on this vehicle. */
        onPaper: FactSheetView,
        /** Under the shop's rules and the customer's duty. */
        asked: FactSheetView,
        rules: z.record(z.enum(RULE_IDS), z.string()),
      }),
    ),
    /** The coil it is reckoned against: another than the engine's own where one is on the slip. */
    coil: z.object({ printed: z.string(), isOwn: z.boolean() }).nullable(),
  })
  .meta({ id: 'SetUp' });
export type SetUp = z.infer<typeof SetUp>;

export const getSetUp = endpoint('getSetUp', {
  summary: 'What a plug is set up by at an engine’s places: facts with sources, the shop’s rules, the coil.',
  roles: EVERYONE,
  params: z.object({ engineId: EngineKey }),
  query: z.object({
    part: Id,
    duty: DutyText.optional(),
    slip: Id.optional(),
    build: line(60).optional(),
    coil: Id.optional(),
  }),
  response: SetUp,
});

const slipLine = z.object({ slipId: Id, lineId: Id });
const piece = z.number().int().min(1).max(999);

export const addGapReading = endpoint('addGapReading', {
  summary: 'Write down the gap of one plug of a line, as delivered or after it was set.',
  roles: COUNTER,
  params: slipLine,
  body: z
    .object({
      version: SlipVersion,
      piece,
      stage: z.enum(GAP_STAGES),
      gapMm: z.number().min(0).max(5),
      how: z.enum(GAP_HOWS),
      device: line(60).optional(),
    })
    .strict(),
  response: Slip,
  status: 201,
  idempotent: true,
});

export const withdrawGapReading = endpoint('withdrawGapReading', {
  summary: 'Take back the last reading of a plug, or all of them: another was put in its place.',
  roles: COUNTER,
  params: slipLine,
  body: z.object({ version: SlipVersion, piece, which: z.enum(['last', 'all']) }).strict(),
  response: Slip,
  idempotent: true,
});

export const BladesOwned = z
  .object({
    /** Null while nobody has said which. */
    blades: z.array(ownedBlade).nullable(),
    by: z.string().nullable(),
    at: z.string().nullable(),
  })
  .meta({ id: 'BladesOwned' });
export type BladesOwned = z.infer<typeof BladesOwned>;

export const getBlades = endpoint('getBlades', {
  summary: 'The feeler blades the shop owns.',
  roles: EVERYONE,
  response: BladesOwned,
});

export const saveBlades = endpoint('saveBlades', {
  summary: 'Say which feeler blades the shop owns.',
  roles: ['specialist', 'supervisor'],
  body: z.object({ blades: z.array(ownedBlade).min(1).max(80) }).strict(),
  response: BladesOwned,
  idempotent: true,
});
