import type { HandOver } from '@brackenfell/contract/hand-over';
import type { Intent } from '../wire/outbox.ts';

type Line = HandOver['fitted'][number];

/** A line's work with the steps that are done: who ticked each, or null while that is not sent. */
export type TickedLine = Omit<Line, 'ticks'> & { readonly done: ReadonlyMap<string, string | null> };
export type TickedCard = Omit<HandOver, 'fitted'> & { readonly fitted: readonly TickedLine[] };

/** What was ticked here, in the order it was, laid over what the server knows. */
export function layTicks(
  { fitted, ...card }: HandOver,
  unsent: readonly Pick<Intent, 'name' | 'request'>[],
): TickedCard {
  return {
    ...card,
    fitted: fitted.map(({ ticks, ...line }) => {
      const done = new Map<string, string | null>(ticks.map(({ stepId, by }) => [stepId, by]));
      for (const { name, request } of unsent) {
        if (name !== 'tickStep' || request.body?.lineId !== line.lineId) continue;
        const stepId = String(request.body.stepId);
        if (request.body.done === true) done.set(stepId, null);
        else done.delete(stepId);
      }
      return { ...line, done };
    }),
  };
}
