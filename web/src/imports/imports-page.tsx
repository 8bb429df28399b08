import { useId, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { LARGEST_FILE_BYTES } from '@brackenfell/core/imports/columns';
import type { ImportLine } from '@brackenfell/contract/imports';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { usePickList } from '../controls/pick-list.ts';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { ImportDetail } from './import-detail.tsx';
import { useImport, useImports, useImportWrite } from './use-imports.ts';

/** Suppliers’ lists: taken in, read, and what each would change; the picked one beside. */
export function ImportsPage() {
  const { data: me } = useSession();
  const mayEdit = me?.role === 'editor' || me?.role === 'supervisor';
  if (me && !mayEdit)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Import">
        <p className="text-soft">Lists are taken in by an editor or a supervisor.</p>
      </main>
    );
  return <Imports />;
}

function Imports() {
  const { importId } = useParams();
  const navigate = useNavigate();
  const imports = useImports();
  const lines = imports.data?.imports ?? [];
  const shown = importId ?? lines[0]?.importId;
  const view = useImport(shown);
  const show = (id: string) => void navigate(`/catalogue/imports/${id}`, { replace: true });
  const list = usePickList({
    label: 'Lists taken in',
    row: 'list',
    count: lines.length,
    picked: lines.findIndex((line) => line.importId === shown),
    pick: (i) => show(lines[i]!.importId),
  });
  return (
    <>
      <aside className="desk-list" aria-label="Imports">
        <TakeList suppliers={imports.data?.suppliers ?? []} onTaken={show} />
        {imports.error && (
          <p role="alert" className="px-3 text-madder">
            {imports.error.message}
          </p>
        )}
        {imports.data && lines.length === 0 ? (
          <p className="p-3 text-soft">No list was taken in yet.</p>
        ) : (
          <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
            {lines.map((line, i) => (
              <Line key={line.importId} line={line} row={list.rowProps(i)} />
            ))}
          </ol>
        )}
      </aside>
      {view.data ? (
        <ImportDetail key={view.data.importId} view={view.data} />
      ) : (
        <main className="desk-main p-6" aria-label="Import">
          <p className="text-soft" role={view.error ? 'alert' : undefined}>
            {view.error?.message ??
              'A list is shown here once it is taken in: how its columns are read, and what it would change.'}
          </p>
          <p className="max-w-prose pt-2 text-soft">
            A supplier’s list fills blanks and raises questions. It never overrides what an engine maker or a part maker
            states.
          </p>
        </main>
      )}
    </>
  );
}

/** The catalogue in the open format. */
const WHOLE = '/api/catalogue.jsonl';

interface TakeListProps {
  readonly suppliers: readonly string[];
  readonly onTaken: (importId: string) => void;
}

/** A file taken in: whose list it is, then the file itself, chosen or dropped. */
function TakeList({ suppliers, onTaken }: TakeListProps) {
  const [supplier, setSupplier] = useState('');
  const [isOver, setOver] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const file = useRef<HTMLInputElement>(null);
  const known = useId();
  const write = useImportWrite();
  const take = (chosen: File | undefined) => {
    if (!chosen) return;
    if (supplier.trim().length < 2) {
      toast.error('Whose list is it? Write the supplier first.');
      field.current?.focus();
      return;
    }
    if (chosen.size > LARGEST_FILE_BYTES) {
      toast.error(`A file of at most ${LARGEST_FILE_BYTES / 1024 / 1024} MB. Send it in parts.`);
      return;
    }
    write.mutate(
      () =>
        call(
          'takeList',
          { query: { supplier: supplier.trim(), fileName: chosen.name.slice(0, 120) } },
          { bytes: chosen },
        ),
      {
        onSuccess: ({ importId }) => onTaken(importId),
        onError: (error) => toast.error(error.message),
      },
    );
  };
  useKeys('Imports', [
    { press: 't', does: 'Take a list: whose it is', run: () => field.current?.focus() },
    { press: 'f', does: 'Choose its file', run: () => file.current?.click() },
    { press: 'w', does: 'The whole catalogue, in the open format', run: () => window.location.assign(WHOLE) },
  ]);
  return (
    <div
      className={`grid gap-1 border-b border-line px-3 py-2 ${isOver ? 'bg-bracken-wash' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files[0]);
      }}
    >
      <h1 className="text-verdict font-semibold">Take a list</h1>
      <label className="grid gap-0.5">
        <span className="text-slate">
          Supplier <Key>t</Key>
        </span>
        <input
          ref={field}
          className="field"
          list={known}
          maxLength={80}
          value={supplier}
          onChange={(event) => setSupplier(event.target.value)}
        />
        <datalist id={known}>
          {suppliers.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
      </label>
      <input
        ref={file}
        type="file"
        className="sr-only"
        tabIndex={-1}
        aria-label="File of the list"
        accept=".csv,.tsv,.txt,.xlsx,.jsonl,.ndjson"
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <p className="flex flex-wrap items-center gap-2">
        <button type="button" className="button-plain" disabled={write.isPending} onClick={() => file.current?.click()}>
          {write.isPending ? 'Sending it …' : 'Choose a file'} <Key>f</Key>
        </button>
        <span className="text-xs text-soft">or drop it here: CSV, TSV, XLSX, JSON lines</span>
      </p>
      <p>
        <a className="underline" href={WHOLE} download>
          Whole catalogue, taken out <Key>w</Key>
        </a>
      </p>
    </div>
  );
}

const STATE_MARKS = {
  reading: 'unknown',
  sorting: 'unknown',
  sorted: 'acceptable',
  writing: 'unknown',
  written: 'match',
  'taking-back': 'unknown',
  'taken-back': 'not-asked',
  failed: 'refuse',
} as const;

function Line({ line, row }: { line: ImportLine; row: ReturnType<ReturnType<typeof usePickList>['rowProps']> }) {
  return (
    <li {...row} className="audit-line grid-cols-[0.75rem_minmax(0,1fr)]!">
      <Mark kind={STATE_MARKS[line.state]} />
      <span className="min-w-0">
        <b className="block font-semibold [overflow-wrap:anywhere]">{line.supplier}</b>
        <span className="block text-soft [overflow-wrap:anywhere]">{line.fileName}</span>
        <span className="block text-soft">
          {printMoment(line.at)}: {line.state.replace('-', ' ')}
          {line.counts && `, ${line.counts.new} new, ${line.counts.changed} changed`}
        </span>
      </span>
    </li>
  );
}
