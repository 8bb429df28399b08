import { isFinal, type SlipState } from './slip-states.ts';

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
 * Whether somebody may take a slip up. What is parked anybody at the counter takes up. An open one that a colleague holds is
 * taken over by a specialist or a supervisor; a new starter asks.
 */
export function mayTakeOver({ state, holderId }: Held, { id, role }: Asking): boolean {
  if (isFinal(state)) return false;
  return state === 'parked' || holderId === null || holderId === id || role !== 'starter';
}
