import { readDifferences } from '@brackenfell/core/part-numbers/fold-key';
import type { PartAnswer } from '@brackenfell/contract/ask';
import type { NameHit } from './store.ts';

/** How a number was found, in words a customer could be told. */
export function partAnswer(question: string, hit: NameHit): PartAnswer {
  const differences = hit.stage === 'exact' ? [] : readDifferences(question, hit.printed);
  const readings = [...new Set(differences.map(({ read, as }) => `read ${read} as ${as}`))];
  const how = [...readings, ...(hit.stage === 'prefix' ? ['the number goes on'] : [])].join(', ');
  return {
    partId: hit.part_id,
    number: hit.number,
    printed: hit.printed,
    maker: hit.maker,
    nameKind: hit.name_kind,
    stage: hit.stage,
    how,
    differs: differences.map(({ printedIndex }) => printedIndex),
    sharedBy: hit.shared_by,
    isOeNumber: hit.part_kind === 'oe-number',
    onHand: hit.on_hand,
    priceMinor: hit.each_minor,
    replacedBy: hit.replaced_by,
  };
}

export const yearsOf = (from: number, to: number | null): string => (to === null ? `${from} on` : `${from}–${to}`);
