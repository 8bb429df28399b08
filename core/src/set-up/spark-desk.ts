import { agreedInterval, wearFactor } from '../duty/agreed-interval.ts';
import { pressureRatio, withFactoryBoost, type Duty } from '../duty/duty.ts';
import { gapForDuty } from '../duty/gap-for-duty.ts';
import { rulingValue, type FactId, type FactSheet } from '../facts/facts.ts';
import type { Span } from '../facts/fact-shapes.ts';
import type { HouseRules } from '../house-rules/house-rules.ts';
import { lifeAtPositionKm, wornMaterial } from '../plugs/electrode-wear.ts';
import { intervalOf } from '../service-plan/running-hours.ts';
import { demandKv } from '../spark-demand/demand.ts';
import { endOfInterval, marginRange, type EndOfInterval, type MarginRange } from '../spark-demand/margin-range.ts';
import { COMFORTABLE, estimateSpark, TIGHT, type SparkEstimate, type SparkSetting } from '../spark-demand/margin.ts';
import { operatingPoints, type OperatingPointId } from '../spark-demand/operating-points.ts';
import { sparkSheet, type FittedPlug, type SparkInput } from '../spark-demand/spark-sheet.ts';
import { usualGrowthMm, WORN_PAST_MM } from '../wear/growth.ts';

/** Everything a spark is reckoned with at one place, for this plug, coil and duty; or what is missing. */
export type SparkDesk =
  | {
      readonly kind: 'ready';
      readonly setting: SparkSetting;
      readonly plug: FittedPlug;
      readonly inputs: readonly SparkInput[];
      /** What the engine maker asks. */
      readonly makers: Span;
      /** What the shop's rule asks for this duty. */
      readonly asked: Span;
      /** At the end of the agreed interval; where none is agreed, worn and 0.2 mm wider. */
      readonly end: EndOfInterval;
      /** The other school beside the maker's range: reckoned whether or not the shop goes by it. */
      readonly byMargin: MarginRange;
    }
  | { readonly kind: 'not-estimated'; readonly missing: readonly FactId[]; readonly inputs: readonly SparkInput[] };

interface AtPlace {
  /** What the place asks on paper and of this vehicle, with the coil's facts. */
  readonly onPaper: FactSheet;
  readonly plug: FactSheet;
  readonly duty: Duty;
  readonly rules: Pick<HouseRules, 'gapForDuty' | 'interval'>;
}

/** How much wider a gap grows in an agreed interval, and how much of its life is used, for this very plug. */
function endFor({ onPaper, plug, rules }: AtPlace, duty: Duty): EndOfInterval {
  const polarity = rulingValue(onPaper, 'position.polarity') ?? 'forward';
  const material = wornMaterial({
    polarity,
    centre: rulingValue(plug, 'plug.centreMaterial') ?? rulingValue(onPaper, 'position.centreDesign'),
    ground: rulingValue(plug, 'plug.groundMaterial') ?? rulingValue(onPaper, 'position.groundDesign'),
  });
  const { km: makers } = intervalOf(
    rulingValue(onPaper, 'position.intervalKm'),
    rulingValue(onPaper, 'position.intervalHours'),
  );
  const aspiration = rulingValue(onPaper, 'position.aspiration');
  const life = lifeAtPositionKm({
    polarity,
    centre: rulingValue(plug, 'plug.centreMaterial'),
    ground: rulingValue(plug, 'plug.groundMaterial'),
    gapMm: rulingValue(onPaper, 'position.gapMm'),
    aspiration,
    statedLifeKm: rulingValue(plug, 'plug.lifeKm'),
    statedReversedKm: rulingValue(plug, 'plug.lifeReversedKm'),
  });
  const dutyFactor = wearFactor(rules.interval, duty);
  const agreed = agreedInterval(rules.interval, duty, { makers, life });
  const worn = { growthMm: WORN_PAST_MM, lifeUsed: 1 };
  if (material === undefined) return worn;
  const perTenThousandKmMm = usualGrowthMm({ material, isForced: aspiration === 'forced', dutyFactor });
  return endOfInterval(agreed?.value, life, { perTenThousandKmMm, dutyFactor }) ?? worn;
}

/** Reads the desk of one place from what is on paper, the plug, the coil and the customer's duty. Spark demand: Margin. */
export function sparkDesk(place: AtPlace): SparkDesk {
  const { onPaper, plug, rules } = place;
  const duty = withFactoryBoost(place.duty, onPaper);
  const isChanged = pressureRatio(duty) > 1 + 1e-9;
  const spark = sparkSheet(
    { ...onPaper, ...plug },
    { ...(isChanged ? { boostKpa: duty.boostKpa } : {}), ...(duty.gasFuel === true ? { isOnGas: true } : {}) },
  );
  const makers = rulingValue(onPaper, 'position.gapMm');
  if (spark.kind === 'not-estimated' || makers === undefined)
    return {
      kind: 'not-estimated',
      missing: [
        ...(spark.kind === 'not-estimated' ? spark.missing : []),
        ...(makers ? [] : (['position.gapMm'] as const)),
      ],
      inputs: spark.inputs,
    };
  const end = endFor(place, duty);
  const byDuty = gapForDuty(onPaper, duty, rules);
  return {
    ...spark,
    makers,
    asked: byDuty.kind === 'range' || byDuty.kind === 'none-holds' ? byDuty.range : makers,
    end,
    byMargin: marginRange(spark.setting, spark.plug, makers, end),
  };
}

/** A gap as set and at the end of its interval. */
export interface GapThroughLife {
  readonly asSet: SparkEstimate;
  readonly atEnd: SparkEstimate;
}

export const gapThroughLife = (
  { setting, plug, end }: Pick<Extract<SparkDesk, { kind: 'ready' }>, 'setting' | 'plug' | 'end'>,
  gapMm: number,
): GapThroughLife => ({
  asSet: estimateSpark(setting, { ...plug, gapMm, lifeUsed: 0 }),
  atEnd: estimateSpark(setting, { ...plug, gapMm: gapMm + end.growthMm, lifeUsed: end.lifeUsed }),
});

/** The voltage a coil would have to give for a gap to keep 30% as set and 15% at the end, and where it is asked. */
export function kvToHold(
  { setting, plug, end }: Pick<Extract<SparkDesk, { kind: 'ready' }>, 'setting' | 'plug' | 'end'>,
  gapMm: number,
): { readonly kv: number; readonly at: OperatingPointId } {
  const { engine, path } = setting;
  const asked = operatingPoints(engine).map((point) => {
    const demand = (gap: number, lifeUsed: number) =>
      demandKv({ ...plug, gapMm: gap, lifeUsed }, point, { isOnGas: engine.isOnGas, path });
    const asSet = demand(gapMm, 0) / (1 - COMFORTABLE);
    const atEnd = demand(gapMm + end.growthMm, end.lifeUsed) / (1 - TIGHT);
    return { kv: Math.max(asSet, atEnd), at: point.id };
  });
  return asked.reduce((a, b) => (b.kv > a.kv ? b : a));
}
