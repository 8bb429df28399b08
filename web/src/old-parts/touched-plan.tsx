import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import { GROUP_WORDS, type TouchedGroup } from '@brackenfell/core/old-parts/comeback-checks';

interface TouchedPlanProps {
  readonly plan: EnginePlan;
  /** What this engine has of what may be touched. */
  readonly groups: readonly TouchedGroup[];
  readonly untouched: readonly TouchedGroup[];
  /** What the next check looks at; undefined where it is none of them. */
  readonly next: TouchedGroup | undefined;
  /** The cylinder that a code read here names. */
  readonly coded: number | undefined;
}

const STEP = 92;
const LEFT = 64;
const BANK = 128;
/** What stands beside the engine, each in a box of its own. */
const BESIDE = ['cap', 'battery', 'earth', 'isolated'] as const satisfies readonly TouchedGroup[];

/** The engine from above with what was touched drawn full, and what was not drawn broken and pale. */
export function TouchedPlan({ plan: { banks }, groups, untouched, next, coded }: TouchedPlanProps) {
  const most = Math.max(2, ...banks.map(({ cylinders }) => cylinders.length));
  const right = LEFT + most * STEP;
  const height = banks.length * BANK + 8;
  const lineOf = (group: TouchedGroup) => ({
    stroke: group === next ? 'var(--bracken)' : 'var(--peat)',
    strokeWidth: group === next ? 3 : 1.4,
    strokeDasharray: untouched.includes(group) ? '3 3' : undefined,
    opacity: untouched.includes(group) ? 0.55 : 1,
  });
  const has = (group: TouchedGroup) => groups.includes(group);
  const beside = BESIDE.filter(has);
  const touched = groups.filter((group) => !untouched.includes(group));
  return (
    <figure className="grid gap-1">
      <svg
        viewBox={`0 0 ${right + 176} ${height}`}
        className="w-full max-w-2xl"
        role="img"
        aria-label={`From above. Touched, or not known: ${touched.map((group) => GROUP_WORDS[group]).join(', ')}.${
          next ? ` Next: ${GROUP_WORDS[next]}.` : ''
        }`}
        fontSize="11"
        fill="none"
      >
        {banks.map((bank, row) => (
          <g key={bank.label} transform={`translate(0 ${row * BANK})`}>
            {has('connectors') && <path d={`M${LEFT} 16H${right - 20}`} {...lineOf('connectors')} />}
            <rect x={LEFT - 8} y="34" width={bank.cylinders.length * STEP} height="72" stroke="var(--line)" />
            {bank.cylinders.map((cylinder, i) => {
              const x = LEFT + i * STEP + 38;
              return (
                <g key={cylinder} transform={`translate(${x} 0)`}>
                  {cylinder === coded && <rect x="-40" y="6" width="80" height="112" fill="var(--bracken-wash)" />}
                  {has('connectors') && (
                    <g {...lineOf('connectors')}>
                      <path d="M0 16V24" />
                      <rect x="-8" y="24" width="16" height="11" fill="var(--slip)" />
                    </g>
                  )}
                  {has('leads') && <path d="M0 36Q18 24 34 36" {...lineOf('leads')} />}
                  {has('coils') && !has('cap') && (
                    <rect x="-15" y="35" width="30" height="22" fill="var(--slip)" {...lineOf('coils')} />
                  )}
                  <rect x="-10" y="57" width="20" height="14" fill="var(--slip)" {...lineOf('boots')} />
                  <circle cy="86" r="16" fill="var(--slip)" {...lineOf('plugs')} />
                  <text
                    y="91"
                    textAnchor="middle"
                    fontSize="14"
                    fontWeight="600"
                    fill={cylinder === coded ? 'var(--bracken)' : 'var(--peat)'}
                  >
                    {cylinder}
                  </text>
                </g>
              );
            })}
            <path d={`M${LEFT} 113H${LEFT + bank.cylinders.length * STEP - 20}`} {...lineOf('intake')} />
            <text x="4" y="117" fill="var(--soft)">
              intake
            </text>
            {row === 0 && has('connectors') && (
              <text x="4" y="20" fill="var(--soft)">
                loom
              </text>
            )}
            {row === 0 && has('coils') && !has('cap') && (
              <text x="4" y="50" fill="var(--soft)">
                coils
              </text>
            )}
            {row === 0 && (
              <>
                <text x="4" y="68" fill="var(--soft)">
                  boots
                </text>
                <text x="4" y="90" fill="var(--soft)">
                  plugs
                </text>
              </>
            )}
          </g>
        ))}
        {beside.map((group, i) => (
          <g key={group} transform={`translate(${right} ${8 + i * 30})`}>
            <rect width="168" height="24" fill="var(--slip)" {...lineOf(group)} />
            <text x="8" y="16" fill={untouched.includes(group) ? 'var(--soft)' : 'var(--peat)'}>
              {GROUP_WORDS[group]}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-xs text-soft">
        Drawn full: touched, or not known. Broken and pale: not touched, counts a tenth.
      </figcaption>
    </figure>
  );
}
