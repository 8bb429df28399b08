import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { EngineCard as EngineCardData } from '@brackenfell/contract/engine';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { MOST_ASKED, MOST_EXPLAINED } from '@brackenfell/contract/tray';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import { Key } from '../controls/key.tsx';
import { HeatRails } from '../drawing/heat-rails.tsx';
import { drawPlug } from '../drawing/plug-outline.ts';
import { frameFor } from '../drawing/section-frame.ts';
import { Section } from '../drawing/section.tsx';
import { useSize } from '../drawing/use-size.ts';
import { EngineCard } from '../engine/engine-card.tsx';
import { useEngine } from '../engine/use-engine.ts';
import { useKeys } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { useSettings } from '../settings/settings.ts';
import { useAddToSlip } from '../slip/use-add-to-slip.ts';
import { NearMissList } from './near-misses.tsx';
import { RowPick, usePickedAfterPaint } from './row-pick.ts';
import { TrailLine } from './trail-line.tsx';
import { TrayTable } from './tray-table.tsx';
import { useTray } from './use-tray.ts';
import { WhyPanel } from './why-panel.tsx';

/** Every candidate for the engine, judged, with the drawing that proves it. */
export function PartsStage() {
  const { engineId, inHand, go } = useCounter();
  const engine = useEngine(engineId);
  const [asked, setAsked] = useState({ engineId, most: MOST_EXPLAINED });
  const most = asked.engineId === engineId ? asked.most : MOST_EXPLAINED;
  const tray = useTray(engineId, inHand, most);
  const problem = tray.error ?? engine.error;
  if (!engineId) {
    return (
      <main className="desk-main col-span-2" aria-label="Parts stage">
        <div className="p-6">
          <h1 className="pb-2 text-head font-semibold">The parts stage needs the engine</h1>
          <p className="pb-3 text-soft">
            A plug is judged against one engine. Choose it first; a number in hand is kept.
          </p>
          <button type="button" className="button-act" onClick={() => go('/counter/engine')}>
            Choose the engine <Key>1</Key>
          </button>
        </div>
      </main>
    );
  }
  if (!tray.data || !engine.data) {
    return (
      <main className="desk-main col-span-2" aria-label="Parts stage">
        {problem ? (
          <p role="alert" className="p-6 text-madder">
            {problem.message}
          </p>
        ) : (
          <p className="p-6 text-soft">Judging every candidate …</p>
        )}
      </main>
    );
  }
  const onMore = () => setAsked({ engineId, most: Math.min(MOST_ASKED, most * 2) });
  return <JudgedTray key={engineId} tray={tray.data} engine={engine.data} onMore={onMore} />;
}

interface JudgedTrayProps {
  readonly tray: OpenTray;
  readonly engine: EngineCardData;
  readonly onMore: () => void;
}

function JudgedTray({ tray, engine, onMore }: JudgedTrayProps) {
  const { search, go } = useCounter();
  const [pick] = useState(() => new RowPick());
  const wanted = search.get('row') ?? search.get('inHand');
  useEffect(() => {
    const at = tray.rows.findIndex((row) => row.partId === wanted);
    if (at >= 0) pick.set(at);
  }, [tray, wanted, pick]);
  useRowInAddress(tray, pick);
  const [showAll, setShowAll] = useState(false);
  const [showSources, setShowSources] = useState(false);
  const [near, setNear] = useState(false);
  const add = useAddToSlip();
  const rows = tray.rows;
  const move = (by: number) => pick.set(Math.max(0, Math.min(rows.length - 1, pick.index + by)));
  const take = (row: OpenRow | undefined) => {
    if (!row) return;
    if (row.verdict === 'refuse') {
      setShowAll(true);
      toast(`${row.printed} is refused here. Press r to note it as the customer’s own part, not sold.`);
      return;
    }
    add.mutate({ row, kind: 'sale', engineId: engine.engineId });
  };
  const takeRef = useRef(take);
  useEffect(() => {
    takeRef.current = take;
  });
  const onTake = useMemo(() => (row: OpenRow) => takeRef.current(row), []);
  useKeys('Tray', [
    { press: 'j', does: 'Next candidate', run: () => move(1), takeBack: () => move(-1) },
    { press: 'k', does: 'Candidate before', run: () => move(-1), takeBack: () => move(1) },
    { press: 'ArrowDown', printed: '↓', does: 'Next candidate', run: () => move(1) },
    { press: 'ArrowUp', printed: '↑', does: 'Candidate before', run: () => move(-1) },
    { press: 'Enter', does: 'Put it on the slip; on a refused one, why', run: () => take(rows[pick.index]) },
    { press: 'w', does: 'Why: all sixteen checks, or only what differs', run: () => setShowAll((all) => !all) },
    { press: 's', does: 'Sources of every figure', run: () => setShowSources((shown) => !shown) },
    { press: 'm', does: 'More of the candidates', run: onMore },
    { press: 'n', does: 'Nearly fits: what one check alone keeps out', run: () => setNear(true) },
    {
      press: 'r',
      does: 'Note a refused part as the customer’s own',
      run: () => {
        const row = rows[pick.index];
        if (row?.verdict === 'refuse') add.mutate({ row, kind: 'customers-own', engineId: engine.engineId });
        else toast('Only a refused part is noted as the customer’s own; Enter sells this one.');
      },
    },
  ]);
  const allRefused = rows.length > 0 && rows[0]!.verdict === 'refuse';
  return (
    <>
      <aside className="desk-card" aria-label="Engine card">
        <EngineCard engine={engine} showSources={showSources} />
        <PickedHeat tray={tray} pick={pick} />
      </aside>
      {near && (
        <NearMissList
          engineId={engine.engineId}
          onTry={(partId) => {
            setNear(false);
            go('/counter/parts', { inHand: partId, row: partId });
          }}
          onClose={() => setNear(false)}
        />
      )}
      <main className="desk-main" aria-label="Parts stage">
        <h1 className="sr-only">
          Parts for {engine.maker} {engine.code}
        </h1>
        {rows.length === 0 ? (
          <p className="p-6">
            No plug of this catalogue is referenced, listed or sized for this engine. Ask the wholesaler, or check the
            engine.
          </p>
        ) : (
          <>
            {allRefused && (
              <p className="border-b border-line bg-madder-wash px-3 py-1.5">
                Every candidate is refused. Nothing here can be sold for this engine; check the engine, or order the
                maker’s own number.
              </p>
            )}
            <TrayTable tray={tray} pick={pick} onTake={onTake} onMore={onMore} />
            <PickedDetail tray={tray} pick={pick} engine={engine} showAll={showAll} showSources={showSources} />
          </>
        )}
      </main>
    </>
  );
}

const ADDRESS_PAUSE_MS = 500;

/** Keeps the picked row in the address, so that it can be shared; written when the moving has stopped. */
function useRowInAddress(tray: OpenTray, pick: RowPick): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const write = () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        const row = tray.rows[pick.index];
        const url = new URL(window.location.href);
        if (!row || url.pathname !== '/counter/parts') return;
        url.searchParams.set('row', row.partId);
        window.history.replaceState(window.history.state, '', url);
      }, ADDRESS_PAUSE_MS);
    };
    const release = pick.subscribe(write);
    return () => {
      clearTimeout(timer);
      release();
    };
  }, [tray, pick]);
}

function PickedHeat({ tray, pick }: { tray: OpenTray; pick: RowPick }) {
  const row = tray.rows[usePickedAfterPaint(pick)];
  const finding = row?.findings.find((f) => f.check === 'heat');
  return (
    <HeatRails
      heat={tray.heat}
      maker={row?.maker}
      bar={row?.heatBar ?? null}
      code={row?.heatCode ?? null}
      outcome={finding?.told.phrase ?? 'not judged'}
    />
  );
}

interface PickedDetailProps {
  readonly tray: OpenTray;
  readonly pick: RowPick;
  readonly engine: EngineCardData;
  readonly showAll: boolean;
  readonly showSources: boolean;
}

/** Below the tray: trail, section and why of the picked row. */
function PickedDetail({ tray, pick, engine, showAll, showSources }: PickedDetailProps) {
  const row = tray.rows[Math.min(usePickedAfterPaint(pick), tray.rows.length - 1)]!;
  const { units } = useSettings();
  const [pane, size] = useSize();
  const frame = useMemo(
    () =>
      frameFor(
        tray.rows.map((r) => drawPlug(r.shape)),
        tray.head,
        size,
      ),
    [tray, size],
  );
  const better = tray.rows.find((r) => r.verdict === 'sell' || r.verdict === 'sell-with-advice');
  return (
    <>
      <TrailLine row={row} showSources={showSources} />
      <div className="tray-lower">
        <div className="section-pane">
          <p className="section-legend">
            <b>Section</b>
            <span>
              <i className="swatch bg-plug" /> picked
            </span>
            <span>
              <i className="swatch" /> {tray.oePlug ? `maker’s own, ${tray.oePlug.printed}` : 'maker’s own not drawn'}
            </span>
            <span className="ml-auto">
              <Key>j</Key> <Key>k</Key> move
            </span>
          </p>
          <div ref={pane} className="min-h-0 flex-1 overflow-hidden">
            <Section
              head={tray.head}
              plug={row}
              oePlug={tray.oePlug}
              engine={`${engine.maker} ${engine.code}`}
              frame={frame}
              size={size}
              units={units}
            />
          </div>
        </div>
        <WhyPanel
          row={row}
          sources={tray.sources}
          betterPrinted={better?.printed}
          showAll={showAll}
          showSources={showSources}
        />
      </div>
      <p className="sr-only" role="status">
        {row.printed}, {VERDICT_WORDS[row.verdict]}: {row.reason}
      </p>
    </>
  );
}
