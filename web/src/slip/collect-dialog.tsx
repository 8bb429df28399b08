import { useState } from 'react';
import { counted } from '@brackenfell/core/words/counted';
import type { OpenMatter } from '@brackenfell/contract/open-matter';
import type { Slip } from '@brackenfell/contract/slip';
import { END_REASONS, END_REASON_WORDS, type EndReason } from '@brackenfell/core/slip/slip-states';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printPrice } from '@brackenfell/core/words/money';
import { useKeys } from '../keys/keys.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { printDocket } from '../counter/print-docket.ts';
import { MATTER_ACTS } from '../counter/use-open-matter.ts';

interface CollectDialogProps {
  readonly slip: Slip;
  readonly onAnswer: (matter: OpenMatter) => void;
  readonly onCollect: () => void;
  readonly onCollectPart: (lines: PartLines) => void;
  readonly onClose: () => void;
}

/** The sale: with anything open it lists what, each with its key; with nothing open it names the sum and asks once. */
export function CollectDialog({ slip, onAnswer, onCollect, onCollectPart, onClose }: CollectDialogProps) {
  const open = slip.open.slice(0, LETTERS.length);
  useKeys(
    'Collect',
    open.length > 0
      ? open.map((matter, i) => ({
          press: LETTERS[i]!,
          does: `${MATTER_ACTS[matter.kind]}: ${matter.says}`,
          run: () => onAnswer(matter),
        }))
      : [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Collect it', run: onCollect }],
    { inDialog: true },
  );
  const printedOf = (lineId: string | null) => slip.lines.find((line) => line.lineId === lineId)?.printed;
  if (open.length > 0) {
    return (
      <Dialog
        title={`Slip ${printDocket(slip.docket)} is not collected yet`}
        about={`${counted(open.length, 'thing is', 'things are')} open. Each goes to where it is answered.`}
        onClose={onClose}
        wide
      >
        <ul className="grid gap-1">
          {open.map((matter, i) => (
            <li key={`${matter.lineId} ${matter.kind} ${matter.says}`}>
              <button type="button" className="answer-line" onClick={() => onAnswer(matter)}>
                <Key>{LETTERS[i]}</Key>
                <Mark
                  kind={matter.kind === 'refused' || matter.kind === 'batch-held' ? 'refuse' : 'unknown'}
                  rem={0.875}
                />
                <span className="min-w-0 flex-1">
                  {printedOf(matter.lineId) && <b className="num font-semibold">{printedOf(matter.lineId)}: </b>}
                  {matter.says}
                </span>
                <span className="text-soft">{MATTER_ACTS[matter.kind]}</span>
              </button>
            </li>
          ))}
        </ul>
        {slip.open.every(({ kind }) => kind === 'not-on-shelf') && (
          <CollectSome slip={slip} onCollect={onCollectPart} />
        )}
      </Dialog>
    );
  }
  const toTell = slip.lines.filter((line) => line.kind === 'sale' && line.toTell.length > 0);
  return (
    <Dialog
      title={`Collect slip ${printDocket(slip.docket)}: ${printPrice(slip.totalMinor)}`}
      about="The goods leave the shelf and the slip is final. What comes back later is a return."
      onClose={onClose}
    >
      {toTell.length > 0 && (
        <>
          <h3 className="text-xs font-semibold text-slate">Tell the customer</h3>
          <ul className="grid gap-1 pb-3">
            {toTell.flatMap((line) =>
              line.toTell.map((says) => (
                <li key={`${line.lineId} ${says}`}>
                  <b className="num font-semibold">{line.printed}</b>: {says}
                </li>
              )),
            )}
          </ul>
        </>
      )}
      <button type="button" className="button-act" autoFocus onClick={onCollect}>
        Collected, {printPrice(slip.totalMinor)} to pay <Key>Ctrl Enter</Key>
      </button>
      <CollectSome slip={slip} onCollect={onCollectPart} />
    </Dialog>
  );
}

type PartLines = readonly { readonly lineId: string; readonly quantity: number }[];

/** Part of it now: how many of each line leave; the rest waits on a slip of its own. */
function CollectSome({ slip, onCollect }: { readonly slip: Slip; readonly onCollect: (lines: PartLines) => void }) {
  const sold = slip.lines.filter(({ kind, verdict }) => kind === 'sale' && verdict !== 'refuse');
  const [now, setNow] = useState<Readonly<Record<string, string>>>({});
  const pieces = sold.map(({ lineId, quantity }) => {
    const text = (now[lineId] ?? String(quantity)).trim();
    return { lineId, of: quantity, quantity: /^\d{1,3}$/.test(text) ? Number(text) : NaN };
  });
  const wrong = pieces.find(({ quantity, of }) => Number.isNaN(quantity) || quantity > of);
  const some = pieces.reduce((sum, { quantity }) => sum + quantity, 0);
  const all = pieces.reduce((sum, { of }) => sum + of, 0);
  if (all < 2) return null;
  return (
    <details className="pt-3">
      <summary className="min-h-6 cursor-pointer text-slate">Only a part of it leaves now</summary>
      <form
        className="grid gap-2 pt-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (wrong || some === 0 || some === all) return;
          onCollect(pieces.flatMap(({ lineId, quantity }) => (quantity > 0 ? [{ lineId, quantity }] : [])));
        }}
      >
        {sold.map(({ lineId, printed, quantity }) => (
          <label key={lineId} className="grid grid-cols-[1fr_5rem_4rem] items-center gap-2">
            <b className="num font-semibold">{printed}</b>
            <input
              className="field num"
              aria-label={`Of ${printed} now`}
              inputMode="numeric"
              value={now[lineId] ?? String(quantity)}
              maxLength={3}
              onChange={(event) => setNow({ ...now, [lineId]: event.target.value })}
            />
            <span className="text-soft">of {quantity}</span>
          </label>
        ))}
        <p className="min-h-5 text-soft" aria-live="polite">
          {wrong
            ? 'A whole number, and no more than is on the slip.'
            : some === 0
              ? 'Nothing leaves: end it, or leave it waiting.'
              : some === all
                ? 'That is all of it.'
                : `${all - some} left for a slip that waits.`}
        </p>
        <button
          type="submit"
          className="button-plain justify-self-start"
          disabled={wrong !== undefined || some === 0 || some === all}
        >
          Collect this part
        </button>
      </form>
    </details>
  );
}

interface EndDialogProps {
  readonly slip: Slip;
  readonly onEnd: (reason: EndReason) => void;
  readonly onClose: () => void;
}

/** Ends a slip without a sale: one letter says why. */
export function EndDialog({ slip, onEnd, onClose }: EndDialogProps) {
  useKeys(
    'End the slip',
    END_REASONS.map((reason, i) => ({ press: LETTERS[i]!, does: END_REASON_WORDS[reason], run: () => onEnd(reason) })),
    { inDialog: true },
  );
  return (
    <Dialog
      title={`End slip ${printDocket(slip.docket)} without a sale`}
      about="Why was nothing sold? The slip is final then; it can be copied to a new one."
      onClose={onClose}
    >
      <ul className="grid gap-1">
        {END_REASONS.map((reason, i) => (
          <li key={reason}>
            <button type="button" className="answer-line" onClick={() => onEnd(reason)}>
              <Key>{LETTERS[i]}</Key> {END_REASON_WORDS[reason]}
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
