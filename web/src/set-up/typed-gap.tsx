import { useState } from 'react';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import { useDraft } from '../controls/draft.ts';
import { useSettings } from '../settings/settings.ts';

interface TypedGapProps {
  /** What it is kept under while it is half typed. */
  readonly draft: string;
  readonly of: string;
  readonly onNote: (gapMm: number) => void;
  readonly onClose: () => void;
}

/** One gap of one plug, mm, and whether it is what was written; undefined where it is asked back or no single figure. */
function oneGap(
  reading: QuantityReading | undefined,
): { readonly mm: number; readonly isAsWritten: boolean } | undefined {
  return reading?.kind === 'read' && reading.low === reading.high
    ? { mm: reading.low, isAsWritten: reading.said === undefined }
    : undefined;
}

function remarkOn(reading: QuantityReading | undefined, say: Say): string {
  switch (reading?.kind) {
    case undefined:
      return 'Enter writes it down, Esc leaves it.';
    case 'asked':
      return reading.question;
    case 'unreadable':
      return reading.why;
    case 'open':
      return 'A gap has no such reading.';
    case 'read':
      if (reading.low !== reading.high) return 'One figure: this is one plug.';
      return reading.said === undefined
        ? say.quantity('gap', reading.low)
        : `Is ${say.quantity('gap', reading.low)} meant? Enter once more writes that down.`;
  }
}

/** A gap as it is typed, in any unit: what it is read as stands beside it, and a doubtful one is asked back, never taken. */
export function TypedGap({ draft, of, onNote, onClose }: TypedGapProps) {
  const { units } = useSettings();
  const { text, set, clear } = useDraft(draft);
  const [asked, setAsked] = useState<string>();
  const reading = text.trim() === '' ? undefined : readQuantity(text, 'gap', { system: systemOf(units) });
  const gap = oneGap(reading);
  const note = (mm: number) => {
    clear();
    onNote(mm);
  };
  const isDoubtful = reading !== undefined && gap?.isAsWritten !== true;
  return (
    <form
      className="flex flex-wrap items-center gap-2 pt-1"
      onSubmit={(event) => {
        event.preventDefault();
        // What is not as it was written is asked once, and taken when it is said again.
        if (gap && (gap.isAsWritten || asked === text)) note(gap.mm);
        else setAsked(text);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.preventDefault();
        onClose();
      }}
    >
      <label className="flex items-center gap-2">
        <span>Gap of {of}</span>
        <input
          className="field num w-36"
          autoFocus
          value={text}
          maxLength={24}
          spellCheck={false}
          onChange={(event) => set(event.target.value)}
        />
      </label>
      <span className={isDoubtful ? 'text-heather' : 'text-soft'} aria-live="polite">
        {remarkOn(reading, sayIn(units))}
      </span>
      {reading?.kind === 'asked' &&
        reading.likely
          .filter(({ plausible, low, high }) => plausible && low === high)
          .map(({ label, low }) => (
            <button key={label} type="button" className="button-plain" onClick={() => note(low)}>
              <span className="num">{label}</span>
            </button>
          ))}
    </form>
  );
}
