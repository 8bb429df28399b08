import type { ReferenceEntry } from '@brackenfell/contract/catalogue-file';
import { lineGroups, lineNeighbours } from './plugs/lines.ts';

/** Whose list a claim stands in, by the first letters of the number that makes it. */
const LISTS: readonly (readonly [prefix: string, source: string, notedOn: string])[] = [
  ['KN', 'Kestrane cross list', '2024-01-10'],
  ['HB', 'Hollin & Bray list', '2024-02-01'],
  ['IVX', 'Ivorix list', '2024-05-01'],
  ['TS', 'Tamsel list', '2023-01-15'],
];

const listOf = (number: string) => LISTS.find(([prefix]) => number.startsWith(prefix))!;

/** Wholesalers restate what makers claim equal. */
const RESTATED_BY = [
  { source: 'Norrad cross list', notedOn: '2024-06-01' },
  { source: 'Eastgate list', notedOn: '2022-06-30' },
] as const;

/** Every maker of a group claims in its own list that its number equals each of the others', and wholesalers restate it. */
function claims(grade: 'equivalent' | 'alternative', numbers: readonly string[]): ReferenceEntry[] {
  return numbers.flatMap((from) =>
    numbers
      .filter((to) => listOf(to)[0] !== listOf(from)[0])
      .flatMap((to) => [
        { from, to, grade, source: listOf(from)[1], notedOn: listOf(from)[2] },
        ...(grade === 'equivalent' ? RESTATED_BY.map((list) => ({ from, to, grade, ...list })) : []),
      ]),
  );
}

/** One maker's noted alternatives to a number. */
const alternatives = (to: string, numbers: readonly string[]): ReferenceEntry[] =>
  numbers.map((from) => ({
    from,
    to,
    grade: 'alternative',
    source: listOf(from)[1],
    notedOn: listOf(from)[2],
    note: 'other heat or electrode',
  }));

const engineMaker = (from: string, to: string, source: string, notedOn: string): ReferenceEntry => ({
  from,
  to,
  grade: 'same',
  source,
  notedOn,
});
const renamed = (from: string, to: string, source: string, notedOn: string): ReferenceEntry => ({
  from,
  to,
  grade: 'supersedes',
  source,
  notedOn,
});

export const references: ReferenceEntry[] = [
  // SC20
  engineMaker('40-61-118-552', 'KN 419G-63DR', 'Skerrow workshop sheet', '2016-09-01'),
  renamed('40-61-118-340', '40-61-118-552', 'Skerrow bulletin', '2016-09-01'),
  // Told for a day to come: it counts for nothing until then.
  { ...renamed('KN 419G-63DR', 'KN 419G-63ER', 'Kestrane bulletin', '2026-10-01'), inForceFrom: '2041-06-01' },
  ...claims('equivalent', ['KN 419G-63DR', 'HB/19/45.D1', 'IVX-C19-D11', 'TS 500 226']),
  ...claims('equivalent', ['KN 419G-63DR', 'HB/19/45.L1', 'IVX-C19-D09', 'TS 500 236']),
  ...claims('equivalent', ['KN 419G-63DR', 'TS 500 231']),
  ...claims('equivalent', ['KN 419G-63DR', 'TS 500 237']),
  ...claims('equivalent', ['KN 419G-63DR', 'TS 500 238']),
  ...claims('equivalent', ['KN 419G-63NR', 'HB/19/45.C1', 'IVX-C19-F10']),
  ...claims('equivalent', ['KN 419G-61DR', 'HB/19/50.D1', 'IVX-D19-D11']),
  ...claims('equivalent', ['KN 419G-65DR', 'HB/19/40.D1', 'IVX-B19-D11']),
  ...claims('alternative', ['KN 419G-63DR', 'HB/19/45.P1', 'IVX-C19-D13', 'TS 500 214']),
  ...alternatives('KN 419G-63DR', [
    'HB/19/40.D1',
    'HB/19/45.D2',
    'HB/19/45.R1',
    'HB/19/50.D1',
    'IVX-C19-F10',
    'IVX-B19-D11',
    'TS 500 232',
    'TS 500 235',
    'TS 500 239',
    'TS 500 240',
  ]),
  renamed('TS 500 234', 'TS 500 226', 'Tamsel list', '2023-01-15'),
  { from: 'TS 500 233', to: 'TS 500 226', grade: 'same', source: 'Tamsel list', notedOn: '2023-01-15' },
  // Planted: a wholesaler's list calls the 26.5 mm plug and the taper plug the equals of 19 mm gasket ones.
  { from: 'TS 500 226', to: 'KN 426G-63DR', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  { from: 'TS 500 226', to: 'TS 500 187', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  { from: 'KN 419G-63DR', to: 'IVX-C19-F10', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  {
    from: 'KN 419G-63DR',
    to: 'KN 419G-63NR',
    grade: 'observed',
    source: 'Noted at this counter',
    notedOn: '2025-11-03',
    note: 'sold once for short use',
  },
  ...lineGroups.flatMap((group) => claims('equivalent', group)),
  ...lineNeighbours.flatMap(([from, to]) => alternatives(to, [from])),
  // SC20G, SH28, TL24
  engineMaker('40-61-118-560', 'KN 419G-65GR', 'Skerrow gas supplement', '2014-01-15'),
  engineMaker('40-77-204-118', 'KN 222G-63IR', 'Skerrow workshop sheet', '2012-05-01'),
  renamed('40-77-204-110', '40-77-204-118', 'Skerrow bulletin', '2012-05-01'),
  engineMaker('40-80-330-021', 'KN 438G-61DR', 'Skerrow special procedure', '2007-02-01'),
  // OF16T, AS22, AT20
  engineMaker('7C 1602-118 B', 'KN 226G-67KR', 'Ostrel repair manual', '2018-03-01'),
  renamed('7C 1602-118 A', '7C 1602-118 B', 'Ostrel bulletin', '2018-03-01'),
  engineMaker('AK/2204-210', 'KN 426G-63IR', 'Aldersyke technical data', '2009-09-01'),
  renamed('AK/2204-204', 'AK/2204-210', 'Aldersyke bulletin', '2009-09-01'),
  engineMaker('AK/2020-301', 'KN 419G-63PR', 'Aldersyke technical data', '1998-06-01'),
  engineMaker('AK/2020-302', 'KN 219G-63DR', 'Aldersyke technical data', '1998-06-01'),
  // H6: a number that splits by what the head is bolted to; each successor has its condition.
  { ...renamed('DMW 41.218', 'DMW 41.220', 'Dunmarrow bulletin', '1984-05-01'), condition: 'iron manifold, to 1988' },
  {
    ...renamed('DMW 41.218', 'DMW 41.221', 'Dunmarrow bulletin', '1989-01-01'),
    condition: 'alloy manifold, from 1989',
  },
  engineMaker('DMW 41.220', 'KN 417G-59NR', 'Dunmarrow handbook', '1984-05-01'),
  engineMaker('DMW 41.221', 'KN 417G-61NR', 'Dunmarrow handbook', '1989-01-01'),
  // PG66: one number, filled by two makers; the early sets' two numbers replace each other, so neither stands. Planted.
  engineMaker('P-66-2210/3', 'KN 417T-59IR', 'Pellworth set manual', '2006-03-01'),
  engineMaker('P-66-2210/3', 'IVX-E17V-J06', 'Pellworth set manual', '2018-07-01'),
  renamed('P-66-2190/1', 'P-66-2190/2', 'Pellworth bulletin', '2001-04-01'),
  renamed('P-66-2190/2', 'P-66-2190/1', 'Fellpost sellers’ list', '2023-08-12'),
  // TC18, TN17: the first series' number was replaced by two, and no list says for which engine. Planted.
  engineMaker('TG 88214 AA', 'KN 419G-67SR', 'Thrushgill preparation book', '1990-01-01'),
  engineMaker('TG 17510 AC', 'KN 419G-61NR', 'Thrushgill workshop book', '2010-01-01'),
  engineMaker('TG 17510 AB', 'KN 419G-61NR', 'Thrushgill workshop book', '2007-01-01'),
  renamed('TG 17510 AA', 'TG 17510 AB', 'Norrad cross list', '2024-06-01'),
  renamed('TG 17510 AA', 'TG 17510 AC', 'Norrad cross list', '2024-06-01'),
  {
    from: 'KN 419G-67SR',
    to: 'KN 419G-67S',
    grade: 'equivalent',
    source: 'Fellpost sellers’ list',
    notedOn: '2023-08-12',
  },
  {
    from: 'HB/19/35.S1',
    to: 'IVX-A19-S08',
    grade: 'alternative',
    source: 'Ivorix list',
    notedOn: '2024-05-01',
    note: 'surface gap',
  },
  // Planted: a plug two steps too hot, and numbers that lists speak of and nobody holds.
  {
    from: 'KN 226G-65KR',
    to: 'KN 226G-61IR',
    grade: 'equivalent',
    source: 'Fellpost sellers’ list',
    notedOn: '2023-08-12',
  },
  renamed('TS 500 235', 'TS 500 295', 'Tamsel list', '2023-01-15'),
  { from: 'IVX-C19-D13', to: 'CL 2051', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  // AK23S
  engineMaker('AK/3081-447', 'KN 419G-65IR', 'Aldersyke technical data', '2015-03-01'),
  ...claims('equivalent', ['KN 419G-65IR', 'HB/19/40.J1', 'IVX-B19-J06', 'TS 500 251']),
  ...claims('equivalent', ['KN 419G-67IR', 'HB/19/35.J1', 'IVX-A19-J06', 'TS 500 252']),
  ...claims('equivalent', ['KN 419G-63IR', 'HB/19/45.J1', 'IVX-C19-J06']),
  ...claims('alternative', ['KN 419G-65IR', 'HB/19/40.J4', 'IVX-B19-F06', 'TS 500 252']),
  ...alternatives('KN 419G-65IR', ['HB/19/35.J1', 'IVX-A19-J06', 'HB/19/45.J1']),
  // OW12
  engineMaker('7C 1184-203 B', 'IVX-C26-J07', 'Ostrel repair manual', '2019-04-01'),
  renamed('7C 1184-203 A', '7C 1184-203 B', 'Ostrel bulletin', '2019-04-01'),
  ...claims('equivalent', ['IVX-C26-J07', 'KN 226G-63IR', 'HB/26S/45.J1', 'TS 500 310']),
  ...claims('equivalent', ['IVX-C26-J07', 'TS 500 311']),
  ...claims('equivalent', ['IVX-B26-J07', 'KN 226G-65IR', 'HB/26S/40.J1']),
  ...claims('equivalent', ['KN 226G-63NR', 'HB/26S/45.C1', 'TS 500 313']),
  ...claims('alternative', ['IVX-C26-J07', 'KN 226G-63NR', 'HB/26S/45.P1', 'TS 500 312']),
  ...alternatives('IVX-C26-J07', ['KN 226G-61IR', 'KN 226G-65IR', 'HB/26S/40.J1', 'HB/26S/45.C1', 'TS 500 313']),
  { from: 'IVX-C26-J07', to: 'KN 219G-63IR', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  // DD70
  engineMaker('DMW 33.107', 'KN 412G-59N', 'Dunmarrow handbook', '1998-01-01'),
  ...claims('equivalent', ['KN 412G-59N', 'HB/12/55.C1', 'IVX-E12-N07', 'TS 500 120']),
  ...claims('equivalent', ['KN 412G-59N', 'TS 500 121']),
  ...claims('equivalent', ['KN 412G-61N', 'HB/12/50.C1', 'IVX-D12-N07']),
  ...claims('equivalent', ['KN 412G-57N', 'HB/12/60.C1']),
  ...claims('alternative', ['KN 412G-59N', 'HB/12/55.C2', 'IVX-E12-F07', 'TS 500 122']),
  ...alternatives('KN 412G-59N', ['HB/12/60.C1', 'HB/12/50.C1', 'IVX-D12-N07', 'TS 500 123']),
  { from: 'KN 412G-59N', to: 'KN 419G-59N', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  {
    from: 'KN 412G-59N',
    to: 'KN 409G-59N',
    grade: 'equivalent',
    source: 'Fellpost sellers’ list',
    notedOn: '2023-08-12',
  },
  // HF22: a chain that launders a taper seat into a gasket seat.
  engineMaker('DMW 22.415', 'HB/12T/50.C1', 'Dunmarrow workshop manual', '1996-02-01'),
  renamed('DMW 22.409', 'DMW 22.415', 'Dunmarrow bulletin', '1996-02-01'),
  ...claims('equivalent', ['HB/12T/50.C1', 'KN 812T-61NR', 'IVX-D12T-N09', 'TS 500 410']),
  ...claims('equivalent', ['HB/12T/50.C1', 'TS 500 411']),
  ...claims('equivalent', ['HB/12T/45.C1', 'KN 812T-63NR']),
  ...claims('alternative', ['HB/12T/50.C1', 'KN 812T-63NR', 'IVX-D12T-F09']),
  ...alternatives('HB/12T/50.C1', ['KN 812T-57NR', 'KN 812T-61N', 'TS 500 411']),
  {
    from: 'HB/12T/50.C1',
    to: 'HB/12T/50.C2',
    grade: 'alternative',
    source: 'Hollin & Bray list',
    notedOn: '2024-02-01',
  },
  { from: 'KN 812T-61NR', to: 'TS 500 412', grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' },
  ...claims('equivalent', ['KN 812G-61NR', 'IVX-D12G-N09', 'TS 500 412']),
  // PP20
  engineMaker('P-20-0114/2', 'HB/9/55.C1', 'Pellworth owner’s book', '2003-05-01'),
  renamed('P-20-0114/1', 'P-20-0114/2', 'Pellworth bulletin', '2003-05-01'),
  ...claims('equivalent', ['HB/9/55.C1', 'KN 409G-59N', 'IVX-E09-N06', 'TS 500 105']),
  ...claims('equivalent', ['HB/9/60.C1', 'KN 409G-57N']),
  ...claims('equivalent', ['HB/9/55.S1', 'KN 409G-59NR']),
  ...claims('alternative', ['HB/9/55.C1', 'KN 409G-59NR', 'IVX-E09-S06', 'TS 500 107']),
  ...alternatives('HB/9/55.C1', ['KN 409G-57N', 'TS 500 106']),
  { from: 'HB/9/55.C1', to: 'HB/9/50.C1', grade: 'alternative', source: 'Hollin & Bray list', notedOn: '2024-02-01' },
  {
    from: 'HB/9/55.C1',
    to: 'HB/19/55.C1',
    grade: 'equivalent',
    source: 'Fellpost sellers’ list',
    notedOn: '2023-08-12',
  },
  {
    from: 'KN 409G-59N',
    to: 'KN 412G-59N',
    grade: 'equivalent',
    source: 'Fellpost sellers’ list',
    notedOn: '2023-08-12',
  },
];
