import { useState } from 'react';
import { FACTS, type FactId } from '@brackenfell/core/facts/facts';
import { formatQuantity } from '@brackenfell/core/quantities/format-quantity';
import { inBaseUnit, inFactUnit, isOfVehicle, type FactAnswer } from '@brackenfell/core/facts/fact-answers';
import { settles, type PieceReading } from '@brackenfell/core/slip/piece-readings';
import type { Slip, SlipReading } from '@brackenfell/contract/slip';
import { useDevice } from '../measuring/use-device.ts';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../keys/keys.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { useSettings } from '../settings/settings.ts';
import { useFigure } from '../measuring/reading-field.tsx';
import type { SlipSheet } from '../counter/slip-sheet.ts';
import { useRead } from '../counter/use-read.ts';
import { upperFirst } from '@brackenfell/core/words/case';

interface AnswerDialogProps {
  readonly sheet: Extract<SlipSheet, { kind: 'answer' }>;
  readonly slip: Slip | undefined;
  readonly onClose: () => void;
}

/** One open question, answered where it stands: a figure from the gauge or typed, or a form that is seen. */
export function AnswerDialog({ sheet, slip, onClose }: AnswerDialogProps) {
  const { part, says, engineId } = sheet;
  const facts = sheet.facts.filter(
    (fact): fact is FactId => fact in FACTS && FACTS[fact as FactId].answer !== undefined,
  );
  const readings = slip?.readings ?? [];
  const own = (fact: FactId) =>
    readings.filter((one) => one.fact === fact && one.partId === (isOfVehicle(fact) ? null : part.partId));
  const open = facts.find((fact) => !settles(fact, own(fact).map(asReading))) ?? facts[0];
  if (open === undefined) {
    return (
      <Dialog title={`Asked of ${part.printed}`} onClose={onClose}>
        <p>{says}</p>
        <p className="pt-2 text-soft">
          This is looked up or asked for, not measured here. Note what was said with ; on the slip.
        </p>
      </Dialog>
    );
  }
  const answer = FACTS[open].answer!;
  const props = { fact: open, part, engineId, readings: own(open), onClose };
  return (
    <Dialog
      title={`${upperFirst(FACTS[open].label)}: ${isOfVehicle(open) ? 'this vehicle' : part.printed}`}
      about={FACTS[open].question}
      onClose={onClose}
    >
      {answer.kind === 'measure' ? (
        <Measured key={open} answer={answer} {...props} />
      ) : (
        <Chosen key={open} answer={answer} {...props} />
      )}
    </Dialog>
  );
}

const asReading = ({ fact, value, how, by }: SlipReading): PieceReading => ({ fact, value, how, by });

interface AnsweringProps<K extends FactAnswer['kind']> {
  readonly fact: FactId;
  readonly answer: Extract<FactAnswer, { kind: K }>;
  readonly part: { readonly partId: string; readonly printed: string };
  readonly engineId: string | undefined;
  readonly readings: readonly SlipReading[];
  readonly onClose: () => void;
}

function Chosen({ fact, answer, part, engineId, onClose }: AnsweringProps<'choose'>) {
  const read = useRead(part.partId, engineId);
  const choose = (value: string | boolean | number) => {
    read({ fact, value, how: 'seen' });
    onClose();
  };
  useKeys(
    'Answer',
    [
      ...answer.options.map(({ value, says }, i) => ({ press: LETTERS[i]!, does: says, run: () => choose(value) })),
      { press: 'n', does: 'Cannot tell', run: onClose },
    ],
    { inDialog: true },
  );
  return (
    <ul className="grid gap-1">
      {answer.options.map(({ value, says }, i) => (
        <li key={says}>
          <button type="button" className="answer-line" onClick={() => choose(value)}>
            <Key>{LETTERS[i]}</Key> {says}
          </button>
        </li>
      ))}
      <li>
        <button type="button" className="answer-line text-soft" onClick={onClose}>
          <Key>n</Key> Cannot tell
        </button>
      </li>
    </ul>
  );
}

function Measured({ fact, answer, part, engineId, readings, onClose }: AnsweringProps<'measure'>) {
  const { units } = useSettings();
  const read = useRead(part.partId, engineId);
  const [typing, setTyping] = useState(false);
  const quantity = answer.quantity === 'length' || answer.quantity === 'thread' ? 'reach' : answer.quantity;
  const typed = useFigure(quantity);
  const { device, state } = useDevice(answer.device, {
    quantity: answer.laidAs,
    nominal: NOMINAL[answer.laidAs] ?? 10,
    batchCode: part.printed,
    piece: 1,
  });
  const steady = state?.kind === 'reading' && state.steady ? state.value : undefined;
  const print = (value: number) => {
    const base = inBaseUnit(answer.unit, value);
    return formatQuantity(answer.quantity, base, base, units);
  };
  const settled = settles(fact, readings.map(asReading));
  const take = () => {
    if (steady !== undefined) read({ fact, value: Number(steady.toFixed(2)), how: 'gauged', device: device?.name });
  };
  const store = () => {
    if (typed.value === undefined) return;
    read({ fact, value: Number(inFactUnit(answer.unit, typed.value).toFixed(3)), how: 'typed' });
    typed.setText('');
  };
  useKeys(
    'Answer',
    [
      { press: 'Space', does: 'Take the reading', run: take },
      { press: 'm', does: 'Type it instead', run: () => setTyping(true) },
      { press: 'n', does: 'Cannot tell', run: onClose },
    ],
    { inDialog: true },
  );
  return (
    <div className="grid gap-3">
      <ol className="grid gap-1" aria-label="Readings so far" aria-live="polite">
        {readings.map((one) => (
          <li key={one.readingId}>
            <b className="num font-semibold">{print(Number(one.value))}</b>{' '}
            <span className="text-soft">
              {one.how} by {one.by}
            </span>
          </li>
        ))}
        <li className={settled ? 'font-semibold' : 'text-soft'}>
          {settled
            ? 'Two readings agree: this piece is judged by them.'
            : readings.length === 0
              ? 'Two readings that agree settle it; one alone leaves it open.'
              : 'One more that agrees settles it.'}
        </li>
      </ol>
      <div className="flex items-center gap-3 border border-hair px-3 py-2">
        <span className="num min-w-28 text-verdict font-semibold">
          {state?.kind === 'reading' ? `${state.value.toFixed(2)} ${state.unit}` : '–'}
        </span>
        <span className="flex-1 text-soft">
          {state?.kind === 'gone' ? `The ${answer.device} says nothing: ${state.why}.` : (device?.name ?? '')}
        </span>
        <button type="button" className="button-act" disabled={steady === undefined} onClick={take}>
          Take it <Key>Space</Key>
        </button>
      </div>
      {typing ? (
        <form
          className="grid grid-cols-[1fr_auto] items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            store();
          }}
        >
          <label className="grid gap-1">
            <span className="text-slate">As measured with your own tool</span>
            <input
              className="field num"
              autoFocus
              value={typed.text}
              maxLength={40}
              placeholder={answer.unit}
              onChange={(event) => typed.setText(event.target.value)}
            />
          </label>
          <button type="submit" className="button-act" disabled={typed.value === undefined}>
            Write it down
          </button>
          <span className="col-span-2 text-xs text-slate" aria-live="polite">
            {typed.remark}
          </span>
        </form>
      ) : (
        <button type="button" className="button-plain justify-self-start" onClick={() => setTyping(true)}>
          <Key>m</Key> type it instead
        </button>
      )}
      <p className="flex gap-2">
        <button type="button" className="button-plain" onClick={onClose}>
          {settled ? 'Done' : 'Cannot tell'} <Key>{typing ? 'Esc' : 'n'}</Key>
        </button>
      </p>
    </div>
  );
}

/** What the simulated devices are told to hold: a usual part of the trade. A real one needs none of it. */
const NOMINAL: Readonly<Record<string, number>> = {
  reachMm: 19,
  threadMm: 14,
  hexMm: 16,
  lengthMm: 50,
  gapMm: 0.9,
  resistorKohm: 5,
  groundThicknessMm: 1.3,
  projectionMm: 1.5,
  wellBoreMm: 24,
  depthMm: 22,
  pistonTopMm: 26,
};
