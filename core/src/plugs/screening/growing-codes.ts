const FIRST_CAPACITY = 256;

/** A list of small whole numbers that grows: packed, so that it is walked at the speed of memory. */
export class GrowingCodes {
  #codes = new Uint32Array(FIRST_CAPACITY);

  at(place: number): number {
    return this.#codes[place]!;
  }

  set(place: number, code: number): void {
    if (place >= this.#codes.length) {
      const grown = new Uint32Array(Math.max(place + 1, this.#codes.length * 2));
      grown.set(this.#codes);
      this.#codes = grown;
    }
    this.#codes[place] = code;
  }

  /** The codes as they lie in memory; valid until the next `set`. */
  get packed(): Uint32Array {
    return this.#codes;
  }
}
