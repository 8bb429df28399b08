import { Key } from '../controls/key.tsx';

/** Said of at most so many rows; the rows themselves say the rest. */
const MOST_SAID = 3;

interface ChangedStripProps {
  readonly says: readonly string[];
  readonly onLayOut: () => void;
}

/** What changed while the tray was looked at, told once as it does; nothing moves until the person says so. */
export function ChangedStrip({ says, onLayOut }: ChangedStripProps) {
  const more = says.length - MOST_SAID;
  return (
    <div role="status" aria-label="Changed meanwhile">
      {says.length > 0 && (
        <p className="build-question tray-changes">
          <span>
            <b className="font-semibold">Changed while you looked.</b> {says.slice(0, MOST_SAID).join('; ')}
            {more > 0 && ` and ${more} more, marked in their rows`}.
          </span>
          <button type="button" className="underline" onClick={onLayOut}>
            <Key>t</Key> lay out anew
          </button>
        </p>
      )}
    </div>
  );
}
