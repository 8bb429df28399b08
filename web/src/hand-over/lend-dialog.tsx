import { inOurMoney } from '@brackenfell/core/words/money';
import { oneOf, readPence } from '@brackenfell/core/quantities/plain-figure';
import { dayAfter } from '@brackenfell/core/words/calendar';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { todayHere } from '../controls/moment.ts';
import { useAfterWrites } from '../counter/use-slip-write.ts';
import { AskedBack } from '../measuring/asked-back.tsx';
import { call } from '../wire/call.ts';
import { useLoanWrite } from './use-loans.ts';

interface LendProps {
  readonly slipId: string;
  readonly tool: string;
  readonly onClose: () => void;
}

/** A tool of the kit leaves as a loan: its deposit, and the day it is back. */
export function LendDialog({ slipId, tool, onClose }: LendProps) {
  const draft = useDraftOf(`lend ${slipId} ${tool}`, { tool, deposit: '25', dueOn: dayAfter(todayHere(), 7) });
  const write = useLoanWrite();
  const afterWrites = useAfterWrites(slipId);
  const { deposit, dueOn } = draft.value;
  const reading = readPence(deposit);
  const isReady = reading?.kind === 'plain' && dueOn !== '' && draft.value.tool.trim() !== '';
  return (
    <Dialog title="Lend a tool" onClose={onClose}>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isReady || write.isPending) return;
          const body = { tool: draft.value.tool.trim(), depositMinor: oneOf(reading)!, dueOn };
          write.mutate(() => afterWrites(() => call('lendTool', { params: { slipId }, body })), {
            onSuccess: () => {
              draft.clear();
              onClose();
            },
          });
        }}
      >
        <label className="grid gap-1">
          <span className="text-slate">Tool</span>
          <input
            className="field"
            autoFocus
            value={draft.value.tool}
            maxLength={80}
            onChange={(event) => draft.set({ ...draft.value, tool: event.target.value })}
          />
        </label>
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">{inOurMoney('Deposit, £')}</span>
          <input
            className="field num"
            value={deposit}
            maxLength={10}
            onChange={(event) => draft.set({ ...draft.value, deposit: event.target.value })}
          />
        </label>
        <AskedBack reading={reading} onChoose={(value) => draft.set({ ...draft.value, deposit: value })} />
        <label className="grid grid-cols-[1fr_9rem] items-center gap-2">
          <span className="text-slate">Back by</span>
          <input
            type="date"
            className="field num"
            value={dueOn}
            onChange={(event) => draft.set({ ...draft.value, dueOn: event.target.value })}
          />
        </label>
        <button type="submit" className="button-act justify-self-start" disabled={!isReady}>
          Lend it
        </button>
      </form>
    </Dialog>
  );
}
