import { useState } from 'react';
import { Dialog } from '../controls/dialog.tsx';

/** Writes down what was said or found, as it was said. */
export function NoteDialog({
  docket,
  pending,
  store,
  onClose,
}: {
  docket: number;
  pending: boolean;
  store: (text: string) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  return (
    <Dialog title={`Note on slip ${docket}`} onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== '') store(text.trim());
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">What was said or found</span>
          <input
            className="field"
            autoFocus
            value={text}
            maxLength={400}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <button type="submit" className="button-act justify-self-start" disabled={pending || text.trim() === ''}>
          Write it down
        </button>
      </form>
    </Dialog>
  );
}
