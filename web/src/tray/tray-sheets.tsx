import { lazy, Suspense } from 'react';
import type { EngineCard } from '@brackenfell/contract/engine';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { useSetDuty } from '../duty/use-set-duty.ts';
import { useCounter } from '../frame/use-counter.ts';
import { useSettings } from '../settings/settings.ts';

/** Sheets that are laid over the desk come when they are opened: the counter is usable before. */
const MeasureDialog = lazy(async () => ({ default: (await import('./measure-dialog.tsx')).MeasureDialog }));
const FittingDialog = lazy(async () => ({ default: (await import('./fitting-dialog.tsx')).FittingDialog }));
const LabelStrip = lazy(async () => ({ default: (await import('../leads/label-strip.tsx')).LabelStrip }));
const DutyDialog = lazy(async () => ({ default: (await import('../duty/duty-dialog.tsx')).DutyDialog }));
const NearMissList = lazy(async () => ({ default: (await import('./near-misses.tsx')).NearMissList }));
const FittedDialog = lazy(async () => ({ default: (await import('../fitted-set/fitted-dialog.tsx')).FittedDialog }));
const MisfireDialog = lazy(async () => ({ default: (await import('../misfire/misfire-dialog.tsx')).MisfireDialog }));
const CompareDialog = lazy(async () => ({ default: (await import('./compare-dialog.tsx')).CompareDialog }));

export type TraySheet = 'near' | 'duty' | 'fitting' | 'labels' | 'measure' | 'fitted' | 'misfire' | 'compare';

interface TraySheetsProps {
  readonly sheet: TraySheet | undefined;
  readonly tray: OpenTray;
  readonly row: OpenRow | undefined;
  /** The row marked to be compared with. */
  readonly marked: OpenRow | undefined;
  readonly engine: EngineCard;
  readonly onClose: () => void;
}

/** Whatever is laid over the tray. */
export function TraySheets(props: TraySheetsProps) {
  return (
    <Suspense fallback={null}>
      <Sheet {...props} />
    </Suspense>
  );
}

function Sheet({ sheet, tray, row, marked, engine, onClose }: TraySheetsProps) {
  const { duty, go } = useCounter();
  const { units } = useSettings();
  const setDuty = useSetDuty();
  switch (sheet) {
    case 'near':
      return (
        <NearMissList
          engineId={engine.engineId}
          onTry={(partId) => {
            onClose();
            go('/counter/parts', { inHand: partId, row: partId });
          }}
          onClose={onClose}
        />
      );
    case 'duty':
      return <DutyDialog duty={duty} onSet={setDuty} onClose={onClose} />;
    case 'fitting':
      return row ? <FittingDialog engineId={engine.engineId} row={row} duty={duty} onClose={onClose} /> : null;
    case 'labels':
      return row?.drawing.part === 'lead-set' ? (
        <LabelStrip
          row={row}
          drawing={row.drawing}
          engine={`${engine.maker} ${engine.code}`}
          units={units}
          onClose={onClose}
        />
      ) : null;
    case 'measure':
      return <MeasureDialog kind={tray.kind} tray={tray} onClose={onClose} />;
    case 'fitted':
      return tray.kind === 'plug' || tray.kind === 'coil' ? (
        <FittedDialog engine={engine} kind={tray.kind} onClose={onClose} />
      ) : null;
    case 'misfire':
      return <MisfireDialog engine={engine} onClose={onClose} />;
    case 'compare':
      return row && marked ? (
        <CompareDialog first={marked} second={row} engine={`${engine.maker} ${engine.code}`} onClose={onClose} />
      ) : null;
    case undefined:
      return null;
  }
}
