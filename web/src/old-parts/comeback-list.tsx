import type { ComebackAnswer, ComebackResult } from '@brackenfell/core/old-parts/comeback';
import { comebackCheck, type ComebackCheckId } from '@brackenfell/core/old-parts/comeback-checks';

/** What a check came to, with its key. */
export const COMEBACK_RESULT_KEYS: readonly (readonly [string, ComebackResult, string])[] = [
  ['a', 'seen-right', 'Right, seen here'],
  ['b', 'told-right', 'Right, as told'],
  ['c', 'wrong', 'It was wrong'],
];

interface ComebackListProps {
  readonly answer: ComebackAnswer;
  readonly showPoints: boolean;
  /** Left out where the slip is not in this person's hands. */
  readonly onTakeBack: ((id: ComebackCheckId) => void) | undefined;
}

/** The checks in the order they are made: minutes, what each came to, and which is the likeliest. */
export function ComebackList({ answer: { ranked, next, likeliest }, showPoints, onTakeBack }: ComebackListProps) {
  const most = Math.max(...ranked.map(({ perMinute }) => perMinute), 1e-9);
  return (
    <ol>
      {ranked.map(({ id, minutes, weight, perMinute, result }) => (
        <li
          key={id}
          aria-current={id === next?.id ? 'step' : undefined}
          className={`border-t border-hair py-0.5 ${id === next?.id ? 'bg-bracken-wash' : ''}`}
        >
          <span className="flex items-baseline gap-2">
            <span className={`flex-1 ${result === 'seen-right' ? 'line-through' : 'font-semibold'}`}>
              {comebackCheck(id).title}
              {id === likeliest?.id && id !== next?.id && <span className="font-normal text-bracken"> likeliest</span>}
            </span>
            {showPoints && (
              <span className="num text-soft">
                {weight.toFixed(1)} / {minutes} = {perMinute.toFixed(2)}
              </span>
            )}
            <span className="num text-soft">{minutes} min</span>
          </span>
          <span className="block h-1 bg-slate" style={{ width: `${(perMinute / most) * 100}%` }} aria-hidden="true" />
          {result && (
            <span className="flex items-baseline gap-2 text-xs text-soft">
              {COMEBACK_RESULT_KEYS.find(([, value]) => value === result)![2]}
              {result === 'told-right' && ': told, so a tenth is left'}
              {onTakeBack && (
                <button
                  type="button"
                  className="button-quiet"
                  aria-label={`Take back: ${comebackCheck(id).title}`}
                  onClick={() => onTakeBack(id)}
                >
                  take back
                </button>
              )}
            </span>
          )}
        </li>
      ))}
    </ol>
  );
}
