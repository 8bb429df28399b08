import type {
  AskedFacts,
  CoilFacts,
  ListingEntry,
  OtherPartEntry,
  ReferenceEntry,
} from '@brackenfell/contract/catalogue-file';
import { coilNeeds } from './coil-needs.ts';
import { coilPower } from './coil-power.ts';

/** One coil of the world: what it is, how it came into the trade's lists. */
interface Coil {
  readonly part: Extract<OtherPartEntry, { kind: 'coil' }>;
  readonly engineId: string;
  readonly oe: string;
  readonly place: string;
  readonly build: string | undefined;
  readonly role: 'own' | 'equal' | 'advice' | 'trap' | 'unpublished';
}

/** A coil that is all its engine asks. */
function asAsked(engineId: string, asked: AskedFacts): CoilFacts {
  const own = Object.fromEntries(
    Object.entries(asked)
      .filter(([fact]) => !['coilAsked.revisions', 'coilAsked.oneRevision', 'coilAsked.secondaryKohm'].includes(fact))
      .map(([fact, value]) => [fact.replace('coilAsked.', 'coil.'), value]),
  );
  const kohm = asked['coilAsked.secondaryKohm'];
  return {
    ...own,
    ...coilPower[engineId],
    'coil.secondary': kohm === undefined ? { kind: 'not-measurable' } : { kind: 'kohm', kohm },
    ...(asked['coilAsked.revisions'] ? { 'coil.revision': asked['coilAsked.revisions'][0] } : {}),
    'coil.supply': { state: 'active' },
  };
}

const off = (value: number, by: number): number => Number((value * by).toFixed(3));

/** What tempts: all but one thing is right, another thing for each coil in turn. */
const TRAPS: readonly ((facts: CoilFacts) => CoilFacts | undefined)[] = [
  (f) => (f['coil.bootLengthMm'] === undefined ? undefined : { ...f, 'coil.bootLengthMm': f['coil.bootLengthMm'] - 3 }),
  (f) => ({ ...f, 'coil.pinsCount': (f['coil.pinsCount'] ?? 2) + 1 }),
  (f) => ({ ...f, 'coil.connector': f['coil.connector'] === 'flat-left' ? 'flat-right' : 'flat-left' }),
  (f) => {
    const mounting = f['coil.mounting'];
    return mounting && { ...f, 'coil.mounting': { ...mounting, holes: mounting.holes === 1 ? 2 : 1, spacingMm: 40 } };
  },
  (f) => ({ ...f, 'coil.builtInDriver': f['coil.builtInDriver'] !== true }),
  (f) => (f['coil.grips'] === 'solid' ? { ...f, 'coil.grips': 'stud' } : undefined),
  (f) =>
    f['coil.topology'] === 'waste-spark' ? { ...f, 'coil.towersCount': (f['coil.towersCount'] ?? 4) / 2 } : undefined,
];

const needs = Object.entries(coilNeeds).flatMap(([engineId, own]) => own.map((need) => ({ engineId, need })));

const all: readonly Coil[] = needs.flatMap(({ engineId, need }, i): Coil[] => {
  const right = asAsked(engineId, need.facts);
  const oe = need.oeNumbers![0]!.number;
  const ohm = right['coil.primaryOhm'] ?? 0.5;
  const boot = right['coil.bootLengthMm'];
  const coil = (
    role: Coil['role'],
    maker: 'marlspark' | 'hexley',
    serial: number,
    facts: CoilFacts,
    [onHand, priceMinor]: readonly [number, number],
  ): Coil => ({
    role,
    engineId,
    oe,
    place: need.place,
    build: need.build,
    part: {
      kind: 'coil',
      maker,
      number: maker === 'marlspark' ? `MS-C ${2200 + i * 10 + serial}` : `HX 71.${300 + i * 7 + serial}`,
      facts,
      onHand,
      bin: `K${1 + (i % 6)}`,
      priceMinor,
    },
  });
  const trap = TRAPS.map((_, turn) => TRAPS[(i + turn) % TRAPS.length]!(right)).find((facts) => facts !== undefined)!;
  const { 'coil.mounting': _, 'coil.primaryOhm': __, 'coil.inductanceMh': ___, ...unpublished } = right;
  return [
    coil('own', i % 2 === 0 ? 'hexley' : 'marlspark', 1, right, [4 + (i % 5), 4650 + i * 35]),
    coil('equal', i % 2 === 0 ? 'marlspark' : 'hexley', 2, { ...right, 'coil.primaryOhm': off(ohm, 1.05) }, [
      2 + (i % 4),
      3890 + i * 20,
    ]),
    coil(
      'advice',
      'hexley',
      3,
      { ...right, 'coil.primaryOhm': off(ohm, 1.13), ...(boot ? { 'coil.bootLengthMm': boot + 2 } : {}) },
      [i % 3, 2750 + i * 10],
    ),
    coil('trap', 'marlspark', 4, trap, [1 + (i % 2), 2450]),
    coil('unpublished', 'hexley', 5, unpublished, [0, 1990]),
  ];
});

/** The revision that may follow the first in the early turbo four, if all are changed together. */
const early = all.find(({ oe, role }) => oe === '7C 1602-410 A' && role === 'own')!.part;
const revisionC: OtherPartEntry = {
  ...early,
  number: 'MS-C 2900',
  facts: { ...early.facts, 'coil.revision': 'C' },
  onHand: 4,
  priceMinor: 4980,
};

export const coils: OtherPartEntry[] = [...all.map(({ part }) => part), revisionC];

const LISTS = { marlspark: 'Marlspark application list', hexley: 'Hexley application list' } as const;

export const coilReferences: ReferenceEntry[] = [
  ...all.flatMap(({ role, oe, part }): ReferenceEntry[] => {
    const { number, maker } = part;
    if (role === 'own')
      return [{ from: oe, to: number, grade: 'same', source: 'Engine maker’s parts sheet', notedOn: '2023-03-01' }];
    if (role === 'equal')
      return [
        {
          from: number,
          to: oe,
          grade: 'equivalent',
          source: maker === 'hexley' ? 'Hexley cross list' : 'Marlspark cross list',
          notedOn: '2024-04-12',
        },
        { from: number, to: oe, grade: 'equivalent', source: 'Norrad cross list', notedOn: '2024-06-01' },
      ];
    if (role === 'trap')
      return [{ from: number, to: oe, grade: 'equivalent', source: 'Eastgate list', notedOn: '2022-06-30' }];
    if (role === 'unpublished')
      return [{ from: number, to: oe, grade: 'alternative', source: 'Eastgate list', notedOn: '2022-06-30' }];
    return [{ from: number, to: oe, grade: 'equivalent', source: 'Hexley cross list', notedOn: '2024-04-12' }];
  }),
  {
    from: '7C 1602-410 A',
    to: 'MS-C 2900',
    grade: 'alternative',
    source: 'Hexley cross list',
    notedOn: '2024-04-12',
    note: 'all four together',
  },
];

export const coilListings: ListingEntry[] = all
  .filter(({ role }) => role === 'own' || role === 'equal' || role === 'advice')
  .map(({ engineId, place, part }) => ({
    engineId,
    number: part.number,
    place,
    source: LISTS[part.maker as 'marlspark' | 'hexley'],
    statedOn: '2025-02-20',
  }));

/** Coils by what they are in the world's stories, for tests that name them. */
export const coilOf = (engineId: string, role: Coil['role'], build?: string): string =>
  all.find((coil) => coil.engineId === engineId && coil.role === role && (build === undefined || coil.build === build))!
    .part.number;
