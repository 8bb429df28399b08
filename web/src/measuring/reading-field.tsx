import { useState } from 'react';
import type { QuantityKind } from '@brackenfell/core/quantities/plausible-ranges';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import { Mark } from '../controls/mark.tsx';

/** A figure as it is typed, with what it is read as. */
export function useFigure(kind: QuantityKind, initial = '') {
  const [text, setText] = useState(initial);
  const read = text.trim() === '' ? undefined : readQuantity(text, kind);
  const value = read?.kind === 'read' ? (read.low + read.high) / 2 : undefined;
  const remark =
    read === undefined
      ? ''
      : read.kind === 'asked'
        ? read.question
        : read.kind === 'unreadable'
          ? read.why
          : read.kind === 'open'
            ? 'Open circuit: the winding is broken.'
            : (read.said ?? '');
  return { text, setText, value, remark };
}

export function Field({
  label,
  figure,
  first = false,
  plain = false,
}: {
  label: string;
  figure: ReturnType<typeof useFigure>;
  first?: boolean;
  /** Of the meter, not of a part: no usual range to hold it against. */
  plain?: boolean;
}) {
  return (
    <label className="grid grid-cols-[1fr_8rem] items-center gap-x-3">
      <span>{label}</span>
      <input
        className="field num"
        autoFocus={first}
        value={figure.text}
        maxLength={40}
        onChange={(event) => figure.setText(event.target.value)}
      />
      {!plain && figure.remark !== '' && <span className="col-span-2 text-xs text-slate">{figure.remark}</span>}
    </label>
  );
}

interface AnswerProps {
  readonly kind: 'match' | 'caution' | 'refuse' | 'unknown';
  readonly figure: string;
  readonly says: string;
  readonly toDo: string;
}

/** What a reading means, and what to do. */
export function Answer({ kind, figure, says, toDo }: AnswerProps) {
  return (
    <div className="grid gap-0.5">
      <p className="flex items-center gap-2">
        <Mark kind={kind} rem={1} /> <b className="num font-semibold">{figure}</b>
      </p>
      <p>
        {says} <span className="text-slate">{toDo}</span>
      </p>
    </div>
  );
}
