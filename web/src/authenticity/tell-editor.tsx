import { useState } from 'react';
import type { ProofTell } from '@brackenfell/contract/proof-reference';
import { logRatioOf } from '@brackenfell/core/authenticity/tell';
import { Dialog } from '../controls/dialog.tsx';
import { printFactor } from './waterfall-geometry.ts';

interface TellEditorProps {
  readonly tell: ProofTell;
  readonly pending: boolean;
  readonly mayRetire: boolean;
  readonly onSave: (tell: ProofTell) => void;
  readonly onRetire: () => void;
  readonly onClose: () => void;
}

/** How a figure must be typed: where it must lie, ends included. */
const FIGURES = {
  ifGenuine: { label: 'Differs on genuine', low: 0.001, high: 0.999 },
  ifFake: { label: 'Differs on fake', low: 0.001, high: 0.999 },
  minutes: { label: 'Minutes of work', low: 0.1, high: 60 },
  seen: { label: 'Chance it can be seen', low: 0.05, high: 1 },
} as const;
type FigureName = keyof typeof FIGURES;
const NAMES = Object.keys(FIGURES) as FigureName[];

const TEXTS = [
  ['title', 'Title', 40],
  ['genuine', 'Genuine looks', 60],
  ['suspect', 'Suspect looks', 60],
  ['look', 'What to look at', 200],
  ['group', 'Group', 30],
  ['source', 'Source of the chances', 120],
] as const;

/** Changes one tell: words, chances with their source, minutes. Saved as the reference's next version. */
export function TellEditor({ tell, pending, mayRetire, onSave, onRetire, onClose }: TellEditorProps) {
  const [words, setWords] = useState(tell);
  const [figures, setFigures] = useState<Readonly<Record<FigureName, string>>>({
    ifGenuine: String(tell.differs.ifGenuine),
    ifFake: String(tell.differs.ifFake),
    minutes: String(tell.minutes),
    seen: String(tell.seen),
  });
  const value = (name: FigureName) => Number(figures[name].trim().replace(',', '.'));
  const isWrong = (name: FigureName) => {
    const typed = value(name);
    return figures[name].trim() === '' || !(typed >= FIGURES[name].low && typed <= FIGURES[name].high);
  };
  const emptyText = TEXTS.some(([name]) => name !== 'look' && words[name].trim() === '');
  const differs = { ifGenuine: value('ifGenuine'), ifFake: value('ifFake') };
  const ready = !emptyText && !NAMES.some(isWrong) && words.source.trim().length >= 3 && !pending;
  return (
    <Dialog
      title={`Change ${tell.title.toLowerCase()}`}
      about="Chances are how often it differs on genuine and on fake pieces. Say where they come from."
      onClose={onClose}
    >
      <form
        className="grid grid-cols-[10rem_1fr] items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) onSave({ ...words, differs, minutes: value('minutes'), seen: value('seen') });
        }}
      >
        {TEXTS.map(([name, label, longest], i) => (
          <label key={name} className="contents">
            <span>{label}</span>
            <input
              className="field"
              autoFocus={i === 0}
              value={words[name]}
              maxLength={longest}
              onChange={(event) => setWords({ ...words, [name]: event.target.value })}
            />
          </label>
        ))}
        {NAMES.map((name) => (
          <label key={name} className="contents">
            <span>{FIGURES[name].label}</span>
            <span>
              <input
                className="field num"
                inputMode="decimal"
                value={figures[name]}
                maxLength={8}
                onChange={(event) => setFigures({ ...figures, [name]: event.target.value })}
              />
              {isWrong(name) && (
                <span className="text-xs text-madder">
                  From {FIGURES[name].low} to {FIGURES[name].high}.
                </span>
              )}
            </span>
          </label>
        ))}
        {!isWrong('ifGenuine') && !isWrong('ifFake') && (
          <p className="col-start-2 text-soft">
            Differs: {printFactor(logRatioOf({ differs }, 'differs'))}; as genuine:{' '}
            {printFactor(logRatioOf({ differs }, 'genuine-like'))}, before the caps.
          </p>
        )}
        <p className="col-start-2 flex gap-2">
          <button type="submit" className="button-act" disabled={!ready}>
            Save the next version
          </button>
          {mayRetire && (
            <button type="button" className="button-plain" disabled={pending} onClick={onRetire}>
              Retire this tell
            </button>
          )}
        </p>
      </form>
    </Dialog>
  );
}
