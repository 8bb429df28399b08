import type { Duty } from '@brackenfell/core/duty/duty';
import type { FactId, FactSheet } from '@brackenfell/core/facts/facts';
import { RULE_IDS } from '@brackenfell/core/house-rules/house-rules';
import { withReadings } from '@brackenfell/core/slip/piece-readings';
import type { SetUp } from '@brackenfell/contract/set-up';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import type { FoundHere } from '../reading/store.ts';
import { judgePlugs } from '../tray/judge-plugs.ts';

interface Question {
  readonly engineId: string;
  readonly partId: string;
  readonly duty: Duty;
  readonly build: string | undefined;
  /** Another coil than the engine's own. */
  readonly coilId: string | undefined;
  readonly found: FoundHere | undefined;
}

/** Facts that setting up reads: all of a coil, and these of plug and place. */
const READ: ReadonlySet<FactId> = new Set<FactId>([
  'plug.threadDiameterMm',
  'plug.seat',
  'plug.centreMaterial',
  'plug.groundMaterial',
  'plug.groundCount',
  'plug.groundForm',
  'plug.gapMm',
  'plug.gapToleranceMm',
  'plug.gapAdjust',
  'plug.lifeKm',
  'plug.lifeReversedKm',
  'plug.torque',
  'plug.turn',
  'plug.plating',
  'position.gapMm',
  'position.torque',
  'position.turn',
  'position.headMetal',
  'position.wrenchReaches',
  'position.intervalKm',
  'position.intervalHours',
  'position.compressionRatio',
  'position.ratedRpm',
  'position.boostKpa',
  'position.aspiration',
  'position.fuel',
  'position.polarity',
  'position.centreDesign',
  'position.groundDesign',
  'job.cylindersCount',
]);

/** A sheet as it is sent: what setting up reads of it, and nothing that only another check wants. */
const told = (sheet: FactSheet): SetUp['plug'] =>
  Object.fromEntries(
    Object.entries(sheet)
      .filter(([fact]) => READ.has(fact as FactId) || fact.startsWith('coil.'))
      .map(([fact, { ruling }]) => [fact, { ruling: [...ruling] }]),
  );

/** An engine's place with another coil in place of its own. */
function withCoil(place: FactSheet, coil: FactSheet | undefined): FactSheet {
  if (!coil) return place;
  const bare = Object.fromEntries(Object.entries(place).filter(([fact]) => !fact.startsWith('coil.')));
  return { ...bare, ...Object.fromEntries(Object.entries(coil).filter(([fact]) => fact.startsWith('coil.'))) };
}

/** Everything a plug is set up by at the places it suits. Undefined without such an engine or plug. */
export async function gatherSetUp(
  context: Context,
  db: Database,
  { engineId, partId, duty, build, coilId, found }: Question,
): Promise<SetUp | undefined> {
  const judged = await judgePlugs(context, { engineId, build, duty, only: [partId], found }, 'metric', db);
  const candidate = judged?.candidates[0];
  if (!judged || !candidate) return undefined;
  const others = coilId === undefined ? undefined : (await context.sheets.withOthers(db)).others.get(coilId);
  const coil = others?.title.kind === 'coil' ? others : undefined;
  const places = judged.positions
    .filter(({ place }) => place === candidate.place)
    .map(({ label, sheet }) => {
      const onPaper = withReadings(withCoil(sheet, coil?.sheet), found?.ofVehicle ?? []);
      const asked = judged.ruling.apply(onPaper);
      const { rules } = judged.ruling.settle(asked, candidate.sheet);
      return {
        label,
        onPaper: told(onPaper),
        asked: told(asked),
        rules: Object.fromEntries(RULE_IDS.map((rule) => [rule, rules[rule]])) as SetUp['places'][number]['rules'],
      };
    });
  const hasOwnCoil = Object.keys(places[0]?.onPaper ?? {}).some((fact) => fact.startsWith('coil.'));
  return {
    engine: `${judged.engine.maker} ${judged.engine.code}`,
    part: candidate.part.printed,
    partMaker: candidate.part.maker,
    plug: told(candidate.sheet),
    places,
    coil: coil
      ? { printed: coil.title.printed, isOwn: false }
      : hasOwnCoil
        ? { printed: 'the engine’s own', isOwn: true }
        : null,
  };
}
