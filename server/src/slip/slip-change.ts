import type { Updateable } from 'kysely';
import {
  whyNotChanged,
  whyNotEnd,
  whyNotTakeOver,
  whyNotWrite,
  type Asking,
  type HeldByName,
  type Hindrance,
} from '@brackenfell/core/slip/who-may';
import type { Staff } from '@brackenfell/contract/session';
import type { Writing } from '../db/database.ts';
import type { SlipTable } from '../db/tables/counter.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { changeSlipRow, type SlipRow } from './store.ts';

/** Why somebody may not, as the route says it. */
export const hindered = (hindrance: Hindrance | undefined): Trouble | undefined =>
  hindrance && trouble(hindrance.kind === 'not-now' ? 'not-allowed-now' : 'role-not-allowed', hindrance.says);

/** A rule of core about who may, as a check of a slip's row. */
const must =
  (why: (slip: HeldByName, asking: Asking) => Hindrance | undefined) =>
  (staff: Staff) =>
  (slip: SlipRow): Trouble | undefined =>
    hindered(why({ ...slip, holderId: slip.holder_id }, staff));

export const mustBeUnfinished = must(whyNotChanged);
/** Only its holder writes on a slip, and only while it is open. */
export const mustHold = must(whyNotWrite);
export const mustBeTakable = must(whyNotTakeOver);
export const mustBeEndable = must(whyNotEnd);

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
