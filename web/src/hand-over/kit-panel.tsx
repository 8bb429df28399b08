import { useState } from 'react';
import type { Offer } from '@brackenfell/contract/hand-over';
import { FRAGILE_WORDS, type FragileAdvice } from '@brackenfell/core/kit/fragile';
import type { KitKind } from '@brackenfell/core/kit/kit-list';
import { Choice } from '../controls/choice.tsx';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { useAddToSlip } from '../counter/use-add-to-slip.ts';
import { useKept } from '../counter/use-keep.ts';
import { useKeys } from '../keys/keys.ts';
import type { TickedCard } from './lay-ticks.ts';
import { OfferButtons } from './offer-buttons.tsx';

const KIT_MARKS: Readonly<Record<KitKind, MarkKind>> = {
  tool: 'match-small',
  'used-up': 'match-small',
  'to-ask': 'unknown',
};
const ADVICE_MARKS: Readonly<Record<FragileAdvice, MarkKind>> = {
  buy: 'caution',
  hold: 'acceptable',
  leave: 'match-small',
};
const SAID = [
  { value: 'unknown', says: 'Nobody has said' },
  { value: 'yes', says: 'Yes' },
  { value: 'no', says: 'No' },
] as const;
type Said = (typeof SAID)[number]['value'];
const asSaid = (held: boolean | null | undefined): Said => (held == null ? 'unknown' : held ? 'yes' : 'no');
const asHeld = (said: Said): boolean | null => (said === 'unknown' ? null : said === 'yes');

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
      <Fragile
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

interface FragileProps {
  readonly card: TickedCard;
  readonly engineId: string;
  readonly mine: boolean;
  readonly isPicked: (says: string) => boolean;
  readonly onPut: ((offer: Offer, quantity: number) => void) | undefined;
}

/** What the work handles and may break: bought, held or left, by what was seen and said of this vehicle. */
function Fragile({ card: { fragile }, engineId, mine, isPicked, onPut }: FragileProps) {
  const { kept, keep } = useKept('fragile', engineId);
  if (fragile.length === 0) return null;
  const now = kept ?? { kind: 'fragile' as const, isOpenedBefore: null, isOverTenYears: null, seenBroken: [] };
  return (
    <section aria-label="What may break" className="grid gap-1">
      <h2 className="pt-1 text-lead font-semibold">What may break</h2>
      {mine && (
        <div className="flex flex-wrap gap-2">
          <Choice
            label="Opened before?"
            labelClass="text-slate"
            value={asSaid(now.isOpenedBefore)}
            options={SAID}
            onChange={(said) => keep({ ...now, isOpenedBefore: asHeld(said) }, 'whether it was opened before')}
          />
          <Choice
            label="Over ten years old?"
            labelClass="text-slate"
            value={asSaid(now.isOverTenYears)}
            options={SAID}
            onChange={(said) => keep({ ...now, isOverTenYears: asHeld(said) }, 'how old it is')}
          />
        </div>
      )}
      <ul>
        {fragile.map(({ says, advice, why, quantity, isSeenBroken, offers }) => (
          <li
            key={says}
            aria-current={isPicked(says) || undefined}
            className={`grid grid-cols-[1rem_minmax(0,1fr)] border-b border-hair py-1 ${isPicked(says) ? 'bg-bracken-wash' : ''}`}
          >
            <span className="pt-0.5">
              <Mark kind={ADVICE_MARKS[advice]} rem={0.75} label="" />
            </span>
            <span>
              <b className="font-semibold">{FRAGILE_WORDS[advice]}.</b> {says}
              <span className="block text-xs text-soft">{why}</span>
              {mine && (
                <label className="flex items-center gap-1 text-xs">
                  <input
                    type="checkbox"
                    aria-label={`Seen broken: ${says}`}
                    checked={now.seenBroken.includes(says)}
                    onChange={() =>
                      keep(
                        {
                          ...now,
                          seenBroken: now.seenBroken.includes(says)
                            ? now.seenBroken.filter((one) => one !== says)
                            : [...now.seenBroken, says],
                        },
                        isSeenBroken ? 'not broken after all' : 'seen broken',
                      )
                    }
                  />
                  Seen broken
                </label>
              )}
              <OfferButtons
                offers={offers}
                quantity={quantity}
                isPicked={isPicked(says)}
                onPut={onPut && ((offer) => onPut(offer, quantity))}
              />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
