import type { HeatScale } from '../heat-range/heat-scale.ts';
import { COIL_FACTS, type CoilFactTypes } from './coil-facts.ts';
import { DISTRIBUTOR_FACTS, type DistributorFactTypes } from './distributor-facts.ts';
import { LEAD_FACTS, type LeadFactTypes } from './lead-facts.ts';
import type { HeadMetal } from '../quantities/general-torques.ts';
import type { MakersInstruction } from './makers-instruction.ts';
import type { TorqueStatement, TurnStatement } from './torque-statements.ts';
import { meaning, type FactMeaning, type Span, type Supply } from './fact-shapes.ts';

/** Electrode materials in order of wear, fastest first. Domain section 13, Electrode and polarity. */
export const MATERIALS = ['nickel', 'silver', 'platinum', 'iridium'] as const;
export type Material = (typeof MATERIALS)[number];

export const SEATS = ['gasket-fixed', 'gasket-loose', 'taper'] as const;
export type Seat = (typeof SEATS)[number];

export const TERMINALS = ['solid', 'nut', 'stud', 'cup'] as const;
export type Terminal = (typeof TERMINALS)[number];

export const GROUND_FORMS = ['over-tip', 'side', 'surface'] as const;
export type GroundForm = (typeof GROUND_FORMS)[number];

export const PLATINGS = ['nickel', 'zinc', 'none'] as const;
export type Plating = (typeof PLATINGS)[number];

export const SHELLS = ['one-piece', 'two-piece'] as const;
export type Shell = (typeof SHELLS)[number];

export type PlugResistor =
  | { readonly kind: 'none' }
  /** There is one; its value is not published. */
  | { readonly kind: 'present' }
  | { readonly kind: 'value'; readonly kohm: number };

export type AskedResistor =
  | { readonly kind: 'range'; readonly low: number; readonly high: number }
  /** One is asked; its value is not stated. */
  | { readonly kind: 'required' }
  | { readonly kind: 'none-asked' }
  | { readonly kind: 'forbidden' };

export type GapAdjust = { readonly kind: 'fixed' } | { readonly kind: 'limit'; readonly mm: number };

export interface PlugHeat {
  readonly maker: string;
  readonly code: string;
  readonly indexBar: number;
}

/** The ratings an engine maker allows, in one plug maker's own scale. */
export interface AskedHeat {
  readonly scale: HeatScale;
  readonly codes: readonly string[];
}

export type ClassRule =
  | { readonly kind: 'no-class' }
  /** A sanctioned class with the printed numbers (normal forms) its list permits on the date. */
  | { readonly kind: 'list'; readonly className: string; readonly permitted: readonly string[] }
  | { readonly kind: 'no-list-in-force'; readonly className: string };

/** What the engine maker forbids about the electrode material, if anything. */
export type ElectrodeBan = 'nothing' | 'poorer' | 'better' | 'any-other';

/**
 * Every fact the checks may read, by its id: what a part is (`plug.`, `coil.`, `leads.`, `cap.`, `rotor.`), what the engine
 * asks of it (`position.` of a plug, `coilAsked.` and so on of the others), what the shop or the customer has settled
 * (`rule.`, `duty.`, `job.`). Lengths in mm, distance in km; resistance in the unit of its name.
 */
export interface FactTypes extends PlugFactTypes, CoilFactTypes, LeadFactTypes, DistributorFactTypes {}

interface PlugFactTypes {
  'plug.threadDiameterMm': number;
  'plug.threadPitchMm': number;
  /** From the seat face (the gasket's face for gasket seats) to the shell's end. */
  'plug.reachMm': number;
  /** Only where the thread is shorter than the reach. */
  'plug.threadedLengthMm': number;
  'plug.seat': Seat;
  'plug.hexMm': number;
  'plug.hexPoints': number;
  /** Seat face to the top of the terminal. */
  'plug.lengthMm': number;
  'plug.terminal': Terminal;
  /** A bare stud on which the terminal nut of the trade can be screwed. */
  'plug.nutCanBeFitted': boolean;
  'plug.resistor': PlugResistor;
  'plug.centreMaterial': Material;
  'plug.groundMaterial': Material;
  'plug.groundCount': number;
  'plug.groundForm': GroundForm;
  'plug.groundThicknessMm': number;
  /** Centre tip past the shell's end. */
  'plug.projectionMm': number;
  'plug.gapMm': number;
  'plug.gapToleranceMm': number;
  'plug.gapAdjust': GapAdjust;
  'plug.heat': PlugHeat;
  'plug.shell': Shell;
  'plug.lifeKm': number;
  /** The life its maker states where the spark runs in reverse. */
  'plug.lifeReversedKm': number;
  'plug.torque': TorqueStatement;
  'plug.turn': TurnStatement;
  /** What the plug's maker instructs or forbids where shops choose for themselves. */
  'plug.instructs': MakersInstruction;
  'plug.supply': Supply;
  /** What the shell's threads carry: plated ones are fitted dry. */
  'plug.plating': Plating;
  /** Normal forms of the numbers printed on the plug itself: what a class list is read against. */
  'plug.printedNumbers': readonly string[];

  'position.threadDiameterMm': number;
  'position.threadPitchMm': number;
  'position.reachMm': Span;
  /** Length of thread in the head. */
  'position.headThreadMm': number;
  'position.seat': 'gasket' | 'taper';
  'position.hexMm': number;
  'position.hexPoints': number;
  /** Bore of the plug well; `open` where nothing surrounds the plug. */
  'position.wellBoreMm': number | 'open';
  'position.lengthMm': Span;
  /** Seat face to whatever stands above the plug: the stated clearance. */
  'position.lengthLimitMm': number;
  'position.terminal': 'solid' | 'stud' | 'cup';
  'position.resistor': AskedResistor;
  'position.centreDesign': Material;
  'position.groundDesign': Material;
  'position.electrodeBan': ElectrodeBan;
  /** The maker forbids a single-precious plug where the spark is reversed. */
  'position.singlePreciousBan': boolean;
  'position.polarity': 'forward' | 'reverse';
  'position.groundCount': number;
  'position.groundForm': GroundForm;
  'position.gapMm': Span;
  /** Deepest point of the maker's own plug below the seat face. */
  'position.oeDepthMm': number;
  /** Seat face to piston or valve at its nearest. */
  'position.crownMm': number;
  'position.heat': AskedHeat;
  'position.aspiration': 'natural' | 'forced';
  'position.fuel': 'petrol' | 'gas';
  'position.shellFitted': Shell;
  /** The engine is known to seize two-piece plugs in its head. */
  'position.seizesTwoPiece': boolean;
  'position.intervalKm': number;
  /** For what stands and counts running hours instead of kilometres. */
  'position.intervalHours': number;
  'position.torque': TorqueStatement;
  'position.turn': TurnStatement;
  'position.instructs': MakersInstruction;
  /** Whether a torque wrench reaches the plug here; where it does not, the turn is the method. */
  'position.wrenchReaches': boolean;
  /** What the head is made of here: iron takes more torque. */
  'position.headMetal': HeadMetal;
  /** Whether the engine has a battery to take off; pumps and hand-started machines have none. */
  'position.hasBattery': boolean;

  /** Steps colder that the shop's rule moves the target for the customer's duty; 0 for standard duty. */
  'duty.heatOffsetSteps': number;
  /** Driven cold and short: never hotter than asked without a supervisor. */
  'duty.shortColdRuns': boolean;
  'duty.classRule': ClassRule;
  /** Whether a better-wearing electrode than designed may be sold without a supervisor. */
  'rule.electrodeUpgrade': 'allowed' | 'as-designed';
  /** Which comes first in an engine known to seize the two-piece plugs it was fitted with. */
  'rule.twoPiece': 'makers-own' | 'one-piece-first';
}

export type FactId = keyof FactTypes;

/** What each fact is called and how it is obtained. Exhaustive by type, so no missing fact lacks its question. */
export const FACTS: Readonly<Record<FactId, FactMeaning>> = {
  'plug.threadDiameterMm': meaning('thread diameter', 'Measure the thread across its crests, in mm.', 'thread'),
  'plug.threadPitchMm': meaning('thread pitch', 'Try a thread gauge on the plug: which pitch?', 'thread'),
  'plug.reachMm': meaning('reach', 'Measure from the seat face to the end of the shell, in mm.', 'reach'),
  'plug.threadedLengthMm': meaning('threaded length', 'Measure the threaded part alone, in mm.', 'reach'),
  'plug.seat': meaning('seat', 'Look under the hex: flat with a gasket, or a cone?'),
  'plug.hexMm': meaning('hex', 'Measure across the flats, in mm.', 'hex'),
  'plug.hexPoints': meaning('hex points', 'Count the points: six or twelve?'),
  'plug.lengthMm': meaning('length', 'Measure from the seat face to the top of the terminal, in mm.', 'length'),
  'plug.terminal': meaning('terminal', 'Look at the top: solid, nut fitted, bare stud or cup?'),
  'plug.nutCanBeFitted': meaning('terminal nut', 'Does a terminal nut come with it or screw onto the stud?'),
  'plug.resistor': meaning('resistor', 'Measure terminal to centre electrode with an ohmmeter, in kΩ.'),
  'plug.centreMaterial': meaning(
    'centre electrode',
    'What is the centre tip made of? See the box or the maker’s sheet.',
  ),
  'plug.groundMaterial': meaning(
    'ground electrode',
    'Does the ground electrode carry a precious pad? Look under a glass.',
  ),
  'plug.groundCount': meaning('grounds', 'Count the ground electrodes.'),
  'plug.groundForm': meaning(
    'ground form',
    'Does the ground stand over the tip, beside it, or is there none but the shell?',
  ),
  'plug.groundThicknessMm': meaning(
    'ground thickness',
    'Measure the thickness of the ground electrode, in mm.',
    'length',
  ),
  'plug.projectionMm': meaning(
    'tip projection',
    'Measure how far the tip stands past the shell’s end, in mm.',
    'length',
  ),
  'plug.gapMm': meaning('delivered gap', 'Gauge the gap with a wire, in mm.', 'gap'),
  'plug.gapToleranceMm': meaning('gap tolerance', 'Gauge several from the box: how far do they spread?', 'gap'),
  'plug.gapAdjust': meaning('gap adjustment', 'Does the maker allow the gap to be set, and how far?'),
  'plug.heat': meaning('heat rating', 'Read the heat rating on the box or the maker’s sheet.'),
  'plug.shell': meaning('shell', 'Is the shell one piece, or is a ring pressed on above the hex?'),
  'plug.lifeKm': meaning('service life', 'Look up the maker’s stated life, in km.', 'distance'),
  'plug.lifeReversedKm': meaning(
    'life in reverse',
    'Look up the life the maker states where the spark runs in reverse, in km.',
    'distance',
  ),
  'plug.torque': meaning('plug maker’s torque', 'Look on the box or the maker’s sheet for a torque.'),
  'plug.turn': meaning('plug maker’s turn', 'Look on the box: how far is it turned, from where?'),
  'plug.instructs': meaning('plug maker’s instruction', 'Look what the maker’s sheet instructs or forbids.'),
  'plug.supply': meaning('supply', 'Ask the maker or wholesaler whether it is still supplied.'),
  'plug.plating': meaning('plating', 'Look at the threads: silvery-bright, dull grey-blue, or bare dark steel?'),
  'plug.printedNumbers': meaning('printed number', 'Read the number printed on the plug itself.'),
  'position.threadDiameterMm': meaning('asked thread', 'Look up the thread of this engine’s plug hole.', 'thread'),
  'position.threadPitchMm': meaning('asked pitch', 'Look up the thread pitch of this engine’s plug hole.', 'thread'),
  'position.reachMm': meaning(
    'asked reach',
    'Look up the reach this engine asks, or measure the plug that ran in it.',
    'reach',
  ),
  'position.headThreadMm': meaning(
    'thread in the head',
    'Measure or look up the length of thread in the head.',
    'reach',
  ),
  'position.seat': meaning('asked seat', 'Look into the plug hole: flat spot face or cone?'),
  'position.hexMm': meaning('asked hex', 'Look up the hex this engine asks.', 'hex'),
  'position.hexPoints': meaning('asked hex points', 'Look up whether this engine asks six or twelve points.'),
  'position.wellBoreMm': meaning('plug well', 'Measure the bore of the plug well, in mm.', 'length'),
  'position.lengthMm': meaning('asked length', 'Look up the length above the seat this engine asks.', 'length'),
  'position.lengthLimitMm': meaning(
    'clearance above',
    'Measure from the seat to whatever stands above the plug.',
    'length',
  ),
  'position.terminal': meaning('asked terminal', 'Look at the lead or coil: what does it grip?'),
  'position.resistor': meaning('asked resistor', 'Look up whether this engine asks a resistor plug.'),
  'position.centreDesign': meaning('designed centre electrode', 'Look up the electrode this engine was designed for.'),
  'position.groundDesign': meaning(
    'designed ground electrode',
    'Look up the ground electrode this engine was designed for.',
  ),
  'position.electrodeBan': meaning('electrode ban', 'Look up whether the engine maker forbids other materials.'),
  'position.singlePreciousBan': meaning(
    'single-precious ban',
    'Look up whether the engine maker forbids single-precious plugs here.',
  ),
  'position.polarity': meaning('polarity', 'Look up which cylinders fire in reverse.'),
  'position.groundCount': meaning('asked grounds', 'Look up how many grounds this engine asks.'),
  'position.groundForm': meaning('asked ground form', 'Look up the ground form this engine asks.'),
  'position.gapMm': meaning('asked gap', 'Look up the gap this engine asks.', 'gap'),
  'position.oeDepthMm': meaning(
    'depth of the maker’s own plug',
    'Measure the plug that ran in it, from seat to deepest point.',
    'length',
  ),
  'position.crownMm': meaning(
    'piston clearance',
    'Measure or look up the distance from the seat face to the piston or valve.',
    'length',
  ),
  'position.heat': meaning('asked heat', 'Look up the heat ratings this engine asks.'),
  'position.aspiration': meaning('aspiration', 'Is the engine boosted?'),
  'position.fuel': meaning('fuel', 'Petrol or gas?'),
  'position.shellFitted': meaning('shell as fitted', 'Look up which shell the maker fitted.'),
  'position.seizesTwoPiece': meaning('seizing', 'Ask whether this engine is known to seize two-piece plugs.'),
  'position.intervalKm': meaning('interval', 'Look up the service interval, in km.', 'distance'),
  'position.intervalHours': meaning('interval in hours', 'Look up the service interval, in running hours.'),
  'position.torque': meaning('engine maker’s torque', 'Look up the engine maker’s torque for its plugs.'),
  'position.turn': meaning(
    'engine maker’s turn',
    'Look up how far the engine maker has its plugs turned, and from where.',
  ),
  'position.instructs': meaning('engine maker’s instruction', 'Look what the engine maker’s procedure instructs.'),
  'position.wrenchReaches': meaning('room for a wrench', 'Does a torque wrench reach the plug here?'),
  'position.headMetal': meaning(
    'head metal',
    'Hold a magnet to the head: does it stick (iron) or fall off (aluminium)?',
  ),
  'position.hasBattery': meaning('battery', 'Is there a battery, or does it start by hand?'),
  'duty.heatOffsetSteps': meaning('heat for the duty', 'What work does the engine do?'),
  'duty.shortColdRuns': meaning('short cold runs', 'How far is it driven at a time?'),
  'duty.classRule': meaning('class rule', 'Which class does the car run in, and on which date?'),
  'rule.electrodeUpgrade': meaning('electrode rule', 'Set the shop’s rule on better electrodes.'),
  'rule.twoPiece': meaning('two-piece rule', 'Set the shop’s rule on engines that seize two-piece plugs.'),
  ...COIL_FACTS,
  ...LEAD_FACTS,
  ...DISTRIBUTOR_FACTS,
};

/** Where a figure comes from; strongest first. `gauged` speaks for the piece in hand and its batch. Domain section 1. */
export const SOURCE_RANKS = ['gauged', 'engine-maker', 'part-maker', 'supplier', 'hearsay', 'house-rule'] as const;
export type SourceRank = (typeof SOURCE_RANKS)[number];

export interface FactSource {
  readonly rank: SourceRank;
  readonly name: string;
}

export interface Sourced<T> {
  readonly value: T;
  readonly source: FactSource;
}

export interface FactEntry<T> {
  /** The figures that rule: one, or several of equal rank that disagree. Empty when only hearsay speaks. */
  readonly ruling: readonly Sourced<T>[];
  /** Figures that may raise a question but never pass or refuse: hearsay, and what was gauged only once. */
  readonly questioning?: readonly Sourced<T>[];
}

/** All that is known of one plug, or asked at one position. A fact that is absent is unknown. */
export type FactSheet = { readonly [K in FactId]?: FactEntry<FactTypes[K]> };

/** The first ruling value of a fact; undefined when nothing rules it. */
export const rulingValue = <K extends FactId>(sheet: FactSheet, fact: K): FactTypes[K] | undefined =>
  sheet[fact]?.ruling[0]?.value;
