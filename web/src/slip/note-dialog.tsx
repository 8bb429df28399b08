import { useLayoutEffect } from 'react';
import { Dialog } from '../controls/dialog.tsx';
import { useDraft } from '../controls/draft.ts';

interface NoteDialogProps {
  readonly docket: string;
  /** The slip, or the note that is written anew: half-typed text is kept under it. */
  readonly draft: string;
  /** The wording so far, where a note is mended. */
  readonly wording?: string;
  readonly store: (text: string) => void;
  readonly onClose: () => void;
}

/** Writes down what was said or found, as it was said; half typed it is kept. */
export function NoteDialog({ docket, draft, wording = '', store, onClose }: NoteDialogProps) {
  const { text, set, clear } = useDraft(`note ${draft}`);
  useLayoutEffect(() => {
    if (text === '' && wording !== '') set(wording);
    // Only at first: an emptied field stays empty.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
  return (
    <Dialog title={wording === '' ? `Note on slip ${docket}` : 'Write the note anew'} onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() === '') return;
          store(text.trim());
          clear();
          onClose();
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">What was said or found</span>
          <input
            className="field"
            autoFocus
            data-words
            value={text}
            maxLength={400}
            onChange={(event) => set(event.target.value)}
          />
        </label>
        <p className="flex gap-2">
          <button type="submit" className="button-act" disabled={text.trim() === ''}>
            Write it down
          </button>
          {text !== '' && (
            <button
              type="button"
              className="button-plain"
              onClick={() => {
                clear();
                onClose();
              }}
            >
              Throw it away
            </button>
          )}
        </p>
      </form>
    </Dialog>
  );
}
