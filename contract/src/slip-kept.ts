import { z } from 'zod';
import { SWAP_RESULTS } from '@brackenfell/core/misfire/swap-test';
import { LOG_CONDITIONS } from '@brackenfell/core/compression/log';
import { CAUSE_IDS } from '@brackenfell/core/old-parts/causes';
import { COMEBACK_RESULTS, LAMPS } from '@brackenfell/core/old-parts/comeback';
import {
  COMEBACK_CHECK_IDS,
  HOW_SOON,
  MISFIRES,
  TOUCHED_GROUPS,
  WHENS,
} from '@brackenfell/core/old-parts/comeback-checks';
import { PART_SIGN_IDS } from '@brackenfell/core/old-parts/other-parts';
import { CHECK_RESULTS } from '@brackenfell/core/old-parts/read-plugs';
import { CONTEXT_IDS, SIGN_IDS, SIGN_LINES } from '@brackenfell/core/old-parts/signs';
import { EngineKey, line } from './endpoint.ts';

/** A swap test as far as it has come: the code, and what each swap told. It can take a day. */
const KeptSwapTest = z.object({
  kind: z.literal('swap-test'),
  code: line(20),
  results: z.array(z.enum(SWAP_RESULTS)).max(4),
});
/** What was read of the parts that are fitted, place by place. */
const KeptFittedSet = z.object({
  kind: z.literal('fitted-set'),
  part: z.enum(['plug', 'coil']),
  numbers: z.array(line(40)).max(48),
});

/** What this vehicle ran well on: evidence for its coil's reserve. */
const KeptSparkEvidence = z.object({
  kind: z.literal('spark-evidence'),
  gapMm: z.number().min(0.2).max(2.2),
  ranKm: z.number().min(0).max(2_000_000),
  readHealthy: z.boolean(),
  gaugedHere: z.boolean(),
});

/** What was seen and said of what the work handles and lays bare. */
const KeptFragile = z.object({
  kind: z.literal('fragile'),
  isOpenedBefore: z.boolean().nullable(),
  isOverTenYears: z.boolean().nullable(),
  /** In the words of the engine's notes. */
  seenBroken: z.array(line(200)).max(40),
});

const cylinder = z.number().int().min(1).max(24);
/** What the old plugs looked like, cylinder by cylinder; a line that was not looked at is in no list. */
const KeptOldPlugs = z.object({
  kind: z.literal('old-plugs'),
  /** Read of this engine; another on the slip has other cylinders. */
  engineId: EngineKey,
  cylinders: z
    .array(
      z.object({
        cylinder,
        /** Which of a cylinder's plugs, where it has two. */
        place: line(40).optional(),
        looked: z.array(z.enum(SIGN_LINES)).max(SIGN_LINES.length),
        signs: z.array(z.enum(SIGN_IDS)).max(SIGN_IDS.length),
        gapMm: z.number().min(0).max(5).nullable(),
        /** What it took to undo it. */
        outNm: z.number().min(0).max(200).optional(),
      }),
    )
    .max(48),
  context: z.array(z.enum(CONTEXT_IDS)).max(CONTEXT_IDS.length),
  results: z.partialRecord(z.enum(CAUSE_IDS), z.enum(CHECK_RESULTS)),
});
/** What was seen on old coils, leads, a cap or a rotor; on which cylinders, where somebody said so. */
const KeptOldOthers = z.object({
  kind: z.literal('old-others'),
  engineId: EngineKey,
  seen: z
    .array(z.object({ sign: z.enum(PART_SIGN_IDS), cylinders: z.array(cylinder).max(24) }))
    .max(PART_SIGN_IDS.length),
});
const kpa = z.number().min(0).max(10_000);
const KeptCompression = z.object({
  kind: z.literal('compression'),
  engineId: EngineKey,
  reads: z.array(z.object({ cylinder, dryKpa: kpa, wetKpa: kpa.nullable() })).max(24),
  conditions: z.array(z.enum(LOG_CONDITIONS)).max(LOG_CONDITIONS.length),
  specifiedKpa: kpa.nullable(),
  hasDecompressor: z.boolean(),
  /** The test that tells where two neighbours lose it. */
  isLeakDownMade: z.boolean(),
  /** Cold or warm, before or after which change. */
  state: line(120),
});
/** Work that came back: what is told of it, and what the checks came to. */
const KeptComeback = z.object({
  kind: z.literal('comeback'),
  engineId: EngineKey,
  howSoon: z.enum(HOW_SOON),
  misfire: z.enum(MISFIRES),
  when: z.array(z.enum(WHENS)).max(WHENS.length),
  lamp: z.enum(LAMPS),
  untouched: z.array(z.enum(TOUCHED_GROUPS)).max(TOUCHED_GROUPS.length),
  isToldDropped: z.boolean(),
  code: line(20),
  /** It was no comeback after all: it holds nothing any more. */
  isTakenBack: z.boolean(),
  results: z.partialRecord(z.enum(COMEBACK_CHECK_IDS), z.enum(COMEBACK_RESULTS)),
});

export const SlipKept = z.discriminatedUnion('kind', [
  KeptSwapTest,
  KeptFittedSet,
  KeptSparkEvidence,
  KeptFragile,
  KeptOldPlugs,
  KeptOldOthers,
  KeptCompression,
  KeptComeback,
]);
export type SlipKept = z.infer<typeof SlipKept>;
export const KEPT_KINDS = SlipKept.options.map(({ shape }) => shape.kind.value);
