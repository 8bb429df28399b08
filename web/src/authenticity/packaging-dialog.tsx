import { useState } from 'react';
import { Dialog } from '../controls/dialog.tsx';

export interface NewPackaging {
  readonly generation: string;
  readonly title: string;
  readonly from: string;
}

interface PackagingDialogProps {
  readonly maker: string;
  readonly taken: readonly string[];
  readonly pending: boolean;
  readonly onSave: (packaging: NewPackaging) => void;
  readonly onClose: () => void;
}

/** A maker's next packaging: it begins with the tells of the one at hand, to be changed where it differs. */
export function PackagingDialog({ maker, taken, pending, onSave, onClose }: PackagingDialogProps) {
  const [title, setTitle] = useState('');
  const [from, setFrom] = useState('');
  const generation = title
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^-+|-+$/g, '')
    .slice(0, 20);
  const isTaken = taken.includes(generation);
  const ready = generation !== '' && !isTaken && from !== '' && !pending;
  return (
    <Dialog
      title={`A new packaging of ${maker}`}
      about="It begins with the tells of the packaging at hand; change what differs. Batch codes choose between packagings by their date."
      onClose={onClose}
    >
      <form
        className="grid grid-cols-[8rem_1fr] items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) onSave({ generation, title: `${maker}, ${title.trim()}`, from });
        }}
      >
        <label className="contents">
          <span>How it looks</span>
          <input
            className="field"
            autoFocus
            value={title}
            maxLength={40}
            placeholder="green box from 2027"
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
        {isTaken && <p className="col-start-2 text-madder">There is a packaging of that name.</p>}
        <label className="contents">
          <span>Came in on</span>
          <input className="field" type="date" value={from} onChange={(event) => setFrom(event.target.value)} />
        </label>
        <button type="submit" className="button-act col-start-2 justify-self-start" disabled={!ready}>
          Begin it
        </button>
      </form>
    </Dialog>
  );
}
