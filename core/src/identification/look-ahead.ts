import type { EngineCandidate } from './candidates.ts';
import type { Question } from './questions.ts';

/** Past this many engines or questions, or looked-at situations, nothing is looked ahead. */
const MOST_ENGINES = 24;
const MOST_QUESTIONS = 20;
const MOST_SITUATIONS = 60_000;
/** Minutes saved that are worth another order: less is the rounding of sums. */
const WORTH_MINUTES = 1e-9;

interface Asked {
  readonly question: Question;
  readonly answers: readonly { readonly mask: number; readonly share: readonly number[] }[];
  /** Engines whose answer is not known: they stay whatever is answered. */
  readonly unknown: number;
}

interface Ahead {
  /** Minutes of asking on average until nothing more can be parted, when the chosen questions are asked. */
  readonly minutes: number;
  readonly best: number;
}

class TooMany extends Error {}

const SETTLED: Ahead = { minutes: 0, best: -1 };

function count(mask: number): number {
  let bits = 0;
  for (let left = mask; left !== 0; left &= left - 1) bits += 1;
  return bits;
}

/**
 * The questioning that follows from every situation, engines as bits of a number. The plain rule (greatest drop in engines a
 * minute, then the smaller worst case, then the cheaper) stands, unless another order takes fewer minutes on average until
 * it is settled. Undefined when there is too much to look through. Identification: Asking.
 */
export function questionByLookingAhead(
  candidates: readonly EngineCandidate[],
  questions: readonly Question[],
  weightOf: (candidate: EngineCandidate) => number,
): Question | undefined {
  if (candidates.length > MOST_ENGINES || questions.length > MOST_QUESTIONS) return undefined;
  const weights = candidates.map(weightOf);
  const alike = candidates.map(({ takes }) =>
    candidates.reduce((mask, other, i) => (other.takes === takes ? mask | (1 << i) : mask), 0),
  );
  const asked = questions.map((question) => readAnswers(question, candidates, weights));
  const seen = new Map<number, Ahead>();

  const look = (some: number, open: number): Ahead => {
    if ((some & ~alike[31 - Math.clz32(some & -some)]!) === 0) return SETTLED;
    let useful = 0;
    for (let q = 0; q < asked.length; q += 1) if (open & (1 << q) && separates(asked[q]!, some)) useful |= 1 << q;
    if (useful === 0) return SETTLED;
    const key = some * (1 << MOST_QUESTIONS) + useful;
    const known = seen.get(key);
    if (known) return known;
    if (seen.size > MOST_SITUATIONS) throw new TooMany();
    const total = weigh(some, weights);
    const options: { q: number; minutes: number; drop: number; worst: number }[] = [];
    for (let q = 0; q < asked.length; q += 1) {
      if (!(useful & (1 << q))) continue;
      const { answers, unknown, question } = asked[q]!;
      const present = answers.filter(({ mask }) => (mask & some) !== 0);
      const unknownShare = weigh(some & unknown, weights) / present.length;
      let [minutes, left, worst] = [question.minutes, 0, 0];
      for (const { mask, share } of present) {
        const stay = (mask | unknown) & some;
        const chance = (weigh(mask & some, share) + unknownShare) / total;
        const ahead = look(stay, useful & ~(1 << q));
        minutes += chance * ahead.minutes;
        left += chance * count(stay);
        worst = Math.max(worst, count(stay));
      }
      options.push({ q, minutes, drop: (count(some) - left) / question.minutes, worst });
    }
    const byRule = [...options].sort(
      (a, b) =>
        b.drop - a.drop ||
        a.worst - b.worst ||
        questions[a.q]!.minutes - questions[b.q]!.minutes ||
        (questions[a.q]!.id < questions[b.q]!.id ? -1 : 1),
    );
    const rule = byRule[0]!;
    const quickest = byRule.reduce((best, one) => (one.minutes < best.minutes - WORTH_MINUTES ? one : best), rule);
    const ahead = { minutes: quickest.minutes, best: quickest.q };
    seen.set(key, ahead);
    return ahead;
  };

  try {
    const { best } = look(2 ** candidates.length - 1, 2 ** questions.length - 1);
    return questions[best];
  } catch (error) {
    if (error instanceof TooMany) return undefined;
    throw error;
  }
}

function readAnswers(question: Question, candidates: readonly EngineCandidate[], weights: readonly number[]): Asked {
  const own = candidates.map((candidate) => question.answersOf(candidate));
  const answers = [...new Set(own.flat())].map((id) => ({
    mask: own.reduce((mask, possible, i) => (possible.includes(id) ? mask | (1 << i) : mask), 0),
    share: own.map((possible, i) => (possible.includes(id) ? weights[i]! / possible.length : 0)),
  }));
  const unknown = own.reduce((mask, possible, i) => (possible.length === 0 ? mask | (1 << i) : mask), 0);
  return { question, answers, unknown };
}

/** Whether some answer would rule one of these engines out. */
function separates({ answers, unknown }: Asked, some: number): boolean {
  let present = 0;
  let narrows = false;
  for (const { mask } of answers) {
    if ((mask & some) === 0) continue;
    present += 1;
    if (((mask | unknown) & some) !== some) narrows = true;
  }
  return present > 1 && narrows;
}

function weigh(mask: number, weights: readonly number[]): number {
  let sum = 0;
  for (let left = mask; left !== 0; left &= left - 1) sum += weights[31 - Math.clz32(left & -left)]!;
  return sum;
}
