import type { UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import { AskedBack } from '../measuring/asked-back.tsx';
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
