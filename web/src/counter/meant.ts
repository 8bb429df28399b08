import type { Slip } from '@brackenfell/contract/slip';
import type { Intent } from '../wire/outbox.ts';

/** What of a slip its own fields change. */
type SlipField = 'customer' | 'phone' | 'vehicle' | 'cameFor' | 'engineCount';

/** A field of a slip as it is meant: what is on its way stands over what the server knows. */
export function meant<F extends SlipField>(
  slip: Pick<Slip, F>,
  field: F,
  unsent: readonly Pick<Intent, 'name' | 'request'>[],
): Slip[F] {
  const last = unsent.findLast(({ name, request }) => name === 'changeSlip' && request.body?.[field] !== undefined);
  return last ? (last.request.body![field] as Slip[F]) : slip[field];
}
