import { sayIn } from '@brackenfell/core/fitment/say';
import { stillFitted } from '@brackenfell/core/garage/current';
import { dueOf, isDueBy, pressing, type Due } from '@brackenfell/core/garage/due';
import { sayWhyDue } from '@brackenfell/core/garage/say-due';
import { servedBy, useOf, type ServedReading, type Use } from '@brackenfell/core/garage/use';
import { sayFigures } from '@brackenfell/core/set-up/say-figures';
import type { DueLine, FittedRecord, GarageLine, GarageVehicle } from '@brackenfell/contract/garage';
import type { FittedRow, ServedRow, VehicleRow } from '../garage-book/store.ts';

/** A vehicle with all that its dues follow from. */
export interface Known {
  readonly vehicle: VehicleRow;
  readonly readings: readonly ServedReading[];
  readonly use: Use;
  readonly fitted: readonly FittedRow[];
}

export function knownOf(vehicle: VehicleRow, served: readonly ServedRow[], fitted: readonly FittedRow[]): Known {
  const readings = served.map((row) => ({ on: row.on_day, served: row.served }));
  return {
    vehicle,
    readings,
    use: useOf(readings, { perDay: vehicle.per_day ?? undefined, months: vehicle.months }),
    fitted,
  };
}

export const engineTitle = (row: VehicleRow): string | null =>
  row.engine_code === null ? null : `${row.engine_maker} ${row.engine_code}`;

const currentOf = (fitted: readonly FittedRow[]): ReadonlySet<string> =>
  new Set(
    stillFitted(
      fitted.map((row) => ({ id: row.id, partKind: row.part_kind, places: row.places, on: row.on_day ?? undefined })),
    ).map(({ id }) => id),
  );

interface Reckoned {
  readonly line: DueLine;
  readonly due: Due;
}

/** The most pressing first; of those alike, the earlier day. */
const byPressing = (a: Reckoned, b: Reckoned): number =>
  pressing(a.due) - pressing(b.due) || (a.line.on ?? '9999').localeCompare(b.line.on ?? '9999');

/** What is due of a vehicle, the most pressing first: of what still sits in it and has an end that somebody knows. */
export function duesOf({ vehicle, readings, use, fitted }: Known, today: string): readonly Reckoned[] {
  const current = currentOf(fitted);
  const say = sayIn('metric');
  return fitted
    .filter((row) => current.has(row.id) && (row.interval !== null || (row.part_kind === 'plug' && row.how === 'said')))
    .map((row) => {
      const interval = row.interval ?? undefined;
      const due = dueOf(
        { served: row.served ?? undefined, on: row.on_day ?? undefined, interval },
        readings,
        use,
        today,
      );
      const why = { countsIn: vehicle.counts_in, interval, intervalSource: row.interval_source ?? undefined };
      return {
        due,
        line: {
          fittedId: row.id,
          vehicleId: vehicle.id,
          called: vehicle.called,
          plate: vehicle.plate,
          customer: vehicle.customer ?? '',
          phone: vehicle.phone ?? '',
          what: `${row.quantity} × ${row.printed}`,
          kind: due.kind,
          isPast: due.kind === 'history-unknown' || (due.kind === 'due' && due.left <= 0),
          at: due.kind === 'due' ? due.at : null,
          left: due.kind === 'due' ? due.left : null,
          on: due.kind === 'due' ? (due.on ?? null) : null,
          countsIn: vehicle.counts_in,
          because: sayWhyDue(due, why, say),
        },
      };
    })
    .sort(byPressing);
}

/** Of many vehicles: what is due by a day, the most pressing first. */
export const duesBy = (known: readonly Known[], today: string, until: string): DueLine[] =>
  known
    .flatMap((one) => duesOf(one, today))
    .filter(({ due }) => isDueBy(due, until))
    .sort(byPressing)
    .map(({ line }) => line);

/** Vehicles as the book lists them: whose first due presses most, then those with none, by name. */
export function garageLines(known: readonly Known[], today: string): GarageLine[] {
  return known
    .map((one) => ({ one, first: duesOf(one, today)[0] }))
    .sort(({ one: a, first: p }, { one: b, first: q }) =>
      p && q ? byPressing(p, q) : p || q ? (p ? -1 : 1) : a.vehicle.called.localeCompare(b.vehicle.called),
    )
    .map(({ one: { vehicle, readings, use }, first }) => ({
      vehicleId: vehicle.id,
      called: vehicle.called,
      plate: vehicle.plate,
      engine: engineTitle(vehicle),
      customer: vehicle.customer ?? '',
      countsIn: vehicle.counts_in,
      served: servedBy(readings, use, today)?.served ?? null,
      due: first?.line ?? null,
    }));
}

function fittedView(row: FittedRow, current: ReadonlySet<string>, { readings, use }: Known): FittedRecord {
  const then = row.on_day === null ? undefined : servedBy(readings, use, row.on_day);
  const [figures] = row.set_up ?? [];
  const say = sayIn('both');
  return {
    fittedId: row.id,
    partId: row.part_id,
    partKind: row.part_kind,
    printed: row.printed,
    maker: row.maker,
    quantity: row.quantity,
    places: row.places,
    on: row.on_day,
    served: row.served ?? (then ? Math.round(then.served) : null),
    isReckoned: row.served === null && (then?.isEstimate ?? false),
    how: row.how,
    by: row.by,
    slip: row.slip_id === null ? null : { slipId: row.slip_id, docket: row.docket! },
    batch: row.batch_code,
    gaps: row.gaps.map(({ piece, stage, gapMm }) => ({ place: row.places[piece - 1] ?? 'spare', stage, gapMm })),
    askedMm: figures?.gap.range ?? null,
    torque: figures ? (sayFigures(figures, say).find(({ what }) => what === 'Tighten')?.says ?? null) : null,
    interval: row.interval,
    intervalSource: row.interval_source,
    isCurrent: current.has(row.id),
  };
}

export const fittedOf = (known: Known): FittedRecord[] => {
  const current = currentOf(known.fitted);
  return known.fitted.map((row) => fittedView(row, current, known));
};

export const servedNow = ({ readings, use }: Known, today: string): GarageVehicle['servedNow'] =>
  servedBy(readings, use, today) ?? null;
