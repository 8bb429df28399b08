import { useState } from 'react';
import type { MendingChange } from '@brackenfell/contract/mending';
import { SureButton } from '../controls/sure-button.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { useMend } from './use-mending.ts';

/** One thing that stands, and how it is taken away. */
interface MendRow {
  readonly key: string;
  readonly line: React.ReactNode;
  /** Left out for what stays. */
  readonly away?: { readonly asks: string; readonly sure: string; readonly change: MendingChange };
}

interface MendPanelProps {
  readonly partId: string;
  readonly label: string;
  readonly heading?: string;
  /** Said where nothing stands. */
  readonly empty?: string;
  readonly rows: readonly MendRow[];
  /** What the button that adds one says. */
  readonly adds: string;
  readonly form: (onDone: () => void) => React.ReactNode;
}

/** Things of one kind that stand of a part: each can be taken away, and another added. */
export function MendPanel({ partId, label, heading = label, empty, rows, adds, form }: MendPanelProps) {
  const [isAdding, setAdding] = useState(false);
  const mend = useMend(partId);
  return (
    <section aria-label={label} className="mt-3 border-t border-line pt-2">
      <h2 className="text-lead font-semibold">{heading}</h2>
      {rows.length === 0 && <p className="text-soft">{empty}</p>}
      <ul className="max-w-3xl">
        {rows.map(({ key, line, away }) => (
          <li key={key} className="flex flex-wrap items-center gap-2 border-t border-hair py-1">
            {line}
            {away && (
              <span className="ml-auto">
                <SureButton asks={away.asks} sure={away.sure} onSure={() => mend.mutate(away.change)} />
              </span>
            )}
          </li>
        ))}
      </ul>
      <Trouble error={mend.error} />
      {isAdding ? (
        form(() => setAdding(false))
      ) : (
        <button type="button" className="button-quiet" onClick={() => setAdding(true)}>
          {adds}
        </button>
      )}
    </section>
  );
}
