import { useId, useRef, useState } from 'react';
import { toast } from '../controls/toast.ts';
import { LARGEST_FILE_BYTES } from '@brackenfell/core/imports/largest-file';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';
import { useImportWrite } from './use-imports.ts';

/** The catalogue in the open format. */
const WHOLE = '/api/catalogue.jsonl';

interface TakeListProps {
  readonly suppliers: readonly string[];
  readonly onTaken: (importId: string) => void;
}

/** A file taken in: whose list it is, then the file itself, chosen or dropped. */
export function TakeList({ suppliers, onTaken }: TakeListProps) {
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
      toast.error(
        `A file of at most ${LARGEST_FILE_BYTES / 1024 / 1024} MB. Send it in parts; a whole catalogue is loaded by its command.`,
      );
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
        accept=".csv,.tsv,.txt,.xlsx,.jsonl,.ndjson,.zip"
        onChange={(event) => {
          take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <p className="flex flex-wrap items-center gap-2">
        <button type="button" className="button-plain" disabled={write.isPending} onClick={() => file.current?.click()}>
          {write.isPending ? 'Sending it …' : 'Choose a file'} <Key>f</Key>
        </button>
        <span className="text-xs text-soft">or drop it here: CSV, TSV, XLSX, JSON lines, or a whole catalogue</span>
      </p>
      <p>
        <a className="underline" href={WHOLE} download>
          Whole catalogue, taken out <Key>w</Key>
        </a>
        {', '}
        <a className="underline" href="/api/catalogue.zip" download>
          or as sheets in a zip
        </a>
      </p>
    </div>
  );
}
