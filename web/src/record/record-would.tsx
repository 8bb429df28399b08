import { counted } from '@brackenfell/core/words/counted';
import type { RecordPreview } from '@brackenfell/contract/record';
import { WouldChange } from '../consequences/would-change.tsx';

const MOST_SAID = 12;

/** What a record as it is filled in would change, before it is recorded. */
export function RecordWould({ found, isNew }: { readonly found: RecordPreview | undefined; readonly isNew: boolean }) {
  if (!found) return null;
  const { says, verdicts, reads } = found;
  return (
    <section className="grid gap-1 border border-line bg-slip p-3" aria-label="What would change" aria-live="polite">
      {!isNew && <Said says={says} />}
      {reads ? (
        <p>
          Of {counted(reads.of, 'number')} of this maker it reads {reads.after}; as it stands {reads.before}.
        </p>
      ) : isNew ? (
        <p>It is new: no verdict rests on it yet.</p>
      ) : (
        <WouldChange found={verdicts} showParts />
      )}
    </section>
  );
}

/** Differences, the first few of them. */
export function Said({ says }: { readonly says: readonly string[] }) {
  if (says.length === 0) return <p>Nothing of it differs from what stands.</p>;
  return (
    <ul>
      {says.slice(0, MOST_SAID).map((one, i) => (
        <li key={i} className="[overflow-wrap:anywhere]">
          {one}
        </li>
      ))}
      {says.length > MOST_SAID && <li className="text-soft">and {says.length - MOST_SAID} more</li>}
    </ul>
  );
}
