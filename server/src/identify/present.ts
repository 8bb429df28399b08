import type { Identification, EngineLeft, QuestionOutlook } from '@brackenfell/contract/identify';
import { askNext, type AnswerOutlook, type Outlook } from '@brackenfell/core/identification/ask-next';
import type { EngineCandidate } from '@brackenfell/core/identification/candidates';
import { questionOf } from '@brackenfell/core/identification/questions';
import {
  contradictory,
  remaining,
  sayStatement,
  splitAnswer,
  type EnginesOfParts,
  type Statement,
} from '@brackenfell/core/identification/statements';
import { harmOf } from '@brackenfell/core/identification/wrong-guess';
import type { CatalogueIndex } from '../catalogue/catalogue-index.ts';

const MOST_SHOWN = 80;
const MOST_CODES = 4;

const weight = ({ visits }: EngineCandidate): number => Math.max(1, visits);

/** What taking the likeliest of some engines would cost when it is another of them. */
function guessAmong(
  index: CatalogueIndex,
  candidates: readonly EngineCandidate[],
): NonNullable<Identification['guess']> | null {
  const likeliest = [...candidates].sort((a, b) => weight(b) - weight(a))[0];
  if (!likeliest) return null;
  const all = candidates.reduce((sum, candidate) => sum + weight(candidate), 0);
  const same = candidates.filter(({ takes }) => takes === likeliest.takes);
  const right = same.reduce((sum, candidate) => sum + weight(candidate), 0) / all;
  const guessed = index.engines.get(likeliest.engineId)!.hole;
  const worst = [...candidates]
    .sort((a, b) => weight(b) - weight(a))
    .map((candidate) => ({ code: candidate.code, harm: harmOf(guessed, index.engines.get(candidate.engineId)!.hole) }))
    .find(({ harm }) => harm !== '');
  return {
    code: likeliest.code,
    rightIn100: Math.round(right * 100),
    says: worst
      ? `If it proves to be ${worst.code}, ${worst.harm}.`
      : right > 0.999
        ? 'All that remain take the same plug.'
        : 'The others ask another plug of the same hole.',
  };
}

const outlookView = (outlook: Outlook, cannotTell = false): QuestionOutlook => ({
  questionId: outlook.question.id,
  asks: outlook.question.asks,
  how: outlook.question.how,
  minutes: outlook.question.minutes,
  drawn: outlook.question.drawn,
  expectedLeft: Number(outlook.expectedLeft.toFixed(2)),
  parts: outlook.answers.map(({ stay }) => stay.length),
  cannotTell,
});

function answerView(index: CatalogueIndex, answer: AnswerOutlook) {
  const guess = guessAmong(index, answer.stay);
  const codes = [...new Set(answer.stay.map(({ code }) => code))];
  return {
    answer: answer.id,
    says: answer.says,
    likely: Math.round(answer.chance * 100),
    stay: answer.stay.length,
    codes: codes.length > MOST_CODES ? [...codes.slice(0, MOST_CODES), '…'] : codes,
    guess: !guess
      ? ''
      : guess.rightIn100 >= 100
        ? 'All of these take the same plug.'
        : `Guess then: wrong ${guess.rightIn100 === 0 ? 'over 99' : 100 - guess.rightIn100} in 100. ${guess.says}`,
  };
}

const LAYOUT = questionOf('layout')!;

function engineView(index: CatalogueIndex, candidate: EngineCandidate): EngineLeft {
  const { hole } = index.engines.get(candidate.engineId)!;
  return {
    key: candidate.key,
    engineId: candidate.engineId,
    maker: candidate.maker,
    code: candidate.code,
    build: candidate.build,
    litres: candidate.traits.litres?.toFixed(1) ?? '?',
    layout: candidate.traits.layout ? LAYOUT.say(candidate.traits.layout) : '?',
    pins: candidate.traits.coilPins === undefined ? '–' : String(candidate.traits.coilPins),
    thread: hole.threadDiameterMm === null ? '?' : `M${hole.threadDiameterMm}`,
    reach: hole.reachMm?.toFixed(1) ?? '?',
    gap: hole.gapMm?.toFixed(2) ?? '?',
    visits: Math.round(candidate.visits),
    vehicles: candidate.vehicles.slice(0, 4).map((v) => `${v.make} ${v.model} ${v.from}–${v.to ?? ''}`),
  };
}

/** Everything the engine stage shows for what was said. */
export function identification(
  index: CatalogueIndex,
  statements: readonly Statement[],
  parts: EnginesOfParts,
): Identification {
  const left = remaining(index.candidates, statements, parts);
  const wrong = new Set(contradictory(index.candidates, statements, parts));
  let before = index.candidates.length;
  const told = statements.map((statement, i) => {
    const after = remaining(index.candidates, statements.slice(0, i + 1), parts).length;
    const view = {
      said: `${statement.kind}:${statement.value}`,
      told: sayStatement(statement),
      left: after,
      ruledOut: before - after,
      contradicts: wrong.has(i),
    };
    before = after;
    return view;
  });
  const answered = statements.flatMap((s) => (s.kind === 'answer' ? [splitAnswer(s.value)] : []));
  const cannotTell = answered.filter(([, answer]) => answer === '?').map(([id]) => id);
  const asked = answered.filter(([, answer]) => answer !== '?').map(([id]) => id);
  const next = askNext(left, asked, cannotTell);
  return {
    statements: told,
    total: index.candidates.length,
    left: left.length,
    engines: [...left]
      .sort((a, b) => weight(b) - weight(a))
      .slice(0, MOST_SHOWN)
      .map((candidate) => engineView(index, candidate)),
    state: next.kind,
    ask:
      next.kind === 'ask'
        ? {
            ...outlookView(next.best),
            answers: next.best.answers.map((answer) => answerView(index, answer)),
          }
        : null,
    others: next.kind === 'ask' ? next.others.slice(0, 8).map((outlook) => outlookView(outlook)) : [],
    would: next.kind === 'cannot-separate' ? next.would.map((outlook) => outlookView(outlook, true)) : [],
    guess: left.length > 1 ? guessAmong(index, left) : null,
  };
}
