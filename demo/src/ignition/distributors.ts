import type {
  AskedFacts,
  CapFacts,
  ListingEntry,
  NeedEntry,
  OtherPartEntry,
  ReferenceEntry,
  RotorFacts,
} from '@brackenfell/contract/catalogue-file';

interface Distributor {
  readonly engineId: string;
  readonly capOe: string;
  readonly rotorOe: string;
  readonly cap: Required<
    Pick<
      AskedFacts,
      | 'capAsked.towersCount'
      | 'capAsked.towerForm'
      | 'capAsked.fixing'
      | 'capAsked.indexDeg'
      | 'capAsked.contactRadiusMm'
    >
  >;
  readonly rotor: Required<
    Pick<
      AskedFacts,
      'rotorAsked.shaft' | 'rotorAsked.tipRadiusMm' | 'rotorAsked.heightMm' | 'rotorAsked.resistanceKohm'
    >
  >;
  /** What is wrong with the cap and the rotor that tempt. */
  readonly capTrap: CapFacts;
  readonly rotorTrap: RotorFacts;
}

const cap = (
  towers: number,
  form: 'socket' | 'peg',
  fixing: 'clips' | 'screws',
  indexDeg: number,
  radius: number,
): Distributor['cap'] => ({
  'capAsked.towersCount': towers,
  'capAsked.towerForm': form,
  'capAsked.fixing': fixing,
  'capAsked.indexDeg': indexDeg,
  'capAsked.contactRadiusMm': radius,
});
const rotor = (
  shaft: 'flat' | 'slot' | 'square' | 'two-screws',
  tip: number,
  height: number,
): Distributor['rotor'] => ({
  'rotorAsked.shaft': shaft,
  'rotorAsked.tipRadiusMm': tip,
  'rotorAsked.heightMm': height,
  'rotorAsked.resistanceKohm': { low: 4, high: 6 },
});

const distributors: readonly Distributor[] = [
  {
    engineId: 'dunmarrow-hf22',
    capOe: 'DMW 33.510',
    rotorOe: 'DMW 33.520',
    cap: cap(4, 'socket', 'clips', 30, 26),
    rotor: rotor('flat', 25.2, 38),
    capTrap: { 'cap.indexDeg': 75 },
    rotorTrap: { 'rotor.tipRadiusMm': 26.1 },
  },
  {
    engineId: 'dunmarrow-h6',
    capOe: 'DMW 31.510',
    rotorOe: 'DMW 31.520',
    cap: cap(6, 'socket', 'clips', 15, 29),
    rotor: rotor('slot', 28.2, 41),
    capTrap: { 'cap.contactRadiusMm': 28.2 },
    rotorTrap: { 'rotor.shaft': 'flat' },
  },
  {
    engineId: 'pellworth-pg66',
    capOe: 'P-66-5510/1',
    rotorOe: 'P-66-5520/1',
    cap: cap(8, 'peg', 'screws', 10, 34),
    rotor: rotor('two-screws', 33.2, 30),
    capTrap: { 'cap.towerForm': 'socket' },
    rotorTrap: { 'rotor.heightMm': 33.5 },
  },
  {
    engineId: 'thrushgill-tc18',
    capOe: 'TG 88510 AA',
    rotorOe: 'TG 88520 AA',
    cap: cap(4, 'socket', 'screws', 60, 27),
    rotor: rotor('square', 26.2, 36),
    capTrap: { 'cap.fixing': 'clips' },
    rotorTrap: { 'rotor.tipRadiusMm': 27 },
  },
];

const without = (facts: object, prefix: string): object =>
  Object.fromEntries(
    Object.entries(facts).map(([fact, value]) => [
      fact.replace('capAsked.', 'cap.').replace('rotorAsked.', prefix),
      value as unknown,
    ]),
  );
const capAsAsked = (asked: Distributor['cap']): CapFacts => ({
  ...without(asked, 'rotor.'),
  'cap.supply': { state: 'active' },
});
const rotorAsAsked = ({ 'rotorAsked.resistanceKohm': kohm, ...asked }: Distributor['rotor']): RotorFacts => ({
  ...without(asked, 'rotor.'),
  'rotor.resistanceKohm': (kohm.low + kohm.high) / 2,
  'rotor.supply': { state: 'active' },
});

export const distributorNeeds: Readonly<Record<string, readonly NeedEntry[]>> = Object.fromEntries(
  distributors.map(({ engineId, capOe, rotorOe, cap: capAsked, rotor: rotorAsked }): [string, NeedEntry[]] => [
    engineId,
    [
      { kind: 'cap', place: 'cap', facts: capAsked, oeNumbers: [{ number: capOe }] },
      { kind: 'rotor', place: 'rotor', facts: rotorAsked, oeNumbers: [{ number: rotorOe }] },
    ],
  ]),
);

const halves = distributors.flatMap((d, i) => {
  const [right, turning] = [capAsAsked(d.cap), rotorAsAsked(d.rotor)];
  const capOf = (maker: string, number: string, family: string, facts: CapFacts, priceMinor: number) => ({
    oe: d.capOe,
    engineId: d.engineId,
    part: {
      kind: 'cap',
      maker,
      number,
      facts: { ...facts, 'cap.family': family },
      onHand: 2,
      bin: 'D1',
      priceMinor,
    } satisfies OtherPartEntry,
  });
  const rotorOf = (maker: string, number: string, family: string, facts: RotorFacts, priceMinor: number) => ({
    oe: d.rotorOe,
    engineId: d.engineId,
    part: {
      kind: 'rotor',
      maker,
      number,
      facts: { ...facts, 'rotor.family': family },
      onHand: 3,
      bin: 'D2',
      priceMinor,
    } satisfies OtherPartEntry,
  });
  const n = 40 + i * 4;
  return [
    { role: 'own' as const, ...capOf('marlspark', `MS-D ${n}1`, `M ${n}`, right, 1850) },
    { role: 'own' as const, ...rotorOf('marlspark', `MS-R ${n}1`, `M ${n}`, turning, 720) },
    {
      role: 'equal' as const,
      ...capOf(
        'hexley',
        `HX 75.${n}2`,
        `H ${n}`,
        { ...right, 'cap.contactRadiusMm': d.cap['capAsked.contactRadiusMm'] + 0.2 },
        1490,
      ),
    },
    {
      role: 'equal' as const,
      ...rotorOf(
        'hexley',
        `HX 76.${n}2`,
        `H ${n}`,
        { ...turning, 'rotor.tipRadiusMm': d.rotor['rotorAsked.tipRadiusMm'] + 0.2 },
        580,
      ),
    },
    { role: 'trap' as const, ...capOf('hexley', `HX 75.${n}3`, `H ${n}`, { ...right, ...d.capTrap }, 990) },
    { role: 'trap' as const, ...rotorOf('hexley', `HX 76.${n}3`, `H ${n}`, { ...turning, ...d.rotorTrap }, 390) },
  ];
});

export const distributorParts: OtherPartEntry[] = halves.map(({ part }) => part);

export const distributorReferences: ReferenceEntry[] = halves.map(({ role, oe, part: { number } }): ReferenceEntry =>
  role === 'own'
    ? { from: oe, to: number, grade: 'same', source: 'Engine maker’s parts sheet', notedOn: '2021-09-01' }
    : {
        from: number,
        to: oe,
        grade: 'equivalent',
        source: role === 'trap' ? 'Eastgate list' : 'Hexley cross list',
        notedOn: '2024-04-12',
      },
);

export const distributorListings: ListingEntry[] = halves
  .filter(({ role }) => role !== 'trap')
  .map(({ engineId, part }) => ({
    engineId,
    number: part.number,
    source: part.maker === 'marlspark' ? 'Marlspark application list' : 'Hexley application list',
    statedOn: '2025-02-20',
  }));
