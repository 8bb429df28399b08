import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import { useSettings } from '../settings/settings.ts';

interface GapFieldProps {
  readonly text: string;
  readonly reading: QuantityReading | undefined;
  readonly onType: (text: string) => void;
}

const EXAMPLES: Readonly<Record<UnitDisplay, string>> = {
  metric: '0.7–0.8, or .028-.031 in',
  both: '0.7–0.8, or .028-.031 in',
  imperial: '28-31, or 0.7–0.8 mm',
};

/** The gap a sum is about, and what is asked back of it. */
export function GapField({ text, reading, onType }: GapFieldProps) {
  const { units } = useSettings();
  return (
    <>
      <label className="grid gap-1">
        <span className="text-slate">Gap, or its range</span>
        <input
          className="field num"
          autoFocus
          value={text}
          maxLength={24}
          placeholder={EXAMPLES[units]}
          spellCheck={false}
          onChange={(event) => onType(event.target.value)}
        />
      </label>
      <AskedBack reading={reading} onChoose={onType} />
    </>
  );
}

interface AskedBackProps {
  readonly reading: QuantityReading | undefined;
  readonly onChoose: (text: string) => void;
}

/** What was typed and can hardly be meant, with what it may be. */
function AskedBack({ reading, onChoose }: AskedBackProps) {
  if (reading?.kind === 'unreadable') return <p role="alert">{reading.why}</p>;
  if (reading?.kind === 'read') return reading.said ? <p className="text-soft">{reading.said}</p> : null;
  if (reading?.kind !== 'asked') return null;
  return (
    <div role="alert" className="grid gap-1 text-heather">
      <p>{reading.question}</p>
      {reading.likely
        .filter(({ plausible }) => plausible)
        .map(({ label }) => (
          <button key={label} type="button" className="button-plain justify-self-start" onClick={() => onChoose(label)}>
            {label}
          </button>
        ))}
    </div>
  );
}
