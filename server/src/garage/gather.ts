import { COMEBACK_CHECK_IDS, comebackCheck, MISFIRE_WORDS } from '@brackenfell/core/old-parts/comeback-checks';
import { saySeen } from '@brackenfell/core/old-parts/other-parts';
import { saySeat } from '@brackenfell/core/old-parts/seats';
import { SIGNS } from '@brackenfell/core/old-parts/signs';
import { growthAt } from '@brackenfell/core/set-up/wear-desk';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import type { SlipKept } from '@brackenfell/contract/slip-kept';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import {
  readCustomer,
  readDeclined,
  readFitted,
  readKeptOf,
  readServed,
  readSlipsOf,
  readVehicle,
  readVehiclesOf,
  type VehicleRow,
} from '../garage-book/store.ts';
import { duesOf, engineTitle, fittedOf, knownOf, servedNow, type Known } from './present.ts';
import { judgeForVehicle } from './told-of.ts';

/** Vehicles with what their dues follow from, in two questions however many they are. */
export async function readKnown(db: Database, vehicles: readonly VehicleRow[]): Promise<Known[]> {
  const ids = vehicles.map(({ id }) => id);
  const [served, fitted] = await Promise.all([readServed(db, ids), readFitted(db, ids)]);
  const ofVehicle = <R extends { readonly vehicle_id: string }>(rows: readonly R[]) => {
    const by = new Map<string, R[]>();
    for (const row of rows) by.set(row.vehicle_id, [...(by.get(row.vehicle_id) ?? []), row]);
    return (id: string): readonly R[] => by.get(id) ?? [];
  };
  const [readingsOf, recordsOf] = [ofVehicle(served), ofVehicle(fitted)];
  return vehicles.map((vehicle) => knownOf(vehicle, readingsOf(vehicle.id), recordsOf(vehicle.id)));
}

/** How the gap of the plugs that sit in it usually grows. */
async function growthOf(context: Context, db: Database, vehicle: VehicleRow, partId: string | undefined) {
  const alone = partId === undefined ? undefined : await judgeForVehicle(context, db, vehicle, partId);
  if (!alone) return null;
  const { sheet: onPaper } = alone.places[0];
  const plug = alone.candidate.sheet;
  return growthAt({ onPaper, plug, duty: alone.duty, rules: alone.judged.ruling.settle(onPaper, plug).rules }) ?? null;
}

function sayKept(kept: SlipKept): string {
  switch (kept.kind) {
    case 'swap-test':
      return `Swap test, code ${kept.code}: ${kept.results.length === 0 ? 'begun' : kept.results.join(', ')}`;
    case 'fitted-set':
      return `What was fitted, ${kept.part}s: ${kept.numbers.filter(Boolean).join(', ')}`;
    case 'old-plugs': {
      const odd = kept.cylinders.filter(({ signs }) => signs.some((id) => id !== 'tan' && id !== 'ring'));
      return `Old plugs, ${kept.cylinders.length} read: ${
        odd.length === 0
          ? 'all normal'
          : odd
              .map(({ signs, ...seat }) => `${saySeat(seat)} ${signs.map((id) => SIGNS[id].title).join(', ')}`)
              .join('; ')
      }`;
    }
    case 'old-others':
      return `Seen: ${kept.seen.map(({ sign, cylinders }) => saySeen(sign, cylinders)).join('; ')}`;
    case 'compression':
      return `Compression${kept.state ? `, ${kept.state}` : ''}: ${kept.reads
        .map(({ cylinder, dryKpa }) => `${cylinder} ${(dryKpa / 100).toFixed(1)}`)
        .join(', ')} bar`;
    case 'comeback': {
      const wrong = COMEBACK_CHECK_IDS.find((id) => kept.results[id] === 'wrong');
      return `Came back, ${MISFIRE_WORDS[kept.misfire]}: ${wrong ? comebackCheck(wrong).title.toLowerCase() : 'open'}`;
    }
    case 'fragile':
      return kept.seenBroken.length === 0 ? 'Fragile parts looked at' : `Seen broken: ${kept.seenBroken.join(' ')}`;
    case 'spark-evidence':
      return `Ran ${kept.ranKm} km on a gap of ${kept.gapMm} mm${kept.readHealthy ? ', read healthy' : ''}`;
  }
}

/** A vehicle with everything the garage book holds of it. Undefined where there is none. */
export async function gatherVehicle(
  context: Context,
  db: Database,
  vehicleId: string,
  today: string,
): Promise<GarageVehicle | undefined> {
  const vehicle = await readVehicle(db, vehicleId);
  if (!vehicle) return undefined;
  const [[known], served, declined, slips, kept, customer] = await Promise.all([
    readKnown(db, [vehicle]),
    readServed(db, [vehicleId]),
    readDeclined(db, vehicleId),
    readSlipsOf(db, vehicleId),
    readKeptOf(db, vehicleId),
    vehicle.customer_id === null ? undefined : readCustomer(db, vehicle.customer_id),
  ]);
  const fitted = fittedOf(known!);
  const plugs = fitted.find(({ partKind, isCurrent }) => partKind === 'plug' && isCurrent);
  return {
    vehicleId: vehicle.id,
    version: vehicle.version,
    called: vehicle.called,
    plate: vehicle.plate,
    serial: vehicle.serial,
    engineId: vehicle.engine_id,
    engine: engineTitle(vehicle),
    build: vehicle.build,
    duty: vehicle.duty,
    modified: vehicle.modified,
    perDay: vehicle.per_day,
    months: vehicle.months,
    countsIn: vehicle.counts_in,
    customer: customer
      ? {
          customerId: customer.id,
          version: customer.version,
          name: customer.name,
          phone: customer.phone,
          accountRef: customer.account_ref,
          isTrade: customer.is_trade,
          vehicles: (await readVehiclesOf(db, customer.id)).length,
        }
      : null,
    usePerDay: known!.use.perDay ?? null,
    servedNow: servedNow(known!, today),
    readings: served.map(({ id, on_day: on, served: run, how, by }) => ({ readingId: id, on, served: run, how, by })),
    fitted,
    dues: duesOf(known!, today).map(({ line }) => line),
    growthMm: await growthOf(context, db, vehicle, plugs?.partId ?? undefined),
    declined: declined.map((row) => ({
      declinedId: row.id,
      says: row.says,
      priceMinor: row.price_minor,
      at: row.at.toISOString(),
      by: row.by,
      raised:
        row.raised_at === null ? null : { at: row.raised_at.toISOString(), by: row.raised_by!, taken: row.taken! },
    })),
    slips: slips.map((row) => ({
      slipId: row.id,
      docket: row.docket,
      state: row.state,
      cameFor: row.came_for,
      at: row.updated_at.toISOString(),
    })),
    found: kept.map((row) => ({
      slipId: row.slip_id,
      docket: row.docket,
      kind: row.kept.kind,
      says: sayKept(row.kept),
      at: row.at.toISOString(),
    })),
  };
}
