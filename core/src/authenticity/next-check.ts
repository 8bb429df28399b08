import type { EvidenceItem } from './evidence.ts';
import { judgePiece, type Band } from './judge-piece.ts';
import { logRatioOf, type Tell, type TellAnswer } from './tell.ts';

/** A tell's answer as evidence. */
export function itemOf(tell: Tell, answer: TellAnswer): EvidenceItem {
  const { id, title, group, aspect } = tell;
  return { id, title, group, aspect, logRatio: logRatioOf(tell, answer), unseen: answer === 'cannot-see' };
}

/** Uncertainty of a chance, in bits: 1 at even odds, 0 when sure. */
export function entropyBits(chance: number): number {
  if (chance <= 0 || chance >= 1) return 0;
  return -(chance * Math.log2(chance) + (1 - chance) * Math.log2(1 - chance));
}

export interface Outlook {
  readonly chance: number;
  readonly band: Band;
}

export interface NextCheck {
  readonly tell: Tell;
  /** Expected drop in uncertainty, bits. */
  readonly dropBits: number;
  readonly dropBitsPerMinute: number;
  readonly ifGenuineLike: Outlook;
  readonly ifDiffers: Outlook;
}

/**
 * Tells not yet looked at, the one first that is expected to clear most doubt per minute of work: the drop in entropy over
 * both answers, times the chance that it can be seen. What is already capped clears nothing. Proof: Next best check.
 */
export function nextChecks(prior: number, seen: readonly EvidenceItem[], open: readonly Tell[]): NextCheck[] {
  const now = judgePiece(prior, seen);
  return open
    .map((tell): NextCheck => {
      const after = (answer: TellAnswer) => judgePiece(prior, [...seen, itemOf(tell, answer)]);
      const [alike, differs] = [after('genuine-like'), after('differs')];
      const pDiffers = now.chance * tell.differs.ifFake + (1 - now.chance) * tell.differs.ifGenuine;
      const expected = pDiffers * entropyBits(differs.chance) + (1 - pDiffers) * entropyBits(alike.chance);
      const dropBits = Math.max(0, (entropyBits(now.chance) - expected) * tell.seen);
      return {
        tell,
        dropBits,
        dropBitsPerMinute: dropBits / tell.minutes,
        ifGenuineLike: { chance: alike.chance, band: alike.band },
        ifDiffers: { chance: differs.chance, band: differs.band },
      };
    })
    .sort((a, b) => b.dropBitsPerMinute - a.dropBitsPerMinute);
}
