import { agreedInterval } from '@brackenfell/core/duty/agreed-interval';
import { heatOffsetSteps, withFactoryBoost } from '@brackenfell/core/duty/duty';
import { gapForDuty, type GapForDuty } from '@brackenfell/core/duty/gap-for-duty';
import { sayDuty } from '@brackenfell/core/duty/duty-text';
import { rulingValue } from '@brackenfell/core/facts/facts';
import type { Span } from '@brackenfell/core/facts/fact-shapes';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { HOUSE_RULES } from '@brackenfell/core/house-rules/house-rules';
import { KM_PER_HOUR, sayServed } from '@brackenfell/core/service-plan/running-hours';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { Tray } from '@brackenfell/contract/tray';
import type { JudgedEngine } from './judge-plugs.ts';

/** The duty, and what each school of the rules it touches makes of it: the chosen one and the other side by side. */
export function dutyView({ kind, positions, ruling }: JudgedEngine, units: UnitDisplay): Tray['duty'] {
  const says = sayDuty(ruling.duty);
  if (kind !== 'plug') return { says, schools: [] };
  const say = sayIn(units);
  const { sheet } = positions[0]!;
  const { rules } = ruling.settle(sheet);
  const duty = withFactoryBoost(ruling.duty, sheet);
  const madeFor = rulingValue(sheet, 'position.fuel') ?? 'petrol';
  const gap = rulingValue(sheet, 'position.gapMm');
  const intervalKm = rulingValue(sheet, 'position.intervalKm');
  const hours = rulingValue(sheet, 'position.intervalHours');
  const agreed = (school: (typeof HOUSE_RULES.interval.schools)[number]['id']): string | undefined => {
    if (hours !== undefined)
      return sayServed(agreedInterval(school, duty, { makers: hours }, 'hours')!.value * KM_PER_HOUR, 'hours', say);
    const agreed = agreedInterval(school, duty, { makers: intervalKm });
    return agreed && say.quantity('distance', agreed.value);
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
          answer: gapAnswer(gapForDuty(sheet, duty, { ...rules, gapForDuty: school.id }), gap, say),
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

/** What a school makes of the maker's range, and where it cannot say. */
function gapAnswer(asked: GapForDuty, makers: Span, say: Say): string {
  switch (asked.kind) {
    case 'as-made':
      return say.span('gap', makers);
    case 'not-estimated':
      return `${say.span('gap', makers)}: not estimated`;
    case 'none-holds':
      return `${say.span('gap', asked.range)}: none keeps its reserve`;
    case 'range':
      return say.span('gap', asked.range);
  }
}
