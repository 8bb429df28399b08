import type { Undo } from './undo.ts';

/** Steps that can be taken back, by slip; kept through a reload of the page, gone with its window. */
const NAME = 'brackenfell undo ';
const MOST = 50;

export function undosOf(slipId: string): readonly Undo[] {
  try {
    const kept: unknown = JSON.parse(window.sessionStorage.getItem(NAME + slipId) ?? '[]');
    return Array.isArray(kept) ? (kept as Undo[]) : [];
  } catch {
    return [];
  }
}

const keep = (slipId: string, undos: readonly Undo[]) =>
  window.sessionStorage.setItem(NAME + slipId, JSON.stringify(undos.slice(-MOST)));

export function pushUndo(slipId: string, undo: Undo): void {
  keep(slipId, [...undosOf(slipId), undo]);
}

/** The last step, taken from the pile. */
export function popUndo(slipId: string): Undo | undefined {
  const all = undosOf(slipId);
  keep(slipId, all.slice(0, -1));
  return all.at(-1);
}
