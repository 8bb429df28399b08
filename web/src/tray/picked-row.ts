import { useEffect, useLayoutEffect, useRef } from 'react';
import type { OpenTray } from '@brackenfell/contract/open-tray';
import type { RowPick } from './row-pick.ts';

/**
 * Picks what the address wants, as soon as a tray holds it; when a tray is judged anew the picked part stays picked, wherever
 * it stands now.
 */
export function usePickKept(tray: OpenTray, wanted: string | null, pick: RowPick): void {
  const served = useRef<{ tray: OpenTray; wanted: string | null }>(undefined);
  useLayoutEffect(() => {
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
export function useRowInAddress(tray: OpenTray, pick: RowPick): void {
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
