import { useMemo } from 'react';
import type { HandOver } from '@brackenfell/contract/hand-over';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useUnsent } from '../counter/use-unsent.ts';
import { layTicks, type TickedCard } from './lay-ticks.ts';

/**
 * A card with what was ticked here and is not sent yet. For whoever fetches the card: laid over it further down, what is
 * crossed out here would show before its answer does.
 */
export function useTicked(card: HandOver | undefined): TickedCard | undefined {
  // A tick is on no version of the slip: several hands tick at once, also after it was collected.
  const unsent = useUnsent(undefined);
  return useMemo(() => card && layTicks(card, unsent), [card, unsent]);
}

/** Ticks a step of a line's work, or takes its tick back. */
export function useTick(slipId: string) {
  const write = useSlipWrite();
  return (lineId: string, stepId: string, done: boolean) =>
    write.mutate(
      slipCall('tickStep', { params: { slipId }, body: { lineId, stepId, done } }, `step ${stepId}`),
      {},
      null,
    );
}
