import { z } from 'zod';
import { heatIndexBar } from '../heat-range/heat-scale.ts';
import { fact, rated, settled } from './fact.ts';
import { choose, gauged, LENGTH_MM, POINTS, RESISTOR_KOHM, YES_NO, GAP_MM } from './fact-answers.ts';
import { hexPoints, mm, supply } from './fact-shapes.ts';
import { makersInstruction } from './makers-instruction.ts';
import { torqueStatement, turnStatement } from './torque-statements.ts';

/** Electrode materials in order of wear, fastest first. Plugs: Electrode. */
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

/** `present`: there is one, and its value is not published. */
const plugResistor = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }).readonly(),
  z.object({ kind: z.literal('present') }).readonly(),
  z.object({ kind: z.literal('value'), kohm: z.number().positive() }).readonly(),
]);
export type PlugResistor = z.infer<typeof plugResistor>;

const gapAdjust = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('fixed') }).readonly(),
  z.object({ kind: z.literal('limit'), mm: z.number().positive() }).readonly(),
]);
export type GapAdjust = z.infer<typeof gapAdjust>;

export interface PlugHeat {
  readonly maker: string;
  readonly code: string;
  readonly indexBar: number;
}

const MATERIAL_ANSWER = choose(
  ['nickel', 'Nickel: thick and plain'],
  ['silver', 'Silver'],
  ['platinum', 'Platinum'],
  ['iridium', 'Iridium'],
);

/** What a plug is. */
export const PLUG_FACTS = {
  'plug.threadDiameterMm': fact({
    label: 'thread diameter',
    question: 'Measure the thread across its crests, in mm.',
    printedAs: 'thread',
    recorded: mm,
    answer: gauged('thread', LENGTH_MM, 'threadMm'),
  }),
  'plug.threadPitchMm': fact({
    label: 'thread pitch',
    question: 'Try a thread gauge on the plug: which pitch?',
    printedAs: 'thread',
    recorded: mm,
    answer: choose([1, '1.00 mm'], [1.25, '1.25 mm'], [1.5, '1.50 mm']),
  }),
  /** From the seat face (the gasket's face for gasket seats) to the shell's end. */
  'plug.reachMm': fact({
    label: 'reach',
    question: 'Measure from the seat face to the end of the shell, in mm.',
    printedAs: 'reach',
    recorded: mm,
    answer: gauged('reach', LENGTH_MM, 'reachMm'),
  }),
  /** Only where the thread is shorter than the reach. */
  'plug.threadedLengthMm': fact({
    label: 'threaded length',
    question: 'Measure the threaded part alone, in mm.',
    printedAs: 'reach',
    recorded: mm,
    answer: gauged('reach', LENGTH_MM, 'reachMm'),
  }),
  'plug.seat': fact({
    label: 'seat',
    question: 'Look under the hex: flat with a gasket, or a cone?',
    recorded: z.enum(SEATS),
    answer: choose(
      ['gasket-fixed', 'Flat, its gasket held on'],
      ['gasket-loose', 'Flat, its gasket loose'],
      ['taper', 'A cone, no gasket'],
    ),
  }),
  'plug.hexMm': fact({
    label: 'hex',
    question: 'Measure across the flats, in mm.',
    printedAs: 'hex',
    recorded: mm,
    answer: gauged('hex', LENGTH_MM, 'hexMm'),
  }),
  'plug.hexPoints': fact({
    label: 'hex points',
    question: 'Count the points: six or twelve?',
    recorded: hexPoints,
    answer: POINTS,
  }),
  /** Seat face to the top of the terminal. */
  'plug.lengthMm': fact({
    label: 'length',
    question: 'Measure from the seat face to the top of the terminal, in mm.',
    printedAs: 'length',
    recorded: mm,
    answer: gauged('length', 0.4, 'lengthMm'),
  }),
  'plug.terminal': fact({
    label: 'terminal',
    question: 'Look at the top: solid, nut fitted, bare stud or cup?',
    recorded: z.enum(TERMINALS),
    answer: choose(['solid', 'Solid'], ['nut', 'A nut screwed on'], ['stud', 'A bare stud'], ['cup', 'A cup']),
  }),
  /** A bare stud on which the terminal nut of the trade can be screwed. */
  'plug.nutCanBeFitted': fact({
    label: 'terminal nut',
    question: 'Does a terminal nut come with it or screw onto the stud?',
    recorded: z.boolean(),
    answer: YES_NO,
  }),
  'plug.resistor': fact({
    label: 'resistor',
    question: 'Measure terminal to centre electrode with an ohmmeter, in kΩ.',
    recorded: plugResistor,
    answer: {
      kind: 'measure',
      quantity: 'plug-resistor',
      unit: 'kΩ',
      device: 'ohmmeter',
      within: RESISTOR_KOHM,
      laidAs: 'resistorKohm',
    },
  }),
  'plug.centreMaterial': fact({
    label: 'centre electrode',
    question: 'What is the centre tip made of? See the box or the maker’s sheet.',
    recorded: z.enum(MATERIALS),
    answer: MATERIAL_ANSWER,
  }),
  'plug.groundMaterial': fact({
    label: 'ground electrode',
    question: 'Does the ground electrode carry a precious pad? Look under a glass.',
    recorded: z.enum(MATERIALS),
    answer: MATERIAL_ANSWER,
  }),
  'plug.groundCount': fact({
    label: 'grounds',
    question: 'Count the ground electrodes.',
    recorded: z.number().int().min(1).max(4),
    answer: choose([1, 'One'], [2, 'Two'], [3, 'Three'], [4, 'Four']),
  }),
  'plug.groundForm': fact({
    label: 'ground form',
    question: 'Does the ground stand over the tip, beside it, or is there none but the shell?',
    recorded: z.enum(GROUND_FORMS),
    answer: choose(['over-tip', 'Over the tip'], ['side', 'Beside the tip'], ['surface', 'None: the shell itself']),
  }),
  'plug.groundThicknessMm': fact({
    label: 'ground thickness',
    question: 'Measure the thickness of the ground electrode, in mm.',
    printedAs: 'length',
    recorded: mm,
    answer: gauged('length', 0.1, 'groundThicknessMm'),
  }),
  /** Centre tip past the shell's end. */
  'plug.projectionMm': fact({
    label: 'tip projection',
    question: 'Measure how far the tip stands past the shell’s end, in mm.',
    printedAs: 'length',
    recorded: z.number().min(-2).max(10),
    answer: gauged('length', LENGTH_MM, 'projectionMm'),
  }),
  'plug.gapMm': fact({
    label: 'delivered gap',
    question: 'Gauge the gap with a wire, in mm.',
    printedAs: 'gap',
    recorded: mm,
    answer: gauged('gap', GAP_MM, 'gapMm'),
  }),
  'plug.gapToleranceMm': fact({
    label: 'gap tolerance',
    question: 'Gauge several from the box: how far do they spread?',
    printedAs: 'gap',
    recorded: mm,
  }),
  'plug.gapAdjust': fact({
    label: 'gap adjustment',
    question: 'Does the maker allow the gap to be set, and how far?',
    recorded: gapAdjust,
  }),
  'plug.heat': rated({
    label: 'heat rating',
    question: 'Read the heat rating on the box or the maker’s sheet.',
    recorded: z.object({ maker: z.string(), code: z.string() }),
    know: ({ maker, code }, scales): PlugHeat | undefined => {
      const scale = scales.get(maker);
      const indexBar = scale && heatIndexBar(scale, code);
      return indexBar === undefined ? undefined : { maker: scale!.maker, code, indexBar };
    },
  }),
  'plug.shell': fact({
    label: 'shell',
    question: 'Is the shell one piece, or is a ring pressed on above the hex?',
    recorded: z.enum(SHELLS),
    answer: choose(['one-piece', 'One piece'], ['two-piece', 'A ring pressed on above the hex']),
  }),
  'plug.lifeKm': fact({
    label: 'service life',
    question: 'Look up the maker’s stated life, in km.',
    printedAs: 'distance',
    recorded: z.number().positive(),
  }),
  /** The life its maker states where the spark runs in reverse. */
  'plug.lifeReversedKm': fact({
    label: 'life in reverse',
    question: 'Look up the life the maker states where the spark runs in reverse, in km.',
    printedAs: 'distance',
    recorded: z.number().positive(),
  }),
  'plug.torque': fact({
    label: 'plug maker’s torque',
    question: 'Look on the box or the maker’s sheet for a torque.',
    recorded: torqueStatement,
  }),
  'plug.turn': fact({
    label: 'plug maker’s turn',
    question: 'Look on the box: how far is it turned, from where?',
    recorded: turnStatement,
  }),
  /** What the plug's maker instructs or forbids where shops choose for themselves. */
  'plug.instructs': fact({
    label: 'plug maker’s instruction',
    question: 'Look what the maker’s sheet instructs or forbids.',
    recorded: makersInstruction,
  }),
  'plug.supply': fact({
    label: 'supply',
    question: 'Ask the maker or wholesaler whether it is still supplied.',
    recorded: supply,
  }),
  /** What the shell's threads carry: plated ones are fitted dry. */
  'plug.plating': fact({
    label: 'plating',
    question: 'Look at the threads: silvery-bright, dull grey-blue, or bare dark steel?',
    recorded: z.enum(PLATINGS),
    answer: choose(['nickel', 'Silvery-bright: nickel'], ['zinc', 'Dull grey-blue: zinc'], ['none', 'Bare dark steel']),
  }),
  /** Normal forms of the numbers printed on the plug itself: what a class list is read against. */
  'plug.printedNumbers': settled<readonly string[]>({
    label: 'printed number',
    question: 'Read the number printed on the plug itself.',
  }),
};
