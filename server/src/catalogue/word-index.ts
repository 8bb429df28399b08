const wordsIn = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s,;/]+/)
    .filter(Boolean);

/** Items by the beginnings of their words, in the order they were given. */
export class WordIndex<T> {
  readonly #items: readonly T[];
  readonly #wordsOf: readonly (readonly string[])[];
  readonly #words: readonly string[];
  readonly #places: readonly (readonly number[])[];

  constructor(items: readonly T[], textOf: (item: T) => string) {
    this.#items = items;
    this.#wordsOf = items.map((item) => [...new Set(wordsIn(textOf(item)))]);
    const places = new Map<string, number[]>();
    this.#wordsOf.forEach((words, i) => {
      for (const word of words) {
        const held = places.get(word);
        if (held) held.push(i);
        else places.set(word, [i]);
      }
    });
    this.#words = [...places.keys()].sort();
    this.#places = this.#words.map((word) => places.get(word)!);
  }

  /** The first items that hold, for every word asked, a word beginning with it, and that pass the test. */
  find(asked: readonly string[], most: number, passes: (item: T) => boolean = () => true): T[] {
    const ranges = asked.map((word) => this.#range(word.toLowerCase()));
    const rarest = ranges.reduce<Range | undefined>((a, b) => (a && a.count <= b.count ? a : b), undefined);
    if (!rarest || rarest.count === 0) return [];
    const others = ranges.filter((range) => range !== rarest);
    const found: T[] = [];
    let last = -1;
    for (const place of this.#gathered(rarest)) {
      if (place === last) continue;
      last = place;
      const item = this.#items[place]!;
      if (others.every((range) => this.#holds(place, range.beginning)) && passes(item)) found.push(item);
      if (found.length === most) break;
    }
    return found;
  }

  /** Only the rarest word's items are gathered, in their order; the others are looked for in those. */
  #gathered({ from, to, count }: Range): Uint32Array {
    const places = new Uint32Array(count);
    let filled = 0;
    for (const own of this.#places.slice(from, to)) {
      places.set(own, filled);
      filled += own.length;
    }
    return to - from === 1 ? places : places.sort();
  }

  #holds(place: number, beginning: string): boolean {
    return this.#wordsOf[place]!.some((word) => word.startsWith(beginning));
  }

  /** The words that begin so, and how many items hold one, an item counted once for each. */
  #range(beginning: string): Range {
    let low = 0;
    let high = this.#words.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#words[middle]! < beginning) low = middle + 1;
      else high = middle;
    }
    let to = low;
    let count = 0;
    for (; this.#words[to]?.startsWith(beginning); to += 1) count += this.#places[to]!.length;
    return { beginning, from: low, to, count };
  }
}

interface Range {
  readonly beginning: string;
  readonly from: number;
  readonly to: number;
  readonly count: number;
}
