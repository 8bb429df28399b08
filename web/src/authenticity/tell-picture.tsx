import type { TellDrawing } from '@brackenfell/contract/tell-drawing';
import { drawTell, TELL_HEIGHT, TELL_WIDTH, type TellInk } from './tell-geometry.ts';

const INK: Readonly<Record<TellInk, { readonly className: string; readonly fill: boolean }>> = {
  part: { className: 'fill-plug stroke-peat', fill: true },
  line: { className: 'stroke-peat', fill: false },
  mark: { className: 'stroke-madder', fill: false },
  pale: { className: 'fill-slip stroke-slip', fill: true },
  dark: { className: 'fill-peat', fill: true },
};

/** One side of a tell, drawn; `says` is its text alternative. */
export function TellPicture({ drawing, says, genuine }: { drawing: TellDrawing; says: string; genuine: boolean }) {
  const { paths, texts } = drawTell(drawing);
  const marks = genuine ? 'stroke-peat' : 'stroke-madder';
  return (
    <svg
      viewBox={`0 0 ${TELL_WIDTH} ${TELL_HEIGHT}`}
      className="mx-auto block h-[3.75rem] w-full"
      role="img"
      aria-label={says}
    >
      {paths.map(({ d, ink, widthPx = 1.1, dash }) => (
        <path
          key={d}
          d={d}
          className={ink === 'mark' ? marks : INK[ink].className}
          strokeWidth={widthPx}
          strokeDasharray={dash}
          strokeLinejoin="round"
          {...(INK[ink].fill ? {} : { fill: 'none' })}
        />
      ))}
      {texts.map(({ text, x, y, weight }) => (
        <text
          key={`${text} ${y}`}
          x={x}
          y={y}
          textAnchor="middle"
          className="fill-peat"
          style={{
            fontFamily: 'var(--font-mono)',
            fontSize: text.length > 6 ? '11px' : '14px',
            fontWeight: 200 + Math.round(weight * 600),
            opacity: 0.45 + 0.55 * weight,
          }}
        >
          {text}
        </text>
      ))}
    </svg>
  );
}
