import type { EngineCandidate } from './candidates.ts';
import { questionByLookingAhead } from './look-ahead.ts';
import { CODE_QUESTION, questionsFor, type Question } from './questions.ts';

export interface AnswerOutlook {
  readonly id: string;
  readonly says: string;
  /** Chance of this answer, 0 to 1, by how often each engine comes to this counter. */
  readonly chance: number;
  readonly stay: readonly EngineCandidate[];
}

/** What asking one question would bring. */
export interface Outlook {
  readonly question: Question;
  readonly answers: readonly AnswerOutlook[];
  /** Engines left on average once it is answered. */
  readonly expectedLeft: number;
  readonly worstLeft: number;
  readonly dropPerMinute: number;
}

/** Questions with more answers than can be keys are told by typing; they are asked only when no other narrows. */
const MOST_KEYS = 9;

const weight = (candidate: EngineCandidate): number => Math.max(1, candidate.visits);
const total = (candidates: readonly EngineCandidate[]): number => candidates.reduce((sum, c) => sum + weight(c), 0);

/** What a question would bring among these candidates; undefined when no answer could rule any of them out. */
export function outlookOf(question: Question, candidates: readonly EngineCandidate[]): Outlook | undefined {
  const own = candidates.map((candidate) => question.answersOf(candidate));
  const ids = [...new Set(own.flat())];
  if (ids.length < 2) return undefined;
  const all = total(candidates);
  const answers = ids.map((id): AnswerOutlook => {
    const stay = candidates.filter((_, i) => own[i]!.length === 0 || own[i]!.includes(id));
    const share = candidates.reduce((sum, candidate, i) => {
      const possible = own[i]!;
      if (possible.length === 0) return sum + weight(candidate) / ids.length;
      return possible.includes(id) ? sum + weight(candidate) / possible.length : sum;
    }, 0);
    return { id, says: question.say(id), chance: share / all, stay };
  });
  if (answers.every((answer) => answer.stay.length === candidates.length)) return undefined;
  const expectedLeft = answers.reduce((sum, { chance, stay }) => sum + chance * stay.length, 0);
  return {
    question,
    answers: answers.sort((a, b) => b.stay.length - a.stay.length || b.chance - a.chance || (a.id < b.id ? -1 : 1)),
    expectedLeft,
    worstLeft: Math.max(...answers.map((answer) => answer.stay.length)),
    dropPerMinute: (candidates.length - expectedLeft) / question.minutes,
  };
}

/** Greatest drop in expected remaining engines per minute; then the smaller worst case; then the cheaper. Section 13. */
const byDrop = (a: Outlook, b: Outlook): number =>
  b.dropPerMinute - a.dropPerMinute ||
  a.worstLeft - b.worstLeft ||
  a.question.minutes - b.question.minutes ||
  (a.question.id < b.question.id ? -1 : 1);

/** Whether all that remain take the same parts, so that there is nothing left to ask. */
export const isSettled = (candidates: readonly EngineCandidate[]): boolean =>
  new Set(candidates.map((candidate) => candidate.takes)).size <= 1;

export type AskNext =
  | { readonly kind: 'none-left' }
  /** One engine, or several that take the same. */
  | { readonly kind: 'settled' }
  | { readonly kind: 'ask'; readonly best: Outlook; readonly others: readonly Outlook[] }
  /** Nothing still open tells them apart; `would` are those that would: answered "cannot tell", or the code on the block. */
  | { readonly kind: 'cannot-separate'; readonly would: readonly Outlook[] };

/**
 * The question to ask next, and what the others would bring. `cannotTell` are ids of questions already answered so, and
 * `asked` of those already answered; neither is asked again. Deterministic: the same engines give the same question.
 */
export function askNext(
  candidates: readonly EngineCandidate[],
  asked: readonly string[] = [],
  cannotTell: readonly string[] = [],
): AskNext {
  if (candidates.length === 0) return { kind: 'none-left' };
  if (isSettled(candidates)) return { kind: 'settled' };
  const questions = questionsFor(candidates);
  const open = questions.filter(({ id }) => !asked.includes(id) && !cannotTell.includes(id));
  const outlooks = open.flatMap((question) => outlookOf(question, candidates) ?? []).sort(byDrop);
  if (outlooks.length === 0) {
    const would = [...questions.filter(({ id }) => cannotTell.includes(id)), CODE_QUESTION]
      .flatMap((question) => outlookOf(question, candidates) ?? [])
      .sort(byDrop);
    return { kind: 'cannot-separate', would };
  }
  const keyed = outlooks.filter(({ answers }) => answers.length <= MOST_KEYS);
  const eligible = keyed.length > 0 ? keyed : outlooks;
  const ahead = questionByLookingAhead(
    candidates,
    eligible.map(({ question }) => question),
    weight,
  );
  const best = eligible.find(({ question }) => question === ahead) ?? eligible[0]!;
  return { kind: 'ask', best, others: outlooks.filter((outlook) => outlook.question.id !== best.question.id) };
}
