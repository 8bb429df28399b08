import type { Duty } from '@brackenfell/core/duty/duty';
import { sayIn } from '@brackenfell/core/fitment/say';
import { fittingPlan, type FittingStep } from '@brackenfell/core/fitting-plan/fitting-plan';
import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { FittingPlan } from '@brackenfell/contract/fitting-plan';
import type { Context } from '../context.ts';
import type { Database } from '../db/database.ts';
import { readProcedures } from '../engine/store.ts';
import type { FoundHere } from '../slip/reading-store.ts';
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
  const asked = judged.ruling.apply(position.sheet);
  const { verdict, findings } = candidate.judgement;
  // What is refused has no order of work: nothing on the sheet could be mistaken for one.
  const steps =
    verdict === 'refuse'
      ? [
          {
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
          judged.ruling.settle(position.sheet, candidate.sheet),
          sayIn(units),
          await readProcedures(db, engineId),
        );
  return {
    engine: `${judged.engine.maker} ${judged.engine.code}`,
    part: candidate.part.printed,
    isRefused: verdict === 'refuse',
    steps: steps.map(({ says, caution, rule }: FittingStep) => ({
      says,
      caution: caution === true,
      rule: rule ?? null,
    })),
  };
}
