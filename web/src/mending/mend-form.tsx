import type { MendingChange } from '@brackenfell/contract/mending';
import { Key } from '../controls/key.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { useKeys } from '../keys/keys.ts';
import { useMend } from './use-mending.ts';

interface MendFormProps {
  readonly partId: string;
  readonly label: string;
  /** What its button says. */
  readonly says: string;
  /** Undefined while something is missing. */
  readonly change: MendingChange | undefined;
  /** What it would make of verdicts is known, where it makes any. */
  readonly isReady?: boolean;
  readonly onDone: () => void;
  readonly children: React.ReactNode;
}

/** One change of a part filled in: Enter in a field or Ctrl Enter records it, Escape leaves it. */
export function MendForm({ partId, label, says, change, isReady = true, onDone, children }: MendFormProps) {
  const mend = useMend(partId);
  const may = change !== undefined && isReady && !mend.isPending;
  const keep = () => {
    if (may) mend.mutate(change, { onSuccess: onDone });
  };
  useKeys(label, [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: says, run: keep }]);
  return (
    <form
      className="grid gap-2 border border-line bg-slip p-3"
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.preventDefault();
        onDone();
      }}
    >
      {children}
      <Trouble error={mend.error} />
      <p className="flex gap-2">
        <button type="submit" className="button-act" disabled={!may}>
          {says} <Key>Ctrl Enter</Key>
        </button>
        <button type="button" className="button-quiet" onClick={onDone}>
          Leave it
        </button>
      </p>
    </form>
  );
}
