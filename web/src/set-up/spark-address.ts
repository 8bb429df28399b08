import type { Span } from '@brackenfell/core/facts/fact-shapes';
import type { SparkSetting } from '@brackenfell/core/spark-demand/margin';
import type { FittedPlug } from '@brackenfell/core/spark-demand/spark-sheet';

const DISTRIBUTORS: Readonly<Record<number, string>> = { 4: 'four', 6: 'six', 8: 'eight' };

/** Where the same sum stands by itself, with this engine's own figures; undefined for a magneto, which has no such sum. */
export function sparkAddress({ engine, source, path }: SparkSetting, plug: FittedPlug, gap: Span): string | undefined {
  if (source.kind !== 'inductive') return undefined;
  const place =
    path === 'both-of-one-cylinder'
      ? 'twin'
      : source.place === 'distributor'
        ? DISTRIBUTORS[source.cylinders]
        : source.place;
  if (place === undefined) return undefined;
  const search = new URLSearchParams({
    gap: gap.low === gap.high ? `${gap.low} mm` : `${gap.low}-${gap.high} mm`,
    tip: plug.tip,
    way: plug.inReverse ? 'reverse' : 'forward',
    ratio: String(engine.compressionRatio),
    rpm: String(engine.ratedRpm),
    ...(engine.boostKpa > 0 ? { boost: String(engine.boostKpa) } : {}),
    fuel: engine.isOnGas ? 'gas' : 'petrol',
    place,
    ohm: String(source.primaryOhm),
    mh: String(source.inductanceMh),
    amps: String(source.peakA),
    kv: String(source.ratedKv),
  });
  return `/sums/spark?${search.toString()}`;
}
