import { middleOf } from '@brackenfell/core/gap/gap-move';
import { sayIn } from '@brackenfell/core/fitment/say';
import { FeelerPanel, feelerWords } from '../set-up/feeler-panel.tsx';
import { useBlades } from '../set-up/use-blades.ts';
import { useSettings } from '../settings/settings.ts';
import { BladesOwned } from './blades-owned.tsx';
import { CopyText } from './copy-text.tsx';
import { GapField } from './gap-field.tsx';
import { readGap } from './read-gap.ts';
import { SumPage } from './sum-page.tsx';
import { useTyped } from './use-typed.ts';

/** Which blades make a gap, and which pair tells a gap inside its range: for a quick answer, without a slip. */
export function FeelersPage() {
  const { typed, text, set } = useTyped();
  const { units } = useSettings();
  const { known, owned } = useBlades();
  const reading = readGap(typed, units);
  const say = sayIn(units);
  return (
    <SumPage
      title="Feelers"
      about="Which blades make a gap, or tell one inside its range."
      answerLabel="What the blades make"
      fields={<GapField text={text('gap')} reading={reading} onType={(gap) => set('gap', gap)} />}
      beside={owned && known && <BladesOwned key={owned.at} owned={owned} blades={known.blades} />}
    >
      {reading?.kind === 'read' ? (
        <section aria-label="To set and to tell it">
          <h2 className="text-head font-semibold">
            {reading.low === reading.high
              ? `For ${say.quantity('gap', reading.low)}`
              : `For ${say.quantity('gap', middleOf(reading))}, the middle of ${say.span('gap', reading)}, and to tell one inside`}
          </h2>
          <FeelerPanel range={reading} known={known} say={say} />
          <CopyText title="Feelers" lines={feelerWords({ range: reading, known, say })} />
        </section>
      ) : (
        <p className="text-soft">Type a gap, and the blades for it stand here.</p>
      )}
      <p className="max-w-2xl text-soft">
        Wipe the blades; a light drag, never forced; the middle blade first. A fine wire is gauged with a wire or a
        blade, never a ramp, and the centre tip is never levered on.
      </p>
    </SumPage>
  );
}
