import type { FactSheet } from '@brackenfell/core/facts/facts';
import { PlugColumns } from '@brackenfell/core/plugs/screening/plug-columns';
import type { Database } from '../db/database.ts';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import {
  readHeatScales,
  readPartSheets,
  readPartTitles,
  readPlugsChangedSince,
  readPositionSheets,
  type PartTitle,
  type SharedEntries,
} from './fact-store.ts';
import { readCatalogueVersion } from './version-store.ts';

/** The facts of the catalogue as they stood at one version: heat scales, and of the positions asked for so far. */
export interface HeldFacts {
  readonly version: string;
  readonly scales: HeatScales;
  readonly positions: Map<string, FactSheet>;
}

/** All plugs besides. */
export interface HeldPlugs extends HeldFacts {
  readonly plugs: PlugColumns;
  /** By a plug's place in the columns. */
  readonly titles: readonly PartTitle[];
}

/** Plugs read in one go: other work of the server comes between. */
const BATCH = 250;

/**
 * Fact sheets kept in memory by catalogue version. The first use of plugs reads them all; later ones, where the version
 * differs, those whose facts have changed. The version is read before anything else, so a sheet is never newer than the
 * answer it goes into by more than the change that gave the next version.
 */
export class FactSheets {
  readonly #db: Database;
  readonly #shared: SharedEntries = new Map();
  #held: HeldFacts | undefined;
  #plugs: { version: string; rated: string; plugs: PlugColumns; titles: PartTitle[] } | undefined;
  #bringing: Promise<void> | undefined;

  /** `db` is for reading what is committed, whatever transaction a caller is in. */
  constructor(db: Database) {
    this.#db = db;
  }

  async at(db: Database): Promise<HeldFacts> {
    const version = await readCatalogueVersion(db);
    if (this.#held?.version === version) return this.#held;
    this.#held = { version, scales: await readHeatScales(db), positions: new Map() };
    return this.#held;
  }

  async withPlugs(db: Database): Promise<HeldPlugs> {
    const held = await this.at(db);
    // Once more where somebody else's bringing up to date had begun before the caller's version came about.
    for (let tries = 0; tries < 2 && this.#plugs?.version !== held.version; tries += 1) {
      this.#bringing ??= this.#bringUpToDate().finally(() => (this.#bringing = undefined));
      await this.#bringing;
    }
    const { version, plugs, titles } = this.#plugs!;
    return { ...held, version, plugs, titles };
  }

  /** Sheets of what the given engine positions ask. */
  async positions(db: Database, held: HeldFacts, positionIds: readonly string[]): Promise<Map<string, FactSheet>> {
    const missing = positionIds.filter((id) => !held.positions.has(id));
    if (missing.length > 0)
      for (const [id, sheet] of await readPositionSheets(db, held.scales, missing)) held.positions.set(id, sheet);
    return held.positions;
  }

  async #bringUpToDate(): Promise<void> {
    const version = await readCatalogueVersion(this.#db);
    const scales = await readHeatScales(this.#db);
    const rated = JSON.stringify([...scales]);
    const kept = this.#plugs?.rated === rated ? this.#plugs : undefined;
    if (!kept) this.#shared.clear();
    const { plugs, titles } = kept ?? { plugs: new PlugColumns(), titles: [] };
    const changed = await readPlugsChangedSince(this.#db, kept?.version ?? '0');
    for (let i = 0; i < changed.length; i += BATCH) {
      const ids = changed.slice(i, i + BATCH);
      const named = await readPartTitles(this.#db, ids, 'plug');
      for (const [id, sheet] of await readPartSheets(this.#db, scales, ids, this.#shared)) {
        plugs.set(id, sheet);
        titles[plugs.placeOf(id)!] = named.get(id)!;
      }
    }
    this.#plugs = { version, rated, plugs, titles };
  }
}
