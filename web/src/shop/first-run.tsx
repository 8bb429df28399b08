import { useMutation, useQueryClient } from '@tanstack/react-query';
import { FormProvider } from 'react-hook-form';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { beginShop } from '@brackenfell/contract/shop';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Frond } from '../drawing/frond.tsx';
import { call } from '../wire/call.ts';
import { useServerAway } from '../wire/server-presence.ts';
import { takeSession } from '../session/use-session.ts';
import { ShopFields } from './shop-fields.tsx';

/** A server on an empty database: the shop is named, and its first supervisor let in. What was typed is kept through every failure. */
export function FirstRun() {
  const queries = useQueryClient();
  const form = useBodyForm(beginShop.body, {
    name: '',
    address: '',
    currency: 'EUR',
    taxBasisPoints: 2000,
    locale: 'en-IE',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    units: 'metric',
    code: '',
    supervisor: { name: '', initials: '', password: '', pin: '' },
  });
  const begin = useMutation({
    mutationFn: (body: RequestOf<'beginShop'>['body']) => call('beginShop', { body }),
    onSuccess: async (staff) => {
      await queries.invalidateQueries({ queryKey: ['shop'] });
      await takeSession(queries, staff);
    },
  });
  const away = useServerAway();
  const { register, formState } = form;
  const errors = formState.errors.supervisor;
  return (
    <main className="h-full overflow-auto bg-chalk p-6">
      <FormProvider {...form}>
        <form
          className="mx-auto grid max-w-4xl gap-4 border border-line bg-slip p-6"
          onSubmit={(event) => void form.handleSubmit((body) => begin.mutate(body))(event)}
          noValidate
        >
          <div className="flex items-center gap-3">
            <Frond />
            <div>
              <h1 className="text-head font-semibold">Begin a shop</h1>
              <p className="text-soft">
                Nothing is stored here yet. All of this can be changed later, the currency only while nothing has a
                price; a slip keeps the tax it was begun under.
              </p>
            </div>
          </div>
          <div className="grid gap-8 md:grid-cols-2">
            <section aria-label="The shop">
              <h2 className="pb-1 font-semibold text-slate">The shop</h2>
              <ShopFields />
            </section>
            <section aria-label="Its first supervisor" className="grid content-start gap-2">
              <h2 className="font-semibold text-slate">Its first supervisor</h2>
              <p className="text-soft">Lets everybody else in, and settles what only a supervisor may.</p>
              <div className="grid grid-cols-[1fr_6rem] items-start gap-2">
                <TextField
                  label="Name to sign in with"
                  autoComplete="username"
                  error={errors?.name}
                  {...register('supervisor.name')}
                />
                <TextField
                  label="Initials"
                  maxLength={3}
                  error={errors?.initials}
                  {...register('supervisor.initials')}
                />
              </div>
              <TextField
                label="Password: three words and more"
                type="password"
                autoComplete="new-password"
                error={errors?.password}
                {...register('supervisor.password')}
              />
              <TextField
                label="PIN, for the word given at another’s counter"
                type="password"
                inputMode="numeric"
                autoComplete="off"
                placeholder="4 to 8 digits"
                error={errors?.pin}
                {...register('supervisor.pin')}
              />
              <h2 className="pt-3 font-semibold text-slate">That it is you</h2>
              <TextField
                label="Code that the terminal printed at the start"
                className="num"
                autoComplete="off"
                spellCheck={false}
                error={formState.errors.code}
                {...register('code')}
              />
            </section>
          </div>
          <div className="flex items-center gap-3">
            <button type="submit" className="button-act" disabled={begin.isPending}>
              {begin.isPending ? 'Beginning …' : 'Begin the shop'}
            </button>
            <p role="alert" className="text-madder">
              {away
                ? 'The server does not answer. What you typed is kept; try again in a moment.'
                : begin.error?.message}
            </p>
          </div>
        </form>
      </FormProvider>
    </main>
  );
}
