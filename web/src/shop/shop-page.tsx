import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { FormProvider } from 'react-hook-form';
import { toast } from '../controls/toast.ts';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import { changeShop, type Shop } from '@brackenfell/contract/shop';
import { Trouble } from '../controls/trouble.tsx';
import { TextField, useBodyForm } from '../controls/body-form.tsx';
import { Key } from '../controls/key.tsx';
import { todayHere } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { InstanceState } from './instance-state.tsx';
import { useOurShop } from './our-shop.ts';
import { ShopFields } from './shop-fields.tsx';

/** What the shop is called and how it counts; for a supervisor, to change it, and how the instance stands. */
export function ShopPage() {
  const shop = useOurShop();
  const { data: me } = useSession();
  return (
    <main className="desk-main col-span-2" aria-label="The shop">
      <div className="min-h-0 flex-1 overflow-auto p-4" tabIndex={0} role="region" aria-label="The shop and its state">
        <h1 className="pb-2 text-verdict font-semibold">The shop</h1>
        {shop.data && (
          <div className="grid max-w-5xl grid-cols-2 gap-8">
            {me?.role === 'supervisor' ? (
              // Begun anew with what somebody else has saved meanwhile.
              <ShopForm key={shop.data.version} shop={shop.data} />
            ) : (
              <p>
                {shop.data.name}
                {shop.data.address && `, ${shop.data.address}`}. Prices in {shop.data.currency}, tax{' '}
                {shop.data.taxBasisPoints / 100}%. A supervisor may change it.
              </p>
            )}
            {me?.role === 'supervisor' && (
              <div className="grid content-start gap-4">
                <InstanceState />
                <TakenOut />
              </div>
            )}
          </div>
        )}
      </div>
    </main>
  );
}

function ShopForm({ shop }: { readonly shop: Shop }) {
  const queries = useQueryClient();
  const form = useBodyForm(changeShop.body, shop);
  const change = useMutation({
    mutationFn: (body: RequestOf<'changeShop'>['body']) => call('changeShop', { body }),
    onSuccess: () => toast('Kept. Slips that are begun keep the tax they were begun under.'),
    onSettled: () => void queries.invalidateQueries({ queryKey: ['shop'] }),
  });
  const save = form.handleSubmit((body) => change.mutate(body));
  useKeys('The shop', [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Keep it so', run: () => void save() }]);
  return (
    <FormProvider {...form}>
      <form
        className="grid content-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
        noValidate
      >
        <ShopFields />
        <Trouble error={change.error} />
        <button type="submit" className="button-act justify-self-start" disabled={change.isPending}>
          Keep it so <Key>Ctrl Enter</Key>
        </button>
      </form>
    </FormProvider>
  );
}

/** The shop's own figures as sheets, for the books and for whoever counts the shelf. */
function TakenOut() {
  const [from, setFrom] = useState(() => `${todayHere().slice(0, 8)}01`);
  const [to, setTo] = useState(todayHere);
  return (
    <section aria-label="Taken out" className="grid gap-2">
      <h2 className="font-semibold text-slate">Taken out, as sheets</h2>
      <p>
        <a className="underline" href="/api/stock.csv" download>
          What is on the shelf, with prices
        </a>
      </p>
      <div className="flex flex-wrap items-end gap-2">
        <TextField label="Slips from" type="date" value={from} onChange={(event) => setFrom(event.target.value)} />
        <TextField label="to" type="date" value={to} onChange={(event) => setTo(event.target.value)} />
        <a className="underline" href={`/api/slips.csv?from=${from}&to=${to}`} download>
          their lines
        </a>
      </div>
      <p className="text-soft">No customer is named in them.</p>
    </section>
  );
}
