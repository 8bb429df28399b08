import { memo, useId, useMemo } from 'react';
import type { HeadShape, PlugShape } from '@brackenfell/contract/shapes';
import { formatQuantity, printTenths, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import { drawHead, protrusion } from './head-outline.ts';
import { PlugBody } from './plug-body.tsx';
import { pathOf, toPx, type Frame, type Outline } from './outline.ts';
import { drawPlug, type DrawnPlug } from './plug-outline.ts';

interface SectionProps {
  readonly head: HeadShape;
  readonly plug: { readonly printed: string; readonly shape: PlugShape };
  readonly oePlug: { readonly printed: string; readonly shape: PlugShape } | null;
  /** What the outline is called, where it is not the maker's own plug. */
  readonly outlineIs?: string;
  readonly engine: string;
  readonly frame: Frame;
  readonly size: { readonly widthPx: number; readonly heightPx: number };
  readonly units: UnitDisplay;
}

/** Below this a shell's end counts as flush with the head's thread: the reach check's match band. */
const FLUSH_MM = 0.3;

/** The plug in the head, to scale. The same facts stand in its text alternative. */
export const Section = memo(function Section({
  head,
  plug,
  oePlug,
  outlineIs = 'the maker’s own',
  engine,
  frame,
  size,
  units,
}: SectionProps) {
  const id = useId();
  const drawn = useMemo(() => drawPlug(plug.shape), [plug.shape]);
  const oe = useMemo(() => (oePlug ? drawPlug(oePlug.shape) : null), [oePlug]);
  const headThreadMm = head.headThreadMm;
  const path = (outline: Outline, closed = true) => pathOf(frame, outline, closed);
  const x = (mm: number) => toPx(frame, [mm, 0])[0];
  const y = (mm: number) => toPx(frame, [0, mm])[1];
  const top = drawHead(head)?.topRadiusMm ?? HEADLESS_RADIUS_MM;
  const long = headThreadMm === null ? null : protrusion(drawn, headThreadMm);
  const say = (mm: number) => formatQuantity('length', Math.abs(mm), Math.abs(mm), units);
  // On the drawing the ruler gives the unit; figures in inches say so themselves.
  const figure = (mm: number) => (units === 'imperial' ? say(mm) : printTenths(mm));
  return (
    <div className="relative" style={{ width: size.widthPx, height: size.heightPx }}>
      <SectionGround head={head} frame={frame} size={size} />
      <svg
        width={size.widthPx}
        height={size.heightPx}
        viewBox={`0 0 ${size.widthPx} ${size.heightPx}`}
        role="img"
        aria-labelledby={`${id}t ${id}d`}
        className="absolute inset-0"
      >
        <title id={`${id}t`}>{`Section: ${plug.printed} in the head of ${engine}`}</title>
        <desc id={`${id}d`}>{describe(drawn, oe, outlineIs, head, plug.shape, say)}</desc>
        <PlugBody drawn={drawn} path={path} />
        {long && <path d={path(long)} className="fill-madder/25 stroke-madder" strokeWidth="1.4" />}
        {head.pistonTopMm !== null && (
          <g clipPath={`url(#${id}struck)`}>
            <clipPath id={`${id}struck`}>
              <rect x="0" y="0" width={Math.max(0, x(-head.pistonTopMm))} height={size.heightPx} />
            </clipPath>
            {[...drawn.grounds, ...drawn.groundsInFront].map((outline, i) => (
              <path key={i} d={path(outline)} className="fill-madder stroke-madder" strokeWidth="1.6" />
            ))}
          </g>
        )}
        {oe && <OeOutline oe={oe} path={path} />}
        <path
          d={`M2 ${y(0)}H${size.widthPx - 2}`}
          className="stroke-slate"
          strokeWidth="0.7"
          strokeDasharray="14 3 3 3"
          fill="none"
          opacity="0.8"
        />
        {drawn.unknown.map(({ what, at }) => {
          const [ux, uy] = toPx(frame, at);
          return (
            <text key={what} x={ux} y={uy + 4} textAnchor="middle" className="halo fill-ash text-xs font-semibold">
              {what} ?
            </text>
          );
        })}
        <Dimensions
          drawn={drawn}
          oe={oe}
          outlineIs={outlineIs}
          head={head}
          x={x}
          y={y}
          top={top}
          say={say}
          figure={figure}
        />
      </svg>
    </div>
  );
});

/** Half height of the drawing where no head is known. */
const HEADLESS_RADIUS_MM = 15;

/** What stays while one moves through the tray (grid, head, piston, ruler): a layer of its own, drawn once. */
const SectionGround = memo(function SectionGround({
  head,
  frame,
  size,
}: Pick<SectionProps, 'head' | 'frame' | 'size'>) {
  const id = useId();
  const block = drawHead(head);
  const x = (mm: number) => toPx(frame, [mm, 0])[0];
  const y = (mm: number) => toPx(frame, [0, mm])[1];
  const top = block?.topRadiusMm ?? HEADLESS_RADIUS_MM;
  return (
    <svg
      width={size.widthPx}
      height={size.heightPx}
      viewBox={`0 0 ${size.widthPx} ${size.heightPx}`}
      aria-hidden="true"
      className="absolute inset-0 will-change-transform"
    >
      <defs>
        <pattern id={`${id}hatch`} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" className="stroke-slate" strokeWidth="0.9" opacity="0.75" />
        </pattern>
        <pattern id={`${id}piston`} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M0 0V8" className="stroke-slate" strokeWidth="0.9" opacity="0.75" />
        </pattern>
      </defs>
      <GridLines frame={frame} size={size} />
      {block?.blocks.map((outline, i) => (
        <path
          key={i}
          d={pathOf(frame, outline)}
          fill={`url(#${id}hatch)`}
          className="stroke-slate"
          strokeWidth="1.1"
          strokeLinejoin="round"
        />
      ))}
      {head.pistonTopMm !== null && (
        <>
          <rect
            x="0"
            y={y(top)}
            width={Math.max(0, x(-head.pistonTopMm))}
            height={y(-top) - y(top)}
            fill={`url(#${id}piston)`}
          />
          <path d={`M${x(-head.pistonTopMm)} ${y(top)}V${y(-top)}`} className="stroke-slate" strokeWidth="1.6" />
        </>
      )}
      <Ruler frame={frame} size={size} />
    </svg>
  );
});

function OeOutline({ oe, path }: { oe: DrawnPlug; path: (outline: Outline, closed?: boolean) => string }) {
  const lines: Outline[] = [...oe.grounds, ...(oe.tip ? [oe.tip] : [])];
  if (oe.shellEndMm !== null)
    lines.push([
      [oe.shellEndMm, oe.threadRadiusMm],
      [oe.shellEndMm, -oe.threadRadiusMm],
    ]);
  const d = lines.map((line) => path(line)).join('');
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={d} className="stroke-chalk" strokeWidth="3.5" />
      <path d={d} className="stroke-peat" strokeWidth="1.4" />
    </g>
  );
}

function GridLines({ frame, size }: { frame: Frame; size: SectionProps['size'] }) {
  const rightMm = frame.leftMm + size.widthPx / frame.scale;
  let d = '';
  for (let mm = Math.ceil(frame.leftMm / 5) * 5; mm <= rightMm; mm += 5)
    d += `M${((mm - frame.leftMm) * frame.scale).toFixed(1)} 30V${size.heightPx - 18}`;
  return <path d={d} className="stroke-grid" />;
}

/** A ruler along the foot, in millimetres from the seat face. */
function Ruler({ frame, size }: { frame: Frame; size: SectionProps['size'] }) {
  const rightMm = frame.leftMm + size.widthPx / frame.scale;
  const base = size.heightPx - 18;
  let ticks = `M0 ${base}H${size.widthPx}`;
  const labels: { px: number; text: string }[] = [];
  for (let mm = Math.ceil(frame.leftMm); mm <= rightMm; mm += 1) {
    const px = (mm - frame.leftMm) * frame.scale;
    ticks += `M${px.toFixed(1)} ${base}v${mm % 10 === 0 ? 7 : mm % 5 === 0 ? 5 : 3}`;
    if (mm % 10 === 0 && px > 22 && px < size.widthPx - 12) labels.push({ px, text: String(Math.abs(mm)) });
  }
  return (
    <g>
      <path d={ticks} className="stroke-slate" fill="none" />
      {labels.map(({ px, text }) => (
        <text key={px} x={px} y={size.heightPx} textAnchor="middle" className="num fill-slate text-xs">
          {text}
        </text>
      ))}
      <text x="2" y={size.heightPx} className="num fill-slate text-xs">
        mm
      </text>
    </g>
  );
}

interface DimensionsProps {
  readonly drawn: DrawnPlug;
  readonly oe: DrawnPlug | null;
  readonly outlineIs: string;
  readonly head: HeadShape;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly top: number;
  readonly say: (mm: number) => string;
  readonly figure: (mm: number) => string;
}

function Dimensions({ drawn, oe, outlineIs, head, x, y, top, say, figure }: DimensionsProps) {
  const { headThreadMm, pistonTopMm } = head;
  const end = drawn.shellEndMm;
  const foot = y(-top) + 12;
  const over = end === null || headThreadMm === null ? 0 : -end - headThreadMm;
  const misfit = Math.abs(over) > FLUSH_MM;
  const clearance = pistonTopMm === null || drawn.deepestMm === null ? null : pistonTopMm + drawn.deepestMm;
  const oeDeepestMm = oe?.deepestMm ?? null;
  const oeClearance = pistonTopMm === null || oeDeepestMm === null ? null : pistonTopMm + oeDeepestMm;
  const bad = clearance !== null && clearance < 1;
  return (
    <g>
      {end !== null && (
        <>
          <Extend at={x(end)} from={9} to={y(drawn.threadRadiusMm - 1)} tone={misfit ? 'madder' : 'slate'} />
          <Span from={x(end)} to={x(0)} at={15} tone="peat" text={`${figure(end)} offered`} />
        </>
      )}
      <Extend at={x(0)} from={9} to={y(9)} tone="slate" />
      {headThreadMm !== null && (
        <>
          <Extend at={x(-headThreadMm)} from={26} to={y(drawn.threadRadiusMm)} tone="slate" />
          <Span from={x(-headThreadMm)} to={x(0)} at={32} tone="slate" text={`${figure(headThreadMm)} head`} />
        </>
      )}
      {drawn.topMm !== null && (
        <>
          <Extend at={x(drawn.topMm)} from={26} to={y(2.5)} tone="slate" />
          <Span from={x(0)} to={x(drawn.topMm)} at={32} tone="slate" text={figure(drawn.topMm)} />
        </>
      )}
      {misfit && headThreadMm !== null && end !== null && (
        <>
          <Span from={x(end)} to={x(-headThreadMm)} at={32} tone="madder" />
          <text
            x={Math.max(4, Math.min(x(end), x(-headThreadMm)) - 6)}
            y={36}
            textAnchor={Math.min(x(end), x(-headThreadMm)) > 84 ? 'end' : 'start'}
            className="halo fill-madder text-sm font-bold"
          >
            {figure(over)} {over > 0 ? 'too long' : 'too short'}
          </text>
        </>
      )}
      {pistonTopMm !== null && (
        <text x={4} y={y(top) - 5} className="halo fill-soft text-xs">
          piston at top
        </text>
      )}
      {pistonTopMm === null && headThreadMm !== null && (
        <text x={6} y={foot + 4} className="halo fill-ash text-xs">
          piston: not known
        </text>
      )}
      {pistonTopMm !== null && clearance !== null && (
        <>
          <Extend at={x(-pistonTopMm)} from={y(-top)} to={foot + 4} tone="slate" />
          <Extend at={x(drawn.deepestMm!)} from={y(0)} to={foot + 4} tone={bad ? 'madder' : 'slate'} />
          <Span
            from={Math.min(x(-pistonTopMm), x(drawn.deepestMm!))}
            to={Math.max(x(-pistonTopMm), x(drawn.deepestMm!))}
            at={foot}
            tone={bad ? 'madder' : 'slate'}
          />
          <text
            x={Math.max(6, Math.min(x(-pistonTopMm), x(drawn.deepestMm!)) - 16)}
            y={foot + 18}
            className={`halo text-xs ${bad ? 'fill-madder font-bold' : 'fill-soft'}`}
          >
            {clearance < 0 ? `${say(clearance)} into the piston` : `clears the piston by ${say(clearance)}`}
            {oeClearance !== null && Math.abs(oeClearance - clearance) > 0.05
              ? `; ${outlineIs} ${oeClearance < 0 ? `stands ${say(oeClearance)} into it` : `clears by ${say(oeClearance)}`}`
              : ''}
          </text>
        </>
      )}
    </g>
  );
}

const TONES = { slate: 'text-slate', madder: 'text-madder', peat: 'text-peat' } as const;
type Tone = keyof typeof TONES;

function Extend({ at, from, to, tone }: { at: number; from: number; to: number; tone: Tone }) {
  return (
    <path d={`M${at} ${from}V${to}`} className={TONES[tone]} stroke="currentColor" strokeWidth="0.75" fill="none" />
  );
}

const NARROW_PX = 46;

/** A dimension between two places; where there is no room inside, its arrows point in from outside. */
function Span({ from, to, at, tone, text }: { from: number; to: number; at: number; tone: Tone; text?: string }) {
  const inside = to - from > NARROW_PX;
  const arrow = (px: number, direction: 1 | -1) => `M${px} ${at}l${direction * 6} -2.4v4.8z`;
  const line = inside ? `M${from} ${at}H${to}` : `M${from - 12} ${at}H${to + 12}`;
  const heads = inside ? arrow(from, 1) + arrow(to, -1) : arrow(from, -1) + arrow(to, 1);
  return (
    <g className={TONES[tone]}>
      <path d={line} stroke="currentColor" strokeWidth="1" fill="none" />
      <path d={heads} fill="currentColor" />
      {text && (
        <text x={(from + to) / 2} y={at - 3} textAnchor="middle" className="halo num text-xs" fill="currentColor">
          {text}
        </text>
      )}
    </g>
  );
}

function describe(
  drawn: DrawnPlug,
  oe: DrawnPlug | null,
  outlineIs: string,
  head: HeadShape,
  shape: PlugShape,
  say: (mm: number) => string,
): string {
  const sentences: string[] = [];
  if (head.headThreadMm !== null) sentences.push(`Thread in the head ${say(head.headThreadMm)}.`);
  if (drawn.shellEndMm === null) sentences.push('The reach offered is not known and is drawn dashed.');
  else {
    const over = head.headThreadMm === null ? 0 : -drawn.shellEndMm - head.headThreadMm;
    sentences.push(`Reach offered ${say(drawn.shellEndMm)}.`);
    if (Math.abs(over) > FLUSH_MM)
      sentences.push(
        over > 0 ? `${say(over)} of thread stands in the chamber.` : `It ends ${say(over)} short of the head’s thread.`,
      );
  }
  if (drawn.deepestMm !== null) {
    sentences.push(`Its deepest point is ${say(drawn.deepestMm)} below the seat.`);
    if (head.pistonTopMm !== null) {
      const clearance = head.pistonTopMm + drawn.deepestMm;
      sentences.push(
        clearance < 0
          ? `It overlaps the piston at top dead centre by ${say(clearance)}.`
          : `It clears the piston by ${say(clearance)}.`,
      );
    } else sentences.push('The distance to the piston is not known.');
  }
  if (oe?.deepestMm != null) sentences.push(`The outline, ${outlineIs}, ends ${say(oe.deepestMm)} below the seat.`);
  sentences.push(
    `Seat ${shape.seat ?? 'not known'}, terminal ${shape.terminal ?? 'not known'}, grounds ${shape.groundCount ?? 'not known'}.`,
  );
  if (drawn.unknown.length > 0) sentences.push(`Not known: ${drawn.unknown.map((u) => u.what).join(', ')}.`);
  return sentences.join(' ');
}
