import type { DayFile } from '@brackenfell/contract/garage-file';
import { OLD_PART_STORIES } from './old-part-stories.ts';

/** Slips in every state as the demo begins; those that are sold are the past’s. */
export const demoDay: DayFile = [
  {
    docket: 4190,
    vehicle: 'works lorry',
    cameFor: 'Service before the winter',
    put: { number: 'KN 417G-59NR', quantity: 6 },
    state: 'quoted',
  },
  {
    docket: 4191,
    vehicle: 'motor tricycle',
    cameFor: 'Price for a pair',
    put: { number: 'KN 412G-59N', quantity: 2 },
    state: 'quoted',
  },
  {
    docket: 4192,
    vehicle: 'stock lorry',
    cameFor: 'Set for Thursday',
    put: { number: 'KN 417G-59NR', quantity: 6 },
    state: 'ordered',
  },
  {
    docket: 4193,
    vehicle: 'trolley 2',
    cameFor: 'Plugs, fetched Friday',
    put: { number: 'KN 412G-59N', quantity: 2 },
    state: 'ready',
  },
  {
    docket: 4194,
    vehicle: 'old six',
    cameFor: 'Rings back about the boots',
    put: { number: 'KN 417G-59NR', quantity: 6 },
    state: 'parked',
  },
  {
    docket: 4195,
    vehicle: 'water cart',
    cameFor: 'Cheaper elsewhere',
    put: { number: 'KN 812T-61NR', quantity: 4 },
    state: 'ended',
    endReason: 'price',
  },
  {
    docket: 4196,
    vehicle: 'quad carrier',
    cameFor: 'Seized: goes to a workshop',
    put: { number: 'KN 438G-61DR', quantity: 4 },
    state: 'ended',
    endReason: 'workshop',
    lent: { tool: 'Thread chaser, M14', depositMinor: 1800, inDays: -4 },
  },
  {
    docket: 4197,
    vehicle: 'trolley 1',
    cameFor: 'Does them himself',
    put: { number: 'KN 412G-59N', quantity: 2 },
    state: 'parked',
    lent: { tool: 'Torque wrench, 5 to 60 N·m', depositMinor: 4000, inDays: 5 },
  },
  ...OLD_PART_STORIES.map(({ docket, vehicle, cameFor, kept }) => ({
    docket,
    vehicle,
    cameFor,
    kept: [...kept],
    state: 'parked' as const,
  })),
];
