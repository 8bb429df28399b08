import { z } from 'zod';
import { Day } from './calendar.ts';
import { GAP_STAGES } from '@brackenfell/core/gap/gap-desk';
import { COUNTER, EngineKey, endpoint, Id, line } from './endpoint.ts';
import { DutyText } from './duty.ts';
import { StoredKind } from './part-kind.ts';
import { KEPT_KINDS } from './slip-kept.ts';
import { Slip, SlipVersion } from './slip.ts';

/** What a vehicle can have run: km, or hours where it counts in those. */
const Served = z.number().min(0).max(5_000_000);
const COUNTS_IN = ['distance', 'hours'] as const;
/** Known here, said by somebody, or neither. */
export const HISTORY_HOWS = ['known', 'said'] as const;

/** A due of one part in one vehicle, with the reason in words. */
export const DueLine = z
  .object({
    fittedId: Id,
    vehicleId: Id,
    called: z.string(),
    plate: z.string(),
    customer: z.string(),
    phone: z.string(),
    what: z.string(),
    kind: z.enum(['history-unknown', 'no-interval', 'never-read', 'due']),
    isPast: z.boolean(),
    /** In the vehicle's own counting. */
    at: z.number().nullable(),
    left: z.number().nullable(),
    on: z.string().nullable(),
    countsIn: z.enum(COUNTS_IN),
    because: z.string(),
  })
  .meta({ id: 'DueLine' });
export type DueLine = z.infer<typeof DueLine>;

export const GarageLine = z
  .object({
    vehicleId: Id,
    called: z.string(),
    plate: z.string(),
    engine: z.string().nullable(),
    customer: z.string(),
    countsIn: z.enum(COUNTS_IN),
    served: z.number().nullable(),
    due: DueLine.nullable(),
  })
  .meta({ id: 'GarageLine' });
export type GarageLine = z.infer<typeof GarageLine>;

export const FittedRecord = z.object({
  fittedId: Id,
  partId: Id.nullable(),
  partKind: StoredKind,
  printed: z.string(),
  maker: z.string(),
  quantity: z.number().int(),
  places: z.array(z.string()),
  on: z.string().nullable(),
  /** What it had run then: as read, or reckoned for that day from its readings. */
  served: z.number().nullable(),
  isReckoned: z.boolean(),
  how: z.enum(HISTORY_HOWS),
  by: z.string(),
  slip: z.object({ slipId: Id, docket: z.number().int() }).nullable(),
  batch: z.string().nullable(),
  /** As set, piece by piece. */
  gaps: z.array(z.object({ place: z.string(), stage: z.enum(GAP_STAGES), gapMm: z.number() })),
  askedMm: z.object({ low: z.number(), high: z.number() }).nullable(),
  torque: z.string().nullable(),
  interval: z.number().nullable(),
  intervalSource: z.string().nullable(),
  /** It sits there still, as far as is known. */
  isCurrent: z.boolean(),
});
export type FittedRecord = z.infer<typeof FittedRecord>;

const details = {
  called: line(80).trim().min(1),
  plate: line(20),
  serial: line(40),
  engineId: EngineKey.nullable(),
  build: line(60).nullable(),
  duty: DutyText,
  /** What was changed on it, in words. */
  modified: line(200),
  /** km or hours in a day of use; null where nobody knows. */
  perDay: z.number().min(0).max(1500).nullable(),
  /** Months it runs, 1 for January. */
  months: z.array(z.number().int().min(1).max(12)).min(1).max(12),
} as const;

const Person = {
  name: line(120),
  phone: line(40),
  accountRef: line(40),
  isTrade: z.boolean(),
} as const;

export const GarageVehicle = z
  .object({
    vehicleId: Id,
    version: z.number().int(),
    ...details,
    engine: z.string().nullable(),
    countsIn: z.enum(COUNTS_IN),
    customer: z.object({ customerId: Id, version: z.number().int(), ...Person, vehicles: z.number().int() }).nullable(),
    /** By its readings where they tell, else as somebody said. */
    usePerDay: z.number().nullable(),
    servedNow: z.object({ served: z.number(), isEstimate: z.boolean() }).nullable(),
    readings: z.array(
      z.object({ readingId: Id, on: z.string(), served: z.number(), how: z.enum(['read', 'said']), by: z.string() }),
    ),
    fitted: z.array(FittedRecord),
    dues: z.array(DueLine),
    /** How the gap of the plugs in it usually grows, mm for 10 000 km or 200 h; null where that is not estimated. */
    growthMm: z.number().nullable(),
    declined: z.array(
      z.object({
        declinedId: Id,
        says: z.string(),
        priceMinor: z.number().int().nullable(),
        at: z.string(),
        by: z.string(),
        /** Raised once more, and settled: it is not raised again. */
        raised: z.object({ at: z.string(), by: z.string(), taken: z.boolean() }).nullable(),
      }),
    ),
    slips: z.array(
      z.object({ slipId: Id, docket: z.number().int(), state: z.string(), cameFor: z.string(), at: z.string() }),
    ),
    /** Found and kept on its slips: swap tests and fitted sets, the latest first. */
    found: z.array(
      z.object({
        slipId: Id,
        docket: z.number().int(),
        kind: z.enum(KEPT_KINDS),
        says: z.string(),
        at: z.string(),
      }),
    ),
  })
  .meta({ id: 'GarageVehicle' });
export type GarageVehicle = z.infer<typeof GarageVehicle>;

const vehicleId = z.object({ vehicleId: Id });
const customerId = z.object({ customerId: Id });
const version = z.number().int().min(1);

export const searchGarage = endpoint('searchGarage', {
  summary: 'Vehicles of the garage book by name, phone, plate or serial; without a question those due first.',
  roles: COUNTER,
  query: z.object({ q: line(80).default('') }),
  response: z.object({
    vehicles: z.array(GarageLine),
    /** Answered too, and not shown: the question is too wide. */
    more: z.number().int(),
    total: z.number().int(),
  }),
});

export const getGarageVehicle = endpoint('getGarageVehicle', {
  summary: 'One vehicle with its history, dues, declined advice and slips.',
  roles: COUNTER,
  params: vehicleId,
  response: GarageVehicle,
});

export const rememberVehicle = endpoint('rememberVehicle', {
  summary: 'Put a slip’s vehicle into the garage book, or tie the slip to one that is in it.',
  roles: COUNTER,
  params: z.object({ slipId: Id }),
  body: z.object({ version: SlipVersion, vehicleId: Id.nullable() }).strict(),
  response: Slip,
  idempotent: true,
});

export const changeGarageVehicle = endpoint('changeGarageVehicle', {
  summary: 'Mend what is remembered of a vehicle.',
  roles: COUNTER,
  params: vehicleId,
  body: z.object({ version, ...details }).strict(),
  response: GarageVehicle,
  idempotent: true,
});

export const changeCustomer = endpoint('changeCustomer', {
  summary: 'Mend who a customer is.',
  roles: COUNTER,
  params: customerId,
  body: z.object({ version, ...Person, name: line(120).trim().min(1) }).strict(),
  response: z.object({ customerId: Id, version: z.number().int() }),
  idempotent: true,
});

export const addServedReading = endpoint('addServedReading', {
  summary: 'Write down what a vehicle has run. What can hardly be right is asked once.',
  roles: COUNTER,
  params: vehicleId,
  body: z
    .object({ on: Day, served: Served, how: z.enum(['read', 'said']), isSure: z.boolean().default(false) })
    .strict(),
  response: GarageVehicle,
  idempotent: true,
});

export const withdrawServedReading = endpoint('withdrawServedReading', {
  summary: 'Take a reading of a vehicle back.',
  roles: COUNTER,
  params: z.object({ vehicleId: Id, readingId: Id }),
  body: z.object({}).strict(),
  response: GarageVehicle,
  idempotent: true,
});

export const addFittedRecord = endpoint('addFittedRecord', {
  summary: 'Write down what sits in a vehicle, known or as somebody says.',
  roles: COUNTER,
  params: vehicleId,
  body: z
    .object({
      partId: Id,
      quantity: z.number().int().min(1).max(48),
      on: Day.nullable(),
      served: Served.nullable(),
      how: z.enum(HISTORY_HOWS),
    })
    .strict(),
  response: GarageVehicle,
  idempotent: true,
});

export const withdrawFittedRecord = endpoint('withdrawFittedRecord', {
  summary: 'Take a record of what is fitted back; what a slip sold is not withdrawn.',
  roles: COUNTER,
  params: z.object({ vehicleId: Id, fittedId: Id }),
  body: z.object({}).strict(),
  response: GarageVehicle,
  idempotent: true,
});

export const declineAdvice = endpoint('declineAdvice', {
  summary: 'Keep what was advised and declined, to raise it once.',
  roles: COUNTER,
  params: vehicleId,
  body: z
    .object({ says: line(200).trim().min(1), priceMinor: z.number().int().min(0).max(10_000_000).nullable() })
    .strict(),
  response: GarageVehicle,
  idempotent: true,
});

export const raiseAdvice = endpoint('raiseAdvice', {
  summary: 'Note that declined advice was raised once more, and what came of it.',
  roles: COUNTER,
  params: z.object({ vehicleId: Id, declinedId: Id }),
  body: z.object({ taken: z.boolean() }).strict(),
  response: GarageVehicle,
  idempotent: true,
});

const within = z.object({ days: z.coerce.number().int().min(0).max(366).default(7) });

export const listDue = endpoint('listDue', {
  summary: 'What is due in the coming days, and what is past, with who to tell.',
  roles: COUNTER,
  query: within,
  response: z.object({
    today: z.string(),
    until: z.string(),
    dues: z.array(DueLine),
    /** Vehicles of a very large book that were not reckoned. */
    notLookedAt: z.number().int(),
  }),
});

export const dueCalendar = endpoint('dueCalendar', {
  summary: 'The same as a calendar file (RFC 5545): an event keeps its UID from file to file.',
  roles: COUNTER,
  query: within,
  response: z.unknown(),
  produces: 'text/calendar',
});

export const dueSheet = endpoint('dueSheet', {
  summary: 'The same as CSV.',
  roles: COUNTER,
  query: within,
  response: z.unknown(),
  produces: 'text/csv',
});

export const exportPerson = endpoint('exportPerson', {
  summary: 'Everything that is kept of a customer, for them to take along.',
  roles: ['supervisor'],
  params: customerId,
  response: z.object({
    exportedAt: z.string(),
    customer: z.object(Person),
    vehicles: z.array(GarageVehicle),
    slips: z.array(Slip),
  }),
});

export const erasePerson = endpoint('erasePerson', {
  summary: 'Unlink a customer from everything: name, phone, plates and papers go; sales and judgements stay.',
  roles: ['supervisor'],
  params: customerId,
  /** The customer’s name, typed once more: nobody is erased by a slip of the hand. */
  body: z.object({ name: line(120) }).strict(),
  response: z.object({
    slips: z.number().int(),
    vehicles: z.number().int(),
    papers: z.number().int(),
    notes: z.number().int(),
  }),
  idempotent: true,
});

export const mergePeople = endpoint('mergePeople', {
  summary: 'Two entries are one customer: the vehicles of the one go to the other.',
  roles: ['specialist', 'supervisor'],
  params: customerId,
  body: z.object({ version, intoId: Id }).strict(),
  response: z.object({ customerId: Id, vehicles: z.number().int() }),
  idempotent: true,
});
