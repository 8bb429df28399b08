import { rulingValue, type FactSheet } from '../facts/facts.ts';
import { chosenSchool, HOUSE_RULES, type RuleId } from '../house-rules/house-rules.ts';
import { saySpoke, type SettledRules } from '../house-rules/settle-rules.ts';
import { CAUTION, step, type FittingStep, type PlaceOfWork } from './steps.ts';

type RuleWords = (rule: RuleId) => NonNullable<FittingStep['rule']>;

/** How a step names the house rule that made it so, and who settled it. */
export const ruleWords =
  ({ rules, spoke }: SettledRules): RuleWords =>
  (rule) => ({
    title: HOUSE_RULES[rule].title,
    choice: [chosenSchool(rules, rule).says, saySpoke(spoke[rule])].filter(Boolean).join(' · '),
  });

/** Cautions that stand before any work on an ignition, whatever is changed. */
export const VOLTAGE = step(
  'before',
  'voltage',
  'Secondary voltage can kill, most of all with a pacemaker: no coil is run off its plug.',
  CAUTION,
);
export const MANUAL = step(
  'close',
  'manual',
  'The engine maker’s manual and local rules stand above this sheet.',
  CAUTION,
);

/** What stands in the way on this vehicle, and what is hot beside it, as it was found. */
export function theWay(position: FactSheet): readonly FittingStep[] {
  const off = rulingValue(position, 'position.comesOff');
  return [
    ...(off === undefined || off === 'nothing' ? [] : [step('out', 'way', COMES_OFF[off])]),
    ...(rulingValue(position, 'position.nearHot') === true
      ? [step('before', 'heat', 'Hot metal stands beside the boots: let it cool before a hand goes in.', CAUTION)]
      : []),
  ];
}

const COMES_OFF = {
  cover: 'The cover off, its fasteners counted and kept.',
  'charge-pipe': 'The charge pipe off; both its ends plugged at once.',
  intake: 'The intake off; every open port plugged at once, rags counted in; new gaskets when it goes back.',
  cowl: 'The cowl off; fins and edges are sharp.',
} as const;

/** Nothing can fire or start while hands are in; what there is to take off is asked where nobody knows. */
export function poweredDown(position: FactSheet, rules: SettledRules['rules'], by: RuleWords): FittingStep {
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
export function closingOff(
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
export function freeingOf(position: FactSheet): string {
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
