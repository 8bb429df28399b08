import { listed } from '../words/counted.ts';
import { upperFirst } from '../words/case.ts';

/** Sold at once; sold to be brought back unopened; left where it is. */
export const FRAGILE_ADVICE = ['buy', 'hold', 'leave'] as const;
export type FragileAdvice = (typeof FRAGILE_ADVICE)[number];
export const FRAGILE_WORDS: Readonly<Record<FragileAdvice, string>> = {
  buy: 'Buy',
  hold: 'Hold: sale or return, unopened',
  leave: 'Leave',
};

/** A part that the work handles and that may not survive it. */
export interface FragileThing {
  readonly says: string;
  /** It stands where it bakes. */
  readonly isHot: boolean;
  /** The engine maker has it renewed whenever it comes off. */
  readonly isRenewedAlways: boolean;
}

/** What is known of it on this vehicle; undefined where nobody has said. */
export interface FragileKnown {
  readonly isOpenedBefore: boolean | undefined;
  /** Plastic and rubber of this age is brittle. */
  readonly isOverTenYears: boolean | undefined;
  readonly isSeenBroken: boolean;
}

/**
 * Whether a fragile part is bought before the work, held, or left: what was seen and what the engine maker renews stand first;
 * else two of heat, age and having been opened before buy it, one holds it. What nobody has said holds it too: unknown is
 * never a pass. Service: Fragile parts.
 */
export function adviseFragile(
  { isHot, isRenewedAlways }: FragileThing,
  { isOpenedBefore, isOverTenYears, isSeenBroken }: FragileKnown,
): { readonly advice: FragileAdvice; readonly why: string } {
  if (isSeenBroken) return { advice: 'buy', why: 'Seen broken on this vehicle.' };
  if (isRenewedAlways) return { advice: 'buy', why: 'Renewed whenever it comes off, by the engine maker.' };
  const against = [
    ...(isHot ? ['it stands in the heat'] : []),
    ...(isOverTenYears === true ? ['it is over ten years old'] : []),
    ...(isOpenedBefore === true ? ['it was opened before'] : []),
  ];
  if (against.length >= 2) return { advice: 'buy', why: `${upperFirst(listed(against))}.` };
  const notSaid = [
    ...(isOverTenYears === undefined ? ['how old it is'] : []),
    ...(isOpenedBefore === undefined ? ['whether it was opened before'] : []),
  ];
  if (against.length === 1 || notSaid.length > 0)
    return {
      advice: 'hold',
      why: [
        ...(against.length === 1 ? [`${upperFirst(against[0]!)}.`] : []),
        ...(notSaid.length > 0 ? [`Nobody has said ${listed(notSaid)}.`] : []),
      ].join(' '),
    };
  return { advice: 'leave', why: 'Young, never opened and out of the heat.' };
}
