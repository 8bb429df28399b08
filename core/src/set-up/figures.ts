import { FACTS, rulingValue, type FactSheet } from '../facts/facts.ts';
import { agreedInterval } from '../duty/agreed-interval.ts';
import { withFactoryBoost, type Duty } from '../duty/duty.ts';
import { UNPUBLISHED_TOLERANCE_MM } from '../gap/gap-desk.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import { KM_PER_HOUR } from '../service-plan/running-hours.ts';
import { sayTurn } from '../torque/settle-turn.ts';
import { torqueDesk, type TorqueDesk } from '../torque/torque-desk.ts';
import type { SetUpFigures } from './told-figures.ts';

/** A place with what it asks on paper and of this vehicle, and the same under the shop's rules and the customer's duty. */
export interface PlaceToSet {
  readonly label: string;
  readonly onPaper: FactSheet;
  readonly asked: FactSheet;
}

/** Several grounds, or none but the shell: the gap stays as it was made. Gap and wear: Moves. */
const isAsMade = (plug: FactSheet): boolean =>
  (rulingValue(plug, 'plug.groundCount') ?? 1) > 1 || rulingValue(plug, 'plug.groundForm') === 'surface';

function gapOf(asked: FactSheet, plug: FactSheet, { rules }: SettledRules): SetUpFigures['gap'] {
  const [first, ...others] = asked['position.gapMm']?.ruling ?? [];
  const adjust = rulingValue(plug, 'plug.gapAdjust');
  const toleranceMm = rulingValue(plug, 'plug.gapToleranceMm');
  return {
    range: first?.value ?? null,
    source: first?.source.name ?? null,
    rank: first?.source.rank ?? null,
    wants: first ? null : FACTS['position.gapMm'].question,
    against: others.map(({ value, source }) => ({ range: value, source: source.name })),
    deliveredMm: rulingValue(plug, 'plug.gapMm') ?? null,
    toleranceMm: toleranceMm ?? UNPUBLISHED_TOLERANCE_MM,
    isToleranceAssumed: toleranceMm === undefined,
    limitMm: isAsMade(plug) ? null : adjust === undefined ? 'unknown' : adjust.kind === 'fixed' ? null : adjust.mm,
    preGapped: rules.preGapped,
  };
}

/** What is odd about the sources of a torque, without a figure of it: those stand beside it. */
export const sayTorqueQuestions = ({ questions }: TorqueDesk): string[] =>
  questions.map((question) =>
    question.kind === 'swapped'
      ? `${question.between[0].name} and ${question.between[1].name} lie apart ${question.says}: which unit does each mean?`
      : `${question.source.name} is not usual for this thread: is its unit right?`,
  );

function tighteningOf(asked: FactSheet, plug: FactSheet, settled: SettledRules): SetUpFigures['tightening'] {
  const desk = torqueDesk(asked, plug, settled);
  const { answer, compound, compoundShare, method, turn, sources } = desk;
  return {
    method,
    torque: answer
      ? {
          lowNm: answer.lowNm,
          highNm: answer.highNm,
          aimNm: answer.aimNm,
          share: compoundShare,
          compound,
          condition: answer.condition,
          conflict: answer.conflict,
          sources: [...new Set(sources.filter(({ counts }) => counts).map(({ name }) => name))],
        }
      : null,
    turn: turn ? turn.governs.map(sayTurn).join(', ') : null,
    questions: sayTorqueQuestions(desk),
  };
}

function intervalOf(
  { onPaper }: PlaceToSet,
  plug: FactSheet,
  told: Duty,
  { rules }: SettledRules,
): SetUpFigures['interval'] {
  const duty = withFactoryBoost(told, onPaper);
  const hours = onPaper['position.intervalHours']?.ruling[0];
  const km = onPaper['position.intervalKm']?.ruling[0];
  const life = plug['plug.lifeKm']?.ruling[0];
  const countedIn = hours ? 'hours' : 'km';
  const agreed = agreedInterval(
    rules.interval,
    duty,
    {
      makers: (hours ?? km)?.value,
      life: hours && life ? Math.floor(life.value / KM_PER_HOUR) : life?.value,
    },
    countedIn,
  );
  if (!agreed) return null;
  const source = (agreed.base === 'part-life' ? life : (hours ?? km))!.source.name;
  return { value: agreed.value, countedIn, source, share: agreed.share, outlivesPart: agreed.outlivesPart };
}

/** Two sets of figures that say the same of different places. */
const sameFigures = (a: SetUpFigures, b: SetUpFigures): boolean =>
  JSON.stringify({ ...a, at: [] }) === JSON.stringify({ ...b, at: [] });

/** What is set, how it is tightened and when it is due, for a plug at each of its places; places alike are told once. */
export function figuresFor(
  places: readonly PlaceToSet[],
  plug: FactSheet,
  duty: Duty,
  settle: (position: FactSheet, part: FactSheet) => SettledRules,
): readonly SetUpFigures[] {
  const told: SetUpFigures[] = [];
  for (const place of places) {
    const settled = settle(place.asked, plug);
    const figures: SetUpFigures = {
      at: [place.label],
      gap: gapOf(place.asked, plug, settled),
      tightening: tighteningOf(place.asked, plug, settled),
      interval: intervalOf(place, plug, duty, settled),
    };
    const alike = told.find((one) => sameFigures(one, figures));
    if (alike) alike.at.push(place.label);
    else told.push(figures);
  }
  return told;
}
