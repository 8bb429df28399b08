import { meaning, type FactMeaning, type Span, type Supply } from './fact-shapes.ts';
import type { SourceEnd } from './lead-facts.ts';

export const CAP_FIXINGS = ['clips', 'screws'] as const;
export type CapFixing = (typeof CAP_FIXINGS)[number];

/** How a rotor sits on the distributor's shaft: turned the wrong way round it would fire the wrong cylinder. */
export const SHAFTS = ['flat', 'slot', 'square', 'two-screws'] as const;
export type Shaft = (typeof SHAFTS)[number];

/** Caps (`cap.`) and rotors (`rotor.`), which run as a pair, and what a distributor asks of them. */
export interface DistributorFactTypes {
  /** For plugs alone; the coil's own is besides. */
  'cap.towersCount': number;
  'cap.towerForm': SourceEnd;
  'cap.fixing': CapFixing;
  /** Degrees from the locating key to the first cylinder's tower, in the direction of turning. */
  'cap.indexDeg': number;
  'cap.contactRadiusMm': number;
  'cap.family': string;
  'cap.supply': Supply;
  'capAsked.towersCount': number;
  'capAsked.towerForm': SourceEnd;
  'capAsked.fixing': CapFixing;
  'capAsked.indexDeg': number;
  'capAsked.contactRadiusMm': number;

  'rotor.shaft': Shaft;
  'rotor.tipRadiusMm': number;
  'rotor.heightMm': number;
  'rotor.resistanceKohm': number;
  'rotor.family': string;
  'rotor.supply': Supply;
  'rotorAsked.shaft': Shaft;
  'rotorAsked.tipRadiusMm': number;
  'rotorAsked.heightMm': number;
  'rotorAsked.resistanceKohm': Span;

  /** The maker's pairing of the other half: what is on the slip with it, or stays in the engine. */
  'job.otherHalfFamily': string;
}

export const DISTRIBUTOR_FACTS: Readonly<Record<keyof DistributorFactTypes, FactMeaning>> = {
  'cap.towersCount': meaning('towers', 'Count the towers, without the coil’s.'),
  'cap.towerForm': meaning('tower form', 'Look at the towers: sockets or pegs?'),
  'cap.fixing': meaning('fixing', 'How is the cap held: clips or screws?'),
  'cap.indexDeg': meaning('index', 'Measure from the locating key to the tower of cylinder 1.'),
  'cap.contactRadiusMm': meaning('contact radius', 'Measure from the centre to a contact inside, in mm.', 'length'),
  'cap.family': meaning('pairing', 'Read the pairing mark inside the cap.'),
  'cap.supply': meaning('supply', 'Ask the maker or wholesaler whether it is still supplied.'),
  'capAsked.towersCount': meaning('asked towers', 'Count the leads on the old cap, without the coil’s.'),
  'capAsked.towerForm': meaning('asked tower form', 'Look at the ends of the leads: do they go in or over?'),
  'capAsked.fixing': meaning('asked fixing', 'Look at the distributor: clips or screw holes?'),
  'capAsked.indexDeg': meaning('asked index', 'Measure on the old cap from the key to the tower of cylinder 1.'),
  'capAsked.contactRadiusMm': meaning('asked contact radius', 'Measure the old cap’s contacts, in mm.', 'length'),
  'rotor.shaft': meaning('seat on the shaft', 'Look under the rotor: flat, slot, square or two screws?'),
  'rotor.tipRadiusMm': meaning('tip radius', 'Measure from the shaft’s centre to the tip, in mm.', 'length'),
  'rotor.heightMm': meaning('height', 'Measure from the seat to the top of the spring, in mm.', 'length'),
  'rotor.resistanceKohm': meaning('rotor resistance', 'Measure from the spring to the tip, in kΩ.'),
  'rotor.family': meaning('pairing', 'Read the pairing mark on the rotor.'),
  'rotor.supply': meaning('supply', 'Ask the maker or wholesaler whether it is still supplied.'),
  'rotorAsked.shaft': meaning('asked seat', 'Look at the distributor’s shaft: flat, slot, square or two holes?'),
  'rotorAsked.tipRadiusMm': meaning('asked tip radius', 'Measure the old rotor, in mm.', 'length'),
  'rotorAsked.heightMm': meaning('asked height', 'Measure the old rotor, in mm.', 'length'),
  'rotorAsked.resistanceKohm': meaning('asked rotor resistance', 'Look up the rotor’s resistance, in kΩ.'),
  'job.otherHalfFamily': meaning(
    'pairing of the other half',
    'Read the pairing mark on the half that is used with it.',
  ),
};
