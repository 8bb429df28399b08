import { useEffect, useState } from 'react';
import type { DrillCaseView } from '@brackenfell/contract/drill';
import { TOPICS } from '@brackenfell/core/drill/topics';
import { Key } from '../controls/key.tsx';
import { Mark, MARK_WORDS } from '../controls/mark.tsx';

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
            <Clock key={shown.caseId} dealtAt={shown.dealtAt} parSeconds={TOPICS[topic].parSeconds} />
          )}
        </span>
      </header>
      <div className="min-h-24 overflow-auto" tabIndex={0} role="region" aria-label="The case">
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

/** What is held against what; once it is answered, what each amounts to. */
function CaseRows({ shown: { rows, answer } }: { shown: DrillCaseView }) {
  return (
    <table className="w-full table-fixed">
      <colgroup>
        <col className="w-36" />
        <col className="w-1/4" />
        <col className="w-1/4" />
        <col />
      </colgroup>
      <thead className="text-left text-soft">
        <tr>
          <th scope="col" className="px-4 font-normal">
            Check
          </th>
          <th scope="col" className="font-normal">
            Asked
          </th>
          <th scope="col" className="font-normal">
            Offered
          </th>
          <th scope="col" className="font-normal">
            {answer && 'What it comes to'}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ title, asked, has }, i) => {
          const told = answer?.rows[i];
          return (
            <tr key={title} className="border-t border-hair align-top">
              <th scope="row" className="px-4 py-0.5 text-left font-semibold">
                {title}
              </th>
              <td className="num py-0.5 pr-3">{asked}</td>
              <td className="num py-0.5 pr-3">{has}</td>
              <td className="py-0.5 pr-3">
                {told && (
                  <>
                    <Mark kind={told.outcome} rem={0.75} /> <RowTold {...told} />
                  </>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** A match says no more than that; what is not known says so itself. */
function RowTold({ outcome, says }: NonNullable<DrillCaseView['answer']>['rows'][number]) {
  if (outcome === 'match') return <span className="text-soft">match</span>;
  return outcome === 'unknown' ? says : `${MARK_WORDS[outcome]}: ${says}`;
}

const POINTS = ['no points', 'right, past its time: 1 point', 'right in time: 2 points'] as const;

function Told({ shown, answer }: { shown: DrillCaseView; answer: NonNullable<DrillCaseView['answer']> }) {
  const right = shown.choices.find(({ id }) => id === answer.right)!.says;
  return (
    <section className="flex-none border-t border-line px-4 py-2" aria-label="The answer" role="status">
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

const SECOND_MS = 1000;

/** Seconds since the case was dealt, beside those within which it counts as known. */
function Clock({ dealtAt, parSeconds }: { readonly dealtAt: string; readonly parSeconds: number }) {
  const [now, tick] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => tick(Date.now()), SECOND_MS);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(0, Math.floor((now - Date.parse(dealtAt)) / SECOND_MS));
  return (
    <span className="num text-soft" role="timer" aria-live="off">
      <b className={seconds > parSeconds ? 'text-madder' : 'text-peat'}>{seconds} s</b> of {parSeconds}
    </span>
  );
}
