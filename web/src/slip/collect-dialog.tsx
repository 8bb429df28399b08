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
  readonly onClose: () => void;
}

/** The sale: with anything open it lists what, each with its key; with nothing open it names the sum and asks once. */
export function CollectDialog({ slip, onAnswer, onCollect, onClose }: CollectDialogProps) {
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
    </Dialog>
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
