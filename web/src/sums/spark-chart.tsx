import { scaleLinear } from 'd3-scale';
import { availableKv } from '@brackenfell/core/spark-demand/available';
import { demandKv } from '@brackenfell/core/spark-demand/demand';
import { COMFORTABLE, TIGHT } from '@brackenfell/core/spark-demand/margin';
import type { OperatingPoint } from '@brackenfell/core/spark-demand/operating-points';
import type { SparkAsked } from './spark-inputs.ts';

interface SparkChartProps {
  readonly asked: SparkAsked;
  /** The one with the least in hand. */
  readonly point: OperatingPoint;
  /** What the drawing says, for who cannot see it. */
  readonly says: string;
}

const [WIDTH, HEIGHT, LEFT, RIGHT, BOTTOM, TOP] = [640, 304, 44, 24, 34, 12];
const [FROM_MM, TO_MM, STEPS] = [0.3, 1.6, 52];
/** Other fits of breakdown and other fillings lie so far about the central value. */
const BAND = 0.1;

/** Demand against gap, new and worn, under what the coil can give; the engine's own range is shaded. */
export function SparkChart({ asked: { setting, plug, range }, point, says }: SparkChartProps) {
  const reserve = availableKv(setting.source, point) ?? 0;
  const gaps = Array.from({ length: STEPS + 1 }, (_, i) => FROM_MM + ((TO_MM - FROM_MM) * i) / STEPS);
  const demandAt = (gapMm: number, lifeUsed: number) =>
    demandKv({ ...plug, gapMm, lifeUsed }, point, { isOnGas: setting.engine.isOnGas, path: setting.path });
  const top = Math.max(reserve * 1.15, demandAt(TO_MM, 1) * 1.05);
  const x = scaleLinear([FROM_MM, TO_MM], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([0, top], [HEIGHT - BOTTOM, TOP]);
  const line = (lifeUsed: number, factor = 1) =>
    gaps
      .map((gap, i) => `${i === 0 ? 'M' : 'L'}${x(gap).toFixed(1)} ${y(demandAt(gap, lifeUsed) * factor).toFixed(1)}`)
      .join('');
  const band = `${line(0, 1 + BAND)}${[...gaps]
    .reverse()
    .map((gap) => `L${x(gap).toFixed(1)} ${y(demandAt(gap, 0) * (1 - BAND)).toFixed(1)}`)
    .join('')}Z`;
  const level = (kv: number, label: string, dash?: string) => (
    <g>
      <path
        d={`M${LEFT} ${y(kv)}H${WIDTH - RIGHT}`}
        stroke="var(--slate)"
        strokeWidth={dash ? 1 : 2}
        strokeDasharray={dash}
      />
      <text x={LEFT + 4} y={y(kv) - 4} className="fill-peat text-xs">
        {label}
      </text>
    </g>
  );
  return (
    <svg role="img" aria-label={says} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-3xl">
      <rect
        x={x(range.low)}
        y={TOP}
        width={Math.max(1, x(range.high) - x(range.low))}
        height={HEIGHT - BOTTOM - TOP}
        fill="var(--bracken-wash)"
      />
      <path d={band} fill="var(--line)" opacity={0.25} />
      {level(reserve, `what the coil gives, ${reserve.toFixed(0)} kV`)}
      {level(reserve * (1 - COMFORTABLE), '30% in hand', '5 3')}
      {level(reserve * (1 - TIGHT), '15% in hand', '2 3')}
      <path d={line(0)} fill="none" stroke="var(--bracken)" strokeWidth={2} />
      <path d={line(1)} fill="none" stroke="var(--bracken)" strokeWidth={2} strokeDasharray="7 3" />
      <text x={x(TO_MM) - 4} y={y(demandAt(TO_MM, 0)) + 16} textAnchor="end" className="fill-peat text-xs">
        new
      </text>
      <text x={x(TO_MM) - 4} y={y(demandAt(TO_MM, 1)) - 6} textAnchor="end" className="fill-peat text-xs">
        worn
      </text>
      <path d={`M${LEFT} ${TOP}V${HEIGHT - BOTTOM}H${WIDTH - RIGHT}`} fill="none" stroke="var(--slate)" />
      {x.ticks(7).map((mm) => (
        <text key={mm} x={x(mm)} y={HEIGHT - 18} textAnchor="middle" className="num fill-peat text-xs">
          {mm.toFixed(1)}
        </text>
      ))}
      {y.ticks(5).map((kv) => (
        <text key={kv} x={LEFT - 6} y={y(kv) + 4} textAnchor="end" className="num fill-peat text-xs">
          {kv}
        </text>
      ))}
      <text x={WIDTH - RIGHT} y={HEIGHT - 3} textAnchor="end" className="fill-soft text-xs">
        gap, mm
      </text>
      <text x={2} y={10} className="fill-soft text-xs">
        kV
      </text>
    </svg>
  );
}
