import { CAUSE_IDS, CAUSES, type CauseId } from '@brackenfell/core/old-parts/causes';
import { PATTERN_WORDS } from '@brackenfell/core/old-parts/patterns';
import type { CheckResult, PlugAnswer } from '@brackenfell/core/old-parts/read-plugs';
import { listed } from '@brackenfell/core/words/counted';
import { Key } from '../controls/key.tsx';

interface CausesPanelProps {
  readonly answer: PlugAnswer;
  readonly showPoints: boolean;
  /** Left out where the slip is not in this person's hands. */
  readonly onResult: ((cause: CauseId, result: CheckResult) => void) | undefined;
}

export const RESULT_KEYS: readonly (readonly [string, CheckResult, string])[] = [
  ['7', 'found', 'It is so'],
  ['8', 'not-found', 'It is not so'],
  ['9', 'cannot-tell', 'Cannot tell'],
];

/** Causes by rank, the check that comes first, what may be sold and what not yet. */
export function CausesPanel({ answer, showPoints, onResult }: CausesPanelProps) {
  const { ranked, next, sell, notYet, separateFirst, stop } = answer;
  const most = Math.max(1, ...ranked.map(({ points }) => points));
  return (
    <div className="grid content-start">
      <section aria-label="Causes, ranked" className="set-up-panel">
        <h2 className="text-lead font-semibold">Causes, ranked</h2>
        {ranked.length === 0 && <p className="text-soft">None: no sign is read yet.</p>}
        <ol>
          {ranked.slice(0, 6).map(({ cause, points, cylinders, onlyAt, patterns, by }) => (
            <li key={cause} className="grid gap-0.5 border-t border-hair py-0.5">
              <span className="flex items-baseline justify-between gap-2">
                <b className="font-semibold">{CAUSES[cause].title}</b>
                <span className="text-soft">
                  {cylinders.length > 0 && `${cylinders.join(', ')}; `}
                  {patterns.length === 0 ? '' : listed(patterns.map((pattern) => PATTERN_WORDS[pattern]))}
                  {onlyAt && `; only ${onlyAt}`}
                  {showPoints && <span className="num"> {points}</span>}
                </span>
              </span>
              <span
                className="block h-1.5 bg-slate"
                style={{ width: `${(points / most) * 100}%` }}
                aria-hidden="true"
              />
              <span className="text-xs text-soft">
                {by.map(({ says, points: own }) => (showPoints ? `${says} ${own}` : says)).join(', ')}
              </span>
            </li>
          ))}
        </ol>
      </section>
      {next && (
        <section aria-label="Check first" className="set-up-panel">
          <h2 className="text-lead font-semibold">{separateFirst ? 'Tell them apart first' : 'Check next'}</h2>
          <p>
            <b className="font-semibold">{next.says}</b>
            {next.says.endsWith('?') ? '' : ':'} tells whether it is {CAUSES[next.of].title.toLowerCase()}.{' '}
            <span className="num">{next.minutes} min</span>
          </p>
          {onResult && (
            <p className="flex flex-wrap gap-2 pt-1">
              {RESULT_KEYS.map(([press, result, says]) => (
                <button key={result} type="button" className="button-plain" onClick={() => onResult(next.of, result)}>
                  {says} <Key>{press}</Key>
                </button>
              ))}
            </p>
          )}
        </section>
      )}
      {sell.length > 0 && (
        <section aria-label="May be sold" className="set-up-panel">
          <h2 className="text-lead font-semibold">May be sold</h2>
          <p>{listed(sell)}</p>
        </section>
      )}
      {(notYet.length > 0 || stop) && (
        <section aria-label="Do not sell yet" className="set-up-panel bg-madder-wash">
          <h2 className="text-lead font-semibold text-madder">Do not sell yet</h2>
          <p>
            {notYet.length > 0 && `${listed(notYet)}. `}
            {stop
              ? 'Not started again before reach and cylinder were looked at.'
              : 'What is new would suffer as the last did.'}
          </p>
        </section>
      )}
    </div>
  );
}

interface ChecksMadeProps {
  readonly results: Readonly<Partial<Record<CauseId, CheckResult>>>;
  readonly onTakeBack: ((cause: CauseId) => void) | undefined;
}

/** What was looked at already, each with what it came to; any is taken back. */
export function ChecksMade({ results, onTakeBack }: ChecksMadeProps) {
  const made = CAUSE_IDS.filter((cause) => results[cause] !== undefined);
  return made.length === 0 ? null : (
    <section aria-label="Checks made" className="set-up-panel">
      <h2 className="text-lead font-semibold">Checks made</h2>
      <ul>
        {made.map((cause) => (
          <li key={cause} className="flex flex-wrap items-baseline gap-x-2 border-t border-hair">
            <span className="flex-1">
              {CAUSES[cause].title}: {RESULT_KEYS.find(([, result]) => result === results[cause])?.[2].toLowerCase()}
            </span>
            {onTakeBack && (
              <button
                type="button"
                className="button-quiet"
                aria-label={`Take back: ${CAUSES[cause].title}`}
                onClick={() => onTakeBack(cause)}
              >
                take back
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
