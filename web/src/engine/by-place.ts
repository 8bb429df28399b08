import type { RequirementLine } from '@brackenfell/contract/engine';

/** What an engine asks otherwise from place to place: one column a group of places, one row a line. */
export interface ByPlace {
  readonly places: readonly string[];
  readonly rows: readonly {
    readonly label: string;
    readonly values: readonly (RequirementLine | undefined)[];
  }[];
}

/** Runs of cylinders are said short: `1–4 exhaust`, `2, 4`. */
export function sayPlaces(labels: readonly string[]): string {
  const parts = labels.map((label) => /^(\d+)(?:\s+(.*))?$/.exec(label));
  if (parts.some((part) => part === null)) return labels.join(', ');
  const place = parts[0]![2];
  if (parts.some((part) => part![2] !== place)) return labels.join(', ');
  const numbers = parts.map((part) => Number(part![1]));
  const isRun = numbers.length > 2 && numbers.every((n, i) => i === 0 || n === numbers[i - 1]! + 1);
  const said = isRun ? `${numbers[0]}–${numbers.at(-1)}` : numbers.join(', ');
  return place ? `${said} ${place}` : said;
}

/** Lines that hold everywhere, in order, and those that differ from place to place as a table. */
export function splitByPlace(requirement: readonly RequirementLine[]): {
  readonly everywhere: readonly RequirementLine[];
  readonly byPlace: ByPlace | undefined;
} {
  const everywhere = requirement.filter(({ at }) => at.length === 0);
  const differing = requirement.filter(({ at }) => at.length > 0);
  if (differing.length === 0) return { everywhere, byPlace: undefined };
  // The finest parting of the places: two stand in one column when no line tells them apart.
  const all = [...new Set(differing.flatMap(({ at }) => at))];
  const labels = [...new Set(differing.map(({ label }) => label))];
  const lineAt = (label: string, place: string) =>
    differing.find((line) => line.label === label && line.at.includes(place));
  const keyOf = (place: string) => labels.map((label) => lineAt(label, place)?.value ?? '').join('|');
  const groups = new Map<string, string[]>();
  for (const place of all) groups.set(keyOf(place), [...(groups.get(keyOf(place)) ?? []), place]);
  const columns = [...groups.values()];
  return {
    everywhere,
    byPlace: {
      places: columns.map(sayPlaces),
      rows: labels.map((label) => ({ label, values: columns.map(([place]) => lineAt(label, place!)) })),
    },
  };
}
