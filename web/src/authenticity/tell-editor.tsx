import { useState } from 'react';
import type { ProofTell } from '@brackenfell/contract/proof-reference';
import { logRatioOf } from '@brackenfell/core/authenticity/tell';
import { Choice } from '../controls/choice.tsx';
import { Dialog } from '../controls/dialog.tsx';
import { blankTell, FORM_NAMES, TELL_FORMS, tellId, type FormName } from './tell-forms.ts';
import { TellPicture } from './tell-picture.tsx';
import { printFactor } from './waterfall-geometry.ts';

interface TellEditorProps {
  /** The tell to change; left out for a new one. */
  readonly tell: ProofTell | undefined;
  readonly taken: readonly string[];
  readonly pending: boolean;
  readonly onSave: (tell: ProofTell) => void;
  /** Left out where it is the reference's only tell. */
  readonly onRetire: (() => void) | undefined;
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

/** Describes one tell: words, drawing, chances with their source, minutes. Saved as the reference's next version. */
export function TellEditor({ tell, taken, pending, onSave, onRetire, onClose }: TellEditorProps) {
  const [words, setWords] = useState(tell ?? blankTell('print'));
  const [figures, setFigures] = useState<Readonly<Record<FigureName, string>>>({
    ifGenuine: String(words.differs.ifGenuine),
    ifFake: String(words.differs.ifFake),
    minutes: String(words.minutes),
    seen: String(words.seen),
  });
  const value = (name: FigureName) => Number(figures[name].trim().replace(',', '.'));
  const isWrong = (name: FigureName) => {
    const typed = value(name);
    return figures[name].trim() === '' || !(typed >= FIGURES[name].low && typed <= FIGURES[name].high);
  };
  const emptyText = TEXTS.some(([name]) => name !== 'look' && words[name].trim() === '');
  const differs = { ifGenuine: value('ifGenuine'), ifFake: value('ifFake') };
  const ready = !emptyText && !NAMES.some(isWrong) && words.source.trim().length >= 3 && !pending;
  const { genuine, suspect } = words.drawing;
  return (
    <Dialog
      title={tell ? `Change ${tell.title.toLowerCase()}` : 'A new tell'}
      about="Chances are how often it differs on genuine and on fake pieces. Say where they come from. Tells that share a cause share a group."
      onClose={onClose}
    >
      <form
        className="grid grid-cols-[10rem_1fr] items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const id = tell?.id ?? tellId(words.title, taken);
          if (ready) onSave({ ...words, id, differs, minutes: value('minutes'), seen: value('seen') });
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
        {!tell && (
          <Choice<FormName>
            label="Drawn as"
            value={genuine.form as FormName}
            options={FORM_NAMES.map((form) => ({ value: form, says: TELL_FORMS[form].label }))}
            onChange={(form) => {
              const { place, aspect, drawing } = TELL_FORMS[form];
              setWords({ ...words, place, aspect, drawing });
            }}
            labelClass=""
            className="contents"
          />
        )}
        <div className="col-start-2 flex items-center gap-3">
          <span className="w-24 text-center text-xs">
            <TellPicture drawing={genuine} genuine says="How the genuine one is drawn" /> genuine
          </span>
          <span className="w-24 text-center text-xs">
            <TellPicture drawing={suspect} genuine={false} says="How the suspect one is drawn" /> suspect
          </span>
          <button
            type="button"
            className="button-plain"
            onClick={() => setWords({ ...words, drawing: { genuine: suspect, suspect: genuine } })}
          >
            The other way round
          </button>
        </div>
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
          {tell && onRetire && (
            <button type="button" className="button-plain" disabled={pending} onClick={onRetire}>
              Retire this tell
            </button>
          )}
        </p>
      </form>
    </Dialog>
  );
}
