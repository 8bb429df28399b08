import { Suspense } from 'react';
import { room, SheetOnItsWay } from '../controls/room.tsx';
import type { TraySheetsProps } from './open-sheet.tsx';

/** The sheets come right after the tray, together: the counter is usable before, and none is waited for when it is opened. */
const OpenSheet = room(async () => (await import('./open-sheet.tsx')).OpenSheet);

/** Whatever is laid over the tray. */
export function TraySheets(props: TraySheetsProps) {
  return (
    <Suspense fallback={props.sheet && <SheetOnItsWay />}>
      <OpenSheet {...props} />
    </Suspense>
  );
}
