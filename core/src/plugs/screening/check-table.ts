import { PLUG_CHECKS } from '../plug-checks.ts';
import type { FactEntry, FactId, FactSheet } from '../../facts/facts.ts';
import { OUTCOMES, type Finding, type Outcome } from '../../fitment/finding.ts';
import type { Say } from '../../fitment/say.ts';
import { relieve, tallyOf, type Evidence, type Tally } from '../../fitment/verdict.ts';
import type { TupleColumn } from './tuple-column.ts';

/** What may vouch for a plug and so lets an unknown through: nothing, a listing, the engine maker's naming it, both. */
const VOUCHERS = [
  { named: false, listed: false },
  { named: false, listed: true },
  { named: true, listed: false },
  { named: true, listed: true },
] as const;
export type Voucher = number;
export const voucherOf = ({ named, listed }: Evidence): Voucher => (named ? 2 : 0) + (listed ? 1 : 0);

/** No tally: the combination has not been met. */
export const NOT_YET = -1;

/** A check in words on one combination of facts; `used` are those of its facts that are known. */
interface Worded {
  readonly finding: Finding;
  readonly used: readonly FactId[];
  /** Every known fact has one figure and nothing speaks against it: then plugs with the same values differ in sources alone. */
  readonly isPlain: boolean;
}

const isPlain = (entry: FactEntry<unknown>): boolean => entry.ruling.length === 1 && entry.questioning === undefined;

/**
 * What one check finds on each combination of plug facts where the rest is as asked: its share in the verdict by voucher,
 * its closeness and its outcome, by the combination's code. Filled by the check itself, as combinations are met.
 */
export class CheckTable {
  readonly #check: number;
  readonly #column: TupleColumn;
  readonly #asked: FactSheet;
  #tallies: readonly Int32Array[] = VOUCHERS.map(() => new Int32Array());
  #closeness = new Float64Array();
  #outcomes = new Uint8Array();
  readonly #worded = new WeakMap<Say, Worded[]>();

  constructor(check: number, column: TupleColumn, asked: FactSheet) {
    this.#check = check;
    this.#column = column;
    this.#asked = asked;
  }

  tally(code: number, voucher: Voucher): Tally {
    this.#meet(code);
    return this.#tallies[voucher]![code]!;
  }

  closeness(code: number): number {
    this.#meet(code);
    return this.#closeness[code]!;
  }

  outcome(code: number): Outcome {
    this.#meet(code);
    return OUTCOMES[this.#outcomes[code]!]!;
  }

  /** The combination in words, worded once for each way of printing figures. Sources are those of the first plug that had it. */
  worded(code: number, say: Say): Worded {
    const worded = this.#worded.get(say) ?? [];
    this.#worded.set(say, worded);
    return (worded[code] ??= this.#word(code, say));
  }

  #word(code: number, say: Say): Worded {
    const [check, sheet] = [PLUG_CHECKS[this.#check]!, this.#sheetOf(code)];
    const used = check.facts.filter((fact) => sheet[fact] !== undefined);
    return { finding: check.ask(sheet, say), used, isPlain: used.every((fact) => isPlain(sheet[fact]!)) };
  }

  #sheetOf(code: number): FactSheet {
    return { ...this.#column.samples[code], ...this.#asked };
  }

  #meet(code: number): void {
    this.#grow();
    if (this.#tallies[0]![code] !== NOT_YET) return;
    const finding = PLUG_CHECKS[this.#check]!.screen(this.#sheetOf(code));
    for (const [voucher, evidence] of VOUCHERS.entries())
      this.#tallies[voucher]![code] = tallyOf(relieve(PLUG_CHECKS[this.#check]!, finding, evidence));
    this.#closeness[code] = finding.closeness;
    this.#outcomes[code] = OUTCOMES.indexOf(finding.outcome);
  }

  /** Makes room for combinations that have come up since. */
  #grow(): void {
    const wanted = this.#column.samples.length;
    if (this.#closeness.length >= wanted) return;
    this.#tallies = this.#tallies.map((before) => {
      const grown = new Int32Array(wanted).fill(NOT_YET);
      grown.set(before);
      return grown;
    });
    const [closeness, outcomes] = [new Float64Array(wanted), new Uint8Array(wanted)];
    closeness.set(this.#closeness);
    outcomes.set(this.#outcomes);
    this.#closeness = closeness;
    this.#outcomes = outcomes;
  }
}

/** Tables kept at most: some hundred engines' worth. */
const MOST_TABLES = 4000;

/** Tables by check and by what is asked of it. Engines that ask the same of a check share its table. */
export class CheckTables {
  readonly #tables = new Map<string, CheckTable>();

  tableOf(check: number, column: TupleColumn, asked: FactSheet): CheckTable {
    const concerned: Partial<Record<FactId, unknown>> = {};
    for (const fact of PLUG_CHECKS[check]!.facts)
      if (!column.facts.includes(fact) && asked[fact]) concerned[fact] = asked[fact];
    const key = `${check} ${JSON.stringify(concerned)}`;
    const known = this.#tables.get(key);
    if (known) return known;
    if (this.#tables.size >= MOST_TABLES) this.#tables.clear();
    const made = new CheckTable(check, column, concerned as FactSheet);
    this.#tables.set(key, made);
    return made;
  }
}
