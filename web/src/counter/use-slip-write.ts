import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { Slip } from '@brackenfell/contract/slip';
import { toast } from '../controls/toast.ts';
import { useSession } from '../session/use-session.ts';
import { isServerAway } from '../wire/server-presence.ts';
import { keptNow } from './last-kept.ts';
import type { SlipCall } from './slip-call.ts';
import { asBegun, flush, isOwnOf, isSlip, outbox } from './slip-outbox.ts';
import { inverseOf, type Undo } from './undo.ts';
import { pushUndo } from './undo-stack.ts';

interface Hearing {
  readonly onSuccess?: (reply: never) => void;
  readonly onRefused?: (error: Error) => void;
  /** Not undone by stepping back: it is itself a step back. */
  readonly isUndo?: boolean;
}

/** Writes on slips. Each is kept until the server has it, and can be stepped back from where that makes sense. */
export function useSlipWrite() {
  const queries = useQueryClient();
  const { data: me } = useSession();
  const mutate = useCallback(
    (one: SlipCall, hearing: Hearing = {}, slipId: string | null = one.request.params?.slipId ?? null) => {
      if (!me) return;
      const seen = slipId === null ? undefined : queries.getQueryData<Slip>(['slips', slipId]);
      // What is kept and on its way is what a step back goes back to.
      const own = outbox.waiting.filter((intent) => asBegun(intent.slipId) === asBegun(slipId));
      const before = seen && { ...seen, kept: keptNow(seen.kept, own) };
      outbox.add(
        { staffId: me.id, name: one.name, request: one.request, slipId, says: one.says },
        {
          onStored: (reply) => {
            if (isSlip(reply)) {
              const undo: Undo | undefined = hearing.isUndo ? undefined : inverseOf(one, before, reply);
              if (undo) pushUndo(reply.slipId, undo);
            }
            (hearing.onSuccess as ((reply: unknown) => void) | undefined)?.(reply);
          },
          onRefused: (why, error) => {
            if (hearing.onRefused) hearing.onRefused(error);
            else toast.error(why);
            void queries.invalidateQueries({ queryKey: ['slips'] });
          },
        },
      );
      flush(me.id);
    },
    [me, queries],
  );
  return { mutate };
}

/** What was written before is waited for so long while the server answers. */
const ARRIVES_MS = 10_000;

/**
 * Sends what rests on a slip as it is here and is no write of the outbox, once what was written on the slip before is stored:
 * ahead of that it would be printed, or refused, by a slip that lacks it.
 */
export function useAfterWrites(slipId: string | undefined): <T>(send: () => Promise<T>) => Promise<T> {
  const { data: me } = useSession();
  return async (send) => {
    if (me) flush(me.id);
    const left = await outbox.untilSent(isOwnOf(slipId, me?.id), isServerAway() ? 0 : ARRIVES_MS);
    if (left > 0) throw new Error('What was written on this slip before is not stored yet: once more when it is.');
    return send();
  };
}
