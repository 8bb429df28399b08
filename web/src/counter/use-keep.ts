import type { SlipKept } from '@brackenfell/contract/slip';
import { useCounter } from './use-counter.ts';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './slip-outbox.ts';
import { useBeginSlip } from './use-begin-slip.ts';

type Kind = SlipKept['kind'];
type KeptOf<K extends Kind> = Extract<SlipKept, { readonly kind: K }>;

/** Work kept on the slip in hand as far as it has come, and how more of it is kept; the first of it begins a slip. */
export function useKept<K extends Kind>(kind: K, engineId: string) {
  const { slip } = useCounter();
  const write = useSlipWrite();
  const begin = useBeginSlip();
  return {
    kept: slip.data?.kept.find((one): one is KeptOf<K> => one.kind === kind),
    keep: (kept: KeptOf<K>, says: string) => {
      const slipId = begin(engineId);
      write.mutate(slipCall('keepOnSlip', { params: { slipId }, body: { kept } }, says), {}, slipId);
    },
  };
}
