/** Keys pressed faster than this after one another, several in a row, are a scanner's and never commands. */
const BURST_MS = 25;
const BURST_LENGTH = 4;
/** A code may be one digit over and over: then this many fast keys, not all alike, make a burst. */
const DULL_BURST_LENGTH = 8;
/** Once a scan is recognised, a stumble of the machine or of the radio between two of its keys does not end it. */
export const STUMBLE_MS = 70;
/** A sequence such as `t 2` may take this long from key to key: the second is looked for on the keyboard. */
const SEQUENCE_MS = 3000;

/** Tells a scanner's keys from a person's by their pace. Fed with every key press and the time at which the system had it. */
export class ScanWatch {
  #lastKey = '';
  #lastAtMs = -Infinity;
  /** Fast keys in a row, and how many of them differed from the one before. */
  #fast = 0;
  #changes = 0;
  #typed = '';
  #leader = '';
  /** The last key that is none of Shift and the like, and its time: figures need Shift on some keyboards. */
  #before = '';
  #beforeAtMs = -Infinity;

  /** Whether the keys of late came as a scanner sends them. */
  get isBurst(): boolean {
    return this.#changes >= BURST_LENGTH || (this.#fast >= DULL_BURST_LENGTH && this.#changes > 0);
  }

  /** The key before the last, in small letters, while a sequence may still go on from it. */
  get leader(): string {
    return this.#leader;
  }

  press(key: string, atMs: number, isRepeat = false): void {
    const since = atMs - this.#lastAtMs;
    const isFast = !isRepeat && since < (this.isBurst ? STUMBLE_MS : BURST_MS);
    // One key hammered fast is a person's; a code changes from key to key.
    this.#changes = isFast ? this.#changes + (key === this.#lastKey ? 0 : 1) : 0;
    this.#fast = isFast ? this.#fast + 1 : 0;
    if (!/^(Shift|Control|Alt|AltGraph|Meta|CapsLock)$/.test(key)) {
      this.#leader = atMs - this.#beforeAtMs < SEQUENCE_MS ? this.#before.toLowerCase() : '';
      this.#before = key;
      this.#beforeAtMs = atMs;
    }
    this.#lastKey = key;
    this.#lastAtMs = atMs;
    if (key.length === 1) this.#typed = isFast ? this.#typed + key : key;
  }

  /** The code that was sent, taken once. */
  takeCode(): string {
    const code = this.#typed.trim();
    this.#typed = '';
    return code;
  }

  /** Nothing came for a while: what comes next belongs to no code before it. */
  pause(): void {
    this.#typed = '';
  }
}
