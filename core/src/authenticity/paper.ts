import type { BatchCodeReading } from './batch-code.ts';
import type { EvidenceItem } from './evidence.ts';
import type { PriceReading } from './price.ts';

/** What is known of a batch from paper alone. */
export interface PaperTrail {
  /** Undefined where no code was read or the maker has no scheme here. */
  readonly code: BatchCodeReading | undefined;
  /** Printed numbers of other parts on which the same code was seen. */
  readonly otherNumbers: readonly string[];
  /** Sellers over which the code was seen, this one included. */
  readonly sellers: number;
  readonly price: PriceReading | undefined;
  /** When this packaging began and ended, YYYY-MM-DD; null where it still is, or is not known. */
  readonly packaging: { readonly from: string | null; readonly to: string | null } | undefined;
}

/** One code over this many sellers is suspicious. Proof: Batch codes. */
export const MANY_SELLERS = 4;

/**
 * Chances of each oddity on genuine and on fake goods: our own estimates, to be replaced by a shop's settled batches. The
 * cap of ×3 on the whole group makes their exact size matter little.
 */
const ODDS = {
  'code reads': { ifGenuine: 0.95, ifFake: 0.7 },
  'not of the scheme': { ifGenuine: 0.04, ifFake: 0.2 },
  'impossible date': { ifGenuine: 0.005, ifFake: 0.1 },
  'future date': { ifGenuine: 0.005, ifFake: 0.05 },
  'outside its packaging': { ifGenuine: 0.02, ifFake: 0.15 },
  'other number': { ifGenuine: 0.02, ifFake: 0.2 },
  'many sellers': { ifGenuine: 0.05, ifFake: 0.3 },
  'price far below': { ifGenuine: 0.03, ifFake: 0.4 },
  'price usual': { ifGenuine: 0.97, ifFake: 0.6 },
} as const;

export interface PaperItem extends EvidenceItem {
  readonly says: string;
}

/** Price and batch code as evidence: one group, whose cap is ×3 either way. */
export function paperItems({ code, otherNumbers, sellers, price, packaging }: PaperTrail): PaperItem[] {
  const items: PaperItem[] = [];
  const add = (what: keyof typeof ODDS, title: string, says: string) => {
    const { ifGenuine, ifFake } = ODDS[what];
    items.push({ id: what, title, group: 'paper', aspect: 'paper', logRatio: Math.log(ifFake / ifGenuine), says });
  };
  switch (code?.kind) {
    case 'not-of-this-scheme':
      add('not of the scheme', 'Batch code of no scheme', `Not how it is written: ${code.scheme}.`);
      break;
    case 'impossible':
      add('impossible date', 'Batch code: no such date', code.why);
      break;
    case 'future':
      add('future date', 'Batch code: in the future', `It would be made from ${code.from} on.`);
      break;
    case 'read': {
      const early = packaging?.from != null && code.to < packaging.from;
      const late = packaging?.to != null && code.from > packaging.to;
      if (early || late)
        add(
          'outside its packaging',
          'Batch code and packaging disagree',
          `Made ${code.from}; this packaging ${early ? `came in ${packaging.from}` : `ended ${packaging.to!}`}.`,
        );
      else
        add(
          'code reads',
          'Batch code possible',
          `Made ${code.from === code.to ? code.from : `${code.from} to ${code.to}`}.`,
        );
      break;
    }
    case undefined:
  }
  if (otherNumbers.length > 0)
    add('other number', 'Batch code seen on another number', `Also on ${otherNumbers.slice(0, 3).join(', ')}.`);
  if (sellers >= MANY_SELLERS)
    add('many sellers', `One code over ${sellers} sellers`, 'A production batch seldom reaches so many.');
  if (price?.kind === 'far-below')
    add(
      'price far below',
      `Price ${Math.round(price.below! * 100)}% under usual`,
      `Far outside what this part usually costs the shop (${Math.abs(price.robustZ!).toFixed(0)} times its usual scatter).`,
    );
  if (price?.kind === 'usual') add('price usual', 'Price as usual', 'Within what this part costs the shop.');
  return items;
}
