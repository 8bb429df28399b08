import type { MendingChange } from '@brackenfell/contract/mending';
import { Trouble } from '../controls/trouble.tsx';
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
  /** What is told between the fields and the buttons. */
  readonly told?: React.ReactNode;
}

/** One change of a part filled in: Enter records it, Escape leaves it. */
export function MendForm({ partId, label, says, change, isReady = true, onDone, children, told }: MendFormProps) {
  const mend = useMend(partId);
  return (
    <form
      className="grid gap-2 border border-line bg-slip p-3"
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        if (change && isReady && !mend.isPending) mend.mutate(change, { onSuccess: onDone });
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.preventDefault();
        onDone();
      }}
    >
      <div className="flex flex-wrap items-start gap-3">{children}</div>
      {told}
      <Trouble error={mend.error} />
      <p className="flex gap-2">
        <button type="submit" className="button-act" disabled={!change || !isReady || mend.isPending}>
          {says}
        </button>
        <button type="button" className="button-quiet" onClick={onDone}>
          Leave it
        </button>
      </p>
    </form>
  );
}
