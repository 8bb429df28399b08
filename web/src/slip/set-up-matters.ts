import type { Say } from '@brackenfell/core/fitment/say';
import { setUpPoints, type SetUpPoint } from '@brackenfell/core/set-up/set-up-points';
import type { Slip } from '@brackenfell/contract/slip';

/** Something of a line's setting up that is to be done or asked. It is told and printed; it does not keep the slip. */
export interface SetUpMatter extends SetUpPoint {
  readonly lineId: string;
  readonly printed: string;
}

/** All of them over the slip's lines. A plug that goes back keeps the slip, and stands among what is open. */
export const setUpMatters = (slip: Slip, say: Say): readonly SetUpMatter[] =>
  slip.lines.flatMap(({ lineId, printed, quantity, setUp, gaps }) =>
    setUpPoints({ quantity, figures: setUp, gaps }, say)
      .filter(({ kind }) => kind !== 'to-return')
      .map((point) => ({ ...point, lineId, printed })),
  );
