import { listed } from '@brackenfell/core/words/counted';
import { tellMatch, type AskedNumber, type NameMatch } from '@brackenfell/core/part-numbers/match-name';
import type { Succession as Followed } from '@brackenfell/core/interchange/supersession';
import type { PartAnswer, Succession } from '@brackenfell/contract/ask';
import type { FoundName } from './name-store.ts';
import type { PartDetail } from './store.ts';

export interface NamedPart {
  readonly id: string;
  readonly printed: string;
  readonly kind: string;
}

/** Where a number leads, in words for the person at the counter; null when it stands today. */
export function tellSuccession(followed: Followed, named: ReadonlyMap<string, NamedPart>): Succession | null {
  const printed = (id: string) => named.get(id)?.printed ?? id;
  const target = (id: string, condition: string | null = null) => ({ partId: id, printed: printed(id), condition });
  switch (followed.kind) {
    case 'current':
      return null;
    case 'replaced': {
      if (named.get(followed.by)?.kind === 'unheld')
        return {
          kind: 'dangling',
          says: `superseded by ${printed(followed.by)}, which no catalogue here holds: ask the maker`,
          to: [],
        };
      const through = followed.chain.slice(0, -1).map(printed);
      return {
        kind: 'replaced',
        says: `superseded by ${printed(followed.by)}${through.length > 0 ? ` (through ${through.join(', ')})` : ''}`,
        to: [target(followed.by)],
      };
    }
    case 'split':
      return {
        kind: 'split',
        says: followed.decided
          ? `replaced by several: ${followed.into.map(({ id, condition }) => `${printed(id)} ${condition ?? ''}`.trim()).join('; ')}. Which is it?`
          : `replaced by ${listed(followed.into.map(({ id }) => printed(id)))}, and nobody says for which engine: ask first`,
        to: followed.into.map(({ id, condition }) => target(id, condition)),
      };
    case 'loop':
      return {
        kind: 'loop',
        says: `its supersession goes round in a ring: ${[...followed.ring, followed.ring[0]!].map(printed).join(' → ')}. Ask the maker which stands`,
        to: followed.ring.map((id) => target(id)),
      };
  }
}

/** How a number was found, in words a customer could be told. */
export function partAnswer(
  asked: AskedNumber,
  name: FoundName,
  match: NameMatch,
  detail: PartDetail,
  succession: Succession | null,
): PartAnswer {
  return {
    partId: detail.id,
    kind: detail.kind,
    number: detail.number,
    printed: name.printed,
    maker: detail.maker,
    nameKind: name.kind,
    stage: match.stage,
    ...tellMatch(asked, name.printed, match),
    sharedBy: detail.shared_by,
    suitsEngine: detail.suits_engine,
    onHand: detail.on_hand,
    priceMinor: detail.each_minor,
    succession,
  };
}

/** A suggestion while somebody types: what the name alone tells. */
export function suggestion(
  asked: AskedNumber,
  name: FoundName,
  match: NameMatch,
  maker: string,
  kind: PartAnswer['kind'],
  sharedBy: number,
): PartAnswer {
  return {
    partId: name.partId,
    kind,
    number: name.printed,
    printed: name.printed,
    maker,
    nameKind: name.kind,
    stage: match.stage,
    ...tellMatch(asked, name.printed, match),
    sharedBy,
    suitsEngine: null,
    onHand: null,
    priceMinor: null,
    succession: null,
  };
}

export const yearsOf = (from: number, to: number | null): string => (to === null ? `${from} on` : `${from}–${to}`);
