import type { Say } from '@brackenfell/core/fitment/say';
import { mapFastener, type Fastener } from '@brackenfell/core/kit/fasteners';
import { adviseFragile } from '@brackenfell/core/kit/fragile';
import { whileApart } from '@brackenfell/core/kit/while-apart';
import type { EngineNote } from '@brackenfell/contract/engine-plan';
import type { HandOver, Offer } from '@brackenfell/contract/hand-over';
import type { Slip } from '@brackenfell/contract/slip';
import { readOffers } from '../catalogue/shelf-store.ts';
import type { Database } from '../db/database.ts';

/** So many are shown of what is sold for one use. */
const MOST_OFFERS = 2;

/** What comes off on the way, as the engine's notes tell it. */
export const fastenersIn = (notes: readonly EngineNote[], say: Say): readonly Fastener[] =>
  notes
    .filter(({ about }) => about === 'fastener')
    .map(({ torqueNm, ...note }) => ({
      ...note,
      torque: torqueNm ? say.span('fastener-torque', torqueNm) : null,
    }));

/** What the shop sells for each use, the first few of each; those that stand on the slip are marked. */
export async function offersFor(
  db: Database,
  uses: readonly (string | null | undefined)[],
  slip: Slip,
): Promise<(use: string | null | undefined) => Offer[]> {
  const asked = [...new Set(uses.filter((use) => typeof use === 'string'))];
  const rows = asked.length === 0 ? [] : await readOffers(db, asked);
  const onSlip = new Set(slip.lines.map(({ partId }) => partId));
  return (wanted) =>
    rows
      .filter(({ use }) => use === wanted)
      .slice(0, MOST_OFFERS)
      .map(({ use: _, ...offer }) => ({ ...offer, isOnSlip: onSlip.has(offer.partId) }));
}

type Offers = Awaited<ReturnType<typeof offersFor>>;

const NOTHING_SAID = { isOpenedBefore: null, isOverTenYears: null, seenBroken: [] as readonly string[] };

/** What was seen and said on this slip of what the work handles. */
const keptOn = (slip: Slip) => slip.kept.find((one) => one.kind === 'fragile') ?? NOTHING_SAID;

/** Fragile things, fasteners and what lies bare, for this vehicle. `distanceKm` is undefined where nobody has read it. */
export function handledHere(
  notes: readonly EngineNote[],
  slip: Slip,
  distanceKm: number | undefined,
  offers: Offers,
  say: Say,
): Pick<HandOver, 'fasteners' | 'fragile' | 'bared'> {
  const { isOpenedBefore, isOverTenYears, seenBroken } = keptOn(slip);
  const known = { isOpenedBefore: isOpenedBefore ?? undefined, isOverTenYears: isOverTenYears ?? undefined };
  return {
    fasteners: fastenersIn(notes, say).map(mapFastener),
    fragile: notes
      .filter(({ about }) => about === 'breaks')
      .map(({ says, count, use, isHot, isRenewedAlways }) => {
        const isSeenBroken = seenBroken.includes(says);
        const thing = { says, isHot: isHot === true, isRenewedAlways: isRenewedAlways === true };
        return {
          says,
          quantity: count ?? 1,
          ...adviseFragile(thing, { ...known, isSeenBroken }),
          isSeenBroken,
          offers: offers(use),
        };
      }),
    bared: notes
      .filter(({ about }) => about === 'bared')
      .map(({ says, everyKm, use }) => ({
        says,
        ...whileApart({ says, everyKm }, { distanceKm, seen: seenBroken }, (km) => say.quantity('distance', km)),
        offers: offers(use),
      })),
  };
}
