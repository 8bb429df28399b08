import type { EndpointName } from '@brackenfell/contract/endpoints';

/** One write as it was meant: made when the key is pressed, kept until the server's final word, sent under one key. */
export interface Intent {
  readonly key: string;
  readonly staffId: string;
  readonly name: EndpointName;
  /** Params and body without the slip's version, which is known when it is sent. */
  readonly request: { readonly params?: Record<string, string>; readonly body?: Record<string, unknown> };
  /** The slip it writes on; of one begun here and not sent yet, its name of our own. Null for what is on no slip. */
  readonly slipId: string | null;
  /** What it does, in a few words. */
  readonly says: string;
  /** The slip version it was first sent with; a second sending is the very same call. */
  readonly version?: number;
}

/** What came of sending one. `kept` means nothing is known: it is sent again. */
export type Outcome<R> =
  | { readonly kind: 'stored'; readonly reply: R }
  | { readonly kind: 'overtaken' }
  | { readonly kind: 'kept' }
  | { readonly kind: 'refused'; readonly why: string; readonly error: Error };

/** A slip begun here has this before its name until the server has given it a number. */
export const NEW_SLIP = 'new-';

/** Where intents outlive the page: the browser's own storage, one entry an intent, so that windows never overwrite another's. */
export interface Shelf {
  readonly length: number;
  key(index: number): string | null;
  getItem(name: string): string | null;
  setItem(name: string, text: string): void;
  removeItem(name: string): void;
}

const PREFIX = 'brackenfell write ';
const BEGUN = 'brackenfell begun ';
/** How often a write is fitted to a slip that somebody else changed meanwhile, before the person is asked. */
const MOST_TURNS = 4;

interface Sending<R> {
  /** Sends one under its key. */
  readonly send: (intent: Intent) => Promise<Outcome<R>>;
  /** The version of a slip as it stands, asked of the server. */
  readonly versionOf: (slipId: string) => Promise<number | undefined>;
  /** Hears every answer, also to what was written before the page was loaded. */
  readonly heard?: (reply: R) => void;
  /** Slip id and version in an answer, where it is a slip. */
  readonly readSlip: (reply: R) => { readonly slipId: string; readonly version: number } | undefined;
}

/** What the page wants to hear of its own writes. */
interface Told<R> {
  readonly onStored?: ((reply: R) => void) | undefined;
  readonly onRefused?: ((why: string, error: Error) => void) | undefined;
}

/**
 * The one way in which a slip is written on. Intents are put down on this computer before anything is sent, go one after
 * another in the order made, and are crossed out by the server's word alone: stored, or refused for good.
 */
export class Outbox<R> {
  #waiting: readonly Intent[] = [];
  readonly #shelf: Shelf;
  readonly #sending: Sending<R>;
  readonly #listeners = new Set<() => void>();
  readonly #told = new Map<string, Told<R>>();
  readonly #versions = new Map<string, number>();
  #turns = 0;
  #running = false;
  #count = 0;

  constructor(shelf: Shelf, sending: Sending<R>) {
    this.#shelf = shelf;
    this.#sending = sending;
    this.#read();
  }

  /** What is not known to be stored, in the order made. */
  get waiting(): readonly Intent[] {
    return this.#waiting;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** A slip as the page has seen it: the next write on it goes out against this version. */
  saw(slipId: string, version: number): void {
    if ((this.#versions.get(slipId) ?? 0) < version) this.#versions.set(slipId, version);
  }

  /** The number the server gave to a slip that was begun here. */
  begunAs(name: string): string | undefined {
    return this.#shelf.getItem(BEGUN + name) ?? undefined;
  }

  add(intent: Omit<Intent, 'key'>, told: Told<R> = {}): string {
    const key = crypto.randomUUID();
    this.#count += 1;
    const order = `${Date.now().toString().padStart(15, '0')}-${this.#count.toString().padStart(6, '0')}`;
    this.#shelf.setItem(`${PREFIX}${order} ${key}`, JSON.stringify({ ...intent, key }));
    this.#told.set(key, told);
    this.#read();
    return key;
  }

  /** Another window added or sent something. */
  refresh(): void {
    this.#read();
  }

  /** Sends what one person's waits, one after another; stops where nothing is known of an answer. */
  async flush(staffId: string): Promise<void> {
    if (this.#running) return;
    this.#running = true;
    try {
      for (let next = this.#next(staffId); next; next = this.#next(staffId)) if (!(await this.#sendOne(next))) return;
    } finally {
      this.#running = false;
    }
  }

  /** Waits until all that is meant is stored, no longer than so many milliseconds. Resolves with how much is left. */
  untilSent(isMeant: (intent: Intent) => boolean, mostMs: number): Promise<number> {
    const left = () => this.#waiting.filter(isMeant).length;
    if (left() === 0) return Promise.resolve(0);
    return new Promise((resolve) => {
      const done = () => {
        clearTimeout(timer);
        stop();
        resolve(left());
      };
      const timer = setTimeout(done, mostMs);
      const stop = this.subscribe(() => {
        if (left() === 0) done();
      });
    });
  }

  #next(staffId: string): Intent | undefined {
    return this.#waiting.find((intent) => intent.staffId === staffId);
  }

  async #sendOne(intent: Intent): Promise<boolean> {
    const ready = await this.#addressed(intent);
    if (!ready) return false;
    const outcome = await this.#sending.send(ready);
    switch (outcome.kind) {
      case 'kept':
        return false;
      case 'overtaken':
        this.#turns += 1;
        if (this.#turns <= MOST_TURNS) {
          // The call was refused whole: the same intent goes out against the slip as it stands now.
          this.#versions.delete(ready.slipId!);
          const { version: _, ...anew } = ready;
          this.#rewrite(anew);
          return true;
        }
        return this.#settle(intent, () =>
          this.#told.get(intent.key)?.onRefused?.('Somebody else keeps changing this slip.', new Error('overtaken')),
        );
      case 'refused':
        return this.#settle(intent, () => this.#told.get(intent.key)?.onRefused?.(outcome.why, outcome.error));
      case 'stored': {
        const slip = this.#sending.readSlip(outcome.reply);
        if (slip) {
          this.#versions.set(slip.slipId, slip.version);
          if (intent.slipId?.startsWith(NEW_SLIP)) this.#shelf.setItem(BEGUN + intent.slipId, slip.slipId);
        }
        // Heard before it is crossed out: between the two nobody would see what was written, neither here nor there.
        this.#sending.heard?.(outcome.reply);
        return this.#settle(intent, () => this.#told.get(intent.key)?.onStored?.(outcome.reply));
      }
    }
  }

  /** An intent with the number and version of its slip, written down before it is sent. */
  async #addressed(intent: Intent): Promise<Intent | undefined> {
    if (intent.slipId === null || intent.name === 'createSlip') return intent;
    const slipId = intent.slipId.startsWith(NEW_SLIP) ? this.begunAs(intent.slipId) : intent.slipId;
    // The slip it belongs to was refused: it cannot go anywhere.
    if (slipId === undefined) return { ...intent, slipId: '0' };
    if (intent.version !== undefined) return intent;
    const version = this.#versions.get(slipId) ?? (await this.#sending.versionOf(slipId));
    if (version === undefined) return undefined;
    const ready = {
      ...intent,
      slipId,
      version,
      request: { ...intent.request, params: { ...intent.request.params, slipId } },
    };
    this.#rewrite(ready);
    return ready;
  }

  #settle({ key }: Intent, tell: () => void): true {
    this.#turns = 0;
    const name = this.#nameOf(key);
    if (name !== undefined) this.#shelf.removeItem(name);
    this.#read();
    tell();
    this.#told.delete(key);
    return true;
  }

  #rewrite(intent: Intent): void {
    const name = this.#nameOf(intent.key);
    if (name !== undefined) this.#shelf.setItem(name, JSON.stringify(intent));
    this.#read();
  }

  #names(): string[] {
    const names: string[] = [];
    for (let i = 0; i < this.#shelf.length; i += 1) {
      const name = this.#shelf.key(i);
      if (name?.startsWith(PREFIX)) names.push(name);
    }
    return names.sort();
  }

  #nameOf = (key: string): string | undefined => this.#names().find((name) => name.endsWith(key));

  #read(): void {
    this.#waiting = this.#names().flatMap((name) => readIntent(this.#shelf.getItem(name)));
    for (const listener of this.#listeners) listener();
  }
}

function readIntent(text: string | null): Intent[] {
  try {
    const intent = JSON.parse(text ?? '') as Partial<Intent> | null;
    return intent && typeof intent.key === 'string' && typeof intent.name === 'string' ? [intent as Intent] : [];
  } catch {
    return [];
  }
}
