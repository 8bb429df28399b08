import { listed, wordFor } from '../words/counted.ts';
import { oddOneOut } from '../fitted-set/odd-one-out.ts';

/** What is known of one piece of a set; undefined where it was not read. */
export interface SetPiece {
  readonly label: string;
  readonly number?: string | undefined;
  readonly maker?: string | undefined;
  readonly revision?: string | undefined;
  readonly batch?: string | undefined;
}

export interface SetFinding {
  readonly what: 'number' | 'maker' | 'revision' | 'batch' | 'count' | 'unread';
  /** A mixed set must not leave as one; a second batch is only told. */
  readonly blocks: boolean;
  readonly odd: readonly string[];
  readonly says: string;
}

const KINDS = [
  { what: 'number', blocks: true, word: 'number' },
  { what: 'maker', blocks: true, word: 'maker' },
  { what: 'revision', blocks: true, word: 'revision' },
  { what: 'batch', blocks: false, word: 'batch' },
] as const;

/**
 * Whether a set is whole: as many pieces as asked, all of one number, maker and revision, preferably of one batch. `asked`
 * is left out where nobody said how many are needed. Proof: Set integrity.
 */
export function setIntegrity(pieces: readonly SetPiece[], asked?: number): SetFinding[] {
  const findings: SetFinding[] = [];
  if (asked !== undefined && pieces.length < asked)
    findings.push({
      what: 'count',
      blocks: false,
      odd: [],
      says: `${pieces.length} of the ${asked} asked are here.`,
    });
  for (const { what, blocks, word } of KINDS) {
    const { usual, odd, missing } = oddOneOut(pieces.map((piece) => ({ label: piece.label, part: piece[what] })));
    // What was read of some and not of others makes no set whole.
    if (blocks && missing.length > 0 && missing.length < pieces.length)
      findings.push({
        what: 'unread',
        blocks: false,
        odd: missing,
        says: `The ${word} of ${wordFor(missing.length, 'piece')} ${listed(missing.map(String))} is not known: whether the set is one stays open.`,
      });
    if (odd.length === 0) continue;
    const list = `${wordFor(odd.length, 'Piece')} ${listed(odd.map(String))} ${wordFor(odd.length, 'is', 'are')}`;
    findings.push({
      what,
      blocks,
      odd,
      says: usual === undefined ? `No ${word} is shared by most of them.` : `${list} of another ${word} than ${usual}.`,
    });
  }
  return findings;
}

/** A line of a delivery, as ordered and as it came. */
export interface DeliveredLine {
  readonly orderedUnder: string;
  readonly printed: string;
  readonly maker: string;
}

/** OE numbers of a delivery that were filled with parts of several makers: sets sold under them may be mixed. */
export function mixedUnderOneNumber(lines: readonly DeliveredLine[]): { orderedUnder: string; makers: string[] }[] {
  const makers = new Map<string, Set<string>>();
  for (const { orderedUnder, maker } of lines) {
    if (orderedUnder === '') continue;
    makers.set(orderedUnder, (makers.get(orderedUnder) ?? new Set()).add(maker));
  }
  return [...makers]
    .filter(([, found]) => found.size > 1)
    .map(([orderedUnder, found]) => ({ orderedUnder, makers: [...found].sort() }));
}
