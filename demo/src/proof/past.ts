import type { z } from 'zod';
import type { ProofFile } from '@brackenfell/contract/proof-file';

type Past = z.input<typeof ProofFile>;
type BatchEntry = Past['batches'][number];

export const sellers: Past['sellers'] = [
  { name: 'Norrad Wholesale', channel: 'wholesale' },
  { name: 'Eastgate Clearance', channel: 'clearance' },
  { name: 'Fellpost Online', channel: 'marketplace' },
  { name: 'Kestrane depot', channel: 'depot' },
  { name: 'Hollin & Bray depot', channel: 'depot' },
];

const GENUINE = { state: 'released', settledBy: 'Isolde', reason: 'Looked at and in order.' } as const;
const FAKE = { state: 'confirmed', settledBy: 'Isolde', onHand: 0 } as const;

type Row = readonly [
  number: string,
  code: string,
  quantity: number,
  onHand: number,
  unitCostMinor: number,
  receivedOn: string,
  more?: Partial<BatchEntry>,
];
const from = (seller: string, rows: readonly Row[]): BatchEntry[] =>
  rows.map(([number, code, quantity, onHand, unitCostMinor, receivedOn, more]) => ({
    seller,
    number,
    code,
    quantity,
    onHand,
    unitCostMinor,
    receivedOn,
    ...more,
  }));

/**
 * The marketplace batch of the story: square hex corners, sharp ribs, light, scattered gaps, loose gaskets; its date does not
 * exist, its price is far below the usual.
 */
export const MARKETPLACE_BATCH = { number: 'IVX-C19-F10', code: 'F4-0431', seller: 'Fellpost Online' } as const;
/** A box whose print is out of register, from a seller with a clean record: odd, and genuine. */
export const ODD_BOX_BATCH = { number: 'HB/19/45.D1', code: 'RF-4410', seller: 'Norrad Wholesale' } as const;
/** A genuine batch, of which a customer brings back a box with another piece in it. */
export const RETURNED_BATCH = { number: 'KN 419G-65IR', code: 'C24 31 07', seller: 'Norrad Wholesale' } as const;

/** What came in before: settled batches make a seller's record, open ones wait on the shelf, one is held. */
export const batches: Past['batches'] = [
  ...from('Norrad Wholesale', [
    ['IVX-C19-F10', 'F4-0216', 20, 0, 418, '2024-05-14', GENUINE],
    ['IVX-C19-F10', 'F4-0903', 20, 0, 412, '2024-11-05', GENUINE],
    ['IVX-C19-F10', 'N5-0327', 20, 0, 425, '2025-06-10', GENUINE],
    ['IVX-C19-F10', 'F5-1112', 20, 2, 431, '2026-01-20', GENUINE],
    ['IVX-C19-F10', 'F6-0510', 12, 4, 428, '2026-07-07'],
    ['KN 419G-65IR', 'C24 31 07', 24, 10, 812, '2024-10-15', GENUINE],
    ['KN 419G-65IR', 'C25 08 02', 12, 8, 820, '2025-04-02', GENUINE],
    ['KN 419G-63DR', 'M25 20 11', 16, 4, 561, '2025-07-22', GENUINE],
    ['KN 419G-63DR', 'M26 06 04', 16, 8, 566, '2026-03-10'],
    ['KN 419G-63NR', 'C25 44 01', 40, 12, 178, '2025-12-02', GENUINE],
    ['HB/19/45.D1', 'RF-4410', 8, 4, 530, '2026-09-08'],
    ['HB/19/40.D1', 'RB-2051', 12, 5, 531, '2026-05-12', GENUINE],
    ['TS 500 226', 'T25 17 044', 20, 6, 402, '2025-06-24', GENUINE],
    ['TS 500 231', 'T26 02 118', 12, 10, 321, '2026-02-17', GENUINE],
  ]),
  ...from('Eastgate Clearance', [
    ['IVX-C19-F10', 'N3-0811', 10, 0, 388, '2024-02-06', GENUINE],
    ['KN 419G-63NR', 'C23 40 03', 30, 2, 150, '2024-06-18', GENUINE],
    ['KN 412G-59N', 'M22 12 09', 24, 6, 131, '2024-09-03', GENUINE],
    ['HB/19/40.J1', 'PC-0117', 6, 2, 690, '2025-01-14', GENUINE],
    [
      'TS 500 187',
      'T24 30 201',
      12,
      0,
      318,
      '2025-03-04',
      { ...FAKE, reason: 'Weight 39 g for 46, print off: the maker has never made this running number.' },
    ],
    ['IVX-B19-J06', 'F4-1022', 8, 3, 760, '2025-08-26', GENUINE],
    ['TS 500 232', 'T25 33 090', 8, 4, 371, '2025-10-14', GENUINE],
    [
      'TS 500 233',
      'T26 11 015',
      8,
      8,
      298,
      '2026-06-30',
      { state: 'held', settledBy: 'Wren', reason: 'Two of them weigh 41 g; the maker says 46.' },
    ],
    ['MS-C 2900', 'M26 04 17 08', 4, 2, 2150, '2026-08-11'],
  ]),
  ...from('Fellpost Online', [
    ['IVX-C19-F10', 'N4-0708', 10, 0, 395, '2024-09-24', GENUINE],
    [
      'IVX-C19-F10',
      'F3-1305',
      10,
      0,
      262,
      '2025-02-11',
      { ...FAKE, reason: 'Month 13 in the code, square hex corners and sharp ribs on all four looked at.' },
    ],
    ['IVX-B19-F06', 'F4-0611', 8, 2, 455, '2025-05-20', GENUINE],
    ['KN 419G-63IR', 'C24 50 05', 8, 3, 780, '2025-07-01', GENUINE],
    [
      'KN 419G-65IR',
      'C24 57 01',
      8,
      0,
      540,
      '2025-09-16',
      { ...FAKE, reason: 'Week 57 does not exist; print dark where this packaging prints pale.' },
    ],
    ['IVX-B19-J06', 'N5-0214', 6, 4, 790, '2025-11-18', GENUINE],
    ['TS 500 232', 'T25 19 077', 6, 0, 365, '2026-01-13', GENUINE],
    ['IVX-C19-F10', 'F4-0431', 14, 8, 248, '2026-10-06'],
    ['HB/19/40.J1', 'QD-2290', 4, 2, 655, '2026-10-20'],
  ]),
  ...from('Kestrane depot', [
    ['KN 412G-59N', 'C25 30 06', 40, 18, 148, '2025-10-07', GENUINE],
    ['KN 419G-67IR', 'M25 35 02', 16, 12, 835, '2025-11-04', GENUINE],
    ['KN 419G-65NR', 'C26 10 01', 40, 16, 180, '2026-04-21', GENUINE],
    ['KN 419G-69IR', 'M26 16 03', 8, 6, 870, '2026-06-02', GENUINE],
  ]),
  ...from('Hollin & Bray depot', [
    ['HB/19/50.D1', 'RA-1007', 6, 3, 522, '2026-03-24', GENUINE],
    ['HB/19/40.D1', 'RC-3310', 8, 4, 528, '2026-06-16', GENUINE],
    ['HB/19/45.P1', 'RE-0871', 8, 5, 545, '2026-08-18', GENUINE],
  ]),
];

const sale = (
  customer: string,
  vehicle: string,
  engineId: string,
  soldOn: string,
  lines: readonly (readonly [number: string, quantity: number, batchCode?: string])[],
  soldBy = 'Wren',
): Past['sales'][number] => ({
  customer,
  vehicle,
  engineId,
  soldOn,
  soldBy,
  lines: lines.map(([number, quantity, batchCode]) => ({ number, quantity, ...(batchCode ? { batchCode } : {}) })),
});

/** Slips of the past, closed: who bought of which batch. Of the marketplace batch two sales name it, one does not. */
export const sales: Past['sales'] = [
  sale('Walk-in', 'Skerrow Haulm 2.0', 'skerrow-sc20', '2026-10-12', [['IVX-C19-F10', 4, 'F4-0431']]),
  sale('Windle Quarry', 'site wagon', 'skerrow-sc20', '2026-10-19', [['IVX-C19-F10', 1, 'F4-0431']], 'Perrin'),
  sale('Cawdle Minibus Co-operative', 'bus 4', 'skerrow-sc20', '2026-11-03', [['IVX-C19-F10', 1]]),
  sale('Cawdle Minibus Co-operative', 'bus 7', 'skerrow-sc20', '2026-09-15', [['KN 419G-63DR', 4, 'M26 06 04']]),
  sale('Cawdle Minibus Co-operative', 'bus 2', 'skerrow-sc20', '2026-08-04', [['KN 419G-63DR', 4, 'M26 06 04']]),
  sale('Sallowdale Taxis', 'car 11', 'skerrow-sc20', '2026-07-21', [['IVX-C19-F10', 4, 'F6-0510']]),
  sale('Sallowdale Taxis', 'car 6', 'skerrow-sc20', '2026-08-25', [['IVX-C19-F10', 4, 'F6-0510']]),
  sale('Sallowdale Taxis', 'car 3', 'skerrow-sc20', '2026-02-10', [['IVX-C19-F10', 4, 'F5-1112']]),
  sale('Fellside Rescue', 'wagon 1', 'aldersyke-ak23s', '2025-02-18', [['KN 419G-65IR', 5, 'C24 31 07']]),
  sale('Fellside Rescue', 'wagon 2', 'aldersyke-ak23s', '2025-05-13', [['KN 419G-65IR', 4, 'C25 08 02']]),
  sale('Walk-in', 'Aldersyke Merrin 2.3 S', 'aldersyke-ak23s', '2026-09-29', [['KN 419G-65IR', 4, 'C24 31 07']]),
  sale('Walk-in', 'Aldersyke Merrin 2.3 S', 'aldersyke-ak23s', '2026-10-27', [['KN 419G-65IR', 4, 'C24 31 07']]),
  sale('Ling Moor Farm', 'Dunmarrow DD70 pump', 'dunmarrow-dd70', '2026-03-17', [['KN 412G-59N', 2]]),
  sale('Ling Moor Farm', 'quad', 'dunmarrow-dd70', '2026-05-05', [['KN 412G-59N', 2]]),
  sale('Moor Rail Trust', 'trolley 2', 'dunmarrow-h6', '2026-04-14', [['KN 419G-63NR', 6, 'C25 44 01']]),
  sale('Moor Rail Trust', 'trolley 5', 'dunmarrow-h6', '2026-06-23', [['KN 419G-63NR', 6, 'C25 44 01']]),
  sale('Three Tarns Rally Club', 'car 14', 'thrushgill-tc18', '2026-05-26', [['KN 419G-67IR', 4]]),
  sale('Walk-in', 'Skerrow Haulm 2.0', 'skerrow-sc20', '2025-03-11', [['TS 500 187', 4, 'T24 30 201']]),
  sale('Walk-in', 'Skerrow Haulm 2.0', 'skerrow-sc20', '2025-02-25', [['IVX-C19-F10', 4, 'F3-1305']], 'Perrin'),
  sale('Windle Quarry', 'site wagon', 'skerrow-sc20', '2026-01-27', [['TS 500 232', 4]]),
];
