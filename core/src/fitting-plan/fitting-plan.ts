import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { Say } from '../fitment/say.ts';
import { chosenSchool, HOUSE_RULES, type RuleId } from '../house-rules/house-rules.ts';
import { saySpoke, type SettledRules } from '../house-rules/settle-rules.ts';
import { compoundOn } from '../torque/torque-desk.ts';
import { sayTightening } from './tighten.ts';

/** One step of fitting plugs. */
export interface FittingStep {
  readonly says: string;
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
  const isGas = rulingValue(position, 'position.fuel') === 'gas';
  const severalGrounds = (rulingValue(plug, 'plug.groundCount') ?? 1) > 1;
  const hasNoBattery = rulingValue(position, 'position.hasBattery') === false;
  const plating = rulingValue(plug, 'plug.plating');
  const seat = rulingValue(plug, 'plug.seat');
  const warm = rules.engineTemperature === 'makers-procedure' && hasProcedure;
  return [
    ...procedures.map((says) => ({ says: `The engine maker’s own procedure comes first: ${says}`, caution: true })),
    {
      says: warm
        ? 'Follow the engine maker’s own procedure for freeing the plugs, warm where it says so: hot metal burns.'
        : 'Engine cold.',
      rule: by('engineTemperature'),
      caution: true,
    },
    hasNoBattery
      ? {
          says: 'No battery here: the lead off its plug and clear of it, fuel off, so that nothing can start it.',
          caution: true,
        }
      : {
          says:
            rules.battery === 'negative-off'
              ? 'Battery negative off: nothing can fire or start while hands are in.'
              : 'Ignition off and key out; ignition and fuel disabled before anything is cranked.',
          rule: by('battery'),
          caution: true,
        },
    { says: 'Secondary voltage can kill, most of all with a pacemaker: no coil is run off its plug.', caution: true },
    ...(isGas ? [{ says: 'Gas: a licensed gas fitter works on anything that carries it.', caution: true }] : []),
    { says: 'Blow out the well before the plug comes out; eye protection; drop nothing in.', caution: true },
    { says: 'Connectors: open the lock first, never pull by the wires. Coils and leads kept by cylinder.' },
    {
      says:
        rules.orderOfWork === 'one-at-a-time'
          ? 'One cylinder at a time: its lead or coil is back on before the next comes off.'
          : 'All plugs out first, laid in order and read; leads labelled, every hole covered.',
      rule: by('orderOfWork'),
    },
    { says: 'The old plugs kept in order and read before the new ones go in: they tell which cylinder is ill.' },
    {
      says: severalGrounds
        ? 'Gap as delivered: several grounds cannot be set.'
        : {
            verify: 'Gap measured on each with a wire gauge.',
            sample: 'Gap measured on one in four with a wire gauge, on all when one is outside.',
            trust: 'Gap as delivered in its sealed box: not verified.',
          }[rules.preGapped],
      ...(severalGrounds ? {} : { rule: by('preGapped') }),
    },
    plating !== undefined && plating !== 'none'
      ? { says: `Threads dry: this plug is plated with ${plating}, which is its own release. No compound.` }
      : {
          says:
            rules.threadCompound === 'shank-only'
              ? 'Threads dry and clean; a trace of compound on the shank only.'
              : {
                  dry: 'Threads dry and clean, no compound.',
                  'by-thread': 'Plated threads dry; on bare threads a trace of compound, away from the tip.',
                  compound: 'A trace of compound on the threads, away from the tip.',
                }[compoundOn(settled, plug)],
          rule: by('threadCompound'),
        },
    ...(seat === 'taper' || seat === undefined
      ? []
      : [
          {
            says: `Its gasket flat on the seat${seat === 'gasket-loose' ? ', the right way round' : ''}, the old one not left in the hole.`,
          },
        ]),
    {
      says:
        rules.handFirst === 'all-by-hand'
          ? 'Started by hand for the whole thread, square to the hole; every plug by hand to its seat before any is tightened.'
          : 'Started by hand for the whole thread, square to the hole, and tightened before the next is begun.',
      rule: by('handFirst'),
    },
    ...tightenings(others.length > 0 ? others : [{ label: '', sheet: position }], plug, settled, say).map((says) => ({
      says,
      rule: by('tightening'),
    })),
    {
      says:
        rules.grease === 'smear'
          ? 'A smear of dielectric grease inside the boot, none on the contact.'
          : 'Boots dry and clean, pressed home until they are felt to seat.',
      rule: by('grease'),
    },
    {
      says: 'Boots pressed home until they are felt to seat; connectors until they are heard, then tugged; earths and clips back.',
    },
    { says: 'First start: listen at idle, then under load; the code read again. What was not looked at is said.' },
    { says: 'The engine maker’s manual and local rules stand above this sheet.', caution: true },
  ];
}
