import type { FactSheet } from '../facts/facts.ts';

/** The parts of the work, in their order. */
export const WORK_PHASES = ['before', 'out', 'in', 'back', 'start', 'close'] as const;
export type WorkPhase = (typeof WORK_PHASES)[number];
export const PHASE_WORDS: Readonly<Record<WorkPhase, string>> = {
  before: 'Before',
  out: 'Out',
  in: 'In',
  back: 'Back together',
  start: 'First start',
  close: 'Closing off',
};

/** What each step is ticked by. */
const STEP_IDS = [
  'cold',
  'powered-down',
  'voltage',
  'gas',
  'blow',
  'free',
  'order',
  'read',
  'gap',
  'threads',
  'seat',
  'by-hand',
  'grease',
  'boots',
  'start',
  'manual',
  'rest',
  'relearn',
  'lamp',
  'way',
  'heat',
  'old',
  'same',
  'set',
  'fix',
] as const;
/** Of these there may be several, each with its number. */
const NUMBERED = ['procedure', 'tighten', 'closed'] as const;
export type StepId = (typeof STEP_IDS)[number] | `${(typeof NUMBERED)[number]}-${number}`;
export const STEP_ID = new RegExp(`^(?:${STEP_IDS.join('|')}|(?:${NUMBERED.join('|')})-[1-9]\\d?)$`);

/** One step of the work. */
export interface FittingStep {
  readonly phase: WorkPhase;
  /** What it is ticked by; the same while its words change with rules and readers. */
  readonly id: StepId;
  readonly says: string;
  /** It rests on what is not known: asked before it is done. */
  readonly isQuestion?: boolean;
  /** The house rule that made it so, and the school chosen; absent where the trade agrees. */
  readonly rule?: { readonly title: string; readonly choice: string };
  /** A caution that always stands. */
  readonly caution?: boolean;
}

/** A position by its label, with what it asks. */
export interface PlaceOfWork {
  readonly label: string;
  readonly sheet: FactSheet;
}

/** How far it is closed off, by what is ticked. */
export function closedOff(
  steps: readonly { readonly phase: WorkPhase; readonly id: string }[],
  isDone: (id: string) => boolean,
): { readonly done: number; readonly of: number } {
  const closing = steps.filter(({ phase, id }) => phase === 'close' && id !== 'manual');
  return { done: closing.filter(({ id }) => isDone(id)).length, of: closing.length };
}

export type More = Pick<FittingStep, 'rule' | 'caution' | 'isQuestion'>;
export const CAUTION: More = { caution: true };

export const step = (phase: WorkPhase, id: StepId, says: string, more: More = {}): FittingStep => ({
  phase,
  id,
  says,
  ...more,
});
