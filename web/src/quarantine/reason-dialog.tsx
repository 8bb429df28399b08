import { useState } from 'react';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';

interface ReasonDialogProps {
  readonly title: string;
  readonly about: string;
  readonly act: string;
  readonly pending: boolean;
  readonly onReason: (reason: string) => void;
  readonly onClose: () => void;
}

/** Asks why, before what others will rest on is done. */
export function ReasonDialog({ title, about, act, pending, onReason, onClose }: ReasonDialogProps) {
  const [reason, setReason] = useState('');
  const ready = reason.trim().length >= 3 && !pending;
  return (
    <Dialog title={title} about={about} onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) onReason(reason.trim());
        }}
      >
        <label className="grid gap-1">
          <span>Why</span>
          <input
            className="field"
            autoFocus
            value={reason}
            maxLength={300}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
        <button type="submit" className="button-act justify-self-start" disabled={!ready}>
          {act} <Key>Enter</Key>
        </button>
      </form>
    </Dialog>
  );
}
