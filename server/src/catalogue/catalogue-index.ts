import { setImmediate } from 'node:timers/promises';
import { candidatesOf, type EngineCandidate } from '@brackenfell/core/identification/candidates';
import type { HoleOf } from '@brackenfell/core/identification/wrong-guess';
import { describes, type KnownWords } from '@brackenfell/core/identification/statements';
import type { NumberGrammar } from '@brackenfell/core/part-numbers/grammar';
import type { Database } from '../db/database.ts';
import { readIndexed } from './index-store.ts';
import { readVersions } from './version-store.ts';
import { WordIndex } from './word-index.ts';

export interface IndexedEngine {
  readonly id: string;
  readonly maker: string;
  readonly code: string;
  readonly summary: string;
  readonly visits: number;
  readonly hole: HoleOf;
}

export interface IndexedVehicle {
  readonly id: string;
  readonly engineId: string;
  readonly make: string;
  readonly model: string;
  readonly from: number;
  readonly to: number | null;
}

/** What the ask line and the engine stage look through in memory, as it stood at one catalogue version. */
export interface CatalogueIndex {
  readonly version: string;
  /** The same as long as nothing but plugs was changed: then nothing here is. */
  readonly butPlugs: string;
  readonly makers: ReadonlyMap<string, string>;
  readonly grammars: ReadonlyMap<string, NumberGrammar>;
  /** Signs that some maker's numbers are told apart by. */
  readonly significantSigns: string;
  readonly engines: ReadonlyMap<string, IndexedEngine>;
  readonly candidates: readonly EngineCandidate[];
  readonly known: KnownWords;
  /** Engines and vehicles by the beginnings of their words, the counter's commonest first. */
  readonly engineWords: WordIndex<IndexedEngine>;
  readonly vehicleWords: WordIndex<IndexedVehicle>;
}

const RECENT_MS = 1000;
/** Engines indexed in one go: other work of the server comes between. */
const SLICE = 1000;

/** The index of the catalogue, made anew when anything of the catalogue but plugs has changed. */
export class CatalogueIndexes {
  #held: CatalogueIndex | undefined;
  #lookedAt = -Infinity;
  #making: Promise<CatalogueIndex> | undefined;

  /** The index as it stood at most a second ago: for reads that follow every key stroke. */
  async recent(db: Database): Promise<CatalogueIndex> {
    if (this.#held && performance.now() - this.#lookedAt < RECENT_MS) return this.#held;
    return this.at(db);
  }

  /** `known`: the version that a caller has just read: what is held of it is not read for anew. */
  async at(db: Database, known?: string): Promise<CatalogueIndex> {
    if (known !== undefined && this.#held?.version === known) return this.#held;
    const { version, butPlugs } = await readVersions(db);
    const held = this.#held?.butPlugs === butPlugs ? { ...this.#held, version } : undefined;
    // What a transaction has not committed is kept for nobody else.
    if (db.isTransaction) return held ?? makeIndex(db, version, butPlugs);
    this.#lookedAt = performance.now();
    if (held) return (this.#held = held);
    this.#making ??= makeIndex(db, version, butPlugs).finally(() => (this.#making = undefined));
    this.#held = await this.#making;
    return this.#held;
  }
}

const grouped = <T>(rows: readonly T[], keyOf: (row: T) => string): Map<string, T[]> => {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(row);
    else groups.set(keyOf(row), [row]);
  }
  return groups;
};

async function makeIndex(db: Database, version: string, butPlugs: string): Promise<CatalogueIndex> {
  const [makers, grammars, engineRows, vehicleRows, positions, named] = await readIndexed(db);
  const makerNames = new Map(makers.map(({ id, name }) => [id, name]));
  const vehiclesOf = grouped(vehicleRows, (row) => row.engine_id);
  const positionsOf = grouped(positions, (row) => row.engine_id);
  const namedOf = grouped(named, (row) => row.engine_id);
  const engines = new Map<string, IndexedEngine>();
  const candidates: EngineCandidate[] = [];
  for (const [at, row] of engineRows.entries()) {
    if (at % SLICE === SLICE - 1) await setImmediate();
    const maker = makerNames.get(row.maker_id) ?? row.maker_id;
    const first = positionsOf.get(row.id)?.[0];
    engines.set(row.id, {
      id: row.id,
      maker,
      code: row.code,
      summary: row.summary,
      visits: row.visits,
      hole: {
        threadDiameterMm: first?.thread_diameter_mm ?? null,
        threadPitchMm: first?.thread_pitch_mm ?? null,
        reachMm: first?.reach_high_mm ?? null,
        seat: first?.seat ?? null,
        gapMm:
          first?.gap_low_mm == null || first.gap_high_mm == null ? null : (first.gap_low_mm + first.gap_high_mm) / 2,
      },
    });
    const vehicles = (vehiclesOf.get(row.id) ?? []).map((v) => ({
      make: v.make,
      model: v.model,
      from: v.built_from,
      to: v.built_to,
    }));
    candidates.push(
      ...candidatesOf({
        engineId: row.id,
        maker,
        code: row.code,
        visits: row.visits,
        traits: row.traits,
        builds: row.builds,
        vehicles,
        takes: (namedOf.get(row.id) ?? []).map((n) => `${n.part_id}${n.place ?? ''}`).join(' '),
        words: `${row.words} ${vehicles.map((v) => `${v.make} ${v.model}`).join(' ')}`.toLowerCase(),
      }),
    );
  }
  const vehicles = engineRows.flatMap((engine) =>
    (vehiclesOf.get(engine.id) ?? []).map((v) => ({
      id: v.id,
      engineId: engine.id,
      make: v.make,
      model: v.model,
      from: v.built_from,
      to: v.built_to,
    })),
  );
  await setImmediate();
  const engineWords = new WordIndex([...engines.values()], (e) => `${e.maker} ${e.code} ${e.summary}`);
  await setImmediate();
  const vehicleWords = new WordIndex(vehicles, (v) => `${v.make} ${v.model} ${engines.get(v.engineId)!.code}`);
  return {
    version,
    butPlugs,
    makers: makerNames,
    grammars: new Map(grammars.map(({ maker_id, grammar }) => [maker_id, grammar])),
    significantSigns: [...new Set(grammars.flatMap(({ grammar }) => [...grammar.significant]))].join(''),
    engines,
    candidates,
    known: knownWords(engineRows, vehicles, candidates),
    engineWords,
    vehicleWords,
  };
}

function knownWords(
  engines: readonly { code: string }[],
  vehicles: readonly IndexedVehicle[],
  candidates: readonly EngineCandidate[],
): KnownWords {
  const makes = new Map(vehicles.map((v) => [v.make.toLowerCase(), v.make]));
  const models = new Map<string, string>();
  for (const { model } of vehicles) {
    const name = model.split(' ')[0]!;
    if (/\p{L}{3}/u.test(name)) models.set(name.toLowerCase(), name);
  }
  return {
    makes,
    models,
    codes: new Map(engines.map(({ code }) => [code.toLowerCase(), code])),
    isDescribed: (word) => candidates.some((candidate) => describes(candidate.words, word)),
  };
}
