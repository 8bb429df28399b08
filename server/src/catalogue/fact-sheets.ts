import type { HeatScales } from '@brackenfell/core/facts/fact';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { PlugColumns } from '@brackenfell/core/plugs/screening/plug-columns';
import type { Database } from '../db/database.ts';
import {
  readHeatScales,
  readOthersChangedSince,
  readPlugsChangedSince,
  readPositionSheets,
  type PartTitle,
} from './fact-store.ts';
import { Keeping, MOST_TRAYS } from './keeping.ts';
import { Memo } from './memo.ts';
import { readVersions } from './version-store.ts';

/** The facts of the catalogue as they stood at one version: heat scales, and of the positions asked for so far. */
export interface HeldFacts {
  readonly version: string;
  readonly butPlugs: string;
  readonly scales: HeatScales;
  readonly positions: Map<string, FactSheet>;
  /** What engines ask and who is said to serve them: what no figure of a plug changes. */
  readonly asking: Memo;
  /** Whatever else of the catalogue was read at this version. */
  readonly memo: Memo;
  /** Trays laid out at this version, before the shelf is looked at. */
  readonly trays: Memo;
}

/** All plugs besides. */
export interface HeldPlugs extends HeldFacts {
  readonly plugs: PlugColumns;
  /** By a plug's place in the columns. */
  readonly titles: readonly PartTitle[];
}

export interface HeldPart {
  readonly sheet: FactSheet;
  readonly title: PartTitle;
}

/** All other parts besides. */
export interface HeldOthers extends HeldFacts {
  readonly others: ReadonlyMap<string, HeldPart>;
}

/** Fact sheets kept in memory by catalogue version: plugs in columns, for there are very many of them, other parts one by one. */
export class FactSheets {
  readonly #plugs: Keeping<{ plugs: PlugColumns; titles: PartTitle[] }>;
  readonly #others: Keeping<Map<string, HeldPart>>;
  readonly #db: Database;
  readonly #isLent: boolean;
  #held: HeldFacts | undefined;

  /**
   * `db` is for reading what is committed, whatever transaction a caller is in: of another pool than theirs. `lent`: the
   * parts are those of another, while what engines ask is this one's own.
   */
  constructor(db: Database, lent?: FactSheets) {
    this.#db = db;
    this.#isLent = lent !== undefined;
    if (lent) {
      this.#plugs = lent.#plugs;
      this.#others = lent.#others;
      return;
    }
    this.#plugs = new Keeping<{ plugs: PlugColumns; titles: PartTitle[] }>(db, {
      make: () => ({ plugs: new PlugColumns(), titles: [] }),
      changedSince: readPlugsChangedSince,
      put: ({ plugs, titles }, id, sheet, title) => {
        plugs.set(id, sheet);
        titles[plugs.placeOf(id)!] = title;
      },
      takeSizes: ({ plugs }) => plugs.takeTouchedSizes(),
    });
    this.#others = new Keeping<Map<string, HeldPart>>(db, {
      make: () => new Map(),
      changedSince: readOthersChangedSince,
      put: (others, id, sheet, title) => others.set(id, { sheet, title }),
    });
  }

  /** `known`: the version that a caller has just read: what is held of it is not read for anew. */
  async at(db: Database, known?: string): Promise<HeldFacts> {
    if (known !== undefined && this.#held?.version === known) return this.#held;
    const { version, butPlugs } = await readVersions(db);
    if (this.#held?.version === version) return this.#held;
    const ofVersion = { version, memo: new Memo(), trays: new Memo(MOST_TRAYS) };
    const held: HeldFacts =
      this.#held?.butPlugs === butPlugs
        ? { ...this.#held, ...ofVersion }
        : { ...ofVersion, butPlugs, scales: await readHeatScales(db), positions: new Map(), asking: new Memo() };
    if (await this.#isForOthers(db, version)) this.#held = held;
    return held;
  }

  /** What a transaction has not committed is kept for nobody else: the version may be another's, with other changes. */
  async #isForOthers(db: Database, version: string): Promise<boolean> {
    return this.#isLent || !db.isTransaction || (await readVersions(this.#db)).version === version;
  }

  async withPlugs(db: Database): Promise<HeldPlugs> {
    const held = await this.at(db);
    const kept = await this.#plugs.upTo(held.version);
    return { ...held, version: kept.version, trays: this.#traysOf(held, kept), ...kept.parts };
  }

  async withOthers(db: Database): Promise<HeldOthers> {
    const held = await this.at(db);
    const kept = await this.#others.upTo(held.version);
    return { ...held, version: kept.version, trays: this.#traysOf(held, kept), others: kept.parts };
  }

  /** Trays laid out of kept parts are common to all who ask at their version, but where engines would ask something else. */
  #traysOf(held: HeldFacts, kept: { readonly version: string; readonly trays: Memo }): Memo {
    return this.#isLent || kept.version !== held.version ? held.trays : kept.trays;
  }

  /** What is known of one part, and the version at which it is. */
  async ofPart(db: Database, kind: PartKind, partId: string): Promise<{ sheet: FactSheet; version: string }> {
    if (kind === 'plug') {
      const { plugs, version } = await this.withPlugs(db);
      const place = plugs.placeOf(partId);
      return { sheet: place === undefined ? {} : plugs.sheetOf(place), version };
    }
    const { others, version } = await this.withOthers(db);
    return { sheet: others.get(partId)?.sheet ?? {}, version };
  }

  /** Sheets of what the given engine positions ask. */
  async positions(db: Database, held: HeldFacts, positionIds: readonly string[]): Promise<Map<string, FactSheet>> {
    const missing = positionIds.filter((id) => !held.positions.has(id));
    if (missing.length > 0)
      for (const [id, sheet] of await readPositionSheets(db, held.scales, missing)) held.positions.set(id, sheet);
    return held.positions;
  }
}
