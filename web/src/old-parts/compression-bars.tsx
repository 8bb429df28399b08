import { scaleLinear } from 'd3-scale';
import { answerKeptLog } from '@brackenfell/core/old-parts/kept-answers';
import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import type { CompressionLog } from './use-old-parts.ts';

interface CompressionBarsProps {
  readonly log: CompressionLog;
  readonly plan: EnginePlan;
}

const [HEIGHT_PX, STEP_PX, BAR_PX] = [120, 46, 14];

/** Each cylinder's dry reading as a full bar and its wet one as a hollow one, against nine tenths and three quarters of the best. */
export function CompressionBars({ log, plan }: CompressionBarsProps) {
  const { low } = answerKeptLog(log, plan);
  if (log.reads.length === 0) return null;
  const best = Math.max(...log.reads.flatMap(({ dryKpa, wetKpa }) => [dryKpa, wetKpa ?? 0]), 1);
  const dryBest = Math.max(...log.reads.map(({ dryKpa }) => dryKpa), 1);
  const y = scaleLinear([0, best], [HEIGHT_PX, 6]);
  const width = log.reads.length * STEP_PX + 90;
  const says = log.reads.map(({ cylinder, dryKpa }) => `${cylinder}: ${(dryKpa / 100).toFixed(1)} bar`).join(', ');
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT_PX + 34}`}
      style={{ width: `${width / 16}rem` }}
      className="max-w-full"
      role="img"
      aria-label={says}
    >
      {[0.9, 0.75].map((share) => (
        <g key={share}>
          <path
            d={`M0 ${y(dryBest * share)}H${width - 84}`}
            className="stroke-gorse"
            strokeWidth="1.2"
            strokeDasharray={share === 0.9 ? '6 3' : '2 3'}
          />
          <text x={width - 80} y={y(dryBest * share) + 4} className="fill-soft text-xs">
            {share === 0.9 ? '90% good' : '75% usable'}
          </text>
        </g>
      ))}
      {log.reads.map(({ cylinder, dryKpa, wetKpa }, i) => {
        const x = i * STEP_PX + 6;
        return (
          <g key={cylinder}>
            <rect
              x={x}
              y={y(dryKpa)}
              width={BAR_PX}
              height={HEIGHT_PX - y(dryKpa)}
              className={low.includes(cylinder) ? 'fill-madder' : 'fill-slate'}
            />
            {wetKpa !== null && (
              <rect
                x={x + BAR_PX + 2}
                y={y(wetKpa)}
                width={BAR_PX - 3}
                height={HEIGHT_PX - y(wetKpa)}
                className="fill-slip stroke-peat"
              />
            )}
            <text x={x + BAR_PX} y={HEIGHT_PX + 14} textAnchor="middle" className="num fill-peat text-xs font-semibold">
              {cylinder}
            </text>
            <text x={x + BAR_PX} y={HEIGHT_PX + 29} textAnchor="middle" className="num fill-soft text-xs">
              {(dryKpa / 100).toFixed(1)}
            </text>
          </g>
        );
      })}
      <path d={`M0 ${HEIGHT_PX}H${width - 84}`} className="stroke-line" />
    </svg>
  );
}
