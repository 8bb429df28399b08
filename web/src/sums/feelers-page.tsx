import { BLADE_SETS, type BladeSet } from '@brackenfell/core/gap/blade-sets';
import { feelerStack, goNoGo } from '@brackenfell/core/gap/feeler-stack';
import { middleOf } from '@brackenfell/core/gap/gap-move';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { Choice } from '../controls/choice.tsx';
import { useSettings } from '../settings/settings.ts';
import { GapField } from './gap-field.tsx';
import { readGap } from './read-gap.ts';
import { StackView } from './stack-view.tsx';
import { useTyped } from './use-typed.ts';

/** Which blades make a gap, and which pair tells a gap inside its range: for a quick answer, without a slip. */
export function FeelersPage() {
  const { typed, text, set } = useTyped();
  const { units } = useSettings();
  const blades = BLADE_SETS.find(({ id }) => id === text('blades')) ?? BLADE_SETS[0]!;
  const reading = readGap(typed, units);
  return (
    <>
      <aside className="desk-list" aria-label="What is to be gauged">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Feelers</h1>
          <p className="text-soft">Which blades make a gap, or tell one inside its range.</p>
        </div>
        <form className="grid gap-2 p-3" onSubmit={(event) => event.preventDefault()}>
          <GapField text={text('gap')} reading={reading} onType={(gap) => set('gap', gap)} />
          <Choice
            label="Blades"
            value={blades.id}
            options={BLADE_SETS.map(({ id, says }) => ({ value: id, says }))}
            onChange={(id) => set('blades', id)}
          />
          <p className="text-soft">A usual set: what is missing in yours is not known here.</p>
        </form>
      </aside>
      <main className="desk-main" aria-label="Blades">
        <div
          className="grid content-start gap-4 overflow-auto p-4"
          tabIndex={0}
          role="region"
          aria-label="What the blades make"
        >
          {reading?.kind === 'read' ? (
            <Answer low={reading.low} high={reading.high} set={blades} say={sayIn(units)} />
          ) : (
            <p className="text-soft">Type a gap, and the blades for it stand here.</p>
          )}
        </div>
      </main>
    </>
  );
}

interface AnswerProps {
  readonly low: number;
  readonly high: number;
  readonly set: BladeSet;
  readonly say: Say;
}

function Answer({ low, high, set, say }: AnswerProps) {
  const answer = feelerStack(set.bladesMm, middleOf({ low, high }));
  const stacks =
    answer.kind === 'hit'
      ? [['To set it', answer.stack] as const]
      : [['The nearest below', answer.below] as const, ['The nearest above', answer.above] as const];
  const pair = goNoGo(set.bladesMm, { low, high });
  return (
    <>
      <section aria-label="To set it">
        <h2 className="text-head font-semibold">
          {low === high ? `For ${say.quantity('gap', low)}` : `For the middle of ${say.span('gap', { low, high })}`}
        </h2>
        {answer.kind === 'near' && <p>These blades make nothing within 0.01 mm of it, three together at most.</p>}
        {stacks.map(([title, stack]) => (
          <StackView key={title} title={title} stack={stack} set={set} say={say} errorShown />
        ))}
      </section>
      {low !== high && (
        <section aria-label="To tell it">
          <h2 className="text-head font-semibold">To tell whether a gap lies inside</h2>
          <StackView title="Go: it enters" stack={pair.go} set={set} say={say} />
          <StackView title="No-go: it does not" stack={pair.noGo} set={set} say={say} />
        </section>
      )}
      <p className="max-w-2xl text-soft">
        Wipe the blades; a light drag, never forced; the middle blade first. A fine wire is gauged with a wire or a
        blade, never a ramp, and the centre tip is never levered on.
      </p>
    </>
  );
}
