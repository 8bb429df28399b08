import { useState, type SyntheticEvent } from 'react';
import { Frond } from '../drawing/frond.tsx';
import { useServerAway } from '../wire/server-presence.ts';
import { useSignIn } from './use-session.ts';

const ASKED = [
  { name: 'name', label: 'Name', missing: 'Type your name.', type: 'text', autoComplete: 'username' },
  {
    name: 'password',
    label: 'Password',
    missing: 'Type your password.',
    type: 'password',
    autoComplete: 'current-password',
  },
] as const;
type Field = (typeof ASKED)[number]['name'];

/**
 * The first screen: who is at the counter. What was typed is kept through every failure. A form of the browser's own: that of
 * the other screens would be fetched before the counter can be used.
 */
export function SignIn({ place }: { readonly place: string }) {
  const [missing, setMissing] = useState<readonly Field[]>([]);
  const signIn = useSignIn();
  const away = useServerAway();
  const submit = (event: SyntheticEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const textOf = (name: Field): string => {
      const value = typed.get(name);
      return typeof value === 'string' ? value : '';
    };
    const left = ASKED.map(({ name }) => name).filter((name) => textOf(name) === '');
    setMissing(left);
    if (left[0]) event.currentTarget.querySelector<HTMLInputElement>(`[name="${left[0]}"]`)?.focus();
    else signIn.mutate({ name: textOf('name'), password: textOf('password') });
  };
  return (
    <main className="grid h-full place-items-center bg-chalk">
      <form className="grid w-80 gap-3 border border-line bg-slip p-6" onSubmit={submit} noValidate>
        <div className="flex items-center gap-3 pb-1">
          <Frond />
          <div>
            <h1 className="text-head font-semibold">Brackenfell</h1>
            <p className="text-soft">{place}</p>
          </div>
        </div>
        {ASKED.map(({ name, label, type, autoComplete, missing: says }) => (
          <label key={name} className="grid gap-1">
            <span className="text-slate">{label}</span>
            <input
              className="field"
              name={name}
              type={type}
              autoComplete={autoComplete}
              autoFocus={name === 'name'}
              aria-invalid={missing.includes(name)}
            />
            {missing.includes(name) && <span className="text-madder">{says}</span>}
          </label>
        ))}
        <button className="button-act" type="submit" disabled={signIn.isPending}>
          {signIn.isPending ? 'Signing in …' : 'Sign in'}
        </button>
        <p role="alert" className="min-h-[2.125rem] text-madder">
          {away ? 'The server does not answer. What you typed is kept; try again in a moment.' : signIn.error?.message}
        </p>
      </form>
    </main>
  );
}
