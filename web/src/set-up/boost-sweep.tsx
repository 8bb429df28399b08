import { useMemo } from 'react';
import { scaleLinear } from 'd3-scale';
import { useSize } from '../drawing/use-size.ts';
import type { Say } from '@brackenfell/core/fitment/say';
import type { SparkDesk } from '@brackenfell/core/set-up/spark-desk';
import type { SweepAsked } from '@brackenfell/core/spark-demand/boost-sweep';
import { useSweep } from './use-sweep.ts';

const [HEIGHT, LEFT, BOTTOM] = [92, 30, 16];
const BOOST = { low: 0, high: 250 };
const GAPS = { low: 0.3, high: 1.6 };
const STEPS = 125;

/** The widest gap that holds at each boost: how far this coil goes. Reckoned in a worker. */
export function BoostSweep({ desk, say }: { readonly desk: Extract<SparkDesk, { kind: 'ready' }>; readonly say: Say }) {
  const { setting, plug, end, makers } = desk;
  const asked = useMemo(
    (): SweepAsked => ({ setting, plug, end, gaps: GAPS, boostKpa: BOOST, steps: STEPS }),
    [setting, plug, end],
  );
  const { swept, isDone, hasFailed } = useSweep(asked);
  const [pane, { widthPx }] = useSize();
  const x = scaleLinear([BOOST.low, BOOST.high], [LEFT, widthPx - 8]);
  const y = scaleLinear([GAPS.low, GAPS.high], [HEIGHT - BOTTOM, 4]);
  const holds = swept.filter((one) => one.widestMm !== null);
  const lastOfMakers = holds.findLast(({ widestMm }) => widestMm! >= makers.high - 1e-9)?.boostKpa;
  const says = hasFailed
    ? 'The sweep over boost could not be reckoned.'
    : !isDone
      ? 'Reckoning the widest gap at each boost …'
      : lastOfMakers === undefined
        ? 'The engine maker’s widest gap holds at no boost with this coil and interval.'
        : lastOfMakers >= BOOST.high - 1e-9
          ? `The engine maker’s widest gap holds up to ${say.quantity('boost', BOOST.high)} and more.`
          : `The engine maker’s widest gap holds up to ${say.quantity('boost', Math.floor(lastOfMakers))}.`;
  const line = holds
    .map(({ boostKpa, widestMm }, i) => `${i === 0 ? 'M' : 'L'}${x(boostKpa).toFixed(1)} ${y(widestMm!).toFixed(1)}`)
    .join('');
  return (
    <figure className="m-0">
      <div ref={pane} className="w-full">
        <svg role="img" aria-label={says} width={widthPx} height={HEIGHT} className="block">
          <rect
            x={LEFT}
            width={widthPx - 8 - LEFT}
            y={y(makers.high)}
            height={Math.max(1, y(makers.low) - y(makers.high))}
            className="fill-lichen"
            opacity={0.22}
          />
          <path d={line} fill="none" className="stroke-peat" strokeWidth={2} />
          <path
            d={`M${x(setting.engine.boostKpa)} 2V${HEIGHT - BOTTOM}`}
            className="stroke-bracken"
            strokeDasharray="3 2"
          />
          <path d={`M${LEFT} 2V${HEIGHT - BOTTOM}H${widthPx - 8}`} fill="none" className="stroke-slate" />
          {x.ticks(6).map((kpa) => (
            <text key={kpa} x={x(kpa)} y={HEIGHT - 3} textAnchor="middle" className="num fill-peat text-xs">
              {kpa}
            </text>
          ))}
          {[0.5, 1, 1.5].map((mm) => (
            <text key={mm} x={LEFT - 5} y={y(mm) + 4} textAnchor="end" className="num fill-peat text-xs">
              {mm.toFixed(1)}
            </text>
          ))}
          <text x={widthPx - 12} y={14} textAnchor="end" className="fill-soft text-xs">
            widest gap that holds, by boost in kPa
          </text>
        </svg>
      </div>
      <figcaption aria-live="polite" className="text-soft">
        {says}
      </figcaption>
    </figure>
  );
}
