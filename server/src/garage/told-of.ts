import { readDuty } from '@brackenfell/core/duty/duty-text';
import { figuresFor } from '@brackenfell/core/set-up/figures';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { intervalOf } from '../garage-book/fit-store.ts';
import type { VehicleRow } from '../garage-book/store.ts';
import { judgeAlone } from '../tray/fitting-plan.ts';

type Judged = Pick<VehicleRow, 'engine_id' | 'duty' | 'build'>;

/** A part judged alone for a vehicle as it is remembered; undefined where its engine is not known, or takes none such. */
export async function judgeForVehicle(context: Context, db: Database, vehicle: Judged, partId: string) {
  if (vehicle.engine_id === null) return undefined;
  const duty = readDuty(vehicle.duty) ?? {};
  const alone = await judgeAlone(context, db, {
    engineId: vehicle.engine_id,
    partId,
    duty,
    build: vehicle.build ?? undefined,
    units: 'metric',
    found: undefined,
  });
  return alone && { ...alone, duty };
}

/** What a part that is written down by hand was or would have been told: its figures, with the interval agreed. */
export async function toldOf(context: Context, db: Database, vehicle: Judged, partId: string) {
  const alone = await judgeForVehicle(context, db, vehicle, partId);
  if (!alone) return { set_up: null, places: [] as string[], ...intervalOf(null) };
  const { ruling } = alone.judged;
  const places = alone.places.map(({ label, sheet }) => ({ label, onPaper: sheet, asked: ruling.apply(sheet) }));
  const figures = figuresFor(places, alone.candidate.sheet, alone.duty, (asked, plug) => ruling.settle(asked, plug));
  return { set_up: JSON.stringify(figures), places: places.map(({ label }) => label), ...intervalOf(figures) };
}
