import { agreedIntervalKm, gapForDuty, heatOffsetSteps } from '@brackenfell/core/duty/duty';
import { sayDuty } from '@brackenfell/core/duty/duty-text';
import { rulingValue } from '@brackenfell/core/fitment/facts';
import { sayIn } from '@brackenfell/core/fitment/say';
import { HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Tray } from '@brackenfell/contract/tray';
import type { JudgedEngine } from './judge-plugs.ts';

/** The duty, and what each school of the rules it touches makes of it: the chosen one and the other side by side. */
export function dutyView({ kind, positions, ruling }: JudgedEngine, units: UnitDisplay): Tray['duty'] {
  const { rules, duty } = ruling;
  const says = sayDuty(duty);
  if (kind !== 'plug') return { says, schools: [] };
  const say = sayIn(units);
  const { sheet } = positions[0]!;
  const madeFor = rulingValue(sheet, 'position.fuel') ?? 'petrol';
  const gap = rulingValue(sheet, 'position.gapMm');
  const intervalKm = rulingValue(sheet, 'position.intervalKm');
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
    ...(intervalKm === undefined
      ? []
      : HOUSE_RULES.interval.schools.map((school) => ({
          rule: HOUSE_RULES.interval.title,
          school: school.says,
          answer: say.quantity('distance', agreedIntervalKm(school.id, duty, intervalKm)),
          chosen: rules.interval === school.id,
        }))),
  ];
  return { says, schools };
}
