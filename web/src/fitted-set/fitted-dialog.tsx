import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import type { EngineCard } from '@brackenfell/contract/engine';
import type { FittedSet } from '@brackenfell/contract/fitted-set';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Dialog } from '../controls/dialog.tsx';
import { useDraftOf } from '../controls/draft.ts';
import { Key } from '../controls/key.tsx';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { PlanDrawing } from '../engine-plan/plan-drawing.tsx';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useSettings } from '../settings/settings.ts';
import { useKept } from '../counter/use-keep.ts';
import { useAddToSlip } from '../counter/use-add-to-slip.ts';
import { call } from '../wire/call.ts';

interface FittedDialogProps {
  readonly engine: EngineCard;
  readonly kind: 'plug' | 'coil';
  readonly onClose: () => void;
}

/** What is fitted, place by place: the stranger stands out, each is judged, and what makes the set whole goes on the slip. */
export function FittedDialog({ engine, kind, onClose }: FittedDialogProps) {
  const { units } = useSettings();
  const { build, duty, slipId } = useCounter();
  // Half entered it is kept, for this slip and engine, until the repair is on the slip.
  const draft = useDraftOf<readonly string[]>(`fitted ${slipId ?? 'none'} ${engine.engineId} ${kind}`, []);
  const { kept, keep } = useKept('fitted-set', engine.engineId);
  const onSlip = kept?.part === kind ? kept.numbers : [];
  const numbers = draft.value.length > 0 ? draft.value : onSlip;
  const asked = numbers.join('|');
  const set = useQuery({
    queryKey: ['fitted set', engine.engineId, kind, asked, units, duty, build],
    queryFn: () =>
      call('getFittedSet', {
        params: { engineId: engine.engineId },
        query: { kind, numbers: asked, units, ...(duty ? { duty } : {}), ...(build ? { build } : {}) },
      }),
    placeholderData: (before) => before,
  });
  const write = (at: number, text: string) =>
    draft.set(
      Array.from({ length: Math.max(numbers.length, at + 1) }, (_, i) => (i === at ? text : (numbers[i] ?? ''))),
    );
  return (
    <Dialog
      title={`What is fitted in the ${engine.code}`}
      about="Read each, or scan it into its field. Enter goes on; in an empty field it takes the number before."
      onClose={() => {
        // What was read stays with the slip, for whoever takes it up.
        if (draft.value.length > 0 && numbers.join('|') !== onSlip.join('|'))
          keep({ kind: 'fitted-set', part: kind, numbers: [...numbers] }, 'what is fitted');
        onClose();
      }}
      wide
    >
      {set.error && (
        <p role="alert" className="text-madder">
          {set.error.message}
        </p>
      )}
      {set.data && (
        <div className="grid grid-cols-[auto_1fr] gap-4">
          <div>
            {engine.plan && <Plan engine={engine} set={set.data} />}
            <Result
              set={set.data}
              engineId={engine.engineId}
              onDone={() => {
                draft.clear();
                onClose();
              }}
            />
          </div>
          <Fields set={set.data} numbers={numbers} onWrite={write} />
        </div>
      )}
    </Dialog>
  );
}

function Plan({ engine, set }: { engine: EngineCard; set: FittedSet }) {
  const toneOf = (cylinder: number) => {
    const here = set.positions.filter((position) => position.cylinder === cylinder);
    if (here.some(({ odd, verdict }) => odd || verdict === 'refuse')) return 'odd';
    return here.every(({ part }) => part !== null) ? 'well' : 'empty';
  };
  return <PlanDrawing plan={engine.plan!} says={`Cylinders of the ${engine.code}. ${set.says}`} toneOf={toneOf} />;
}

interface FieldsProps {
  readonly set: FittedSet;
  readonly numbers: readonly string[];
  readonly onWrite: (at: number, text: string) => void;
}

function Fields({ set, numbers, onWrite }: FieldsProps) {
  const fields = useRef<(HTMLInputElement | null)[]>([]);
  return (
    <ol className="grid content-start gap-1">
      {set.positions.map((position, i) => (
        <li key={position.label} className="grid grid-cols-[4.5rem_10rem_1rem_1fr] items-center gap-2">
          <label htmlFor={`fitted-${i}`} className={position.odd ? 'font-semibold text-madder' : ''}>
            {position.label}
          </label>
          <input
            id={`fitted-${i}`}
            ref={(element) => {
              fields.current[i] = element;
            }}
            className="field num"
            autoFocus={i === 0}
            value={numbers[i] ?? ''}
            maxLength={40}
            spellCheck={false}
            onChange={(event) => onWrite(i, event.target.value.replaceAll('|', ''))}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || event.ctrlKey) return;
              event.preventDefault();
              if ((numbers[i] ?? '') === '' && i > 0) onWrite(i, numbers[i - 1] ?? '');
              fields.current[i + 1]?.focus();
            }}
          />
          {position.verdict ? (
            <Mark kind={VERDICT_MARK[position.verdict]} label={VERDICT_WORDS[position.verdict]} />
          ) : (
            <span />
          )}
          <span className={position.odd ? 'text-madder' : 'text-soft'}>
            {position.odd && 'Differs. '}
            {position.part && position.part.printed !== position.typed ? `Read as ${position.part.printed}. ` : ''}
            {position.reason}
          </span>
        </li>
      ))}
    </ol>
  );
}

function Result({ set, engineId, onDone }: { set: FittedSet; engineId: string; onDone: () => void }) {
  const add = useAddToSlip();
  const { repair } = set;
  const sell = () => {
    if (!repair) return;
    add.mutate({ row: repair.part, kind: 'sale', engineId, quantity: repair.quantity }, { onSuccess: onDone });
  };
  useKeys(
    'What is fitted',
    [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Put the repair on the slip', run: sell }],
    {
      inDialog: true,
    },
  );
  return (
    <div className="max-w-80 pt-2" aria-live="polite">
      <p className={set.odd.length > 0 ? 'font-semibold' : ''}>{set.says}</p>
      {set.missing.length > 0 && set.missing.length < set.positions.length && (
        <p className="text-soft">Not looked at: {set.missing.join(', ')}.</p>
      )}
      {set.differences.length > 0 && (
        <table className="mt-1 w-full text-xs">
          <tbody>
            {set.differences.map(({ fact, usual, other, printed }) => (
              <tr key={`${printed} ${fact}`} className="border-t border-hair">
                <th className="py-0.5 text-left font-normal text-soft">{fact}</th>
                <td className="num">{usual}</td>
                <td className="num text-madder">{other}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {repair && (
        <p className="mt-2 border-t border-line pt-2">
          {repair.says}{' '}
          <button type="button" className="button-act mt-1 block" onClick={sell}>
            {repair.quantity} × {repair.part.printed} on the slip <Key>Ctrl Enter</Key>
          </button>
        </p>
      )}
    </div>
  );
}
