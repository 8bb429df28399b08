import type { EngineCard } from '@brackenfell/contract/engine';
import type { OpenRow, OpenTray } from '@brackenfell/contract/open-tray';
import { DutyDialog } from '../duty/duty-dialog.tsx';
import { useSetDuty } from '../duty/use-set-duty.ts';
import { FittedDialog } from '../fitted-set/fitted-dialog.tsx';
import { useCounter } from '../counter/use-counter.ts';
import { SlipRulesDialog } from '../house-rules/slip-rules-dialog.tsx';
import { LabelStrip } from '../leads/label-strip.tsx';
import { MisfireDialog } from '../misfire/misfire-dialog.tsx';
import { useSettings } from '../settings/settings.ts';
import { CompareDialog } from './compare-dialog.tsx';
import { FittingDialog } from './fitting-dialog.tsx';
import { MeasureDialog } from './measure-dialog.tsx';
import { NearMissList } from './near-misses.tsx';

export type TraySheet = 'near' | 'duty' | 'rules' | 'fitting' | 'labels' | 'measure' | 'fitted' | 'misfire' | 'compare';

export interface TraySheetsProps {
  readonly sheet: TraySheet | undefined;
  readonly tray: OpenTray;
  readonly row: OpenRow | undefined;
  /** The row marked to be compared with. */
  readonly marked: OpenRow | undefined;
  readonly engine: EngineCard;
  readonly onClose: () => void;
}

/** The sheet that is laid over the tray, if any. */
export function OpenSheet({ sheet, tray, row, marked, engine, onClose }: TraySheetsProps) {
  const { duty, slip, slipId, go } = useCounter();
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
    case 'rules':
      return <SlipRulesDialog slip={slip.data} onClose={onClose} />;
    case 'fitting':
      return row ? (
        <FittingDialog engineId={engine.engineId} row={row} duty={duty} slipId={slipId} onClose={onClose} />
      ) : null;
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
