import type { PartCard } from '@brackenfell/contract/part';
import { printPrice } from '@brackenfell/core/words/money';
import { Key } from '../controls/key.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useAddToSlip } from '../counter/use-add-to-slip.ts';
import { useKeys } from '../keys/keys.ts';

interface ShelfCardProps {
  readonly part: PartCard;
  readonly shelf: NonNullable<PartCard['shelf']>;
}

/** A thing no engine asks for, or a kit with what is in it: put on the slip from here. */
export function ShelfCard({ part, shelf }: ShelfCardProps) {
  const add = useAddToSlip();
  const { engineId } = useCounter();
  const row = { partId: part.partId, printed: part.printed };
  const put = () => add.mutate({ row, kind: 'sale', ...(engineId ? { engineId } : {}) });
  useKeys('Part', [{ press: 'b', does: 'Put it on the slip', run: put }]);
  return (
    <main className="desk-main col-span-2" aria-label="Part">
      <div className="flex items-baseline gap-4 border-b border-line px-4 py-3">
        <h1 className="num text-verdict font-semibold">{part.printed}</h1>
        <span className="text-lead">{part.maker}</span>
        {shelf.holds.length === 0 && (
          <p className="ml-auto flex gap-6 text-lead" aria-label="Price and stock">
            <span>
              <b className="num text-verdict font-semibold">{printPrice(part.priceMinor)}</b> each, before tax
            </span>
            <span>
              <b className="num text-verdict font-semibold">{part.onHand ?? 0}</b> on the shelf
              {part.bin && (
                <>
                  , bin <span className="num">{part.bin}</span>
                </>
              )}
            </span>
          </p>
        )}
      </div>
      <div className="grid content-start justify-items-start gap-3 p-4">
        <p>{shelf.title}.</p>
        {shelf.holds.length > 0 && (
          <ul>
            {shelf.holds.map(({ printed, quantity }) => (
              <li key={printed}>
                {quantity} × <b className="num font-semibold">{printed}</b>
              </li>
            ))}
          </ul>
        )}
        <button type="button" className="button-act" onClick={put}>
          Put it on the slip <Key>b</Key>
        </button>
      </div>
    </main>
  );
}
