import { rulingValue, type FactSheet } from '../facts/facts.ts';

interface Condition {
  /** After "Where". */
  readonly says: string;
  readonly holds: (position: FactSheet, part: FactSheet) => boolean;
  /** Read from the part in hand, so it cannot speak before there is one. */
  readonly ofPart?: true;
}

const plating = (part: FactSheet) => rulingValue(part, 'plug.plating');

/** Where a shop may choose otherwise than it does by default: read from the engine's place, or from the part in hand. */
export const CONDITIONS = {
  'procedure-stated': {
    says: 'the engine maker states a procedure',
    holds: (position) => (position['position.instructs']?.ruling.length ?? 0) > 0,
  },
  'known-to-seize': {
    says: 'plugs are known to seize',
    holds: (position) => rulingValue(position, 'position.seizesTwoPiece') === true,
  },
  'aluminium-head': {
    says: 'the head is aluminium',
    holds: (position) => rulingValue(position, 'position.headMetal') === 'aluminium',
  },
  'iron-head': {
    says: 'the head is iron',
    holds: (position) => rulingValue(position, 'position.headMetal') === 'cast-iron',
  },
  'taper-seat': { says: 'the seat is a cone', holds: (position) => rulingValue(position, 'position.seat') === 'taper' },
  'no-wrench': {
    says: 'a wrench does not reach',
    holds: (position) => rulingValue(position, 'position.wrenchReaches') === false,
  },
  'running-hours': {
    says: 'the machine counts running hours',
    holds: (position) => rulingValue(position, 'position.intervalHours') !== undefined,
  },
  'threads-plated': {
    says: 'the plug’s threads are plated',
    holds: (_, part) => plating(part) !== undefined && plating(part) !== 'none',
    ofPart: true,
  },
  'threads-bare': { says: 'the plug’s threads are bare', holds: (_, part) => plating(part) === 'none', ofPart: true },
} as const satisfies Readonly<Record<string, Condition>>;

export type ConditionId = keyof typeof CONDITIONS;
export const CONDITION_IDS = Object.keys(CONDITIONS) as ConditionId[];
