import type { PlainReading } from '@brackenfell/core/quantities/plain-figure';
import type { QuantityReading } from '@brackenfell/core/quantities/read-quantity';

interface AskedBackProps {
  readonly reading: QuantityReading | PlainReading | undefined;
  readonly onChoose: (text: string) => void;
}

/** What was typed and can hardly be meant, with what it may be. */
export function AskedBack({ reading, onChoose }: AskedBackProps) {
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
