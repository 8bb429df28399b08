import { useState } from 'react';
import { REFERENCE_GRADES, type ReferenceGrade } from '@brackenfell/core/interchange/trail';
import { printDate } from '@brackenfell/core/words/moments';
import type { Mending, MendingChange } from '@brackenfell/contract/mending';
import { Trouble } from '../controls/trouble.tsx';
import { TextField } from '../controls/body-form.tsx';
import { Mark } from '../controls/mark.tsx';
import { SureButton } from '../controls/sure-button.tsx';
import { NumberField, type FoundPart } from '../part/number-field.tsx';
import { MendForm } from './mend-form.tsx';
import { useConsequences, useMend } from './use-mending.ts';

const GRADE_WORDS: Readonly<Record<ReferenceGrade, string>> = {
  same: 'the same as',
  supersedes: 'replaced by',
  equivalent: 'equivalent to',
  alternative: 'an alternative to',
  observed: 'seen in place of',
};

/** What is said of a part and others: added with its source and the day it holds from, cut, joined again from the history. */
export function ReferencesPanel({ mending: { partId, references } }: { readonly mending: Mending }) {
  const [isAdding, setAdding] = useState(false);
  const mend = useMend(partId);
  return (
    <section aria-label="References" className="mt-3 border-t border-line pt-2">
      <h2 className="text-lead font-semibold">References</h2>
      {references.length === 0 && <p className="text-soft">None stands.</p>}
      <ul className="max-w-3xl">
        {references.map((one) => (
          <li key={one.edgeId} className="flex flex-wrap items-center gap-2 border-t border-hair py-1">
            <span>
              {one.direction === 'to' ? GRADE_WORDS[one.grade] : `called ${GRADE_WORDS[one.grade]} it:`}{' '}
              <b className="num font-semibold">{one.printed}</b> {one.maker}
            </span>
            <span className="text-soft">
              {one.source}, {printDate(one.notedOn)}
              {one.inForceFrom === null ? '' : `, in force from ${printDate(one.inForceFrom)}`}
            </span>
            <span className="ml-auto">
              <SureButton
                asks={`Cut ${one.printed} …`}
                sure="Cut it; it can be joined again"
                onSure={() => mend.mutate({ what: 'cut', edgeId: one.edgeId })}
              />
            </span>
          </li>
        ))}
      </ul>
      <Trouble error={mend.error} />
      {isAdding ? (
        <ReferenceForm partId={partId} onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="button-quiet" onClick={() => setAdding(true)}>
          Add a reference
        </button>
      )}
    </section>
  );
}

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
      told={
        <>
          {against && (
            <p className="flex items-center gap-2" role="alert">
              <Mark kind="refuse" /> The dimensions deny it: {against}. Recorded all the same, the audit will name it.
            </p>
          )}
          <Trouble error={would.error} />
        </>
      }
    >
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
      <TextField
        label="where: sheet, list, page"
        maxLength={60}
        value={source}
        onChange={(event) => setSource(event.target.value)}
      />
      <TextField
        label="in force from, if not yet"
        type="date"
        value={from}
        onChange={(event) => setFrom(event.target.value)}
      />
    </MendForm>
  );
}
