import { useSyncExternalStore } from 'react';
import { toast } from '../controls/toast.ts';

/** One code a scanner sent, and how often since this window was opened. */
export interface Scan {
  readonly code: string;
  readonly count: number;
}

/** Codes kept; a day's scanning at a counter is a fraction of it. */
const MOST_KEPT = 5000;

let scans: readonly Scan[] = [];
let total = 0;
let snapshot = { scans, total };
const listeners = new Set<() => void>();
const askers = new Set<(code: string) => void>();

/** Keeps a scan, the latest first. Nothing is looked up here, so that a hundred scans a second are all kept. */
export function keepScan(code: string, behindSheet = false): void {
  const before = scans.find((scan) => scan.code === code);
  scans = [
    { code, count: (before?.count ?? 0) + 1 },
    ...(before ? scans.filter((scan) => scan !== before) : scans).slice(0, MOST_KEPT - 1),
  ];
  total += 1;
  snapshot = { scans, total };
  for (const listener of listeners) listener();
  // Behind an open sheet an answer would open unseen: the code waits in the list.
  if (behindSheet) toast(`${code} was scanned and is kept: ` + '` shows the scans.');
  else for (const asker of askers) asker(code);
}

/** Calls with every code as it is scanned; gives what ends that. */
export function whenScanned(asker: (code: string) => void): () => void {
  askers.add(asker);
  return () => {
    askers.delete(asker);
  };
}

/** What was scanned, the latest first, and how many scans there were. */
export function useScans(): { readonly scans: readonly Scan[]; readonly total: number } {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => snapshot,
  );
}
