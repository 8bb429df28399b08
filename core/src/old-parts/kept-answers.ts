import { answerCompression, type CompressionAnswer, type CompressionRead } from '../compression/log.ts';
import type { EnginePlan } from '../engine-plan/engine-plan.ts';
import type { LEADS_GO } from '../identification/traits.ts';
import { readMisfireCode } from '../misfire/misfire-code.ts';
import { answerComeback, type Comeback, type ComebackAnswer, type HasHere } from './comeback.ts';
import type { Misfire } from './comeback-checks.ts';
import { answerReading, type PlugAnswer, type PlugReading } from './read-plugs.ts';
import type { ContextId, SignId, SignLine } from './signs.ts';

/** What is known of an engine where its old parts are read; null where nobody has entered it. */
export interface OldPartsEngine {
  readonly sparkBy: (typeof LEADS_GO)[number] | null;
  readonly hasChargeCooler: boolean | null;
  readonly hasCarburettor: boolean | null;
  readonly hasBattery: boolean | null;
  readonly gapLimitMm: number | null;
  /** It takes a set of leads, whatever its coils. */
  readonly hasLeadSet: boolean;
}

/** What was read of plugs, as it is kept on a slip. */
export interface KeptPlugs {
  readonly cylinders: readonly {
    readonly cylinder: number;
    readonly place?: string | undefined;
    readonly looked: readonly SignLine[];
    readonly signs: readonly SignId[];
    readonly gapMm: number | null;
  }[];
  readonly context: readonly ContextId[];
  readonly results: PlugReading['results'];
}
export interface KeptLog {
  readonly reads: readonly (Omit<CompressionRead, 'wetKpa'> & { readonly wetKpa: number | null })[];
  readonly specifiedKpa: number | null;
  readonly hasDecompressor: boolean;
}
export interface KeptComeback extends Omit<Comeback, 'codeSays'> {
  readonly code: string;
  readonly isTakenBack: boolean;
}

/** A cylinder of a log that the engine does not have; undefined where it has all of them. */
export const strangeCylinder = (cylinders: readonly number[], { firingOrder }: EnginePlan): number | undefined =>
  cylinders.find((one) => !firingOrder.includes(one));

export const answerKeptLog = (log: KeptLog, plan: EnginePlan): CompressionAnswer =>
  answerCompression(
    log.reads.map(({ wetKpa, ...read }) => ({ ...read, wetKpa: wetKpa ?? undefined })),
    plan,
    log.specifiedKpa ?? undefined,
    log.hasDecompressor,
  );

/** What kept plugs say, with what the compression log of the same slip says to them. */
export const answerKeptPlugs = (
  plugs: KeptPlugs,
  log: KeptLog | undefined,
  engine: OldPartsEngine,
  plan: EnginePlan,
): PlugAnswer =>
  answerReading(
    {
      cylinders: plugs.cylinders
        .filter(({ looked, gapMm }) => looked.length > 0 || gapMm !== null)
        .map(({ cylinder, place, signs, gapMm }) => ({ cylinder, place, signs, gapMm: gapMm ?? undefined })),
      context: [...plugs.context, ...(engine.hasCarburettor ? (['carburettor'] as const) : [])],
      compression: log && answerKeptLog(log, plan).tellsPlugs,
      results: plugs.results,
    },
    {
      plan,
      isWasteSpark: engine.sparkBy === 'pack',
      hasChargeCooler: engine.hasChargeCooler === true,
      gapLimitMm: engine.gapLimitMm ?? undefined,
    },
  );

/** What an engine has that a comeback may be looked for in. A battery nobody has entered is taken to be there. */
export const hasHere = ({ sparkBy, hasBattery, hasLeadSet }: OldPartsEngine): HasHere => ({
  connectors: hasBattery !== false,
  coils: sparkBy !== 'single-lead',
  leads: sparkBy !== 'coil-each' || hasLeadSet,
  cap: sparkBy === 'cap',
  battery: hasBattery !== false,
});

function misfireOf(code: string, plan: EnginePlan): Misfire | undefined {
  if (code.trim() === '') return undefined;
  const read = readMisfireCode(code, plan);
  return read.kind === 'cylinder' ? 'one' : read.kind === 'several' ? 'several' : undefined;
}

/** What a kept comeback comes to; a code that was read here outranks what was told. */
export const answerKeptComeback = (
  { code, ...comeback }: KeptComeback,
  engine: OldPartsEngine,
  plan: EnginePlan,
): ComebackAnswer => answerComeback({ ...comeback, codeSays: misfireOf(code, plan) }, hasHere(engine));
