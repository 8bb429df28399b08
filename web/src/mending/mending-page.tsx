import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import { oneOf, readPence } from '@brackenfell/core/quantities/plain-figure';
import { inOurMoney, printAmount } from '@brackenfell/core/words/money';
import type { Mending } from '@brackenfell/contract/mending';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { usePickList } from '../controls/pick-list.ts';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';
import { useKeys } from '../keys/keys.ts';
import { FigureForm } from './figure-form.tsx';
import { ReferencesPanel } from './references-panel.tsx';
import { useConsequences, useMend, useMending } from './use-mending.ts';
import { WouldChange } from './would-change.tsx';

/** All that is recorded of a part, fact by fact: mended with its consequences told before, and taken back. */
export function MendingPage() {
  const { partId = '' } = useParams();
  const mending = useMending(partId);
  if (!mending.data)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Mend a part">
        {mending.error ? (
          <p role="alert" className="text-madder">
            {mending.error.message}
          </p>
        ) : (
          <p className="text-soft">Fetching what is recorded …</p>
        )}
      </main>
    );
  return <Facts key={partId} mending={mending.data} />;
}

function Facts({ mending }: { readonly mending: Mending }) {
  const [picked, pick] = useState(0);
  const [isAdding, setAdding] = useState(false);
  const { facts, partId } = mending;
  const fact = facts[Math.min(picked, facts.length - 1)]!;
  const to = (i: number) => {
    pick(i);
    setAdding(false);
  };
  const list = usePickList({ label: 'Facts', row: 'fact', count: facts.length, picked, pick: to });
  useKeys('Mend a part', [
    ...(fact.form ? [{ press: 'a', does: 'Add a figure of this fact', run: () => setAdding(true) }] : []),
  ]);
  return (
    <>
      <aside className="desk-list" aria-label="Facts">
        <div className="border-b border-line px-3 py-2">
          <h1 className="num text-verdict font-semibold">{mending.printed}</h1>
          <p className="text-soft">{mending.maker}. Every figure keeps its source; the strongest rules.</p>
          <Link className="underline" to={`/parts/${partId}`}>
            Its card
          </Link>
        </div>
        <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
          {facts.map((one, i) => (
            <li
              key={one.fact}
              {...list.rowProps(i)}
              className={`flex cursor-pointer gap-2 border-b border-hair px-3 py-1 ${i === picked ? 'bg-bracken-wash outline-2 -outline-offset-2 outline-bracken' : ''}`}
            >
              <span className="flex-1">{one.label}</span>
              <span className="num text-right">{ruling(one)}</span>
            </li>
          ))}
        </ol>
      </aside>
      <main className="desk-main" aria-label="Mend a part">
        <div
          className="min-h-0 flex-1 overflow-auto p-4"
          tabIndex={0}
          role="region"
          aria-label="The fact, price, history"
        >
          <h2 className="text-head font-semibold">{fact.label}</h2>
          {fact.figures.length === 0 && (
            <p className="text-soft">Nothing is recorded of it: it is asked at the counter.</p>
          )}
          <ul className="max-w-3xl pb-2">
            {fact.figures.map((figure) => (
              <FigureLine key={figure.figureId} partId={partId} figure={figure} />
            ))}
          </ul>
          {isAdding && fact.form ? (
            <FigureForm key={fact.fact} partId={partId} fact={fact} onDone={() => setAdding(false)} />
          ) : fact.form ? (
            <button type="button" className="button-act" onClick={() => setAdding(true)}>
              Add a figure <Key>a</Key>
            </button>
          ) : (
            <p className="text-soft">It has parts of its own, and comes in with a file.</p>
          )}
          <PriceForm key={`${mending.price?.eachMinor ?? 'none'} ${mending.price?.packOf ?? ''}`} mending={mending} />
          <ReferencesPanel mending={mending} />
          <History mending={mending} />
        </div>
      </main>
    </>
  );
}

/** What the checks go by, in few words. */
function ruling({ figures }: Mending['facts'][number]): string {
  const own = figures.filter(({ rules }) => rules);
  if (own.length > 1) return 'sources differ';
  return own[0]?.value ?? '–';
}

function FigureLine({ partId, figure }: { partId: string; figure: Mending['facts'][number]['figures'][number] }) {
  const [isAsked, ask] = useState(false);
  const change = { what: 'withdraw', figureId: figure.figureId } as const;
  const would = useConsequences(partId, isAsked ? change : undefined);
  const mend = useMend(partId);
  return (
    <li className="grid gap-1 border-t border-hair py-1">
      <p className="flex flex-wrap items-center gap-2">
        <b className="num font-semibold">{figure.value}</b>
        <span>
          <span className="num font-semibold">{SOURCE_LETTERS[figure.rank][0]}</span> {SOURCE_LETTERS[figure.rank][1]},{' '}
          {figure.source}
        </span>
        {!figure.rules && <span className="text-soft">does not rule</span>}
        <button
          type="button"
          className="button-plain ml-auto"
          aria-label={`Withdraw ${figure.value}, ${figure.source}`}
          aria-expanded={isAsked}
          onClick={() => ask(!isAsked)}
        >
          Withdraw …
        </button>
      </p>
      {isAsked && (
        <div className="grid gap-1 pb-2" aria-live="polite">
          {would.isPending && <p className="text-soft">Judging what would change …</p>}
          {would.data && <WouldChange found={would.data} />}
          {(mend.error ?? would.error) && (
            <p role="alert" className="text-madder">
              {(mend.error ?? would.error)?.message}
            </p>
          )}
          <button
            type="button"
            className="button-act justify-self-start"
            disabled={!would.data || mend.isPending}
            onClick={() => mend.mutate(change)}
          >
            Withdraw it; it can stand again
          </button>
        </div>
      )}
    </li>
  );
}

function PriceForm({ mending: { partId, price } }: { readonly mending: Mending }) {
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

function History({ mending: { partId, history } }: { readonly mending: Mending }) {
  const mend = useMend(partId);
  return (
    <section aria-label="What was changed" className="border-t border-line pt-2">
      <h2 className="text-lead font-semibold">What was changed</h2>
      {history.length === 0 && <p className="text-soft">Nothing by hand yet.</p>}
      <ul className="max-w-3xl">
        {history.map((entry) => (
          <li key={entry.entryId} className="flex flex-wrap items-center gap-2 border-t border-hair py-1">
            <span className="text-soft">
              {printMoment(entry.at)}, {entry.by}
            </span>
            <span className="[overflow-wrap:anywhere]">{entry.says}</span>
            {entry.canUndo && (
              <button
                type="button"
                className="button-plain ml-auto"
                aria-label={`Take back: ${entry.says}`}
                disabled={mend.isPending}
                onClick={() => mend.mutate({ undo: entry.entryId }, { onError: (error) => toast.error(error.message) })}
              >
                Take back
              </button>
            )}
          </li>
        ))}
      </ul>
      {mend.error && (
        <p className="flex items-center gap-2">
          <Mark kind="caution" /> {mend.error.message}
        </p>
      )}
    </section>
  );
}
