import { useState } from 'react';
import { pieceLabel } from '@brackenfell/core/authenticity/inspection';
import { MEASURED } from '@brackenfell/core/authenticity/measured';
import type { MeasuredId } from '@brackenfell/core/authenticity/tell';
import { readTyped } from '@brackenfell/core/authenticity/read-typed';
import type { Inspection } from '@brackenfell/contract/inspection';
import { Choice } from '../controls/choice.tsx';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import type { NewEntry } from './inspection-outbox.ts';

interface ReadingsDialogProps {
  readonly quantities: readonly MeasuredId[];
  /** The one the counter is at. */
  readonly first: MeasuredId | undefined;
  /** What the catalogue says of the part: a figure of another quantity in this field is asked about. */
  readonly catalogue: Inspection['catalogue'];
  readonly pieces: readonly number[];
  readonly onNote: (entries: readonly NewEntry[]) => void;
  readonly onClose: () => void;
}

/** Readings typed from an instrument that is not plugged in. */
export function ReadingsDialog({ quantities, first, catalogue, pieces, onNote, onClose }: ReadingsDialogProps) {
  const [id, setId] = useState<MeasuredId>(first ?? quantities[0]!);
  const [texts, setTexts] = useState<Readonly<Record<number, string>>>({});
  const read = pieces.map((piece) => {
    const text = texts[piece] ?? '';
    return { piece, typed: text.trim() === '' ? undefined : readTyped(id, text, catalogue) };
  });
  const wrong = read.find(({ typed }) => typed?.kind === 'asked');
  const store = () => {
    if (wrong) return;
    onNote(
      read.flatMap(({ piece, typed }) =>
        typed?.kind === 'read' ? [{ what: 'measure', subject: id, piece, value: typed.value } satisfies NewEntry] : [],
      ),
    );
    onClose();
  };
  return (
    <Dialog title="Readings, typed" about="A reading speaks for the piece it was taken of." onClose={onClose}>
      <form
        className="grid grid-cols-[7rem_1fr] items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          store();
        }}
      >
        <Choice
          label="Quantity"
          value={id}
          options={quantities.map((one) => ({ value: one, says: `${MEASURED[one].label}, ${MEASURED[one].unit}` }))}
          onChange={(next) => {
            setId(next);
            setTexts({});
          }}
          labelClass=""
          className="contents"
        />
        {read.map(({ piece, typed }, i) => (
          <label key={`${id} ${piece}`} className="contents">
            <span>Piece {pieceLabel(piece)}</span>
            <span>
              <input
                className="field num"
                autoFocus={i === 0}
                value={texts[piece] ?? ''}
                maxLength={24}
                onChange={(event) => setTexts({ ...texts, [piece]: event.target.value })}
              />
              {typed?.kind === 'asked' && <span className="text-xs text-madder">{typed.why}</span>}
              {typed?.kind === 'read' && typed.said && <span className="text-xs text-slate">{typed.said}</span>}
            </span>
          </label>
        ))}
        <button type="submit" className="button-act col-start-2 justify-self-start">
          Note it <Key>Enter</Key>
        </button>
      </form>
    </Dialog>
  );
}
