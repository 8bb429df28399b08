import type { RequestOf } from '@brackenfell/contract/endpoints';
import type { ProblemCode } from '@brackenfell/contract/problem';
import { ProblemError } from '../wire/call.ts';

/** An entry as the counter makes it, before the server has it. */
export type NewEntry = RequestOf<'noteEvidence'>['body']['entries'][number];

/** Entries made in one go, on their way to the server. */
export interface Waiting {
  readonly key: string;
  readonly staffId: string;
  readonly inspectionId: string;
  readonly entries: readonly NewEntry[];
}

/** Answers after which sending the same once more would be of no use. */
const FINAL: ReadonlySet<ProblemCode> = new Set<ProblemCode>([
  'invalid-request',
  'not-found',
  'key-reused',
  'role-not-allowed',
  'not-allowed-now',
  'body-too-large',
  'unreadable-body',
]);

/**
 * What a failed sending means. Only the server's own final word lets go of an entry; a connection that broke off, a page
 * that is being left, a session that ended or a fault over there say nothing about it, and it is kept.
 */
export function failureOf(error: unknown): 'away' | { readonly refused: string } {
  return error instanceof ProblemError && FINAL.has(error.problem.code) ? { refused: error.message } : 'away';
}

type Send<R> = (waiting: Waiting) => Promise<{ readonly stored: R } | 'away' | { readonly refused: string }>;

interface Told<R> {
  readonly onStored: (reply: R) => void;
  readonly onRefused: (why: string) => void;
}

/** Where waiting entries outlive the page. */
export interface Shelf {
  getItem(name: string): string | null;
  setItem(name: string, text: string): void;
}

const NAME = 'brackenfell inspection entries';

/**
 * Entries on their way, in the order in which they were made. They are written down on this computer before anything is
 * sent and crossed out when the server has stored them, so that neither a server that is away nor a restart loses one; the
 * key makes a second sending harmless.
 */
export class InspectionOutbox<R> {
  #waiting: readonly Waiting[];
  readonly #shelf: Shelf;
  readonly #send: Send<R>;
  readonly #listeners = new Set<() => void>();
  #sending = false;

  constructor(shelf: Shelf, send: Send<R>) {
    this.#shelf = shelf;
    this.#send = send;
    this.#waiting = readShelf(shelf);
  }

  get waiting(): readonly Waiting[] {
    return this.#waiting;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  add(waiting: Waiting): void {
    this.#set([...this.#waiting, waiting]);
  }

  /** Sends what one person's waits, one after another; stops while the server is away. Refused entries are told, not kept. */
  async flush(staffId: string, { onStored, onRefused }: Told<R>): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    try {
      for (let next = this.#next(staffId); next; next = this.#next(staffId)) {
        const outcome = await this.#send(next);
        if (outcome === 'away') return;
        if ('refused' in outcome) onRefused(outcome.refused);
        else onStored(outcome.stored);
        const { key } = next;
        this.#set(this.#waiting.filter((waiting) => waiting.key !== key));
      }
    } finally {
      this.#sending = false;
    }
  }

  /** Resolves once nothing of an inspection waits any more. */
  drained(inspectionId: string): Promise<void> {
    return new Promise((resolve) => {
      const look = () => {
        if (this.#waiting.some((waiting) => waiting.inspectionId === inspectionId)) return;
        leave();
        resolve();
      };
      const leave = this.subscribe(look);
      look();
    });
  }

  #next(staffId: string): Waiting | undefined {
    return this.#waiting.find((waiting) => waiting.staffId === staffId);
  }

  #set(waiting: readonly Waiting[]): void {
    this.#waiting = waiting;
    this.#shelf.setItem(NAME, JSON.stringify(waiting));
    for (const listener of this.#listeners) listener();
  }
}

function readShelf(shelf: Shelf): Waiting[] {
  try {
    const kept: unknown = JSON.parse(shelf.getItem(NAME) ?? '[]');
    return Array.isArray(kept) ? (kept as Waiting[]) : [];
  } catch {
    return [];
  }
}
