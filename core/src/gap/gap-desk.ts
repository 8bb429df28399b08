import type { Span } from '../facts/fact-shapes.ts';
import { inside } from '../fitment/tolerance.ts';
import { boxSpread } from './box-spread.ts';
import { gapMove, type GapMove } from './gap-move.ts';

/** Stands in for a tolerance the maker does not publish, mm. Gap and wear: Box statistics. */
export const UNPUBLISHED_TOLERANCE_MM = 0.05;

/** Before anything was done to a piece, or after it was set. */
export const GAP_STAGES = ['before', 'after'] as const;
export type GapStage = (typeof GAP_STAGES)[number];

/** One reading of one piece of a box, numbered from one. */
export interface GapReading {
  readonly piece: number;
  readonly stage: GapStage;
  readonly gapMm: number;
}

/** What is asked of a piece's gap, mm, and what its maker says of it. */
export interface GapAsked {
  /** Undefined where nobody says: a reading is kept and the piece stays open. */
  readonly range: Span | undefined;
  readonly deliveredMm?: number | undefined;
  readonly toleranceMm?: number | undefined;
  /** Most that may be changed from delivered; null where it must not be set, undefined where nobody says. */
  readonly limitMm?: number | null | undefined;
}

export type PieceState =
  | { readonly kind: 'not-measured' }
  /** Inside as delivered, or after it was set. */
  | { readonly kind: 'fits'; readonly wasSet: boolean }
  | { readonly kind: 'to-set'; readonly move: Extract<GapMove, { kind: 'set' }>; readonly isAgain: boolean }
  /** It cannot be brought into the range. */
  | { readonly kind: 'to-return'; readonly because: 'past-limit' | 'not-adjustable' }
  /** Measured, and nothing to hold it against; or nobody says whether it may be set. */
  | { readonly kind: 'open'; readonly wants: 'range' | 'limit' };

export interface PieceOfBox {
  readonly piece: number;
  readonly beforeMm: number | undefined;
  readonly afterMm: number | undefined;
  readonly state: PieceState;
}

/** What the shop does about plugs sold as pre-gapped. */
export type PreGapped = 'verify' | 'sample' | 'trust';

export interface BoxStatistics {
  readonly count: number;
  readonly meanMm: number;
  /** Largest less smallest, of those that were not set aside. */
  readonly spreadMm: number;
  readonly setAsideMm: number | null;
  readonly toleranceMm: number;
  readonly isToleranceAssumed: boolean;
  /** Within its maker's tolerance; undefined until all are read, and where the delivered gap is not published. */
  readonly fits: boolean | undefined;
}

export interface GapDesk {
  readonly pieces: readonly PieceOfBox[];
  readonly box: BoxStatistics | undefined;
  /** Pieces that the shop's rule still asks to be measured. */
  readonly toMeasure: readonly number[];
}

const SAMPLED_ONE_IN = 4;
/** In a box of four or more, one reading may be off: it may have been dropped. Gap and wear: Desk. */
const LEAST_FOR_ONE_OFF = 4;

/** Where a piece is to be set from where it stands now; what may be changed counts from how it was delivered. */
function stateOf(beforeMm: number | undefined, afterMm: number | undefined, asked: GapAsked): PieceState {
  const nowMm = afterMm ?? beforeMm;
  if (nowMm === undefined) return { kind: 'not-measured' };
  if (asked.range === undefined) return { kind: 'open', wants: 'range' };
  const deliveredMm = beforeMm ?? nowMm;
  const fromDelivered = asked.limitMm === undefined ? undefined : gapMove(deliveredMm, asked.range, asked.limitMm);
  // Bent into the range for all that: it was changed by more than its maker allows.
  if (fromDelivered?.kind === 'past-limit' || fromDelivered?.kind === 'not-adjustable')
    return { kind: 'to-return', because: fromDelivered.kind };
  if (inside(nowMm, asked.range)) return { kind: 'fits', wasSet: afterMm !== undefined };
  if (fromDelivered === undefined) return { kind: 'open', wants: 'limit' };
  // Inside as delivered and outside now: it goes back to where it was.
  const setToMm = fromDelivered.kind === 'set' ? fromDelivered.setToMm : deliveredMm;
  const usesShare = fromDelivered.kind === 'set' ? fromDelivered.usesShare : 0;
  const changeMm = Number((setToMm - nowMm).toFixed(6));
  return { kind: 'to-set', move: { kind: 'set', setToMm, changeMm, usesShare }, isAgain: afterMm !== undefined };
}

/** How the gaps of a box lie, as delivered. Undefined until two were read. Gap and wear: Box statistics. */
export function boxStatistics(
  gapsMm: readonly number[],
  asked: GapAsked,
  /** How many the box holds; told of once all are read, or sooner where too many are off already. */
  boxOf = gapsMm.length,
): BoxStatistics | undefined {
  const toleranceMm = asked.toleranceMm ?? UNPUBLISHED_TOLERANCE_MM;
  const spread = boxSpread(gapsMm, toleranceMm * 2);
  if (!spread) return undefined;
  const { deliveredMm } = asked;
  const off =
    deliveredMm === undefined
      ? undefined
      : gapsMm.filter((mm) => !inside(mm, { low: deliveredMm - toleranceMm, high: deliveredMm + toleranceMm })).length;
  return {
    count: gapsMm.length,
    meanMm: gapsMm.reduce((sum, mm) => sum + mm, 0) / gapsMm.length,
    spreadMm: Number((spread.high - spread.low).toFixed(6)),
    setAsideMm: spread.setAside,
    toleranceMm,
    isToleranceAssumed: asked.toleranceMm === undefined,
    fits:
      off === undefined
        ? undefined
        : off > (boxOf >= LEAST_FOR_ONE_OFF ? 1 : 0)
          ? false
          : gapsMm.length >= boxOf
            ? true
            : undefined,
  };
}

/** Which pieces the shop's rule still asks for: each, one in four and all when one is outside, or none. */
function stillToMeasure(pieces: readonly PieceOfBox[], school: PreGapped): number[] {
  const open = pieces.filter(({ state }) => state.kind === 'not-measured').map(({ piece }) => piece);
  if (school === 'verify') return open;
  const measured = pieces.length - open.length;
  const oneIsOut = pieces.some(({ state }) => state.kind === 'to-set' || state.kind === 'to-return');
  const oneWasSet = pieces.some(({ state }) => state.kind === 'fits' && state.wasSet);
  if (oneIsOut || oneWasSet) return open;
  if (school === 'trust') return [];
  return open.slice(0, Math.max(0, Math.ceil(pieces.length / SAMPLED_ONE_IN) - measured));
}

/**
 * Every piece of a box on the desk: what its last readings make of it, how the box lies, and what is still to be measured.
 * The last reading of a piece at a stage counts. Gap and wear: Desk.
 */
export function gapDesk(
  asked: GapAsked,
  quantity: number,
  readings: readonly GapReading[],
  school: PreGapped,
): GapDesk {
  const last = (piece: number, stage: GapStage) =>
    readings.filter((one) => one.piece === piece && one.stage === stage).at(-1)?.gapMm;
  const pieces = Array.from({ length: quantity }, (_, i): PieceOfBox => {
    const [beforeMm, afterMm] = [last(i + 1, 'before'), last(i + 1, 'after')];
    return { piece: i + 1, beforeMm, afterMm, state: stateOf(beforeMm, afterMm, asked) };
  });
  return {
    pieces,
    box: boxStatistics(
      pieces.flatMap(({ beforeMm }) => beforeMm ?? []),
      asked,
      quantity,
    ),
    toMeasure: stillToMeasure(pieces, school),
  };
}
