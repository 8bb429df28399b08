import { useParams } from 'react-router';
import { VERDICT_WORDS, VERDICTS } from '@brackenfell/core/fitment/verdict';
import type { OpenRow } from '@brackenfell/contract/open-tray';
import { counted, printCount } from '@brackenfell/core/words/counted';
import { Key } from '../controls/key.tsx';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { EngineCard } from '../engine/engine-card.tsx';
import { useEngine } from '../engine/use-engine.ts';
import { useKeys } from '../keys/keys.ts';
import { useMayMend } from '../session/use-session.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useTray } from '../tray/use-tray.ts';
import { whyNotHad } from '../wire/until-back.ts';

const MOST_SHOWN = 12;

/** One engine of the catalogue: what it asks with sources, what it was fitted to, what could serve it. */
export function EnginePage() {
  const { engineId = '' } = useParams();
  const { go } = useCounter();
  const engine = useEngine(engineId);
  const tray = useTray(engineId, {});
  const mayMend = useMayMend();
  const mend = () => go(`/catalogue/records/engine/${engineId}`);
  useKeys('Engine page', [
    { press: 'Enter', does: 'Judge parts for it', run: () => go('/counter/parts', { engine: engineId }) },
    ...(mayMend ? [{ press: 'w', does: 'Mend what is recorded of it', run: mend }] : []),
  ]);
  const why = whyNotHad(engine);
  if (!engine.data)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Engine">
        {why ? (
          <p role="alert" className="text-madder">
            {why}
          </p>
        ) : (
          <p className="text-soft">Fetching the engine …</p>
        )}
      </main>
    );
  const { maker, code, summary, vehicles, positions } = engine.data;
  const rows = tray.data?.rows ?? [];
  return (
    <>
      <aside className="desk-card" aria-label="Requirement">
        <EngineCard engine={engine.data} showSources />
      </aside>
      <main className="desk-main" aria-label="Engine">
        <div className="flex items-baseline gap-4 border-b border-line px-4 py-3">
          <h1 className="text-verdict font-semibold">
            {maker} <span className="num">{code}</span>
          </h1>
          <span className="text-soft">
            {summary}; {counted(positions.length, 'plug')}
          </span>
          {mayMend && (
            <button type="button" className="button-plain ml-auto" onClick={mend}>
              Mend <Key>w</Key>
            </button>
          )}
          <button
            type="button"
            className={`button-act ${mayMend ? '' : 'ml-auto'}`}
            onClick={() => go('/counter/parts', { engine: engineId })}
          >
            Judge parts for it
          </button>
        </div>
        <div className="grid min-h-0 flex-1 grid-cols-2 overflow-auto" tabIndex={0} role="region" aria-label="About it">
          <section className="p-4" aria-label="Fitted to">
            <h2 className="pb-1 font-semibold text-slate">Fitted to, {vehicles.length}</h2>
            <ul>
              {vehicles.map((vehicle) => (
                <li key={vehicle.vehicleId} className="flex justify-between border-t border-hair py-0.5">
                  {vehicle.title} <span className="num text-soft">{vehicle.years}</span>
                </li>
              ))}
            </ul>
          </section>
          <section className="border-l border-hair p-4" aria-label="Candidates">
            <h2 className="pb-1 font-semibold text-slate">
              Candidates
              {tray.data ? `, ${printCount(tray.data.counts.byReference + tray.data.counts.bySize)} judged` : ''}
            </h2>
            {!tray.data && <p className="text-soft">{whyNotHad(tray) ?? 'Judging …'}</p>}
            {[...VERDICTS].reverse().map((verdict) => {
              const count = tray.data?.counts.verdicts[verdict] ?? 0;
              const own = rows.filter((row) => row.verdict === verdict);
              return count === 0 ? null : <Group key={verdict} verdict={verdict} rows={own} count={count} />;
            })}
          </section>
        </div>
      </main>
    </>
  );
}

interface GroupProps {
  readonly verdict: OpenRow['verdict'];
  readonly rows: readonly OpenRow[];
  readonly count: number;
}

function Group({ verdict, rows, count }: GroupProps) {
  const { go } = useCounter();
  const shown = rows.slice(0, MOST_SHOWN);
  return (
    <div className="pb-2">
      <h3 className={`verdict-${verdict} flex items-center gap-1.5 font-semibold`}>
        <Mark kind={VERDICT_MARK[verdict]} /> {VERDICT_WORDS[verdict]} <span className="num">{printCount(count)}</span>
      </h3>
      <ul>
        {shown.map((row) => (
          <li key={row.partId} className="flex items-baseline gap-2 border-t border-hair py-0.5">
            <button
              type="button"
              className="num min-h-6 whitespace-nowrap underline decoration-line"
              onClick={() => go(`/parts/${row.partId}`)}
            >
              {row.printed}
            </button>
            <span className="truncate text-soft">{row.reason}</span>
          </li>
        ))}
        {count > shown.length && (
          <li className="text-soft">
            {shown.length > 0 ? 'and ' : ''}
            {printCount(count - shown.length)} more
          </li>
        )}
      </ul>
    </div>
  );
}
