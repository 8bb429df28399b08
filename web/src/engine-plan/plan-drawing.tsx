import type { EnginePlan } from '@brackenfell/contract/engine-plan';
import { planPlaces } from './plan-geometry.ts';

export type CylinderTone = 'plain' | 'odd' | 'picked' | 'empty' | 'well';

const TONES: Readonly<Record<CylinderTone, string>> = {
  plain: 'fill-chalk stroke-peat',
  well: 'fill-lichen-wash stroke-lichen',
  odd: 'fill-madder-wash stroke-madder',
  picked: 'fill-bracken-wash stroke-bracken',
  empty: 'fill-slip stroke-ash',
};

interface PlanDrawingProps {
  readonly plan: EnginePlan;
  readonly says: string;
  readonly toneOf: (cylinder: number) => CylinderTone;
  /** An arrow from one cylinder to another: what is swapped. */
  readonly swap?: readonly [from: number, to: number] | undefined;
}

/** The engine's cylinders where they stand, numbered as the maker numbers them. */
export function PlanDrawing({ plan, says, toneOf, swap }: PlanDrawingProps) {
  const { widthPx, heightPx, radiusPx, cylinders } = planPlaces(plan);
  const [from, to] = swap ? [cylinders.get(swap[0]), cylinders.get(swap[1])] : [];
  return (
    <svg viewBox={`0 0 ${widthPx} ${heightPx}`} style={{ width: `${widthPx / 16}rem` }} role="img" aria-label={says}>
      {plan.banks.map((bank) => {
        const [x, y] = cylinders.get(bank.cylinders[0]!)!;
        return (
          <text key={bank.label} x={x - radiusPx} y={y - radiusPx - 6} className="fill-soft text-xs">
            {bank.label}
          </text>
        );
      })}
      {from && to && (
        <path
          d={`M${from[0]} ${from[1]}Q${(from[0] + to[0]) / 2} ${Math.max(from[1], to[1]) + 34} ${to[0]} ${to[1]}`}
          fill="none"
          className="stroke-bracken"
          strokeWidth="2"
          strokeDasharray="6 3"
        />
      )}
      {[...cylinders].map(([cylinder, [x, y]]) => {
        const tone = toneOf(cylinder);
        return (
          <g key={cylinder}>
            <circle
              cx={x}
              cy={y}
              r={radiusPx}
              className={TONES[tone]}
              strokeWidth={tone === 'plain' || tone === 'empty' ? 1.2 : 2.2}
              {...(tone === 'empty' ? { strokeDasharray: '3 3' } : {})}
            />
            <text x={x} y={y + 5} textAnchor="middle" className="num fill-peat text-sm font-semibold">
              {cylinder}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
