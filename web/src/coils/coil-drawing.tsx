import { wordFor } from '@brackenfell/core/words/counted';
import { useId } from 'react';
import { CONNECTOR_WORDS } from '@brackenfell/core/coils/connector-words';
import { formatQuantity, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { CoilShape, HeadShape, PlugShape } from '@brackenfell/contract/shapes';
import { drawHead } from '../drawing/head-outline.ts';
import { pathOf, toPx, type Outline } from '../drawing/outline.ts';
import { drawPlug } from '../drawing/plug-outline.ts';
import { coilInWell, packPlan, wellRadiusMm } from './coil-geometry.ts';
import { ConnectorFaceDrawing } from './connector-face.tsx';

interface CoilDrawingProps {
  readonly coil: { readonly printed: string; readonly shape: CoilShape };
  readonly asked: CoilShape;
  readonly head: HeadShape;
  readonly plug: PlugShape | null;
  readonly size: { readonly widthPx: number; readonly heightPx: number };
  readonly units: UnitDisplay;
}

const FACES_PX = 132;

/** The picked coil where it goes: on its plug in the well, or as a pack from above; beside it the two connectors. */
export function CoilDrawing(props: CoilDrawingProps) {
  const { coil, asked, size } = props;
  const room = { widthPx: size.widthPx - FACES_PX, heightPx: size.heightPx };
  const onPlug = asked.topology === 'on-plug' || asked.topology === 'rail';
  return (
    <div className="flex" style={{ width: size.widthPx, height: size.heightPx }}>
      {onPlug ? <InWell {...props} size={room} /> : <FromAbove {...props} size={room} />}
      <Faces coil={coil.shape} asked={asked} />
    </div>
  );
}

function Faces({ coil, asked }: { coil: CoilShape; asked: CoilShape }) {
  const differs =
    (coil.connector !== null && coil.connector !== asked.connector) || (coil.pins !== null && coil.pins !== asked.pins);
  const row = (title: string, shape: CoilShape, marked: boolean) => (
    <figure className="flex flex-col items-center gap-0.5">
      <figcaption className="text-xs text-soft">{title}</figcaption>
      <ConnectorFaceDrawing connector={shape.connector} pins={shape.pins} widthRem={4.5} differs={marked} />
      <span className={`text-center text-xs ${marked ? 'font-semibold text-madder' : 'text-soft'}`}>
        {shape.pins ?? '?'} pins, {shape.connector === null ? 'face ?' : CONNECTOR_WORDS[shape.connector]}
      </span>
    </figure>
  );
  return (
    <div
      className="flex flex-none flex-col justify-center gap-2 border-l border-hair px-1.5"
      style={{ width: FACES_PX }}
    >
      {row('engine’s connector', asked, false)}
      {row('picked coil’s', coil, differs)}
    </div>
  );
}

const BOOT_RADIUS_MM = 8;
const BODY_RADIUS_MM = 15;
const BODY_MM = 20;

function InWell({ coil, asked, head, plug, size, units }: CoilDrawingProps) {
  const id = useId();
  const at = coilInWell(coil.shape, asked, plug, size);
  const frame = { scale: at.scale, leftMm: at.leftMm, axisPx: at.axisPx };
  const path = (outline: Outline, closed = true) => pathOf(frame, outline, closed);
  const x = (mm: number) => toPx(frame, [mm, 0])[0];
  const y = (mm: number) => toPx(frame, [0, mm])[1];
  const say = (mm: number) => formatQuantity('length', Math.abs(mm), Math.abs(mm), units);
  const drawn = plug ? drawPlug(plug) : null;
  const block = drawHead(head);
  const well = wellRadiusMm(head);
  const { coverMm, contactMm, gapMm, plugTopMm } = at;
  const isShort = gapMm !== null && gapMm > 2;
  const wall = (side: 1 | -1): Outline => [
    [40, side * well],
    [coverMm ?? 150, side * well],
    [coverMm ?? 150, side * (well + 6)],
    [40, side * (well + 6)],
  ];
  const told =
    gapMm === null
      ? 'How far the boot reaches is not known.'
      : gapMm > 0
        ? `Its contact ends ${say(gapMm)} above the plug.`
        : gapMm < 0
          ? `Its boot is pressed together by ${say(gapMm)}.`
          : 'Its contact stands on the plug’s top.';
  return (
    <svg width={size.widthPx} height={size.heightPx} role="img" aria-labelledby={`${id}t ${id}d`}>
      <title id={`${id}t`}>{`${coil.printed} on its plug in the well`}</title>
      <desc id={`${id}d`}>{told}</desc>
      <defs>
        <pattern id={`${id}h`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" className="stroke-slate" strokeWidth="0.9" opacity="0.75" />
        </pattern>
      </defs>
      {block?.blocks.map((outline, i) => (
        <path key={i} d={path(outline)} fill={`url(#${id}h)`} className="stroke-slate" />
      ))}
      {[1, -1].map((side) => (
        <path key={side} d={path(wall(side as 1 | -1))} fill={`url(#${id}h)`} className="stroke-slate" />
      ))}
      {drawn && (
        <g className="stroke-peat" strokeWidth="0.9">
          {[...drawn.ceramic, ...drawn.metal, ...drawn.grounds].map((outline, i) => (
            <path key={i} d={path(outline)} className="fill-slip" />
          ))}
        </g>
      )}
      {coverMm !== null && (
        <g>
          <path d={`M${x(coverMm)} ${y(26)}V${y(-26)}`} className="stroke-slate" strokeWidth="1.6" />
          <text x={x(coverMm)} y={y(26) - 4} textAnchor="middle" className="halo fill-slate text-xs">
            cover
          </text>
        </g>
      )}
      {coverMm !== null && contactMm !== null ? (
        <g className="stroke-peat" strokeWidth="1.1" opacity="0.94">
          <path
            d={path([
              [contactMm - 9, BOOT_RADIUS_MM],
              [coverMm, BOOT_RADIUS_MM],
              [coverMm, -BOOT_RADIUS_MM],
              [contactMm - 9, -BOOT_RADIUS_MM],
            ])}
            className="fill-plug"
            fillOpacity="0.55"
          />
          <path
            d={path([
              [coverMm, BODY_RADIUS_MM],
              [coverMm + BODY_MM, BODY_RADIUS_MM],
              [coverMm + BODY_MM, -BODY_RADIUS_MM],
              [coverMm, -BODY_RADIUS_MM],
            ])}
            className="fill-plug"
          />
          <path
            d={path([
              [coverMm + BODY_MM, 6],
              [coverMm + BODY_MM + 9, 6],
              [coverMm + BODY_MM + 9, -6],
              [coverMm + BODY_MM, -6],
            ])}
            className="fill-slip"
          />
          <path d={spring(x(contactMm), x(coverMm - 8), y(0), 4)} fill="none" strokeWidth="1.3" />
          <Ears coil={coil.shape} x={x} y={y} coverMm={coverMm} />
        </g>
      ) : (
        <text
          x={size.widthPx * 0.6}
          y={size.heightPx / 2}
          textAnchor="middle"
          className="halo fill-ash text-xs font-semibold"
        >
          boot reach ?
        </text>
      )}
      {gapMm !== null && plugTopMm !== null && Math.abs(gapMm) > 1 && (
        <g>
          <rect
            x={x(Math.min(plugTopMm, plugTopMm + gapMm))}
            y={y(BOOT_RADIUS_MM)}
            width={Math.max(2, Math.abs(gapMm) * at.scale)}
            height={y(-BOOT_RADIUS_MM) - y(BOOT_RADIUS_MM)}
            className={isShort ? 'fill-madder/40' : 'fill-gorse/40'}
          />
          <text
            x={x(plugTopMm)}
            y={y(-BOOT_RADIUS_MM) + 16}
            textAnchor="middle"
            className={`halo text-xs font-semibold ${isShort ? 'fill-madder' : 'fill-slate'}`}
          >
            {gapMm > 0 ? `${say(gapMm)} short` : `${say(gapMm)} long`}
          </text>
        </g>
      )}
      {coverMm !== null && plugTopMm !== null && asked.bootLengthMm !== null && (
        <Measure
          from={x(plugTopMm)}
          to={x(coverMm)}
          at={size.heightPx - 8}
          label={`asked ${say(asked.bootLengthMm)}`}
        />
      )}
    </svg>
  );
}

function Ears({
  coil,
  x,
  y,
  coverMm,
}: {
  coil: CoilShape;
  x: (mm: number) => number;
  y: (mm: number) => number;
  coverMm: number;
}) {
  if (!coil.mounting)
    return (
      <text
        x={x(coverMm + BODY_MM / 2)}
        y={y(-20)}
        textAnchor="middle"
        className="halo fill-ash text-xs font-semibold"
        strokeWidth="0"
      >
        mounting ?
      </text>
    );
  const { holes, threadMm } = coil.mounting;
  return (
    <>
      {[1, -1].slice(0, Math.min(2, holes)).map((side) => (
        <rect
          key={side}
          x={x(coverMm)}
          y={Math.min(y(side * 15), y(side * 24))}
          width={x(coverMm + 5) - x(coverMm)}
          height={Math.abs(y(side * 24) - y(side * 15))}
          className="fill-plug"
        />
      ))}
      <text x={x(coverMm + 8)} y={y(20) + 4} className="halo num fill-slate text-xs" strokeWidth="0">
        {holes} × M{threadMm}
      </text>
    </>
  );
}

/** A coil spring between two points, as a zigzag. */
function spring(from: number, to: number, axis: number, radius: number): string {
  const turns = Math.max(3, Math.round((to - from) / 9));
  const step = (to - from) / turns;
  return Array.from(
    { length: turns },
    (_, i) => `L${from + (i + 0.5) * step} ${axis + (i % 2 === 0 ? -radius : radius)}`,
  ).reduce((d, line) => d + line, `M${from} ${axis}`);
}

export function Measure({ from, to, at, label }: { from: number; to: number; at: number; label: string }) {
  return (
    <g>
      <path
        d={`M${from} ${at}H${to}M${from} ${at - 4}V${at + 4}M${to} ${at - 4}V${at + 4}`}
        className="stroke-slate"
        strokeWidth="1"
        fill="none"
      />
      <text x={(from + to) / 2} y={at - 3} textAnchor="middle" className="halo num fill-slate text-xs">
        {label}
      </text>
    </g>
  );
}

/** A pack or can from above: the picked one filled, what the engine has as an outline. */
function FromAbove({ coil, asked, size }: CoilDrawingProps) {
  const id = useId();
  const [own, wanted] = [packPlan(coil.shape, size), packPlan(asked, size)];
  const scale = Math.min(own.scale, wanted.scale);
  const [cx, cy] = [size.widthPx / 2, size.heightPx / 2 + 6];
  const px = ([x, y]: readonly [number, number]) => [cx + x * scale, cy + y * scale] as const;
  const [width, height] = [own.bodyMm[0] * scale, own.bodyMm[1] * scale];
  const holesDiffer = JSON.stringify(own.holes) !== JSON.stringify(wanted.holes);
  const towersDiffer = own.towers.length !== wanted.towers.length;
  const told = `${coil.shape.towers ?? 'an unknown number of'} towers where ${asked.towers ?? '?'} are asked; ${
    coil.shape.mounting ? `${coil.shape.mounting.holes} mounting holes` : 'mounting not known'
  }.`;
  return (
    <svg width={size.widthPx} height={size.heightPx} role="img" aria-labelledby={`${id}t ${id}d`}>
      <title id={`${id}t`}>{`${coil.printed} from above`}</title>
      <desc id={`${id}d`}>{told}</desc>
      <rect
        x={cx - width / 2}
        y={cy - height / 2}
        width={width}
        height={height}
        rx="6"
        className="fill-plug stroke-peat"
      />
      {own.towers.map((at, i) => (
        <circle
          key={i}
          cx={px(at)[0]}
          cy={px(at)[1]}
          r={8 * scale}
          className={`fill-slip ${towersDiffer ? 'stroke-madder' : 'stroke-peat'}`}
          strokeWidth="1.4"
        />
      ))}
      {coil.shape.towers === null && (
        <text x={cx} y={cy} textAnchor="middle" className="fill-ash text-xs font-semibold">
          towers ?
        </text>
      )}
      {coil.shape.mounting ? (
        own.holes.map((at, i) => (
          <circle
            key={i}
            cx={px(at)[0]}
            cy={px(at)[1]}
            r={((coil.shape.mounting?.threadMm ?? 6) / 2) * scale}
            className={`fill-chalk ${holesDiffer ? 'stroke-madder' : 'stroke-peat'}`}
            strokeWidth="1.4"
          />
        ))
      ) : (
        <text x={cx} y={cy - 16 * scale + 4} textAnchor="middle" className="fill-ash text-xs font-semibold">
          mounting ?
        </text>
      )}
      {wanted.holes.map((at, i) => {
        const [x, y] = px(at);
        return (
          <path
            key={i}
            d={`M${x - 9} ${y}h18M${x} ${y - 9}v18`}
            className="stroke-slate"
            strokeDasharray="3 2"
            fill="none"
          />
        );
      })}
      {asked.mounting && asked.mounting.holes > 1 && (
        <Measure
          from={px(wanted.holes[0]!)[0]}
          to={px(wanted.holes.at(-1)!)[0]}
          at={cy - height / 2 - 8}
          label={`asked ${asked.mounting.spacingMm} mm`}
        />
      )}
      <text
        x={cx}
        y={cy + height / 2 + 16}
        textAnchor="middle"
        className={`text-xs ${towersDiffer ? 'fill-madder font-semibold' : 'fill-slate'}`}
      >
        {coil.shape.towers ?? '?'} {wordFor(coil.shape.towers ?? 0, 'tower')}, {asked.towers ?? '?'} asked; crosses mark
        the engine’s bosses
      </text>
    </svg>
  );
}
