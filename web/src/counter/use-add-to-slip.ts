import { toast } from '../controls/toast.ts';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import type { Slip } from '@brackenfell/contract/slip';
import { useCounter } from './use-counter.ts';
import { currentSettings } from '../settings/settings.ts';
import { slipSheet } from './slip-sheet.ts';
import { printDocket } from './print-docket.ts';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './use-slip-write.ts';
import { useBeginSlip } from './use-begin-slip.ts';

interface Taken {
  readonly row: { readonly partId: string; readonly printed: string; readonly verdict?: keyof typeof VERDICT_WORDS };
  readonly kind: 'sale' | 'customers-own';
  readonly engineId?: string;
  /** As many as places it serves when left out. */
  readonly quantity?: number;
}

/** Puts a part on the slip, beginning one first when there is none. What is on it already is counted up, when that is meant. */
export function useAddToSlip() {
  const { slip } = useCounter();
  const begin = useBeginSlip();
  const write = useSlipWrite();
  const mutate = ({ row, kind, engineId, quantity }: Taken, { onSuccess }: { onSuccess?: () => void } = {}) => {
    const standing = slip.data?.lines.find((line) => line.partId === row.partId && line.kind === kind);
    if (standing) {
      slipSheet.set({ kind: 'quantity', lineId: standing.lineId });
      return;
    }
    const slipId = begin(engineId);
    const body = { partId: row.partId, kind, units: currentSettings().units, ...(quantity ? { quantity } : {}) };
    const own = kind === 'customers-own';
    write.mutate(
      slipCall('addLine', { params: { slipId }, body }, `${row.printed} ${own ? 'noted' : 'put down'}`),
      {
        onSuccess: (after: Slip) => {
          const as = own ? 'noted as the customer’s own, not sold' : `on slip ${printDocket(after.docket)}`;
          toast(`${row.printed} ${as}${!own && row.verdict ? `: ${VERDICT_WORDS[row.verdict]}` : ''}. z takes it off.`);
          onSuccess?.();
        },
      },
      slipId,
    );
  };
  return { mutate };
}
