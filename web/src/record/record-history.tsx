import { toast } from '../controls/toast.ts';
import type { CatalogueRecord } from '@brackenfell/contract/record';
import { printMoment } from '../controls/moment.ts';
import { Said } from './record-would.tsx';
import { useWriteRecord } from './use-record.ts';

/** What was changed of a record by hand, the latest first; the last can be taken back. */
export function RecordHistory({ record: { kind, key, history } }: { readonly record: CatalogueRecord }) {
  const write = useWriteRecord({ kind, key });
  return (
    <section aria-label="What was changed" className="mt-4 max-w-5xl border-t border-line pt-2">
      <h2 className="text-lead font-semibold">What was changed</h2>
      {history.length === 0 && <p className="text-soft">Nothing by hand yet.</p>}
      <ul>
        {history.map((entry) => (
          <li key={entry.entryId} className="flex flex-wrap items-start gap-3 border-t border-hair py-1">
            <span className="text-soft">
              {printMoment(entry.at)}, {entry.by}
            </span>
            <div className="flex-1">
              <Said says={entry.says} />
            </div>
            {entry.canUndo && (
              <button
                type="button"
                className="button-plain"
                disabled={write.isPending}
                onClick={() =>
                  write.mutate({ undo: entry.entryId }, { onError: (error) => toast.error(error.message) })
                }
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
