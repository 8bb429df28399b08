import type { BladeSet } from '@brackenfell/core/gap/blade-sets';
import type { FeelerStack } from '@brackenfell/core/gap/feeler-stack';
import type { Say } from '@brackenfell/core/fitment/say';

interface StackViewProps {
  readonly title: string;
  readonly stack: FeelerStack | null;
  readonly set: BladeSet;
  readonly say: Say;
  readonly errorShown?: boolean;
}

const PX_PER_MM = 28;
const EVEN_MM = 0.0005;

/** Blades laid together, to one scale, with what is engraved on them and what they make. */
export function StackView({ title, stack, set, say, errorShown = false }: StackViewProps) {
  if (!stack)
    return (
      <p className="border-b border-hair py-2">
        <b className="font-semibold">{title}:</b> these blades make none.
      </p>
    );
  const engraved = stack.bladesMm.map(set.engraved);
  const made = say.quantity('gap', stack.sumMm);
  const off = stack.errorMm;
  return (
    <div className="grid grid-cols-[11rem_auto_1fr] items-center gap-4 border-b border-hair py-2">
      <b className="font-semibold">{title}</b>
      <svg
        role="img"
        aria-label={`${engraved.join(' and ')} together: ${made}`}
        width={200}
        height={Math.max(8, stack.sumMm * PX_PER_MM + 4)}
      >
        {stack.bladesMm.map((mm, i) => {
          const above = stack.bladesMm.slice(0, i).reduce((sum, one) => sum + one, 0);
          return (
            <rect
              key={i}
              x={2}
              y={2 + above * PX_PER_MM}
              width={196 - i * 14}
              height={Math.max(1.5, mm * PX_PER_MM - 1)}
              fill="var(--plug)"
              stroke="var(--line)"
            />
          );
        })}
      </svg>
      <p>
        <span className="num font-semibold">{engraved.join(' + ')}</span>
        {stack.bladesMm.length > 1 && <span className="num"> = {made}</span>}
        {errorShown && (
          <span className="text-soft">
            {Math.abs(off) < EVEN_MM
              ? ', exactly'
              : `, ${say.quantity('gap', Math.abs(off))} ${off > 0 ? 'over' : 'under'}`}
          </span>
        )}
        {stack.bladesMm.length > 2 && (
          <span className="block text-gorse">More than two blades spring apart and read thick.</span>
        )}
      </p>
    </div>
  );
}
