import type { FactSheet } from '@brackenfell/core/fitment/facts';
import { PlugColumns } from '@brackenfell/core/fitment/screening/plug-columns';
import type { Database } from '../db/database.ts';
import type { HeatScales } from './figure-codec.ts';
import {
  readHeatScales,
  readPlugSheets,
  readPlugTitles,
  readPositionSheets,
  type PlugTitle,
  type SharedEntries,
} from './read-facts.ts';
import { readCatalogueVersion } from './version.ts';

/** The facts of the catalogue as they stood at one version: of all plugs, and of the positions asked for so far. */
export interface HeldFacts {
  readonly version: string;
  readonly scales: HeatScales;
  readonly plugs: PlugColumns;
  /** By a plug's place in the columns. */
  readonly titles: readonly PlugTitle[];
  readonly positions: Map<string, FactSheet>;
}

/** Plugs read in one go: other work of the server comes between. */
const BATCH = 1000;

/**
 * Fact sheets kept in memory by catalogue version. The first use reads all plugs; later ones, where the version differs,
 * those whose facts have changed. The version is read before anything else, so a sheet is never newer than the answer it
 * goes into by more than the change that gave the next version.
 */
export class FactSheets {
  readonly #db: Database;
  readonly #shared: SharedEntries = new Map();
  readonly #titles: PlugTitle[] = [];
  #held: HeldFacts | undefined;
  #bringing: Promise<void> | undefined;

  /** `db` is for reading what is committed, whatever transaction a caller is in. */
  constructor(db: Database) {
    this.#db = db;
  }

  async at(db: Database): Promise<HeldFacts> {
    const version = await readCatalogueVersion(db);
    // Once more where somebody else's bringing up to date had begun before the caller's version came about.
    for (let tries = 0; tries < 2 && this.#held?.version !== version; tries += 1) {
      this.#bringing ??= this.#bringUpToDate().finally(() => (this.#bringing = undefined));
      await this.#bringing;
    }
    return this.#held!;
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
    const kept = this.#held && JSON.stringify([...this.#held.scales]) === rated ? this.#held : undefined;
    if (!kept) this.#shared.clear();
    const plugs = kept?.plugs ?? new PlugColumns();
    const titles = this.#titles;
    const changed = await this.#changedSince(kept?.version ?? '0');
    for (let i = 0; i < changed.length; i += BATCH) {
      const ids = changed.slice(i, i + BATCH);
      const named = await readPlugTitles(this.#db, ids);
      for (const [id, sheet] of await readPlugSheets(this.#db, scales, ids, this.#shared)) {
        plugs.set(id, sheet);
        titles[plugs.placeOf(id)!] = named.get(id)!;
      }
    }
    this.#held = { version, scales, plugs, titles, positions: new Map() };
  }

  async #changedSince(version: string): Promise<string[]> {
    const rows = await this.#db
      .selectFrom('plug_spec')
      .select('part_id')
      .where('catalogue_version', '>', version)
      .orderBy('part_id')
      .execute();
    return rows.map((row) => row.part_id);
  }
}
