import { detailsToWrite, type SentDetails, type SlipDetails } from '@brackenfell/core/slip/details';
import type { Intent } from '../wire/outbox.ts';

/** What a slip is for, as it was said here and is on its way: the later over the earlier. */
export const saidUnsent = (unsent: readonly Pick<Intent, 'name' | 'request'>[]): Partial<SlipDetails> =>
  Object.assign(
    {},
    ...unsent.flatMap(({ name, request }) =>
      name === 'createSlip' || name === 'changeSlip' ? [detailsToWrite(request.body as SentDetails)] : [],
    ),
  ) as Partial<SlipDetails>;
