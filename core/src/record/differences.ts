import { stable } from '../words/stable.ts';
import { sayKey } from './say-key.ts';

/** One thing in which two records differ. */
export interface Difference {
  /** From the outside in, in words: *positions 1, figures, gap*. */
  readonly where: string;
  readonly before: string | null;
  readonly after: string | null;
}

type Path = readonly string[];

/**
 * What differs between two records, each thing once. Items of a list are told apart by what they say, not by where they
 * stand, so that one more in the middle is one difference.
 */
export function differences(before: unknown, after: unknown, path: Path = []): Difference[] {
  if (same(before, after)) return [];
  if (Array.isArray(before) && Array.isArray(after)) return ofLists(before, after, path);
  if (isGroup(before) && isGroup(after))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      differences(before[key], after[key], [...path, sayKey(key)]),
    );
  return [
    {
      where: path.join(', '),
      before: before === undefined ? null : inShort(before),
      after: after === undefined ? null : inShort(after),
    },
  ];
}

/** A difference as a sentence's part. */
export const sayDifference = ({ where, before, after }: Difference): string =>
  before === null
    ? `${where}: ${after!} added`
    : after === null
      ? `${where}: ${before} removed`
      : `${where}: ${before} → ${after}`;

/** What an item of a list is, as long as it is that one: its key, its place, who says what. */
const IDENTITY: readonly (readonly string[])[] = [
  ['kind', 'cylinder', 'place', 'build'],
  ['fact', 'rank', 'source'],
  ['make', 'model'],
  ['label'],
  ['about', 'says'],
  ['code'],
  ['id'],
];

function identityOf(item: unknown): string | undefined {
  if (!isGroup(item)) return undefined;
  const keys = IDENTITY.find((own) => own.slice(0, 2).every((key) => key in item));
  return keys
    ?.map((key) => inShort(item[key] ?? ''))
    .filter(Boolean)
    .join(' ');
}

function ofLists(before: readonly unknown[], after: readonly unknown[], path: Path): Difference[] {
  const [olds, news] = [remaining(before, after), remaining(after, before)];
  if (olds.length === 0 && news.length === 0)
    return [{ where: path.join(', '), before: 'their order', after: 'another order' }];
  const at = (item: unknown): Path => [...path.slice(0, -1), `${path.at(-1) ?? ''} ${identityOf(item) ?? ''}`.trim()];
  const pairs = olds.map((old) => {
    const identity = identityOf(old);
    const found = identity === undefined ? -1 : news.findIndex((one) => identityOf(one) === identity);
    return [old, found < 0 ? undefined : news.splice(found, 1)[0]] as const;
  });
  return [
    ...pairs.flatMap(([old, now]) =>
      now === undefined
        ? [{ where: path.join(', '), before: inShort(old), after: null }]
        : differences(old, now, at(now)),
    ),
    ...news.map((one) => ({ where: path.join(', '), before: null, after: inShort(one) })),
  ];
}

/** Those of one list that the other has not, each as often as it stands there more. */
function remaining(of: readonly unknown[], without: readonly unknown[]): unknown[] {
  const left = without.map((one) => stable(one));
  return of.filter((one) => {
    const at = left.indexOf(stable(one));
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}

const isGroup = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const same = (a: unknown, b: unknown): boolean => stable(a) === stable(b);

const LONGEST = 80;

/** A value in few words: the words and figures in it, but for its lists. */
export function inShort(value: unknown): string {
  const text = isGroup(value)
    ? Object.values(value)
        .filter((part) => !Array.isArray(part))
        .map((part) => inShort(part))
        .filter(Boolean)
        .join(' ')
    : Array.isArray(value)
      ? value.map((one) => inShort(one)).join(', ')
      : String(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text;
}
