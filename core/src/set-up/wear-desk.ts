import { agreedInterval, wearFactor, type AgreedInterval } from '../duty/agreed-interval.ts';
import { withFactoryBoost, type Duty } from '../duty/duty.ts';
import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Material } from '../facts/plug-facts.ts';
import type { HouseRules } from '../house-rules/house-rules.ts';
import { HOUSE_RULES } from '../house-rules/house-rules.ts';
import { wornMaterial } from '../plugs/electrode-wear.ts';
import { KM_PER_HOUR } from '../service-plan/running-hours.ts';
import { TIGHT, estimateSpark } from '../spark-demand/margin.ts';
import { usualGrowthMm, WORN_PAST_MM } from '../wear/growth.ts';
import type { SparkDesk } from './spark-desk.ts';

/** One school's interval for this plug. */
export interface SchoolInterval {
  readonly school: string;
  readonly isChosen: boolean;
  readonly agreed: AgreedInterval;
}

/** How a plug wears at a place and when it is due, as delivered. Distances in km; hours where the engine counts them. */
export interface WearDesk {
  readonly countedIn: 'km' | 'hours';
  /** The electrode that wears here; undefined where it is not known. */
  readonly material: Material | undefined;
  readonly perTenThousandKmMm: number | undefined;
  readonly wornAtMm: number | undefined;
  /** The gap at which a worn plug's margin falls under 15%; undefined where it is not estimated or never does. */
  readonly marginOutAtMm: number | undefined;
  readonly statedLife: number | undefined;
  readonly schools: readonly SchoolInterval[];
}

const WIDEST_MM = 2.2;
const STEP_MM = 0.01;

/** The gap at which what is in hand falls under 15%, for a worn plug. Undefined where it does not, or is not estimated. */
export function marginOutAt(desk: SparkDesk, fromMm: number): number | undefined {
  if (desk.kind !== 'ready') return undefined;
  for (let mm = fromMm; mm <= WIDEST_MM; mm += STEP_MM) {
    const estimate = estimateSpark(desk.setting, { ...desk.plug, gapMm: mm, lifeUsed: 1 });
    if (estimate.kind !== 'estimated') return undefined;
    if (estimate.lowest.margin < TIGHT) return Number(mm.toFixed(2));
  }
  return undefined;
}

interface AtPlace {
  readonly onPaper: FactSheet;
  readonly plug: FactSheet;
  readonly duty: Duty;
  readonly rules: HouseRules;
  readonly spark: SparkDesk;
}

/** The material that wears there, by the polarity; undefined where either is not known. */
function wornAt(onPaper: FactSheet, plug: FactSheet): Material | undefined {
  const polarity = rulingValue(onPaper, 'position.polarity');
  return (
    polarity &&
    wornMaterial({
      polarity,
      centre: rulingValue(plug, 'plug.centreMaterial'),
      ground: rulingValue(plug, 'plug.groundMaterial'),
    })
  );
}

/** How the gap of a plug usually grows at a place, mm for 10 000 km; undefined where its material or polarity is not known. */
export function growthAt({ onPaper, plug, duty: told, rules }: Omit<AtPlace, 'spark'>): number | undefined {
  const material = wornAt(onPaper, plug);
  return (
    material &&
    usualGrowthMm({
      material,
      isForced: rulingValue(onPaper, 'position.aspiration') === 'forced',
      dutyFactor: wearFactor(rules.interval, withFactoryBoost(told, onPaper)),
    })
  );
}

/** Growth, ends and every school's interval for a plug at a place. Gap and wear: Remaining life. */
export function wearDesk({ onPaper, plug, duty: told, rules, spark }: AtPlace): WearDesk {
  const duty = withFactoryBoost(told, onPaper);
  const material = wornAt(onPaper, plug);
  const range = rulingValue(onPaper, 'position.gapMm');
  const hours = rulingValue(onPaper, 'position.intervalHours');
  const lifeKm = rulingValue(plug, 'plug.lifeKm');
  const countedIn = hours === undefined ? 'km' : 'hours';
  const life = hours === undefined || lifeKm === undefined ? lifeKm : Math.floor(lifeKm / KM_PER_HOUR);
  const makers = hours ?? rulingValue(onPaper, 'position.intervalKm');
  return {
    countedIn,
    material,
    perTenThousandKmMm: growthAt({ onPaper, plug, duty: told, rules }),
    wornAtMm: range === undefined ? undefined : range.high + WORN_PAST_MM,
    marginOutAtMm: range && marginOutAt(spark, range.low),
    statedLife: life,
    schools: HOUSE_RULES.interval.schools.flatMap(({ id, says }) => {
      const agreed = agreedInterval(id, duty, { makers, life }, countedIn);
      return agreed ? [{ school: says, isChosen: rules.interval === id, agreed }] : [];
    }),
  };
}
