import type { Offer } from '@brackenfell/contract/hand-over';
import { printPrice } from '@brackenfell/core/words/money';
import { Key } from '../controls/key.tsx';

interface OfferButtonsProps {
  readonly offers: readonly Offer[];
  readonly quantity: number;
  /** Its first offer is what the key puts down. */
  readonly isPicked: boolean;
  /** Left out where the slip is not in this person's hands. */
  readonly onPut: ((offer: Offer) => void) | undefined;
}

/** What the shop sells for a thing of the kit, each put on the slip by its button. */
export function OfferButtons({ offers, quantity, isPicked, onPut }: OfferButtonsProps) {
  return (
    <ul className="pt-0.5">
      {offers.map((offer, i) => (
        <li key={offer.partId} className="flex flex-wrap items-baseline gap-x-2 text-xs">
          <span className="min-w-0 flex-1">
            <span className="num">{offer.printed}</span> {offer.title},{' '}
            <span className="num">{printPrice(offer.eachMinor * quantity)}</span>
            {offer.onHand < quantity && <span className="text-madder">, {offer.onHand} on the shelf</span>}
          </span>
          {offer.isOnSlip ? (
            <span className="text-lichen">on the slip</span>
          ) : (
            onPut && (
              <button
                type="button"
                className="button-quiet"
                aria-label={`Put ${quantity} × ${offer.printed} on the slip`}
                onClick={() => onPut(offer)}
              >
                Put down {isPicked && i === 0 && <Key>b</Key>}
              </button>
            )
          )}
        </li>
      ))}
    </ul>
  );
}
