import { useState } from 'react';
import { pieceLabel } from '@brackenfell/core/authenticity/inspection';
import { readPriceMinor } from '@brackenfell/core/authenticity/read-typed';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../keys/keys.ts';
import type { NewEntry } from './inspection-outbox.ts';

interface NumbersDialogProps {
  readonly pieces: number;
  readonly batchCode: string;
  readonly onNote: (entries: readonly NewEntry[]) => void;
  readonly onClose: () => void;
}

const entry = (subject: string, piece: number, answer: string): NewEntry => ({
  what: 'number',
  subject,
  piece,
  answer,
});

/** What is printed and stamped: box, barcode, each piece, the batch code, and what was paid. */
export function NumbersDialog({ pieces, batchCode, onNote, onClose }: NumbersDialogProps) {
  const [box, setBox] = useState('');
  const [barcode, setBarcode] = useState('');
  const [batch, setBatch] = useState(batchCode);
  const [paid, setPaid] = useState('');
  const [stampings, setStampings] = useState<readonly string[]>(Array.from({ length: pieces }, () => ''));
  const [codes, setCodes] = useState<readonly string[]>(Array.from({ length: pieces }, () => ''));
  const paidMinor = paid.trim() === '' ? undefined : readPriceMinor(paid);
  const wrongPrice = paid.trim() !== '' && paidMinor === undefined;
  const store = () => {
    if (wrongPrice) return;
    onNote([
      ...(box.trim() ? [entry('box', 0, box.trim())] : []),
      ...(barcode.trim() ? [entry('barcode', 0, barcode.trim())] : []),
      ...(batch.trim() && batch.trim() !== batchCode ? [entry('batch', 0, batch.trim())] : []),
      ...stampings.flatMap((text, i) => (text.trim() ? [entry('stamping', i + 1, text.trim())] : [])),
      ...codes.flatMap((text, i) => (text.trim() ? [entry('batch', i + 1, text.trim())] : [])),
      ...(paidMinor === undefined
        ? []
        : [{ what: 'measure', subject: 'paidMinor', piece: 0, value: paidMinor } satisfies NewEntry]),
    ]);
    onClose();
  };
  useKeys('Numbers', [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Note what was read', run: store }], {
    inDialog: true,
  });
  return (
    <Dialog
      title="Numbers, as they are read"
      about="Type or scan what is on the box and on the pieces themselves, not what it should be. Leave out what cannot be read."
      onClose={onClose}
    >
      <form
        className="grid grid-cols-[7rem_1fr] items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          store();
        }}
      >
        <Field label="On the box" value={box} onChange={setBox} first />
        <Field label="Barcode" value={barcode} onChange={setBarcode} />
        <Field label="Batch code" value={batch} onChange={setBatch} />
        <Field label="Paid, each" value={paid} onChange={setPaid} placeholder="4.20" />
        {wrongPrice && <p className="col-start-2 text-madder">A price such as 4.20.</p>}
        {stampings.map((text, i) => (
          <div key={i} className="contents">
            <span>Piece {pieceLabel(i + 1)}</span>
            <span className="grid grid-cols-2 gap-2">
              <Text
                label={`Stamped on piece ${pieceLabel(i + 1)}`}
                value={text}
                onChange={(next) => setStampings(stampings.map((old, j) => (i === j ? next : old)))}
                placeholder="stamped"
              />
              <Text
                label={`Batch code on piece ${pieceLabel(i + 1)}`}
                value={codes[i]!}
                onChange={(next) => setCodes(codes.map((old, j) => (i === j ? next : old)))}
                placeholder="batch code, if on it"
              />
            </span>
          </div>
        ))}
        <button type="submit" className="button-act col-start-2 justify-self-start">
          Note it <Key>Enter</Key>
        </button>
      </form>
    </Dialog>
  );
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly first?: boolean;
  readonly placeholder?: string;
}

function Field(field: FieldProps) {
  return (
    <div className="contents">
      <span aria-hidden="true">{field.label}</span>
      <Text {...field} />
    </div>
  );
}

function Text({ label, value, onChange, first = false, placeholder }: FieldProps) {
  return (
    <input
      className="field num"
      aria-label={label}
      autoFocus={first}
      value={value}
      maxLength={40}
      spellCheck={false}
      placeholder={placeholder}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
