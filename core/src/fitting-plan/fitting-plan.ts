import { rulingValue, type FactSheet } from '../fitment/facts.ts';
import type { Say } from '../fitment/say.ts';
import { chosenSchool, HOUSE_RULES, type HouseRules, type RuleId } from '../house-rules/house-rules.ts';
import { GENERAL_TORQUES, HEAD_METALS, type HeadMetal, type TorqueRange } from '../torque/general-table.ts';

/** One step of fitting plugs. */
export interface FittingStep {
  readonly says: string;
  /** The house rule that made it so, and the school chosen; absent where the trade agrees. */
  readonly rule?: { readonly title: string; readonly choice: string };
  /** A caution that always stands. */
  readonly caution?: boolean;
}

/** Nut factors, dry and with compound: the same clamp needs so much less torque. Domain sections 7 and 13. */
const DRY = 0.2;
const WITH_COMPOUND = 0.13;

/** From finger-tight, by thread. Domain section 7, No wrench. */
const TURNS: Readonly<Record<string, string>> = {
  gasket: '½ to ⅔ of a turn on a new gasket, 1⁄12 on a used one',
  slim: '⅓ to ½ of a turn on a new gasket, 1⁄12 on a used one',
  taper: '1⁄16 of a turn',
};
const SLIM_MM = 12;

/** The general table's torque for a plug, in the column of the head's own metal; both where that is not known. */
function torquesOf(position: FactSheet, plug: FactSheet): readonly (TorqueRange & { readonly metal: HeadMetal })[] {
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  const row = GENERAL_TORQUES.find(
    (one) => one.threadMm === threadMm && one.seat === (seat === 'taper' ? 'taper' : 'gasket'),
  );
  if (seat === undefined || row === undefined) return [];
  const metal = rulingValue(position, 'position.headMetal');
  return HEAD_METALS.filter((one) => metal === undefined || one === metal).map((one) => ({
    metal: one,
    ...(one === 'aluminium' ? row.aluminium : row.castIron),
  }));
}

const METAL_WORDS: Readonly<Record<HeadMetal, string>> = { aluminium: 'aluminium head', 'cast-iron': 'iron head' };

/**
 * The order of work for fitting a plug in an engine, cautions first, each step under the house rule that chose it. What the
 * engine maker instructs (`procedures`) stands above every house rule. Torque is the general table's for the head's own
 * metal; the engine maker's own figure stands above it. Domain sections 7, 11 and 12.
 */
export function fittingPlan(
  position: FactSheet,
  plug: FactSheet,
  rules: HouseRules,
  say: Say,
  procedures: readonly string[] = [],
): readonly FittingStep[] {
  const by = (rule: RuleId) => ({ title: HOUSE_RULES[rule].title, choice: chosenSchool(rules, rule).says });
  const hasProcedure = rulingValue(position, 'position.seizesTwoPiece') === true;
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
        : 'Gap measured on each with a wire gauge.',
    },
    plating !== undefined && plating !== 'none'
      ? { says: `Threads dry: this plug is plated with ${plating}, which is its own release. No compound.` }
      : {
          says: {
            never: 'Threads dry and clean, no compound.',
            'bare-threads': 'Plated threads dry; on bare threads a trace of compound, away from the tip.',
            'always-reduced': 'A trace of compound on the threads, away from the tip.',
          }[rules.threadCompound],
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
      says: 'Started by hand for the whole thread, square to the hole; every plug by hand to its seat before any is tightened.',
    },
    tighten(position, plug, rules, say, by('tightening')),
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

function tighten(
  position: FactSheet,
  plug: FactSheet,
  rules: HouseRules,
  say: Say,
  rule: FittingStep['rule'] & object,
): FittingStep {
  const seat = rulingValue(plug, 'plug.seat');
  const threadMm = rulingValue(plug, 'plug.threadDiameterMm');
  if (seat === undefined || threadMm === undefined)
    return { says: 'How far to tighten is not known: look up the plug’s thread and seat.', rule };
  if (rules.tightening === 'angle') {
    const form = seat === 'taper' ? 'taper' : threadMm <= SLIM_MM ? 'slim' : 'gasket';
    return { says: `Finger-tight, then ${TURNS[form]!}.`, rule };
  }
  const torques = torquesOf(position, plug);
  if (torques.length === 0) return { says: 'No general torque for this thread: the engine maker’s figure.', rule };
  const told = (share: number) =>
    torques
      .map(
        ({ lowNm, highNm, metal }) =>
          `${say.span('plug-torque', { low: lowNm * share, high: highNm * share })} in an ${METAL_WORDS[metal]}`,
      )
      .join(', ');
  const cut = WITH_COMPOUND / DRY;
  const plating = rulingValue(plug, 'plug.plating');
  // A plated thread is fitted dry under every rule; of one whose plating is not known both are told.
  const school = plating !== undefined && plating !== 'none' ? 'never' : rules.threadCompound;
  const says = {
    never: `${told(1)}, once, smoothly.`,
    'bare-threads':
      plating === 'none'
        ? `${told(cut)}: a third less for the compound; once, smoothly.`
        : `${told(1)} dry, ${told(cut)} where compound is on, once, smoothly.`,
    'always-reduced': `${told(cut)}: a third less for the compound; once, smoothly.`,
  }[school];
  const unknown = torques.length > 1 ? ' What the head is made of is not known: take the lower.' : '';
  return { says: `${says} General table.${unknown}`, rule };
}
