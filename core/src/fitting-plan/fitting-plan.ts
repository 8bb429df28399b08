import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Say } from '../fitment/say.ts';
import { chosenSchool, HOUSE_RULES, type RuleId } from '../house-rules/house-rules.ts';
import { saySpoke, type SettledRules } from '../house-rules/settle-rules.ts';
import { compoundOn } from '../torque/torque-desk.ts';
import { sayTightening } from './tighten.ts';

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
] as const;
/** Of these there may be several, each with its number. */
const NUMBERED = ['procedure', 'tighten', 'closed'] as const;
type StepId = (typeof STEP_IDS)[number] | `${(typeof NUMBERED)[number]}-${number}`;
export const STEP_ID = new RegExp(`^(?:${STEP_IDS.join('|')}|(?:${NUMBERED.join('|')})-[1-9]\\d?)$`);

/** One step of fitting plugs. */
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

/** How each position is tightened: told once where all are alike, else each way with where it holds. */
function tightenings(places: readonly PlaceOfWork[], plug: FactSheet, settled: SettledRules, say: Say): string[] {
  const byWay = new Map<string, string[]>();
  for (const { label, sheet } of places) {
    const says = sayTightening(sheet, plug, settled, say);
    byWay.set(says, [...(byWay.get(says) ?? []), label]);
  }
  if (byWay.size === 1) return [...byWay.keys()];
  return [...byWay].map(([says, labels]) => `At ${labels.join(', ')}: ${says}`);
}

/** How far it is closed off, by what is ticked. */
export function closedOff(
  steps: readonly { readonly phase: WorkPhase; readonly id: string }[],
  isDone: (id: string) => boolean,
): { readonly done: number; readonly of: number } {
  const closing = steps.filter(({ phase, id }) => phase === 'close' && id !== 'manual');
  return { done: closing.filter(({ id }) => isDone(id)).length, of: closing.length };
}

/**
 * The order of work for fitting a plug in an engine, cautions first, each step under the house rule that chose it. What the
 * engine maker instructs (`procedures`) stands above every house rule. Service: Order of work.
 */
export function fittingPlan(
  position: FactSheet,
  plug: FactSheet,
  settled: SettledRules,
  say: Say,
  procedures: readonly string[] = [],
  /** Other positions of the same place, where the way of tightening may be another. */
  others: readonly PlaceOfWork[] = [],
): readonly FittingStep[] {
  const { rules, spoke } = settled;
  const by = (rule: RuleId) => ({
    title: HOUSE_RULES[rule].title,
    choice: [chosenSchool(rules, rule).says, saySpoke(spoke[rule])].filter(Boolean).join(' · '),
  });
  const hasProcedure = procedures.length > 0 || rulingValue(position, 'position.seizesTwoPiece') === true;
  const severalGrounds = (rulingValue(plug, 'plug.groundCount') ?? 1) > 1;
  const plating = rulingValue(plug, 'plug.plating');
  const seat = rulingValue(plug, 'plug.seat');
  const warm = rules.engineTemperature === 'makers-procedure' && hasProcedure;
  const tightened = tightenings(others.length > 0 ? others : [{ label: '', sheet: position }], plug, settled, say);
  return [
    ...procedures.map((says, i) =>
      step('before', `procedure-${i + 1}`, `The engine maker’s own procedure comes first: ${says}`, CAUTION),
    ),
    step(
      'before',
      'cold',
      warm
        ? 'Follow the engine maker’s own procedure for freeing the plugs, warm where it says so: hot metal burns.'
        : 'Engine cold.',
      { rule: by('engineTemperature'), caution: true },
    ),
    poweredDown(position, rules, by),
    step(
      'before',
      'voltage',
      'Secondary voltage can kill, most of all with a pacemaker: no coil is run off its plug.',
      CAUTION,
    ),
    ...(rulingValue(position, 'position.fuel') === 'gas'
      ? [step('before', 'gas', 'Gas: a licensed gas fitter works on anything that carries it.', CAUTION)]
      : []),
    step(
      'out',
      'blow',
      rulingValue(position, 'position.wellBoreMm') === 'open'
        ? 'Blow round the plug before it comes out; eye protection; drop nothing in.'
        : 'Blow out the well before the plug comes out; eye protection; drop nothing in.',
      CAUTION,
    ),
    step('out', 'free', freeingOf(position)),
    step(
      'out',
      'order',
      rules.orderOfWork === 'one-at-a-time'
        ? 'One cylinder at a time: its lead or coil is back on before the next comes off.'
        : 'All plugs out first, laid in order and read; leads labelled, every hole covered.',
      { rule: by('orderOfWork') },
    ),
    step(
      'out',
      'read',
      'The old plugs kept in order and read before the new ones go in: they tell which cylinder is ill.',
    ),
    severalGrounds
      ? step('in', 'gap', 'Gap as delivered: several grounds cannot be set.')
      : step(
          'in',
          'gap',
          {
            verify: 'Gap measured on each with a wire gauge.',
            sample: 'Gap measured on one in four with a wire gauge, on all when one is outside.',
            trust: 'Gap as delivered in its sealed box: not verified.',
          }[rules.preGapped],
          { rule: by('preGapped') },
        ),
    plating !== undefined && plating !== 'none'
      ? step(
          'in',
          'threads',
          `Threads dry: this plug is plated with ${plating}, which is its own release. No compound.`,
        )
      : step(
          'in',
          'threads',
          rules.threadCompound === 'shank-only'
            ? 'Threads dry and clean; a trace of compound on the shank only.'
            : {
                dry: 'Threads dry and clean, no compound.',
                'by-thread': 'Plated threads dry; on bare threads a trace of compound, away from the tip.',
                compound: 'A trace of compound on the threads, away from the tip.',
              }[compoundOn(settled, plug)],
          { rule: by('threadCompound'), isQuestion: compoundOn(settled, plug) === 'by-thread' },
        ),
    ...(seat === 'taper'
      ? []
      : seat === undefined
        ? [step('in', 'seat', 'Gasket or cone? Look at the seat before it goes in.', { isQuestion: true })]
        : [
            step(
              'in',
              'seat',
              `Its gasket flat on the seat${seat === 'gasket-loose' ? ', the right way round' : ''}, the old one not left in the hole.`,
            ),
          ]),
    step(
      'in',
      'by-hand',
      rules.handFirst === 'all-by-hand'
        ? 'Started by hand for the whole thread, square to the hole; every plug by hand to its seat before any is tightened.'
        : 'Started by hand for the whole thread, square to the hole, and tightened before the next is begun.',
      { rule: by('handFirst') },
    ),
    ...tightened.map((says, i) => step('in', `tighten-${i + 1}`, says, { rule: by('tightening') })),
    step(
      'back',
      'grease',
      rules.grease === 'smear'
        ? 'A smear of dielectric grease inside the boot, none on the contact.'
        : 'Boots dry and clean, pressed home until they are felt to seat.',
      { rule: by('grease') },
    ),
    step(
      'back',
      'boots',
      rulingValue(position, 'coil.magnetoKv') === undefined
        ? 'Boots pressed home until they are felt to seat; connectors until they are heard, then tugged; earths and clips back.'
        : 'The boot pressed home until it is felt to seat; earth and cowl back.',
    ),
    step('start', 'start', 'Listen at idle, then under load; the code read again. What was not looked at is said.'),
    ...closingOff(position, rules, others),
    step('close', 'manual', 'The engine maker’s manual and local rules stand above this sheet.', CAUTION),
  ];
}

type More = Pick<FittingStep, 'rule' | 'caution' | 'isQuestion'>;
const CAUTION: More = { caution: true };

const step = (phase: WorkPhase, id: StepId, says: string, more: More = {}): FittingStep => ({
  phase,
  id,
  says,
  ...more,
});

/** Nothing can fire or start while hands are in; what there is to take off is asked where nobody knows. */
function poweredDown(
  position: FactSheet,
  rules: SettledRules['rules'],
  by: (rule: RuleId) => NonNullable<FittingStep['rule']>,
): FittingStep {
  const hasBattery = rulingValue(position, 'position.hasBattery');
  if (hasBattery === false)
    return step(
      'before',
      'powered-down',
      'No battery here: the lead off its plug and clear of it, fuel off, so that nothing can start it.',
      CAUTION,
    );
  const says =
    rules.battery === 'negative-off'
      ? 'Battery negative off: nothing can fire or start while hands are in.'
      : 'Ignition off and key out; ignition and fuel disabled before anything is cranked.';
  return step(
    'before',
    'powered-down',
    hasBattery === undefined ? `${says} Is there a battery? If not, the lead off its plug.` : says,
    {
      rule: by('battery'),
      caution: true,
      isQuestion: hasBattery === undefined,
    },
  );
}

/** What is back, place by place, and the rest: the card is complete only once it is closed off. Service: Closing off. */
function closingOff(
  position: FactSheet,
  rules: SettledRules['rules'],
  places: readonly PlaceOfWork[],
): readonly FittingStep[] {
  const isMagneto = rulingValue(position, 'coil.magnetoKv') !== undefined;
  const hasBattery = rulingValue(position, 'position.hasBattery');
  const topology = rulingValue(position, 'coil.topology');
  const back = isMagneto
    ? 'boot home, the lead clear of fins and metal'
    : topology === undefined
      ? 'what was taken off is back and home: coil, lead, connector'
      : topology === 'on-plug' || topology === 'rail'
        ? 'connector latched and tugged, boot home'
        : 'lead home at both ends, clipped clear of metal and heat';
  return [
    ...places.map(({ label }, i) =>
      step('close', `closed-${i + 1}`, `${label}: ${back}.`, { isQuestion: !isMagneto && topology === undefined }),
    ),
    step('close', 'rest', `Earths, clips and hoses back, nothing left over; inserts, extensions and rags counted out.`),
    ...(hasBattery !== false && rules.battery === 'negative-off'
      ? [
          step('close', 'relearn', 'The battery was off: what has to learn again, the engine maker’s sheet says.', {
            isQuestion: hasBattery === undefined,
          }),
        ]
      : []),
    step(
      'close',
      'lamp',
      isMagneto || hasBattery === false
        ? 'Run to temperature: it runs evenly, and stops by its own switch.'
        : 'Run to temperature: it runs evenly, no lamp, no code has come back.',
    ),
  ];
}

/** How coil, lead or boot comes off the plug, by how the engine's own coil reaches it. */
function freeingOf(position: FactSheet): string {
  if (rulingValue(position, 'coil.magnetoKv') !== undefined)
    return 'The lead by its boot, twisted, then pulled; it is part of the coil and is not pulled out of it.';
  switch (rulingValue(position, 'coil.topology')) {
    case 'on-plug':
    case 'rail':
      return 'Connectors: open the lock first, never pull by the wires. Coils twisted, lifted straight, kept by cylinder.';
    case 'waste-spark':
    case 'canister':
    case 'near-plug':
      return 'Leads: by the boot, twisted, then pulled, never by the cable; labelled by cylinder before the first comes off.';
    case undefined:
      return 'Connectors: open the lock first, never pull by the wires. Coils and leads kept by cylinder.';
  }
}
