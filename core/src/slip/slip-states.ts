import { dayAfter, type Day } from '../words/calendar.ts';
import { counted } from '../words/counted.ts';
import { printDate } from '../words/moments.ts';

/** States of a slip through its day. Slips: States. */
export const SLIP_STATES = ['open', 'parked', 'quoted', 'ordered', 'ready', 'collected', 'ended'] as const;
export type SlipState = (typeof SLIP_STATES)[number];

/** What each state may become. A collected or ended slip is final: goods that come back are a return, not a reopening. */
export const MAY_BECOME: Readonly<Record<SlipState, readonly SlipState[]>> = {
  open: ['parked', 'quoted', 'ordered', 'ready', 'collected', 'ended'],
  parked: ['open', 'ended'],
  quoted: ['open', 'ordered', 'ready', 'collected', 'ended'],
  ordered: ['ready', 'open', 'ended'],
  ready: ['collected', 'open', 'ended'],
  collected: [],
  ended: [],
};

export const mayBecome = (from: SlipState, to: SlipState): boolean => MAY_BECOME[from].includes(to);

export const isFinal = (state: SlipState): boolean => MAY_BECOME[state].length === 0;

export const SLIP_STATE_WORDS: Readonly<Record<SlipState, string>> = {
  open: 'open',
  parked: 'parked',
  quoted: 'quoted',
  ordered: 'ordered',
  ready: 'ready to be collected',
  collected: 'collected',
  ended: 'ended without a sale',
};

/** States in which nobody writes on a slip until it is taken up, and that are not done. */
export const WAITING_STATES = ['parked', 'quoted', 'ordered', 'ready'] as const satisfies readonly SlipState[];
/** States in which a slip is not done. */
export const LIVE_STATES = ['open', ...WAITING_STATES] as const satisfies readonly SlipState[];

/** Days that a quote’s prices are held, and that what is ready lies at the counter. Slips: States. */
const HELD_DAYS = 14;

/** The last day of what is given today: to its closing time. */
export const heldUntil = (today: Day): Day => dayAfter(today, HELD_DAYS);

/** Whether the day to which prices or goods were held is past: the slip is taken up again, and priced anew. */
export const isOver = (until: Day | null, today: Day): boolean => until !== null && until < today;

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

interface Waiting {
  readonly state: SlipState;
  readonly heldUntil: Day | null;
  /** Lines of which there are fewer here than are asked. */
  readonly linesShort: number;
}

/** What a slip waits for, as the list of the day says it. */
export function sayWaiting({ state, heldUntil: until, linesShort }: Waiting, today: Day): string {
  const day = until === null ? '' : printDate(until);
  switch (state) {
    case 'open':
      return 'at the counter';
    case 'parked':
      return 'to be taken up';
    case 'quoted':
      return isOver(until, today) ? `quote past since ${day}: price it anew` : `prices held to ${day}`;
    case 'ordered':
      return linesShort > 0 ? `waits for ${counted(linesShort, 'line')}` : 'all of it is here: make it ready';
    case 'ready':
      return isOver(until, today) ? `not collected by ${day}: take it up` : `kept for collecting to ${day}`;
    case 'collected':
    case 'ended':
      return '';
  }
}
