import { useDeferredValue, useEffect, useRef, useState } from 'react';
import type { EngineLine } from '@brackenfell/contract/engine';
import { Mark } from '../controls/mark.tsx';
import { useKeys } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { slipCall, useSlipWrite } from '../slip/use-slip.ts';
import { EngineCard } from './engine-card.tsx';
import { useEngine, useEngines } from './use-engine.ts';

/** Which engine it is for: words narrow the list, a row is taken. The engine is never guessed. */
export function EngineStage() {
  const { engineId, slip, inHand, go } = useCounter();
  const [words, setWords] = useState('');
  const engines = useEngines(useDeferredValue(words));
  const rows = engines.data?.engines ?? [];
  const [picked, pick] = useState(0);
  const here = Math.min(picked, Math.max(0, rows.length - 1));
  const row = rows[here];
  const card = useEngine(row?.engineId);
  const write = useSlipWrite();
  const box = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);

  const take = (engine: EngineLine | undefined) => {
    if (!engine) return;
    const current = slip.data;
    if (current?.state === 'open')
      write.mutate(
        slipCall('changeSlip', {
          params: { slipId: current.slipId },
          body: { version: current.version, engineId: engine.engineId },
        }),
      );
    go('/counter/parts', { engine: engine.engineId, ...(inHand ? { row: inHand } : {}) });
  };
  const move = (by: number) => pick(Math.max(0, Math.min(rows.length - 1, here + by)));
  useKeys('Engine', [
    { press: 'j', does: 'Next engine', run: () => move(1) },
    { press: 'k', does: 'Engine before', run: () => move(-1) },
    { press: 'ArrowDown', printed: '↓', does: 'Next engine', run: () => move(1) },
    { press: 'ArrowUp', printed: '↑', does: 'Engine before', run: () => move(-1) },
    { press: 'Enter', does: 'Take the engine picked', run: () => take(row) },
    { press: 'f', does: 'Narrow by words', run: () => box.current?.focus() },
  ]);
  useEffect(() => {
    list.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [here]);

  return (
    <>
      <aside className="desk-card" aria-label="Engine picked">
        {card.data ? (
          <EngineCard engine={card.data} showSources={false} />
        ) : (
          <p className="p-3 text-soft">{engines.isPending ? 'Fetching the engines …' : 'No engine picked.'}</p>
        )}
      </aside>
      <main className="desk-main" aria-label="Engine stage">
        <div className="flex items-center gap-4 border-b border-line px-3 py-2">
          <h1 className="flex items-center gap-2 text-head font-semibold">
            <Mark kind={engineId ? 'match' : 'unknown'} rem={1.125} />
            {engineId ? 'The engine is chosen' : 'Which engine is it for?'}
          </h1>
          <label className="ml-auto flex items-center gap-2 text-slate">
            Narrow by words
            <input
              ref={box}
              className="field w-64"
              value={words}
              maxLength={120}
              placeholder="make, model, year, code"
              onChange={(event) => {
                setWords(event.target.value);
                pick(0);
              }}
              onKeyDown={(event) => {
                if (event.key === 'ArrowDown') move(1);
                else if (event.key === 'ArrowUp') move(-1);
                else if (event.key === 'Enter') take(row);
                else if (event.key === 'Escape') event.currentTarget.blur();
                else return;
                event.preventDefault();
              }}
            />
          </label>
        </div>
        <p className="border-b border-hair px-3 py-1 text-soft">
          {engines.data && (
            <>
              <b className="num font-semibold text-peat">{rows.length}</b>{' '}
              {rows.length === 1 ? 'engine answers' : 'engines answer'}, of{' '}
              <span className="num">{engines.data.total}</span> in the catalogue.{' '}
              {rows.length > 1 && 'What tells them apart is in the columns: ask the customer, or look at the engine. '}
              {inHand && 'The part in hand joins the tray whichever engine is taken.'}
            </>
          )}
        </p>
        {engines.error && (
          <p role="alert" className="p-3 text-madder">
            {engines.error.message}
          </p>
        )}
        <div className="engine-head" aria-hidden="true">
          <span>Engine</span>
          <span>Layout</span>
          <span>Thread</span>
          <span>Reach</span>
          <span>Seat</span>
          <span>Gap</span>
        </div>
        <div ref={list} role="listbox" aria-label="Engines" tabIndex={0} className="min-h-0 flex-1 overflow-auto">
          {rows.map((engine, i) => (
            <div
              key={engine.engineId}
              role="option"
              aria-selected={i === here}
              className="engine-row"
              onClick={() => pick(i)}
              onDoubleClick={() => take(engine)}
            >
              <b className="font-semibold">
                {engine.maker} <span className="num">{engine.code}</span>
              </b>
              <span>{engine.layout}</span>
              <span className="num">{engine.thread}</span>
              <span className="num">{engine.reach}</span>
              <span>{engine.seat}</span>
              <span className="num">{engine.gap}</span>
              <span className="col-span-6">
                {engine.summary}.{' '}
                <span className="text-soft">{engine.vehicles.map((v) => `${v.title} ${v.years}`).join(' · ')}</span>
              </span>
            </div>
          ))}
          {engines.data && rows.length === 0 && (
            <p className="p-4">
              No engine answers to all of “{words}”. Take a word away, or ask for the code cast on the block.
            </p>
          )}
        </div>
        <div className="flex items-center gap-3 border-t border-line px-3 py-2">
          <button type="button" className="button-act" disabled={!row} onClick={() => take(row)}>
            Take {row ? `${row.maker} ${row.code}` : 'an engine'}
          </button>
          <span className="text-soft">A wrong engine is a wrong plug: when two remain, ask before taking one.</span>
        </div>
      </main>
    </>
  );
}
