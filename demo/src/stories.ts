import type { CheckId } from '@brackenfell/core/fitment/check-ids';
import type { Outcome } from '@brackenfell/core/fitment/finding';
import type { Verdict } from '@brackenfell/core/fitment/verdict';

/** A trap planted in the data, and the answer the rules owe it. The answers are written from the rules, not from the code. */
export interface PlantedStory {
  readonly tells: string;
  readonly engineId: string;
  readonly printed: string;
  readonly verdict: Verdict;
  readonly check: CheckId;
  readonly outcome: Outcome;
  readonly figures?: Readonly<Record<string, unknown>>;
  /** Words that its sentence must hold: the consequence, not only the difference. */
  readonly consequence: RegExp;
  readonly onlyAt?: readonly string[];
}

export const STORIES: readonly PlantedStory[] = [
  {
    tells: 'a 26.5 mm plug that a wholesaler’s list calls the equal of a 19 mm one',
    engineId: 'skerrow-sc20',
    printed: 'KN 426G-63DR',
    verdict: 'refuse',
    check: 'reach',
    outcome: 'refuse',
    figures: { differenceMm: 7.5 },
    consequence: /carbon up and overheat.*piston/,
  },
  {
    tells: 'the same plug ends inside the piston',
    engineId: 'skerrow-sc20',
    printed: 'KN 426G-63DR',
    verdict: 'refuse',
    check: 'depth',
    outcome: 'refuse',
    figures: { depthMm: 31.05, clearanceMm: -2.55 },
    consequence: /struck/,
  },
  {
    tells: 'a 19 mm plug on the pump that asks 9.5',
    engineId: 'pellworth-pp20',
    printed: 'HB/19/55.C1',
    verdict: 'refuse',
    check: 'reach',
    outcome: 'refuse',
    figures: { differenceMm: 9.5 },
    consequence: /piston/,
  },
  {
    tells: 'a 12.7 mm plug on the same pump',
    engineId: 'pellworth-pp20',
    printed: 'KN 412G-59N',
    verdict: 'refuse',
    check: 'reach',
    outcome: 'refuse',
    figures: { differenceMm: 3.2 },
    consequence: /piston/,
  },
  {
    tells: 'a 9.5 mm plug in the twin that asks 12.7',
    engineId: 'dunmarrow-dd70',
    printed: 'KN 409G-59N',
    verdict: 'refuse',
    check: 'reach',
    outcome: 'refuse',
    figures: { differenceMm: -3.2 },
    consequence: /shrouded.*misfires/,
  },
  {
    tells: 'a gasket plug laundered into a taper head by a chain of lists',
    engineId: 'dunmarrow-hf22',
    printed: 'TS 500 412',
    verdict: 'refuse',
    check: 'seat',
    outcome: 'refuse',
    consequence: /cannot seal in a cone/,
  },
  {
    tells: 'a taper plug in a gasket head',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 187',
    verdict: 'refuse',
    check: 'seat',
    outcome: 'refuse',
    consequence: /leaks/,
  },
  {
    tells: 'a cheap single-precious plug where two cylinders fire in reverse',
    engineId: 'skerrow-sc20',
    printed: 'IVX-C19-F10',
    verdict: 'refuse',
    check: 'polarity',
    outcome: 'refuse',
    consequence: /ground wears away.*forbids/,
    onlyAt: ['2', '4'],
  },
  {
    tells: 'a nickel plug in an iridium engine',
    engineId: 'ostrel-ow12',
    printed: 'KN 226G-63NR',
    verdict: 'needs-supervisor',
    check: 'electrode',
    outcome: 'caution',
    figures: { lifeKm: 20_000, intervalKm: 100_000 },
    consequence: /then it misfires/,
  },
  {
    tells: 'a nickel plug where the maker of a boosted engine forbids it',
    engineId: 'aldersyke-ak23s',
    printed: 'KN 419G-65NR',
    verdict: 'refuse',
    check: 'electrode',
    outcome: 'refuse',
    consequence: /forbids/,
  },
  {
    tells: 'one rating colder',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-65DR',
    verdict: 'sell-with-advice',
    check: 'heat',
    outcome: 'acceptable',
    figures: { stepsColder: 1 },
    consequence: /may foul/,
  },
  {
    tells: 'two ratings colder',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-67DR',
    verdict: 'needs-supervisor',
    check: 'heat',
    outcome: 'caution',
    figures: { stepsColder: 2 },
    consequence: /will foul/,
  },
  {
    tells: 'three ratings colder',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-69DR',
    verdict: 'refuse',
    check: 'heat',
    outcome: 'refuse',
    figures: { stepsColder: 3 },
    consequence: /never burns itself clean/,
  },
  {
    tells: 'one rating hotter',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-61DR',
    verdict: 'needs-supervisor',
    check: 'heat',
    outcome: 'caution',
    consequence: /may glow/,
  },
  {
    tells: 'two ratings hotter',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-59DR',
    verdict: 'refuse',
    check: 'heat',
    outcome: 'refuse',
    consequence: /holes pistons/,
  },
  {
    tells: 'one rating hotter on a boosted engine',
    engineId: 'aldersyke-ak23s',
    printed: 'KN 419G-63IR',
    verdict: 'refuse',
    check: 'heat',
    outcome: 'refuse',
    consequence: /melts the piston/,
  },
  {
    tells: 'a deeper tip where nobody knows the piston',
    engineId: 'ostrel-ow12',
    printed: 'HB/26S/45.P1',
    verdict: 'ask-first',
    check: 'depth',
    outcome: 'unknown',
    figures: { differenceMm: 1.4, pistonTopMm: null },
    consequence: /not known/,
  },
  {
    tells: 'the same deeper tip where the piston is known to clear',
    engineId: 'skerrow-sc20',
    printed: 'HB/19/45.P1',
    verdict: 'sell-with-advice',
    check: 'depth',
    outcome: 'acceptable',
    figures: { differenceMm: 1.2, clearanceMm: 3.75 },
    consequence: /clears the piston/,
  },
  {
    tells: 'a reach nobody publishes',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 231',
    verdict: 'ask-first',
    check: 'reach',
    outcome: 'unknown',
    consequence: /Not known: reach/,
  },
  {
    tells: 'a reach gauged once against the catalogue',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 237',
    verdict: 'ask-first',
    check: 'reach',
    outcome: 'unknown',
    consequence: /settles nothing/,
  },
  {
    tells: 'two lists of one maker that disagree about the resistor',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 238',
    verdict: 'needs-supervisor',
    check: 'resistor',
    outcome: 'caution',
    figures: { kohm: 12 },
    consequence: /outside the asked range/,
  },
  {
    tells: 'a listing that stands in for an unmeasured tip',
    engineId: 'skerrow-sc20',
    printed: 'HB/19/45.D2',
    verdict: 'sell-with-advice',
    check: 'depth',
    outcome: 'acceptable',
    consequence: /not measured/,
  },
  {
    tells: 'a listing cannot stand in for an unknown resistor',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 236',
    verdict: 'ask-first',
    check: 'resistor',
    outcome: 'unknown',
    consequence: /resistor/,
  },
  {
    tells: 'a seat nobody publishes',
    engineId: 'dunmarrow-hf22',
    printed: 'TS 500 411',
    verdict: 'ask-first',
    check: 'seat',
    outcome: 'unknown',
    consequence: /seat/,
  },
  {
    tells: 'a quarantined batch',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 233',
    verdict: 'refuse',
    check: 'supply',
    outcome: 'refuse',
    consequence: /quarantine/,
  },
  {
    tells: 'a superseded number offers its successor',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 234',
    verdict: 'sell-with-advice',
    check: 'supply',
    outcome: 'acceptable',
    consequence: /TS 500 226/,
  },
  {
    tells: 'a socket that cannot enter the well',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 232',
    verdict: 'refuse',
    check: 'hex-and-well',
    outcome: 'refuse',
    consequence: /neither tightened nor taken out/,
  },
  {
    tells: 'a plug too tall for what stands above it',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 240',
    verdict: 'refuse',
    check: 'length',
    outcome: 'refuse',
    consequence: /cannot go back/,
  },
  {
    tells: 'a bare stud of which nobody says whether a nut fits',
    engineId: 'dunmarrow-dd70',
    printed: 'TS 500 122',
    verdict: 'ask-first',
    check: 'terminal',
    outcome: 'unknown',
    consequence: /nut/,
  },
  {
    tells: 'a solid top where the lead’s clip asks a bare stud',
    engineId: 'pellworth-pp20',
    printed: 'TS 500 106',
    verdict: 'refuse',
    check: 'terminal',
    outcome: 'refuse',
    consequence: /does not enter/,
  },
  {
    tells: 'a gap that can be opened',
    engineId: 'skerrow-sc20',
    printed: 'IVX-C19-D09',
    verdict: 'sell-with-advice',
    check: 'gap',
    outcome: 'acceptable',
    figures: { setToMm: 1.1, changeMm: 0.15 },
    consequence: /can be set/,
  },
  {
    tells: 'a gap that nearly uses up its limit',
    engineId: 'skerrow-sc20',
    printed: 'IVX-C19-D13',
    verdict: 'needs-supervisor',
    check: 'gap',
    outcome: 'caution',
    consequence: /may crack/,
  },
  {
    tells: 'no resistor where the control unit asks one',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-63D',
    verdict: 'refuse',
    check: 'resistor',
    outcome: 'refuse',
    consequence: /control unit/,
  },
  {
    tells: 'a resistor where the old magneto allows none',
    engineId: 'pellworth-pp20',
    printed: 'KN 409G-59NR',
    verdict: 'needs-supervisor',
    check: 'resistor',
    outcome: 'caution',
    consequence: /no voltage to spare/,
  },
  {
    tells: 'a thread well short of the head’s',
    engineId: 'skerrow-sc20',
    printed: 'TS 500 239',
    verdict: 'needs-supervisor',
    check: 'reach',
    outcome: 'caution',
    figures: { threadShortMm: 2.5 },
    consequence: /carbon up/,
  },
  {
    tells: 'a surface gap where a bent ground is designed',
    engineId: 'pellworth-pp20',
    printed: 'IVX-E09-S06',
    verdict: 'needs-supervisor',
    check: 'grounds',
    outcome: 'caution',
    consequence: /surface gap/,
  },
];

/** A trap in the setting up of a plug, and what the desk owes it. The answers are written from the rules, not from the code. */
export interface SetUpStory {
  readonly tells: string;
  readonly engineId: string;
  readonly printed: string;
  readonly duty?: string;
  /** House rules settled otherwise on the slip. */
  readonly rules?: Readonly<Record<string, string>>;
  /** Batch the pieces are from, and gaps read of them, mm. */
  readonly gapsMm?: readonly number[];
  /** Of the first group of places. */
  readonly gap?: Readonly<Record<string, unknown>>;
  readonly torque?: Readonly<Record<string, unknown>>;
  readonly interval?: Readonly<Record<string, unknown>>;
  /** What stands open of it, in order. */
  readonly open?: readonly string[];
}

export const SET_UP_STORIES: readonly SetUpStory[] = [
  {
    tells:
      'the supercharged five on a smaller pulley, by the engine maker’s gap: half the interval, and nothing closed',
    engineId: 'aldersyke-ak23s',
    printed: 'KN 419G-65IR',
    duty: 'boost:110',
    gap: { range: { low: 0.6, high: 0.7 } },
    interval: { value: 30_000, share: 0.5 },
    open: ['to-measure'],
  },
  {
    tells: 'the same by the coil’s reserve: 0.55 mm is the widest that holds with its own coil',
    engineId: 'aldersyke-ak23s',
    printed: 'KN 419G-65IR',
    duty: 'boost:110',
    rules: { gapForDuty: 'margin' },
    gap: { range: { low: 0.5, high: 0.55 } },
  },
  {
    tells: 'two sheets of one maker: the newer counts, and the other smells of another unit',
    engineId: 'skerrow-sh28',
    printed: 'KN 222G-63IR',
    torque: { lowNm: 15, highNm: 18, aimNm: 16.5, conflict: false },
    open: ['to-measure', 'torque'],
  },
  {
    tells:
      'the engine maker’s one figure and the plug maker’s range share nothing: the engine maker’s stands, and it is said',
    engineId: 'ostrel-ow12',
    printed: 'KN 226G-61IR',
    torque: { lowNm: 25, highNm: 25, aimNm: 25, conflict: true },
  },
  {
    tells: 'a box whose gaps lie wide apart is looked at as to its proof',
    engineId: 'skerrow-sc20',
    printed: 'KN 419G-63DR',
    // The readings of the marketplace’s suspect batch: under, over, right, far over.
    gapsMm: [0.98, 1.19, 1.07, 1.26],
    open: ['to-set', 'to-set', 'to-set', 'box-spread'],
  },
  {
    tells: 'the V4 of plain nickel is due at 20 000 km',
    engineId: 'thrushgill-tn17',
    printed: 'KN 419G-61NR',
    interval: { value: 20_000, share: 1, outlivesPart: false },
  },
];
