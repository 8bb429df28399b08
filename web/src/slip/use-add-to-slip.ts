import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { useCounter } from '../frame/use-counter.ts';
import { currentSettings } from '../settings/settings.ts';
import { call, ProblemError } from '../wire/call.ts';

interface Taken {
  readonly row: { readonly partId: string; readonly printed: string; readonly verdict?: keyof typeof VERDICT_WORDS };
  readonly kind: 'sale' | 'customers-own';
  readonly engineId?: string;
  /** As many as places it serves when left out. */
  readonly quantity?: number;
}

/** Puts a part on the slip, beginning one first when there is none. */
export function useAddToSlip() {
  const { slip, inHand, build, staying, duty, go } = useCounter();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ row, kind, engineId, quantity }: Taken) => {
      const current = slip.data;
      const begun =
        current ??
        (await call('createSlip', {
          body: {
            ...(engineId ? { engineId } : {}),
            ...(inHand ? { inHandPartId: inHand } : {}),
            ...(build ? { build } : {}),
            ...(staying ? { staying } : {}),
            ...(duty ? { duty } : {}),
          },
        }));
      // An engine picked before the slip knew it goes on the slip first, so that the line is judged for it.
      const ready =
        engineId && begun.engineId === null
          ? await call('changeSlip', { params: { slipId: begun.slipId }, body: { version: begun.version, engineId } })
          : begun;
      return call('addLine', {
        params: { slipId: ready.slipId },
        body: {
          version: ready.version,
          partId: row.partId,
          kind,
          units: currentSettings().units,
          ...(quantity ? { quantity } : {}),
        },
      });
    },
    onSuccess: (after, { row, kind }) => {
      queries.setQueryData(['slips', after.slipId], after);
      void queries.invalidateQueries({ queryKey: ['slips', 'list'] });
      if (slip.data?.slipId !== after.slipId) go(window.location.pathname, { slip: after.slipId }, { replace: true });
      const as = kind === 'customers-own' ? 'noted as the customer’s own, not sold' : `on slip ${after.docket}`;
      toast(
        `${row.printed} ${as}${kind === 'sale' && row.verdict ? `: ${VERDICT_WORDS[row.verdict]}` : ''}. z takes it off.`,
      );
    },
    onError: (error) => {
      toast.error(error.message);
      if (error instanceof ProblemError && error.problem.code === 'changed-meanwhile')
        void queries.invalidateQueries({ queryKey: ['slips'] });
    },
  });
}
