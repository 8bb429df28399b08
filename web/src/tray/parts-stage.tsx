import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { EngineCard as EngineCardData } from '@brackenfell/contract/engine';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { MOST_ASKED, MOST_EXPLAINED } from '@brackenfell/contract/tray-limits';
import { KIND_WORDS, PART_KINDS, type PartKind } from '@brackenfell/core/facts/part-kinds';
import { Key } from '../controls/key.tsx';
import { HeatRails } from '../drawing/heat-rails.tsx';
import { DutyButton, DutyStrip } from '../duty/duty-strip.tsx';
import { EngineCard } from '../engine/engine-card.tsx';
import { useEngine } from '../engine/use-engine.ts';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useAddToSlip } from '../counter/use-add-to-slip.ts';
import { useSayEngine } from '../counter/use-say-engine.ts';
import { useOtherHalf } from '../counter/use-other-half.ts';
import { BUILD_LETTERS, BuildQuestion } from './build-question.tsx';
import { KindTabs } from './kind-tabs.tsx';
import { PickedDetail } from './picked-detail.tsx';
import { RowPick, usePickedAfterPaint } from './row-pick.ts';
import type { TraySheet } from './open-sheet.tsx';
import { FIND_IN_TRAY, TrayBar } from './tray-bar.tsx';
import { isAnsweredHere, openQuestion, recommended } from './row-acts.ts';
import { TraySheets } from './tray-sheets.tsx';
import { TrayTable } from './tray-table.tsx';
import { useTray } from './use-tray.ts';

/** Rows a page key goes. */
const PAGE = 10;

/** Every candidate for the engine, judged, with the drawing that proves it. */
export function PartsStage() {
  const { engineId, inHand, asked: askedAbout, build, staying, duty, search, slip, go } = useCounter();
  const engine = useEngine(engineId);
  const wanted = PART_KINDS.find((kind) => kind === search.get('part')) ?? 'plug';
  // An engine that takes no such part shows its plugs.
  const takes = engine.data === undefined || engine.data.needs.some(({ kind }) => kind === wanted);
  const kind = wanted === 'plug' || takes ? wanted : 'plug';
  const [asked, setAsked] = useState({ engineId, most: MOST_EXPLAINED });
  const most = asked.engineId === engineId ? asked.most : MOST_EXPLAINED;
  const beside = useOtherHalf(kind);
  const tray = useTray(engineId, {
    kind,
    inHand: askedAbout ?? inHand,
    most,
    build,
    duty,
    staying: kind === 'coil' ? staying : undefined,
    beside,
    slip: slip.data,
  });
  const problem = tray.error ?? engine.error;
  if (!engineId) {
    return (
      <main className="desk-main col-span-2" aria-label="Parts stage">
        <div className="p-6">
          <h1 className="pb-2 text-head font-semibold">The parts stage needs the engine</h1>
          <p className="pb-3 text-soft">
            A part is judged against one engine. Choose it first; a number in hand is kept.
          </p>
          <button type="button" className="button-act" onClick={() => go('/counter/engine')}>
            Choose the engine <Key>1</Key>
          </button>
        </div>
      </main>
    );
  }
  if (!tray.data || !engine.data) {
    const waiting = problem ? (
      <p role="alert" className="p-6 text-madder">
        {problem.message}
      </p>
    ) : (
      <p className="p-6 text-soft">Judging every candidate …</p>
    );
    return (
      <main className="desk-main col-span-2" aria-label="Parts stage">
        {engine.data ? (
          <Kinds engine={engine.data} kind={kind}>
            {waiting}
          </Kinds>
        ) : (
          waiting
        )}
      </main>
    );
  }
  const onMore = () => setAsked({ engineId, most: Math.min(MOST_ASKED, most * 2) });
  return <JudgedTray key={`${engineId} ${kind}`} tray={tray.data} engine={engine.data} onMore={onMore} />;
}

interface JudgedTrayProps {
  readonly tray: OpenTray;
  readonly engine: EngineCardData;
  readonly onMore: () => void;
}

function JudgedTray({ tray, engine, onMore }: JudgedTrayProps) {
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
  const move = (by: number) => pick.set(Math.max(0, Math.min(rows.length - 1, pick.index + by)));
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
    pick.set(rows.indexOf(better));
    put(better);
  };
  const note = () => {
    const row = rows[pick.index];
    if (row?.verdict === 'refuse') add.mutate({ row, kind: 'customers-own', engineId: engine.engineId });
    else toast('Only a refused part is noted as the customer’s own; Enter sells this one.');
  };
  const proveRow = (row: OpenRow | undefined) => row && go('/counter/proof', { inspect: row.partId });
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
    { press: 'Home', does: 'The first: what is recommended', run: () => pick.set(0) },
    { press: 'End', does: 'The last', run: () => pick.set(rows.length - 1) },
    { press: 'PageDown', printed: 'PgDn', does: 'Ten further', run: () => move(PAGE) },
    { press: 'PageUp', printed: 'PgUp', does: 'Ten back', run: () => move(-PAGE) },
    { press: 'g', does: 'Go to a number of the tray', run: () => document.getElementById(FIND_IN_TRAY)?.focus() },
    {
      press: 'Enter',
      does: 'Put it on the slip; answer its question; on a refused one, why',
      run: () => take(rows[pick.index]),
    },
    { press: '+', does: 'Put it on the slip as it stands', run: () => put(rows[pick.index]) },
    { press: 'Shift++', printed: '+', does: 'Put it on the slip as it stands', run: () => put(rows[pick.index]) },
    { press: 'Shift+Enter', printed: 'Shift Enter', does: 'Sell what is recommended instead', run: sellBetter },
    { press: 'w', does: 'Why: all checks, or only what differs', run: () => setShowAll((all) => !all) },
    { press: 's', does: 'Sources of every figure', run: () => setShowSources((shown) => !shown) },
    { press: 'x', does: 'Compare two: mark one, then the other', run: compare },
    { press: 'v', does: 'Proof: is the picked one in hand genuine?', run: () => proveRow(rows[pick.index]) },
    { press: 'c', does: 'Misfire code: which cylinder, and what to swap', run: () => open('misfire') },
    ...(kind === 'plug' || kind === 'coil'
      ? [{ press: 'f', does: 'What is fitted, cylinder by cylinder', run: () => open('fitted') }]
      : []),
    { press: 'e', does: 'Even more of the candidates', run: onMore },
    ...(kind === 'plug'
      ? [
          { press: 'd', does: 'Duty: what the engine is used for', run: () => open('duty') },
          {
            press: 'Shift+H',
            printed: 'Shift h',
            does: 'House rules as they hold on this slip',
            run: () => open('rules'),
          },
          { press: 'h', does: 'How the picked plug is fitted here', run: () => open('fitting') },
        ]
      : []),
    ...(kind === 'plug'
      ? [{ press: 'n', does: 'Nearly fits: what one check alone keeps out', run: () => open('near') }]
      : []),
    ...(split
      ? [
          ...split.choices.map(({ label }, i) => ({
            press: BUILD_LETTERS[i]!,
            does: `Built ${label}`,
            run: () => chooseBuild(label),
          })),
          { press: '0', does: 'The build is not known', run: () => chooseBuild(null) },
        ]
      : []),
    ...(mayStay.length > 0
      ? [{ press: 'y', does: 'Which revision of coil stays in the engine', run: turnStaying }]
      : []),
    ...(kind === 'lead-set' ? [{ press: 'l', does: 'Numbered labels for the leads', run: () => open('labels') }] : []),
    ...(kind === 'coil' || kind === 'lead-set'
      ? [{ press: 'm', does: 'Measure one: judge a reading', run: () => open('measure') }]
      : []),
    { press: 'r', does: 'Note a refused part as the customer’s own', run: note },
  ]);
  const allRefused = rows.length > 0 && rows[0]!.verdict === 'refuse';
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
              <TrayBar tray={tray} pick={pick} acts={{ take, put, sellBetter, note, prove: proveRow, compare, open }} />
              <PickedDetail
                tray={tray}
                pick={pick}
                engine={engine}
                showAll={showAll}
                showSources={showSources}
                onAll={() => setShowAll((all) => !all)}
                onSources={() => setShowSources((shown) => !shown)}
              />
            </>
          )}
        </Kinds>
      </main>
    </>
  );
}

interface KindsProps {
  readonly engine: EngineCardData;
  readonly kind: PartKind;
  readonly beside?: React.ReactNode;
  /** The tray of the kind. */
  readonly children: React.ReactNode;
}

/** What the engine needs, kind by kind; there to choose from while a tray is still being judged. */
function Kinds({ engine, kind, beside, children }: KindsProps) {
  const { go } = useCounter();
  const kinds = [{ kind: 'plug' as const, quantity: engine.positions.length }, ...engine.needs];
  const show = (next: PartKind) => go('/counter/parts', { part: next === 'plug' ? null : next });
  const turn = (by: number) => {
    const at = kinds.findIndex((one) => one.kind === kind);
    show(kinds[(at + by + kinds.length) % kinds.length]!.kind);
  };
  useKeys('Kind of part', [
    { press: 'i', does: 'Next kind of part: plugs, coils, leads …', run: () => turn(1) },
    { press: 'Shift+I', printed: 'Shift i', does: 'Kind of part before', run: () => turn(-1) },
  ]);
  return (
    <KindTabs kinds={kinds} kind={kind} onKind={show} beside={beside}>
      {children}
    </KindTabs>
  );
}

/**
 * Picks what the address wants, as soon as a tray holds it; when a tray is judged anew the picked part stays picked, wherever
 * it stands now.
 */
function usePickKept(tray: OpenTray, wanted: string | null, pick: RowPick): void {
  const served = useRef<{ tray: OpenTray; wanted: string | null }>(undefined);
  useEffect(() => {
    const before = served.current;
    const asks = wanted !== null && before?.wanted !== wanted;
    const id = asks ? wanted : before?.tray.rows[pick.index]?.partId;
    const at = tray.rows.findIndex((row) => row.partId === id);
    if (at >= 0) pick.set(at);
    served.current = { tray, wanted: asks && at < 0 ? (before?.wanted ?? null) : wanted };
  }, [tray, wanted, pick]);
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
