import type { z } from 'zod';
import type { ProofFile } from '@brackenfell/contract/proof-file';

type Sale = z.input<typeof ProofFile>['sales'][number];
type Line = readonly [number: string, quantity: number];

/** A customer's vehicle, what it takes at each service, and how many months lie between two. */
type Regular = readonly [
  customer: string,
  vehicle: string,
  engineId: string,
  lines: readonly Line[],
  everyMonths: number,
  firstMonth: number,
];

const REGULARS: readonly Regular[] = [
  ['Sallowdale Taxis', 'car 8', 'skerrow-sc20g', [['KN 419G-65GR', 4]], 5, 1],
  ['Sallowdale Taxis', 'car 9', 'skerrow-sc20g', [['KN 419G-65GR', 4]], 5, 3],
  ['Sallowdale Taxis', 'car 12', 'skerrow-sc20g', [['HB/19/40.G1', 4]], 6, 2],
  ['Sallowdale Taxis', 'car 14', 'ostrel-ow12', [['IVX-C26-J07', 3]], 11, 4],
  ['Cawdle Minibus Co-operative', 'bus 1', 'dunmarrow-hf22', [['HB/12T/50.C1', 4]], 8, 0],
  ['Cawdle Minibus Co-operative', 'bus 3', 'dunmarrow-hf22', [['KN 812T-61NR', 4]], 8, 5],
  ['Cawdle Minibus Co-operative', 'bus 9', 'ostrel-of16t', [['KN 226G-67KR', 4]], 12, 6],
  ['Windle Quarry', 'generator 1', 'pellworth-pg66', [['KN 417T-59IR', 8]], 4, 2],
  ['Windle Quarry', 'generator 2', 'pellworth-pg66', [['IVX-E17V-J06', 8]], 4, 3],
  ['Windle Quarry', 'drain pump', 'pellworth-pp20', [['HB/9/55.C1', 1]], 7, 1],
  ['Ling Moor Farm', 'standby set', 'pellworth-pg66', [['KN 417T-59IR', 8]], 12, 8],
  ['Ling Moor Farm', 'trash pump', 'pellworth-pp20', [['HB/9/55.C1', 2]], 9, 3],
  ['Ling Moor Farm', 'Hefter pick-up', 'dunmarrow-hf22', [['TS 500 410', 4]], 10, 6],
  ['Fellside Rescue', 'wagon 3', 'skerrow-sh28', [['KN 222G-63IR', 6]], 10, 2],
  ['Fellside Rescue', 'wagon 4', 'skerrow-sh28', [['KN 222G-63IR', 6]], 10, 7],
  ['Fellside Rescue', 'truck', 'skerrow-tl24', [['KN 438G-61DR', 4]], 16, 5],
  ['Three Tarns Rally Club', 'car 3', 'thrushgill-tc18', [['KN 419G-67SR', 4]], 3, 3],
  ['Three Tarns Rally Club', 'car 21', 'thrushgill-tc18', [['KN 419G-67SR', 4]], 4, 4],
  ['Three Tarns Rally Club', 'hill-climb coupé', 'aldersyke-ak23s', [['KN 419G-65IR', 5]], 5, 4],
  ['Moor Rail Trust', 'trolley 1', 'dunmarrow-dd70', [['KN 412G-59N', 2]], 6, 3],
  ['Moor Rail Trust', 'works lorry', 'dunmarrow-h6', [['KN 417G-59NR', 6]], 12, 4],
  ['Walk-in', 'Aldersyke Merrin 2.2', 'aldersyke-as22', [['KN 426G-63IR', 4]], 9, 1],
  ['Walk-in', 'Thrushgill Fell 1.7', 'thrushgill-tn17', [['KN 419G-61NR', 4]], 5, 2],
  [
    'Walk-in',
    'Aldersyke Osier 2.0 TS',
    'aldersyke-at20',
    [
      ['KN 419G-63PR', 4],
      ['KN 219G-63DR', 4],
    ],
    8,
    5,
  ],
];

const FIRST_YEAR = 2024;
/** Up to and with October 2026. */
const MONTHS = 34;
const OPEN_DAYS = [2, 4, 8, 11, 15, 17, 22, 24, 26] as const;
const SELLERS = ['Wren', 'Wren', 'Perrin', 'Wren', 'Isolde'] as const;

/** What regular customers came for, again and again, in the order they came. */
export const pastSlips: readonly Sale[] = REGULARS.flatMap(
  ([customer, vehicle, engineId, lines, everyMonths, firstMonth], who): Sale[] => {
    const visits = Math.floor((MONTHS - 1 - firstMonth) / everyMonths) + 1;
    return Array.from({ length: visits }, (_, visit) => {
      const month = firstMonth + visit * everyMonths;
      const day = OPEN_DAYS[(who * 4 + visit) % OPEN_DAYS.length]!;
      const [year, ofYear] = [FIRST_YEAR + Math.floor(month / 12), (month % 12) + 1];
      return {
        customer,
        vehicle,
        engineId,
        soldOn: `${year}-${String(ofYear).padStart(2, '0')}-${String(day).padStart(2, '0')}`,
        soldBy: SELLERS[(who + visit) % SELLERS.length]!,
        lines: lines.map(([number, quantity]) => ({ number, quantity })),
      };
    });
  },
);
