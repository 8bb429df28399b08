import { useState } from 'react';
import type { QuantityReading } from '@brackenfell/core/quantities/read-quantity';

interface DimensionFieldProps {
  readonly label: string;
  readonly hint: string;
  readonly valueMm: number | undefined;
  readonly autoFocus: boolean;
  /** A thread is told by its size: M14, 14 mm. */
  readonly isThread: boolean;
  readonly read: (text: string) => QuantityReading;
  readonly onRead: (mm: number | undefined) => void;
}

/** One length as people write it, in any unit; what cannot be one is asked back beside it. */
export function DimensionField({ label, hint, valueMm, autoFocus, isThread, read, onRead }: DimensionFieldProps) {
  const [text, setText] = useState<string>();
  const shown = text ?? (valueMm === undefined ? '' : String(valueMm));
  const reading = shown.trim() === '' ? undefined : read(shown.replace(/^m\s*(?=\d)/i, ''));
  const asksBack = reading?.kind === 'asked' ? reading.question : undefined;
  return (
    <label className="grid gap-0.5">
      <span>{label}</span>
      <input
        className="field num"
        autoFocus={autoFocus}
        value={shown}
        maxLength={20}
        placeholder={`${isThread ? 'M' : ''}${hint}`}
        spellCheck={false}
        onChange={(event) => {
          const typed = event.target.value;
          setText(typed);
          if (typed.trim() === '') {
            onRead(undefined);
            return;
          }
          const next = read(typed.replace(/^m\s*(?=\d)/i, ''));
          if (next.kind === 'read') onRead(Number(((next.low + next.high) / 2).toFixed(3)));
        }}
        onBlur={() => setText(undefined)}
      />
      {asksBack && <span className="text-heather">{asksBack}</span>}
    </label>
  );
}
