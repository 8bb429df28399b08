import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { Database } from '../db/database.ts';
import { readHeatScales, readPartSheets, readPartTitles, type PartTitle, type SharedEntries } from './fact-store.ts';
import { Memo } from './memo.ts';
import { readVersions } from './version-store.ts';

/** Parts read in one go: other work of the server comes between. */
const BATCH = 500;
/** A tray laid out holds the findings of some fifty parts in words, a few hundred kB. */
export const MOST_TRAYS = 100;

/** What of the parts is other than it was. */
export interface Change {
  readonly ids: ReadonlySet<string>;
  /** A part of each size that one of them had, or has now. */
  readonly sizes: readonly FactSheet[];
}

/** What was laid out of the parts, before the shelf is looked at. */
export interface Laid {
  /** Whether it would lie otherwise after a change of parts. */
  isTouchedBy(change: Change): boolean;
}

interface Keeper<T> {
  /** An empty place for the parts. */
  readonly make: () => T;
  /** Parts whose facts hold from a later version. */
  readonly changedSince: (db: Database, version: string) => Promise<string[]>;
  readonly put: (kept: T, id: string, sheet: FactSheet, title: PartTitle) => void;
  /** A part of each size met among those that were put since this was last asked. */
  readonly takeSizes?: (kept: T) => readonly FactSheet[];
}

interface Kept<T> {
  readonly version: string;
  /** Of all but plugs: as long as it is the same, what engines ask is. */
  readonly butPlugs: string;
  /** The scales it was rated by, and the removals until then: where either differs, all is read anew. */
  readonly basis: string;
  readonly parts: T;
  /** Trays laid out of them at this version, or at an earlier one of which nothing that lies in them was changed since. */
  readonly trays: Memo;
}

/**
 * All parts of some kind with their facts, kept in memory. The first use reads them all; later ones, where the catalogue's
 * version differs, those whose facts have changed since. The version is read before anything else, so a sheet is never newer
 * than the answer it goes into by more than the change that gave the next version.
 */
export class Keeping<T> {
  readonly #db: Database;
  readonly #keeper: Keeper<T>;
  readonly #shared: SharedEntries = new Map();
  #kept: Kept<T> | undefined;
  #bringing: Promise<void> | undefined;

  /** `db` is for reading what is committed, whatever transaction a caller is in. */
  constructor(db: Database, keeper: Keeper<T>) {
    this.#db = db;
    this.#keeper = keeper;
  }

  async upTo(version: string): Promise<Kept<T>> {
    // Once more where somebody else's bringing up to date had begun before the caller's version came about.
    for (let tries = 0; tries < 2 && this.#kept?.version !== version; tries += 1) {
      this.#bringing ??= this.#bringUpToDate().finally(() => (this.#bringing = undefined));
      await this.#bringing;
    }
    return this.#kept!;
  }

  async #bringUpToDate(): Promise<void> {
    const { version, butPlugs, removals } = await readVersions(this.#db);
    const scales = await readHeatScales(this.#db);
    const basis = JSON.stringify([removals, ...scales]);
    const before = this.#kept?.basis === basis ? this.#kept : undefined;
    if (!before) this.#shared.clear();
    const parts = before?.parts ?? this.#keeper.make();
    const changed = await this.#keeper.changedSince(this.#db, before?.version ?? '0');
    for (let i = 0; i < changed.length; i += BATCH) {
      const ids = changed.slice(i, i + BATCH);
      const [titles, sheets] = await Promise.all([
        readPartTitles(this.#db, ids),
        readPartSheets(this.#db, scales, ids, this.#shared),
      ]);
      for (const [id, sheet] of sheets) this.#keeper.put(parts, id, sheet, titles.get(id)!);
    }
    const change: Change = { ids: new Set(changed), sizes: this.#keeper.takeSizes?.(parts) ?? [] };
    const trays =
      before?.butPlugs === butPlugs
        ? before.trays.whereHolds((laid) => (laid as Laid | undefined)?.isTouchedBy(change) === false)
        : new Memo(MOST_TRAYS);
    this.#kept = { version, butPlugs, basis, parts, trays };
  }
}
