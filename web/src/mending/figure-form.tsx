import { useId, useState } from 'react';
import { emptyOf } from '@brackenfell/core/record/form-node';
import { inFactUnit } from '@brackenfell/core/facts/fact-answers';
import { isRecordable, toRecord, WRITTEN_RANKS } from '@brackenfell/core/facts/fact-form';
import { systemOf } from '@brackenfell/core/quantities/format-quantity';
import type { QuantityKind } from '@brackenfell/core/quantities/plausible-ranges';
import { readQuantity } from '@brackenfell/core/quantities/read-quantity';
import { asOne } from '@brackenfell/core/quantities/plain-figure';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { Trouble } from '../controls/trouble.tsx';
import { Field } from '../record-form/fields.tsx';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';
import { AskedBack } from '../measuring/asked-back.tsx';
import { useSettings } from '../settings/settings.ts';
import { MendForm } from './mend-form.tsx';
import { useConsequences } from './use-mending.ts';
import { WouldChange } from '../consequences/would-change.tsx';
import { SourceField } from './source-field.tsx';

type Fact = Mending['facts'][number];
type Rank = (typeof WRITTEN_RANKS)[number];

/** Lengths of every kind are read as a reach is: no usual range is narrower. */
const kindOf = (quantity: string): QuantityKind =>
  quantity === 'length' || quantity === 'thread' ? 'reach' : (quantity as QuantityKind);

interface FigureFormProps {
  readonly partId: string;
  readonly fact: Fact;
  readonly onDone: () => void;
}

/** A figure as a source states it: what it would change is told before it is recorded. */
export function FigureForm({ partId, fact, onDone }: FigureFormProps) {
  const { units } = useSettings();
  const [text, setText] = useState('');
  const [scale, setScale] = useState('');
  const [rank, setRank] = useState<Rank>('part-maker');
  const [source, setSource] = useState('');
  const [parts, setParts] = useState<unknown>();
  const { form } = fact;
  const reading =
    form.kind === 'figure' && text.trim() !== ''
      ? asOne(readQuantity(text, kindOf(form.quantity), { system: systemOf(units), as: 'specification' }), true)
      : undefined;
  const value =
    form.kind === 'figure'
      ? reading?.kind === 'read'
        ? toRecord(fact.fact, inFactUnit(form.unit, reading.low))
        : undefined
      : form.kind === 'choose'
        ? form.options.find((option) => String(option.value) === text)?.value
        : form.kind === 'parts'
          ? isRecordable(fact.fact, parts)
            ? parts
            : undefined
          : text.trim() !== '' && scale !== ''
            ? { maker: scale, code: text.trim() }
            : undefined;
  const change: MendingChange | undefined =
    value === undefined || source.trim().length < 2
      ? undefined
      : { what: 'figure', fact: fact.fact, value: value as never, rank, source: source.trim() };
  const would = useConsequences(partId, change);
  const field = useId();
  return (
    <MendForm partId={partId} label={`A figure of ${fact.label}`} says="Record it" change={change} onDone={onDone}>
      <p className="text-soft">{fact.question}</p>
      {form.kind === 'parts' && (
        <Field node={form.of} label={fact.label} path="" value={parts ?? emptyOf(form.of)} set={setParts} />
      )}
      <div className="flex flex-wrap items-end gap-3">
        {form.kind === 'heat' && (
          <label className="grid gap-1">
            <span className="text-slate">Scale of</span>
            <select className="field" data-choice value={scale} onChange={(event) => setScale(event.target.value)}>
              <option value="">choose</option>
              {form.scales.map(({ maker, name }) => (
                <option key={maker} value={maker}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        {form.kind !== 'parts' && (
          <div className="grid gap-1">
            <label className="text-slate" htmlFor={field}>
              {fact.label}
            </label>
            {form.kind === 'choose' ? (
              <select
                id={field}
                className="field"
                data-choice
                autoFocus
                value={text}
                onChange={(event) => setText(event.target.value)}
              >
                <option value="">choose</option>
                {form.options.map(({ value: one, says }) => (
                  <option key={String(one)} value={String(one)}>
                    {says}
                  </option>
                ))}
              </select>
            ) : (
              <input
                id={field}
                className="field num w-36"
                autoFocus
                maxLength={40}
                value={text}
                onChange={(event) => setText(event.target.value)}
              />
            )}
          </div>
        )}
        <label className="grid gap-1">
          <span className="text-slate">stated by</span>
          <select className="field" data-choice value={rank} onChange={(event) => setRank(event.target.value as Rank)}>
            {WRITTEN_RANKS.map((one) => (
              <option key={one} value={one}>
                {SOURCE_LETTERS[one][1]}
              </option>
            ))}
          </select>
        </label>
        <SourceField value={source} onChange={setSource} />
      </div>
      <AskedBack reading={reading} onChoose={setText} />
      {change && (
        <div aria-live="polite" className="grid gap-1">
          {would.isPending && <p className="text-soft">Judging what would change …</p>}
          {would.data && <WouldChange found={would.data} />}
        </div>
      )}
      <Trouble error={would.error} />
    </MendForm>
  );
}
