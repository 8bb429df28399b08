import { bladeOf, engraved, type OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import type { FeelerStack } from '@brackenfell/core/gap/feeler-stack';
import type { Say } from '@brackenfell/core/fitment/say';

interface StackViewProps {
  readonly title: string;
  readonly stack: FeelerStack | null;
  readonly blades: readonly OwnedBlade[];
  readonly say: Say;
  readonly errorShown?: boolean;
}

const [WIDTH, HEIGHT, PX_PER_MM] = [96, 68, 46];
const EVEN_MM = 0.0005;

/** Blades laid together, to one scale, with what is engraved on them and what they make. */
export function StackView({ title, stack, blades, say, errorShown = false }: StackViewProps) {
  if (!stack)
    return (
      <div className="stack-view">
        <b className="font-semibold">{title}</b>
        <span className="stack-none">these blades make none</span>
      </div>
    );
  const names = stack.bladesMm.map((mm) => engraved(bladeOf(blades, mm)!));
  const units = new Set(names.map((name) => name.split(' ')[1]));
  // Blades of one system name their unit once.
  const written =
    units.size === 1
      ? `${names.map((name) => name.split(' ')[0]).join(' + ')} ${[...units].join('')}`
      : names.join(' + ');
  const made = say.quantity('gap', stack.sumMm);
  const off = stack.errorMm;
  return (
    <div className="stack-view">
      <b className="font-semibold">{title}</b>
      <svg role="img" aria-label={`${names.join(' and ')} together: ${made}`} width={WIDTH} height={HEIGHT}>
        {stack.bladesMm.map((mm, i) => {
          // The thickest lies at the bottom.
          const below = stack.bladesMm.slice(0, i).reduce((sum, one) => sum + one, 0);
          const height = Math.max(1.5, mm * PX_PER_MM - 1);
          return (
            <rect
              key={i}
              x={4 + i * 6}
              y={HEIGHT - 3 - below * PX_PER_MM - height}
              width={WIDTH - 8 - i * 12}
              height={height}
              fill="var(--plug)"
              stroke="var(--slate)"
            />
          );
        })}
        <path d={`M0 ${HEIGHT - 1.5}H${WIDTH}`} stroke="var(--slate)" strokeWidth="2" />
      </svg>
      <span className="num font-semibold">{written}</span>
      <span className="text-soft">
        {stack.bladesMm.length > 1 && <span className="num">= {made}</span>}
        {errorShown &&
          (Math.abs(off) < EVEN_MM
            ? ' exactly'
            : ` ${say.quantity('gap', Math.abs(off))} ${off > 0 ? 'over' : 'under'}`)}
      </span>
      {stack.bladesMm.length > 2 && <span className="text-gorse">More than two spring apart and read thick.</span>}
    </div>
  );
}
