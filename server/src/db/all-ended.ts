/**
 * Waits for several writings of one transaction, which the database takes one after another. Where one fails the others are
 * waited for as well: what is left behind would run when the transaction has been undone, by itself.
 */
export async function allEnded<T extends readonly unknown[]>(writings: {
  readonly [I in keyof T]: Promise<T[I]>;
}): Promise<T> {
  const ended = await Promise.allSettled(writings);
  const failed = ended.find((one) => one.status === 'rejected');
  if (failed) throw failed.reason;
  return ended.map((one) => (one as PromiseFulfilledResult<unknown>).value) as unknown as T;
}

/** Writings of one transaction that are put together while the one before is still written, in their order. */
export class OneBehind {
  #last: Promise<unknown> = Promise.resolve();

  /** Begins a writing once the one before has ended; throws where that failed. */
  async begin(write: () => Promise<unknown>): Promise<void> {
    await this.#last;
    this.#last = write();
    // Whoever waits for it hears of it; until then nobody does.
    this.#last.catch(() => undefined);
  }

  /** Does some work with writings, and leaves none of them behind, however it ends. */
  static async during<T>(work: (writings: OneBehind) => Promise<T>): Promise<T> {
    const writings = new OneBehind();
    try {
      const done = await work(writings);
      await writings.#last;
      return done;
    } finally {
      await writings.#last.catch(() => undefined);
    }
  }
}
