import { packAmiss } from '@brackenfell/core/slip/line-quantity';
import { wordFor } from '@brackenfell/core/words/counted';
import { useState } from 'react';
import type { Slip, SlipLine } from '@brackenfell/contract/slip';
import { Dialog } from '../controls/dialog.tsx';

interface QuantityDialogProps {
  readonly slip: Slip;
  readonly line: SlipLine;
  readonly store: (quantity: number) => void;
  readonly onClose: () => void;
}

/** How many of a line: what is on it already, what the engine takes, and what is meant. */
export function QuantityDialog({ slip, line, store, onClose }: QuantityDialogProps) {
  const [text, setText] = useState(String(line.quantity));
  const typed = /^[1-9]\d{0,2}$/.test(text.trim()) ? Number(text) : undefined;
  const broken = typed === undefined ? undefined : packAmiss(typed, line.packOf);
  const quantity = broken === undefined ? typed : undefined;
  const takes = line.positions.length * slip.engineCount;
  const onShelf = slip.open.find(({ kind, lineId }) => kind === 'not-on-shelf' && lineId === line.lineId);
  return (
    <Dialog
      title={`How many ${line.printed}?`}
      about={`${line.quantity} on the slip${takes > 0 ? `; the ${slip.engineCount === 1 ? 'engine takes' : `${slip.engineCount} engines take`} ${takes}` : ''}.`}
      onClose={onClose}
    >
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (quantity === undefined) return;
          store(quantity);
          onClose();
        }}
      >
        {onShelf && <p className="text-madder">{onShelf.says}</p>}
        <label className="grid grid-cols-[1fr_6rem] items-center gap-2">
          <span className="text-slate">Pieces in all</span>
          <input
            className="field num"
            autoFocus
            inputMode="numeric"
            value={text}
            maxLength={3}
            onFocus={(event) => event.target.select()}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <p className="min-h-5 text-soft" aria-live="polite">
          {quantity === undefined
            ? (broken ?? 'A whole number from 1 to 999.')
            : takes > 0 && quantity > takes
              ? `That is ${quantity - takes} more than ${wordFor(slip.engineCount, 'the engine takes', 'they take')}: is it meant?`
              : ''}
        </p>
        <button type="submit" className="button-act justify-self-start" disabled={quantity === undefined}>
          {takes > 0 && quantity !== undefined && quantity > takes ? `Yes, ${quantity}` : 'Set it'}
        </button>
      </form>
    </Dialog>
  );
}
