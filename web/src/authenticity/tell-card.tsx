import { useEffect, useRef } from 'react';
import type { ProofTell } from '@brackenfell/contract/proof-reference';
import type { TellAnswer } from '@brackenfell/core/authenticity/tell';
import { Key } from '../controls/key.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { TellPicture } from './tell-picture.tsx';

const ANSWER: Readonly<Record<TellAnswer, { readonly mark: MarkKind; readonly says: string }>> = {
  'genuine-like': { mark: 'match', says: 'as genuine' },
  differs: { mark: 'refuse', says: 'differs' },
  'cannot-see': { mark: 'unknown', says: 'cannot tell' },
};

interface TellCardProps {
  readonly tell: ProofTell;
  /** Its place in the reference, as on the drawing of where to look. */
  readonly number: number;
  /** The same answer of all the pieces meant; `mixed` where they differ, undefined where none was given. */
  readonly answer: TellAnswer | 'mixed' | undefined;
  readonly isHere: boolean;
  readonly isNext: boolean;
  readonly onPick: () => void;
  /** Left out for who may only look. */
  readonly onAnswer: ((answer: TellAnswer) => void) | undefined;
}

/** One tell: genuine and suspect side by side, and what was answered. */
export function TellCard({ tell, number, answer, isHere, isNext, onPick, onAnswer }: TellCardProps) {
  const card = useRef<HTMLElement>(null);
  useEffect(() => {
    if (isHere) card.current?.scrollIntoView({ block: 'nearest' });
  }, [isHere]);
  const told =
    answer === undefined
      ? undefined
      : answer === 'mixed'
        ? { mark: 'caution' as const, says: 'pieces differ' }
        : ANSWER[answer];
  const chosen = (side: TellAnswer) =>
    answer === side ? 'font-semibold underline decoration-2 underline-offset-2' : '';
  return (
    <article
      ref={card}
      aria-label={tell.title}
      aria-current={isHere || undefined}
      className={`relative flex min-h-[7.5rem] min-w-0 flex-col border-r border-b border-hair px-1.5 pt-1 pb-0.5 ${isHere ? 'bg-bracken-wash outline-2 -outline-offset-2 outline-bracken' : ''}`}
      onClick={onPick}
    >
      <h3 className="flex items-baseline gap-1">
        <span className="num text-xs text-soft">{number}</span>
        <b className="min-w-0 truncate font-semibold">{tell.title}</b>
        <span className="ml-auto flex flex-none items-baseline gap-1 text-xs">
          {told ? (
            <Mark kind={told.mark} label={told.says} rem={0.875} />
          ) : isNext ? (
            <span className="font-semibold text-bracken">next</span>
          ) : (
            <Mark kind="not-asked" label="not looked at" />
          )}
        </span>
      </h3>
      <div className="grid grid-cols-2 divide-x divide-dashed divide-hair">
        {(['genuine', 'suspect'] as const).map((side) => (
          <div key={side} className="min-w-0 px-0.5">
            <TellPicture
              drawing={tell.drawing[side]}
              genuine={side === 'genuine'}
              says={`${tell.title}, ${side === 'genuine' ? 'genuine' : 'suspect'}: ${tell[side]}`}
            />
            <p
              className={`text-center text-xs leading-4 ${chosen(side === 'genuine' ? 'genuine-like' : 'differs')} ${side === 'suspect' && answer === 'differs' ? 'text-madder' : ''}`}
            >
              {tell[side]}
            </p>
          </div>
        ))}
      </div>
      {isHere && onAnswer && (
        <p className="mt-auto flex flex-wrap gap-x-2 pt-0.5 text-xs">
          {tell.measure ? (
            <>
              <KeyButton press="Space" does="Take a reading">
                {' '}
                reading
              </KeyButton>
              <KeyButton press="m" does="Type a reading">
                {' '}
                typed
              </KeyButton>
            </>
          ) : (
            <>
              <button type="button" className="min-h-6" onClick={() => onAnswer('genuine-like')}>
                <Key>a</Key> genuine
              </button>
              <button type="button" className="min-h-6" onClick={() => onAnswer('differs')}>
                <Key>b</Key> differs
              </button>
            </>
          )}
          <button type="button" className="min-h-6" onClick={() => onAnswer('cannot-see')}>
            <Key>n</Key> cannot tell
          </button>
        </p>
      )}
    </article>
  );
}
