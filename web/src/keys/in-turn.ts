import { flushSync } from 'react-dom';

/** A room that is long in coming holds the keys up no longer than this. */
const PATIENCE_MS = 5000;

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
  #due: Press[] = [];
  #working = false;
  /** Undefined on a screen that tells no address: there nothing is waited for. */
  #drawn: string | undefined;
  /** Sheets that have been asked for and are not there yet. */
  #onTheirWay = 0;
  #goOn: (() => void) | undefined;

  constructor(run: (press: Press) => Done) {
    this.#run = run;
  }

  /** Whether a press waits for its screen, or the screen is on its way that the last one led to. */
  get isAtIt(): boolean {
    return this.#working;
  }

  drew(address: { readonly pathname: string; readonly search: string } | undefined): void {
    this.#drawn = address && drawnOf(address);
    if (this.#isDrawn) this.#goOn?.();
  }

  /** A sheet is on its way: what comes behind the press that opened it is meant for it. Returns what says that it is there. */
  awaits(): () => void {
    this.#onTheirWay += 1;
    return () => {
      this.#onTheirWay -= 1;
      if (this.#isDrawn) this.#goOn?.();
    };
  }

  get #isDrawn(): boolean {
    return this.#onTheirWay === 0 && (this.#drawn === undefined || this.#drawn === addressed());
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

  /** A sheet is waited for as long as it says that it is on its way: what is typed for it is no command of the desk. */
  async #untilDrawn(): Promise<void> {
    do {
      await new Promise<void>((resolve) => {
        this.#goOn = resolve;
        setTimeout(resolve, PATIENCE_MS);
      });
    } while (this.#onTheirWay > 0);
  }
}
