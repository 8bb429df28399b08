import type { LineStanding } from '../slip/open-matters.ts';

/** A line that nothing keeps from being collected: judged, told, and on the shelf. */
export const SOUND_LINE: LineStanding = {
  lineId: '1',
  partId: '7',
  printed: 'KN 419G-63DR',
  kind: 'sale',
  quantity: 4,
  isSundry: false,
  heldByReading: null,
  verdict: 'sell',
  isReleased: false,
  questions: [],
  batch: null,
  heldOnShelf: 0,
  keptForOthers: 0,
  piecesToReturn: [],
  onHand: 4,
};
