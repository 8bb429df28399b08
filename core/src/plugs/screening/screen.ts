import { PLUG_CHECKS } from '../plug-checks.ts';
import type { FactSheet } from '../../facts/facts.ts';
import { roundCloseness } from '../../fitment/finding.ts';
import {
  addTallies,
  NOTHING_FOUND,
  relieve,
  tallyOf,
  verdictOf,
  VERDICTS,
  type Evidence,
  type Tally,
  type Verdict,
} from '../../fitment/verdict.ts';
import { NOT_YET, voucherOf, type CheckTable, type Voucher } from './check-table.ts';
import type { PackedChecks } from './packed-checks.ts';
import type { PlugColumns, PlugPlace } from './plug-columns.ts';

export interface ScreenedPlug {
  readonly verdict: Verdict;
  readonly closeness: number;
}

/** Many plugs' verdicts, as places in the list of verdicts, and closeness. */
export interface ScreenedPlugs {
  readonly verdicts: Uint8Array;
  readonly closeness: Float64Array;
}

/**
 * Judges plugs of the columns against what one position asks, without words. Each check is asked once for each combination
 * of facts met, so that thousands of plugs cost as much as some hundred questions; the verdicts are those of `judgePlug`.
 */
export class Screen {
  readonly columns: PlugColumns;
  readonly asked: FactSheet;
  /** In the order of the checks; none for a check that reads what every plug has of its own. */
  readonly #tables: readonly (CheckTable | undefined)[];
  /** Those are asked plug by plug, unless they do not arise here. */
  readonly #oneByOne: readonly number[];

  /** `asked` joins the position's facts with the duty's and the house rules'. */
  constructor(columns: PlugColumns, asked: FactSheet) {
    this.columns = columns;
    this.asked = asked;
    this.#tables = PLUG_CHECKS.map((check, i) =>
      check.facts.includes('plug.printedNumbers') ? undefined : columns.tables.tableOf(i, columns.checks[i]!, asked),
    );
    this.#oneByOne = PLUG_CHECKS.flatMap((check, i) =>
      !this.#tables[i] && check.screen(asked).outcome !== 'not-asked' ? [i] : [],
    );
  }

  /** One plug, from the checks' own columns: those that are packed for many are packed anew when any plug has changed. */
  judge(plug: PlugPlace, evidence: Evidence): ScreenedPlug {
    const voucher = voucherOf(evidence);
    let [tally, closeness] = [NOTHING_FOUND, 0];
    for (const [check, table] of this.#tables.entries()) {
      const { facts, codes } = this.columns.checks[check]!;
      if (!table || facts.length === 0) continue;
      tally = addTallies(tally, table.tally(codes.at(plug), voucher));
      closeness += table.closeness(codes.at(plug));
    }
    for (const check of this.#oneByOne) {
      const asked = this.#ask(check, plug, evidence);
      tally = addTallies(tally, asked.tally);
      closeness += asked.closeness;
    }
    return { verdict: verdictOf(tally, evidence), closeness: roundCloseness(closeness) };
  }

  #ask(check: number, plug: PlugPlace, evidence: Evidence): { tally: Tally; closeness: number } {
    const finding = PLUG_CHECKS[check]!.screen({ ...this.columns.sheetOf(plug), ...this.asked });
    return { tally: tallyOf(relieve(PLUG_CHECKS[check]!, finding, evidence)), closeness: finding.closeness };
  }

  /** Many plugs under one evidence. */
  judgeAll(plugs: Uint32Array, evidence: Evidence): ScreenedPlugs {
    const voucher = voucherOf(evidence);
    const tallies = new Int32Array(plugs.length).fill(NOTHING_FOUND);
    const closeness = new Float64Array(plugs.length);
    if (plugs.length > 0)
      for (const packed of this.columns.packed()) this.#addTo(packed, plugs, voucher, tallies, closeness);
    for (const check of this.#oneByOne) {
      for (const [i, plug] of plugs.entries()) {
        const asked = this.#ask(check, plug, evidence);
        tallies[i] = addTallies(tallies[i]!, asked.tally);
        closeness[i]! += asked.closeness;
      }
    }
    const verdicts = new Uint8Array(plugs.length);
    const verdictAt: number[] = [];
    for (let i = 0; i < plugs.length; i += 1) {
      verdicts[i] = verdictAt[tallies[i]!] ??= VERDICTS.indexOf(verdictOf(tallies[i]!, evidence));
      closeness[i] = roundCloseness(closeness[i]!);
    }
    return { verdicts, closeness };
  }

  /** Adds what the packed checks find to every plug's tally and closeness. */
  #addTo(
    { checks, codes, combinations }: PackedChecks,
    plugs: Uint32Array,
    voucher: Voucher,
    tallies: Int32Array,
    closeness: Float64Array,
  ): void {
    const tables = checks.map((check) => this.#tables[check]!);
    const ofCode = new Int32Array(combinations.length).fill(NOT_YET);
    const near = new Float64Array(combinations.length);
    const meet = (code: number) => {
      const own = combinations[code]!;
      ofCode[code] = tables.reduce((sum, table, i) => addTallies(sum, table.tally(own[i]!, voucher)), NOTHING_FOUND);
      near[code] = tables.reduce((sum, table, i) => sum + table.closeness(own[i]!), 0);
    };
    for (let i = 0; i < plugs.length; i += 1) {
      const code = codes[plugs[i]!]!;
      if (ofCode[code] === NOT_YET) meet(code);
      tallies[i] = addTallies(tallies[i]!, ofCode[code]!);
      closeness[i]! += near[code]!;
    }
  }

  /** What a check finds by the code of a combination; none where it is asked plug by plug. */
  table(check: number): CheckTable | undefined {
    return this.#tables[check];
  }
}
