import type { Express } from 'express';
import { oddReading, type OddReading } from '@brackenfell/core/garage/use';
import { dayAfter } from '@brackenfell/core/words/calendar';
import { splitVehicle } from '@brackenfell/core/garage/plate';
import { sayRun } from '@brackenfell/core/garage/say-due';
import { sayIn } from '@brackenfell/core/fitment/say';
import type { CountsIn } from '@brackenfell/core/service-plan/running-hours';
import { isFinal } from '@brackenfell/core/slip/slip-states';
import {
  addFittedRecord,
  addServedReading,
  changeCustomer,
  changeGarageVehicle,
  declineAdvice,
  dueCalendar,
  dueSheet,
  erasePerson,
  exportPerson,
  getGarageVehicle,
  listDue,
  mergePeople,
  raiseAdvice,
  rememberVehicle,
  searchGarage,
  withdrawFittedRecord,
  withdrawServedReading,
  type GarageVehicle,
} from '@brackenfell/contract/garage';
import { printDate } from '@brackenfell/core/words/moments';
import { readPartRows } from '../catalogue/part-store.ts';
import type { Context } from '../context/context.ts';
import { today } from '../context/today.ts';
import type { Database, Writing } from '../db/database.ts';
import { rememberFitted } from '../garage-book/fit-store.ts';
import {
  addCustomer,
  addFitted,
  addServed,
  addVehicle,
  changeCustomerRow,
  changeVehicleRow,
  countVehicles,
  findCustomer,
  findVehicles,
  readCustomer,
  readFitted,
  readServed,
  readVehicle,
  readVehiclesOf,
  runsInHours,
  tieSlip,
  withdraw,
} from '../garage-book/store.ts';
import { erase, mergeInto, raise, addDeclined, slipsOfCustomer } from '../garage-book/people-store.ts';
import { findEngine } from '../engine/store.ts';
import { recordChange } from '../history/store.ts';
import { serve } from '../http/serve.ts';
import { isTrouble, trouble, type Trouble } from '../http/trouble.ts';
import { judgeLinesAgain } from '../slip/judge-lines.ts';
import { showSlip } from '../slip/show-slip.ts';
import { mustHold } from '../slip/slip-change.ts';
import { changeSlipRow, type SlipRow } from '../slip/store.ts';
import { calendarOf, sheetOf } from './due-files.ts';
import { gatherVehicle, readKnown } from './gather.ts';
import { duesBy, garageLines } from './present.ts';
import { toldOf } from './told-of.ts';

/** A garage book of more vehicles than this is searched, not leafed through. */
const MOST_VEHICLES = 2000;
const SHOWN = 100;

const NO_VEHICLE = trouble('not-found', 'The garage book has no such vehicle.');
const CHANGED = trouble('changed-meanwhile', 'Somebody changed it meanwhile: look at it as it stands now.');

function sayOdd(odd: OddReading, countsIn: CountsIn): string {
  const run = (served: number) => sayRun(served, countsIn, sayIn('metric'));
  switch (odd.kind) {
    case 'lower':
      return `It had run ${run(odd.than.served)} on ${printDate(odd.than.on)} already. A new meter, a figure too few, or another vehicle?`;
    case 'higher':
      return `On ${printDate(odd.than.on)} it had run only ${run(odd.than.served)}. Is the day right?`;
    case 'leap':
      return `That is ${run(odd.perDay)} a day since ${printDate(odd.since.on)}. A figure too many?`;
  }
}

async function show(context: Context, db: Database, vehicleId: string): Promise<GarageVehicle | Trouble> {
  return (await gatherVehicle(context, db, vehicleId, today())) ?? NO_VEHICLE;
}

/** A vehicle as a slip names it, with its customer: whoever has that very name and phone already is not written twice. */
async function rememberNew(trx: Writing, slip: SlipRow): Promise<string> {
  const { plate, called } = splitVehicle(slip.vehicle);
  const hasPerson = slip.customer !== '' || slip.phone !== '';
  const name = slip.customer || 'No name';
  const customerId = hasPerson
    ? ((await findCustomer(trx, name, slip.phone))?.id ?? (await addCustomer(trx, { name, phone: slip.phone })))
    : null;
  return addVehicle(trx, {
    customer_id: customerId,
    called: (called || plate || `${slip.engine_maker ?? ''} ${slip.engine_code ?? 'Vehicle'}`.trim()).slice(0, 80),
    plate: plate.slice(0, 20),
    engine_id: slip.engine_id,
    build: slip.build,
    duty: slip.duty,
    counts_in: slip.engine_id !== null && (await runsInHours(trx, slip.engine_id)) ? 'hours' : 'distance',
    per_day: null,
  });
}

export function garageRoutes(app: Express, context: Context): void {
  serve(app, context, searchGarage, async ({ query, db }) => {
    const rows = await findVehicles(db, query.q, MOST_VEHICLES);
    const lines = garageLines(await readKnown(db, rows), today());
    const shown = lines.slice(0, SHOWN);
    return { vehicles: shown, more: lines.length - shown.length, total: await countVehicles(db) };
  });
  serve(app, context, getGarageVehicle, ({ params, db }) => show(context, db, params.vehicleId));

  serve(app, context, rememberVehicle, async ({ params, body, staff, trx }) => {
    const slip = await changeSlipRow(trx, {
      slipId: params.slipId,
      version: body.version,
      staffId: staff.id,
      action: 'remember vehicle',
      // Also after the sale: then what it sold is written down with the vehicle at once.
      unless: (row) => (isFinal(row.state) ? undefined : mustHold(staff)(row)),
    });
    if (isTrouble(slip)) return slip;
    if (body.vehicleId !== null && !(await readVehicle(trx, body.vehicleId)))
      return trouble('invalid-request', 'Choose a vehicle of the garage book.', { vehicleId: 'no such vehicle' });
    // Remembered at two counters at once it is one vehicle still.
    const vehicleId = body.vehicleId ?? slip.garage_vehicle_id ?? (await rememberNew(trx, slip));
    await tieSlip(trx, slip.id, vehicleId);
    // What was found on it before is laid over what is on paper, here too.
    if (body.vehicleId !== null && !isFinal(slip.state))
      await judgeLinesAgain(context, trx, slip, staff, { cause: 'reading', store: 'changed' });
    if (slip.state === 'collected') await rememberFitted(trx, { ...slip, garage_vehicle_id: vehicleId }, staff.id);
    return showSlip(trx, slip.id);
  });

  serve(app, context, changeGarageVehicle, async ({ params, body, staff, trx }) => {
    const { version, engineId, perDay, ...same } = body;
    const before = await readVehicle(trx, params.vehicleId);
    if (!before) return NO_VEHICLE;
    if (engineId !== null && !(await findEngine(trx, engineId)))
      return trouble('invalid-request', 'Choose an engine of this catalogue.', { engineId: 'no such engine' });
    const set = { ...same, engine_id: engineId, per_day: perDay };
    if (!(await changeVehicleRow(trx, { id: params.vehicleId, version }, set))) return CHANGED;
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'garage vehicle',
      subjectId: params.vehicleId,
      action: 'change',
      before: { called: before.called, plate: before.plate, engine_id: before.engine_id, per_day: before.per_day },
      after: set,
    });
    return show(context, trx, params.vehicleId);
  });

  serve(app, context, changeCustomer, async ({ params, body, staff, trx }) => {
    const { version, accountRef, isTrade, ...same } = body;
    const set = { ...same, account_ref: accountRef, is_trade: isTrade };
    if (!(await readCustomer(trx, params.customerId))) return trouble('not-found', 'There is no such customer.');
    if (!(await changeCustomerRow(trx, { id: params.customerId, version }, set))) return CHANGED;
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'garage customer',
      subjectId: params.customerId,
      action: 'change',
      after: set,
    });
    return { customerId: params.customerId, version: version + 1 };
  });

  serve(app, context, addServedReading, async ({ params: { vehicleId }, body, staff, trx }) => {
    const vehicle = await readVehicle(trx, vehicleId);
    if (!vehicle) return NO_VEHICLE;
    if (body.on > today()) return trouble('invalid-request', 'That day is yet to come.', { on: 'a day to come' });
    const before = (await readServed(trx, [vehicleId])).map(({ on_day: on, served }) => ({ on, served }));
    const odd = oddReading(before, body, vehicle.counts_in);
    if (odd && !body.isSure) {
      const says = sayOdd(odd, vehicle.counts_in);
      return trouble('invalid-request', says, { served: says });
    }
    await addServed(trx, { vehicleId, ...body, staffId: staff.id });
    return show(context, trx, vehicleId);
  });

  serve(app, context, withdrawServedReading, async ({ params: { vehicleId, readingId }, trx }) =>
    (await withdraw(trx, 'served_reading', { id: readingId, vehicleId }))
      ? show(context, trx, vehicleId)
      : trouble('not-found', 'The vehicle has no such reading.'),
  );

  serve(app, context, addFittedRecord, async ({ params: { vehicleId }, body, staff, trx }) => {
    const vehicle = await readVehicle(trx, vehicleId);
    if (!vehicle) return NO_VEHICLE;
    const [part] = await readPartRows(trx, [body.partId]);
    if (!part) return trouble('invalid-request', 'Choose a part of this catalogue.', { partId: 'no such part' });
    if (body.on !== null && body.on > today())
      return trouble('invalid-request', 'That day is yet to come.', { on: 'a day to come' });
    if (body.how === 'known' && body.on === null && body.served === null)
      return trouble('invalid-request', 'Known is what has its day or its distance; else it is said.', {
        how: 'needs a day or a distance',
      });
    await addFitted(trx, {
      vehicle_id: vehicleId,
      part_id: part.id,
      quantity: body.quantity,
      on_day: body.on,
      served: body.served,
      how: body.how,
      slip_line_id: null,
      ...(await toldOf(context, trx, vehicle, part.id)),
      staff_id: staff.id,
    });
    return show(context, trx, vehicleId);
  });

  serve(app, context, withdrawFittedRecord, async ({ params: { vehicleId, fittedId }, trx }) => {
    const record = (await readFitted(trx, [vehicleId])).find(({ id }) => id === fittedId);
    if (!record) return trouble('not-found', 'The vehicle has no such record.');
    if (record.slip_line_id !== null)
      return trouble('not-allowed-now', 'A slip sold it: what comes back is a return, not a record taken back.');
    await withdraw(trx, 'fitted_record', { id: fittedId, vehicleId });
    return show(context, trx, vehicleId);
  });

  serve(app, context, declineAdvice, async ({ params: { vehicleId }, body, staff, trx }) => {
    if (!(await readVehicle(trx, vehicleId))) return NO_VEHICLE;
    await addDeclined(trx, { vehicleId, ...body, staffId: staff.id });
    return show(context, trx, vehicleId);
  });

  serve(app, context, raiseAdvice, async ({ params, body, staff, trx }) =>
    (await raise(trx, { ...params, ...body, staffId: staff.id }))
      ? show(context, trx, params.vehicleId)
      : trouble('not-allowed-now', 'It was raised before: it is not raised again.'),
  );

  const due = async (db: Database, days: number) => {
    const [from, until] = [today(), dayAfter(today(), days)];
    const known = await readKnown(db, await findVehicles(db, '', MOST_VEHICLES));
    const notLookedAt = (await countVehicles(db)) - known.length;
    return { today: from, until, dues: duesBy(known, from, until), notLookedAt };
  };
  serve(app, context, listDue, ({ query, db }) => due(db, query.days));
  serve(app, context, dueCalendar, async ({ query, db }) => calendarOf((await due(db, query.days)).dues, today()));
  serve(app, context, dueSheet, async ({ query, db }) => sheetOf((await due(db, query.days)).dues, today()));

  serve(app, context, exportPerson, async ({ params: { customerId }, db }) => {
    const customer = await readCustomer(db, customerId);
    if (!customer) return trouble('not-found', 'There is no such customer.');
    const vehicles = await Promise.all(
      (await readVehiclesOf(db, customerId)).map(({ id }) => gatherVehicle(context, db, id, today())),
    );
    const slips = await Promise.all((await slipsOfCustomer(db, customerId)).map((id) => showSlip(db, id)));
    return {
      exportedAt: new Date().toISOString(),
      customer: {
        name: customer.name,
        phone: customer.phone,
        accountRef: customer.account_ref,
        isTrade: customer.is_trade,
      },
      vehicles: vehicles.flatMap((vehicle) => vehicle ?? []),
      slips: slips.flatMap((slip) => (isTrouble(slip) ? [] : slip)),
    };
  });

  serve(app, context, erasePerson, async ({ params: { customerId }, body, staff, trx }) => {
    const customer = await readCustomer(trx, customerId);
    if (!customer) return trouble('not-found', 'There is no such customer.');
    if (customer.name !== body.name)
      return trouble('invalid-request', 'Type the customer’s name as it stands: nobody is erased by mistake.', {
        name: 'not the same',
      });
    const gone = await erase(trx, customerId);
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'garage customer',
      subjectId: customerId,
      action: 'erase',
      after: gone,
    });
    return gone;
  });

  serve(app, context, mergePeople, async ({ params: { customerId }, body, staff, trx }) => {
    const [from, into] = [await readCustomer(trx, customerId), await readCustomer(trx, body.intoId)];
    if (!from || !into) return trouble('not-found', 'There is no such customer.');
    if (from.id === into.id) return trouble('invalid-request', 'Choose another entry.', { intoId: 'the same' });
    if (!(await changeCustomerRow(trx, { id: from.id, version: body.version }, { merged_into_id: into.id })))
      return CHANGED;
    await mergeInto(trx, from.id, into.id);
    await recordChange(trx, {
      staffId: staff.id,
      subject: 'garage customer',
      subjectId: from.id,
      action: 'merge',
      after: { into: into.id },
    });
    return { customerId: into.id, vehicles: (await readVehiclesOf(trx, into.id)).length };
  });
}
