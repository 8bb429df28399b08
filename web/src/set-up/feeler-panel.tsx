import type { Span } from '@brackenfell/core/facts/fact-shapes';
import type { Say } from '@brackenfell/core/fitment/say';
import { bladeOf, engraved, thicknessMm } from '@brackenfell/core/gap/blade-sets';
import { feelerStack, goNoGo, type FeelerStack } from '@brackenfell/core/gap/feeler-stack';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import { StackView } from './stack-view.tsx';
import type { Blades } from './use-blades.ts';

interface FeelerPanelProps {
  readonly range: Span;
  readonly known: Blades | undefined;
  readonly say: Say;
}

const ASSUMED = 'Which blades this shop owns could not be asked: a usual set is reckoned with.';

/** What the blades make of a range, in words: what sets it and what tells it. */
export function feelerWords({ range, known, say }: FeelerPanelProps): readonly string[] {
  if (!known) return [];
  const { blades, areAssumed } = known;
  const thick = blades.map(thicknessMm);
  const named = (stack: FeelerStack | null) =>
    stack ? stack.bladesMm.map((mm) => engraved(bladeOf(blades, mm)!)).join(' + ') : 'none of these blades';
  const answer = feelerStack(thick, middleOf(range));
  const pair = goNoGo(thick, range);
  return [
    answer.kind === 'hit'
      ? `To set ${say.quantity('gap', middleOf(range))}: ${named(answer.stack)}`
      : `Nearest to ${say.quantity('gap', middleOf(range))}: ${named(answer.below)} below, ${named(answer.above)} above`,
    ...(range.low === range.high ? [] : [`Go: ${named(pair.go)}. No-go: ${named(pair.noGo)}`]),
    ...(areAssumed ? [ASSUMED] : []),
  ];
}

/** Which of the shop's blades make the gap, and which pair tells one inside its range. */
export function FeelerPanel({ range, known, say }: FeelerPanelProps) {
  if (!known) return <p className="text-soft">Looking which blades this shop owns …</p>;
  const { blades, areAssumed } = known;
  const thick = blades.map(thicknessMm);
  const answer = feelerStack(thick, middleOf(range));
  const pair = goNoGo(thick, range);
  const stacks =
    answer.kind === 'hit'
      ? [['To set it', answer.stack] as const]
      : [['The nearest below', answer.below] as const, ['The nearest above', answer.above] as const];
  return (
    <>
      {areAssumed && (
        <p role="status" className="text-gorse">
          {ASSUMED}
        </p>
      )}
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
