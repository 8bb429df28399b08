import type { GarageFile } from '@brackenfell/contract/garage-file';
import { dayAfter, daysBetween } from '@brackenfell/core/words/calendar';
import { pastSlips } from './proof/past-slips.ts';

type Vehicle = GarageFile['vehicles'][number];

const CUSTOMERS = [
  ['Sallowdale Taxis', '01632 960 108', 'A-1104', true],
  ['Cawdle Minibus Co-operative', '01632 960 117', 'A-1109', true],
  ['Windle Quarry', '01632 960 121', 'A-1112', true],
  ['Ling Moor Farm', '01632 960 134', 'A-1120', false],
  ['Fellside Rescue', '01632 960 142', 'A-1123', false],
  ['Three Tarns Rally Club', '01632 960 155', '', false],
  ['Moor Rail Trust', '01632 960 163', '', false],
  ['Dorrit Vane', '01632 960 171', '', false],
  ['Ansel Reedmace', '01632 960 172', '', false],
  ['Mabel Thornholm', '01632 960 173', '', false],
  ['Jory Pellow-Crake', '01632 960 174', '', false],
  ['Orla Fenwether', '01632 960 175', '', false],
  ['Ibbot Sedgely', '01632 960 176', '', false],
  ['Hesper Lowmoor', '01632 960 177', '', false],
  ['Tobit Garthside', '01632 960 178', '', false],
  ['Cawdle Lawn and Park', '01632 960 185', 'A-1131', true],
] as const;

/** Customer, what it is called, plate, engine, use a day, what it had run when first read, plugs, and how many of them. */
type Row = readonly [
  customer: string,
  called: string,
  plate: string,
  engineId: string,
  perDay: number,
  start: number,
  number: string,
  quantity: number,
  more?: Partial<Vehicle>,
];

const SUMMER = [4, 5, 6, 7, 8, 9, 10];
const FLEET: readonly Row[] = [
  ['Sallowdale Taxis', 'car 8', 'CW-1908', 'skerrow-sc20g', 190, 41_200, 'KN 419G-65GR', 4],
  ['Sallowdale Taxis', 'car 9', 'CW-1909', 'skerrow-sc20g', 176, 58_900, 'KN 419G-65GR', 4],
  ['Sallowdale Taxis', 'car 12', 'CW-1912', 'skerrow-sc20g', 168, 22_400, 'HB/19/40.G1', 4],
  ['Sallowdale Taxis', 'car 14', 'CW-1914', 'ostrel-ow12', 164, 12_900, 'IVX-C26-J07', 3],
  ['Sallowdale Taxis', 'car 15', 'CW-1915', 'aldersyke-as22', 158, 9_700, 'KN 426G-63IR', 4],
  ['Sallowdale Taxis', 'car 16', 'CW-1916', 'aldersyke-as22', 171, 30_100, 'KN 426G-63IR', 4],
  ['Sallowdale Taxis', 'car 17', 'CW-1917', 'skerrow-sc20', 149, 77_300, 'KN 419G-63DR', 4],
  ['Cawdle Minibus Co-operative', 'bus 1', 'CW-2101', 'dunmarrow-hf22', 96, 118_000, 'HB/12T/50.C1', 4],
  ['Cawdle Minibus Co-operative', 'bus 3', 'CW-2103', 'dunmarrow-hf22', 88, 141_500, 'KN 812T-61NR', 4],
  ['Cawdle Minibus Co-operative', 'bus 7', 'CW-2107', 'skerrow-sc20', 110, 88_400, 'KN 419G-63DR', 4],
  ['Cawdle Minibus Co-operative', 'bus 9', 'CW-2109', 'ostrel-of16t', 104, 36_200, 'KN 226G-67KR', 4],
  ['Windle Quarry', 'generator 1', '', 'pellworth-pg66', 6.1, 4_120, 'KN 417T-59IR', 8, { serial: 'PG-66-0417' }],
  ['Windle Quarry', 'generator 2', '', 'pellworth-pg66', 5.4, 3_050, 'IVX-E17V-J06', 8, { serial: 'PG-66-0419' }],
  ['Windle Quarry', 'generator 3', '', 'pellworth-pg66', 0.9, 980, 'KN 417T-59IR', 8, { serial: 'PG-66-0522' }],
  ['Windle Quarry', 'drain pump', '', 'pellworth-pp20', 0.4, 610, 'HB/9/55.C1', 1],
  ['Ling Moor Farm', 'standby set', '', 'pellworth-pg66', 1, 840, 'KN 417T-59IR', 8],
  ['Ling Moor Farm', 'trash pump', '', 'pellworth-pp20', 1, 320, 'HB/9/55.C1', 2, { months: [10, 11, 12, 1, 2, 3] }],
  ['Ling Moor Farm', 'Hefter pick-up', 'CW-3305', 'dunmarrow-hf22', 34, 96_400, 'TS 500 410', 4],
  [
    'Ling Moor Farm',
    'hill car',
    'CW-3311',
    'aldersyke-ak23s',
    22,
    18_300,
    'KN 419G-65IR',
    5,
    { months: SUMMER, duty: 'boost:110', modified: 'Smaller pulley, builder’s sheet' },
  ],
  ['Fellside Rescue', 'wagon 3', 'CW-4403', 'skerrow-sh28', 41, 52_800, 'KN 222G-63IR', 6],
  ['Fellside Rescue', 'wagon 4', 'CW-4404', 'skerrow-sh28', 37, 61_100, 'KN 222G-63IR', 6],
  ['Fellside Rescue', 'wagon 6', 'CW-4406', 'skerrow-sh28', 44, 21_900, 'KN 222G-63IR', 6],
  ['Fellside Rescue', 'truck', 'CW-4408', 'skerrow-tl24', 52, 43_000, 'KN 438G-61DR', 4],
  ['Three Tarns Rally Club', 'car 3', 'CW-5503', 'thrushgill-tc18', 18, 9_400, 'KN 419G-67SR', 4, { months: SUMMER }],
  ['Three Tarns Rally Club', 'car 21', 'CW-5521', 'thrushgill-tc18', 21, 6_100, 'KN 419G-67SR', 4, { months: SUMMER }],
  ['Three Tarns Rally Club', 'car 30', 'CW-5530', 'thrushgill-tc18', 16, 4_800, 'KN 419G-67SR', 4, { months: SUMMER }],
  [
    'Three Tarns Rally Club',
    'hill-climb coupé',
    'CW-5540',
    'aldersyke-ak23s',
    14,
    12_700,
    'KN 419G-65IR',
    5,
    { months: SUMMER },
  ],
  ['Moor Rail Trust', 'trolley 1', '', 'dunmarrow-dd70', 12, 3_900, 'KN 412G-59N', 2, { months: SUMMER }],
  ['Moor Rail Trust', 'trolley 2', '', 'dunmarrow-dd70', 11, 2_700, 'KN 412G-59N', 2, { months: SUMMER }],
  ['Moor Rail Trust', 'works lorry', 'CW-6602', 'dunmarrow-h6', 9, 71_800, 'KN 417G-59NR', 6],
  ['Cawdle Lawn and Park', 'mower van', 'CW-7701', 'thrushgill-tn17', 31, 39_900, 'KN 419G-61NR', 4],
  ['Cawdle Lawn and Park', 'water cart', 'CW-7702', 'dunmarrow-hf22', 28, 83_200, 'KN 812T-61NR', 4],
  ['Cawdle Lawn and Park', 'pump 1', '', 'pellworth-pp20', 0.3, 410, 'HB/9/55.C1', 1, { months: SUMMER }],
  ['Cawdle Lawn and Park', 'pump 2', '', 'pellworth-pp20', 0.2, 385, 'HB/9/55.C1', 1, { months: SUMMER }],
];

/** Cars of people who come now and then. */
const PRIVATE: readonly Row[] = [
  ['Dorrit Vane', 'Aldersyke Merrin 2.2', 'CW-0142', 'aldersyke-as22', 38, 64_200, 'KN 426G-63IR', 4],
  ['Dorrit Vane', 'Ostrel 1.2', 'CW-0143', 'ostrel-ow12', 21, 33_100, 'IVX-C26-J07', 3],
  ['Ansel Reedmace', 'Thrushgill Fell 1.7', 'CW-0217', 'thrushgill-tn17', 29, 58_800, 'KN 419G-61NR', 4],
  ['Ansel Reedmace', 'Skerrow 2.0', 'CW-0218', 'skerrow-sc20', 44, 97_000, 'KN 419G-63DR', 4],
  ['Mabel Thornholm', 'Aldersyke Osier 2.0 TS', 'CW-0309', 'aldersyke-at20', 33, 71_400, 'KN 419G-63PR', 4],
  ['Mabel Thornholm', 'old six', 'CW-0310', 'dunmarrow-h6', 6, 112_000, 'KN 417G-59NR', 6, { months: SUMMER }],
  ['Jory Pellow-Crake', 'Ostrel 1.6 turbo', 'CW-0411', 'ostrel-of16t', 52, 46_700, 'KN 226G-67KR', 4],
  ['Jory Pellow-Crake', 'Skerrow V6', 'CW-0412', 'skerrow-sh28', 31, 83_900, 'KN 222G-63IR', 6],
  ['Orla Fenwether', 'Aldersyke Merrin 2.2', 'CW-0507', 'aldersyke-as22', 47, 101_000, 'KN 426G-63IR', 4],
  ['Orla Fenwether', 'Thrushgill Fell 1.7', 'CW-0508', 'thrushgill-tn17', 19, 44_300, 'KN 419G-61NR', 4],
  ['Ibbot Sedgely', 'Skerrow 2.4', 'CW-0614', 'skerrow-tl24', 40, 66_000, 'KN 438G-61DR', 4],
  ['Ibbot Sedgely', 'Ostrel 1.2', 'CW-0615', 'ostrel-ow12', 25, 29_500, 'IVX-C26-J07', 3],
  ['Hesper Lowmoor', 'Aldersyke five', 'CW-0722', 'aldersyke-ak23s', 35, 38_800, 'KN 419G-65IR', 5],
  ['Hesper Lowmoor', 'Skerrow 2.0', 'CW-0723', 'skerrow-sc20', 50, 120_400, 'KN 419G-63DR', 4],
  ['Tobit Garthside', 'motor tricycle', 'CW-0818', 'dunmarrow-dd70', 14, 8_200, 'KN 412G-59N', 2, { months: SUMMER }],
  ['Tobit Garthside', 'Ostrel 1.6 turbo', 'CW-0819', 'ostrel-of16t', 45, 55_100, 'KN 226G-67KR', 4],
];

const NEW_HERE: readonly Row[] = [
  ['Ling Moor Farm', 'stock lorry', 'CW-3320', 'dunmarrow-h6', 15, 140_200, 'KN 417G-59NR', 6],
  ['Fellside Rescue', 'quad carrier', 'CW-4410', 'skerrow-tl24', 48, 31_000, 'KN 438G-61DR', 4],
  ['Cawdle Minibus Co-operative', 'bus 11', 'CW-2111', 'ostrel-of16t', 61, 8_400, 'KN 226G-67KR', 4],
  ['Windle Quarry', 'site van', 'CW-8801', 'thrushgill-tn17', 37, 62_700, 'KN 419G-61NR', 4],
  ['Windle Quarry', 'manager’s car', 'CW-8802', 'aldersyke-as22', 55, 48_300, 'KN 426G-63IR', 4],
  ['Cawdle Lawn and Park', 'spare set', '', 'pellworth-pg66', 1, 290, 'KN 417T-59IR', 8],
  ['Moor Rail Trust', 'crew car', 'CW-6610', 'skerrow-sc20', 26, 70_900, 'KN 419G-63DR', 4],
  ['Sallowdale Taxis', 'car 18', 'CW-1918', 'skerrow-sc20g', 182, 12_300, 'KN 419G-65GR', 4],
  ['Sallowdale Taxis', 'car 19', 'CW-1919', 'aldersyke-as22', 161, 5_900, 'KN 426G-63IR', 4],
  ['Three Tarns Rally Club', 'service van', 'CW-5550', 'skerrow-sc20', 33, 91_600, 'KN 419G-63DR', 4],
];

const FIRST_READ = '2024-01-10';
const LAST_READ = '2026-11-16';
const ALL = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

/** What a vehicle of steady use has run by a day: days of the months it runs, with a little more or less every visit. */
function servedOn(row: Row, day: string): number {
  const [, , , , perDay, start, , , more] = row;
  const months = more?.months ?? ALL;
  let days = 0;
  for (let i = 1; i <= daysBetween(FIRST_READ, day); i += 1)
    if (months.includes(Number(dayAfter(FIRST_READ, i).slice(5, 7)))) days += 1;
  return Math.round(start + perDay * days);
}

function vehicleOf(row: Row, i: number, history: 'sold here' | 'said' | 'before'): Vehicle {
  const [customer, called, plate, engineId, , , number, quantity, more] = row;
  const visits = pastSlips.filter((slip) => slip.customer === customer && slip.vehicle === called);
  const days = [FIRST_READ, ...visits.map(({ soldOn }) => soldOn), LAST_READ];
  const fittedOn = dayAfter(FIRST_READ, 60 + ((i * 97) % 640));
  return {
    customer,
    called,
    plate,
    engineId,
    ...more,
    readings: [...new Set(days)].sort().map((on) => ({ on, served: servedOn(row, on) })),
    fitted:
      history === 'sold here' && visits.length > 0
        ? []
        : history === 'said'
          ? [{ number, quantity, on: null, served: null, how: 'said' }]
          : [{ number, quantity, on: fittedOn, served: servedOn(row, fittedOn), how: 'known' }],
    declined:
      i % 7 === 3
        ? [{ says: 'Boots with the next plugs: hardened at the shell', priceMinor: 3160, on: '2026-10-14' }]
        : i % 11 === 5
          ? [{ says: 'Coil connectors: two locks broken, held by ties', priceMinor: 1480, on: '2026-09-03' }]
          : [],
  };
}

/** Sixty vehicles and machines with their histories: sold here, known from before, or only said. */
export const demoGarage: GarageFile = {
  customers: CUSTOMERS.map(([name, phone, accountRef, isTrade]) => ({ name, phone, accountRef, isTrade })),
  vehicles: [
    ...FLEET.map((row, i) => vehicleOf(row, i, 'sold here')),
    ...PRIVATE.map((row, i) => vehicleOf(row, FLEET.length + i, i % 5 === 4 ? 'said' : 'before')),
    ...NEW_HERE.map((row, i) => vehicleOf(row, i * 3 + 1, i % 2 === 0 ? 'before' : 'said')),
  ],
};
