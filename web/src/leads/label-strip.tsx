import { sayRoute } from '@brackenfell/core/leads/say-route';
import { formatQuantity, type UnitDisplay } from '@brackenfell/core/quantities/format-quantity';
import type { OpenRow } from '@brackenfell/contract/open-tray';
import type { DrawingOf } from '@brackenfell/contract/tray';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../keys/keys.ts';

interface LabelStripProps {
  readonly row: OpenRow;
  readonly drawing: DrawingOf<'lead-set'>;
  readonly engine: string;
  readonly units: UnitDisplay;
  readonly onClose: () => void;
}

/** Numbered labels for the leads of a set, to be cut apart and wrapped round them: one for each route it serves. */
export function LabelStrip({ row, drawing, engine, units, onClose }: LabelStripProps) {
  const { shape } = row;
  useKeys('Labels', [{ press: 'p', does: 'Print the labels', run: () => window.print() }]);
  const labels =
    shape.part === 'lead-set' && shape.leads && drawing.routes
      ? drawing.routes.map((route, i) => ({ route, lead: shape.leads![shape.leadFor[i] ?? -1] }))
      : [];
  const say = (mm: number) => formatQuantity('lead-length', mm, mm, units);
  return (
    <Dialog
      title={`Labels for ${row.printed}`}
      about={`${engine}: one lead at a time, or label them first.`}
      onClose={onClose}
      wide
    >
      {labels.length === 0 ? (
        <p>The leads of this set are not known: nothing can be labelled before they are measured.</p>
      ) : (
        <>
          <ol className="print-sheet flex flex-wrap gap-1">
            {labels.map(({ route, lead }) => (
              <li
                key={route.to}
                className={`flex min-w-24 flex-col items-center border px-2 py-1 ${lead ? 'border-line' : 'border-dashed border-madder text-madder'}`}
              >
                <b className="num text-verdict font-semibold">{route.to === 'coil' ? 'C' : route.to}</b>
                <span>{sayRoute(route)}</span>
                <span className="num">{lead ? say(lead.lengthMm) : 'no lead'}</span>
              </li>
            ))}
          </ol>
          <button type="button" className="button-act mt-3" onClick={() => window.print()}>
            Print <Key>p</Key>
          </button>
        </>
      )}
    </Dialog>
  );
}
