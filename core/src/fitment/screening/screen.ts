import { CHECKS } from '../check-list.ts';
import type { FactSheet } from '../facts.ts';
import type { Finding } from '../finding.ts';
import { roundCloseness } from '../judge-plug.ts';
import {
  addTallies,
  NOTHING_FOUND,
  relieve,
  tallyOf,
  verdictOf,
  type Evidence,
  type Tally,
  type Verdict,
} from '../verdict.ts';
import type { PlugColumns, PlugPlace, TupleColumn } from './plug-columns.ts';

/** What a check finds on one combination of facts: its share in the verdict by what vouches for the plug, and its closeness. */
interface Screened {
  readonly finding: Finding;
  readonly closeness: number;
  /** Nobody vouches; a listing does; the engine maker names it; both. */
  readonly tallies: readonly [Tally, Tally, Tally, Tally];
}

export interface ScreenedPlug {
  readonly verdict: Verdict;
  readonly closeness: number;
}

const VOUCHERS = [
  { named: false, listed: false },
  { named: false, listed: true },
  { named: true, listed: false },
  { named: true, listed: true },
] as const;
const voucherOf = ({ named, listed }: Evidence): 0 | 1 | 2 | 3 => ((named ? 2 : 0) + (listed ? 1 : 0)) as 0 | 1 | 2 | 3;

const screened = (finding: Finding): Screened => {
  const [alone, listed, named, both] = VOUCHERS.map((evidence) => tallyOf(relieve(finding, evidence)));
  return { finding, closeness: finding.closeness, tallies: [alone!, listed!, named!, both!] };
};

/**
 * Judges plugs of the columns against what one position asks, without words. Each check is asked once for each combination
 * of facts met, so that thousands of plugs cost as much as some hundred questions; the verdicts are those of `judgePlug`.
 */
export class Screen {
  readonly #columns: PlugColumns;
  readonly #asked: FactSheet;
  readonly #tables: readonly (Screened | undefined)[][];
  /** Checks that read what every plug has of its own are asked plug by plug, unless they do not arise here. */
  readonly #oneByOne: readonly number[];
  readonly #byTable: readonly number[];

  /** `asked` joins the position's facts with the duty's and the house rules'. */
  constructor(columns: PlugColumns, asked: FactSheet) {
    this.#columns = columns;
    this.#asked = asked;
    this.#tables = CHECKS.map(() => []);
    const own = CHECKS.map((check) => check.facts.includes('plug.printedNumbers'));
    const places = CHECKS.map((_, i) => i);
    this.#byTable = places.filter((i) => !own[i]);
    this.#oneByOne = places.filter((i) => own[i] && CHECKS[i]!.screen(asked).outcome !== 'not-asked');
  }

  judge(plug: PlugPlace, evidence: Evidence): ScreenedPlug {
    const voucher = voucherOf(evidence);
    let tally = NOTHING_FOUND;
    let closeness = 0;
    for (const check of this.#byTable) {
      const found = this.#found(check, plug);
      tally = addTallies(tally, found.tallies[voucher]);
      closeness += found.closeness;
    }
    for (const check of this.#oneByOne) {
      const found = screened(CHECKS[check]!.screen({ ...this.#columns.sheetOf(plug), ...this.#asked }));
      tally = addTallies(tally, found.tallies[voucher]);
      closeness += found.closeness;
    }
    return { verdict: verdictOf(tally, evidence), closeness: roundCloseness(closeness) };
  }

  /** What a check finds on a combination of facts, by the combination's code. */
  table(check: number): (code: number) => Screened {
    const [table, column] = [this.#tables[check]!, this.#columns.checks[check]!];
    return (code) => (table[code] ??= this.#ask(check, column, code));
  }

  #found(check: number, plug: PlugPlace): Screened {
    const column = this.#columns.checks[check]!;
    const code = column.codes.at(plug);
    return (this.#tables[check]![code] ??= this.#ask(check, column, code));
  }

  #ask(check: number, column: TupleColumn, code: number): Screened {
    return screened(CHECKS[check]!.screen({ ...column.samples[code], ...this.#asked }));
  }
}
