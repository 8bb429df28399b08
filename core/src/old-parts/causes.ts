/** What may have made a plug look as it does. */
export const CAUSE_IDS = [
  'healthy',
  'worn',
  'short-runs',
  'rich',
  'too-cold',
  'lean',
  'hot',
  'no-spark',
  'injector',
  'below',
  'seal',
  'gasket',
  'cooler',
  'ash',
  'strike',
  'reach',
  'flash',
  'loose',
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];

/** What is looked at to tell one cause from another, in minutes of work. */
export interface PlugCheck {
  readonly id: string;
  readonly says: string;
  readonly minutes: number;
}

/** What a cause may sell or spoil: a class of thing, by which two causes are held against each other. */
export type SoldThing = 'plugs' | 'coil or lead' | 'boots' | 'cover seal' | 'hoses' | 'oil';

export interface Cause {
  readonly title: string;
  /** What is likely, and what is done about it. */
  readonly advice: string;
  /** What finds it out; null for what needs no proof. */
  readonly check: PlugCheck | null;
  /** What may be sold once it is the answer. */
  readonly sells: readonly SoldThing[];
  /** What is not sold while it is the likeliest: it would suffer as the last did. */
  readonly notYet: readonly SoldThing[];
}

const check = (id: string, minutes: number, says: string): PlugCheck => ({ id, minutes, says });
const PLUGS = 'plugs';

/** The causes with their own check, and what each sells. Old parts: Causes. */
export const CAUSES: Readonly<Record<CauseId, Cause>> = {
  healthy: {
    title: 'Healthy',
    advice: 'Normal: nothing is sold for how it looks. It is due by its interval.',
    check: null,
    sells: [],
    notYet: [],
  },
  worn: {
    title: 'Worn',
    advice: 'The gap has grown evenly: its time is up when it is past its limit.',
    check: check('gauge-gaps', 2, 'Gauge the gap of each and hold it against the limit'),
    sells: [PLUGS],
    notYet: [],
  },
  'short-runs': {
    title: 'Short cold runs',
    advice: 'It never burns itself clean: a long run first; new plugs of the same heat would soot the same.',
    check: check('ask-runs', 1, 'Ask how it is driven: runs under 5 km, never warm?'),
    sells: [],
    notYet: [PLUGS],
  },
  rich: {
    title: 'Mixture too rich',
    advice: 'Choke, carburettor or a sensor of that bank: cured first, then plugs.',
    check: check('mixture', 5, 'Read the fuel trims, or look at choke and air filter where it has a carburettor'),
    sells: [],
    notYet: [PLUGS],
  },
  'too-cold': {
    title: 'Plug too cold',
    advice: 'Its heat rating is colder than asked: plugs of the asked heat.',
    check: check('heat-number', 2, 'Read the number on the shell against what the engine asks'),
    sells: [PLUGS],
    notYet: [],
  },
  lean: {
    title: 'Mixture too lean',
    advice: 'An air leak or too little fuel: found and mended before plugs.',
    check: check('air-leak', 10, 'Look for an air leak: hoses, intake gaskets, fuel pressure'),
    sells: ['hoses'],
    notYet: [PLUGS],
  },
  hot: {
    title: 'Runs too hot',
    advice: 'Heat rating, advance, boost or cooling: not driven hard until it is found.',
    check: check('heat-and-advance', 10, 'Hold heat rating, advance and boost against what the engine asks'),
    sells: [PLUGS],
    notYet: [],
  },
  'no-spark': {
    title: 'No spark',
    advice: 'Coil, lead, boot or connector of that place: swapped to see whether it follows.',
    check: check('swap', 8, 'Swap coil or lead with a cylinder that runs'),
    sells: ['coil or lead'],
    notYet: [PLUGS],
  },
  injector: {
    title: 'Injector leaks or sticks',
    advice: 'That cylinder gets too much fuel: a workshop’s matter.',
    check: check('injector', 15, 'Swap the injector, or let its leakage be measured'),
    sells: [],
    notYet: [PLUGS, 'coil or lead'],
  },
  below: {
    title: 'Oil from below: guides, rings or breather',
    advice: 'Oil comes past rings, guides or through the breather: compression tells which.',
    check: check('compression', 20, 'Log the compression, dry and wet; look at the breather'),
    sells: [],
    notYet: [PLUGS],
  },
  seal: {
    title: 'Cover or well seal leaks',
    advice: 'Oil runs into the well from above: seal and boots, then look again.',
    check: check('cover-seal', 5, 'Look under the cover’s edge and into the well with a lamp'),
    sells: ['cover seal', 'boots'],
    notYet: [PLUGS, 'coil or lead'],
  },
  gasket: {
    title: 'Coolant past the head gasket',
    advice: 'Coolant burns in it: not driven hard, cap off cold only; a workshop’s matter.',
    check: check('compression', 20, 'Log the compression, dry and wet, and test for burnt gas in the coolant'),
    sells: [],
    notYet: [PLUGS, 'coil or lead'],
  },
  cooler: {
    title: 'Coolant from the charge cooler',
    advice: 'The charge cooler leaks into the intake: it wets several, on either bank.',
    check: check('cooler-pressure', 15, 'Put pressure on the charge cooler and look for a drop'),
    sells: [],
    notYet: [PLUGS, 'coil or lead'],
  },
  ash: {
    title: 'Ash of oil or additives',
    advice: 'Oil of another kind, or what was poured into the fuel: left off first.',
    check: check('oil-kind', 2, 'Ask which oil and what else went in'),
    sells: ['oil'],
    notYet: [],
  },
  strike: {
    title: 'Struck',
    advice: 'Something met the tip: stop. It is not started again before reach and cylinder are looked at.',
    check: check('measure-reach', 5, 'Measure the plug’s reach and look into the cylinder'),
    sells: [],
    notYet: [PLUGS],
  },
  reach: {
    title: 'Wrong reach',
    advice: 'Thread stood in the chamber, or stopped short of it: the thread is cleaned before the right one goes in.',
    check: check('measure-reach', 5, 'Measure the plug’s reach against what the engine asks'),
    sells: [PLUGS],
    notYet: [],
  },
  flash: {
    title: 'Spark runs down the outside',
    advice: 'Tracks or water: boot and plug together, for the one tracks the other.',
    check: check('boots-in-light', 4, 'Look at boot and insulator for tracks, damp and cracks'),
    sells: ['boots', PLUGS],
    notYet: [],
  },
  loose: {
    title: 'Was not tight',
    advice: 'Gas blew past: gasket and seat looked at, then tightened as it should be.',
    check: check('seat', 3, 'Look at gasket and seat; ask how it was tightened'),
    sells: [],
    notYet: [],
  },
};
