import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import { oneOf, readPence } from '@brackenfell/core/quantities/plain-figure';
import { inOurMoney, printAmount } from '@brackenfell/core/words/money';
import type { Mending } from '@brackenfell/contract/mending';
import { useMend } from './use-mending.ts';

/** What it is sold at, and in what packs. */
export function PriceForm({ mending: { partId, price } }: { readonly mending: Mending }) {
  const [text, setText] = useState(price ? printAmount(price.eachMinor) : '');
  const [pack, setPack] = useState(String(price?.packOf ?? 1));
  const mend = useMend(partId);
  const eachMinor = oneOf(readPence(text));
  const packOf = /^[1-9]\d?$/.test(pack.trim()) ? Number(pack) : undefined;
  const isNew = eachMinor !== undefined && (eachMinor !== price?.eachMinor || packOf !== price.packOf);
  return (
    <form
      className="flex flex-wrap items-end gap-3 border-t border-line mt-3 py-3"
      aria-label="Price and pack"
      onSubmit={(event) => {
        event.preventDefault();
        if (eachMinor === undefined || packOf === undefined) return;
        mend.mutate(
          { what: 'price', eachMinor, packOf },
          { onSuccess: () => toast('Kept. Slips keep the price they were told at.') },
        );
      }}
    >
      <label className="grid gap-1">
        <span className="text-slate">{inOurMoney('Price each before tax, £')}</span>
        <input
          className="field num w-36"
          value={text}
          onChange={(event) => setText(event.target.value)}
          maxLength={20}
        />
      </label>
      <label className="grid gap-1">
        <span className="text-slate">Sold in packs of</span>
        <input
          className="field num w-20"
          value={pack}
          onChange={(event) => setPack(event.target.value)}
          maxLength={3}
        />
      </label>
      <button type="submit" className="button-quiet" disabled={!isNew || packOf === undefined || mend.isPending}>
        Keep the price
      </button>
      {mend.error && (
        <span role="alert" className="text-madder">
          {mend.error.message}
        </span>
      )}
    </form>
  );
}
