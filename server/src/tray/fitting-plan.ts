import type { Duty } from '@brackenfell/core/duty/duty';
import type { FactSheet } from '@brackenfell/core/facts/facts';
import { sayIn } from '@brackenfell/core/fitment/say';
import { fittingPlan, type FittingStep } from '@brackenfell/core/fitting-plan/fitting-plan';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { FittingPlan } from '@brackenfell/contract/fitting-plan';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readProcedures } from '../engine/store.ts';
import type { FoundHere } from '../reading/store.ts';
import { judgePlugs } from './judge-plugs.ts';

interface Question {
  readonly engineId: string;
  readonly partId: string;
  readonly duty: Duty;
  readonly units: UnitDisplay;
  readonly found: FoundHere | undefined;
}

/** How a plug is fitted in an engine, at the place it suits. Undefined without such an engine or plug. */
export async function planFitting(
  context: Context,
  db: Database,
  { engineId, partId, duty, units, found }: Question,
): Promise<FittingPlan | undefined> {
  const judged = await judgePlugs(context, { engineId, duty, only: [partId], found }, units, db);
  const candidate = judged?.candidates[0];
  if (!judged || !candidate) return undefined;
  const position = judged.positions.find(({ place }) => place === candidate.place)!;
  // What was found on this vehicle stands over what is on paper, here as in the tray.
  const askedAt = (sheet: FactSheet) => judged.ruling.apply(withReadings(sheet, found?.ofVehicle ?? []));
  const asked = askedAt(position.sheet);
  const here = judged.positions
    .filter(({ place }) => place === candidate.place)
    .map(({ label, sheet }) => ({ label, sheet: askedAt(sheet) }));
  const { verdict, findings } = candidate.judgement;
  // What is refused has no order of work: nothing on the sheet could be mistaken for one.
  const steps =
    verdict === 'refuse'
      ? [
          {
            phase: 'before' as const,
            id: 'do-not-fit',
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
          await readProcedures(db, engineId),
          here,
        );
  return {
    engine: `${judged.engine.maker} ${judged.engine.code}`,
    part: candidate.part.printed,
    isRefused: verdict === 'refuse',
    steps: steps.map(({ phase, id, says, caution, rule, isQuestion }: FittingStep) => ({
      phase,
      id,
      says,
      isQuestion: isQuestion === true,
      caution: caution === true,
      rule: rule ?? null,
    })),
  };
}
