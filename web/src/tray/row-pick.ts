import { useEffect, useState, useSyncExternalStore } from 'react';

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

/**
 * The picked row as of the last painted frame. What is drawn from it (section, reasons, rails) follows the row's own
 * highlight by a frame, so that the highlight keeps up with the keys however much there is to draw.
 */
export function usePickedAfterPaint(pick: RowPick): number {
  const [index, setIndex] = useState(pick.index);
  useEffect(() => {
    let frame = 0;
    const follow = () => {
      cancelAnimationFrame(frame);
      // The first frame shows the highlight; at the start of the next it has been painted.
      frame = requestAnimationFrame(() => {
        frame = requestAnimationFrame(() => setIndex(pick.index));
      });
    };
    follow();
    const release = pick.subscribe(follow);
    return () => {
      cancelAnimationFrame(frame);
      release();
    };
  }, [pick]);
  return index;
}

export function useIsPicked(pick: RowPick, index: number): boolean {
  return useSyncExternalStore(pick.subscribe, () => pick.index === index);
}
