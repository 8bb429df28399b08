import type { Duty } from '@brackenfell/core/duty/duty';
import { sayIn } from '@brackenfell/core/fitment/say';
import { fittingPlan } from '@brackenfell/core/fitting-plan/fitting-plan';
import type { FittingStep, PlaceOfWork } from '@brackenfell/core/fitting-plan/steps';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { FittingPlan } from '@brackenfell/contract/fitting-plan';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readProcedures } from '../engine/store.ts';
import type { FoundHere } from '../reading/store.ts';
import { judgePlugs, type JudgedCandidate, type JudgedEngine } from './judge-plugs.ts';

/** A step, or that there is none to be done. */
type ToldStep = Omit<FittingStep, 'id'> & { readonly id: FittingStep['id'] | 'do-not-fit' };

interface Question {
  readonly engineId: string;
  readonly partId: string;
  readonly duty: Duty;
  readonly build?: string | undefined;
  readonly units: UnitDisplay;
  readonly found: FoundHere | undefined;
}

/** A plug as it is judged alone in an engine, with what the place it suits asks of this vehicle. */
export interface JudgedAlone {
  readonly judged: JudgedEngine;
  readonly candidate: JudgedCandidate;
  readonly places: readonly [PlaceOfWork, ...PlaceOfWork[]];
}

/** Undefined without such an engine or plug. */
export async function judgeAlone(
  context: Context,
  db: Database,
  { partId, units, ...question }: Question,
): Promise<JudgedAlone | undefined> {
  const judged = await judgePlugs(context, { ...question, only: [partId] }, units, db);
  const candidate = judged?.candidates[0];
  if (!judged || !candidate) return undefined;
  // What was found on this vehicle stands over what is on paper, here as in the tray.
  const [first, ...others] = judged.positions
    .filter(({ place }) => place === candidate.place)
    .map(({ label, sheet }) => ({
      label,
      sheet: judged.ruling.apply(withReadings(sheet, question.found?.ofVehicle ?? [])),
    }));
  return { judged, candidate, places: [first!, ...others] };
}

/** How a plug is fitted in an engine, at the place it suits. Undefined without such an engine or plug. */
export async function planFitting(
  context: Context,
  db: Database,
  question: Question,
): Promise<FittingPlan | undefined> {
  const alone = await judgeAlone(context, db, question);
  return alone && planOf(db, alone, question.units);
}

export async function planOf(
  db: Database,
  { judged, candidate, places }: JudgedAlone,
  units: UnitDisplay,
): Promise<FittingPlan> {
  const asked = places[0].sheet;
  const { verdict, findings } = candidate.judgement;
  // What is refused has no order of work: nothing on the sheet could be mistaken for one.
  const steps =
    verdict === 'refuse'
      ? [
          {
            phase: 'before' as const,
            id: 'do-not-fit' as const,
            says: `Do not fit: ${findings
              .filter(({ outcome }) => outcome === 'refuse')
              .map(({ told }) => told.says)
              .join(' ')}`,
            caution: true,
          },
        ]
      : fittingPlan(
          asked,
          candidate.sheet,
          judged.ruling.settle(asked, candidate.sheet),
          sayIn(units),
          await readProcedures(db, judged.engine.id),
          places,
        );
  return {
    engine: `${judged.engine.maker} ${judged.engine.code}`,
    part: candidate.part.printed,
    isRefused: verdict === 'refuse',
    steps: steps.map(stepView),
  };
}

/** A step as it is sent. */
export const stepView = ({ phase, id, says, caution, rule, isQuestion }: ToldStep): FittingPlan['steps'][number] => ({
  phase,
  id,
  says,
  isQuestion: isQuestion === true,
  caution: caution === true,
  rule: rule ?? null,
});
