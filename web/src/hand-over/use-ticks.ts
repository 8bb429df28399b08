import type { HandOver } from '@brackenfell/contract/hand-over';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite, useUnsent } from '../counter/slip-outbox.ts';

type Line = HandOver['fitted'][number];

/** Steps that are done, with what was ticked here and is not sent yet; and ticking one, or taking its tick back. */
export function useTicks(slipId: string, line: Line) {
  const write = useSlipWrite();
  // A tick is on no version of the slip: several hands tick at once, also after it was collected.
  const unsent = useUnsent(undefined).filter(
    ({ name, request }) => name === 'tickStep' && request.body?.lineId === line.lineId,
  );
  const done = new Map<string, string | null>(line.ticks.map(({ stepId, by }) => [stepId, by]));
  for (const { request } of unsent) {
    const stepId = String(request.body?.stepId);
    if (request.body?.done === true) done.set(stepId, null);
    else done.delete(stepId);
  }
  const tick = (stepId: string) => {
    const body = { lineId: line.lineId, stepId, done: !done.has(stepId) };
    write.mutate(slipCall('tickStep', { params: { slipId }, body }, `step ${stepId}`), {}, null);
  };
  return { done, tick };
}
