import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { toast } from '../controls/toast.ts';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { changeSecret } from '@brackenfell/contract/session';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Trouble } from '../controls/trouble.tsx';
import { printMoment } from '../controls/moment.ts';
import { call } from '../wire/call.ts';
import { PeoplePanel } from './people-panel.tsx';
import { useSession } from './use-session.ts';

const WHAT_WORDS = { 'sign-in': 'password', pin: 'PIN' } as const;

/** Where one is signed in, what was tried in one's name, one's password and PIN; for a supervisor, who may come in. */
export function PeoplePage() {
  const { data: me } = useSession();
  return (
    <main className="desk-main col-span-2" aria-label="Sign-ins and people">
      <div
        className="min-h-0 flex-1 overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="Sign-ins, secrets and people"
      >
        <h1 className="px-4 pt-3 text-verdict font-semibold">Sign-ins, password and PIN</h1>
        <p className="px-4">
          <Link to="/shop" className="button-plain">
            The shop: name, address, money, tax
          </Link>
        </p>
        <div className="grid max-w-5xl grid-cols-2 gap-x-8 gap-y-4 p-4">
          <Sessions />
          <NewSecret />
          <FailedTries everybody={me?.role === 'supervisor'} />
          {me?.role === 'supervisor' && <PeoplePanel ownId={me.id} />}
        </div>
      </div>
    </main>
  );
}

function Sessions() {
  const queries = useQueryClient();
  const sessions = useQuery({ queryKey: ['sessions'], queryFn: () => call('listSessions', {}) });
  const end = useMutation({
    mutationFn: (sessionId: string) => call('endSession', { params: { sessionId } }),
    onSettled: () => void queries.invalidateQueries({ queryKey: ['sessions'] }),
    onError: (error) => toast.error(error.message),
  });
  return (
    <section aria-label="Where you are signed in">
      <h2 className="font-semibold text-slate">Where you are signed in</h2>
      <Trouble error={sessions.error} />
      {sessions.isPending && <p className="text-soft">Looking …</p>}
      <ul>
        {sessions.data?.sessions.map((session) => (
          <li key={session.sessionId} className="flex items-baseline gap-2 border-t border-hair py-1">
            <span>
              Since {printMoment(session.begunAt)}, last used {printMoment(session.lastSeenAt)}
            </span>
            {session.isThis ? (
              <span className="ml-auto text-soft">this counter</span>
            ) : (
              <button type="button" className="button-plain ml-auto" onClick={() => end.mutate(session.sessionId)}>
                Sign out there
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A field left empty changes nothing. */
const LEFT_OUT = { setValueAs: (text: string) => (text === '' ? undefined : text) };

function NewSecret() {
  const { register, handleSubmit, reset, formState } = useBodyForm(changeSecret.body, { password: '' });
  const { errors } = formState;
  const change = useMutation({
    mutationFn: (body: RequestOf<'changeSecret'>['body']) => call('changeSecret', { body }),
    onSuccess: () => {
      reset({ password: '', newPassword: '', newPin: '' });
      toast('Changed. Wherever else you were signed in, you are signed out.');
    },
  });
  const secret = { type: 'password', autoComplete: 'off' } as const;
  return (
    <section aria-label="Password and PIN">
      <h2 className="font-semibold text-slate">Password and PIN</h2>
      <form
        className="grid max-w-80 gap-2"
        onSubmit={(event) => void handleSubmit((body) => change.mutate(body))(event)}
        noValidate
      >
        <TextField {...secret} label="Password as it is now" error={errors.password} {...register('password')} />
        <TextField
          {...secret}
          label="New password"
          placeholder="ten characters or more"
          error={errors.newPassword}
          {...register('newPassword', LEFT_OUT)}
        />
        <TextField
          {...secret}
          label="New PIN"
          placeholder="4 to 8 digits"
          error={errors.newPin}
          {...register('newPin', LEFT_OUT)}
        />
        <Trouble error={change.error} />
        <button type="submit" className="button-act justify-self-start" disabled={change.isPending}>
          Change it
        </button>
      </form>
    </section>
  );
}

function FailedTries({ everybody }: { readonly everybody: boolean }) {
  const tries = useQuery({ queryKey: ['failed tries'], queryFn: () => call('listFailedTries', {}) });
  return (
    <section aria-label="Wrong passwords and PINs">
      <h2 className="font-semibold text-slate">Wrong passwords and PINs, last 30 days</h2>
      <Trouble error={tries.error} />
      {tries.data?.tries.length === 0 && (
        <p className="text-soft">{everybody ? 'None, in anybody’s name.' : 'None in your name.'}</p>
      )}
      <ul className="max-h-60 overflow-auto" tabIndex={0} aria-label="Wrong tries, latest first">
        {tries.data?.tries.map((one) => (
          <li key={`${one.at} ${one.address} ${one.what}`} className="border-t border-hair py-1">
            {printMoment(one.at)}: {WHAT_WORDS[one.what]}
            {everybody ? ` of ${one.name ?? 'nobody known here'}` : ''}
            <span className="text-soft">, from {one.address}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
