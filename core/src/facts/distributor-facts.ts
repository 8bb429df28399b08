import { z } from 'zod';
import { fact } from './fact.ts';
import { count, deg, mm, span, supply, word } from './fact-shapes.ts';
import { SOURCE_ENDS } from './lead-facts.ts';

export const CAP_FIXINGS = ['clips', 'screws'] as const;
export type CapFixing = (typeof CAP_FIXINGS)[number];

/** How a rotor sits on the distributor's shaft: turned the wrong way round it would fire the wrong cylinder. */
export const SHAFTS = ['flat', 'slot', 'square', 'two-screws'] as const;
export type Shaft = (typeof SHAFTS)[number];

/** Caps (`cap.`) and rotors (`rotor.`), which run as a pair, and what a distributor asks of them. */
export const DISTRIBUTOR_FACTS = {
  /** For plugs alone; the coil's own is besides. */
  'cap.towersCount': fact({ label: 'towers', question: 'Count the towers, without the coil’s.', recorded: count }),
  'cap.towerForm': fact({
    label: 'tower form',
    question: 'Look at the towers: sockets or pegs?',
    recorded: z.enum(SOURCE_ENDS),
  }),
  'cap.fixing': fact({
    label: 'fixing',
    question: 'How is the cap held: clips or screws?',
    recorded: z.enum(CAP_FIXINGS),
  }),
  /** Degrees from the locating key to the first cylinder's tower, in the direction of turning. */
  'cap.indexDeg': fact({
    label: 'index',
    question: 'Measure from the locating key to the tower of cylinder 1.',
    recorded: deg,
  }),
  'cap.contactRadiusMm': fact({
    label: 'contact radius',
    question: 'Measure from the centre to a contact inside, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'cap.family': fact({ label: 'pairing', question: 'Read the pairing mark inside the cap.', recorded: word }),
  'cap.supply': fact({
    label: 'supply',
    question: 'Ask the maker or wholesaler whether it is still supplied.',
    recorded: supply,
  }),
  'capAsked.towersCount': fact({
    label: 'asked towers',
    question: 'Count the leads on the old cap, without the coil’s.',
    recorded: count,
  }),
  'capAsked.towerForm': fact({
    label: 'asked tower form',
    question: 'Look at the ends of the leads: do they go in or over?',
    recorded: z.enum(SOURCE_ENDS),
  }),
  'capAsked.fixing': fact({
    label: 'asked fixing',
    question: 'Look at the distributor: clips or screw holes?',
    recorded: z.enum(CAP_FIXINGS),
  }),
  'capAsked.indexDeg': fact({
    label: 'asked index',
    question: 'Measure on the old cap from the key to the tower of cylinder 1.',
    recorded: deg,
  }),
  'capAsked.contactRadiusMm': fact({
    label: 'asked contact radius',
    question: 'Measure the old cap’s contacts, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'rotor.shaft': fact({
    label: 'seat on the shaft',
    question: 'Look under the rotor: flat, slot, square or two screws?',
    recorded: z.enum(SHAFTS),
  }),
  'rotor.tipRadiusMm': fact({
    label: 'tip radius',
    question: 'Measure from the shaft’s centre to the tip, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'rotor.heightMm': fact({
    label: 'height',
    question: 'Measure from the seat to the top of the spring, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'rotor.resistanceKohm': fact({
    label: 'rotor resistance',
    question: 'Measure from the spring to the tip, in kΩ.',
    recorded: z.number().min(0).max(50),
  }),
  'rotor.family': fact({ label: 'pairing', question: 'Read the pairing mark on the rotor.', recorded: word }),
  'rotor.supply': fact({
    label: 'supply',
    question: 'Ask the maker or wholesaler whether it is still supplied.',
    recorded: supply,
  }),
  'rotorAsked.shaft': fact({
    label: 'asked seat',
    question: 'Look at the distributor’s shaft: flat, slot, square or two holes?',
    recorded: z.enum(SHAFTS),
  }),
  'rotorAsked.tipRadiusMm': fact({
    label: 'asked tip radius',
    question: 'Measure the old rotor, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'rotorAsked.heightMm': fact({
    label: 'asked height',
    question: 'Measure the old rotor, in mm.',
    printedAs: 'length',
    recorded: mm,
  }),
  'rotorAsked.resistanceKohm': fact({
    label: 'asked rotor resistance',
    question: 'Look up the rotor’s resistance, in kΩ.',
    recorded: span,
  }),
};
