import { useParams, useSearchParams } from 'react-router';
import { sayAmiss, sayPath } from '@brackenfell/core/record/say-key';
import { stable } from '@brackenfell/core/words/stable';
import { RECORD_KINDS } from '@brackenfell/contract/record-kinds';
import type { CatalogueRecord, RecordKind, RecordLine } from '@brackenfell/contract/record';
import type { ResponseOf } from '@brackenfell/contract/endpoints';
import { useDraftOf } from '../controls/draft.ts';
import { Key } from '../controls/key.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { useKeys } from '../keys/keys.ts';
import { ProblemError } from '../wire/call.ts';
import { Field } from '../record-form/fields.tsx';
import { FormContext } from '../record-form/form-about.ts';
import { RecordHistory } from './record-history.tsx';
import { RecordWould } from './record-would.tsx';
import { StarterChoice } from './starter-choice.tsx';
import { newLine, usePreview, useRecord, useRecordForm, useWriteRecord } from './use-record.ts';

/** An engine, a heat scale or a numbering: filled in, its consequences told, recorded, taken back. */
export function RecordPage() {
  const { kind = '', key = '' } = useParams();
  const [search] = useSearchParams();
  if (!isRecordKind(kind))
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Mend a record">
        <p>Nothing of that kind is mended here.</p>
      </main>
    );
  return <Fetched key={`${kind} ${key}`} kind={kind} recordKey={key} like={search.get('like') ?? undefined} />;
}

const isRecordKind = (kind: string): kind is RecordKind => (RECORD_KINDS as readonly string[]).includes(kind);

interface FetchedProps {
  readonly kind: RecordKind;
  readonly recordKey: string;
  readonly like: string | undefined;
}

function Fetched({ kind, recordKey: key, like }: FetchedProps) {
  const record = useRecord({ kind, key });
  const form = useRecordForm(kind);
  const model = useRecord({ kind, key: like ?? key });
  if (!record.data || !form.data || !model.data)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Mend a record">
        <Trouble error={record.error ?? form.error ?? model.error} />
        {!record.error && !form.error && !model.error && <p className="text-soft">Fetching the record …</p>}
      </main>
    );
  const begun = newLine({ kind, key }, form.data.form, model.data.line ?? undefined);
  return <Filled record={record.data} form={form.data} start={record.data.line ?? begun} />;
}

interface FilledProps {
  readonly record: CatalogueRecord;
  readonly form: ResponseOf<'getRecordForm'>;
  /** As it stands, or as a new one begins. */
  readonly start: RecordLine;
}

const LOCKED: Readonly<Record<RecordKind, readonly string[]>> = {
  engine: ['id'],
  'heat-scale': ['maker'],
  numbering: ['grammar.maker', 'grammar.significant'],
};

function Filled({ record, form, start }: FilledProps) {
  const { kind, key, seen } = record;
  const draft = useDraftOf<{ line: RecordLine; seen: string } | null>(`record ${kind} ${key}`, null);
  const line = draft.value?.line ?? start;
  const isChanged = record.line === null || stable(line) !== stable(record.line);
  const isPassed = draft.value !== null && draft.value.seen !== seen;
  const preview = usePreview({ kind, key });
  const write = useWriteRecord({ kind, key });
  const would = preview.data && stable(preview.data.line) === stable(line) ? preview.data.found : undefined;
  const look = () => {
    if (!isChanged || preview.isPending) return;
    write.reset();
    preview.mutate(line);
  };
  const keep = () => {
    if (!would || write.isPending) return;
    write.mutate({ line, seen }, { onSuccess: () => draft.set(null) });
  };
  useKeys('A record', [
    {
      press: 'Control+Enter',
      printed: 'Ctrl Enter',
      does: would ? 'Record it' : 'Say what would change',
      run: would ? keep : look,
    },
  ]);
  const failed = write.error ?? preview.error;
  const wrong = wrongIn(failed);
  return (
    <main className="desk-main col-span-2" aria-label="Mend a record">
      <div className="flex flex-wrap items-baseline gap-4 border-b border-line px-4 py-2">
        <h1 className="text-verdict font-semibold">{record.title}</h1>
        <span className="text-soft">
          {record.line === null ? 'Nothing is recorded of it yet. ' : ''}
          {kind === 'engine' && 'Lengths in mm, torque in N·m.'}
          {draft.value && ' What you filled in is kept here until it is recorded or thrown away.'}
        </span>
        {draft.value && (
          <button type="button" className="button-plain ml-auto" onClick={() => draft.set(null)}>
            Throw away what was filled in
          </button>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="What is recorded">
        {isPassed && (
          <p role="alert" className="pb-2 text-madder">
            Somebody changed it since you began: yours would be written over theirs. Compare it with the history below,
            then say what would change.
          </p>
        )}
        {record.line === null && draft.value === null && kind !== 'engine' && (
          <StarterChoice kind={kind} choose={({ begin }) => draft.set({ line: begin(key) as RecordLine, seen })} />
        )}
        <FormContext value={{ wrong, figures: form.figures, locked: LOCKED[kind] }}>
          <form
            className="grid max-w-5xl gap-4"
            aria-label={record.title}
            onSubmit={(event) => {
              event.preventDefault();
              look();
            }}
          >
            <Field
              node={form.form}
              label={record.title}
              path=""
              value={line}
              set={(next) => draft.set({ line: next as RecordLine, seen: draft.value?.seen ?? seen })}
            />
            <RecordWould found={would} isNew={record.line === null} />
            <Trouble error={failed} />
            {Object.keys(wrong).length > 0 && (
              <ul className="text-madder" aria-label="What is amiss">
                {Object.entries(wrong).map(([at, says]) => (
                  <li key={at}>
                    {sayPath(at)}: {says}
                  </li>
                ))}
              </ul>
            )}
            <p className="flex flex-wrap gap-2">
              <button type="submit" className="button-plain" disabled={!isChanged || preview.isPending}>
                Say what would change {!would && <Key>Ctrl Enter</Key>}
              </button>
              <button type="button" className="button-act" disabled={!would || write.isPending} onClick={keep}>
                Record it {would && <Key>Ctrl Enter</Key>}
              </button>
              {preview.isPending && <span className="text-soft">Judging what would change …</span>}
            </p>
          </form>
        </FormContext>
        <RecordHistory record={record} />
      </div>
    </main>
  );
}

/** What the server found amiss, by its place in the record. */
function wrongIn(error: Error | null): Readonly<Record<string, string>> {
  if (!(error instanceof ProblemError)) return {};
  return Object.fromEntries(
    Object.entries(error.problem.fields ?? {}).map(([at, says]) => [at.replace(/^line\./, ''), sayAmiss(says)]),
  );
}
