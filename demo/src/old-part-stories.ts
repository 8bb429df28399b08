import type { DayFile } from '@brackenfell/contract/garage-file';
import { SIGN_LINES, type SignId } from '@brackenfell/core/old-parts/signs';

type Kept = NonNullable<DayFile[number]['kept']>[number];

/** Old parts and comebacks planted in the demo’s day, and the answer that the rules owe each. Written from the rules. */
export interface OldPartStory {
  readonly tells: string;
  readonly docket: number;
  readonly vehicle: string;
  readonly engineId: string;
  readonly cameFor: string;
  readonly kept: readonly Kept[];
  /** What the desk says, or the check that was found. */
  readonly says: RegExp;
}

const plugsRead = (
  engineId: string,
  cylinders: readonly (readonly [cylinder: number, ...signs: SignId[]])[],
  context: Extract<Kept, { kind: 'old-plugs' }>['context'] = [],
): Kept => ({
  kind: 'old-plugs',
  engineId,
  cylinders: cylinders.map(([cylinder, ...signs]) => ({ cylinder, looked: [...SIGN_LINES], signs, gapMm: null })),
  context: [...context],
  results: {},
});

const cameBack = (engineId: string, more: Partial<Extract<Kept, { kind: 'comeback' }>>): Kept => ({
  kind: 'comeback',
  engineId,
  howSoon: 'once',
  misfire: 'one',
  when: [],
  lamp: 'steady',
  untouched: ['intake', 'earth', 'battery', 'isolated'],
  isToldDropped: false,
  code: '',
  isTakenBack: false,
  results: {},
  ...more,
});

export const OLD_PART_STORIES: readonly OldPartStory[] = [
  {
    tells: 'four sooty plugs from a taxi on short runs',
    docket: 4180,
    vehicle: 'car 9',
    engineId: 'skerrow-sc20g',
    cameFor: 'Uses more than it did',
    kept: [
      plugsRead(
        'skerrow-sc20g',
        [
          [1, 'soot'],
          [2, 'soot'],
          [3, 'soot'],
          [4, 'soot'],
        ],
        ['short-runs'],
      ),
    ],
    says: /^Likely: short cold runs/,
  },
  {
    tells: 'a coolant leak between two neighbours of the old six, both low in the log',
    docket: 4181,
    vehicle: 'works lorry',
    engineId: 'dunmarrow-h6',
    cameFor: 'Loses water, misfires warm',
    kept: [
      plugsRead(
        'dunmarrow-h6',
        [
          [1, 'tan'],
          [2, 'powder'],
          [3, 'powder'],
          [4, 'tan'],
          [5, 'tan'],
          [6, 'tan'],
        ],
        ['coolant-loss'],
      ),
      {
        kind: 'compression',
        engineId: 'dunmarrow-h6',
        reads: [9.1, 6.2, 6.0, 9.3, 8.9, 9.2].map((bar, i) => ({
          cylinder: i + 1,
          dryKpa: Math.round(bar * 100),
          wetKpa: null,
        })),
        conditions: ['isolated', 'throttle', 'battery', 'plugs-out'],
        specifiedKpa: null,
        hasDecompressor: false,
        isLeakDownMade: false,
        state: 'warm, as it came in',
      },
    ],
    says: /^Likely: coolant past the head gasket/,
  },
  {
    tells: 'oil in one deep well from the cover seal',
    docket: 4182,
    vehicle: 'car 14',
    engineId: 'ostrel-ow12',
    cameFor: 'Stutters on the middle one',
    kept: [
      plugsRead('ostrel-ow12', [
        [1, 'tan'],
        [2, 'tan', 'oil-thread', 'oil-boot'],
        [3, 'tan'],
      ]),
    ],
    says: /^Likely: cover or well seal leaks/,
  },
  {
    tells: 'a generator whose cap has tracks',
    docket: 4183,
    vehicle: 'generator 2',
    engineId: 'pellworth-pg66',
    cameFor: 'Rough since the rain',
    kept: [
      cameBack('pellworth-pg66', {
        howSoon: 'later',
        misfire: 'several',
        when: ['wet'],
        lamp: 'off',
        untouched: [],
        results: { cap: 'wrong' },
      }),
    ],
    says: /^cap$/,
  },
  {
    tells: 'a taxi that misfires the day after its plugs: one connector not latched',
    docket: 4184,
    vehicle: 'car 19',
    engineId: 'aldersyke-as22',
    cameFor: 'Shakes since the plugs, wants a coil',
    kept: [cameBack('aldersyke-as22', { results: { boot: 'seen-right', connector: 'wrong' } })],
    says: /^connector$/,
  },
  {
    tells: 'a supercharged five on a smaller pulley, run hot',
    docket: 4185,
    vehicle: 'hill car',
    engineId: 'aldersyke-ak23s',
    cameFor: 'Flat at the top of the hill',
    kept: [
      plugsRead(
        'aldersyke-ak23s',
        [1, 2, 3, 4, 5].map((cylinder) => [cylinder, 'blistered', 'specks'] as const),
        ['boost'],
      ),
    ],
    says: /^Likely: runs too hot/,
  },
];
