import { isFinal, SLIP_STATE_WORDS } from '@brackenfell/core/slip/slip-states';
import { mayTakeOver, mayWrite } from '@brackenfell/core/slip/who-may';
import type { Staff } from '@brackenfell/contract/session';
import { trouble, type Trouble } from '../http/trouble.ts';
import { changeSlipRow, type SlipRow } from './store.ts';
import type { Updateable } from 'kysely';
import type { Writing } from '../db/database.ts';
import type { SlipTable } from '../db/tables/counter.ts';

const held = (slip: SlipRow) => ({ state: slip.state, holderId: slip.holder_id });

export const mustBeUnfinished = ({ state, docket }: SlipRow): Trouble | undefined =>
  isFinal(state)
    ? trouble('not-allowed-now', `Slip ${docket} is ${SLIP_STATE_WORDS[state]} and final: copy it to a new slip.`)
    : undefined;

/** Only its holder writes on a slip, and only while it is open; says what to do otherwise. */
export const mustHold =
  (staff: Staff) =>
  (slip: SlipRow): Trouble | undefined => {
    if (mayWrite(held(slip), staff)) return undefined;
    const is = `Slip ${slip.docket} is ${SLIP_STATE_WORDS[slip.state]}`;
    if (isFinal(slip.state)) return trouble('not-allowed-now', `${is} and final: copy it to a new slip.`);
    if (slip.state === 'parked') return trouble('not-allowed-now', `${is}: take it up first.`);
    return trouble('not-allowed-now', `${slip.holder ?? 'Somebody'} holds slip ${slip.docket}: take it over first.`);
  };

export const mustBeTakable =
  (staff: Staff) =>
  (slip: SlipRow): Trouble | undefined => {
    if (mayTakeOver(held(slip), staff)) return undefined;
    if (isFinal(slip.state))
      return trouble('not-allowed-now', `Slip ${slip.docket} is ${SLIP_STATE_WORDS[slip.state]} and final.`);
    return trouble(
      'role-not-allowed',
      `${slip.holder ?? 'A colleague'} holds slip ${slip.docket}: ask them to park it, or ask a specialist to take it over.`,
    );
  };

interface Write {
  readonly trx: Writing;
  readonly params: { readonly slipId: string };
  readonly body: { readonly version: number };
  readonly staff: Staff;
}

/** Begins a write of its holder's on a slip, against the version they saw; gives the slip as it stands, or why not. */
export const writeOn = (
  { trx, params, body, staff }: Write,
  action: string,
  more: { readonly set?: Updateable<SlipTable>; readonly before?: SlipRow | undefined } = {},
): Promise<SlipRow | Trouble> =>
  changeSlipRow(trx, {
    slipId: params.slipId,
    version: body.version,
    staffId: staff.id,
    action,
    unless: mustHold(staff),
    ...more,
  });
