import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import type { SetUpMatter } from './set-up-matters.ts';

interface ToSetUpProps {
  readonly matters: readonly SetUpMatter[];
  /** Whether the key for the next open item goes to the first of them. */
  readonly isNext: boolean;
  readonly onSetUp: (lineId: string) => void;
}

/** What of the setting up is still to be done or asked: told and printed, and no reason to keep the slip. */
export function ToSetUp({ matters, isNext, onSetUp }: ToSetUpProps) {
  if (matters.length === 0) return null;
  return (
    <section className="border-b border-line px-3 py-2" aria-label="To set up">
      <h3 className="text-xs font-semibold text-slate">To set up, or told as not done</h3>
      <ul>
        {matters.map(({ lineId, printed, kind, says }, i) => (
          <li key={`${lineId} ${kind} ${says}`} className="grid grid-cols-[1.125rem_1fr] pt-1">
            <span className="pt-0.5">
              <Mark kind={kind === 'to-set' || kind === 'box-spread' ? 'caution' : 'unknown'} label="To set up" />
            </span>
            <span>
              <span className="num font-semibold">{printed}</span>: {says}{' '}
              {i === 0 && (
                <button type="button" className="button-plain" onClick={() => onSetUp(lineId)}>
                  Set it up {isNext && <Key>.</Key>}
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
