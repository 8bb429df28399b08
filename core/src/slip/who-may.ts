import { printDate } from '../words/moments.ts';
import type { Day } from '../words/calendar.ts';
import { isFinal, isOver, mayBecome, SLIP_STATE_WORDS, type SlipState } from './slip-states.ts';

/** Rules that decide a verdict are a supervisor's to settle otherwise; how a part is fitted, a specialist's too. */
export const mayChooseOnSlip = (rule: { readonly decidesVerdict: boolean }, { role }: Asking): boolean =>
  role === 'supervisor' || (role === 'specialist' && !rule.decidesVerdict);

/** A slip as far as it matters who may change it. */
export interface Held {
  readonly state: SlipState;
  /** Staff id of whoever holds it; null where nobody does. */
  readonly holderId: string | null;
}

export interface Asking {
  readonly id: string;
  readonly role: string;
}

/** Whether somebody may write on a slip. Only its holder does; a colleague takes it over first, which is written down. */
export const mayWrite = ({ state, holderId }: Held, { id }: Asking): boolean =>
  state === 'open' && (holderId === null || holderId === id);

/**
 * Whether somebody may take a slip up. What is parked, quoted, ordered or ready anybody at the counter takes up. An open one that a colleague holds is
 * taken over by a specialist or a supervisor; a new starter asks.
 */
export function mayTakeOver({ state, holderId }: Held, { id, role }: Asking): boolean {
  if (isFinal(state)) return false;
  return state !== 'open' || holderId === null || holderId === id || role !== 'starter';
}

/** A slip as whoever may not write on it is told of it. */
export interface HeldByName extends Held {
  readonly docket: number;
  readonly holder: string | null;
}

/** Why somebody may not, in words: not as it stands, or not in their role. */
export interface Hindrance {
  readonly kind: 'not-now' | 'not-this-role';
  readonly says: string;
}
const notNow = (says: string): Hindrance => ({ kind: 'not-now', says });
const standing = ({ docket, state }: HeldByName): string => `Slip ${docket} is ${SLIP_STATE_WORDS[state]}`;

/** A collected or ended slip is changed by nobody. */
export const whyNotChanged = (slip: HeldByName): Hindrance | undefined =>
  isFinal(slip.state) ? notNow(`${standing(slip)} and final: copy it to a new slip.`) : undefined;

/** Why somebody may not write on a slip, and what to do; undefined where they may. */
export function whyNotWrite(slip: HeldByName, asking: Asking): Hindrance | undefined {
  if (mayWrite(slip, asking)) return undefined;
  const final = whyNotChanged(slip);
  if (final) return final;
  if (slip.state !== 'open') return notNow(`${standing(slip)}: take it up first.`);
  return notNow(`${slip.holder ?? 'Somebody'} holds slip ${slip.docket}: take it over first.`);
}

/** Why somebody may not take a slip up. */
export function whyNotTakeOver(slip: HeldByName, asking: Asking): Hindrance | undefined {
  if (mayTakeOver(slip, asking)) return undefined;
  if (isFinal(slip.state)) return notNow(`${standing(slip)} and final.`);
  return {
    kind: 'not-this-role',
    says: `${slip.holder ?? 'A colleague'} holds slip ${slip.docket}: ask them to park it, or ask a specialist to take it over.`,
  };
}

/** Why somebody may not end a slip without a sale: an open one its holder ends, a parked one whoever may take it up. */
export function whyNotEnd(slip: HeldByName, asking: Asking): Hindrance | undefined {
  if (!mayBecome(slip.state, 'ended')) return notNow(`${standing(slip)} and final.`);
  return slip.state === 'open' ? whyNotWrite(slip, asking) : whyNotTakeOver(slip, asking);
}

/** A slip as it matters whether its next step may be taken. */
export interface HeldToADay extends HeldByName {
  /** The last day its prices or its goods are held; null where neither is. */
  readonly heldUntil: Day | null;
}

/**
 * Why a slip may not be quoted, ordered, made ready or collected by somebody; undefined where it may. An open one is its
 * holder's; what is quoted, ordered or ready anybody at the counter takes a step on, within its days.
 */
export function whyNotMove(slip: HeldToADay, asking: Asking, to: SlipState, today: Day): Hindrance | undefined {
  if (slip.state === 'open') return whyNotWrite(slip, asking);
  if (!mayBecome(slip.state, to))
    return isFinal(slip.state) ? whyNotChanged(slip) : notNow(`${standing(slip)}: take it up first.`);
  if (isOver(slip.heldUntil, today))
    return notNow(
      slip.state === 'quoted'
        ? `The quote on slip ${slip.docket} held to ${printDate(slip.heldUntil!)}: take it up, and it is priced anew.`
        : `Slip ${slip.docket} was kept to ${printDate(slip.heldUntil!)}: take it up, and look at it again.`,
    );
  return undefined;
}
