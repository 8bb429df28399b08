import { useSyncExternalStore } from 'react';
import { useSettings } from './settings.ts';

/** Letters' worth of width under which slip and desk do not stand side by side: 1024 px at 100%, 1280 px at 150%. */
const ROOM_REM = 66;

/** Whether the window is too narrow, for the size of letters chosen, to show the slip beside the desk. */
export function useNarrow(): boolean {
  const { textSize } = useSettings();
  const query = `(max-width: ${ROOM_REM * 16 * (textSize / 100)}px)`;
  return useSyncExternalStore(
    (listener) => {
      const media = matchMedia(query);
      media.addEventListener('change', listener);
      return () => media.removeEventListener('change', listener);
    },
    () => matchMedia(query).matches,
  );
}
