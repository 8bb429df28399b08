import { PLUG_CHECKS } from '../plug-checks.ts';
import { FACTS, type FactEntry, type FactId, type FactSheet } from '../../facts/facts.ts';
import { CheckTables } from './check-table.ts';
import { GrowingCodes } from './growing-codes.ts';
import { packChecks, type PackedChecks } from './packed-checks.ts';
import { TupleColumn } from './tuple-column.ts';

/** A plug's place in the columns. */
export type PlugPlace = number;

/** What every plug has of its own, so that no column of recurring values can hold it. */
const OWN_FACT = 'plug.printedNumbers';
const COLUMN_FACTS = (Object.keys(FACTS) as FactId[]).filter((id) => id.startsWith('plug.') && id !== OWN_FACT);
const SIZE_FACTS = ['plug.threadDiameterMm', 'plug.threadPitchMm', 'plug.reachMm', 'plug.seat'] as const;

/** One fact over all plugs: a code for each distinct entry, 0 where nothing is known. */
class FactColumn {
  readonly codes = new GrowingCodes();
  readonly entries: (FactEntry<unknown> | undefined)[] = [undefined];
  /** By entry: a code of its values alone. Entries that differ only in their sources are judged alike. */
  readonly valueCodes: number[] = [0];
  /** Entries met before, by the object itself: a loader that shares them saves the comparing. */
  readonly #met = new WeakMap<FactEntry<unknown>, number>();
  readonly #byEntry = new Map<string, number>();
  readonly #byValues = new Map<string, number>();

  codeOf(entry: FactEntry<unknown> | undefined): number {
    if (entry === undefined) return 0;
    const met = this.#met.get(entry);
    if (met !== undefined) return met;
    const key = JSON.stringify(entry);
    const code = this.#byEntry.get(key) ?? this.#add(key, entry);
    this.#met.set(entry, code);
    return code;
  }

  #add(key: string, entry: FactEntry<unknown>): number {
    const values = [entry.ruling, entry.questioning ?? []].map((figures) => figures.map(({ value }) => value));
    // A doubt is told by its source, which changes words alone; its values decide.
    const valuesKey = JSON.stringify(values);
    const valueCode = this.#byValues.get(valuesKey) ?? this.#byValues.size + 1;
    this.#byValues.set(valuesKey, valueCode);
    this.#byEntry.set(key, this.entries.length);
    this.valueCodes.push(valueCode);
    return this.entries.push(entry) - 1;
  }
}

/** The facts of a check that are the plug's and recur. */
const recurring = (facts: readonly FactId[]): FactId[] => facts.filter((fact) => COLUMN_FACTS.includes(fact));

/**
 * All plugs of a catalogue as columns: for each fact a code a plug, and for each check the combination of all the plug
 * facts it declares. A check is then asked once for each combination instead of once for each plug.
 */
export class PlugColumns {
  readonly ids: string[] = [];
  readonly #places = new Map<string, PlugPlace>();
  readonly #columns = new Map(COLUMN_FACTS.map((fact) => [fact, new FactColumn()]));
  #bySize: readonly Uint32Array[] | undefined;
  #packed: readonly PackedChecks[] | undefined;
  readonly #own: (FactEntry<readonly string[]> | undefined)[] = [];
  /** Codes of the sizes that a plug had before it was put into the columns, or has since. */
  #touched = new Set<number>();
  /** In the order of the checks. */
  readonly checks: readonly TupleColumn[] = PLUG_CHECKS.map((check) => new TupleColumn(recurring(check.facts)));
  readonly size = new TupleColumn(SIZE_FACTS);
  /** What the checks have found on the combinations so far; stays right while plugs change, for it is by combination. */
  readonly tables = new CheckTables();

  get count(): number {
    return this.ids.length;
  }

  placeOf(id: string): PlugPlace | undefined {
    return this.#places.get(id);
  }

  /** Puts a plug into the columns, or its changed facts in the place of those it had. */
  set(id: string, sheet: FactSheet): void {
    let place = this.#places.get(id);
    if (place === undefined) {
      place = this.ids.push(id) - 1;
      this.#places.set(id, place);
    } else this.#touched.add(this.size.codes.at(place));
    this.#bySize = this.#packed = undefined;
    const valueCodes = new Map<FactId, number>();
    for (const [fact, column] of this.#columns) {
      const code = column.codeOf(sheet[fact]);
      column.codes.set(place, code);
      valueCodes.set(fact, column.valueCodes[code]!);
    }
    this.#own[place] = sheet[OWN_FACT];
    for (const tuples of [...this.checks, this.size]) {
      const values = tuples.facts.map((fact) => valueCodes.get(fact)!);
      const sample = () => Object.fromEntries(tuples.facts.flatMap((f) => (sheet[f] ? [[f, sheet[f]]] : [])));
      tuples.codes.set(place, tuples.codeOf(values, sample));
    }
    this.#touched.add(this.size.codes.at(place));
  }

  /** A plug of each size that some plug has had, or has now, of those that were put in since this was last asked. */
  takeTouchedSizes(): readonly FactSheet[] {
    const touched = [...this.#touched].map((code) => this.size.samples[code]!);
    this.#touched = new Set();
    return touched;
  }

  /** The places of the plugs of each size, by the size's code. */
  placesBySize(): readonly Uint32Array[] {
    this.#bySize ??= sortOut(this.size.codes.packed.subarray(0, this.count), this.size.samples.length);
    return this.#bySize;
  }

  /** The checks' columns packed into few. */
  packed(): readonly PackedChecks[] {
    this.#packed ??= packChecks(this.checks, this.count);
    return this.#packed;
  }

  /** What is known of one fact of a plug. */
  factOf<K extends FactId>(place: PlugPlace, fact: K): FactSheet[K] {
    const column = this.#columns.get(fact)!;
    return column.entries[column.codes.at(place)] as FactSheet[K];
  }

  /** Everything known of a plug. */
  sheetOf(place: PlugPlace): FactSheet {
    const sheet: Partial<Record<FactId, unknown>> = {};
    for (const [fact, { codes, entries }] of this.#columns) {
      const entry = entries[codes.at(place)];
      if (entry !== undefined) sheet[fact] = entry;
    }
    const own = this.#own[place];
    if (own !== undefined) sheet[OWN_FACT] = own;
    return sheet as FactSheet;
  }
}

/** The places at which each code stands. */
function sortOut(codes: Uint32Array, codeCount: number): Uint32Array[] {
  const counts = new Uint32Array(codeCount);
  for (const code of codes) counts[code]! += 1;
  const places = Array.from(counts, (count) => new Uint32Array(count));
  counts.fill(0);
  for (const [place, code] of codes.entries()) {
    places[code]![counts[code]!] = place;
    counts[code]! += 1;
  }
  return places;
}
