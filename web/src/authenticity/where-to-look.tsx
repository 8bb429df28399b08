import { useMemo } from 'react';
import type { TellPlace } from '@brackenfell/core/authenticity/tell';
import type { ProofTell } from '@brackenfell/contract/proof-reference';
import type { PlugShape } from '@brackenfell/contract/shapes';
import { pathOf, type Frame, type Outline } from '../drawing/outline.ts';
import { drawPlug, type DrawnPlug } from '../drawing/plug-outline.ts';
import { PlugBody } from '../drawing/plug-body.tsx';

const WIDTH = 208;
const HEIGHT = 92;
const AXIS = 44;

/** Where along the plug a place is, mm from the seat face towards the terminal. */
function placeMm(place: TellPlace, { topMm, shellEndMm, deepestMm }: DrawnPlug): number | undefined {
  const top = topMm ?? 50;
  switch (place) {
    case 'terminal':
      return top - 2;
    case 'ribs':
      return top * 0.78;
    case 'print':
      return top * 0.56;
    case 'hex':
      return 8.9;
    case 'shoulder':
    case 'body':
      return 3;
    case 'gasket':
      return 0;
    case 'thread':
      return (shellEndMm ?? -12) / 2;
    case 'ground':
      return deepestMm ?? shellEndMm ?? -20;
    default:
      return undefined;
  }
}

/** The plug with the places of its tells; the one looked at stands out. */
export function WhereToLook({
  shape,
  tells,
  here,
}: {
  shape: PlugShape;
  tells: readonly ProofTell[];
  here: string | undefined;
}) {
  const drawn = useMemo(() => drawPlug(shape), [shape]);
  const left = (drawn.deepestMm ?? drawn.shellEndMm ?? -20) - 4;
  const scale = WIDTH / ((drawn.topMm ?? 52) + 4 - left);
  const frame: Frame = { scale, leftMm: left, axisPx: AXIS };
  const path = (outline: Outline, closed = true) => pathOf(frame, outline, closed);
  const places = [...new Set(tells.map(({ place }) => place))].flatMap((place) => {
    const mm = placeMm(place, drawn);
    return mm === undefined
      ? []
      : [{ place, x: (mm - left) * scale, tells: tells.filter((tell) => tell.place === place) }];
  });
  const isHere = (of: readonly ProofTell[]) => of.some(({ id }) => id === here);
  const outside = tells.filter(({ place }) => placeMm(place, drawn) === undefined);
  const says = places.map(({ place, tells: of }) => `${place}: ${of.map(({ title }) => title).join(', ')}`).join('; ');
  return (
    <section aria-label="Where to look" className="border-t border-line pt-1">
      <h3 className="font-semibold">Where to look</h3>
      <svg width={WIDTH} height={HEIGHT} role="img" aria-label={`The plug with the places of its tells. ${says}`}>
        <PlugBody drawn={drawn} path={path} />
        {places.map(({ place, x, tells: of }, i) => {
          const above = i % 2 === 0;
          const y = above ? 10 : HEIGHT - 4;
          const numbers = of.map((tell) => tells.indexOf(tell) + 1).join(' ');
          return (
            <g key={place}>
              <path
                d={`M${x} ${above ? 13 : HEIGHT - 14}V${AXIS}`}
                className={isHere(of) ? 'stroke-bracken' : 'stroke-line'}
                strokeWidth={isHere(of) ? 1.6 : 0.8}
              />
              <text
                x={Math.max(8, Math.min(WIDTH - 8, x))}
                y={y}
                textAnchor="middle"
                className={`num text-xs ${isHere(of) ? 'fill-bracken font-bold' : 'fill-soft'}`}
              >
                {numbers}
              </text>
            </g>
          );
        })}
      </svg>
      {outside.length > 0 && (
        <p className={`text-xs ${isHere(outside) ? 'font-semibold text-bracken' : 'text-soft'}`}>
          {outside.map((tell) => `${tells.indexOf(tell) + 1} ${tell.title}`).join(', ')}: on the box
        </p>
      )}
    </section>
  );
}
