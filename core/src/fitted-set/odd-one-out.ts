/** What was found in one place of an engine; `part` is undefined where nothing was entered. */
export interface Found {
  readonly label: string;
  readonly part: string | undefined;
}

export interface OddOnes {
  /** The part that most places hold; undefined while nothing was entered, or where no part has more than the others. */
  readonly usual: string | undefined;
  /** Places that hold another. */
  readonly odd: readonly string[];
  readonly missing: readonly string[];
}

/**
 * The parts of a set that differ from the rest. Where several parts are held equally often nobody can say which is the
 * stranger: then every place is odd. Old parts: Odd one out.
 */
export function oddOneOut(found: readonly Found[]): OddOnes {
  const held = found.filter(({ part }) => part !== undefined);
  const missing = found.filter(({ part }) => part === undefined).map(({ label }) => label);
  const counts = new Map<string, number>();
  for (const { part } of held) counts.set(part!, (counts.get(part!) ?? 0) + 1);
  const ranked = [...counts].sort(([, a], [, b]) => b - a);
  const [first, second] = ranked;
  if (!first) return { usual: undefined, odd: [], missing };
  const usual = second?.[1] === first[1] ? undefined : first[0];
  return { usual, odd: held.filter(({ part }) => part !== usual).map(({ label }) => label), missing };
}
