import { setTimeout as sleep } from 'node:timers/promises';
import type { Tidings } from '@brackenfell/contract/live';
import { BEAT, BEAT_MS, TIDINGS, TOPICS, type Topic } from '@brackenfell/contract/live-line';

/** What follows within this is told together with what came first. */
const GATHER_MS = 60;

/** One open page: what it has not been told yet. However slow its line, that is at most one word a topic, a part and a slip. */
export class Page {
  readonly #topics = new Set<Topic>();
  readonly #slips = new Map<string, number>();
  readonly #parts = new Set<string>();
  #gap = false;
  #wake: (() => void) | undefined;

  tell(topic: Topic): void {
    this.#topics.add(topic);
    this.#wake?.();
  }

  tellPart(partId: string): void {
    this.#parts.add(partId);
    this.#wake?.();
  }

  tellSlip(slipId: string, version: number): void {
    this.#slips.set(slipId, version);
    this.#wake?.();
  }

  tellGap(): void {
    this.#gap = true;
    this.#wake?.();
  }

  get #isNews(): boolean {
    return this.#gap || this.#topics.size > 0 || this.#slips.size > 0 || this.#parts.size > 0;
  }

  #take(): Tidings {
    const tidings = {
      topics: [...this.#topics],
      parts: [...this.#parts],
      slips: [...this.#slips].map(([slipId, version]) => ({ slipId, version })),
      gap: this.#gap,
    };
    this.#topics.clear();
    this.#slips.clear();
    this.#parts.clear();
    this.#gap = false;
    return tidings;
  }

  /** Events for the page, until `signal`: the first at once, then tidings as they come and a beat where none do. */
  async *events(signal: AbortSignal, mayHear: () => Promise<boolean>): AsyncGenerator<string> {
    signal.addEventListener('abort', () => this.#wake?.());
    const hasLeft = () => signal.aborted;
    yield event(BEAT, {});
    while (!hasLeft()) {
      if (!this.#isNews) await this.#news();
      if (hasLeft()) return;
      if (this.#isNews) await sleep(GATHER_MS);
      const tidings = this.#isNews ? this.#take() : undefined;
      // A session that has ended is told nothing more. Asked after what is told was taken: one that ends meanwhile is news again.
      if ((!tidings || tidings.topics.includes('people')) && !(await mayHear())) return;
      yield tidings ? event(TIDINGS, tidings) : event(BEAT, {});
    }
  }

  #news(): Promise<void> {
    return new Promise((resolve) => {
      const done = () => {
        clearTimeout(timer);
        this.#wake = undefined;
        resolve();
      };
      const timer = setTimeout(done, BEAT_MS);
      this.#wake = done;
    });
  }
}

const event = (name: string, data: object): string => `event: ${name}\ndata: ${JSON.stringify(data)}\n\n`;

const SLIP = /^slip (\d+) (\d+)$/;
const PART = /^part (\d+)$/;
const isTopic = (word: string): word is Topic => (TOPICS as readonly string[]).includes(word);

/** Every page that is open at this server, and what the database says told to each of them. */
export class Live {
  readonly #pages = new Map<Page, AbortController>();

  /** Pages that are open. */
  get pages(): number {
    return this.#pages.size;
  }

  /** One word of the database, as its triggers say it. */
  hear(word: string): void {
    const slip = SLIP.exec(word);
    const part = PART.exec(word);
    for (const page of this.#pages.keys()) {
      if (slip) page.tellSlip(slip[1]!, Number(slip[2]));
      else if (part) page.tellPart(part[1]!);
      else if (isTopic(word)) page.tell(word);
    }
  }

  /** What was said for a while could not be heard: whatever it was, every page asks anew. */
  missed(): void {
    for (const page of this.#pages.keys()) page.tellGap();
  }

  /** Events for one more page, until it leaves or its session ends. */
  async *open(leaves: AbortSignal, mayHear: () => Promise<boolean>): AsyncGenerator<string> {
    const page = new Page();
    const ends = new AbortController();
    this.#pages.set(page, ends);
    try {
      yield* page.events(AbortSignal.any([leaves, ends.signal]), mayHear);
    } finally {
      this.#pages.delete(page);
    }
  }

  /** Lets every page go, so that the server can stop; they call another, or this one when it is back. */
  close(): void {
    for (const ends of this.#pages.values()) ends.abort();
  }
}
