import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { HouseRules } from '../house-rules/house-rules.ts';
import { wornMaterial } from '../plugs/electrode-wear.ts';
import { intervalOf } from '../service-plan/running-hours.ts';
import { endOfInterval, marginRange, type MarginRange } from '../spark-demand/margin-range.ts';
import { sparkSheet } from '../spark-demand/spark-sheet.ts';
import { usualGrowthMm } from '../wear/growth.ts';
import { agreedInterval, wearFactor } from './agreed-interval.ts';
import { pressureRatio, withFactoryBoost, type Duty } from './duty.ts';

/** What a school makes of the engine maker's gap range for a duty. */
export type GapForDuty = { readonly kind: 'as-made' } | MarginRange;

/**
 * The gap range asked for a duty. The margin school reckons the spark's demand against what the engine's own coil gives, new
 * and at the end of the agreed interval; where boost or fuel are as the maker built them its range stands, and so it does
 * where the spark cannot be estimated, which is said. `sheet`: what the position asks and the coil. Gap and wear: Duty.
 */
export function gapForDuty(
  sheet: FactSheet,
  changed: Duty,
  rules: Pick<HouseRules, 'gapForDuty' | 'interval'>,
): GapForDuty {
  const makers = rulingValue(sheet, 'position.gapMm');
  const duty = withFactoryBoost(changed, sheet);
  const toGas = duty.gasFuel === true && rulingValue(sheet, 'position.fuel') !== 'gas';
  if (rules.gapForDuty === 'stock' || makers === undefined || (!toGas && pressureRatio(duty) <= 1 + 1e-9))
    return { kind: 'as-made' };
  const spark = sparkSheet(sheet, { boostKpa: duty.boostKpa, ...(toGas ? { isOnGas: true } : {}) });
  const polarity = rulingValue(sheet, 'position.polarity');
  const material =
    polarity &&
    wornMaterial({
      polarity,
      centre: rulingValue(sheet, 'position.centreDesign'),
      ground: rulingValue(sheet, 'position.groundDesign'),
    });
  if (spark.kind === 'not-estimated' || material === undefined) return { kind: 'not-estimated' };
  const dutyFactor = wearFactor(rules.interval, duty);
  const growth = usualGrowthMm({
    material,
    isForced: rulingValue(sheet, 'position.aspiration') === 'forced',
    dutyFactor,
  });
  const { km } = intervalOf(rulingValue(sheet, 'position.intervalKm'), rulingValue(sheet, 'position.intervalHours'));
  const agreed = agreedInterval(rules.interval, duty, { makers: km });
  const end = endOfInterval(agreed?.value, undefined, { perTenThousandKmMm: growth, dutyFactor });
  return end === undefined ? { kind: 'not-estimated' } : marginRange(spark.setting, spark.plug, makers, end);
}
