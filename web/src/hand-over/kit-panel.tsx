import { useState } from 'react';
import type { Offer } from '@brackenfell/contract/hand-over';
import type { KitKind } from '@brackenfell/core/kit/kit-list';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { useAddToSlip } from '../counter/use-add-to-slip.ts';
import { useKeys } from '../keys/keys.ts';
import { FragilePanel } from './fragile-panel.tsx';
import type { TickedCard } from './lay-ticks.ts';
import { OfferButtons } from './offer-buttons.tsx';

const KIT_MARKS: Readonly<Record<KitKind, MarkKind>> = {
  tool: 'match-small',
  'used-up': 'match-small',
  'to-ask': 'unknown',
};
interface KitPanelProps {
  readonly card: TickedCard;
  readonly engineId: string;
  /** The slip is in this person's hands. */
  readonly mine: boolean;
  /** Left out while there is no slip to lend it on. */
  readonly onLend: ((tool: string) => void) | undefined;
}

/** What the fitter takes along, and why; what is sold for it goes on the slip by one key. */
export function KitPanel({ card, engineId, mine, onLend }: KitPanelProps) {
  const add = useAddToSlip();
  const put = ({ partId, printed }: Pick<Offer, 'partId' | 'printed'>, quantity?: number) =>
    add.mutate({ row: { partId, printed }, kind: 'sale', engineId, ...(quantity ? { quantity } : {}) });
  const [picked, pick] = useState<string>();
  const things = [
    ...card.fitted.flatMap(({ lineId, kit }) =>
      kit.map(({ what, offers }) => ({ id: `${lineId} ${what}`, quantity: 1, offers })),
    ),
    ...card.fragile.map(({ says, quantity, offers }) => ({ id: says, quantity, offers })),
  ].filter(({ offers }) => offers.length > 0);
  const at = Math.max(
    0,
    things.findIndex(({ id }) => id === picked),
  );
  const thing = things[at];
  const move = (by: number) => pick(things[Math.max(0, Math.min(things.length - 1, at + by))]?.id);
  const putPicked = () => {
    const offer = thing?.offers[0];
    if (offer) put(offer, thing.quantity);
    move(1);
  };
  useKeys(
    'Kit',
    [
      { press: 'n', does: 'Next thing of the kit that is sold', run: () => move(1), takeBack: () => move(-1) },
      { press: 'Shift+N', printed: 'Shift n', does: 'The one before', run: () => move(-1), takeBack: () => move(1) },
      { press: 'b', does: 'Put it on the slip', run: putPicked },
    ],
    { active: mine && things.length > 0 },
  );
  return (
    <div className="grid content-start gap-2 p-3" tabIndex={0} role="group" aria-label="The kit, and why">
      <h1 className="text-verdict font-semibold">Kit for the job</h1>
      {mine && things.length > 0 && (
        <p className="text-soft">
          <Key>n</Key> next that is sold, <Key>b</Key> puts it down
        </p>
      )}
      {card.fitted.map(({ lineId, printed, kit }) => (
        <section key={lineId} aria-label={`Kit for ${printed}`}>
          {card.fitted.length > 1 && kit.length > 0 && <h2 className="num font-semibold">{printed}</h2>}
          <ul>
            {kit.map(({ kind, what, why, offers }) => {
              const isPicked = mine && thing?.id === `${lineId} ${what}`;
              return (
                <li
                  key={`${what} ${why}`}
                  aria-current={isPicked || undefined}
                  className={`grid grid-cols-[1rem_minmax(0,1fr)] border-b border-hair py-1 ${isPicked ? 'bg-bracken-wash' : ''}`}
                >
                  <span className="pt-0.5">
                    <Mark kind={KIT_MARKS[kind]} rem={0.75} label={kind === 'to-ask' ? 'To ask' : ''} />
                  </span>
                  <span>
                    <span className="flex items-baseline justify-between gap-2">
                      <b className="min-w-0 font-semibold">{what}</b>
                      {kind === 'tool' && onLend && (
                        <button
                          type="button"
                          className="button-quiet shrink-0"
                          aria-label={`Lend: ${what}`}
                          onClick={() => onLend(what)}
                        >
                          Lend
                        </button>
                      )}
                    </span>
                    <span className="block text-xs text-soft">{why}</span>
                    <OfferButtons
                      offers={offers}
                      quantity={1}
                      isPicked={isPicked}
                      onPut={mine ? (offer) => put(offer) : undefined}
                    />
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
      ))}
      <FragilePanel
        card={card}
        engineId={engineId}
        mine={mine}
        isPicked={(says) => mine && thing?.id === says}
        onPut={mine ? put : undefined}
      />
      {card.kits.length > 0 && (
        <section aria-label="Kits for this engine">
          <h2 className="pt-1 text-lead font-semibold">Kits for this engine</h2>
          <ul>
            {card.kits.map(({ partId, printed, maker, holds }) => (
              <li key={partId} className="border-b border-hair py-1">
                <span className="flex items-baseline justify-between gap-2">
                  <b className="num font-semibold">{printed}</b>
                  {mine && (
                    <button
                      type="button"
                      className="button-quiet"
                      aria-label={`Put the parts of ${printed} on the slip`}
                      onClick={() => put({ partId, printed })}
                    >
                      Put its parts down
                    </button>
                  )}
                </span>
                <span className="block text-xs text-soft">
                  {maker}: {holds.map((held) => `${held.quantity} × ${held.printed}`).join(', ')}. Each is judged by
                  itself.
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
