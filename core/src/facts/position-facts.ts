import { z } from 'zod';
import type { HeatScale } from '../heat-range/heat-scale.ts';
import { HEAD_METALS } from '../quantities/general-torques.ts';
import { fact, rated } from './fact.ts';
import { choose, gauged, POINTS } from './fact-answers.ts';
import { hexPoints, mm, span } from './fact-shapes.ts';
import { makersInstruction } from './makers-instruction.ts';
import { GROUND_FORMS, MATERIALS, SHELLS } from './plug-facts.ts';
import { torqueStatement, turnStatement } from './torque-statements.ts';

/** `required`: one is asked, and its value is not stated. */
const askedResistor = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('range'), low: z.number().positive(), high: z.number().positive() }).readonly(),
  z.object({ kind: z.literal('required') }).readonly(),
  z.object({ kind: z.literal('none-asked') }).readonly(),
  z.object({ kind: z.literal('forbidden') }).readonly(),
]);
export type AskedResistor = z.infer<typeof askedResistor>;

const askedHeat = z.object({ maker: z.string(), codes: z.array(z.string()).min(1).readonly() }).readonly();

/** The ratings an engine maker allows, in one plug maker's own scale. */
export interface AskedHeat {
  readonly scale: HeatScale;
  readonly codes: readonly string[];
}

/** What the engine maker forbids about the electrode material, if anything. */
const ELECTRODE_BANS = ['nothing', 'poorer', 'better', 'any-other'] as const;
export type ElectrodeBan = (typeof ELECTRODE_BANS)[number];

/** What the place of a plug asks. */
export const POSITION_FACTS = {
  'position.threadDiameterMm': fact({
    label: 'asked thread',
    question: 'Look up the thread of this engine’s plug hole.',
    printedAs: 'thread',
    recorded: mm,
  }),
  'position.threadPitchMm': fact({
    label: 'asked pitch',
    question: 'Look up the thread pitch of this engine’s plug hole.',
    printedAs: 'thread',
    recorded: mm,
  }),
  'position.reachMm': fact({
    label: 'asked reach',
    question: 'Look up the reach this engine asks, or measure the plug that ran in it.',
    printedAs: 'reach',
    recorded: span,
    answer: gauged('reach', 0.3, 'reachMm'),
  }),
  /** Length of thread in the head. */
  'position.headThreadMm': fact({
    label: 'thread in the head',
    question: 'Measure or look up the length of thread in the head.',
    printedAs: 'reach',
    recorded: mm,
    answer: gauged('reach', 0.3, 'reachMm'),
  }),
  'position.seat': fact({
    label: 'asked seat',
    question: 'Look into the plug hole: flat spot face or cone?',
    recorded: z.enum(['gasket', 'taper']),
    answer: choose(['gasket', 'A flat face'], ['taper', 'A cone']),
  }),
  'position.hexMm': fact({
    label: 'asked hex',
    question: 'Look up the hex this engine asks.',
    printedAs: 'hex',
    recorded: mm,
  }),
  'position.hexPoints': fact({
    label: 'asked hex points',
    question: 'Look up whether this engine asks six or twelve points.',
    recorded: hexPoints,
    answer: POINTS,
  }),
  /** Bore of the plug well; `open` where nothing surrounds the plug. */
  'position.wellBoreMm': fact({
    label: 'plug well',
    question: 'Measure the bore of the plug well, in mm.',
    printedAs: 'length',
    recorded: z.union([mm, z.literal('open')]),
    answer: gauged('length', 0.3, 'wellBoreMm'),
  }),
  'position.lengthMm': fact({
    label: 'asked length',
    question: 'Look up the length above the seat this engine asks.',
    printedAs: 'length',
    recorded: span,
  }),
  /** Seat face to whatever stands above the plug: the stated clearance. */
  'position.lengthLimitMm': fact({
    label: 'clearance above',
    question: 'Measure from the seat to whatever stands above the plug.',
    printedAs: 'length',
    recorded: mm,
    answer: gauged('length', 0.5, 'lengthMm'),
  }),
  'position.terminal': fact({
    label: 'asked terminal',
    question: 'Look at the lead or coil: what does it grip?',
    recorded: z.enum(['solid', 'stud', 'cup']),
    answer: choose(['solid', 'Solid'], ['stud', 'A bare stud'], ['cup', 'A cup']),
  }),
  'position.resistor': fact({
    label: 'asked resistor',
    question: 'Look up whether this engine asks a resistor plug.',
    recorded: askedResistor,
  }),
  'position.centreDesign': fact({
    label: 'designed centre electrode',
    question: 'Look up the electrode this engine was designed for.',
    recorded: z.enum(MATERIALS),
  }),
  'position.groundDesign': fact({
    label: 'designed ground electrode',
    question: 'Look up the ground electrode this engine was designed for.',
    recorded: z.enum(MATERIALS),
  }),
  'position.electrodeBan': fact({
    label: 'electrode ban',
    question: 'Look up whether the engine maker forbids other materials.',
    recorded: z.enum(ELECTRODE_BANS),
  }),
  /** The maker forbids a single-precious plug where the spark is reversed. */
  'position.singlePreciousBan': fact({
    label: 'single-precious ban',
    question: 'Look up whether the engine maker forbids single-precious plugs here.',
    recorded: z.boolean(),
  }),
  'position.polarity': fact({
    label: 'polarity',
    question: 'Look up which cylinders fire in reverse.',
    recorded: z.enum(['forward', 'reverse']),
    answer: choose(['forward', 'Forward'], ['reverse', 'In reverse']),
  }),
  'position.groundCount': fact({
    label: 'asked grounds',
    question: 'Look up how many grounds this engine asks.',
    recorded: z.number().int().min(1).max(4),
  }),
  'position.groundForm': fact({
    label: 'asked ground form',
    question: 'Look up the ground form this engine asks.',
    recorded: z.enum(GROUND_FORMS),
  }),
  'position.gapMm': fact({
    label: 'asked gap',
    question: 'Look up the gap this engine asks.',
    printedAs: 'gap',
    recorded: span,
  }),
  /** Deepest point of the maker's own plug below the seat face. */
  'position.oeDepthMm': fact({
    label: 'depth of the maker’s own plug',
    question: 'Measure the plug that ran in it, from seat to deepest point.',
    printedAs: 'length',
    recorded: mm,
    answer: gauged('length', 0.3, 'depthMm'),
  }),
  /** Seat face to piston or valve at its nearest. */
  'position.pistonTopMm': fact({
    label: 'piston top',
    question: 'Measure or look up the distance from the seat face to the piston or valve.',
    printedAs: 'length',
    recorded: mm,
    answer: gauged('length', 0.3, 'pistonTopMm'),
  }),
  'position.boreMm': fact({
    label: 'bore',
    question: 'Look up the bore of its cylinders.',
    printedAs: 'length',
    recorded: mm,
  }),
  'position.strokeMm': fact({
    label: 'stroke',
    question: 'Look up the stroke of its pistons.',
    printedAs: 'length',
    recorded: mm,
  }),
  'position.compressionRatio': fact({
    label: 'compression ratio',
    question: 'Look up its compression ratio.',
    recorded: z.number().min(4).max(25),
  }),
  /** The speed at which it gives its rated power. */
  'position.ratedRpm': fact({
    label: 'rated speed',
    question: 'Look up the speed of its rated power, in turns a minute.',
    recorded: z.number().positive().max(20_000),
  }),
  /** What its own turbo or supercharger adds to the outside air, as built. */
  'position.boostKpa': fact({
    label: 'factory boost',
    question: 'Look up the boost it was built with, in kPa over the outside air.',
    recorded: z.number().positive().max(400),
  }),
  'position.heat': rated({
    label: 'asked heat',
    question: 'Look up the heat ratings this engine asks.',
    recorded: askedHeat,
    know: ({ maker, codes }, scales): AskedHeat | undefined => {
      const scale = scales.get(maker);
      return scale && { scale, codes };
    },
  }),
  'position.aspiration': fact({
    label: 'aspiration',
    question: 'Is the engine boosted?',
    recorded: z.enum(['natural', 'forced']),
    answer: choose(['natural', 'No'], ['forced', 'Yes: turbo or supercharger']),
  }),
  'position.fuel': fact({
    label: 'fuel',
    question: 'Petrol or gas?',
    recorded: z.enum(['petrol', 'gas']),
    answer: choose(['petrol', 'Petrol'], ['gas', 'Gas']),
  }),
  'position.shellFitted': fact({
    label: 'shell as fitted',
    question: 'Look up which shell the maker fitted.',
    recorded: z.enum(SHELLS),
    answer: choose(['one-piece', 'One piece'], ['two-piece', 'Two pieces']),
  }),
  /** The engine is known to seize two-piece plugs in its head. */
  'position.seizesTwoPiece': fact({
    label: 'seizing',
    question: 'Ask whether this engine is known to seize two-piece plugs.',
    recorded: z.boolean(),
  }),
  'position.intervalKm': fact({
    label: 'interval',
    question: 'Look up the service interval, in km.',
    printedAs: 'distance',
    recorded: z.number().positive(),
  }),
  /** For what stands and counts running hours instead of kilometres. */
  'position.intervalHours': fact({
    label: 'interval in hours',
    question: 'Look up the service interval, in running hours.',
    recorded: z.number().positive().max(100_000),
  }),
  'position.torque': fact({
    label: 'engine maker’s torque',
    question: 'Look up the engine maker’s torque for its plugs.',
    recorded: torqueStatement,
  }),
  'position.turn': fact({
    label: 'engine maker’s turn',
    question: 'Look up how far the engine maker has its plugs turned, and from where.',
    recorded: turnStatement,
  }),
  'position.instructs': fact({
    label: 'engine maker’s instruction',
    question: 'Look what the engine maker’s procedure instructs.',
    recorded: makersInstruction,
  }),
  /** Whether a torque wrench reaches the plug here; where it does not, the turn is the method. */
  'position.wrenchReaches': fact({
    label: 'room for a wrench',
    question: 'Does a torque wrench reach the plug here?',
    recorded: z.boolean(),
    answer: choose([true, 'It reaches'], [false, 'No wrench reaches']),
  }),
  /** What the head is made of here: iron takes more torque. */
  'position.headMetal': fact({
    label: 'head metal',
    question: 'Hold a magnet to the head: does it stick (iron) or fall off (aluminium)?',
    recorded: z.enum(HEAD_METALS),
    answer: choose(['aluminium', 'The magnet falls off: aluminium'], ['cast-iron', 'It sticks: iron']),
  }),
  /** Whether the engine has a battery to take off; pumps and hand-started machines have none. */
  'position.hasBattery': fact({
    label: 'battery',
    question: 'Is there a battery, or does it start by hand?',
    recorded: z.boolean(),
    answer: choose([true, 'A battery'], [false, 'None']),
  }),
  /** What comes off before the plugs are reached, on this vehicle. */
  'position.comesOff': fact({
    label: 'what comes off first',
    question: 'What has to come off before the plugs are reached?',
    recorded: z.enum(['nothing', 'cover', 'charge-pipe', 'intake', 'cowl']),
    answer: choose(
      ['nothing', 'Nothing'],
      ['cover', 'A cover'],
      ['charge-pipe', 'The charge pipe'],
      ['intake', 'The intake'],
      ['cowl', 'A cowl'],
    ),
  }),
  /** Hot metal stands where a hand or a boot comes. */
  'position.nearHot': fact({
    label: 'hot metal beside it',
    question: 'Does manifold or turbo stand beside the boots?',
    recorded: z.boolean(),
    answer: choose([true, 'Right beside it'], [false, 'Clear of it']),
  }),
  /** Work on one plug, everything on the way included. */
  'position.minutesEach': fact({
    label: 'minutes a plug',
    question: 'How long does one plug take here, in minutes?',
    recorded: z.number().positive().max(600),
    answer: choose([5, 'About 5'], [10, 'About 10'], [15, 'About 15'], [30, 'About 30'], [60, 'About an hour']),
  }),
};
