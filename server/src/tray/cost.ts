import { lifeAtPositionKm } from '@brackenfell/core/fitment/electrode-wear';
import { rulingValue, type FactSheet } from '@brackenfell/core/fitment/facts';
import type { AskedPosition } from './asked.ts';

/** What the cost for a distance depends on, of the plug. */
export const COST_FACTS = ['plug.centreMaterial', 'plug.groundMaterial', 'plug.lifeKm'] as const;

const KM = 10_000;

/** Cost of a set per 10 000 km of the life it reaches at the hardest of its positions, in minor units; undefined when unknown. */
export function costPer10000KmMinor(
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
    }),
  );
  if (lives.some((life) => life === undefined)) return undefined;
  return Math.round((eachMinor * positions.length * KM) / Math.min(...(lives as number[])));
}
