/**
 * What was read at one version of the catalogue, by key, so that it is read once. A reading that failed is not kept, and
 * whoever waited for somebody else's makes it again by themselves: the other's connection may be gone.
 */
export class Memo {
  readonly #read = new Map<string, Promise<unknown>>();
  readonly #most: number;

  /** `most`: past so many it begins anew. */
  constructor(most = 2000) {
    this.#most = most;
  }

  once<T>(key: string, read: () => Promise<T>): Promise<T> {
    const known = this.#read.get(key) as Promise<T> | undefined;
    return known ? known.catch(() => this.#begin(key, read)) : this.#begin(key, read);
  }

  #begin<T>(key: string, read: () => Promise<T>): Promise<T> {
    if (this.#read.size >= this.#most) this.#read.clear();
    const reading = read();
    this.#read.set(key, reading);
    reading.catch(() => {
      if (this.#read.get(key) === reading) this.#read.delete(key);
    });
    return reading;
  }
}
