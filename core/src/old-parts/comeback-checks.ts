/** What may have been worked on before it came back. */
export const TOUCHED_GROUPS = [
  'connectors',
  'boots',
  'plugs',
  'coils',
  'leads',
  'cap',
  'intake',
  'earth',
  'battery',
  'isolated',
] as const;
export type TouchedGroup = (typeof TOUCHED_GROUPS)[number];
export const GROUP_WORDS: Readonly<Record<TouchedGroup, string>> = {
  connectors: 'connectors',
  boots: 'boots',
  plugs: 'plugs',
  coils: 'coils',
  leads: 'leads',
  cap: 'cap or rotor',
  intake: 'intake or its hoses',
  earth: 'an earth',
  battery: 'battery off',
  isolated: 'fuel, gas or switch shut off',
};

/** How it misfires; `one` of these. */
export const MISFIRES = ['one', 'several', 'all', 'no-start', 'idle'] as const;
export type Misfire = (typeof MISFIRES)[number];
export const MISFIRE_WORDS: Readonly<Record<Misfire, string>> = {
  one: 'one cylinder',
  several: 'several',
  all: 'all of them',
  'no-start': 'does not start',
  idle: 'idle hunts',
};
/** When it does so. */
export const WHENS = ['cold', 'load', 'wet'] as const;
export type When = (typeof WHENS)[number];
export const WHEN_WORDS: Readonly<Record<When, string>> = { cold: 'cold', load: 'under load', wet: 'in the wet' };

/** At once: at the first start or within 50 km. */
export const HOW_SOON = ['once', 'within', 'later'] as const;
export type HowSoon = (typeof HOW_SOON)[number];
export const HOW_SOON_WORDS: Readonly<Record<HowSoon, string>> = {
  once: 'at once, or within 50 km',
  within: 'within 1 000 km',
  later: 'later',
};

/** What the engine must have for a check to make sense. */
export type Needs = 'coils' | 'leads' | 'cap' | 'battery' | 'connectors';

interface ComebackCheck {
  readonly title: string;
  /** What is done, in words for the telephone. */
  readonly does: string;
  /** Null for what may be wrong whatever was touched. */
  readonly group: TouchedGroup | null;
  readonly minutes: number;
  readonly weights: Readonly<Record<HowSoon, number>>;
  readonly factors: Readonly<Partial<Record<Misfire | When | 'dropped', number>>>;
  readonly needs?: Needs;
  /** What is done when it is wrong. */
  readonly mend: string;
  /** What may be sold when it is wrong; nothing for what was only to be undone. */
  readonly sells: string | null;
}

const at = (once: number, within: number, later: number) => ({ once, within, later });

/** What is looked at when it misfires after work, with minutes, weights and factors. Old parts: Comeback. */
export const COMEBACK_CHECKS = {
  connector: {
    title: 'Connector shut and locked',
    does: 'Push it home, shut its lock, tug.',
    group: 'connectors',
    minutes: 1,
    weights: at(30, 12, 1),
    factors: { one: 1.5, all: 0.5, idle: 0.1, load: 0.7, 'no-start': 0.5 },
    needs: 'connectors',
    mend: 'Shut the lock, clear the code, drive ten minutes. No part, no charge.',
    sells: null,
  },
  restored: {
    title: 'Switch, fuel or gas restored',
    does: 'See that everything shut off for the work is on again; gas by its fitter.',
    group: 'isolated',
    minutes: 1,
    weights: at(8, 0, 0),
    factors: { 'no-start': 6, one: 0.05, several: 0.2, idle: 0.2 },
    mend: 'Put it on again as it was; gas by its licensed fitter.',
    sells: null,
  },
  earth: {
    title: 'Earth back on',
    does: 'Every earth that was taken off, bright and tight.',
    group: 'earth',
    minutes: 1,
    weights: at(6, 3, 0.5),
    factors: { all: 4, several: 1.5, 'no-start': 2, one: 0.3, idle: 0.5 },
    mend: 'Clean it, tighten it. No part.',
    sells: null,
  },
  boot: {
    title: 'Boot pressed home',
    does: 'Engine off and cold: press each boot until it is felt to seat.',
    group: 'boots',
    minutes: 2,
    weights: at(18, 14, 2),
    factors: { one: 1.5, load: 1.5, wet: 1.5, all: 0.3, idle: 0.3, 'no-start': 0.3 },
    mend: 'Press it home; less grease where it springs back.',
    sells: null,
  },
  number: {
    title: 'Number on the plug, a stray one',
    does: 'Read the number of what was fitted against the slip.',
    group: 'plugs',
    minutes: 2,
    weights: at(5, 4, 1),
    factors: { one: 1.5, all: 1.5, idle: 0.2, 'no-start': 0.3 },
    mend: 'The right plug goes in; the wrong one comes back to us.',
    sells: 'plugs',
  },
  crossed: {
    title: 'Leads crossed',
    does: 'Follow each lead from its tower to its cylinder.',
    group: 'leads',
    minutes: 3,
    weights: at(14, 0.5, 0),
    factors: { several: 3, 'no-start': 2, all: 1.5, one: 0.2 },
    needs: 'leads',
    mend: 'Each to its own cylinder, by the firing order.',
    sells: null,
  },
  hose: {
    title: 'Vacuum hose',
    does: 'Every hose that was off: on, and not split.',
    group: 'intake',
    minutes: 3,
    weights: at(10, 5, 1),
    factors: { idle: 3, all: 2, cold: 1.5, one: 0.4, 'no-start': 0.3 },
    mend: 'Push it on; a split one is renewed.',
    sells: 'hoses',
  },
  revision: {
    title: 'Coils alike, in their places',
    does: 'Same revision on all, each on its own cylinder.',
    group: 'coils',
    minutes: 3,
    weights: at(5, 5, 2),
    factors: { several: 1.5, idle: 0.3, 'no-start': 0.5 },
    needs: 'coils',
    mend: 'Coils of one revision; the odd one comes back to us.',
    sells: 'coil',
  },
  lead: {
    title: 'Lead sound',
    does: 'Look for chafe and burns; measure it against its sisters.',
    group: 'leads',
    minutes: 4,
    weights: at(4, 6, 6),
    factors: { wet: 2.5, one: 1.3 },
    needs: 'leads',
    mend: 'A lead, or the set by the shop’s rule; routed clear.',
    sells: 'leads',
  },
  well: {
    title: 'Well dry',
    does: 'Boot off, cold: look into the well for water or oil.',
    group: 'boots',
    minutes: 4,
    weights: at(4, 5, 3),
    factors: { wet: 4, one: 1.5, all: 0.5, load: 0.5, idle: 0.3, 'no-start': 0.3 },
    mend: 'Dry it; find where it came from.',
    sells: null,
  },
  cap: {
    title: 'Cap and rotor',
    does: 'Cap off: tracks, moisture, cracks, rotor seated.',
    group: 'cap',
    minutes: 5,
    weights: at(6, 5, 5),
    factors: { wet: 3, several: 1.5, all: 1.5, 'no-start': 1.5, one: 0.7 },
    needs: 'cap',
    mend: 'Cap and rotor of one pairing.',
    sells: 'cap and rotor',
  },
  relearn: {
    title: 'Learning again after the battery',
    does: 'The engine maker’s relearning steps, if its sheet has any.',
    group: 'battery',
    minutes: 5,
    weights: at(3, 1, 0),
    factors: { idle: 10, all: 2, one: 0.05, 'no-start': 0.1 },
    needs: 'battery',
    mend: 'Let it learn as its sheet says. No part.',
    sells: null,
  },
  tight: {
    title: 'Plug tight',
    does: 'Cold: tighten as it should be; look for blow-by.',
    group: 'plugs',
    minutes: 6,
    weights: at(3, 6, 2),
    factors: { one: 1.5, 'no-start': 0.1 },
    mend: 'Tightened; a used gasket turns a twelfth.',
    sells: null,
  },
  swap: {
    title: 'Swap of coils',
    does: 'Move the coil to a cylinder that runs; see whether the code goes along.',
    group: 'coils',
    minutes: 8,
    weights: at(4, 8, 8),
    factors: { one: 1.5, all: 0.2, 'no-start': 0.1 },
    needs: 'coils',
    mend: 'The coil is to blame: one, or all by the shop’s rule.',
    sells: 'coil',
  },
  gap: {
    title: 'Plug out: gap, crack',
    does: 'Engine off and cold: plug out, gauge the gap, look for a crack.',
    group: 'plugs',
    minutes: 12,
    weights: at(12, 12, 4),
    factors: { one: 1.5, load: 1.5, dropped: 5, 'no-start': 0.2 },
    mend: 'Set the gap again; a cracked plug is renewed, never refitted.',
    sells: 'plugs',
  },
  other: {
    title: 'Nothing that was touched: read plugs, compression',
    does: 'Read the plugs and log the compression.',
    group: null,
    minutes: 20,
    weights: at(4, 14, 60),
    factors: { all: 1.5, 'no-start': 1.5 },
    mend: 'Go by what the plugs say.',
    sells: null,
  },
} as const satisfies Readonly<Record<string, ComebackCheck>>;

export type ComebackCheckId = keyof typeof COMEBACK_CHECKS;
export const COMEBACK_CHECK_IDS = Object.keys(COMEBACK_CHECKS) as readonly ComebackCheckId[];
export const comebackCheck = (id: ComebackCheckId): ComebackCheck => COMEBACK_CHECKS[id];
