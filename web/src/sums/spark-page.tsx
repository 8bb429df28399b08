import { sayIn } from '@brackenfell/core/fitment/say';
import { useSettings } from '../settings/settings.ts';
import { GapField } from './gap-field.tsx';
import { readGap } from './read-gap.ts';
import { Estimate, NotEstimated } from './spark-estimate.tsx';
import { COIL_FIGURES, ENGINE_FIGURES, FUELS, PLACES, readSparkInputs, TIPS, WAYS } from './spark-inputs.ts';
import { SumChoice } from './sum-choice.tsx';
import { SumPage } from './sum-page.tsx';
import { useTyped } from './use-typed.ts';

/** What a spark asks at a gap against what the coil can give: an estimate, told as one. */
export function SparkPage() {
  const { typed, text, set } = useTyped();
  const { units } = useSettings();
  const reading = readSparkInputs(typed, units);
  const field = ({ name, label }: { readonly name: string; readonly label: string }) => (
    <label key={name} className="grid grid-cols-[1fr_7rem] items-center gap-2">
      <span>{label}</span>
      <input
        className="field num"
        inputMode="decimal"
        value={text(name)}
        maxLength={16}
        spellCheck={false}
        onChange={(event) => set(name, event.target.value)}
      />
    </label>
  );
  return (
    <SumPage
      title="Spark demand"
      about="What the gap asks, against what the coil gives."
      answerLabel="The estimate"
      fields={
        <>
          <GapField text={text('gap')} reading={readGap(typed, units)} onType={(gap) => set('gap', gap)} />
          <SumChoice name="tip" label="Tip" options={TIPS} typed={typed} onChoose={set} />
          <SumChoice name="way" label="The spark runs" options={WAYS} typed={typed} onChoose={set} />
          {ENGINE_FIGURES.map((one) => field(one))}
          <SumChoice name="fuel" label="Fuel" options={FUELS} typed={typed} onChoose={set} />
          <SumChoice name="place" label="Coil" options={PLACES} typed={typed} onChoose={set} />
          {COIL_FIGURES.map((one) => field(one))}
        </>
      }
    >
      {reading.kind === 'asked' ? (
        <Estimate asked={reading.asked} say={sayIn(units)} />
      ) : (
        <NotEstimated missing={reading.missing} wrong={reading.wrong} />
      )}
    </SumPage>
  );
}
