import { listed } from '../words/counted.ts';
import type { RuleId } from '../house-rules/house-rules.ts';
import type { CheckId } from './check-ids.ts';
import { FACTS, type FactId, type FactSheet, type FactTypes, type Sourced } from '../facts/facts.ts';
import {
  OUTCOMES,
  roundCloseness,
  type FactUsed,
  type Figures,
  type Finding,
  type Outcome,
  type Telling,
} from './finding.ts';
import type { Say } from './say.ts';
import { upperFirst } from '../words/case.ts';

/** What a check decides: outcome, which case, and the figures its sentences are made of. */
export interface Judged<F extends Figures = Figures> {
  readonly outcome: Exclude<Outcome, 'unknown' | 'not-asked'>;
  readonly caseId: string;
  readonly figures: F;
  readonly closeness?: number;
}

/** A check may also find, with all its facts in hand, that one more thing must be known. */
export interface StillUnknown<F extends Figures = Figures> {
  readonly outcome: 'unknown';
  readonly caseId: string;
  readonly figures: F;
  readonly missing: readonly FactId[];
}

type Known<N extends FactId, O extends FactId> = { readonly [K in N]: FactTypes[K] } & {
  readonly [K in O]?: FactTypes[K];
};
type Partly<I extends FactId> = { readonly [K in I]?: FactTypes[K] };

/** A worked example: feeds the check's test, the help page and the drills. */
export interface CheckExample {
  readonly says: string;
  readonly facts: Partly<FactId>;
  readonly outcome: Outcome;
  readonly caseId?: string;
}

/** What may stand in for a figure that nobody published. */
export type Voucher = 'own-number' | 'listing';
const OWN_NUMBER: readonly Voucher[] = ['own-number'];

/** What a check is besides its question: which rules touch it, what may vouch for it, where it stands on screen. */
export interface CheckProperties {
  readonly id: CheckId;
  readonly title: string;
  /** Why the trade looks at it, in one sentence. */
  readonly why: string;
  /** Where the rule comes from. */
  readonly source: string;
  /** The engine maker's own number alone, unless it says so; a check about today and this job takes no word for it. */
  readonly vouchedBy?: readonly Voucher[];
  /** House rules that change what it asks or decides. */
  readonly ruledBy?: readonly RuleId[];
  /** Begins a group of columns in the tray. */
  readonly startsGroup?: true;
  /** Two figures of this fact say the same while they are no further apart, in its unit. */
  readonly sameWithin?: { readonly fact: FactId; readonly by: number };
  readonly examples: readonly CheckExample[];
}

export interface CheckDefinition<N extends FactId, O extends FactId, F extends Figures> extends CheckProperties {
  /** Facts without which it cannot answer. */
  readonly needs: readonly N[];
  /** Facts it uses when they are known. Reading any other does not compile. */
  readonly mayUse?: readonly O[];
  /** `undefined` when the check arises; otherwise the reason it is not asked. */
  readonly notAsked?: (facts: Partly<N | O>) => string | undefined;
  /**
   * Whether it could end in a refusal at this engine and position: then an unknown is an open question. Left out, it could:
   * unknown is never a pass.
   */
  readonly canRefuse?: (facts: Partly<N | O>) => boolean;
  /** What the known part alone already decides while needed facts are missing. Quantities: Partial facts. */
  readonly judgePart?: (facts: Partly<N | O>) => Judged<F> | undefined;
  readonly judge: (facts: Known<N, O>) => Judged<F> | StillUnknown<F>;
  readonly explain: (judged: { outcome: Outcome; caseId: string; figures: F }, say: Say) => Telling;
}

/** A check ready to be asked about any plug and position. */
export interface Check extends CheckProperties {
  readonly vouchedBy: readonly Voucher[];
  readonly facts: readonly FactId[];
  ask(sheet: FactSheet, say: Say): Finding;
  /** The same answer without its words: for looking through very many plugs. */
  screen(sheet: FactSheet): Finding;
}

type Values = Partial<Record<FactId, unknown>>;
interface Reading {
  readonly values: Values;
  readonly used: readonly FactUsed[];
}

const severity = (finding: Finding): number =>
  OUTCOMES.indexOf(finding.outcome) - (finding.outcome === 'unknown' && !finding.blocks ? 1.5 : 0);

/** The graver of two findings: what wins where sources disagree, or where a part serves several positions. */
export function worseFinding(a: Finding, b: Finding): Finding {
  return severity(b) > severity(a) ? b : a;
}

/** The usual case, taken apart for speed: every declared fact has one ruling figure or none, and none is in doubt. */
function onlyReading(ids: readonly FactId[], sheet: FactSheet, shape: Values): Reading | undefined {
  // Copied from one shape a check, so that its judge always sees objects of one kind.
  const values: Values = { ...shape };
  const used: FactUsed[] = [];
  for (const id of ids) {
    const entry = sheet[id];
    if (entry === undefined) continue;
    if (entry.ruling.length !== 1 || entry.questioning !== undefined) return undefined;
    const { value, source } = entry.ruling[0]!;
    values[id] = value;
    used.push({ fact: id, source });
  }
  return { values, used };
}

/** Every combination of the ruling figures of the declared facts; more than one only where sources disagree. */
function readings(
  ids: readonly FactId[],
  sheet: FactSheet,
  pick: (id: FactId) => readonly Sourced<unknown>[],
): Reading[] {
  let all: Reading[] = [{ values: {}, used: [] }];
  for (const id of ids) {
    const options = pick(id);
    if (options.length === 0) continue;
    all = all.flatMap(({ values, used }) =>
      options.map(({ value, source }) => ({
        values: { ...values, [id]: value },
        used: [...used, { fact: id, source }],
      })),
    );
  }
  return all;
}

const NOTHING: readonly FactId[] = [];
const UNTOLD: Telling = { asked: '', has: '', difference: null, says: '', toDo: null, phrase: '' };

const SMALL_A = 97;
const SMALL_Z = 122;
const BEYOND_ASCII = 128;
/** Told by the letter's code where that settles it: nearly every sentence begins large already. */
function beginsLarge(text: string): boolean {
  const code = text.charCodeAt(0);
  return code < BEYOND_ASCII ? !(code >= SMALL_A && code <= SMALL_Z) : upperFirst(text) === text;
}

function inSentenceCase(told: Telling): Telling {
  // Each case of each check words an object of its own kind: no more of it is read than is needed.
  if (beginsLarge(told.says) && beginsLarge(told.phrase)) return told;
  const { asked, has, difference, says, toDo, phrase } = told;
  return { asked, has, difference, says: upperFirst(says), toDo, phrase: upperFirst(phrase) };
}

function tellMissing(missing: readonly FactId[]): Telling {
  const labels = listed(missing.map((id) => FACTS[id].label));
  return {
    asked: '',
    has: '',
    difference: null,
    says: `Not known: ${labels}.`,
    toDo: missing.map((id) => FACTS[id].question).join(' '),
    phrase: `${upperFirst(labels)} not known`,
  };
}

/**
 * Builds a check from its definition. The mechanism answers *unknown* when a needed fact is absent, *not asked* when
 * the check does not arise, judges by each of several disagreeing sources and lets the worst win, and turns hearsay or a
 * single gauging that would change the answer into a question. Quantities: Sources.
 */
export function defineCheck<N extends FactId, O extends FactId, F extends Figures>(
  definition: CheckDefinition<N, O, F>,
): Check {
  const { id, needs, mayUse = [], canRefuse = () => true } = definition;
  const facts: FactId[] = [...needs, ...mayUse];
  const shape: Values = Object.fromEntries(facts.map((fact) => [fact, undefined]));

  function judgeReading({ values, used }: Reading, say: Say | null): Finding {
    const known = values as Partly<N | O>;
    const idle = definition.notAsked?.(known);
    if (idle !== undefined) {
      const told = { ...UNTOLD, says: idle, phrase: 'Not asked' };
      return findingOf('not-asked', 'not-asked', {}, told, used, NOTHING, false, 0);
    }
    let missing: readonly FactId[] = NOTHING;
    for (const fact of needs) if (values[fact] === undefined) missing = [...missing, fact];
    const judged = missing.length > 0 ? definition.judgePart?.(known) : definition.judge(values as Known<N, O>);
    if (judged === undefined) {
      const told = say ? tellMissing(missing) : UNTOLD;
      return findingOf('unknown', 'missing', {}, told, used, missing, canRefuse(known), 0);
    }
    const { outcome, caseId, figures } = judged;
    const told = say ? inSentenceCase(definition.explain({ outcome, caseId, figures }, say)) : UNTOLD;
    if (judged.outcome === 'unknown') {
      return findingOf(outcome, caseId, figures, told, used, judged.missing, canRefuse(known), 0);
    }
    return findingOf(outcome, caseId, figures, told, used, NOTHING, false, roundCloseness(judged.closeness ?? 0));
  }

  // One literal for every finding: copying and overriding objects was a third of the time of a whole tray.
  function findingOf(
    outcome: Outcome,
    caseId: string,
    figures: Figures,
    told: Telling,
    sources: readonly FactUsed[],
    missing: readonly FactId[],
    blocks: boolean,
    closeness: number,
  ): Finding {
    return { check: id, outcome, caseId, figures, told, sources, missing, blocks, closeness };
  }

  function ask(sheet: FactSheet, say: Say | null): Finding {
    const only = onlyReading(facts, sheet, shape);
    if (only) return judgeReading(only, say);
    const ruling = readings(facts, sheet, (fact) => sheet[fact]?.ruling ?? []).map((r) => judgeReading(r, say));
    const settled = {
      ...ruling.reduce(worseFinding),
      sources: uniqueSources(ruling.flatMap((finding) => finding.sources)),
    };
    return question(sheet, settled, say) ?? settled;
  }

  /** Doubtful figures never pass or refuse: where they would make matters worse, the answer becomes a question. */
  function question(sheet: FactSheet, settled: Finding, say: Say | null): Finding | undefined {
    for (const fact of facts) {
      for (const doubt of sheet[fact]?.questioning ?? []) {
        const [reading] = readings(facts, sheet, (other) =>
          other === fact ? [doubt] : (sheet[other]?.ruling ?? []).slice(0, 1),
        );
        const doubted = judgeReading(reading!, say);
        const use: FactUsed = { fact, source: doubt.source, questions: true };
        if (settled.outcome === 'unknown' && settled.missing.includes(fact)) {
          const says = `${settled.told.says} ${upperFirst(doubt.source.name)} gives a figure, but it is not proof.`;
          return { ...settled, told: { ...settled.told, says }, sources: [...settled.sources, use] };
        }
        if (severity(doubted) <= severity(settled)) continue;
        const label = FACTS[fact].label;
        return {
          ...settled,
          outcome: 'unknown',
          caseId: 'questioned',
          figures: doubted.figures,
          told: {
            ...doubted.told,
            says: `${upperFirst(doubt.source.name)} gives another ${label} than the record; one such figure settles nothing.`,
            toDo: `Measure again. ${FACTS[fact].question}`,
            phrase: `${upperFirst(label)} in doubt: measure again`,
          },
          sources: [...settled.sources, use],
          missing: [fact],
          blocks: doubted.outcome === 'refuse' || doubted.blocks,
        };
      }
    }
    return undefined;
  }

  const { title, why, source, vouchedBy = OWN_NUMBER, ruledBy, startsGroup, sameWithin, examples } = definition;
  const properties: CheckProperties = {
    id,
    title,
    why,
    source,
    ...(ruledBy ? { ruledBy } : {}),
    ...(startsGroup ? { startsGroup } : {}),
    ...(sameWithin ? { sameWithin } : {}),
    examples,
  };
  return { ...properties, vouchedBy, facts, ask, screen: (sheet) => ask(sheet, null) };
}

function uniqueSources(sources: readonly FactUsed[]): FactUsed[] {
  const seen = new Map(sources.map((use) => [`${use.fact} ${use.source.rank} ${use.source.name}`, use]));
  return [...seen.values()];
}
