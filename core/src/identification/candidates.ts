import type { EngineBuild, EngineTraits } from './traits.ts';

/** A vehicle or machine an engine was fitted to. Years inclusive; `to` is null while it is still built. */
export interface FittedTo {
  readonly make: string;
  readonly model: string;
  readonly from: number;
  readonly to: number | null;
}

/** An engine, or one build of it, that it could be for. */
export interface EngineCandidate {
  readonly key: string;
  readonly engineId: string;
  readonly maker: string;
  readonly code: string;
  /** Which build; empty for an engine that never changed in what is wanted. */
  readonly build: string;
  /** How often it comes to this counter, a year. Every candidate weighs at least one. */
  readonly visits: number;
  readonly traits: EngineTraits;
  /** Months it was built in, YYYY-MM, both inclusive; undefined where open. */
  readonly builtFrom?: string | undefined;
  readonly builtTo?: string | undefined;
  /** Serial numbers it bears, both inclusive; undefined where open. */
  readonly fromSerial?: number | undefined;
  readonly toSerial?: number | undefined;
  readonly vehicles: readonly FittedTo[];
  /** What it takes of what is wanted: candidates with the same need not be told apart. */
  readonly takes: string;
  readonly words: string;
}

interface EngineRecord extends Omit<
  EngineCandidate,
  'key' | 'build' | 'builtFrom' | 'builtTo' | 'fromSerial' | 'toSerial' | 'visits'
> {
  readonly visits: number;
  readonly builds: readonly EngineBuild[];
}

const overlaps = (vehicle: FittedTo, from: string | undefined, to: string | undefined): boolean =>
  (to === undefined || vehicle.from <= Number(to.slice(0, 4))) &&
  (from === undefined || vehicle.to === null || vehicle.to >= Number(from.slice(0, 4)));

/** The candidates of an engine: itself, or each of its builds with the vehicles and the share of visits that are its own. */
export function candidatesOf({ builds, ...engine }: EngineRecord): EngineCandidate[] {
  if (builds.length === 0) return [{ ...engine, key: engine.engineId, build: '' }];
  return builds.map((build, i) => ({
    ...engine,
    key: `${engine.engineId}/${i + 1}`,
    build: build.label,
    builtFrom: build.from,
    builtTo: build.to,
    fromSerial: build.fromSerial,
    toSerial: build.toSerial,
    visits: engine.visits / builds.length,
    traits: { ...engine.traits, ...build.traits },
    vehicles: engine.vehicles.filter((vehicle) => overlaps(vehicle, build.from, build.to)),
  }));
}
