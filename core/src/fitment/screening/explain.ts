import { CHECKS } from '../check-list.ts';
import type { Check } from '../define-check.ts';
import type { FactEntry, FactId, FactSheet } from '../facts.ts';
import type { FactUsed, Finding } from '../finding.ts';
import type { Say } from '../say.ts';
import type { PlugColumns, PlugPlace } from './plug-columns.ts';

/** A check in words on one combination of facts; `used` are those of its facts that are known. */
interface Worded {
  readonly finding: Finding;
  readonly used: readonly FactId[];
  /** Every known fact has one figure and nothing speaks against it: then plugs with the same values differ in sources alone. */
  readonly isPlain: boolean;
}

const isPlain = (entry: FactEntry<unknown>): boolean => entry.ruling.length === 1 && entry.questioning === undefined;

/**
 * Explains plugs of the columns against what one position asks: the findings of every check in words, each worded once
 * for a combination of facts and shared by the plugs that have it. Only the sources are each plug's own.
 */
export class Explainer {
  readonly #columns: PlugColumns;
  readonly #asked: FactSheet;
  readonly #say: Say;
  readonly #worded: (Worded | undefined)[][] = CHECKS.map(() => []);
  readonly #uses = new Map<FactEntry<unknown>, FactUsed>();

  constructor(columns: PlugColumns, asked: FactSheet, say: Say) {
    this.#columns = columns;
    this.#asked = asked;
    this.#say = say;
  }

  /** In the order of the checks; equal to asking every check about the plug. `own` is its sheet. */
  findingsOf(plug: PlugPlace, own: FactSheet = this.#columns.sheetOf(plug)): Finding[] {
    return CHECKS.map((check, i) => {
      if (check.facts.includes('plug.printedNumbers')) return check.ask({ ...own, ...this.#asked }, this.#say);
      const code = this.#columns.checks[i]!.codes.at(plug);
      const worded = (this.#worded[i]![code] ??= this.#word(check, own));
      if (!worded.isPlain) return check.ask({ ...own, ...this.#asked }, this.#say);
      return { ...worded.finding, sources: worded.used.map((fact) => this.#use(fact, own)) };
    });
  }

  #word(check: Check, own: FactSheet): Worded {
    const sheet = { ...own, ...this.#asked };
    const used = check.facts.filter((fact) => sheet[fact] !== undefined);
    return {
      finding: check.ask(sheet, this.#say),
      used,
      isPlain: used.every((fact) => isPlain(sheet[fact]!)),
    };
  }

  /** A fact's source, one object for all who share the entry. */
  #use(fact: FactId, own: FactSheet): FactUsed {
    const entry = (this.#asked[fact] ?? own[fact])!;
    const known = this.#uses.get(entry);
    if (known?.fact === fact) return known;
    const use = { fact, source: entry.ruling[0]!.source };
    this.#uses.set(entry, use);
    return use;
  }
}
