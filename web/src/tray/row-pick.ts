import { useSyncExternalStore } from 'react';

/** Which row of a tray is picked. Kept outside React's tree so that a move repaints two rows, not the whole tray. */
export class RowPick {
  #index = 0;
  readonly #listeners = new Set<() => void>();

  get index(): number {
    return this.#index;
  }

  set(index: number): void {
    if (index === this.#index) return;
    this.#index = index;
    for (const listener of this.#listeners) listener();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
}

export function usePicked(pick: RowPick): number {
  return useSyncExternalStore(pick.subscribe, () => pick.index);
}

export function useIsPicked(pick: RowPick, index: number): boolean {
  return useSyncExternalStore(pick.subscribe, () => pick.index === index);
}
