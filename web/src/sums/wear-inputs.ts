import { agreedInterval, wearFactor, type AgreedInterval } from '@brackenfell/core/duty/agreed-interval';
import type { Material } from '@brackenfell/core/facts/plug-facts';
import { HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { systemOf, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { asOne } from '@brackenfell/core/quantities/plain-figure';
import { readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import { KM_PER_HOUR } from '@brackenfell/core/service-plan/running-hours';
import { measuredGrowth, usualGrowthMm, WORN_PAST_MM, type MeasuredGrowth } from '@brackenfell/core/wear/growth';
import { estimateRun, lifeEnds, type LifeEnd, type RunEstimate } from '@brackenfell/core/wear/remaining-life';
import { chosen } from './spark-inputs.ts';

export const TIPS_THAT_WEAR = [
  { value: 'iridium', says: 'iridium' },
  { value: 'platinum', says: 'platinum' },
  { value: 'silver', says: 'silver' },
  { value: 'nickel', says: 'nickel' },
] as const satisfies readonly { readonly value: Material; readonly says: string }[];
export const BREATHING = [
  { value: 'natural', says: 'breathes by itself' },
  { value: 'forced', says: 'turbo or supercharger' },
] as const;
export const CHANGED = [
  { value: 'as-built', says: 'as built' },
  { value: 'modified', says: 'modified, or in competition' },
] as const;

/** Fields of the sum, in the order they are asked on the telephone. */
export const WEAR_FIELDS = [
  { name: 'gap', label: 'Gap asked', kind: 'gap' },
  { name: 'found', label: 'Gap found now', kind: 'gap' },
  { name: 'delivered', label: 'Gap as fitted', kind: 'gap' },
  { name: 'ran', label: 'Run since', kind: 'distance' },
  { name: 'life', label: 'Its stated life', kind: 'distance' },
  { name: 'interval', label: 'Engine maker’s interval', kind: 'distance' },
] as const;
type FieldName = (typeof WEAR_FIELDS)[number]['name'];

export interface WearSum {
  readonly readings: Readonly<Record<FieldName, QuantityReading | undefined>>;
  readonly usualMm: number;
  readonly measured: MeasuredGrowth | undefined;
  /** What is reckoned with: measured where it could be, else the usual. */
  readonly rateMm: number;
  readonly estimate: RunEstimate | undefined;
  readonly ends: readonly LifeEnd[];
  readonly schools: readonly { readonly says: string; readonly agreed: AgreedInterval }[];
}

const HOURS = /^\s*(\d[\d\s]*)\s*(?:h|hours?)\s*$/i;

/** Running hours, for what has no kilometres: for wear one hour counts as 50 km. Undefined where none are written. */
function hoursOf(text: string, kind: 'gap' | 'distance'): QuantityReading | undefined {
  const hours = kind === 'distance' ? HOURS.exec(text) : null;
  if (!hours) return undefined;
  const km = Number(hours[1]!.replaceAll(/\s/g, '')) * KM_PER_HOUR;
  return { kind: 'read', low: km, high: km, unit: 'km' };
}

/** Whether an address counts in running hours. */
export const countsInHours = (search: URLSearchParams): boolean =>
  ['ran', 'interval'].some((name) => HOURS.test(search.get(name) ?? ''));

/** Reads an address's wear sum. Distances in km, gaps in mm; what cannot be read is asked back and not reckoned with. */
export function readWearSum(search: URLSearchParams, units: UnitDisplay): WearSum {
  const system = systemOf(units);
  const readings = Object.fromEntries(
    WEAR_FIELDS.map(({ name, kind }) => {
      const text = (search.get(name) ?? '').trim();
      if (text === '') return [name, undefined];
      const reading = hoursOf(text, kind) ?? readQuantity(text, kind, { system });
      return [name, name === 'gap' ? reading : asOne(reading)];
    }),
  ) as WearSum['readings'];
  const figure = (name: FieldName) => {
    const reading = readings[name];
    return reading?.kind === 'read' ? reading : undefined;
  };
  const one = (name: FieldName) => {
    const reading = figure(name);
    return reading?.low;
  };
  const [found, delivered, ran, life, makers] = [
    one('found'),
    one('delivered'),
    one('ran'),
    one('life'),
    one('interval'),
  ];
  const duty = chosen(search, 'changed', CHANGED) === 'modified' ? { powerRatio: 1.1 } : {};
  const usualMm = usualGrowthMm({
    material: chosen(search, 'material', TIPS_THAT_WEAR),
    isForced: chosen(search, 'breathing', BREATHING) === 'forced',
    dutyFactor: wearFactor('engine-maker', duty),
  });
  const measured =
    found !== undefined && delivered !== undefined && ran !== undefined
      ? measuredGrowth({ km: 0, gapMm: delivered }, { km: ran, gapMm: found })
      : undefined;
  const rateMm = measured?.kind === 'rate' ? measured.perTenThousandKmMm : usualMm;
  const range = figure('gap');
  const schools = HOUSE_RULES.interval.schools.flatMap(({ id, says }) => {
    const agreed = agreedInterval(id, duty, { makers, life });
    return agreed ? [{ says, agreed }] : [];
  });
  const estimate = found !== undefined && ran === undefined ? estimateRun(delivered, found, usualMm) : undefined;
  const ranKm = ran ?? (estimate?.kind === 'estimated' ? estimate.ranKm : undefined);
  return {
    readings,
    usualMm,
    measured,
    rateMm,
    estimate,
    ends:
      range && found !== undefined
        ? lifeEnds({
            gapMm: found,
            ranKm,
            perTenThousandKmMm: rateMm,
            wornAtMm: range.high + WORN_PAST_MM,
            statedLifeKm: life,
            intervalKm: schools[0]?.agreed.value,
          })
        : [],
    schools,
  };
}
