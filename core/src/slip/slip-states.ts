/** States of a slip as far as they are built; quotes, orders and picked slips join them later. Slips: States. */
export const SLIP_STATES = ['open', 'parked', 'collected', 'ended'] as const;
export type SlipState = (typeof SLIP_STATES)[number];

/** What each state may become. A collected or ended slip is final: goods that come back are a return, not a reopening. */
const MAY_BECOME: Readonly<Record<SlipState, readonly SlipState[]>> = {
  open: ['parked', 'collected', 'ended'],
  parked: ['open', 'ended'],
  collected: [],
  ended: [],
};

export const mayBecome = (from: SlipState, to: SlipState): boolean => MAY_BECOME[from].includes(to);

export const isFinal = (state: SlipState): boolean => MAY_BECOME[state].length === 0;

export const SLIP_STATE_WORDS: Readonly<Record<SlipState, string>> = {
  open: 'open',
  parked: 'parked',
  collected: 'collected',
  ended: 'ended without a sale',
};

/** Why a slip ended without a sale; kept so that lost sales can be counted. */
export const END_REASONS = [
  'price',
  'not-in-stock',
  'not-identified',
  'workshop',
  'refused-on-safety',
  'other',
] as const;
export type EndReason = (typeof END_REASONS)[number];

export const END_REASON_WORDS: Readonly<Record<EndReason, string>> = {
  price: 'Too dear',
  'not-in-stock': 'Not in stock',
  'not-identified': 'The engine or part was not identified',
  workshop: 'It goes to a workshop',
  'refused-on-safety': 'Refused on safety',
  other: 'Another reason, or begun by mistake',
};
