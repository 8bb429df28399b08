/** What was read at one version of the catalogue, by key; past this many it begins anew. */
const MOST_KEPT = 2000;

/** Keeps what was read, so that it is read once. A reading that failed is not kept. */
export class Memo {
  readonly #read = new Map<string, Promise<unknown>>();

  once<T>(key: string, read: () => Promise<T>): Promise<T> {
    const known = this.#read.get(key) as Promise<T> | undefined;
    if (known) return known;
    if (this.#read.size >= MOST_KEPT) this.#read.clear();
    const reading = read();
    this.#read.set(key, reading);
    reading.catch(() => this.#read.delete(key));
    return reading;
  }
}
