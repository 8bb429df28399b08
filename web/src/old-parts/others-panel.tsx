import { toast } from '../controls/toast.ts';
import { hasHere } from '@brackenfell/core/old-parts/kept-answers';
import {
  PART_SIGNS,
  PART_WORDS,
  partSignsHere,
  READ_PARTS,
  saySeen,
  type PartSignId,
} from '@brackenfell/core/old-parts/other-parts';
import { upperFirst } from '@brackenfell/core/words/case';
import { Key } from '../controls/key.tsx';
import { toggled, Toggles } from '../controls/toggles.tsx';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useBeginSlip } from '../counter/use-begin-slip.ts';
import { useKept } from '../counter/use-keep.ts';
import { useKeys } from '../keys/keys.ts';
import type { DeskProps } from './desk-props.ts';
import { LastRead } from './last-read.tsx';
import { oldPartsEngine, type OldOthers } from './use-old-parts.ts';

const LETTERS = [...'abcdefghijklmn'];

/** What is seen on old coils, leads, cap and rotor, kept on the slip: what it likely comes from, and what comes before a sale. */
export function OthersPanel({ engine, plan, mine }: DeskProps) {
  const { kept, keep } = useKept('old-others', engine.engineId);
  const write = useSlipWrite();
  const begin = useBeginSlip();
  const now: OldOthers = kept ?? { kind: 'old-others', engineId: engine.engineId, seen: [] };
  const here = partSignsHere(hasHere(oldPartsEngine(engine)));
  const seenOf = (id: PartSignId) => now.seen.find(({ sign }) => sign === id);
  const store = (seen: OldOthers['seen'], id: PartSignId) => keep({ ...now, seen }, saySeen(id, []));
  const choose = (id: PartSignId) =>
    store(seenOf(id) ? now.seen.filter(({ sign }) => sign !== id) : [...now.seen, { sign: id, cylinders: [] }], id);
  const choosePlace = (id: PartSignId, cylinder: number) =>
    store(
      now.seen.map((one) =>
        one.sign === id ? { ...one, cylinders: toggled(one.cylinders, cylinder).sort((a, b) => a - b) } : one,
      ),
      id,
    );
  const writeDown = () => {
    const slipId = begin(engine.engineId);
    const text = now.seen
      .map(({ sign, cylinders }) => `${upperFirst(saySeen(sign, cylinders))}: ${PART_SIGNS[sign].first}`)
      .join(' ');
    write.mutate(
      slipCall('addNote', { params: { slipId }, body: { text: text.slice(0, 400) } }, 'what the old parts say'),
      { onSuccess: () => toast('Written on the slip.') },
      slipId,
    );
  };
  useKeys(
    'Coils, leads, caps and rotors',
    [
      ...here.map((id, i) => ({
        press: LETTERS[i]!,
        does: saySeen(id, []),
        run: () => choose(id),
      })),
      ...(now.seen.length > 0
        ? [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Write it on the slip', run: writeDown }]
        : []),
    ],
    { active: mine },
  );
  return (
    <section aria-label="Coils, leads, caps and rotors" className="set-up-panel">
      <h2 className="text-lead font-semibold">Coils, leads, caps and rotors</h2>
      {READ_PARTS.map((part) => {
        const options = here.filter((id) => PART_SIGNS[id].part === part);
        return (
          options.length > 0 && (
            <Toggles
              key={part}
              title={PART_WORDS[part]}
              options={options.map((value) => ({
                value,
                says: PART_SIGNS[value].says,
                letter: LETTERS[here.indexOf(value)],
              }))}
              isOn={(id) => seenOf(id) !== undefined}
              disabled={!mine}
              onChoose={choose}
              showLetters
            />
          )
        );
      })}
      <div aria-live="polite" className="grid gap-2 pt-2">
        {now.seen.length === 0 && <p className="text-soft">Choose what is seen.</p>}
        {now.seen.map(({ sign, cylinders }) => {
          const { part, likely, first, sells } = PART_SIGNS[sign];
          return (
            <section key={sign} aria-label={upperFirst(saySeen(sign, []))} className="border-t border-hair pt-1">
              <h3 className="font-semibold">{upperFirst(saySeen(sign, cylinders))}</h3>
              <p>Likely: {likely}.</p>
              <p>Before a sale: {first}</p>
              <p>{sells === null ? 'Nothing is sold for it yet.' : `Then may be sold: ${sells}.`}</p>
              {(part === 'coil' || part === 'lead') && (
                <Toggles
                  title="On which cylinders"
                  options={plan.firingOrder
                    .toSorted((a, b) => a - b)
                    .map((cylinder) => ({ value: String(cylinder), says: String(cylinder) }))}
                  isOn={(one) => cylinders.includes(Number(one))}
                  disabled={!mine}
                  onChoose={(one) => choosePlace(sign, Number(one))}
                />
              )}
            </section>
          );
        })}
      </div>
      {now.seen.length > 0 && (
        <p className="pt-2">
          <button type="button" className="button-act" disabled={!mine} onClick={writeDown}>
            Write it on the slip <Key>Ctrl Enter</Key>
          </button>
        </p>
      )}
      <LastRead kind="old-others" />
    </section>
  );
}
