interface Placed {
  readonly partKind: string;
  readonly places: readonly string[];
  readonly on: string | undefined;
}

/** Two parts of one kind that cannot sit in a vehicle together. Where no place was written they are for all of it. */
const sharePlace = (a: Placed, b: Placed): boolean =>
  a.partKind === b.partKind &&
  (a.places.length === 0 || b.places.length === 0 || a.places.some((p) => b.places.includes(p)));

/**
 * Which records still sit in the vehicle: not those in whose place something was fitted later. In the order written down;
 * what has no day is taken to be as old as it was written. Garage book: History.
 */
export function stillFitted<R extends Placed>(records: readonly R[]): readonly R[] {
  const isLater = (one: R, i: number, other: R, j: number) =>
    one.on !== undefined && other.on !== undefined && one.on !== other.on ? one.on > other.on : i > j;
  return records.filter(
    (record, i) => !records.some((other, j) => i !== j && sharePlace(record, other) && isLater(other, j, record, i)),
  );
}
