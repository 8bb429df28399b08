import type { GapReading } from '@brackenfell/core/gap/gap-desk';
import type { Slip } from '@brackenfell/contract/slip';
import type { Intent } from '../wire/outbox.ts';

export type Gap = Slip['lines'][number]['gaps'][number];

/** A reading as the desk shows it: stored, or written down here and on its way. */
export interface StandingGap extends GapReading {
  readonly how: Gap['how'];
  readonly device: string | null;
  /** Who took it; null while it is on its way. */
  readonly by: string | null;
}

const takeBack = (gaps: readonly StandingGap[], piece: number, which: unknown): StandingGap[] => {
  const last = gaps.findLastIndex((gap) => gap.piece === piece);
  return gaps.filter((gap, i) => (which === 'all' ? gap.piece !== piece : i !== last));
};

/** The gaps of a line as they stand with what was written down here and is not sent yet, in order. */
export function standingGaps(
  lineId: string,
  stored: readonly Gap[],
  unsent: readonly Intent[],
): readonly StandingGap[] {
  return unsent
    .filter(({ request }) => request.params?.lineId === lineId)
    .reduce<readonly StandingGap[]>((gaps, { name, request: { body = {} } }) => {
      if (name === 'withdrawGapReading') return takeBack(gaps, Number(body.piece), body.which);
      if (name !== 'addGapReading') return gaps;
      const { piece, stage, gapMm, how, device } = body as unknown as Gap;
      return [...gaps, { piece, stage, gapMm, how, device: device ?? null, by: null }];
    }, stored);
}
