import { PLUG_CHECKS } from '../plug-checks.ts';
import type { FactEntry, FactId, FactSheet } from '../../facts/facts.ts';
import type { FactUsed, Finding } from '../../fitment/finding.ts';
import type { Say } from '../../fitment/say.ts';
import type { PlugPlace } from './plug-columns.ts';
import type { Screen } from './screen.ts';

/**
 * Explains the plugs of a screen's columns against what it asks: the findings of every check in words, each worded once
 * for a combination of facts and shared by the plugs that have it. Only the sources are each plug's own.
 */
export class Explainer {
  readonly #screen: Screen;
  readonly #say: Say;
  readonly #uses = new Map<FactEntry<unknown>, FactUsed>();

  constructor(screen: Screen, say: Say) {
    this.#screen = screen;
    this.#say = say;
  }

  /** In the order of the checks; equal to asking every check about the plug. `own` is its sheet. */
  findingsOf(plug: PlugPlace, own: FactSheet = this.#screen.columns.sheetOf(plug)): Finding[] {
    const { columns, asked } = this.#screen;
    return PLUG_CHECKS.map((check, i) => {
      const worded = this.#screen.table(i)?.worded(columns.checks[i]!.codes.at(plug), this.#say);
      if (!worded?.isPlain) return check.ask(pickFacts(check.facts, own, asked), this.#say);
      return { ...worded.finding, sources: worded.used.map((fact) => this.#use(fact, own)) };
    });
  }

  /** A fact's source, one object for all who share the entry. */
  #use(fact: FactId, own: FactSheet): FactUsed {
    const entry = (this.#screen.asked[fact] ?? own[fact])!;
    const known = this.#uses.get(entry);
    if (known?.fact === fact) return known;
    const use = { fact, source: entry.ruling[0]!.source };
    this.#uses.set(entry, use);
    return use;
  }
}

/** Some facts of a plug and of what is asked, without joining the two sheets whole. */
function pickFacts(facts: readonly FactId[], own: FactSheet, asked: FactSheet): FactSheet {
  const picked: Partial<Record<FactId, unknown>> = {};
  for (const fact of facts) picked[fact] = asked[fact] ?? own[fact];
  return picked as FactSheet;
}
