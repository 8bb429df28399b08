import type { FactId, FactSheet } from '../facts.ts';
import type { PlugColumns, PlugPlace } from './plug-columns.ts';

/** Plugs this much shorter or longer than asked are still looked at. */
const REACH_BAND_MM = 0.5;

/** The one value that rules a fact; undefined when none does or several disagree. */
const only = (sheet: FactSheet, fact: FactId): unknown =>
  sheet[fact]?.ruling.length === 1 ? sheet[fact].ruling[0]!.value : undefined;

const fits = (has: unknown, suits: (value: never) => boolean): boolean => has === undefined || suits(has as never);

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
      (has: number) => reach !== undefined && has >= reach.low - REACH_BAND_MM && has <= reach.high + REACH_BAND_MM,
    ) &&
    fits(only(plug, 'plug.seat'), (has: string) => seat !== undefined && has.startsWith(seat))
  );
}

/** Every plug whose thread, reach and seat could serve any of the positions, in the order of the columns. */
export function plugsBySize(columns: PlugColumns, positions: readonly FactSheet[]): PlugPlace[] {
  const serves = columns.size.samples.map((plug) => positions.some((asked) => couldServe(plug, asked)));
  const sizes = columns.size.codes.packed;
  const found: PlugPlace[] = [];
  for (let place = 0; place < columns.count; place += 1) if (serves[sizes[place]!]!) found.push(place);
  return found;
}
