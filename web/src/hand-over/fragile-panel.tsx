import type { Offer } from '@brackenfell/contract/hand-over';
import { FRAGILE_WORDS, type FragileAdvice } from '@brackenfell/core/kit/fragile';
import { Choice } from '../controls/choice.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { toggled } from '../controls/toggles.tsx';
import { useKept } from '../counter/use-keep.ts';
import type { TickedCard } from './lay-ticks.ts';
import { OfferButtons } from './offer-buttons.tsx';

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

interface FragileProps {
  readonly card: TickedCard;
  readonly engineId: string;
  readonly mine: boolean;
  readonly isPicked: (says: string) => boolean;
  readonly onPut: ((offer: Offer, quantity: number) => void) | undefined;
}

/** What the work handles and may break: bought, held or left, by what was seen and said of this vehicle. */
export function FragilePanel({ card: { fragile }, engineId, mine, isPicked, onPut }: FragileProps) {
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
                        { ...now, seenBroken: toggled(now.seenBroken, says) },
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
