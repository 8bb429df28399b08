import type { Identification } from '@brackenfell/contract/identify';
import { printAverage, printCount } from '@brackenfell/core/words/counted';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { ShapeAnswer } from '../drawing/shape-answer.tsx';

/** Answer keys: letters from `a`, without those that always mean something else on this screen. */
export const ANSWER_KEYS = [...'abcdeghilmqrs'];

/** The one question that narrows most, its answers as keys with what would remain after each. */
export function AskQuestion({
  ask,
  left,
  onAnswer,
}: {
  ask: NonNullable<Identification['ask']>;
  left: number;
  onAnswer: (answer: string) => void;
}) {
  return (
    <section aria-label="Ask next" className="contents">
      <div className="flex flex-wrap items-baseline gap-x-3 border-b border-line px-3 py-2">
        <Mark kind="unknown" rem={1.125} />
        <span className="text-verdict text-soft">Ask</span>
        <h1 className="text-verdict font-semibold">{ask.asks}</h1>
        <p className="ml-auto text-right text-soft">
          <b className="num text-head font-semibold text-peat">
            {printCount(left)} → {printAverage(ask.expectedLeft)}
          </b>{' '}
          left on average; {ask.how}, {ask.minutes} min
        </p>
      </div>
      <div className="answers">
        {ask.answers.map((answer, i) => (
          <button key={answer.answer} type="button" className="answer-card" onClick={() => onAnswer(answer.answer)}>
            <span className="flex gap-2 text-lead font-semibold">
              <Key>{ANSWER_KEYS[i]}</Key> {answer.says}
            </span>
            {ask.drawn && <ShapeAnswer question={ask.questionId} answer={answer.answer} />}
            <Stay stay={answer.stay} of={left} />
            <span className="flex flex-wrap justify-between gap-x-2 text-soft">
              <span className="num">{answer.codes.join(' ')}</span>
              <span className="whitespace-nowrap">likely {answer.likely}%</span>
            </span>
            <span className="answer-guess text-soft">{answer.guess}</span>
          </button>
        ))}
        <button type="button" className="answer-card answer-cannot-tell" onClick={() => onAnswer('?')}>
          <span className="flex gap-2 text-lead font-semibold">
            <Key>n</Key> Cannot tell
          </span>
          <span className="text-soft">All {printCount(left)} stay; it is remembered and not asked again.</span>
        </button>
      </div>
    </section>
  );
}

const MOST_CELLS = 24;

/** One cell an engine, filled for those that stay. */
function Stay({ stay, of }: { stay: number; of: number }) {
  return (
    <span className="answer-stay flex items-center gap-2">
      {of <= MOST_CELLS && (
        <span className="flex flex-wrap gap-px" aria-hidden="true">
          {Array.from({ length: of }, (_, i) => (
            <i key={i} className={`size-2 border border-slate ${i < stay ? 'bg-peat' : ''}`} />
          ))}
        </span>
      )}
      <b className="ml-auto font-semibold whitespace-nowrap">{printCount(stay)} stay</b>
    </span>
  );
}

/** The questions that could be asked, best first, and what each would part the remaining engines into. */
export function WhyThis({ identification }: { identification: Identification }) {
  const { ask, others, would } = identification;
  const rows = [...(ask ? [ask] : []), ...others.slice(0, 4), ...would];
  if (rows.length === 0) return null;
  return (
    <section aria-label="Why this question" className="why-question border-t border-line px-3 py-2">
      <h2 className="font-semibold">
        Why this question{' '}
        <span className="font-normal text-soft">most engines ruled out a minute, by what comes to this counter</span>
      </h2>
      <table className="w-full">
        <thead className="text-left text-soft">
          <tr>
            <th className="font-normal">Question</th>
            <th className="font-normal">How, minutes</th>
            <th className="font-normal">Parts them into</th>
            <th className="text-right font-normal">Left</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={row.questionId} className={`border-t border-hair ${i === 0 && ask ? 'font-semibold' : ''}`}>
              <td className="py-0.5">
                {row.asks} {row.cannotTell && <span className="text-soft">(would settle it)</span>}
              </td>
              <td className="text-soft">
                {row.how} {row.minutes}
              </td>
              <td className="num">{row.parts.map(printCount).join(' · ')}</td>
              <td className="num text-right">{printAverage(row.expectedLeft)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
