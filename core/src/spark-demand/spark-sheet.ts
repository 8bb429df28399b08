import { FACTS, rulingValue, type FactId, type FactSheet, type FactSource } from '../facts/facts.ts';
import type { Topology } from '../facts/coil-facts.ts';
import type { CoilPlace, SparkSource } from './available.ts';
import type { SparkPath, SparkPlug } from './demand.ts';
import type { SparkSetting } from './margin.ts';
import { USUAL_ROD_OVER_STROKE } from './density.ts';

/** One thing an estimate reckons with. */
export interface SparkInput {
  readonly label: string;
  /** As it is told, with its unit. */
  readonly says: string;
  /** Who says so; `default` where nobody does and the usual is taken. */
  readonly source: FactSource | 'default';
}

/** What is changed about the engine on this job. */
export interface SparkDuty {
  /** Over the outside air, kPa, where it was changed. */
  readonly boostKpa?: number | undefined;
  readonly isOnGas?: boolean | undefined;
}

export type FittedPlug = Omit<SparkPlug, 'gapMm' | 'lifeUsed'>;

/** An estimate's setting read from what is on paper, or what is missing for it. */
export type SparkSheet =
  | {
      readonly kind: 'ready';
      readonly setting: SparkSetting;
      readonly plug: FittedPlug;
      readonly inputs: readonly SparkInput[];
    }
  | { readonly kind: 'not-estimated'; readonly missing: readonly FactId[]; readonly inputs: readonly SparkInput[] };

/** How a form of coil reaches its plugs. A coil beside its plug has a lead's capacity. Spark demand: Coil. */
const REACHES: Readonly<Record<Topology, readonly [CoilPlace, SparkPath]>> = {
  'on-plug': ['on-plug', 'direct'],
  rail: ['on-plug', 'direct'],
  'near-plug': ['pack', 'direct'],
  'waste-spark': ['pack', 'companion-cylinder'],
  canister: ['distributor', 'rotor-gap'],
};

const BY_DUTY: FactSource = { rank: 'house-rule', name: 'Duty on this slip' };

/**
 * Reads an estimate's setting from one sheet that holds what the position asks, the coil and the plug (their facts do not
 * overlap), and `job.cylindersCount` behind a distributor. Every input is told with its source or as a default. Spark
 * demand: Coil.
 */
export function sparkSheet(sheet: FactSheet, duty: SparkDuty = {}): SparkSheet {
  const inputs: SparkInput[] = [];
  const missing: FactId[] = [];
  function wanted<K extends FactId>(fact: K, print: (value: NonNullable<ReturnType<typeof rulingValue<K>>>) => string) {
    const value = rulingValue(sheet, fact);
    if (value === undefined) missing.push(fact);
    else inputs.push({ label: FACTS[fact].label, says: print(value), source: sheet[fact]!.ruling[0]!.source });
    return value;
  }
  const compressionRatio = wanted('position.compressionRatio', (ratio) => `${ratio} : 1`);
  const ratedRpm = wanted('position.ratedRpm', (rpm) => `${rpm} rpm`);
  const boostKpa = duty.boostKpa ?? builtBoostKpa(sheet, missing);
  if (boostKpa !== undefined)
    inputs.push({
      label: 'boost',
      says: `${boostKpa} kPa`,
      source:
        duty.boostKpa === undefined
          ? (sheet['position.boostKpa'] ?? sheet['position.aspiration'])!.ruling[0]!.source
          : BY_DUTY,
    });
  const isOnGas = duty.isOnGas ?? rulingValue(sheet, 'position.fuel') === 'gas';
  inputs.push({
    label: 'fuel',
    says: isOnGas ? 'gas' : 'petrol',
    source: duty.isOnGas === true ? BY_DUTY : (sheet['position.fuel']?.ruling[0]?.source ?? 'default'),
  });
  inputs.push({ label: 'rod over stroke', says: String(USUAL_ROD_OVER_STROKE), source: 'default' });
  const polarity = wanted('position.polarity', (way) => (way === 'reverse' ? 'in reverse' : 'forward'));
  const material = rulingValue(sheet, 'plug.centreMaterial') ?? wanted('position.centreDesign', (designed) => designed);
  if (rulingValue(sheet, 'plug.centreMaterial') !== undefined) wanted('plug.centreMaterial', (has) => has);
  const { source, path } = sourceOf(sheet, wanted);
  if (missing.length > 0) return { kind: 'not-estimated', missing, inputs };
  return {
    kind: 'ready',
    setting: {
      engine: { compressionRatio: compressionRatio!, ratedRpm: ratedRpm!, boostKpa: boostKpa!, isOnGas },
      source: source!,
      path,
    },
    plug: { tip: material === 'nickel' ? 'nickel' : 'fine-wire', inReverse: polarity === 'reverse' },
    inputs,
  };
}

/** What it was built with: nothing where it breathes by itself; unknown where it is boosted and nobody says how much. */
function builtBoostKpa(sheet: FactSheet, missing: FactId[]): number | undefined {
  const built = rulingValue(sheet, 'position.boostKpa');
  if (built !== undefined) return built;
  if (rulingValue(sheet, 'position.aspiration') === 'natural') return 0;
  missing.push('position.boostKpa');
  return undefined;
}

type Wanted = <K extends FactId>(
  fact: K,
  print: (value: NonNullable<ReturnType<typeof rulingValue<K>>>) => string,
) => ReturnType<typeof rulingValue<K>>;

function sourceOf(
  sheet: FactSheet,
  wanted: Wanted,
): { readonly source: SparkSource | undefined; readonly path: SparkPath } {
  if (rulingValue(sheet, 'coil.magnetoKv') !== undefined) {
    const table = wanted('coil.magnetoKv', (points) =>
      points.map(({ rpm, kv }) => `${kv} kV at ${rpm} rpm`).join(', '),
    )!;
    return { source: { kind: 'magneto', kvAtRpm: table }, path: 'direct' };
  }
  const topology = wanted('coil.topology', (form) => form.replace('-', ' '));
  const primaryOhm = wanted('coil.primaryOhm', (ohm) => `${ohm} Ω`);
  const inductanceMh = wanted('coil.inductanceMh', (mh) => `${mh} mH`);
  const peakA = wanted('coil.peakA', (amps) => `${amps} A`);
  const ratedKv = wanted('coil.ratedKv', (kv) => `${kv} kV`);
  const [place, path] = topology === undefined ? (['on-plug', 'direct'] as const) : REACHES[topology];
  const cylinders = place === 'distributor' ? wanted('job.cylindersCount', (count) => String(count)) : 1;
  const known = [topology, primaryOhm, inductanceMh, peakA, ratedKv, cylinders].every((one) => one !== undefined);
  return {
    source: known
      ? {
          kind: 'inductive',
          place,
          cylinders: cylinders!,
          primaryOhm: primaryOhm!,
          inductanceMh: inductanceMh!,
          peakA: peakA!,
          ratedKv: ratedKv!,
        }
      : undefined,
    path,
  };
}
