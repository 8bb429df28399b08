import type { Intent } from '../wire/outbox.ts';

/** What is kept on this computer and not known to be stored, in the order in which it goes out. */
export function UnsentList({ unsent }: { unsent: readonly Intent[] }) {
  return (
    <div role="status">
      {unsent.length > 0 && (
        <section className="border-b border-heather bg-well px-3 py-1.5" aria-label="Not sent yet">
          <h3 className="text-xs font-semibold text-heather">{unsent.length} not sent yet</h3>
          <ol className="text-soft">
            {unsent.map(({ key, says }) => (
              <li key={key}>{says}</li>
            ))}
          </ol>
        </section>
      )}
    </div>
  );
}
