import { rulingValue, type FactSheet } from '../facts/facts.ts';
import { HOUSE_RULES, type RuleId } from '../house-rules/house-rules.ts';
import { saySpoke, type SettledRules } from '../house-rules/settle-rules.ts';
import { compoundOn } from '../torque/torque-desk.ts';

/** One place of the job, what goes on it and how little, and who says so. */
export interface Lubricant {
  readonly place: string;
  readonly says: string;
  readonly who: string;
  /** It rests on what is not known. */
  readonly isQuestion: boolean;
}

const TRADE = 'the trade agrees';

/**
 * What goes on each place of a job on plugs, and where nothing may go. A maker's own instruction stands before the house
 * rule; conductive kinds are told nowhere near a boot. Service: Lubricant by place.
 */
export function lubricants(position: FactSheet, plug: FactSheet, settled: SettledRules): readonly Lubricant[] {
  const { rules, spoke } = settled;
  const by = (rule: RuleId) => saySpoke(spoke[rule]) ?? `house rule ${HOUSE_RULES[rule].title.toLowerCase()}`;
  const line = (place: string, says: string, who: string, isQuestion = false) => ({ place, says, who, isQuestion });
  const plating = rulingValue(plug, 'plug.plating');
  const compound = compoundOn(settled, plug);
  const thread =
    plating !== undefined && plating !== 'none'
      ? line('Thread', `None: the plating, ${plating}, is its own release.`, 'the plug maker')
      : {
          dry: () => line('Thread', 'None: dry and clean.', by('threadCompound')),
          compound: () =>
            line(
              'Thread',
              'A trace of anti-seize, none near the tip; the torque is cut by a third.',
              by('threadCompound'),
            ),
          'by-thread': () =>
            line(
              'Thread',
              'Plated: none. Bare: a trace, and the torque is cut by a third.',
              by('threadCompound'),
              true,
            ),
        }[compound]();
  const topology = rulingValue(position, 'coil.topology');
  const isMagneto = rulingValue(position, 'coil.magnetoKv') !== undefined;
  return [
    thread,
    ...(rules.threadCompound === 'shank-only'
      ? [line('Shank', 'A trace of anti-seize above the thread, none on it.', by('threadCompound'))]
      : []),
    rules.grease === 'smear'
      ? line(
          'Boot, inside',
          'A smear of dielectric grease at its mouth: more is an air spring and keeps it from seating. Nothing that conducts.',
          by('grease'),
        )
      : line('Boot, inside', 'None: dry and clean. Nothing that conducts, ever.', by('grease')),
    line('Terminal', 'None: clean and dry.', TRADE),
    ...(topology === 'on-plug' || topology === 'rail'
      ? [line('Coil’s contact', 'None, unless the engine maker’s sheet names one.', TRADE)]
      : []),
    ...(topology === 'canister'
      ? [line('Rotor’s contact', 'None: clean and dry, unless the engine maker’s sheet names one.', TRADE)]
      : []),
    ...(isMagneto ? [] : [line('Connector', 'None on its pins; its seal clean and whole.', TRADE)]),
  ];
}
