import { useForm } from 'react-hook-form';
import { Frond } from '../drawing/frond.tsx';
import { useServerAway } from '../wire/server-presence.ts';
import { useSignIn } from './use-session.ts';

interface Fields {
  readonly name: string;
  readonly password: string;
}

/** The first screen: who is at the counter. What was typed is kept through every failure. */
export function SignIn({ place }: { readonly place: string }) {
  const { register, handleSubmit, formState } = useForm<Fields>({ defaultValues: { name: '', password: '' } });
  const signIn = useSignIn();
  const away = useServerAway();
  return (
    <main className="grid h-full place-items-center bg-chalk">
      <form
        className="grid w-80 gap-3 border border-line bg-slip p-6"
        onSubmit={(event) => void handleSubmit((fields) => signIn.mutate(fields))(event)}
        noValidate
      >
        <div className="flex items-center gap-3 pb-1">
          <Frond />
          <div>
            <h1 className="text-head font-semibold">Brackenfell</h1>
            <p className="text-soft">{place}</p>
          </div>
        </div>
        <label className="grid gap-1">
          <span className="text-slate">Name</span>
          <input
            className="field"
            autoComplete="username"
            autoFocus
            aria-invalid={formState.errors.name !== undefined}
            {...register('name', { required: 'Type your name.' })}
          />
          <FieldError text={formState.errors.name?.message} />
        </label>
        <label className="grid gap-1">
          <span className="text-slate">Password</span>
          <input
            className="field"
            type="password"
            autoComplete="current-password"
            aria-invalid={formState.errors.password !== undefined}
            {...register('password', { required: 'Type your password.' })}
          />
          <FieldError text={formState.errors.password?.message} />
        </label>
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

function FieldError({ text }: { text: string | undefined }) {
  return text ? <span className="text-madder">{text}</span> : null;
}
