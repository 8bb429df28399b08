import { longestBetween, type LongStatement } from '../db/long-statements.ts';

/** A call that somebody had to wait for, and why as far as it is known: nothing of who called, nor of what was asked. */
export interface SlowCall {
  readonly at: Date;
  readonly route: string;
  readonly method: string;
  readonly status: number;
  readonly ms: number;
  readonly why: string;
}

/** From here on a person notices that they wait. */
const SLOW_MS = 1000;
const MOST_KEPT = 30;
const BEAT_MS = 100;

interface Stall {
  readonly from: number;
  readonly to: number;
}

/** How long a process did nothing else than reckon, seen by a clock that came late. */
export class Stalls {
  readonly #kept: Stall[] = [];

  /** Watches until the process ends. */
  watch(): this {
    let last = performance.now();
    setInterval(() => {
      const now = performance.now();
      if (now - last > 3 * BEAT_MS) this.note(last + BEAT_MS, now);
      last = now;
    }, BEAT_MS).unref();
    return this;
  }

  note(from: number, to: number): void {
    this.#kept.push({ from, to });
    if (this.#kept.length > MOST_KEPT) this.#kept.shift();
  }

  /** How much of the time between two moments the process was not to be spoken to, in ms. */
  between(from: number, to: number): number {
    return this.#kept.reduce((sum, stall) => sum + Math.max(0, Math.min(to, stall.to) - Math.max(from, stall.from)), 0);
  }
}

const ms = (value: number): string => `${Math.round(value)} ms`;

/** What took at least a third of the time, or what is left where nothing did. */
export function whyOf(tookMs: number, statement: LongStatement | undefined, stalledMs: number): string {
  const said = [
    ...(stalledMs * 3 >= tookMs ? [`The server reckoned at something else for ${ms(stalledMs)}.`] : []),
    ...(statement && statement.ms * 3 >= tookMs
      ? [`A statement of ${ms(statement.ms)} ran meanwhile: ${statement.sql}`]
      : []),
  ];
  return said.length > 0 ? said.join(' ') : 'Nothing took long by itself: it waited its turn, here or at the database.';
}

/** The latest slow calls of this process, the newest first. */
export class SlowCalls {
  readonly #kept: SlowCall[] = [];
  readonly #stalls: Stalls;

  constructor(stalls = new Stalls().watch()) {
    this.#stalls = stalls;
  }

  get latest(): readonly SlowCall[] {
    return this.#kept;
  }

  /** Keeps a call that was slow and gives it back; undefined for one that was not. It began at `began` by the process's clock. */
  note(
    call: { readonly route: string; readonly method: string; readonly status: number },
    began: number,
    ended: number,
  ): SlowCall | undefined {
    const tookMs = ended - began;
    if (tookMs < SLOW_MS) return undefined;
    const why = whyOf(tookMs, longestBetween(began, ended), this.#stalls.between(began, ended));
    const slow = { ...call, at: new Date(), ms: Math.round(tookMs), why };
    this.#kept.unshift(slow);
    this.#kept.length = Math.min(this.#kept.length, MOST_KEPT);
    return slow;
  }
}
