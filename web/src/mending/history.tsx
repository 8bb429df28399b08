import { toast } from '../controls/toast.ts';
import type { Mending } from '@brackenfell/contract/mending';
import { printMoment } from '../controls/moment.ts';
import { useMend } from './use-mending.ts';

/** What was changed by hand, the latest first; the last word on each thing can be taken back. */
export function History({ mending: { partId, history } }: { readonly mending: Mending }) {
  const mend = useMend(partId);
  return (
    <section aria-label="What was changed" className="border-t border-line pt-2">
      <h2 className="text-lead font-semibold">What was changed</h2>
      {history.length === 0 && <p className="text-soft">Nothing by hand yet.</p>}
      <ul className="max-w-3xl">
        {history.map((entry) => (
          <li key={entry.entryId} className="flex flex-wrap items-center gap-2 border-t border-hair py-1">
            <span className="text-soft">
              {printMoment(entry.at)}, {entry.by}
            </span>
            <span className="[overflow-wrap:anywhere]">{entry.says}</span>
            {entry.canUndo && (
              <button
                type="button"
                className="button-plain ml-auto"
                aria-label={`Take back: ${entry.says}`}
                disabled={mend.isPending}
                onClick={() => mend.mutate({ undo: entry.entryId }, { onError: (error) => toast.error(error.message) })}
              >
                Take back
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
