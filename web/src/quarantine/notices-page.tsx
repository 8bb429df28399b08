import { useState } from 'react';
import { toast } from 'sonner';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { NumberField, type FoundPart } from '../part/number-field.tsx';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { useBatches, useQuarantineWrite } from './use-quarantine.ts';

/** Recall notices of makers and sellers, by batch: what is here of it is held at once. */
export function NoticesPage() {
  const batches = useBatches();
  const { data: me } = useSession();
  const notices = batches.data?.notices ?? [];
  return (
    <main className="desk-main col-span-2" aria-label="Recall notices">
      <div
        className="grid min-h-0 flex-1 content-start gap-4 overflow-auto p-4"
        tabIndex={0}
        role="region"
        aria-label="Notices"
      >
        {me?.role !== 'editor' && <NewNotice />}
        <section aria-label="Notices that came in">
          <h2 className="text-lead font-semibold">Come in before</h2>
          {batches.data && notices.length === 0 && <p className="text-soft">No notice has come in.</p>}
          <ul className="max-w-4xl">
            {notices.map((notice) => (
              <li
                key={notice.noticeId}
                className="grid grid-cols-[8rem_10rem_8rem_1fr] gap-2 border-b border-hair py-1"
              >
                <span className="text-soft">
                  {printMoment(notice.at)}, {notice.by}
                </span>
                <b className="num font-semibold">{notice.printed}</b>
                <span className="num">{notice.code}</span>
                <span>
                  {notice.from}: {notice.says}{' '}
                  <span className="text-soft">
                    {notice.batches === 0
                      ? 'None of it here; it is held when it comes.'
                      : `${notice.batches} here held.`}
                  </span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </main>
  );
}

function NewNotice() {
  const write = useQuarantineWrite<{ batches: number }>();
  const [part, setPart] = useState<FoundPart>();
  const [text, setText] = useState('');
  const [code, setCode] = useState('');
  const [from, setFrom] = useState('');
  const [says, setSays] = useState('');
  const ready = part !== undefined && code.trim() !== '' && from.trim().length > 1 && says.trim().length > 2;
  const store = () => {
    if (!ready || write.isPending) return;
    write.mutate(
      () =>
        call('enterNotice', { body: { partId: part.partId, code: code.trim(), from: from.trim(), says: says.trim() } }),
      {
        onSuccess: ({ batches }) => {
          toast(batches === 0 ? 'Noted. None of it is here; it is held when it comes.' : `${batches} here are held.`);
          for (const clear of [setText, setCode, setFrom, setSays]) clear('');
          setPart(undefined);
        },
      },
    );
  };
  return (
    <form
      className="grid max-w-2xl grid-cols-[8rem_1fr] items-center gap-2"
      aria-label="A notice that came in"
      onSubmit={(event) => {
        event.preventDefault();
        store();
      }}
    >
      <h1 className="col-span-2 text-verdict font-semibold">A recall notice came in</h1>
      <span>Number</span>
      <NumberField
        label="Number"
        text={text}
        part={part}
        onChange={(next, found) => {
          setText(next);
          setPart(found);
        }}
        first
      />
      <Field label="Batch code" value={code} onChange={setCode} longest={40} mono />
      <Field label="From" value={from} onChange={setFrom} longest={80} />
      <Field label="What it says" value={says} onChange={setSays} longest={300} />
      <button type="submit" className="button-act col-start-2 justify-self-start" disabled={!ready}>
        Hold what is here <Key>Enter</Key>
      </button>
    </form>
  );
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly longest: number;
  readonly mono?: boolean;
}

function Field({ label, value, onChange, longest, mono = false }: FieldProps) {
  return (
    <label className="contents">
      <span>{label}</span>
      <input
        className={`field ${mono ? 'num' : ''}`}
        value={value}
        maxLength={longest}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
