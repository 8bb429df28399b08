import { systemOf, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';

/** Reads the gap of a sum's address, mm; undefined where there is none. */
export function readGap(search: URLSearchParams, units: UnitDisplay): QuantityReading | undefined {
  const text = (search.get('gap') ?? '').trim();
  return text === '' ? undefined : readQuantity(text, 'gap', { system: systemOf(units) });
}
