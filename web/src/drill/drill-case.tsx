import type { DrillCaseView } from '@brackenfell/contract/drill';
import { TOPICS } from '@brackenfell/core/drill/topics';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { CaseClock } from './case-clock.tsx';
import { CaseRows } from './case-rows.tsx';

/** Answers are always letters from `a`; `n` cannot tell. */
export const DRILL_LETTERS = [...'abcdeghi'];

interface DrillCaseProps {
  readonly shown: DrillCaseView;
  readonly isBusy: boolean;
  readonly onAnswer: (choice: string | null) => void;
  readonly onNext: () => void;
}

/** One practice case: what is known, the answers, and once one is given, why the right one is right. */
export function DrillCase({ shown, isBusy, onAnswer, onNext }: DrillCaseProps) {
  const { asks, facts, topic, answer, choices } = shown;
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-3 border-b border-line px-4 py-2">
        <h2 className="text-verdict font-semibold">{asks}</h2>
        <span className="ml-auto">
          {answer ? (
            <span className="num text-soft">{answer.seconds.toFixed(0)} s</span>
          ) : (
            <CaseClock key={shown.caseId} dealtAt={shown.dealtAt} parSeconds={TOPICS[topic].parSeconds} />
          )}
        </span>
      </header>
      <div className="min-h-40 overflow-auto" tabIndex={0} role="region" aria-label="The case">
        {facts.length > 0 && (
          <dl className="grid grid-cols-[max-content_minmax(0,1fr)] gap-x-3 gap-y-0.5 px-4 py-3 text-lead">
            {facts.map(({ label, says, isCode }) => (
              <div key={label} className="contents">
                <dt className="text-soft">{label}</dt>
                <dd className={isCode ? 'font-mono font-semibold' : ''}>{says}</dd>
              </div>
            ))}
          </dl>
        )}
        {shown.rows.length > 0 && <CaseRows shown={shown} />}
      </div>
      <div className="drill-answers" role="group" aria-label="Answers">
        {choices.map(({ id, says }, i) => (
          <button
            key={id}
            type="button"
            className="answer-card"
            disabled={answer !== null || isBusy}
            data-chosen={answer?.given === id || undefined}
            onClick={() => onAnswer(id)}
          >
            <span className="flex items-baseline gap-2 text-lead font-semibold">
              {answer ? (
                answer.right === id ? (
                  <Mark kind="match" label="right" />
                ) : answer.given === id ? (
                  <Mark kind="refuse" label="not right" />
                ) : (
                  <Mark kind="not-asked" label="" />
                )
              ) : (
                <Key>{DRILL_LETTERS[i]}</Key>
              )}{' '}
              {says}
            </span>
          </button>
        ))}
        {answer ? (
          <button type="button" className="button-act m-1.5" disabled={isBusy} onClick={onNext}>
            <Key>Enter</Key> Next case
          </button>
        ) : (
          <button type="button" className="answer-card" disabled={isBusy} onClick={() => onAnswer(null)}>
            <span className="flex items-baseline gap-2 text-lead font-semibold">
              <Key>n</Key> Cannot tell
            </span>
          </button>
        )}
      </div>
      {answer && <Told shown={shown} answer={answer} />}
    </>
  );
}

const POINTS = ['no points', 'right, past its time: 1 point', 'right in time: 2 points'] as const;

function Told({ shown, answer }: { shown: DrillCaseView; answer: NonNullable<DrillCaseView['answer']> }) {
  const right = shown.choices.find(({ id }) => id === answer.right)!.says;
  return (
    <section
      tabIndex={0}
      className="min-h-32 overflow-auto border-t border-line px-4 py-2"
      aria-label="The answer"
      role="status"
    >
      <p className="flex items-baseline gap-2">
        <Mark kind={answer.isRight ? 'match' : 'refuse'} rem={1} />
        <b className="text-lead font-semibold">
          {answer.isRight ? 'Right' : answer.given === null ? `It is: ${right}` : `No: ${right}`}
        </b>
        <span className="text-soft">{POINTS[answer.points]}</span>
      </p>
      <ul className="max-w-3xl">
        {answer.why.map((says) => (
          <li key={says}>{says}</li>
        ))}
      </ul>
    </section>
  );
}
