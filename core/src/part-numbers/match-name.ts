import { innerEan13, readBarcode } from './barcode.ts';
import { foldKey, readDifferences } from './fold-key.ts';
import { normalForm } from './normal-form.ts';
import { oneEdit, type OneEdit } from './one-edit.ts';
import { answersTo, readWildcards, type WildcardPattern } from './wildcard.ts';

/** How a number was found, in the order of the search. Part numbers: Stages. */
export const MATCH_STAGES = ['exact', 'fold', 'prefix', 'wildcard', 'one-edit', 'looser'] as const;
export type MatchStage = (typeof MATCH_STAGES)[number];

/** Shortest questions, in legible characters. Part numbers: Stages. */
export const SHORTEST = { prefix: 2, oneEdit: 4, looser: 5 } as const;

export interface AskedNumber {
  readonly typed: string;
  readonly normal: string;
  readonly fold: string;
  readonly pattern: WildcardPattern | undefined;
  /** The article's own barcode, where a carton's was asked for; such a name answers as exactly as the carton's. */
  readonly inside: string | undefined;
  /** With the signs that some maker's grammar declares significant, where it was typed with any. */
  readonly signed: { readonly normal: string; readonly fold: string } | undefined;
}

/** A question as the search reads it; `significant` are the signs that some maker's numbers are told apart by. */
export function askedNumber(typed: string, significant = ''): AskedNumber {
  const normal = normalForm(typed);
  const signed = normalForm(typed, significant);
  return {
    typed,
    normal,
    fold: foldKey(typed),
    pattern: readWildcards(typed),
    inside: articleInside(typed),
    signed: signed === normal ? undefined : { normal: signed, fold: foldKey(typed, significant) },
  };
}

function articleInside(typed: string): string | undefined {
  const code = readBarcode(typed);
  return code.kind === 'barcode' && code.symbology === 'ITF-14' ? innerEan13(code.digits) : undefined;
}

export interface StoredName {
  readonly normal: string;
  readonly fold: string;
}

export interface NameMatch {
  readonly stage: MatchStage;
  /** Smaller is nearer within a stage. */
  readonly distance: number;
  readonly edit?: OneEdit;
}

/** The strongest way in which a name answers to a question; undefined when only likeness is left. */
export function matchName(asked: AskedNumber, name: StoredName): NameMatch | undefined {
  const { normal, fold, pattern } = asked;
  if (pattern) {
    if (answersTo(pattern.normal, name.normal)) return { stage: 'wildcard', distance: 0 };
    return answersTo(pattern.fold, name.fold) ? { stage: 'wildcard', distance: 1 } : undefined;
  }
  const { signed } = asked;
  if ([normal, asked.inside, signed?.normal].includes(name.normal)) return { stage: 'exact', distance: 0 };
  if (signed?.fold === name.fold) return { stage: 'fold', distance: misread(signed.normal, name.normal) };
  if (name.fold === fold) return { stage: 'fold', distance: misread(normal, name.normal) };
  if (normal.length >= SHORTEST.prefix && name.fold.startsWith(fold)) {
    const asWritten = name.normal.startsWith(normal) ? 0 : 0.5;
    return { stage: 'prefix', distance: name.fold.length - fold.length + asWritten };
  }
  if (normal.length < SHORTEST.oneEdit) return undefined;
  const edit = oneEdit(fold, name.fold);
  return edit && { stage: 'one-edit', distance: edit.cost + misread(normal, name.normal) / 100, edit };
}

function misread(asked: string, name: string): number {
  let count = 0;
  for (let i = 0; i < Math.min(asked.length, name.length); i += 1) if (asked[i] !== name[i]) count += 1;
  return count;
}

export interface Ranked<N> {
  readonly name: N;
  readonly match: NameMatch;
}

/**
 * Names in the order they are shown, each part once by its strongest name: exact, then read through look-alikes, then
 * completions and one-edit readings by turns (edits first would bury completions, completions first the typing slips).
 */
export function rankNames<N extends StoredName & { readonly partId: string }>(
  asked: AskedNumber,
  names: readonly N[],
): Ranked<N>[] {
  const best = new Map<string, Ranked<N>>();
  for (const name of names) {
    const match = matchName(asked, name);
    if (!match) continue;
    const before = best.get(name.partId);
    if (!before || nearer(match, before.match) < 0) best.set(name.partId, { name, match });
  }
  const sorted = [...best.values()].sort(
    (a, b) => nearer(a.match, b.match) || (a.name.normal < b.name.normal ? -1 : a.name.normal > b.name.normal ? 1 : 0),
  );
  const of = (...stages: MatchStage[]) => sorted.filter(({ match }) => stages.includes(match.stage));
  return [...of('exact', 'fold', 'wildcard'), ...byTurns(of('one-edit'), of('prefix'))];
}

const nearer = (a: NameMatch, b: NameMatch): number =>
  MATCH_STAGES.indexOf(a.stage) - MATCH_STAGES.indexOf(b.stage) || a.distance - b.distance;

function byTurns<T>(first: readonly T[], second: readonly T[]): T[] {
  const merged: T[] = [];
  for (let i = 0; i < Math.max(first.length, second.length); i += 1)
    merged.push(...first.slice(i, i + 1), ...second.slice(i, i + 1));
  return merged;
}

/** How a match is told, and the places in the printed name that differ from what was typed. */
export function tellMatch(
  asked: AskedNumber,
  printed: string,
  { stage, edit }: NameMatch,
): { how: string; differs: number[] } {
  if (stage === 'exact')
    return { how: normalForm(printed) === asked.inside ? 'the article inside the carton' : '', differs: [] };
  if (stage === 'wildcard') return { how: 'fits what is legible', differs: [] };
  if (stage === 'looser') return { how: 'only alike', differs: [] };
  if (stage === 'one-edit' && edit) return tellEdit(asked.normal, printed, edit);
  const differences = readDifferences(asked.normal, printed);
  const readings = [...new Set(differences.map(({ read, as }) => `read ${read} as ${as}`))];
  return {
    how: [...readings, ...(stage === 'prefix' ? ['the number goes on'] : [])].join(', '),
    differs: differences.map(({ printedIndex }) => printedIndex),
  };
}

/** In a run that folds alike (`G6`), the left-out character is the one without which the rest reads as it was typed. */
function leftOutAt(typed: string, name: string, at: number): number {
  for (let place = at; place >= 0 && foldKey(name.charAt(place)) === foldKey(name.charAt(at)); place -= 1)
    if (name.slice(0, place) + name.slice(place + 1) === typed) return place;
  return at;
}

function tellEdit(typed: string, printed: string, edit: OneEdit): { how: string; differs: number[] } {
  const { kind, as } = edit;
  const read = typed.charAt(edit.at);
  const at = kind === 'missing' ? leftOutAt(typed, normalForm(printed), edit.at) : edit.at;
  const places = [...printed].flatMap((ch, i) => (normalForm(ch) === '' ? [] : [i]));
  const shown = (count: number) => places.slice(at, at + count);
  const letters = (count: number) =>
    shown(count)
      .map((i) => printed[i])
      .join('');
  switch (kind) {
    case 'wrong':
      return { how: `${read} where it has ${letters(1)}`, differs: shown(1) };
    case 'swapped':
      return { how: `${letters(2)} the other way round`, differs: shown(2) };
    case 'missing':
      return { how: `${letters(as.length)} left out`, differs: shown(1) };
    case 'extra':
      return { how: `one ${read} too many`, differs: shown(1) };
  }
}
