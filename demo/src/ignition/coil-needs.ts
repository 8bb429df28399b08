import type { AskedFacts, NeedEntry } from '@brackenfell/contract/catalogue-file';

const screw = (threadMm: number) => ({ holes: 1, spacingMm: 0, threadMm });
const screws = (spacingMm: number, threadMm: number, holes = 2) => ({ holes, spacingMm, threadMm });

/** A coil on each plug. */
const ON_PLUG = {
  'coilAsked.topology': 'on-plug',
  'coilAsked.towersCount': 1,
  'coilAsked.grips': 'solid',
  'coilAsked.sparkPolarity': 'negative',
} as const satisfies AskedFacts;
/** A pack that fires two cylinders at once through leads. */
const PACK = {
  'coilAsked.topology': 'waste-spark',
  'coilAsked.grips': 'lead',
  'coilAsked.sparkPolarity': 'negative',
  'coilAsked.builtInDriver': false,
} as const satisfies AskedFacts;
/** A can that feeds a distributor cap. */
const CAN = {
  'coilAsked.topology': 'canister',
  'coilAsked.towersCount': 1,
  'coilAsked.connector': 'screws',
  'coilAsked.pinsCount': 2,
  'coilAsked.builtInDriver': false,
  'coilAsked.grips': 'lead',
  'coilAsked.mounting': screws(70, 8),
  'coilAsked.sparkPolarity': 'negative',
} as const satisfies AskedFacts;

const coils = (
  cylinders: number,
  oe: readonly string[],
  facts: AskedFacts,
  more: Partial<Pick<NeedEntry, 'build' | 'place'>> = {},
): NeedEntry => ({
  kind: 'coil',
  place: 'coil',
  cylinders: Array.from({ length: cylinders }, (_, i) => i + 1),
  facts: { ...ON_PLUG, ...facts },
  oeNumbers: oe.map((number) => ({ number, ...(more.build ? { note: more.build } : {}) })),
  ...more,
});
const one = (place: string, oe: string, facts: AskedFacts, build?: string): NeedEntry => ({
  kind: 'coil',
  place,
  facts,
  oeNumbers: [{ number: oe, ...(build ? { note: build } : {}) }],
  ...(build ? { build } : {}),
});

const fourPack = { ...PACK, 'coilAsked.towersCount': 4, 'coilAsked.mounting': screws(88, 6, 3) } as const;

/** What each engine asks of its coils. */
export const coilNeeds: Readonly<Record<string, readonly NeedEntry[]>> = {
  'ostrel-ow12': [
    coils(3, ['7C 1184-410 A'], {
      'coilAsked.connector': 'flat-left',
      'coilAsked.pinsCount': 3,
      'coilAsked.builtInDriver': true,
      'coilAsked.bootLengthMm': 108,
      'coilAsked.mounting': screw(6),
      'coilAsked.primaryOhm': 0.52,
    }),
  ],
  'ostrel-of16t': [
    coils(
      4,
      ['7C 1602-410 A'],
      {
        'coilAsked.connector': 'oval-top',
        'coilAsked.pinsCount': 3,
        'coilAsked.builtInDriver': true,
        'coilAsked.bootLengthMm': 126,
        'coilAsked.mounting': screw(6),
        'coilAsked.primaryOhm': 0.45,
        'coilAsked.revisions': ['A', 'C'],
        'coilAsked.oneRevision': true,
      },
      { build: 'to Feb 2018' },
    ),
    coils(
      4,
      ['7C 1602-410 B'],
      {
        'coilAsked.connector': 'oval-top',
        'coilAsked.pinsCount': 4,
        'coilAsked.builtInDriver': true,
        'coilAsked.bootLengthMm': 126,
        'coilAsked.mounting': screw(6),
        'coilAsked.primaryOhm': 0.45,
        'coilAsked.revisions': ['B'],
        'coilAsked.oneRevision': true,
      },
      { build: 'Mar 2018 on' },
    ),
  ],
  'skerrow-sc20': [
    one(
      'pack',
      '40-61-210-114',
      {
        ...fourPack,
        'coilAsked.connector': 'flat-right',
        'coilAsked.pinsCount': 3,
        'coilAsked.primaryOhm': 0.5,
        'coilAsked.secondaryKohm': 12,
      },
      'to Aug 2016',
    ),
    one(
      'pack',
      '40-61-210-152',
      {
        ...fourPack,
        'coilAsked.connector': 'flat-right',
        'coilAsked.pinsCount': 4,
        'coilAsked.builtInDriver': true,
        'coilAsked.primaryOhm': 0.5,
        'coilAsked.secondaryKohm': 12,
      },
      'Sep 2016 on',
    ),
  ],
  'skerrow-sc20g': [
    one('pack', '40-61-210-160', {
      ...fourPack,
      'coilAsked.connector': 'flat-right',
      'coilAsked.pinsCount': 3,
      'coilAsked.primaryOhm': 0.42,
      'coilAsked.secondaryKohm': 14,
    }),
  ],
  'skerrow-sh28': (['rear', 'front'] as const).map((place, bank) => ({
    ...coils(
      3,
      [`40-28-210-1${bank}4`],
      {
        'coilAsked.connector': 'oval-twin',
        'coilAsked.pinsCount': 3,
        'coilAsked.builtInDriver': true,
        // The rear bank's wells are deeper, under the intake.
        'coilAsked.bootLengthMm': place === 'rear' ? 141 : 118,
        'coilAsked.mounting': screw(6),
        'coilAsked.primaryOhm': 0.48,
      },
      { place },
    ),
    cylinders: place === 'rear' ? [1, 2, 3] : [4, 5, 6],
  })),
  'skerrow-tl24': [
    coils(4, ['40-24-210-330'], {
      'coilAsked.connector': 'flat-twin',
      'coilAsked.pinsCount': 2,
      'coilAsked.builtInDriver': false,
      'coilAsked.bootLengthMm': 152,
      'coilAsked.mounting': screw(6),
      'coilAsked.primaryOhm': 0.55,
      'coilAsked.secondaryKohm': 5.5,
    }),
  ],
  'dunmarrow-dd70': [
    one('coil', 'DMW 70.441', {
      ...PACK,
      'coilAsked.towersCount': 2,
      'coilAsked.connector': 'flat-left',
      'coilAsked.pinsCount': 2,
      'coilAsked.mounting': screws(64, 6),
      'coilAsked.primaryOhm': 3.2,
      'coilAsked.secondaryKohm': 10.5,
    }),
  ],
  'dunmarrow-hf22': [one('coil', 'DMW 33.410', { ...CAN, 'coilAsked.primaryOhm': 0.9, 'coilAsked.secondaryKohm': 8 })],
  'dunmarrow-h6': [one('coil', 'DMW 31.402', { ...CAN, 'coilAsked.primaryOhm': 1, 'coilAsked.secondaryKohm': 9 })],
  'pellworth-pg66': [
    one('coil', 'P-66-4410/1', {
      ...CAN,
      'coilAsked.connector': 'square-corner',
      'coilAsked.mounting': screws(84, 8),
      'coilAsked.primaryOhm': 0.6,
      'coilAsked.secondaryKohm': 11,
    }),
  ],
  'pellworth-pp20': [
    one('coil', 'P-20-4402/1', {
      'coilAsked.topology': 'near-plug',
      'coilAsked.towersCount': 1,
      'coilAsked.connector': 'flat-right',
      'coilAsked.pinsCount': 1,
      'coilAsked.builtInDriver': true,
      'coilAsked.grips': 'lead',
      'coilAsked.mounting': screws(56, 6),
      'coilAsked.sparkPolarity': 'negative',
      'coilAsked.primaryOhm': 0.9,
      'coilAsked.secondaryKohm': 7,
    }),
  ],
  'aldersyke-ak23s': [
    coils(5, ['AK/3081-610'], {
      'coilAsked.connector': 'square-top',
      'coilAsked.pinsCount': 4,
      'coilAsked.builtInDriver': true,
      'coilAsked.bootLengthMm': 134,
      'coilAsked.mounting': screw(6),
      'coilAsked.primaryOhm': 0.5,
    }),
  ],
  'aldersyke-as22': (['serial to 408 211', 'serial 408 212 on'] as const).map((build, late) =>
    coils(
      4,
      [`AK/2208-6${late + 1}0`],
      {
        'coilAsked.connector': late ? 'square-top' : 'flat-twin',
        'coilAsked.pinsCount': late ? 4 : 3,
        'coilAsked.builtInDriver': true,
        'coilAsked.bootLengthMm': 121,
        'coilAsked.bootAngleDeg': late ? 12 : 0,
        'coilAsked.mounting': screw(6),
        'coilAsked.primaryOhm': 0.5,
      },
      { build },
    ),
  ),
  'aldersyke-at20': (['intake', 'exhaust'] as const).map((side, i) =>
    one(`${side} pack`, `AK/2020-6${i + 1}0`, {
      ...fourPack,
      'coilAsked.connector': side === 'intake' ? 'oval-top' : 'oval-twin',
      'coilAsked.pinsCount': 3,
      'coilAsked.mounting': screws(side === 'intake' ? 92 : 76, 6),
      'coilAsked.primaryOhm': 0.48,
      'coilAsked.secondaryKohm': 13,
    }),
  ),
  'thrushgill-tc18': [
    one('coil', 'TG 88410 AA', { ...CAN, 'coilAsked.primaryOhm': 0.7, 'coilAsked.secondaryKohm': 8.5 }),
  ],
  'thrushgill-tn17': [
    one('pack', 'TG 17410 AB', {
      ...fourPack,
      'coilAsked.connector': 'square-corner',
      'coilAsked.pinsCount': 4,
      'coilAsked.builtInDriver': true,
      'coilAsked.mounting': screws(96, 6),
      'coilAsked.primaryOhm': 0.46,
      'coilAsked.secondaryKohm': 12.5,
    }),
  ],
};
