import type { SlipKept } from '@brackenfell/contract/slip-kept';
import { useCounter } from './use-counter.ts';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './use-slip-write.ts';
import { useUnsent } from './use-unsent.ts';
import { useBeginSlip } from './use-begin-slip.ts';
import { lastKept } from './last-kept.ts';

type Kind = SlipKept['kind'];
type KeptOf<K extends Kind> = Extract<SlipKept, { readonly kind: K }>;

/**
 * Work kept on the slip in hand as far as it has come, what is not sent yet included, and how more of it is kept; the first of
 * it begins a slip.
 */
export function useKept<K extends Kind>(kind: K, engineId: string) {
  const { slip, slipId } = useCounter();
  const unsent = useUnsent(slipId);
  const write = useSlipWrite();
  const begin = useBeginSlip();
  return {
    kept: lastKept(kind, engineId, slip.data?.kept ?? [], slipId === undefined ? [] : unsent),
    keep: (kept: KeptOf<K>, says: string) => {
      const own = begin(engineId);
      write.mutate(slipCall('keepOnSlip', { params: { slipId: own }, body: { kept } }, says), {}, own);
    },
  };
}
