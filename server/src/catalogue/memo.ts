/**
 * What was read at one version of the catalogue, by key, so that it is read once. A reading that failed is not kept, and
 * whoever waited for somebody else's makes it again by themselves: the other's connection may be gone.
 */
export class Memo {
  readonly #read = new Map<string, Promise<unknown>>();
  /** Of those, what has been read. */
  readonly #known = new Map<string, unknown>();
  readonly #most: number;

  /** `most`: past so many it begins anew. */
  constructor(most = 2000) {
    this.#most = most;
  }

  once<T>(key: string, read: () => Promise<T>): Promise<T> {
    const known = this.#read.get(key) as Promise<T> | undefined;
    return known ? known.catch(() => this.#begin(key, read)) : this.#begin(key, read);
  }

  /** A memo that begins with what has been read into this one and holds still. */
  whereHolds(holds: (known: unknown) => boolean): Memo {
    const next = new Memo(this.#most);
    for (const [key, known] of this.#known)
      if (holds(known)) {
        next.#read.set(key, Promise.resolve(known));
        next.#known.set(key, known);
      }
    return next;
  }

  #begin<T>(key: string, read: () => Promise<T>): Promise<T> {
    if (this.#read.size >= this.#most) {
      this.#read.clear();
      this.#known.clear();
    }
    const reading = read();
    this.#read.set(key, reading);
    const isOurs = () => this.#read.get(key) === reading;
    reading.then(
      (known) => isOurs() && this.#known.set(key, known),
      () => isOurs() && this.#read.delete(key),
    );
    return reading;
  }
}
