import type { Staff } from '@brackenfell/contract/session';
import type { SlipSummary } from '@brackenfell/contract/slip';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { call } from '../wire/call.ts';
import { slipCall, useSlips, useSlipWrite } from './use-slip.ts';

/** Slips that wait: one letter takes one up; the slip at hand is parked, begun or closed from here. */
export function SlipList({ me, onClose }: { me: Staff; onClose: () => void }) {
  const parked = useSlips('parked');
  const open = useSlips('open');
  const { slip, go } = useCounter();
  const write = useSlipWrite();
  const current = slip.data;
  const others = [...(parked.data?.slips ?? []), ...(open.data?.slips ?? [])]
    .filter((s) => s.slipId !== current?.slipId)
    .slice(0, LETTERS.length);

  const show = (slipId: string | null) => {
    onClose();
    go(slipId ? '/counter/parts' : '/counter/engine', { slip: slipId, engine: null, inHand: null });
  };
  const takeUp = async (chosen: SlipSummary) => {
    const { slipId } = chosen;
    const { version } = await call('getSlip', { params: { slipId } });
    write.mutate(slipCall('takeOverSlip', { params: { slipId }, body: { version } }), {
      onSuccess: () => show(slipId),
    });
  };
  const move = (name: 'parkSlip' | 'closeSlip' | 'takeOverSlip' | 'reopenSlip', after: () => void) => {
    if (current)
      write.mutate(slipCall(name, { params: { slipId: current.slipId }, body: { version: current.version } }), {
        onSuccess: after,
      });
  };
  const actions = [
    {
      press: 'n',
      does: 'Begin a new slip',
      run: () => write.mutate(slipCall('createSlip', { body: {} }), { onSuccess: (begun) => show(begun.slipId) }),
    },
    ...(current?.state === 'open'
      ? [{ press: 'p', does: `Park slip ${current.docket}`, run: () => move('parkSlip', () => show(null)) }]
      : []),
    ...(current?.state === 'parked' || (current?.state === 'open' && current.holder !== me.name)
      ? [{ press: 't', does: `Take over slip ${current.docket}`, run: () => move('takeOverSlip', onClose) }]
      : []),
    ...(current?.state === 'closed'
      ? [{ press: 'o', does: `Reopen slip ${current.docket}`, run: () => move('reopenSlip', onClose) }]
      : []),
    ...(current && current.state !== 'closed'
      ? [{ press: 'x', does: `Close slip ${current.docket}`, run: () => move('closeSlip', () => show(null)) }]
      : []),
  ];
  useKeys(
    'Slips',
    [
      ...actions,
      ...others.map((s, i) => ({ press: LETTERS[i]!, does: `Take up ${s.docket}`, run: () => void takeUp(s) })),
    ],
    { inDialog: true },
  );
  return (
    <Dialog title="Slips" about="A letter takes one up. Nothing is lost by parking." onClose={onClose} wide>
      <div className="flex flex-wrap gap-2 pb-3">
        {actions.map((action) => (
          <button
            key={action.press}
            type="button"
            className="button-plain"
            onClick={action.run}
            disabled={write.isPending}
          >
            <Key>{action.press}</Key> {action.does}
          </button>
        ))}
      </div>
      {(parked.error ?? open.error) && (
        <p role="alert" className="text-madder">
          {(parked.error ?? open.error)!.message}
        </p>
      )}
      {parked.data && open.data && others.length === 0 && <p className="text-soft">No other slip is parked or open.</p>}
      <ul className="grid gap-1">
        {others.map((s, i) => (
          <li key={s.slipId}>
            <button
              type="button"
              className="grid min-h-8 w-full grid-cols-[1.5rem_4rem_1fr_6rem_6rem_7rem] items-center gap-2 border border-hair px-2 text-left hover:bg-bracken-wash"
              onClick={() => void takeUp(s)}
            >
              <Key>{LETTERS[i]}</Key>
              <b className="num font-semibold">{String(s.docket).padStart(5, '0')}</b>
              <span className="truncate">
                {[s.customer || 'No name', s.vehicle, s.engine].filter(Boolean).join(', ')}
              </span>
              <span>
                {s.lines} {s.lines === 1 ? 'line' : 'lines'}
              </span>
              <span className="text-soft">
                {s.state}
                {s.holder ? `, ${s.holder}` : ''}
              </span>
              <span className="num text-right text-soft">{printMoment(s.updatedAt)}</span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
