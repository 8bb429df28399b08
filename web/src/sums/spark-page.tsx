import { sayIn } from '@brackenfell/core/fitment/say';
import { Choice } from '../controls/choice.tsx';
import { useSettings } from '../settings/settings.ts';
import { GapField } from './gap-field.tsx';
import { readGap } from './read-gap.ts';
import { Estimate, NotEstimated } from './spark-estimate.tsx';
import { chosen, COIL_FIGURES, ENGINE_FIGURES, FUELS, PLACES, readSparkInputs, TIPS, WAYS } from './spark-inputs.ts';
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
  const choice = (
    name: string,
    label: string,
    options: readonly { readonly value: string; readonly says: string }[],
  ) => (
    <Choice
      label={label}
      labelClass=""
      value={chosen(typed, name, options)}
      options={options}
      onChange={(value) => set(name, value)}
      className="grid gap-0.5"
    />
  );
  return (
    <>
      <aside className="desk-list" aria-label="What is reckoned with">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">Spark demand</h1>
          <p className="text-soft">What the gap asks, against what the coil gives.</p>
        </div>
        <form
          className="grid min-h-0 flex-1 content-start gap-1.5 overflow-auto p-3"
          onSubmit={(event) => event.preventDefault()}
        >
          <GapField text={text('gap')} reading={readGap(typed, units)} onType={(gap) => set('gap', gap)} />
          {choice('tip', 'Tip', TIPS)}
          {choice('way', 'The spark runs', WAYS)}
          {ENGINE_FIGURES.map((one) => field(one))}
          {choice('fuel', 'Fuel', FUELS)}
          {choice('place', 'Coil', PLACES)}
          {COIL_FIGURES.map((one) => field(one))}
        </form>
      </aside>
      <main className="desk-main" aria-label="Demand and reserve">
        <div
          className="grid content-start gap-4 overflow-auto p-4"
          tabIndex={0}
          role="region"
          aria-label="The estimate"
        >
          {reading.kind === 'asked' ? (
            <Estimate asked={reading.asked} say={sayIn(units)} />
          ) : (
            <NotEstimated missing={reading.missing} wrong={reading.wrong} />
          )}
        </div>
      </main>
    </>
  );
}
