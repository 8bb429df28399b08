import { useId } from 'react';
import { capTowers } from '@brackenfell/core/engine-plan/engine-plan';
import { formatQuantity, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { CapShape, RotorShape } from '@brackenfell/contract/shapes';
import type { DrawingOf } from '@brackenfell/contract/tray';

interface Size {
  readonly widthPx: number;
  readonly heightPx: number;
}

const around = (cx: number, cy: number, radius: number, deg: number): readonly [number, number] => {
  const turn = ((deg - 90) * Math.PI) / 180;
  return [cx + radius * Math.cos(turn), cy + radius * Math.sin(turn)];
};

interface CapPlanProps {
  readonly cap: { readonly printed: string; readonly shape: CapShape };
  readonly drawing: DrawingOf<'cap'>;
  readonly size: Size;
}

/** Two caps from above: where the engine's leads stand, and where the picked cap would put them. */
export function CapPlan({ cap, drawing, size }: CapPlanProps) {
  const id = useId();
  const { asked, plan } = drawing;
  const radius = Math.min(size.heightPx / 2 - 34, size.widthPx / 5);
  const cy = size.heightPx / 2 + 6;
  const own = plan && cap.shape.indexDeg !== null ? capTowers(plan, cap.shape.indexDeg) : null;
  const differs = cap.shape.indexDeg !== null && cap.shape.indexDeg !== asked.indexDeg;
  const towersOf = (
    cx: number,
    towers: readonly { cylinder: number; angleDeg: number }[] | null,
    marked: boolean,
    title: string,
    indexDeg: number | null,
  ) => (
    <g>
      <circle cx={cx} cy={cy} r={radius} className="fill-plug stroke-peat" />
      <path d={`M${cx - 5} ${cy - radius}h10v7h-10z`} className={marked ? 'fill-madder' : 'fill-peat'} />
      <circle cx={cx} cy={cy} r="8" className="fill-slip stroke-peat" />
      {towers?.map(({ cylinder, angleDeg }, i) => {
        const [x, y] = around(cx, cy, radius - 15, angleDeg);
        return (
          <g key={cylinder}>
            <circle
              cx={x}
              cy={y}
              r="11"
              className={`fill-chalk ${marked ? 'stroke-madder' : 'stroke-peat'}`}
              strokeWidth={i === 0 ? 2.4 : 1.2}
            />
            <text x={x} y={y + 4} textAnchor="middle" className="num fill-peat text-xs font-semibold">
              {cylinder}
            </text>
          </g>
        );
      })}
      {!towers && (
        <text x={cx} y={cy - 16} textAnchor="middle" className="fill-ash text-xs font-semibold">
          index ?
        </text>
      )}
      <text
        x={cx}
        y={cy + radius + 15}
        textAnchor="middle"
        className={`text-xs ${marked ? 'fill-madder font-semibold' : 'fill-slate'}`}
      >
        {title}
        {indexDeg === null ? '' : `, cylinder ${plan?.firingOrder[0] ?? 1} at ${indexDeg}°`}
      </text>
    </g>
  );
  return (
    <svg width={size.widthPx} height={size.heightPx} role="img" aria-labelledby={`${id}t ${id}d`}>
      <title id={`${id}t`}>{`Towers of ${cap.printed}`}</title>
      <desc id={`${id}d`}>
        {plan ? `Firing order ${plan.firingOrder.join(', ')}, rotor turns ${plan.rotation ?? 'an unknown way'}. ` : ''}
        {differs
          ? `Its first tower stands at ${cap.shape.indexDeg}°, asked ${asked.indexDeg}°.`
          : 'Its towers stand as asked.'}
      </desc>
      {towersOf(size.widthPx * 0.27, drawing.towers, false, 'engine', asked.indexDeg)}
      {towersOf(size.widthPx * 0.73, own, differs, 'picked', cap.shape.indexDeg)}
      <text x={size.widthPx / 2} y="14" textAnchor="middle" className="fill-slate text-xs">
        fires <tspan className="num">{plan?.firingOrder.join('–') ?? '?'}</tspan>, rotor turns {plan?.rotation ?? '?'}
      </text>
    </svg>
  );
}

interface RotorPlanProps {
  readonly rotor: { readonly printed: string; readonly shape: RotorShape };
  readonly drawing: DrawingOf<'rotor'>;
  readonly size: Size;
  readonly units: UnitDisplay;
}

const ROOM_MM = 76;

/** The rotor under the cap's contacts, to scale; the asked one as an outline. */
export function RotorPlan({ rotor, drawing, size, units }: RotorPlanProps) {
  const id = useId();
  const { asked, contactRadiusMm } = drawing;
  const scale = (size.heightPx - 24) / ROOM_MM;
  const [cx, cy] = [size.widthPx * 0.36, size.heightPx / 2 + 4];
  const tip = rotor.shape.tipRadiusMm;
  const strikes = tip !== null && contactRadiusMm !== null && tip >= contactRadiusMm;
  const say = (mm: number | null) => (mm === null ? 'not known' : formatQuantity('length', mm, mm, units));
  const arm = (mm: number) =>
    `M${cx - 7 * scale} ${cy + 9 * scale}L${cx - 4 * scale} ${cy - mm * scale}h${8 * scale}L${cx + 7 * scale} ${cy + 9 * scale}z`;
  return (
    <svg width={size.widthPx} height={size.heightPx} role="img" aria-labelledby={`${id}t ${id}d`}>
      <title id={`${id}t`}>{`${rotor.printed} under the cap’s contacts`}</title>
      <desc id={`${id}d`}>
        {`Tip at ${say(tip)}, asked ${say(asked.tipRadiusMm)}${strikes ? ': it strikes the contacts' : ''}.`}
      </desc>
      {contactRadiusMm !== null && (
        <circle
          cx={cx}
          cy={cy}
          r={contactRadiusMm * scale}
          fill="none"
          className="stroke-slate"
          strokeDasharray="2 6"
          strokeWidth="4"
        />
      )}
      {tip === null ? (
        <text x={cx} y={cy - 30} textAnchor="middle" className="fill-ash text-xs font-semibold">
          tip ?
        </text>
      ) : (
        <path
          d={arm(tip)}
          className={strikes ? 'fill-madder/30 stroke-madder' : 'fill-plug stroke-peat'}
          strokeLinejoin="round"
        />
      )}
      {asked.tipRadiusMm !== null && (
        <path d={arm(asked.tipRadiusMm)} fill="none" className="stroke-slate" strokeDasharray="4 3" />
      )}
      <circle cx={cx} cy={cy} r={6 * scale} className="fill-slip stroke-peat" />
      {rotor.shape.shaft === 'flat' && (
        <path d={`M${cx - 5 * scale} ${cy + 3.4 * scale}h${10 * scale}`} className="stroke-peat" strokeWidth="2" />
      )}
      {rotor.shape.shaft === 'slot' && (
        <path
          d={`M${cx - 1.2 * scale} ${cy - 6 * scale}v${4 * scale}h${2.4 * scale}v${-4 * scale}`}
          className="fill-peat"
        />
      )}
      {rotor.shape.shaft === 'square' && (
        <rect
          x={cx - 3 * scale}
          y={cy - 3 * scale}
          width={6 * scale}
          height={6 * scale}
          fill="none"
          className="stroke-peat"
          strokeWidth="1.6"
        />
      )}
      {rotor.shape.shaft === 'two-screws' &&
        [-1, 1].map((side) => (
          <circle key={side} cx={cx + side * 3.4 * scale} cy={cy + 3 * scale} r={1.3 * scale} className="fill-peat" />
        ))}
      <g className="text-xs">
        {[
          ['contacts', say(contactRadiusMm)],
          ['tip', say(tip)],
          ['tip asked', say(asked.tipRadiusMm)],
          ['height', say(rotor.shape.heightMm)],
          ['height asked', say(asked.heightMm)],
          ['seat', rotor.shape.shaft ?? 'not known'],
        ].map(([what, value], i) => (
          <text key={what} x={size.widthPx * 0.66} y={34 + i * 20} className="fill-peat">
            <tspan className="fill-soft">{what} </tspan>
            <tspan className="num">{value}</tspan>
          </text>
        ))}
      </g>
    </svg>
  );
}
