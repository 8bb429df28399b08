import { asOne, readPlain, type PlainReading } from '@brackenfell/core/quantities/plain-figure';
import { systemOf, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import type { CountsIn } from '@brackenfell/core/service-plan/running-hours';

/** What a vehicle has run, as typed: in the reader's unit of distance, or plain hours where it counts in those. */
export function readServed(
  text: string,
  countsIn: CountsIn,
  units: UnitDisplay,
): QuantityReading | PlainReading | undefined {
  if (countsIn === 'hours')
    return readPlain(text.replace(/\s*h(ours?)?\s*$/i, ''), 'Hours as the meter has them, such as 8 412.');
  return text.trim() === '' ? undefined : asOne(readQuantity(text, 'distance', { system: systemOf(units) }));
}
