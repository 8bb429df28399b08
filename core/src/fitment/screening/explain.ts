import { CHECKS } from '../check-list.ts';
import type { FactId, FactSheet } from '../facts.ts';
import type { FactUsed, Finding } from '../finding.ts';
import type { Say } from '../say.ts';
import type { PlugColumns, PlugPlace } from './plug-columns.ts';

/** Whether every declared fact has one ruling figure or none and nothing speaks against it: then values alone decide. */
const isPlain = (facts: readonly FactId[], sheet: FactSheet): boolean =>
  facts.every((fact) => {
    const entry = sheet[fact];
    return entry === undefined || (entry.ruling.length === 1 && entry.questioning === undefined);
  });

const usedOf = (facts: readonly FactId[], sheet: FactSheet): FactUsed[] =>
  facts.flatMap((fact) => {
    const entry = sheet[fact];
    return entry ? [{ fact, source: entry.ruling[0]!.source }] : [];
  });

/**
 * Explains plugs of the columns against what one position asks: the findings of every check in words, each worded once
 * for a combination of facts and shared by the plugs that have it. Only the sources are each plug's own.
 */
export class Explainer {
  readonly #columns: PlugColumns;
  readonly #asked: FactSheet;
  readonly #say: Say;
  readonly #worded: Finding[][] = CHECKS.map(() => []);

  constructor(columns: PlugColumns, asked: FactSheet, say: Say) {
    this.#columns = columns;
    this.#asked = asked;
    this.#say = say;
  }

  /** In the order of the checks; equal to asking every check about the plug. */
  findingsOf(plug: PlugPlace): Finding[] {
    const sheet = { ...this.#columns.sheetOf(plug), ...this.#asked };
    return CHECKS.map((check, i) => {
      const own = check.facts.includes('plug.printedNumbers');
      if (own || !isPlain(check.facts, sheet)) return check.ask(sheet, this.#say);
      const code = this.#columns.checks[i]!.codes.at(plug);
      const finding = (this.#worded[i]![code] ??= check.ask(sheet, this.#say));
      return { ...finding, sources: usedOf(check.facts, sheet) };
    });
  }
}
