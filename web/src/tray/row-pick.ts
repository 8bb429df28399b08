import { startTransition, useEffect, useState, useSyncExternalStore } from 'react';

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

/** Does something once what stands now has been painted: at the start of the frame after. Returns what calls it off. */
function afterPaint(work: () => void): () => void {
  let frame = requestAnimationFrame(() => {
    frame = requestAnimationFrame(work);
  });
  return () => cancelAnimationFrame(frame);
}

/**
 * The picked row as of the last painted frame. What is drawn from it (section, reasons, rails) follows the row's own
 * highlight by a frame, so that the highlight keeps up with the keys however much there is to draw.
 */
export function usePickedAfterPaint(pick: RowPick): number {
  const [index, setIndex] = useState(pick.index);
  useEffect(() => {
    let callOff: (() => void) | undefined;
    const follow = () => {
      callOff?.();
      callOff = afterPaint(() => setIndex(pick.index));
    };
    follow();
    const release = pick.subscribe(follow);
    return () => {
      callOff?.();
      release();
    };
  }, [pick]);
  return index;
}

/** False until what is shown first has been painted. */
export function useIsPainted(): boolean {
  const [isPainted, setPainted] = useState(false);
  useEffect(() => afterPaint(() => startTransition(() => setPainted(true))), []);
  return isPainted;
}

export function useIsPicked(pick: RowPick, index: number): boolean {
  return useSyncExternalStore(pick.subscribe, () => pick.index === index);
}
