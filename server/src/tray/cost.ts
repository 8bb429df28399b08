import { lifeAtPositionKm } from '@brackenfell/core/plugs/electrode-wear';
import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { PRICED_OVER, type CountsIn } from '@brackenfell/core/service-plan/running-hours';
import type { AskedPosition } from './asked.ts';

/** What the cost for a distance depends on, of the plug. */
export const COST_FACTS = ['plug.centreMaterial', 'plug.groundMaterial', 'plug.lifeKm', 'plug.lifeReversedKm'] as const;

/** How the engine counts its service at these positions. */
export const countsIn = (positions: readonly AskedPosition[]): CountsIn =>
  positions.some(({ sheet }) => rulingValue(sheet, 'position.intervalHours') !== undefined) ? 'hours' : 'distance';

/**
 * Cost of a set, in minor units, over 10 000 km or 1 000 running hours of the life it reaches at the hardest of its positions;
 * undefined when unknown.
 */
export function costOverServiceMinor(
  positions: readonly AskedPosition[],
  plug: Pick<FactSheet, (typeof COST_FACTS)[number]>,
  eachMinor: number | null,
): number | undefined {
  if (eachMinor === null) return undefined;
  const lives = positions.map(({ sheet: asked }) =>
    lifeAtPositionKm({
      polarity: rulingValue(asked, 'position.polarity') ?? 'forward',
      centre: rulingValue(plug, 'plug.centreMaterial'),
      ground: rulingValue(plug, 'plug.groundMaterial'),
      gapMm: rulingValue(asked, 'position.gapMm'),
      aspiration: rulingValue(asked, 'position.aspiration'),
      statedLifeKm: rulingValue(plug, 'plug.lifeKm'),
      statedReversedKm: rulingValue(plug, 'plug.lifeReversedKm'),
    }),
  );
  if (lives.some((life) => life === undefined)) return undefined;
  return Math.round(
    (eachMinor * positions.length * PRICED_OVER[countsIn(positions)].km) / Math.min(...(lives as number[])),
  );
}
