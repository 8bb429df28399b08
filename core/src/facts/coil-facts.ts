import { meaning, type Span, type FactMeaning, type Supply } from './fact-shapes.ts';

/** How a coil serves its plugs. Domain section 5. */
export const TOPOLOGIES = ['on-plug', 'near-plug', 'waste-spark', 'rail', 'canister'] as const;
export type Topology = (typeof TOPOLOGIES)[number];

/**
 * Faces of a coil's connector: the outline, then where its key stands. The faces are drawn, so that whoever has the coil in
 * hand chooses the one in front of them.
 */
export const CONNECTORS = [
  'flat-left',
  'flat-right',
  'flat-twin',
  'oval-top',
  'oval-twin',
  'square-top',
  'square-corner',
  'screws',
] as const;
export type Connector = (typeof CONNECTORS)[number];

/** What the boot or tower grips: a plug's top, or the clip of a lead. */
export const GRIPS = ['solid', 'stud', 'cup', 'lead'] as const;
export type Grip = (typeof GRIPS)[number];

export interface Mounting {
  readonly holes: number;
  /** Between the outer holes, centre to centre; 0 where there is one hole. */
  readonly spacingMm: number;
  /** Of the screw that goes through. */
  readonly threadMm: number;
}

export type Secondary =
  | { readonly kind: 'kohm'; readonly kohm: number }
  /** A diode or driver inside: an ohmmeter says nothing about it. */
  | { readonly kind: 'not-measurable' };

/** What a coil is (`coil.`) and what an engine asks of it (`coilAsked.`). Resistances at 20 °C. */
export interface CoilFactTypes {
  'coil.topology': Topology;
  'coil.towersCount': number;
  'coil.connector': Connector;
  'coil.pinsCount': number;
  'coil.builtInDriver': boolean;
  /** From the mounting face to the contact that takes the plug. */
  'coil.bootLengthMm': number;
  'coil.bootAngleDeg': number;
  'coil.grips': Grip;
  'coil.mounting': Mounting;
  'coil.primaryOhm': number;
  'coil.secondary': Secondary;
  /** Which way the spark runs: `negative` makes the centre electrode the cathode, the easier way. */
  'coil.sparkPolarity': 'negative' | 'positive';
  'coil.revision': string;
  'coil.supply': Supply;

  'coilAsked.topology': Topology;
  'coilAsked.towersCount': number;
  'coilAsked.connector': Connector;
  'coilAsked.pinsCount': number;
  'coilAsked.builtInDriver': boolean;
  'coilAsked.bootLengthMm': number;
  'coilAsked.bootAngleDeg': number;
  'coilAsked.grips': Grip;
  'coilAsked.mounting': Mounting;
  /** One figure, or the range the engine maker gives. */
  'coilAsked.primaryOhm': number | Span;
  'coilAsked.secondaryKohm': number;
  'coilAsked.sparkPolarity': 'negative' | 'positive';
  /** Revisions the maker lets run in this build, its own first. */
  'coilAsked.revisions': readonly string[];
  /** All coils of one engine must be of one revision. */
  'coilAsked.oneRevision': boolean;
  /** Revision of the coils that stay in the engine; `none` where all are renewed. */
  'job.revisionStaying': string;
}

export const COIL_FACTS: Readonly<Record<keyof CoilFactTypes, FactMeaning>> = {
  'coil.topology': meaning('form of coil', 'Look at the coil: on the plug, beside it, a pack with towers, or a can?'),
  'coil.towersCount': meaning('towers', 'Count the high-voltage outlets.'),
  'coil.connector': meaning('connector', 'Hold the coil’s connector beside the drawings: which face?'),
  'coil.pinsCount': meaning('pins', 'Count the pins of the connector.'),
  'coil.builtInDriver': meaning('driver inside', 'Look up whether the coil has its driver built in.'),
  'coil.bootLengthMm': meaning(
    'boot reach',
    'Measure from the mounting face to the contact in the boot, in mm.',
    'length',
  ),
  'coil.bootAngleDeg': meaning('boot angle', 'Is the boot straight, or bent? By how much?'),
  'coil.grips': meaning('contact', 'Look into the boot: what plug top does its contact take?'),
  'coil.mounting': meaning('mounting', 'Count the holes, and measure their distance and the screw.'),
  'coil.primaryOhm': meaning(
    'primary resistance',
    'Measure across the primary pins, the coil at room temperature.',
    'coil-primary',
  ),
  'coil.secondary': meaning('secondary resistance', 'Measure from tower to tower or to the primary, in kΩ.'),
  'coil.sparkPolarity': meaning('spark polarity', 'Look up which way the coil’s spark runs.'),
  'coil.revision': meaning('revision', 'Read the revision letter on the coil’s label.'),
  'coil.supply': meaning('supply', 'Ask the maker or wholesaler whether it is still supplied.'),
  'coilAsked.topology': meaning('asked form', 'Look under the cover: a coil on each plug, a pack, or a can?'),
  'coilAsked.towersCount': meaning('asked towers', 'Count the leads that leave the coil.'),
  'coilAsked.connector': meaning('asked connector', 'Look at the plug of the engine’s loom: which face?'),
  'coilAsked.pinsCount': meaning('asked pins', 'Count the wires at the coil’s plug.'),
  'coilAsked.builtInDriver': meaning('asked driver', 'Look up where this engine has its coil driver.'),
  'coilAsked.bootLengthMm': meaning(
    'asked boot reach',
    'Measure from the coil’s seat on the cover down to the plug’s top, in mm.',
    'length',
  ),
  'coilAsked.bootAngleDeg': meaning('asked boot angle', 'Look into the well: does the boot come straight down?'),
  'coilAsked.grips': meaning('plug top under the coil', 'Look at the plug that runs in it: which top has it?'),
  'coilAsked.mounting': meaning('asked mounting', 'Measure the bosses on the cover and their screws.'),
  'coilAsked.primaryOhm': meaning('asked primary', 'Look up the primary resistance this engine asks.', 'coil-primary'),
  'coilAsked.secondaryKohm': meaning('asked secondary', 'Look up the secondary resistance this engine asks.'),
  'coilAsked.sparkPolarity': meaning('asked polarity', 'Look up which way this engine’s spark runs.'),
  'coilAsked.revisions': meaning('permitted revisions', 'Look up which coil revisions this build takes.'),
  'coilAsked.oneRevision': meaning('one revision', 'Look up whether the revisions may be mixed.'),
  'job.revisionStaying': meaning('revision that stays', 'Read the revision on the coils that stay in the engine.'),
};
