import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { HeldFacts } from '../catalogue/fact-sheets.ts';
import type { Laid } from '../catalogue/keeping.ts';
import type { FoundHere } from '../reading/store.ts';
import type { Ruling } from '../ruling/ruling.ts';
import type { TrayQuestion } from './question.ts';
import { today } from '../context/today.ts';

const isNothing = ({ asIf, ofVehicle, ofPart, ofRules }: FoundHere): boolean =>
  asIf === undefined && ofVehicle.length === 0 && ofPart.size === 0 && ofRules.length === 0;

/**
 * Lays a tray out once for a catalogue, the shop's rules and a question; the shelf is looked at each time it is asked. What is
 * of this moment alone is not kept: parts singled out, rules that are only thought of, what was found on the job.
 */
export function layOnce<T extends Laid | undefined>(
  held: HeldFacts,
  question: TrayQuestion,
  ruling: Ruling,
  units: UnitDisplay,
  lay: () => Promise<T>,
): Promise<T> {
  const { found, only, shop, duty = {}, ...asked } = question;
  const isOfMoment = only !== undefined || shop !== undefined || (found !== undefined && !isNothing(found));
  // A class list is looked up for each tray and has no version of its own.
  if (isOfMoment || duty.className !== undefined) return lay();
  const key = [Object.entries(asked).sort(), Object.entries(duty).sort(), units, ruling.rules.version, today()];
  return held.trays.once(JSON.stringify(key), lay);
}
