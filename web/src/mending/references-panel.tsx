import { useState } from 'react';
import { REFERENCE_GRADES, type ReferenceGrade } from '@brackenfell/core/interchange/trail';
import { printDate } from '@brackenfell/core/words/moments';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { Trouble } from '../controls/trouble.tsx';
import { TextField } from '../controls/body-form.tsx';
import { Mark } from '../controls/mark.tsx';
import { NumberField, type FoundPart } from '../part/number-field.tsx';
import { MendForm } from './mend-form.tsx';
import { MendPanel } from './mend-panel.tsx';
import { useConsequences } from './use-mending.ts';
import { SourceField } from './source-field.tsx';

const GRADE_WORDS: Readonly<Record<ReferenceGrade, string>> = {
  same: 'the same as',
  supersedes: 'replaced by',
  equivalent: 'equivalent to',
  alternative: 'an alternative to',
  observed: 'seen in place of',
};

/** What is said of a part and others: added with its source and the day it holds from, cut, joined again from the history. */
export const ReferencesPanel = ({ mending: { partId, references } }: { readonly mending: Mending }) => (
  <MendPanel
    partId={partId}
    label="References"
    empty="None stands."
    adds="Add a reference"
    rows={references.map((one) => ({
      key: one.edgeId,
      line: (
        <>
          <span>
            {one.direction === 'to' ? GRADE_WORDS[one.grade] : `called ${GRADE_WORDS[one.grade]} it:`}{' '}
            <b className="num font-semibold">{one.printed}</b> {one.maker}
          </span>
          <span className="text-soft">
            {one.source}, {printDate(one.notedOn)}
            {one.inForceFrom === null ? '' : `, in force from ${printDate(one.inForceFrom)}`}
          </span>
        </>
      ),
      away: {
        asks: `Cut ${one.printed} …`,
        sure: 'Cut it; it can be joined again',
        change: { what: 'cut', edgeId: one.edgeId },
      },
    }))}
    form={(onDone) => <ReferenceForm partId={partId} onDone={onDone} />}
  />
);

function ReferenceForm({ partId, onDone }: { readonly partId: string; readonly onDone: () => void }) {
  const [other, setOther] = useState<{ text: string; part: FoundPart | undefined }>({ text: '', part: undefined });
  const [grade, setGrade] = useState<ReferenceGrade>('equivalent');
  const [source, setSource] = useState('');
  const [from, setFrom] = useState('');
  const change: MendingChange | undefined =
    other.part === undefined || source.trim().length < 2
      ? undefined
      : {
          what: 'reference',
          toPartId: other.part.partId,
          grade,
          source: source.trim(),
          inForceFrom: from === '' ? null : from,
        };
  const would = useConsequences(partId, change);
  const against = would.data?.contradicts;
  return (
    <MendForm
      partId={partId}
      label="A reference"
      says="Record the reference"
      change={change}
      isReady={would.data !== undefined}
      onDone={onDone}
    >
      <div className="flex flex-wrap items-start gap-3">
        <label className="grid gap-1">
          <span className="text-slate">This part is</span>
          <select
            className="field"
            data-choice
            value={grade}
            onChange={(event) => setGrade(event.target.value as ReferenceGrade)}
          >
            {REFERENCE_GRADES.map((one) => (
              <option key={one} value={one}>
                {GRADE_WORDS[one]}
              </option>
            ))}
          </select>
        </label>
        <span className="grid gap-1">
          <span className="text-slate">number</span>
          <NumberField
            label="Number it refers to"
            text={other.text}
            part={other.part}
            anyKind
            first
            onChange={(text, part) => setOther({ text, part })}
          />
        </span>
        <SourceField value={source} onChange={setSource} />
        <TextField
          label="in force from, if not yet"
          type="date"
          value={from}
          onChange={(event) => setFrom(event.target.value)}
        />
      </div>
      {against && (
        <p className="flex items-center gap-2" role="alert">
          <Mark kind="refuse" /> The dimensions deny it: {against}. Recorded all the same, the audit will name it.
        </p>
      )}
      <Trouble error={would.error} />
    </MendForm>
  );
}
