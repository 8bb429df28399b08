import type { Span } from '@brackenfell/core/facts/fact-shapes';
import type { Say } from '@brackenfell/core/fitment/say';
import { thicknessMm, type OwnedBlade } from '@brackenfell/core/gap/blade-sets';
import { feelerStack, goNoGo } from '@brackenfell/core/gap/feeler-stack';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import { StackView } from './stack-view.tsx';

interface FeelerPanelProps {
  readonly range: Span;
  readonly blades: readonly OwnedBlade[];
  readonly say: Say;
}

/** Which of the shop's blades make the gap, and which pair tells one inside its range. */
export function FeelerPanel({ range, blades, say }: FeelerPanelProps) {
  const thick = blades.map(thicknessMm);
  const answer = feelerStack(thick, middleOf(range));
  const pair = goNoGo(thick, range);
  const stacks =
    answer.kind === 'hit'
      ? [['To set it', answer.stack] as const]
      : [['The nearest below', answer.below] as const, ['The nearest above', answer.above] as const];
  return (
    <>
      {answer.kind === 'near' && <p>These blades make nothing within 0.01 mm of it, three together at most.</p>}
      <div className="flex flex-wrap gap-x-2 gap-y-2">
        {range.low !== range.high && <StackView title="Go: it enters" stack={pair.go} blades={blades} say={say} />}
        {stacks.map(([title, stack]) => (
          <StackView key={title} title={title} stack={stack} blades={blades} say={say} errorShown />
        ))}
        {range.low !== range.high && (
          <StackView title="No-go: it does not" stack={pair.noGo} blades={blades} say={say} />
        )}
      </div>
    </>
  );
}
