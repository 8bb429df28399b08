import { weigh, type EvidenceItem } from './evidence.ts';
import { piecesToInspect } from './judge-piece.ts';

export interface SuggestedInspection {
  /** Chance that the batch is not genuine, before any piece was looked at. */
  readonly chance: number;
  /** Pieces to look at before any is sold; 0 where nothing asks for it. */
  readonly pieces: number;
  readonly says: string;
}

/** Ours: from here on as many pieces are looked at as speak for the batch; from the lower one on, a single piece. */
const LOOK_AT_BATCH_FROM = 0.04;
const LOOK_AT_ONE_FROM = 0.01;

/** How many pieces of an arriving batch to look at, by what its seller's record and its papers say of the risk. */
export function suggestInspection(prior: number, paper: readonly EvidenceItem[], size: number): SuggestedInspection {
  const { chance } = weigh(prior, paper);
  const percent = `${(chance * 100).toFixed(chance < 0.1 ? 1 : 0)}%`;
  const odd = paper.filter(({ logRatio }) => logRatio > 0).map(({ title }) => title.toLowerCase());
  const because = odd.length > 0 ? `${percent} before looking: ${odd.join(', ')}` : `${percent} before looking`;
  if (chance >= LOOK_AT_BATCH_FROM) {
    const pieces = piecesToInspect(size);
    return { chance, pieces, says: `Look at ${pieces} of ${size}: ${because}.` };
  }
  if (chance >= LOOK_AT_ONE_FROM || odd.length > 0) return { chance, pieces: 1, says: `Look at one: ${because}.` };
  return { chance, pieces: 0, says: `Nothing asks for it: ${because}.` };
}
