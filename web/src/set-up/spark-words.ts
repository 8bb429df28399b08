import type { Say } from '@brackenfell/core/fitment/say';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import { kvToHold, type GapThroughLife, type SparkDesk } from '@brackenfell/core/set-up/spark-desk';
import { sayMargin, type MarginWord, type PointEstimate } from '@brackenfell/core/spark-demand/margin';
import type { OperatingPointId } from '@brackenfell/core/spark-demand/operating-points';

export const POINT_WORDS: Readonly<Record<OperatingPointId, string>> = {
  'cold-crank': 'cold cranking',
  'torque-peak': 'torque peak',
  'top-speed': 'top speed',
};
export const MARGIN_WORDS: Readonly<Record<MarginWord, string>> = {
  comfortable: 'comfortable',
  tight: 'tight',
  'misfire-likely': 'a misfire is likely',
};

/** A margin in whole percent, never told for more than it is. */
export const inHand = (margin: number): string =>
  margin < 0 ? `${Math.ceil(-margin * 100)}% short` : `${Math.floor(margin * 100 + 1e-6)}% in hand`;

type Ready = Extract<SparkDesk, { kind: 'ready' }>;

const sayPoint = ({ id, demandKv, availableKv, margin }: PointEstimate): string =>
  `${demandKv.toFixed(1)} of ${availableKv.toFixed(1)} kV at ${POINT_WORDS[id]}, ${inHand(margin)}: ${MARGIN_WORDS[sayMargin(margin)]}`;

/** What a gap asks as set and at the end of its interval. Undefined outside a magneto's table. */
export function sayGap(gapMm: number, through: GapThroughLife, growthMm: number, say: Say): string | undefined {
  const { asSet, atEnd } = through;
  if (asSet.kind !== 'estimated' || atEnd.kind !== 'estimated') return undefined;
  return `At ${say.quantity('gap', gapMm)} the spark asks ${sayPoint(asSet.lowest)}. At the interval’s end, ${say.quantity('gap', growthMm)} wider, ${sayPoint(atEnd.lowest)}.`;
}

/** What each school asks here, and what would help where none holds. */
export function saySchools(desk: Ready, say: Say): readonly string[] {
  const { makers, byMargin } = desk;
  const stock = `By the engine maker: ${say.span('gap', makers)}.`;
  switch (byMargin.kind) {
    case 'not-estimated':
      return [stock];
    case 'range':
      return [
        stock,
        `By reserve: ${say.span('gap', byMargin.range)}, aim ${say.quantity('gap', middleOf(byMargin.range))}.`,
      ];
    case 'none-holds': {
      const { kv, at } = kvToHold(desk, byMargin.range.low);
      return [
        stock,
        `By reserve no gap holds: ${say.quantity('gap', byMargin.range.low)} would want a coil that gives ${kv.toFixed(0)} kV at ${POINT_WORDS[at]}, or a finer tip.`,
      ];
    }
  }
}
