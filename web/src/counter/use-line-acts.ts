import { toast } from '../controls/toast.ts';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { useCounter } from './use-counter.ts';
import { slipCall } from './slip-call.ts';
import { useSlipWrite } from './use-slip-write.ts';
import { useUnsent } from './use-unsent.ts';
import { popUndo } from './undo-stack.ts';

/** What is done with a slip's lines, and stepped back from; `mine` where this person may write on it. */
export function useLineActs(slip: Slip, mine: boolean) {
  const write = useSlipWrite();
  const unsent = useUnsent(slip.slipId);
  const { go } = useCounter();
  const params = { slipId: slip.slipId };
  const remove = (gone: SlipLine | undefined) => {
    if (!gone || !mine) return;
    write.mutate(
      slipCall('removeLine', { params: { ...params, lineId: gone.lineId }, body: {} }, `${gone.printed} taken off`),
      {
        onSuccess: () => toast(`${gone.printed} taken off. z puts it back.`),
      },
    );
  };
  const stepBack = () => {
    const undo = popUndo(slip.slipId);
    if (!undo) {
      toast('Nothing to step back from on this slip.');
      return;
    }
    write.mutate({ ...undo }, { isUndo: true, onSuccess: () => toast(`Stepped back: ${undo.says}.`) });
  };
  const changeQuantity = (by: number, of: SlipLine | undefined) => {
    // What comes in packs is counted in packs.
    const step = of ? by * of.packOf : by;
    if (!of || !mine || of.quantity + step < 1) return;
    // What is on its way counts, so that two presses are two.
    const meant = unsent.findLast((one) => one.name === 'changeLine' && one.request.params?.lineId === of.lineId);
    const quantity = Number(meant?.request.body?.quantity ?? of.quantity) + step;
    write.mutate(
      slipCall(
        'changeLine',
        { params: { ...params, lineId: of.lineId }, body: { quantity } },
        `${of.printed}: ${quantity}`,
      ),
    );
  };
  const prove = (of: SlipLine | undefined) => {
    if (of) go('/counter/proof', { inspect: of.partId, line: of.lineId });
  };
  return { remove, stepBack, changeQuantity, prove };
}
