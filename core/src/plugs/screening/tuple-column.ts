import type { FactId, FactSheet } from '../../facts/facts.ts';
import { GrowingCodes } from './growing-codes.ts';

/** The distinct combinations of some facts' values, and which of them each plug has. */
export class TupleColumn {
  readonly codes = new GrowingCodes();
  /** By code: a sheet of these facts alone, as the first plug with the combination has them. */
  readonly samples: FactSheet[] = [];
  readonly facts: readonly FactId[];
  readonly #next: readonly Map<number, number>[];

  constructor(facts: readonly FactId[]) {
    this.facts = facts;
    this.#next = facts.map(() => new Map());
  }

  /** The code of a combination of value codes, in the order of the facts; `sample` is called for a new one. */
  codeOf(valueCodes: readonly number[], sample: () => FactSheet): number {
    let code = 0;
    for (const [i, value] of valueCodes.entries()) {
      const next = this.#next[i]!;
      const pair = code * PAIR + value;
      const known = next.get(pair);
      if (known === undefined) next.set(pair, next.size);
      code = known ?? next.size - 1;
    }
    if (code >= this.samples.length) this.samples.push(sample());
    return code;
  }
}

/** More than the distinct values of any fact. */
const PAIR = 2 ** 24;
