import { useId } from 'react';
import { scaleLinear } from 'd3-scale';
import { useSize } from '../drawing/use-size.ts';
import type { Span } from '@brackenfell/core/facts/fact-shapes';
import { availableKv } from '@brackenfell/core/spark-demand/available';
import { demandKv } from '@brackenfell/core/spark-demand/demand';
import type { EndOfInterval } from '@brackenfell/core/spark-demand/margin-range';
import { COMFORTABLE, TIGHT, type SparkSetting } from '@brackenfell/core/spark-demand/margin';
import type { OperatingPoint } from '@brackenfell/core/spark-demand/operating-points';
import type { FittedPlug } from '@brackenfell/core/spark-demand/spark-sheet';

export interface SparkDrawn {
  readonly setting: SparkSetting;
  readonly plug: FittedPlug;
  /** What the engine maker asks, and what is asked here where a duty moved it. */
  readonly makers: Span;
  readonly asked: Span;
  readonly end: EndOfInterval;
  /** The gap that is looked at. */
  readonly gapMm: number;
}

interface SparkChartProps {
  readonly drawn: SparkDrawn;
  readonly point: OperatingPoint;
  /** The drawing's words, for who cannot see it. */
  readonly says: string;
}

const [HEIGHT, LEFT, RIGHT, BOTTOM, TOP] = [216, 30, 16, 32, 10];
const [FROM_MM, TO_MM, STEPS] = [0.3, 1.6, 52];
/** Other fits of breakdown and other fillings lie so far about the central value. Spark demand: Margin. */
const BAND = 0.1;
const GAPS = Array.from({ length: STEPS + 1 }, (_, i) => FROM_MM + ((TO_MM - FROM_MM) * i) / STEPS);
/** Where the curves are named, left of their ends. */
const LABELLED_MM = 1.5;
const OTHER_TIP = { 'fine-wire': 'nickel', nickel: 'fine-wire' } as const;

/** Demand against gap under what the coil can give: new, worn, with the other tip, and the way of this gap through its life. */
export function SparkChart({ drawn: { setting, plug, makers, asked, end, gapMm }, point, says }: SparkChartProps) {
  const [pane, { widthPx }] = useSize();
  const reserve = (availableKv(setting.source, point) ?? 0) * (setting.shownToGive ?? 1);
  const ask = (mm: number, lifeUsed: number, tip = plug.tip) =>
    demandKv({ ...plug, tip, gapMm: mm, lifeUsed }, point, { isOnGas: setting.engine.isOnGas, path: setting.path });
  const top = Math.max(reserve * 1.12, ask(gapMm + end.growthMm, end.lifeUsed) * 1.05);
  const x = scaleLinear([FROM_MM, TO_MM], [LEFT, widthPx - RIGHT]).clamp(true);
  const y = scaleLinear([0, top], [HEIGHT - BOTTOM, TOP]);
  const clip = useId();
  const line = (kv: (mm: number) => number) =>
    GAPS.map((mm, i) => `${i === 0 ? 'M' : 'L'}${x(mm).toFixed(1)} ${y(kv(mm)).toFixed(1)}`).join('');
  const fresh = (mm: number) => ask(mm, 0);
  const band = `${line((mm) => fresh(mm) * (1 + BAND))}${[...GAPS]
    .reverse()
    .map((mm) => `L${x(mm).toFixed(1)} ${y(fresh(mm) * (1 - BAND)).toFixed(1)}`)
    .join('')}Z`;
  const zone = (from: number, to: number, className: string) => (
    <rect
      x={LEFT}
      width={widthPx - RIGHT - LEFT}
      y={y(to)}
      height={Math.max(0, y(from) - y(to))}
      className={className}
    />
  );
  const [tight, misfire] = [reserve * (1 - COMFORTABLE), reserve * (1 - TIGHT)];
  const label = (kv: number, text: string) => (
    <text x={LEFT + 4} y={y(kv)} dy="1.05em" className="fill-peat text-xs">
      {text}
    </text>
  );
  const [now, later] = [
    [x(gapMm), y(fresh(gapMm))],
    [x(gapMm + end.growthMm), y(ask(gapMm + end.growthMm, end.lifeUsed))],
  ] as const;
  const isMoved = asked.low !== makers.low || asked.high !== makers.high;
  const name = (kv: number, text: string, side: 'above' | 'below') =>
    kv <= top && (
      <text
        x={x(LABELLED_MM)}
        y={y(kv)}
        dy={side === 'above' ? '-0.35em' : '1.1em'}
        textAnchor="end"
        className="fill-peat text-xs"
      >
        {text}
      </text>
    );
  return (
    <div ref={pane} className="w-full">
      <svg role="img" aria-label={says} width={widthPx} height={HEIGHT} className="block">
        <clipPath id={clip}>
          <rect x={LEFT} y={TOP} width={Math.max(1, widthPx - LEFT - RIGHT)} height={HEIGHT - BOTTOM - TOP} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          {zone(misfire, reserve, 'fill-madder-wash')}
          {zone(tight, misfire, 'fill-bracken-wash')}
          <Band span={makers} x={x} className={isMoved ? 'fill-line' : 'fill-lichen'} opacity={0.22} />
          {isMoved && <Band span={asked} x={x} className="fill-lichen" opacity={0.3} />}
          <path d={band} className="fill-line" opacity={0.25} />
          <path d={`M${LEFT} ${y(reserve)}H${widthPx - RIGHT}`} className="stroke-madder" strokeWidth={2} />
          <text x={LEFT + 4} y={y(reserve) - 3} className="fill-peat text-xs">
            the {setting.source.kind === 'magneto' ? 'magneto' : 'coil'} gives {reserve.toFixed(1)} kV
          </text>
          {label(reserve, 'misfire likely: under 15% in hand')}
          {label(misfire, 'tight: 15 to 30%')}
          <path
            d={line((mm) => ask(mm, 0, OTHER_TIP[plug.tip]))}
            fill="none"
            className="stroke-slate"
            strokeWidth={1}
            strokeDasharray="1 3"
          />
          <path
            d={line((mm) => ask(mm, 1))}
            fill="none"
            className="stroke-peat"
            strokeWidth={1.5}
            strokeDasharray="6 3"
          />
          <path d={line(fresh)} fill="none" className="stroke-peat" strokeWidth={2} />
        </g>
        {name(fresh(LABELLED_MM), 'new', 'below')}
        {/* A new nickel tip asks what a worn fine wire does: one curve, told twice. */}
        {name(ask(LABELLED_MM, 1), plug.tip === 'fine-wire' ? 'worn, and nickel new' : 'worn', 'above')}
        {plug.tip === 'nickel' && name(ask(LABELLED_MM, 0, 'fine-wire'), 'fine wire new', 'below')}
        <path d={`M${now[0]} ${TOP}V${HEIGHT - BOTTOM}`} className="stroke-bracken" strokeWidth={1.5} />
        <path d={`M${now.join(' ')}L${later.join(' ')}`} className="stroke-bracken" strokeWidth={2} />
        <circle cx={now[0]} cy={now[1]} r={4} className="fill-chalk stroke-bracken" strokeWidth={2} />
        <rect x={later[0] - 3.5} y={later[1] - 3.5} width={7} height={7} className="fill-bracken" />
        <path d={`M${LEFT} ${TOP}V${HEIGHT - BOTTOM}H${widthPx - RIGHT}`} fill="none" className="stroke-slate" />
        {x.ticks(7).map((mm) => (
          <text key={mm} x={x(mm)} y={HEIGHT - 16} textAnchor="middle" className="num fill-peat text-xs">
            {mm.toFixed(1)}
          </text>
        ))}
        {y.ticks(5).map((kv) => (
          <text key={kv} x={LEFT - 5} y={y(kv) + 4} textAnchor="end" className="num fill-peat text-xs">
            {kv}
          </text>
        ))}
        <text x={widthPx - RIGHT} y={HEIGHT - 3} textAnchor="end" className="fill-soft text-xs">
          gap, mm · ○ as set, ■ at the interval’s end
        </text>
      </svg>
    </div>
  );
}

function Band({
  span,
  x,
  className,
  opacity,
}: {
  readonly span: Span;
  readonly x: (mm: number) => number;
  readonly className: string;
  readonly opacity: number;
}) {
  const width = Math.max(2, x(span.high) - x(span.low));
  return (
    <rect
      x={x(span.low)}
      y={TOP}
      width={width}
      height={HEIGHT - BOTTOM - TOP}
      className={className}
      opacity={opacity}
    />
  );
}
