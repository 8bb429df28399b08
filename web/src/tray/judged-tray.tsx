import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { EngineCard as EngineCardData } from '@brackenfell/contract/engine';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { KIND_WORDS } from '@brackenfell/core/facts/part-kinds';
import { Key } from '../controls/key.tsx';
import { HeatRails } from '../drawing/heat-rails.tsx';
import { DutyButton, DutyStrip } from '../duty/duty-strip.tsx';
import { EngineCard } from '../engine/engine-card.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { useAddToSlip } from '../counter/use-add-to-slip.ts';
import { useSayEngine } from '../counter/use-say-engine.ts';
import { BuildQuestion } from './build-question.tsx';
import { Kinds } from './kinds.tsx';
import type { TraySheet } from './open-sheet.tsx';
import { PickedDetail } from './picked-detail.tsx';
import { ChangedStrip } from './changed-strip.tsx';
import { usePickKept, useRowInAddress } from './picked-row.ts';
import { RowPick, usePickedAfterPaint } from './row-pick.ts';
import { isAnsweredHere, openQuestion, recommended } from './row-acts.ts';
import { TrayBar } from './tray-bar.tsx';
import { useHeldOrder } from './use-held-order.ts';
import { useTrayKeys } from './tray-keys.ts';
import { TraySheets } from './tray-sheets.tsx';
import { TrayTable } from './tray-table.tsx';

interface JudgedTrayProps {
  readonly tray: OpenTray;
  /** What it answers; undefined while another answer is awaited. */
  readonly asked: string | undefined;
  readonly engine: EngineCardData;
  readonly onMore: () => void;
}

/** A tray with its engine's card, what can be done with its rows, and why the picked one is judged so. */
export function JudgedTray({ tray: judged, asked, engine, onMore }: JudgedTrayProps) {
  const { held: tray, layOut } = useHeldOrder(judged, asked);
  const { search, staying, go } = useCounter();
  const [sheet, open] = useState<TraySheet>();
  const [markedId, mark] = useState<string>();
  const marked = tray.rows.find((row) => row.partId === markedId);
  const compare = () => {
    const row = tray.rows[pick.index];
    if (!row) return;
    if (marked && marked !== row) {
      open('compare');
      return;
    }
    mark(row.partId);
    toast(`${row.printed} is marked. Move to another and press x to compare the two.`);
  };
  const sayEngine = useSayEngine();
  const chooseBuild = (build: string | null) => sayEngine(engine.engineId, { build });
  const { kind, split } = tray;
  const revisions = tray.rows
    .flatMap((row) => row.findings.find(({ check }) => check === 'revision')?.figures.has ?? [])
    .filter((revision) => typeof revision === 'string');
  const mayStay = [...new Set(revisions)].sort();
  const turnStaying = () => {
    const all = [null, ...mayStay];
    sayEngine(engine.engineId, { staying: all[(all.indexOf(staying ?? null) + 1) % all.length] ?? null });
  };
  const need = engine.needs.find((one) => one.kind === kind);
  const [pick] = useState(() => new RowPick());
  const wanted = search.get('row') ?? search.get('inHand');
  usePickKept(tray, wanted, pick);
  useRowInAddress(tray, pick);
  const [showAll, setShowAll] = useState(false);
  const [showSources, setShowSources] = useState(false);
  const add = useAddToSlip();
  const rows = tray.rows;
  const take = (row: OpenRow | undefined) => {
    if (!row) return;
    if (isAnsweredHere(row)) {
      answer(row);
      return;
    }
    if (row.verdict === 'refuse') {
      setShowAll(true);
      toast(`${row.printed} is refused here. Press r to note it as the customer’s own part, not sold.`);
      return;
    }
    add.mutate({ row, kind: 'sale', engineId: engine.engineId });
  };
  const answer = (row: OpenRow) => openQuestion(row, engine.engineId);
  /** As it is: with its question, or to be weighed by the supervisor. */
  const put = (row: OpenRow | undefined) => {
    if (!row) return;
    if (row.verdict === 'refuse') take(row);
    else add.mutate({ row, kind: 'sale', engineId: engine.engineId });
  };
  const sellBetter = () => {
    const better = recommended(tray);
    if (!better) {
      toast('Nothing in this tray can be sold as it stands.');
      return;
    }
    pick.set(rows.findIndex(({ partId }) => partId === better.partId));
    put(better);
  };
  const note = () => {
    const row = rows[pick.index];
    // A refused one is told; a good one has gap, torque and card like any, and no warranty of ours.
    if (row) add.mutate({ row, kind: 'customers-own', engineId: engine.engineId });
  };
  const proveRow = (row: OpenRow | undefined) => row && go('/counter/proof', { inspect: row.partId });
  const takeRef = useRef(take);
  useLayoutEffect(() => {
    takeRef.current = take;
  });
  const onTake = useMemo(() => (row: OpenRow) => takeRef.current(row), []);
  const turnAll = () => setShowAll((all) => !all);
  const turnSources = () => setShowSources((shown) => !shown);
  useTrayKeys(tray, pick, {
    take,
    put,
    sellBetter,
    note,
    prove: proveRow,
    compare,
    open,
    turnAll,
    turnSources,
    onMore,
    chooseBuild,
    turnStaying: mayStay.length > 0 ? turnStaying : undefined,
    layOut: tray.says.length > 0 ? layOut : undefined,
  });
  const allRefused = rows.length > 0 && rows.every(({ verdict }) => verdict === 'refuse');
  return (
    <>
      <aside className="desk-card" aria-label="Engine card">
        <EngineCard engine={engine} need={need} showSources={showSources} />
        <PickedHeat tray={tray} pick={pick} />
      </aside>
      <TraySheets
        sheet={sheet}
        tray={tray}
        row={rows[pick.index]}
        marked={marked}
        engine={engine}
        onClose={() => {
          if (sheet === 'compare') mark(undefined);
          open(undefined);
        }}
      />
      <main className="desk-main" aria-label="Parts stage">
        <h1 className="sr-only">
          Parts for {engine.maker} {engine.code}
        </h1>
        <Kinds
          engine={engine}
          kind={kind}
          beside={kind === 'plug' && <DutyButton duty={tray.duty} onOpen={() => open('duty')} />}
        >
          {kind === 'plug' && <DutyStrip duty={tray.duty} />}
          {split && <BuildQuestion split={split} onBuild={(label) => chooseBuild(label)} />}
          {mayStay.length > 0 && (
            <p className="build-question">
              <span className="text-soft">Coils that stay in the engine:</span>
              <button type="button" className="underline" onClick={turnStaying}>
                <Key>y</Key> {staying === undefined ? 'none, all are renewed' : `revision ${staying}`}
              </button>
            </p>
          )}
          {rows.length === 0 ? (
            <p className="p-6">
              No {KIND_WORDS[kind][1]} of this catalogue is referenced, listed or of the right form for this engine. Ask
              the wholesaler, or check the engine.
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
              <ChangedStrip says={tray.says} onLayOut={layOut} />
              <TrayBar tray={tray} pick={pick} acts={{ take, put, sellBetter, note, prove: proveRow, compare, open }} />
              <PickedDetail
                tray={tray}
                pick={pick}
                engine={engine}
                showAll={showAll}
                showSources={showSources}
                onAll={turnAll}
                onSources={turnSources}
              />
            </>
          )}
        </Kinds>
      </main>
    </>
  );
}

/** Where the picked plug stands on its maker's scale of heat. */
function PickedHeat({ tray, pick }: { tray: OpenTray; pick: RowPick }) {
  const row = tray.rows[usePickedAfterPaint(pick)];
  if (row?.drawing.part !== 'plug') return null;
  const finding = row.findings.find((f) => f.check === 'heat');
  return (
    <HeatRails
      heat={row.drawing.heat}
      maker={row.maker}
      bar={row.heatBar}
      code={row.heatCode}
      outcome={finding?.told.phrase ?? 'not judged'}
    />
  );
}
