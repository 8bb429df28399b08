import { counted } from '@brackenfell/core/words/counted';
import type { Staff } from '@brackenfell/contract/session';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { Slip, SlipSummary } from '@brackenfell/contract/slip';
import {
  isFinal,
  LIVE_STATES,
  mayBecome,
  SLIP_STATE_WORDS,
  SLIP_STATES,
  type SlipState,
} from '@brackenfell/core/slip/slip-states';
import { mayTakeOver, mayWrite } from '@brackenfell/core/slip/who-may';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { printDate } from '@brackenfell/core/words/moments';
import { printMoment } from '../controls/moment.ts';
import { NewsMark } from '../live/news-mark.tsx';
import { useHeldPlaces, type HeldItem } from '../live/held-list.ts';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { slipSheet } from '../counter/slip-sheet.ts';
import { printDocket } from '../counter/print-docket.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useSlips } from '../counter/use-slip.ts';

const DONE_STATES = ['collected', 'ended'] as const;
/** Looked at and not taken up by a letter: a quote that is taken up is no quote any more. */
const LOOKED_AT: readonly SlipState[] = ['quoted', 'ordered', 'ready'];

/** Steps of a slip through its day, besides parking and the sale. */
const MOVES = [
  {
    press: 'u',
    name: 'quoteSlip',
    to: 'quoted',
    does: 'Quote slip',
    says: (docket: string, day: string) => `Slip ${docket} is quoted: its prices hold to ${day}.`,
  },
  {
    press: 'w',
    name: 'orderSlip',
    to: 'ordered',
    does: 'Waits for a part: slip',
    says: (docket: string) => `Slip ${docket} waits for what is not here.`,
  },
  {
    press: 'r',
    name: 'readySlip',
    to: 'ready',
    does: 'Picked and ready: slip',
    says: (docket: string, day: string) => `Slip ${docket} is ready and kept to ${day}.`,
  },
] as const;

/** What an address says of the last customer: none of it goes along to another slip. */
const CLEAN = { engine: null, inHand: null, asked: null, part: null, build: null, staying: null, duty: null };

const BY_SLIP = {
  keyOf: ({ slipId }: SlipSummary) => slipId,
  tellOf: ({ state, holder, lines }: SlipSummary) => `${state} ${holder ?? ''} ${lines}`,
};

/** Slips that wait: one letter takes one up; the slip at hand is parked, begun or closed from here. */
export function SlipList({ me, onClose }: { me: Staff; onClose: () => void }) {
  const [past, showPast] = useState(false);
  const [find, setFind] = useState({ q: '', day: '' });
  const isSearch = find.q.trim() !== '' || find.day !== '';
  const listed = useSlips({
    states: isSearch ? SLIP_STATES : past ? DONE_STATES : LIVE_STATES,
    q: find.q.trim(),
    day: find.day,
  });
  const { slip, go, clear } = useCounter();
  const write = useSlipWrite();
  const current = slip.data;
  // While the list is open a letter goes on meaning the slip it meant.
  const { held: places } = useHeldPlaces(
    listed.data?.slips,
    // What is known from before is not what the list was opened with.
    listed.isPlaceholderData || !listed.isFetchedAfterMount ? undefined : JSON.stringify([past, isSearch, find]),
    BY_SLIP,
  );
  const all = (places ?? []).filter(({ item }) => item.slipId !== current?.slipId);
  const others = all.slice(0, LETTERS.length);
  const cameUnseen = all.slice(LETTERS.length).filter(({ news }) => news === 'new').length;

  const show = (slipId: string) => {
    onClose();
    go('/counter/parts', { ...CLEAN, slip: slipId });
  };
  const takeUp = ({ item: chosen, news }: HeldItem<SlipSummary>) => {
    const { slipId } = chosen;
    // Somebody has it in hand by now: it is looked at first.
    if (news === 'gone' || news === 'changed') {
      show(slipId);
      return;
    }
    // What is done is looked at, and so is what is quoted, ordered or ready: its next step is taken there. The rest is taken up.
    const isLooked = isFinal(chosen.state) || LOOKED_AT.includes(chosen.state);
    if (isLooked || chosen.holder === me.name) show(slipId);
    if (isLooked || (chosen.state === 'open' && chosen.holder === me.name)) return;
    write.mutate(
      slipCall('takeOverSlip', { params: { slipId }, body: {} }, `slip ${printDocket(chosen.docket)} taken up`),
      {
        onSuccess: () => show(slipId),
      },
    );
  };
  const docket = current ? printDocket(current.docket) : '';
  const held = current && { state: current.state, holderId: current.holderId };
  const actions = [
    {
      press: 'n',
      does: 'Begin a new slip',
      run: () => {
        clear();
        onClose();
        write.mutate(slipCall('createSlip', { body: {} }, 'new slip'), {
          onSuccess: (begun: Slip) => go('/counter/engine', { ...CLEAN, slip: begun.slipId }),
        });
      },
    },
    ...(current && held && mayWrite(held, me)
      ? [
          {
            press: 'p',
            does: `Park slip ${docket}`,
            run: () => {
              write.mutate(slipCall('parkSlip', { params: { slipId: current.slipId }, body: {} }, 'parked'), {
                onSuccess: () => toast(`Slip ${docket} is parked. = takes it up again.`),
              });
              onClose();
              clear();
            },
          },
        ]
      : []),
    ...(current
      ? MOVES.filter(({ to }) =>
          current.state === 'open' ? held && mayWrite(held, me) : mayBecome(current.state, to),
        ).map(({ press, name, to, does, says }) => ({
          press,
          does: `${does} ${docket}`,
          run: () => {
            onClose();
            write.mutate(slipCall(name, { params: { slipId: current.slipId }, body: {} }, SLIP_STATE_WORDS[to]), {
              onSuccess: (slip: Slip) => toast(says(docket, slip.heldUntil ? printDate(slip.heldUntil) : '')),
            });
          },
        }))
      : []),
    ...(current && held && mayTakeOver(held, me) && !mayWrite(held, me)
      ? [
          {
            press: 't',
            does: `${current.state === 'open' ? 'Take over' : 'Take up'} slip ${docket}`,
            run: () => {
              write.mutate(slipCall('takeOverSlip', { params: { slipId: current.slipId }, body: {} }, 'taken over'));
              onClose();
            },
          },
        ]
      : []),
    ...(current && !isFinal(current.state)
      ? [
          {
            press: 'x',
            does: `End slip ${docket} without a sale`,
            run: () => {
              onClose();
              slipSheet.set({ kind: 'end' });
            },
          },
        ]
      : []),
    ...(current && isFinal(current.state)
      ? [
          {
            press: 'y',
            does: `Copy slip ${docket} to a new one`,
            run: () => {
              write.mutate(slipCall('copySlip', { params: { slipId: current.slipId }, body: {} }, 'copied'), {
                onSuccess: (copy: Slip) => show(copy.slipId),
                isUndo: true,
              });
            },
          },
        ]
      : []),
    ...(current
      ? [
          {
            press: 'q',
            does: 'Clear the desk',
            run: () => {
              onClose();
              clear();
            },
          },
        ]
      : []),
    { press: 'o', does: past ? 'What waits' : 'Collected and ended', run: () => showPast(!past) },
  ];
  useKeys(
    'Slips',
    [
      ...actions,
      ...others.map((s, i) => ({ press: LETTERS[i]!, does: `Take up ${s.item.docket}`, run: () => takeUp(s) })),
    ],
    { inDialog: true },
  );
  return (
    <Dialog
      title={isSearch ? 'Slips found' : past ? 'Slips that are done' : 'Slips'}
      about={past || isSearch ? 'A letter shows one.' : 'A letter takes one up. Nothing is lost by parking.'}
      onClose={onClose}
      wide
    >
      <div className="flex flex-wrap gap-2 pb-3">
        {actions.map((action) => (
          <button key={action.press} type="button" className="button-plain" onClick={action.run}>
            <Key>{action.press}</Key> {action.does}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-[1fr_10rem] gap-2 pb-3">
        <input
          className="field"
          aria-label="Find by number, customer, phone, vehicle or part"
          placeholder="number, customer, vehicle, part"
          value={find.q}
          maxLength={80}
          onChange={(event) => setFind({ ...find, q: event.target.value })}
        />
        <input
          type="date"
          className="field num w-40"
          aria-label="Changed on"
          value={find.day}
          onChange={(event) => setFind({ ...find, day: event.target.value })}
        />
      </div>
      {listed.error && (
        <p role="alert" className="text-madder">
          {listed.error.message}
        </p>
      )}
      {listed.data && others.length === 0 && (
        <p className="text-soft">
          {isSearch
            ? 'No slip answers to that.'
            : past
              ? 'None is collected or ended yet.'
              : 'No other slip is open, parked, quoted, ordered or ready.'}
        </p>
      )}
      <ul className="grid gap-1">
        {others.map(({ item: s, news }, i) => (
          <li key={s.slipId}>
            <button
              type="button"
              className="grid min-h-8 w-full grid-cols-[1.5rem_4rem_1fr_3.5rem_6.5rem_9.5rem_7rem] items-center gap-2 border border-hair px-2 text-left hover:bg-bracken-wash"
              onClick={() => takeUp({ item: s, news })}
            >
              <Key>{LETTERS[i]}</Key>
              <b className="num font-semibold">{printDocket(s.docket)}</b>
              <span className="truncate">
                <NewsMark news={news} />
                {[s.customer || 'No name', s.vehicle, s.engine].filter(Boolean).join(', ')}
              </span>
              <span>{counted(s.lines, 'line')}</span>
              <span className="text-soft">
                {SLIP_STATE_WORDS[s.state]}
                {s.state === 'open' && s.holder ? `, ${s.holder}` : ''}
              </span>
              <span className="text-soft">{s.state === 'open' ? '' : s.waitsFor}</span>
              <span className="num text-right text-soft">{printMoment(s.updatedAt)}</span>
            </button>
          </li>
        ))}
      </ul>
      <p role="status" className="pt-2 text-soft">
        {cameUnseen > 0 &&
          `${counted(cameUnseen, 'slip')} came meanwhile: find them by name or number, or open this anew.`}
      </p>
    </Dialog>
  );
}
