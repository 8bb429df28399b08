import { useMemo } from 'react';
import type { EngineCard } from '@brackenfell/contract/engine';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import type { Drawing } from '@brackenfell/contract/tray';
import { CoilDrawing } from '../coils/coil-drawing.tsx';
import { Key } from '../controls/key.tsx';
import { CapPlan, RotorPlan } from '../distributor/distributor-plans.tsx';
import { drawPlug } from '../drawing/plug-outline.ts';
import { frameFor } from '../drawing/section-frame.ts';
import { Section } from '../drawing/section.tsx';
import { useSize } from '../drawing/use-size.ts';
import { LeadPlan } from '../leads/lead-plan.tsx';
import { useSettings } from '../settings/settings.ts';
import { usePickedAfterPaint, type RowPick } from './row-pick.ts';
import { isAnsweredHere, openQuestion, recommended } from './row-acts.ts';
import { TrailLine } from './trail-line.tsx';
import { WhyPanel } from './why-panel.tsx';

interface PickedDetailProps {
  readonly tray: OpenTray;
  readonly pick: RowPick;
  readonly engine: EngineCard;
  readonly showAll: boolean;
  readonly showSources: boolean;
  readonly onAll: () => void;
  readonly onSources: () => void;
}

/** Below the tray: trail, drawing and why of the picked row. */
export function PickedDetail({ tray, pick, engine, showAll, showSources, onAll, onSources }: PickedDetailProps) {
  const row = tray.rows[Math.min(usePickedAfterPaint(pick), tray.rows.length - 1)]!;
  const [pane, size] = useSize();
  const better = recommended(tray);
  return (
    <>
      <TrailLine row={row} showSources={showSources} />
      <div className="tray-lower">
        <div className="section-pane">
          <Legend drawing={row.drawing} />
          <div ref={pane} className="min-h-0 flex-1 overflow-hidden">
            <PartDrawing tray={tray} row={row} engine={`${engine.maker} ${engine.code}`} size={size} />
          </div>
        </div>
        <WhyPanel
          row={row}
          sources={tray.sources}
          betterPrinted={better?.printed}
          mixedFill={tray.mixedFill}
          rules={tray.rules}
          onAll={onAll}
          onSources={onSources}
          onAnswer={isAnsweredHere(row) ? () => openQuestion(row, engine.engineId) : undefined}
          showAll={showAll}
          showSources={showSources}
        />
      </div>
    </>
  );
}

const TITLES = {
  plug: 'Section',
  coil: 'In its place',
  'lead-set': 'Leads on the engine',
  cap: 'Cap from above',
  rotor: 'Rotor from above',
} as const;

function Legend({ drawing }: { drawing: Drawing }) {
  return (
    <p className="section-legend">
      <b>{TITLES[drawing.part]}</b>
      <span>
        <i className="swatch bg-plug" /> picked
      </span>
      {drawing.part === 'plug' && (
        <span>
          <i className="swatch" /> {drawing.oePlug ? `maker’s own, ${drawing.oePlug.printed}` : 'maker’s own not drawn'}
        </span>
      )}
      <span className="ml-auto">
        <Key>j</Key> <Key>k</Key> move
      </span>
    </p>
  );
}

interface PartDrawingProps {
  readonly tray: OpenTray;
  readonly row: OpenRow;
  readonly engine: string;
  readonly size: { readonly widthPx: number; readonly heightPx: number };
}

/** The drawing of each kind of part: all from the tray's own answer, so that moving asks nothing. */
function PartDrawing({ tray, row, engine, size }: PartDrawingProps) {
  const { units } = useSettings();
  const { drawing, shape, printed } = row;
  const frame = useMemo(() => {
    if (drawing.part !== 'plug') return null;
    const plugs = tray.rows.flatMap((r) =>
      r.drawing === drawing && r.shape.part === 'plug' ? [drawPlug(r.shape)] : [],
    );
    return frameFor(plugs, drawing.head, size);
  }, [tray, drawing, size]);
  if (drawing.part === 'plug' && shape.part === 'plug' && frame)
    return (
      <Section
        head={drawing.head}
        plug={{ printed, shape }}
        oePlug={drawing.oePlug}
        engine={engine}
        frame={frame}
        size={size}
        units={units}
      />
    );
  if (drawing.part === 'coil' && shape.part === 'coil')
    return (
      <CoilDrawing
        coil={{ printed, shape }}
        asked={drawing.asked}
        head={drawing.head}
        plug={drawing.plug}
        size={size}
        units={units}
      />
    );
  if (drawing.part === 'lead-set' && shape.part === 'lead-set')
    return <LeadPlan set={{ printed, shape }} drawing={drawing} size={size} units={units} />;
  if (drawing.part === 'cap' && shape.part === 'cap')
    return <CapPlan cap={{ printed, shape }} drawing={drawing} size={size} />;
  if (drawing.part === 'rotor' && shape.part === 'rotor')
    return <RotorPlan rotor={{ printed, shape }} drawing={drawing} size={size} units={units} />;
  return null;
}
