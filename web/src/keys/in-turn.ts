import { flushSync } from 'react-dom';

/**
 * Counted in short steps: a machine that stands still has kept nobody waiting. A screen that nobody knows to be on its way
 * holds the keys up no longer than five seconds, one that is being fetched no longer than half a minute.
 */
const STEP_MS = 100;
const PATIENCE_STEPS = 50;
const FETCHED_STEPS = 300;

/** What of an address the screen draws. The picked row is written into it without being drawn anew. */
function drawnOf({ pathname, search }: { readonly pathname: string; readonly search: string }): string {
  const params = new URLSearchParams(search);
  params.delete('row');
  return `${pathname}?${params.toString()}`;
}

const addressed = (): string => drawnOf(window.location);

/** What a press was: text and the like for the field in hand, which is there; or a command, which may lead elsewhere. */
export type Done = 'written' | 'commanded';

/**
 * Presses that have waited, one after another: each finds the screen as the one before has left it, and does what its key
 * does there. Where a command led to another address or opened a sheet, the next waits until that is what is drawn.
 */
export class InTurn<Press> {
  readonly #run: (press: Press) => Done;
  readonly #forgot: (presses: readonly Press[]) => void;
  #due: Press[] = [];
  #working = false;
  /** Undefined on a screen that tells no address: there nothing is waited for. */
  #drawn: string | undefined;
  /** Sheets that have been asked for and are not there yet, and rooms whose file is still being fetched. */
  readonly #sheets = new Set<symbol>();
  readonly #rooms = new Set<symbol>();
  #goOn: (() => void) | undefined;

  /** `forgot` hears of presses whose screen has not come: they were meant for it, and do nothing elsewhere. */
  constructor(run: (press: Press) => Done, forgot: (presses: readonly Press[]) => void = () => undefined) {
    this.#run = run;
    this.#forgot = forgot;
  }

  /** Whether a press waits for its screen, or the screen is on its way that the last one led to. */
  get isAtIt(): boolean {
    return this.#working;
  }

  drew(address: { readonly pathname: string; readonly search: string } | undefined): void {
    this.#drawn = address && drawnOf(address);
    if (this.#isDrawn) this.#goOn?.();
  }

  /**
   * Something is on its way, and what comes behind the press that asked for it is meant for it: a sheet is there when that
   * is said, a room when its address is drawn, whatever else is. Returns what says that it has come.
   */
  awaits(what: 'sheet' | 'room'): () => void {
    const onTheirWay = what === 'sheet' ? this.#sheets : this.#rooms;
    const one = Symbol(what);
    onTheirWay.add(one);
    return () => {
      onTheirWay.delete(one);
      if (this.#isDrawn) this.#goOn?.();
    };
  }

  get #isDrawn(): boolean {
    return this.#sheets.size === 0 && (this.#drawn === undefined || this.#drawn === addressed());
  }

  add(presses: readonly Press[]): void {
    this.#due.push(...presses);
    // With nothing to run nothing is waited for: a field that writes what is typed into the address is always ahead of it.
    if (this.#due.length > 0 && !this.#working) void this.#work();
  }

  async #work(): Promise<void> {
    this.#working = true;
    let done: Done = 'commanded';
    try {
      for (;;) {
        // Also after the last of them: a key that comes before its screen does is meant for that screen.
        if (done === 'commanded' && !this.#isDrawn) await this.#untilDrawn();
        const press = this.#due.shift();
        if (press === undefined) break;
        try {
          done = flushSync(() => this.#run(press));
        } catch (error) {
          // Told as any fault of a command is; the keys after it are none of it.
          reportError(error);
        }
      }
    } finally {
      this.#working = false;
    }
  }

  /** What waits for a screen that is fetched and does not come is forgotten: no letter meant for it is a command of this one. */
  async #untilDrawn(): Promise<void> {
    // What has been fetched takes a moment yet to be drawn.
    let unfetched = 0;
    for (let steps = 1; ; steps += 1) {
      await new Promise<void>((resolve) => {
        this.#goOn = resolve;
        setTimeout(resolve, STEP_MS);
      });
      if (this.#isDrawn) return;
      unfetched = this.#sheets.size > 0 || this.#rooms.size > 0 ? 0 : unfetched + 1;
      if (unfetched >= PATIENCE_STEPS) return;
      if (steps >= FETCHED_STEPS) break;
    }
    // From here on the keys are again those of the screen that is seen.
    this.#sheets.clear();
    this.#rooms.clear();
    this.#drawn = undefined;
    const forgotten = this.#due;
    this.#due = [];
    if (forgotten.length > 0) this.#forgot(forgotten);
  }
}
