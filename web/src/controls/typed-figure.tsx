import { useState } from 'react';
import { sayIn, type Say } from '@brackenfell/core/fitment/say';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import { readQuantity, type QuantityReading } from '@brackenfell/core/quantities/read-quantity';
import { useDraft } from './draft.ts';
import { useSettings } from '../settings/settings.ts';

type Kind = 'gap' | 'plug-torque';
const WORDS: Readonly<Record<Kind, string>> = { gap: 'Gap', 'plug-torque': 'Torque' };

interface TypedFigureProps {
  readonly kind: Kind;
  /** What it is kept under while it is half typed. */
  readonly draft: string;
  readonly of: string;
  /** In the base unit of its kind: mm, N·m. */
  readonly onNote: (figure: number) => void;
  readonly onClose: () => void;
}

/** One figure of one plug, and whether it is what was written; undefined where it is asked back or no single figure. */
function oneFigure(
  reading: QuantityReading | undefined,
): { readonly figure: number; readonly isAsWritten: boolean } | undefined {
  return reading?.kind === 'read' && reading.low === reading.high
    ? { figure: reading.low, isAsWritten: reading.said === undefined }
    : undefined;
}

function remarkOn(reading: QuantityReading | undefined, kind: Kind, say: Say): string {
  switch (reading?.kind) {
    case undefined:
      return 'Enter writes it down, Esc leaves it.';
    case 'asked':
      return reading.question;
    case 'unreadable':
      return reading.why;
    case 'open':
      return `A ${WORDS[kind].toLowerCase()} has no such reading.`;
    case 'read':
      if (reading.low !== reading.high) return 'One figure: this is one plug.';
      return reading.said === undefined
        ? say.quantity(kind, reading.low)
        : `Is ${say.quantity(kind, reading.low)} meant? Enter once more writes that down.`;
  }
}

/** A gap or a torque as it is typed, in any unit: what it is read as stands beside it, and a doubtful one is asked back, never taken. */
export function TypedFigure({ kind, draft, of, onNote, onClose }: TypedFigureProps) {
  const { units } = useSettings();
  const { text, set, clear } = useDraft(draft);
  const [asked, setAsked] = useState<string>();
  const reading = text.trim() === '' ? undefined : readQuantity(text, kind, { system: systemOf(units) });
  const read = oneFigure(reading);
  const note = (figure: number) => {
    clear();
    onNote(figure);
  };
  const isDoubtful = reading !== undefined && read?.isAsWritten !== true;
  return (
    <form
      className="flex flex-wrap items-center gap-2 pt-1"
      onSubmit={(event) => {
        event.preventDefault();
        // What is not as it was written is asked once, and taken when it is said again.
        if (read && (read.isAsWritten || asked === text)) note(read.figure);
        else setAsked(text);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.preventDefault();
        onClose();
      }}
    >
      <label className="flex flex-wrap items-center gap-x-2">
        <span>
          {WORDS[kind]} of {of}
        </span>
        <input
          className="field num w-36 min-w-0"
          autoFocus
          value={text}
          maxLength={24}
          spellCheck={false}
          onChange={(event) => set(event.target.value)}
        />
      </label>
      <span className={isDoubtful ? 'text-heather' : 'text-soft'} aria-live="polite">
        {remarkOn(reading, kind, sayIn(units))}
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
