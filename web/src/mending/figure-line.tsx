import { useState } from 'react';
import type { Mending } from '@brackenfell/contract/mending';
import { Trouble } from '../controls/trouble.tsx';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';
import { useConsequences, useMend } from './use-mending.ts';
import { WouldChange } from '../consequences/would-change.tsx';

/** A figure as its source states it; withdrawn only after a look at what follows. */
export function FigureLine({
  partId,
  figure,
}: {
  partId: string;
  figure: Mending['facts'][number]['figures'][number];
}) {
  const [isAsked, ask] = useState(false);
  const change = { what: 'withdraw', figureId: figure.figureId } as const;
  const would = useConsequences(partId, isAsked ? change : undefined);
  const mend = useMend(partId);
  return (
    <li className="grid gap-1 border-t border-hair py-1">
      <p className="flex flex-wrap items-center gap-2">
        <b className="num font-semibold">{figure.value}</b>
        <span>
          <span className="num font-semibold">{SOURCE_LETTERS[figure.rank][0]}</span> {SOURCE_LETTERS[figure.rank][1]},{' '}
          {figure.source}
        </span>
        {!figure.rules && <span className="text-soft">does not rule</span>}
        <button
          type="button"
          className="button-plain ml-auto"
          aria-label={`Withdraw ${figure.value}, ${figure.source}`}
          aria-expanded={isAsked}
          onClick={() => ask(!isAsked)}
        >
          Withdraw …
        </button>
      </p>
      {isAsked && (
        <div className="grid gap-1 pb-2" aria-live="polite">
          {would.isPending && <p className="text-soft">Judging what would change …</p>}
          {would.data && <WouldChange found={would.data} />}
          <Trouble error={mend.error ?? would.error} />
          <button
            type="button"
            className="button-act justify-self-start"
            disabled={!would.data || mend.isPending}
            onClick={() => mend.mutate(change)}
          >
            Withdraw it; it can stand again
          </button>
        </div>
      )}
    </li>
  );
}
