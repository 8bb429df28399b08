/** One school of a disagreement among good practitioners. */
export interface School {
  readonly id: string;
  readonly says: string;
  /** Why its followers hold to it. */
  readonly argument: string;
  /** What comes of choosing it. */
  readonly consequence: string;
}

interface Rule {
  readonly title: string;
  /** What the trade disagrees about. */
  readonly asks: string;
  /** The first is what a shop works by that has chosen nothing. */
  readonly schools: readonly [School, School, ...School[]];
}

const school = <const I extends string>(
  id: I,
  says: string,
  argument: string,
  consequence: string,
): School & { readonly id: I } => ({
  id,
  says,
  argument,
  consequence,
});

/**
 * The disagreements of the trade that a shop settles once. Each changes something a customer is told or sold; the answer
 * names the rule. House rules: Schools.
 */
export const HOUSE_RULES = {
  electrodeUpgrade: {
    title: 'Better electrode',
    asks: 'May a better-wearing electrode than designed be sold without asking?',
    schools: [
      school(
        'as-designed',
        'Sell as designed',
        'The engine was tuned for one electrode; a finer one asks other heat and another gap.',
        'A better electrode waits for the supervisor.',
      ),
      school(
        'allowed',
        'A better one may be sold',
        'It sparks more easily and lasts longer; the customer gains either way.',
        'It is sold with the advice that the interval stays the engine maker’s.',
      ),
    ],
  },
  twoPiece: {
    title: 'Two-piece engines',
    asks: 'Which plug comes first where the maker’s own two-piece plugs are known to seize?',
    schools: [
      school(
        'makers-own',
        'The maker’s own',
        'The engine maker stands behind it, and has a procedure for getting it out.',
        'A one-piece plug is sold with the advice that it is not what the maker fitted.',
      ),
      school(
        'one-piece-first',
        'The one-piece alternative',
        'It cannot part in the head the next time.',
        'The maker’s own is sold with the advice that it seizes; the one-piece plug stands before it.',
      ),
    ],
  },
  heatWithPower: {
    title: 'Heat with power',
    asks: 'Does a plug go colder as an engine is made to give more?',
    schools: [
      school(
        'stay-stock',
        'Stay stock until a reason is measured',
        'A colder plug fouls in traffic; the first step is to read what came out.',
        'The target stays the maker’s rating; a colder one is sold with advice.',
      ),
      school(
        'step-with-power',
        'One step for each third of output more',
        'Heat follows pressure; by the time a plug shows it, a piston may be gone.',
        'The target moves colder, and the maker’s own rating waits for the supervisor.',
      ),
    ],
  },
  gapForDuty: {
    title: 'Gap when boosted',
    asks: 'Is the gap closed when the engine is boosted beyond stock?',
    schools: [
      school(
        'stock',
        'Stock gap until it misfires',
        'A wide gap lights a lean idle best; a good coil has the reserve.',
        'The asked gap stays the engine maker’s.',
      ),
      school(
        'margin',
        'As wide as the coil keeps in reserve',
        'A denser charge asks more voltage of the same gap, and a worn one more again.',
        'The asked range ends at the widest gap that keeps 30% as set and 15% at the interval’s end, and reaches 0.10 mm below it, not under 0.5 mm; an estimate.',
      ),
    ],
  },
  threadCompound: {
    title: 'Thread compound',
    asks: 'Does anti-seize go on the threads?',
    schools: [
      school(
        'never',
        'Never: threads dry',
        'Makers of plated plugs say so: the plating is the release, and torque is stated dry.',
        'Torque is told as stated.',
      ),
      school(
        'bare-threads',
        'Only on bare threads',
        'A bare steel thread in aluminium grips; a trace keeps it from tearing out.',
        'Both torques are told: dry for plated threads, cut by a third for bare ones with compound.',
      ),
      school(
        'always-reduced',
        'Always, with less torque',
        'A seized plug costs a head; less torque gives the same clamp.',
        'Torque is told cut by a third: full torque on greased threads stretches the shell.',
      ),
      school(
        'shank-only',
        'On the shank only, threads dry',
        'Compound keeps the shank from rusting fast and leaves the threads as the torque was meant for.',
        'Torque is told as stated.',
      ),
    ],
  },
  interval: {
    title: 'Interval',
    asks: 'Which interval is agreed with the customer?',
    schools: [
      school(
        'engine-maker',
        'The engine maker’s',
        'It was proven on that engine and is what a warranty is held to.',
        'A plug must last it; one that does not waits for the supervisor.',
      ),
      school(
        'part-life',
        'The plug’s own life',
        'A plug made for twice as long need not come out half used.',
        'The next service is told by the life its maker states; where it is less than the engine maker’s it counts in every school.',
      ),
      school(
        'cautious',
        'Two thirds of it',
        'Coils die of worn gaps; a third earlier costs little.',
        'The next service is told sooner, and a shorter-lived plug may cover it.',
      ),
    ],
  },
  tightening: {
    title: 'Tightening',
    asks: 'Torque wrench, or by angle?',
    schools: [
      school(
        'wrench',
        'Torque wrench',
        'A figure can be checked and written on the card.',
        'The fitter is told newton metres.',
      ),
      school(
        'angle',
        'By angle from finger-tight',
        'In a deep well a wrench reads the joints; the gasket’s crush is what seals.',
        'The fitter is told parts of a turn.',
      ),
    ],
  },
  handFirst: {
    title: 'All by hand first',
    asks: 'Is every plug in by hand before any is tightened?',
    schools: [
      school(
        'all-by-hand',
        'All in by hand, then tightened',
        'What is crossed or dirty is felt before any force is on it.',
        'The card has two rounds: by hand, then tightened.',
      ),
      school(
        'one-by-one',
        'Each finished before the next',
        'None is forgotten half tight.',
        'The card goes hole by hole.',
      ),
    ],
  },
  preGapped: {
    title: 'Pre-gapped plugs',
    asks: 'Is the gap of plugs sold as pre-gapped measured?',
    schools: [
      school('verify', 'Each one', 'A knock in transit closes a gap unseen.', 'The card asks for the gap of each.'),
      school(
        'sample',
        'One in four, all when one is outside',
        'A box that agrees was packed with care.',
        'The card asks for one in four; one outside asks for all.',
      ),
      school(
        'trust',
        'Trust a sealed box',
        'A gauge between the electrodes does more harm than it finds.',
        'The card says the gap was not verified.',
      ),
    ],
  },
  oneOrAllPlugs: {
    title: 'One plug or all',
    asks: 'Is one plug changed, or the set?',
    schools: [
      school('all', 'The whole set', 'Its sisters have run as long.', 'A set is offered for one bad plug.'),
      school('bank', 'The bank that is open', 'The labour is in the cover.', 'The plugs of that bank are offered.'),
      school('failed-one', 'The one that failed', 'The others are read and sound.', 'One plug is offered.'),
    ],
  },
  oneOrAllCoils: {
    title: 'One coil or all',
    asks: 'Is one coil changed, or the set?',
    schools: [
      school('failed-one', 'The one that failed', 'Coils fail by chance; a set is dear.', 'One coil is offered.'),
      school('bank', 'The bank that is open', 'The labour is in the cover.', 'The coils of that bank are offered.'),
      school('all', 'The whole set', 'They have had the same heat.', 'A set is offered for one bad coil.'),
    ],
  },
  oneOrAllLeads: {
    title: 'One lead or all',
    asks: 'Is one lead changed, or the set?',
    schools: [
      school('all', 'The whole set', 'Its sisters are as old, and a set is routed as one.', 'A set is offered.'),
      school(
        'bank',
        'The leads of one bank',
        'The other bank is in the open and sound.',
        'That bank’s leads are offered.',
      ),
      school('failed-one', 'The one that failed', 'A chafed lead says nothing of the others.', 'One lead is offered.'),
    ],
  },
  grease: {
    title: 'Boot grease',
    asks: 'Does dielectric grease go into the boots?',
    schools: [
      school(
        'smear',
        'A smear inside the boot',
        'The boot comes off again without tearing, and damp stays out.',
        'Grease stands on the list of what is needed.',
      ),
      school(
        'dry',
        'Dry and clean',
        'Grease at the contact hides arcing, and some of it eats rubber.',
        'The fitter is told to leave boots dry.',
      ),
    ],
  },
  orderOfWork: {
    title: 'Order of work',
    asks: 'One cylinder at a time, or all out first?',
    schools: [
      school(
        'one-at-a-time',
        'One cylinder at a time',
        'Leads and coils cannot be crossed, and no hole stands open for long.',
        'The card goes cylinder by cylinder.',
      ),
      school(
        'all-out',
        'All out first, laid in order',
        'Side by side the plugs tell which cylinder is ill.',
        'The card asks for labels and covers, and for the plugs to be read before new ones go in.',
      ),
    ],
  },
  battery: {
    title: 'Battery',
    asks: 'Is the battery taken off for plugs and coils?',
    schools: [
      school(
        'negative-off',
        'Negative off, always',
        'Nothing can fire or start while hands are in.',
        'The card begins with the battery, and warns that the radio and windows forget.',
      ),
      school(
        'ignition-off',
        'Ignition off and key out',
        'A control unit that loses power forgets what it learnt.',
        'The card begins with the key; before anything is cranked, ignition and fuel are disabled.',
      ),
    ],
  },
  engineTemperature: {
    title: 'Engine temperature',
    asks: 'Are plugs taken out cold whatever the procedure?',
    schools: [
      school(
        'cold',
        'Stone cold, always',
        'Hot aluminium tears, and hot metal burns.',
        'The card says cold even where a maker’s procedure would warm the head.',
      ),
      school(
        'makers-procedure',
        'As the engine maker’s procedure says',
        'Where plugs seize, the maker has tried what frees them.',
        'On engines with a procedure of their own the card says to follow it, and warns of burns.',
      ),
    ],
  },
  sparePolicy: {
    title: 'Spare',
    asks: 'Does a spare leave with a set of plugs?',
    schools: [
      school(
        'none',
        'As many as the engine takes',
        'A spare is paid for and lost.',
        'The slip holds one for each place.',
      ),
      school(
        'one-spare',
        'One more',
        'A dropped plug stops a job on a Saturday; working machines cannot wait.',
        'The slip holds one plug more, and says so.',
      ),
    ],
  },
  ownNumber: {
    title: 'Engine maker’s number',
    asks: 'Does the number the engine maker names stand first among equals?',
    schools: [
      school(
        'preferred',
        'It stands first',
        'It is what the engine left the factory with.',
        'In the tray it precedes every listed equal, whatever it costs.',
      ),
      school(
        'among-equals',
        'Listed equals stand beside it',
        'A listed equal is the same plug in another box, often cheaper and in stock.',
        'In the tray closeness, stock and cost decide among named and listed.',
      ),
    ],
  },
} as const satisfies Readonly<Record<string, Rule>>;

export type RuleId = keyof typeof HOUSE_RULES;
export const RULE_IDS = Object.keys(HOUSE_RULES) as RuleId[];
/** Whether there is such a rule and such a school of it. */
export const isSchool = (rule: string, school: string): boolean =>
  rule in HOUSE_RULES && HOUSE_RULES[rule as RuleId].schools.some(({ id }) => id === school);
export type SchoolOf<R extends RuleId> = (typeof HOUSE_RULES)[R]['schools'][number]['id'];

/** The shop's choices, one school a rule; a higher version where anything was chosen anew. */
export type HouseRules = { readonly [R in RuleId]: SchoolOf<R> } & { readonly version: number };

const first = <R extends RuleId>(rule: R): SchoolOf<R> => HOUSE_RULES[rule].schools[0].id;

/** What a shop that has chosen nothing works by. */
export const DEFAULT_HOUSE_RULES: HouseRules = {
  version: 1,
  ...(Object.fromEntries(RULE_IDS.map((rule) => [rule, first(rule)])) as { readonly [R in RuleId]: SchoolOf<R> }),
};

/** The words of the school a shop has chosen. */
export const chosenSchool = (rules: HouseRules, rule: RuleId): School =>
  HOUSE_RULES[rule].schools.find(({ id }) => id === rules[rule]) ?? HOUSE_RULES[rule].schools[0];
