import { useState } from 'react';
import type { z } from 'zod';
import { toast } from '../controls/toast.ts';
import { enterNotice } from '@brackenfell/contract/quarantine';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { NumberField, type FoundPart } from '../part/number-field.tsx';
import { useOnceFound } from '../part/once-found.ts';
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

/** What the form holds: the notice as the contract takes it, less the part, which the number field finds. */
const Notice = enterNotice.body.omit({ partId: true });

/** A notice as it is typed; what is here of its batch is held with it. */
export function NewNotice() {
  const write = useQuarantineWrite<{ batches: number }>();
  const [part, setPart] = useState<FoundPart>();
  const [text, setText] = useState('');
  const { register, handleSubmit, reset, formState } = useBodyForm(Notice, { code: '', from: '', says: '' });
  const { errors } = formState;
  const once = useOnceFound();
  const sendAbout = (about: FoundPart | undefined) =>
    handleSubmit((notice) => {
      if (about && !write.isPending) send(about.partId, notice);
    }, once.end)();
  const send = (partId: string, notice: z.infer<typeof Notice>) => {
    once.end();
    write.mutate(() => call('enterNotice', { body: { partId, ...notice } }), {
      onSuccess: ({ batches }) => {
        toast(batches === 0 ? 'Noted. None of it is here; it is held when it comes.' : `${batches} here are held.`);
        reset();
        setText('');
        setPart(undefined);
      },
    });
  };
  return (
    <form
      className="grid max-w-2xl gap-2"
      aria-label="A notice that came in"
      onSubmit={(event) => {
        event.preventDefault();
        // Told while its number is still looked up, it is held once that is found.
        if (!part) once.wait();
        void sendAbout(part);
      }}
      onChange={once.end}
      noValidate
    >
      <h1 className="text-verdict font-semibold">A recall notice came in</h1>
      <div className="grid gap-1">
        <span className="text-slate">Number</span>
        <NumberField
          label="Number"
          text={text}
          part={part}
          onChange={(next, found) => {
            setText(next);
            setPart(found);
            if (found && once.isDue) void sendAbout(found);
          }}
          first
        />
        {formState.isSubmitted && !part && !once.isLooking && (
          <span role="alert" className="text-xs text-madder">
            Which part is it about?
          </span>
        )}
        {once.isDue && once.isLooking && <span role="status">Held as soon as its number is found.</span>}
      </div>
      <TextField label="Batch code" error={errors.code} className="num" maxLength={40} {...register('code')} />
      <TextField label="From" error={errors.from} maxLength={80} {...register('from')} />
      <TextField label="What it says" error={errors.says} maxLength={300} {...register('says')} />
      <button type="submit" className="button-act justify-self-start" disabled={write.isPending}>
        Hold what is here <Key>Enter</Key>
      </button>
    </form>
  );
}
