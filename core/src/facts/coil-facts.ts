import { z } from 'zod';
import { fact } from './fact.ts';
import { count, deg, mm, ohm, span, supply, word } from './fact-shapes.ts';

/** How a coil serves its plugs. Coils: Form. */
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

/** Screws that hold a coil: `spacingMm` between the outer holes, centre to centre, 0 where there is one; the screw's thread. */
const mounting = z.object({ holes: count, spacingMm: z.number().min(0).max(200), threadMm: mm }).readonly();
export type Mounting = z.infer<typeof mounting>;

/** `not-measurable`: a diode or driver inside, so that an ohmmeter says nothing about it. */
const secondary = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('kohm'), kohm: z.number().positive() }).readonly(),
  z.object({ kind: z.literal('not-measurable') }).readonly(),
]);
export type Secondary = z.infer<typeof secondary>;

const sparkPolarity = z.enum(['negative', 'positive']);

/** What a coil is (`coil.`) and what an engine asks of it (`coilAsked.`). Resistances at 20 °C. */
export const COIL_FACTS = {
  'coil.topology': fact({
    label: 'form of coil',
    question: 'Look at the coil: on the plug, beside it, a pack with towers, or a can?',
    recorded: z.enum(TOPOLOGIES),
  }),
  'coil.towersCount': fact({ label: 'towers', question: 'Count the high-voltage outlets.', recorded: count }),
  'coil.connector': fact({
    label: 'connector',
    question: 'Hold the coil’s connector beside the drawings: which face?',
    recorded: z.enum(CONNECTORS),
  }),
  'coil.pinsCount': fact({ label: 'pins', question: 'Count the pins of the connector.', recorded: count }),
  'coil.builtInDriver': fact({
    label: 'driver inside',
    question: 'Look up whether the coil has its driver built in.',
    recorded: z.boolean(),
  }),
  /** From the mounting face to the contact that takes the plug. */
  'coil.bootLengthMm': fact({
    label: 'boot reach',
    question: 'Measure from the mounting face to the contact in the boot, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'coil.bootAngleDeg': fact({
    label: 'boot angle',
    question: 'Is the boot straight, or bent? By how much?',
    recorded: deg,
  }),
  'coil.grips': fact({
    label: 'contact',
    question: 'Look into the boot: what plug top does its contact take?',
    recorded: z.enum(GRIPS),
  }),
  'coil.mounting': fact({
    label: 'mounting',
    question: 'Count the holes, and measure their distance and the screw.',
    recorded: mounting,
  }),
  'coil.primaryOhm': fact({
    label: 'primary resistance',
    question: 'Measure across the primary pins, the coil at room temperature.',
    printedAs: 'coil-primary',
    recorded: ohm,
  }),
  'coil.secondary': fact({
    label: 'secondary resistance',
    question: 'Measure from tower to tower or to the primary, in kΩ.',
    recorded: secondary,
  }),
  /** Of the primary winding, in millihenry. */
  'coil.inductanceMh': fact({
    label: 'primary inductance',
    question: 'Look up the inductance of its primary, in mH.',
    recorded: z.number().positive().max(50),
  }),
  /** The current at which its driver stops, in ampere. */
  'coil.peakA': fact({
    label: 'peak current',
    question: 'Look up the current its driver stops at.',
    recorded: z.number().positive().max(30),
  }),
  'coil.ratedKv': fact({
    label: 'rated voltage',
    question: 'Look up the voltage it is rated for, in kV.',
    recorded: z.number().positive().max(80),
  }),
  /** What a magneto gives at each speed, its maker's own table, slowest first. */
  'coil.magnetoKv': fact({
    label: 'magneto’s voltage by speed',
    question: 'Look up the magneto’s table of voltage by speed.',
    recorded: z
      .array(z.object({ rpm: z.number().positive(), kv: z.number().positive() }).readonly())
      .min(1)
      .readonly()
      .refine((table) => table.every(({ rpm }, i) => i === 0 || rpm > table[i - 1]!.rpm), 'speeds must rise'),
  }),
  /** Which way the spark runs: `negative` makes the centre electrode the cathode, the easier way. */
  'coil.sparkPolarity': fact({
    label: 'spark polarity',
    question: 'Look up which way the coil’s spark runs.',
    recorded: sparkPolarity,
  }),
  'coil.revision': fact({
    label: 'revision',
    question: 'Read the revision letter on the coil’s label.',
    recorded: word,
  }),
  'coil.supply': fact({
    label: 'supply',
    question: 'Ask the maker or wholesaler whether it is still supplied.',
    recorded: supply,
  }),
  'coilAsked.topology': fact({
    label: 'asked form',
    question: 'Look under the cover: a coil on each plug, a pack, or a can?',
    recorded: z.enum(TOPOLOGIES),
  }),
  'coilAsked.towersCount': fact({
    label: 'asked towers',
    question: 'Count the leads that leave the coil.',
    recorded: count,
  }),
  'coilAsked.connector': fact({
    label: 'asked connector',
    question: 'Look at the plug of the engine’s loom: which face?',
    recorded: z.enum(CONNECTORS),
  }),
  'coilAsked.pinsCount': fact({
    label: 'asked pins',
    question: 'Count the wires at the coil’s plug.',
    recorded: count,
  }),
  'coilAsked.builtInDriver': fact({
    label: 'asked driver',
    question: 'Look up where this engine has its coil driver.',
    recorded: z.boolean(),
  }),
  'coilAsked.bootLengthMm': fact({
    label: 'asked boot reach',
    question: 'Measure from the coil’s seat on the cover down to the plug’s top, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'coilAsked.bootAngleDeg': fact({
    label: 'asked boot angle',
    question: 'Look into the well: does the boot come straight down?',
    recorded: deg,
  }),
  'coilAsked.grips': fact({
    label: 'plug top under the coil',
    question: 'Look at the plug that runs in it: which top has it?',
    recorded: z.enum(GRIPS),
  }),
  'coilAsked.mounting': fact({
    label: 'asked mounting',
    question: 'Measure the bosses on the cover and their screws.',
    recorded: mounting,
  }),
  /** One figure, or the range the engine maker gives. */
  'coilAsked.primaryOhm': fact({
    label: 'asked primary',
    question: 'Look up the primary resistance this engine asks.',
    printedAs: 'coil-primary',
    recorded: z.union([ohm, span]),
  }),
  'coilAsked.secondaryKohm': fact({
    label: 'asked secondary',
    question: 'Look up the secondary resistance this engine asks.',
    recorded: z.number().positive(),
  }),
  'coilAsked.sparkPolarity': fact({
    label: 'asked polarity',
    question: 'Look up which way this engine’s spark runs.',
    recorded: sparkPolarity,
  }),
  /** Revisions the maker lets run in this build, its own first. */
  'coilAsked.revisions': fact({
    label: 'permitted revisions',
    question: 'Look up which coil revisions this build takes.',
    recorded: z.array(word).min(1).max(9).readonly(),
  }),
  /** All coils of one engine must be of one revision. */
  'coilAsked.oneRevision': fact({
    label: 'one revision',
    question: 'Look up whether the revisions may be mixed.',
    recorded: z.boolean(),
  }),
};
