import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import { CoilReading } from '../coils/coil-reading.tsx';
import { Dialog } from '../controls/dialog.tsx';
import { LeadReading } from '../leads/lead-reading.tsx';

interface MeasureDialogProps {
  readonly kind: PartKind;
  readonly tray: OpenTray;
  readonly onClose: () => void;
}

/** What a meter says of the coil or lead in hand, and whether that meter can say it. */
export function MeasureDialog({ kind, tray, onClose }: MeasureDialogProps) {
  return (
    <Dialog
      title={kind === 'coil' ? 'Measure a coil’s primary' : 'Measure a lead'}
      about="Part in hand, off the engine. A reading speaks for this one piece."
      onClose={onClose}
    >
      {kind === 'coil' ? <CoilReading tray={tray} /> : <LeadReading tray={tray} />}
    </Dialog>
  );
}
