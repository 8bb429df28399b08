import { rulingValue, type FactSheet } from '../facts/facts.ts';
import type { PartKind } from '../facts/part-kinds.ts';
import type { SettledRules } from '../house-rules/settle-rules.ts';
import { closingOff, freeingOf, MANUAL, poweredDown, ruleWords, theWay, VOLTAGE } from './around-work.ts';
import { CAUTION, step, type FittingStep, type PlaceOfWork } from './steps.ts';

/** The work on one kind of part: how the old one comes off, how the new one is held against it, how it goes on. */
const WORK: Readonly<
  Record<
    Exclude<PartKind, 'plug'>,
    { readonly old: string; readonly same: string; readonly set: string; readonly fix: string }
  >
> = {
  coil: {
    old: 'Each old coil read as it comes off: cracks, burnt pins, a tracked or swollen boot, oil or water; kept by its cylinder.',
    same: 'The new coil held beside the old: connector and its pins, boot, mounting, revision. Revisions that may not be mixed are not mixed.',
    set: 'Pressed straight home until its boot is felt to seat.',
    fix: 'Its fasteners to their torque; connector on until it is heard, then tugged.',
  },
  'lead-set': {
    old: 'Old leads off one at a time, each laid down by its number; chafed, melted or tracked ones are read and their way looked at.',
    same: 'Each new lead held beside the old: same length, same boots at both ends; never a longer one coiled up.',
    set: 'On at both ends until it is felt to seat, before the next old one comes off.',
    fix: 'Back in its clips, clear of metal and heat; leads that fire one after the other not side by side.',
  },
  cap: {
    old: 'The old cap left beside the new with its leads on; inside read: tracks, burnt or corroded contacts, moisture, the coal and its spring.',
    same: 'The new cap held beside the old: key, towers and the place of number one; new cap and rotor are one make and pairing.',
    set: 'Leads moved over one at a time, tower by tower, in their order.',
    fix: 'Its screws or clips evenly, and the seal flat; it does not rock.',
  },
  rotor: {
    old: 'The old rotor pulled straight off, never levered; its tip and underside read.',
    same: 'The new rotor held beside the old: key, height and length of its arm.',
    set: 'Pressed home on its key; the arm clears the contacts when the engine is turned by hand.',
    fix: 'Its screws, where it has any, with locking compound.',
  },
};

/**
 * The order of work for a part that is changed by itself, cautions first. `position` is what a plug's place asks, for coil,
 * battery and fuel stand there. Service: Order of work.
 */
export function otherWork(
  kind: Exclude<PartKind, 'plug'>,
  position: FactSheet,
  settled: SettledRules,
  procedures: readonly string[],
  places: readonly PlaceOfWork[],
): readonly FittingStep[] {
  const by = ruleWords(settled);
  const { old, same, set, fix } = WORK[kind];
  const isLeads = kind === 'coil' || kind === 'lead-set';
  return [
    ...procedures.map((says, i) =>
      step('before', `procedure-${i + 1}`, `The engine maker’s own procedure comes first: ${says}`, CAUTION),
    ),
    step('before', 'cold', 'Engine cold.', { rule: by('engineTemperature'), caution: true }),
    poweredDown(position, settled.rules, by),
    VOLTAGE,
    ...(rulingValue(position, 'position.fuel') === 'gas'
      ? [step('before', 'gas', 'Gas: a licensed gas fitter works on anything that carries it.', CAUTION)]
      : []),
    ...theWay(position),
    ...(isLeads ? [step('out', 'free', freeingOf(position))] : []),
    step('out', 'old', old),
    step('in', 'same', same),
    ...(isLeads
      ? [
          step(
            'in',
            'grease',
            settled.rules.grease === 'smear'
              ? 'A smear of dielectric grease inside the boot, none on the contact.'
              : 'Boots dry and clean.',
            { rule: by('grease') },
          ),
        ]
      : []),
    step('in', 'set', set),
    step('back', 'fix', fix),
    step('start', 'start', 'Listen at idle, then under load; the code read again. What was not looked at is said.'),
    ...closingOff(position, settled.rules, places),
    MANUAL,
  ];
}
