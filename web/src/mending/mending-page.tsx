import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Mending } from '@brackenfell/contract/mending';
import { Key } from '../controls/key.tsx';
import { usePickList } from '../controls/pick-list.ts';
import { Trouble } from '../controls/trouble.tsx';
import { useKeys } from '../keys/keys.ts';
import { FigureForm } from './figure-form.tsx';
import { FigureLine } from './figure-line.tsx';
import { History } from './history.tsx';
import { ListingsPanel } from './listings-panel.tsx';
import { NamesPanel } from './names-panel.tsx';
import { PriceForm } from './price-form.tsx';
import { ReferencesPanel } from './references-panel.tsx';
import { useMending } from './use-mending.ts';

/** All that is recorded of a part, fact by fact: mended with its consequences told before, and taken back. */
export function MendingPage() {
  const { partId = '' } = useParams();
  const mending = useMending(partId);
  if (!mending.data)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Mend a part">
        <Trouble error={mending.error} />
        {!mending.error && <p className="text-soft">Fetching what is recorded …</p>}
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
  useKeys('Mend a part', [{ press: 'a', does: 'Add a figure of this fact', run: () => setAdding(true) }]);
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
          aria-label="What is recorded of it"
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
          {isAdding ? (
            <FigureForm key={fact.fact} partId={partId} fact={fact} onDone={() => setAdding(false)} />
          ) : (
            <button type="button" className="button-act" onClick={() => setAdding(true)}>
              Add a figure <Key>a</Key>
            </button>
          )}
          <PriceForm key={`${mending.price?.eachMinor ?? 'none'} ${mending.price?.packOf ?? ''}`} mending={mending} />
          <NamesPanel mending={mending} />
          <ReferencesPanel mending={mending} />
          <ListingsPanel mending={mending} />
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
