import type { FactId, FactSheet } from '../../facts/facts.ts';
import { REACH_MM } from '../checks/reach.ts';
import type { PlugColumns, PlugPlace } from './plug-columns.ts';

/** The one value that rules a fact; undefined when none does or several disagree. */
const only = (sheet: FactSheet, fact: FactId): unknown =>
  sheet[fact]?.ruling.length === 1 ? sheet[fact].ruling[0]!.value : undefined;

const fits = (has: unknown, suits: (value: never) => boolean): boolean => has === undefined || suits(has as never);

/** Whether a plug of this size could serve one of the positions. */
export const couldServeAny = (plug: FactSheet, positions: readonly FactSheet[]): boolean =>
  positions.some((asked) => couldServe(plug, asked));

/** Whether a plug of this size could serve the position. Beyond the diameter, what is unknown does not rule it out. */
function couldServe(plug: FactSheet, asked: FactSheet): boolean {
  const diameter = only(plug, 'plug.threadDiameterMm');
  if (diameter === undefined || diameter !== only(asked, 'position.threadDiameterMm')) return false;
  const pitch = only(asked, 'position.threadPitchMm');
  const reach = only(asked, 'position.reachMm') as { low: number; high: number } | undefined;
  const seat = only(asked, 'position.seat') as string | undefined;
  return (
    fits(only(plug, 'plug.threadPitchMm'), (has: number) => has === pitch) &&
    fits(
      only(plug, 'plug.reachMm'),
      (has: number) =>
        reach !== undefined && has >= reach.low - REACH_MM.acceptable && has <= reach.high + REACH_MM.acceptable,
    ) &&
    fits(only(plug, 'plug.seat'), (has: string) => seat !== undefined && has.startsWith(seat))
  );
}

/** Every plug whose thread, reach and seat could serve any of the positions, without `except`. */
export function plugsBySize(
  columns: PlugColumns,
  positions: readonly FactSheet[],
  except: ReadonlySet<PlugPlace>,
): Uint32Array {
  const ofSize = columns.placesBySize();
  const serving = columns.size.samples.flatMap((plug, code) => (couldServeAny(plug, positions) ? [ofSize[code]!] : []));
  const isExcepted = new Uint8Array(columns.count);
  for (const place of except) isExcepted[place] = 1;
  const found = new Uint32Array(serving.reduce((sum, { length }) => sum + length, 0));
  let count = 0;
  for (const places of serving) {
    for (const place of places) {
      found[count] = place;
      if (isExcepted[place] === 0) count += 1;
    }
  }
  return found.subarray(0, count);
}
