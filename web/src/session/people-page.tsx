import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { printMoment } from '../controls/moment.ts';
import { call } from '../wire/call.ts';
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
        <div className="grid max-w-5xl grid-cols-2 gap-x-8 gap-y-4 p-4">
          <Sessions />
          <NewSecret />
          <FailedTries everybody={me?.role === 'supervisor'} />
          {me?.role === 'supervisor' && <People ownId={me.id} />}
        </div>
      </div>
    </main>
  );
}

const Trouble = ({ error }: { readonly error: Error | null }) =>
  error && (
    <p role="alert" className="text-madder">
      {error.message}
    </p>
  );

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

function NewSecret() {
  const [password, setPassword] = useState('');
  const [newPassword, setNewPassword] = useState('');
  const [newPin, setNewPin] = useState('');
  const change = useMutation({
    mutationFn: () =>
      call('changeSecret', {
        body: { password, ...(newPassword ? { newPassword } : {}), ...(newPin ? { newPin } : {}) },
      }),
    onSuccess: () => {
      setPassword('');
      setNewPassword('');
      setNewPin('');
      toast('Changed. Wherever else you were signed in, you are signed out.');
    },
  });
  const field = (label: string, value: string, set: (text: string) => void, hint: string, longest: number) => (
    <label className="grid gap-0.5">
      <span className="text-slate">{label}</span>
      <input
        className="field"
        type="password"
        autoComplete="off"
        value={value}
        maxLength={longest}
        placeholder={hint}
        onChange={(event) => set(event.target.value)}
      />
    </label>
  );
  return (
    <section aria-label="Password and PIN">
      <h2 className="font-semibold text-slate">Password and PIN</h2>
      <form
        className="grid max-w-80 gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        {field('Password as it is now', password, setPassword, '', 200)}
        {field('New password', newPassword, setNewPassword, 'ten characters or more', 200)}
        {field('New PIN', newPin, setNewPin, '4 to 8 digits', 8)}
        <Trouble error={change.error} />
        <button
          type="submit"
          className="button-act justify-self-start"
          disabled={change.isPending || password === '' || (newPassword === '' && newPin === '')}
        >
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

function People({ ownId }: { readonly ownId: string }) {
  const queries = useQueryClient();
  const people = useQuery({ queryKey: ['people'], queryFn: () => call('listPeople', {}) });
  const set = useMutation({
    mutationFn: ({ staffId, active }: { staffId: string; active: boolean }) =>
      call('setStaffActive', { params: { staffId }, body: { active } }),
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: ['people'] });
      void queries.invalidateQueries({ queryKey: ['staff'] });
    },
    onError: (error) => toast.error(error.message),
  });
  return (
    <section aria-label="Who works here">
      <h2 className="font-semibold text-slate">Who works here</h2>
      <Trouble error={people.error} />
      <ul>
        {people.data?.people.map((person) => (
          <li key={person.id} className="flex items-baseline gap-2 border-t border-hair py-1">
            <b className="font-semibold">{person.name}</b>
            <span className="text-soft">
              {person.role}
              {person.active ? '' : ', kept out'}
            </span>
            {person.id !== ownId && (
              <button
                type="button"
                className="button-plain ml-auto"
                onClick={() => set.mutate({ staffId: person.id, active: !person.active })}
              >
                {person.active ? 'Keep out' : 'Let in again'}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="text-soft">Who is kept out is signed out everywhere at once; what they wrote stays.</p>
    </section>
  );
}
