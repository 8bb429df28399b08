import type { ListingEntry } from '@brackenfell/contract/catalogue-file';
import { lineGroups } from './plugs/lines.ts';

const listed = (engineId: string, source: string, statedOn: string, numbers: readonly string[]): ListingEntry[] =>
  numbers.map((number) => ({ engineId, number, source, statedOn }));

/** What each maker lists for an engine out of one line: its number at the level of the one named. */
const ofLine = (engineId: string, number: string, place?: string): ListingEntry[] =>
  lineGroups
    .find((group) => group.includes(number))!
    .map((own, i) => ({
      engineId,
      number: own,
      source: `${['Kestrane', 'Hollin & Bray', 'Ivorix', 'Tamsel'][i]!} application list`,
      statedOn: ['2025-01-10', '2025-02-01', '2025-03-05', '2024-11-20'][i]!,
      ...(place ? { place } : {}),
    }));

/** Part makers' own statements that a part suits an engine. */
export const listings: ListingEntry[] = [
  ...listed('skerrow-sc20', 'Kestrane application list', '2025-01-10', ['KN 419G-63DR', 'KN 419G-65DR']),
  ...listed('skerrow-sc20', 'Hollin & Bray application list', '2025-02-01', [
    'HB/19/45.D1',
    'HB/19/45.D2',
    'HB/19/45.P1',
  ]),
  ...listed('skerrow-sc20', 'Ivorix application list', '2025-03-05', ['IVX-C19-D11', 'IVX-C19-D09']),
  ...listed('skerrow-sc20', 'Tamsel application list', '2024-11-20', ['TS 500 226', 'TS 500 231', 'TS 500 236']),
  // Only for early heads: not met while the build month is unknown.
  {
    engineId: 'skerrow-sc20',
    number: 'TS 500 239',
    source: 'Tamsel application list',
    statedOn: '2024-11-20',
    builtTo: '2012-06',
  },
  ...listed('aldersyke-ak23s', 'Kestrane application list', '2025-01-10', ['KN 419G-65IR', 'KN 419G-67IR']),
  ...listed('aldersyke-ak23s', 'Hollin & Bray application list', '2025-02-01', ['HB/19/40.J1', 'HB/19/40.J4']),
  ...listed('aldersyke-ak23s', 'Ivorix application list', '2025-03-05', ['IVX-B19-J06', 'IVX-B19-F06']),
  ...listed('aldersyke-ak23s', 'Tamsel application list', '2024-11-20', ['TS 500 251']),
  ...listed('ostrel-ow12', 'Kestrane application list', '2025-01-10', ['KN 226G-63IR', 'KN 226G-63NR']),
  ...listed('ostrel-ow12', 'Hollin & Bray application list', '2025-02-01', ['HB/26S/45.J1']),
  ...listed('ostrel-ow12', 'Ivorix application list', '2025-03-05', ['IVX-C26-J07', 'IVX-C26-F07']),
  ...listed('ostrel-ow12', 'Tamsel application list', '2024-11-20', ['TS 500 310', 'TS 500 311', 'TS 500 313']),
  ...listed('dunmarrow-dd70', 'Kestrane application list', '2025-01-10', ['KN 412G-59N', 'KN 412G-59NR']),
  ...listed('dunmarrow-dd70', 'Hollin & Bray application list', '2025-02-01', ['HB/12/55.C1']),
  ...listed('dunmarrow-dd70', 'Ivorix application list', '2025-03-05', ['IVX-E12-N07', 'IVX-E12-F07']),
  ...listed('dunmarrow-dd70', 'Tamsel application list', '2024-11-20', ['TS 500 120', 'TS 500 121']),
  ...listed('dunmarrow-hf22', 'Kestrane application list', '2025-01-10', ['KN 812T-61NR', 'KN 812T-63NR']),
  ...listed('dunmarrow-hf22', 'Hollin & Bray application list', '2025-02-01', ['HB/12T/50.C1', 'HB/12T/50.C2']),
  ...listed('dunmarrow-hf22', 'Ivorix application list', '2025-03-05', ['IVX-D12T-N09']),
  ...listed('dunmarrow-hf22', 'Tamsel application list', '2024-11-20', ['TS 500 410']),
  ...listed('pellworth-pp20', 'Kestrane application list', '2025-01-10', ['KN 409G-59N']),
  ...listed('pellworth-pp20', 'Hollin & Bray application list', '2025-02-01', ['HB/9/55.C1', 'HB/9/60.C1']),
  ...listed('pellworth-pp20', 'Ivorix application list', '2025-03-05', ['IVX-E09-N06']),
  ...listed('pellworth-pp20', 'Tamsel application list', '2024-11-20', ['TS 500 105']),
  ...ofLine('skerrow-sc20g', 'KN 419G-65GR'),
  ...ofLine('skerrow-sh28', 'KN 222G-63IR'),
  ...ofLine('skerrow-tl24', 'KN 438G-61DR'),
  ...ofLine('ostrel-of16t', 'KN 226G-67KR'),
  ...ofLine('aldersyke-as22', 'KN 426G-63IR'),
  ...ofLine('dunmarrow-h6', 'KN 417G-59NR'),
  ...ofLine('pellworth-pg66', 'KN 417T-59IR'),
  ...ofLine('thrushgill-tc18', 'KN 419G-67SR'),
  ...ofLine('thrushgill-tn17', 'KN 419G-61NR'),
  ...ofLine('aldersyke-at20', 'KN 419G-63PR', 'intake'),
  ...ofLine('aldersyke-at20', 'KN 219G-63DR', 'exhaust'),
];
