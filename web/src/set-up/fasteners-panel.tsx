import type { EngineCard } from '@brackenfell/contract/engine';

/** What else of this engine is tightened on the way to its plugs. */
export function FastenersPanel({ notes }: { readonly notes: EngineCard['notes'] }) {
  const fasteners = notes.filter(({ torque }) => torque !== null);
  if (fasteners.length === 0) return null;
  return (
    <section aria-label="Other fasteners" className="set-up-panel">
      <h2 className="text-lead font-semibold">Other fasteners of this engine</h2>
      <ul>
        {fasteners.map(({ says, torque }) => (
          <li key={says} className="flex justify-between gap-2 border-t border-hair">
            <span>{says}</span>
            <span className="num">{torque}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
