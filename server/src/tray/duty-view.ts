import { agreedIntervalHours, agreedIntervalKm, gapForDuty, heatOffsetSteps } from '@brackenfell/core/duty/duty';
import { sayDuty } from '@brackenfell/core/duty/duty-text';
import { rulingValue } from '@brackenfell/core/facts/facts';
import { sayIn } from '@brackenfell/core/fitment/say';
import { HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { KM_PER_HOUR, sayServed } from '@brackenfell/core/service-plan/running-hours';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Tray } from '@brackenfell/contract/tray';
import type { JudgedEngine } from './judge-plugs.ts';

/** The duty, and what each school of the rules it touches makes of it: the chosen one and the other side by side. */
export function dutyView({ kind, positions, ruling }: JudgedEngine, units: UnitDisplay): Tray['duty'] {
  const { duty } = ruling;
  const says = sayDuty(duty);
  if (kind !== 'plug') return { says, schools: [] };
  const say = sayIn(units);
  const { sheet } = positions[0]!;
  const { rules } = ruling.settle(sheet);
  const madeFor = rulingValue(sheet, 'position.fuel') ?? 'petrol';
  const gap = rulingValue(sheet, 'position.gapMm');
  const intervalKm = rulingValue(sheet, 'position.intervalKm');
  const hours = rulingValue(sheet, 'position.intervalHours');
  const agreed = (school: (typeof HOUSE_RULES.interval.schools)[number]['id']): string | undefined => {
    if (hours !== undefined) return sayServed(agreedIntervalHours(school, duty, hours) * KM_PER_HOUR, 'hours', say);
    return intervalKm === undefined ? undefined : say.quantity('distance', agreedIntervalKm(school, duty, intervalKm));
  };
  const schools = [
    ...HOUSE_RULES.heatWithPower.schools.map((school) => {
      const steps = heatOffsetSteps(school.id, duty, madeFor);
      return {
        rule: HOUSE_RULES.heatWithPower.title,
        school: school.says,
        answer: steps === 0 ? 'as the maker asks' : `${steps} colder`,
        chosen: rules.heatWithPower === school.id,
      };
    }),
    ...(gap === undefined
      ? []
      : HOUSE_RULES.gapForDuty.schools.map((school) => ({
          rule: HOUSE_RULES.gapForDuty.title,
          school: school.says,
          answer: say.span('gap', gapForDuty(school.id, duty, gap, madeFor)),
          chosen: rules.gapForDuty === school.id,
        }))),
    ...HOUSE_RULES.interval.schools.flatMap((school) => {
      const answer = agreed(school.id);
      const chosen = rules.interval === school.id;
      return answer === undefined ? [] : [{ rule: HOUSE_RULES.interval.title, school: school.says, answer, chosen }];
    }),
  ];
  return { says, schools };
}
