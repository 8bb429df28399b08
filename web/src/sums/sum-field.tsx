import type { PlainReading } from '@brackenfell/core/quantities/plain-figure';
import type { QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import { AskedBack } from '../measuring/asked-back.tsx';

interface SumFieldProps {
  readonly label: string;
  readonly text: string;
  readonly onType: (text: string) => void;
  /** What it is read as. */
  readonly reading?: QuantityReading | PlainReading | undefined;
  /** What is wrong with it besides. */
  readonly wrong?: string | undefined;
  readonly example?: string;
  readonly first?: boolean;
}

/** One figure of a sum, in any unit, with what is asked back of it right below. */
export function SumField({ label, text, onType, reading, wrong, example = '', first = false }: SumFieldProps) {
  return (
    <div className="grid gap-0.5">
      <label className="grid grid-cols-[1fr_8.5rem] items-center gap-2">
        <span>{label}</span>
        <input
          className="field num"
          autoFocus={first}
          value={text}
          maxLength={40}
          placeholder={example}
          spellCheck={false}
          onChange={(event) => onType(event.target.value)}
        />
      </label>
      {wrong && (
        <p role="alert" className="text-madder">
          {wrong}
        </p>
      )}
      <AskedBack reading={reading} onChoose={onType} />
    </div>
  );
}
