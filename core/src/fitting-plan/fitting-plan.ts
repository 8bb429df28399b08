import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Say } from '../fitment/say.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import { compoundOn } from '../torque/torque-desk.ts';
import { closingOff, freeingOf, MANUAL, poweredDown, ruleWords, theWay, VOLTAGE } from './around-work.ts';
import { CAUTION, step, type FittingStep, type PlaceOfWork } from './steps.ts';
import { sayTightening } from './tighten.ts';

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
  const { rules } = settled;
  const by = ruleWords(settled);
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
    VOLTAGE,
    ...(rulingValue(position, 'position.fuel') === 'gas'
      ? [step('before', 'gas', 'Gas: a licensed gas fitter works on anything that carries it.', CAUTION)]
      : []),
    ...theWay(position),
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
    MANUAL,
  ];
}
