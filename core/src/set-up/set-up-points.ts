import type { Span } from '../facts/fact-shapes.ts';
import type { Say } from '../fitment/say.ts';
import { commonRange } from '../gap/common-range.ts';
import { gapDesk, type GapAsked, type GapDesk, type GapReading, type PieceOfBox } from '../gap/gap-desk.ts';
import { listed } from '../words/counted.ts';
import type { SetUpFigures } from './told-figures.ts';

/** A line of plugs on a slip, as far as its setting up goes. */
export interface LineToSet {
  readonly quantity: number;
  readonly figures: readonly SetUpFigures[];
  readonly gaps: readonly GapReading[];
}

/** What a box's gaps are held against: the range all its places ask, and what its maker says. */
export function gapAskedOf(figures: readonly SetUpFigures[]): GapAsked {
  const [first] = figures;
  const ranges = figures.map(({ gap }) => rangeOf(gap));
  const known = ranges.filter((range): range is Span => range !== undefined);
  return {
    // A piece may go to any of the places: one that nobody knows the range of leaves it open.
    range: known.length === ranges.length ? commonRange(known) : undefined,
    deliveredMm: first?.gap.deliveredMm ?? undefined,
    toleranceMm: first && !first.gap.isToleranceAssumed ? first.gap.toleranceMm : undefined,
    limitMm: first === undefined || first.gap.limitMm === 'unknown' ? undefined : first.gap.limitMm,
  };
}

/** Sources that disagree: what they have in common counts; nothing in common is not known. */
const rangeOf = ({ range, against }: SetUpFigures['gap']): Span | undefined =>
  range === null ? undefined : commonRange([range, ...against.map((one) => one.range)]);

/** The desk of a line's box. */
export const deskOf = ({ quantity, figures, gaps }: LineToSet): GapDesk =>
  gapDesk(gapAskedOf(figures), quantity, gaps, figures[0]?.gap.preGapped ?? 'verify');

/** Pieces that cannot be brought into the range: they are not handed over. */
export const piecesToReturn = (line: LineToSet): readonly number[] =>
  line.figures.length === 0
    ? []
    : deskOf(line)
        .pieces.filter(({ state }) => state.kind === 'to-return')
        .map(({ piece }) => piece);

/** One thing about setting up that is not settled, or to be done. It is printed with the slip; only a piece to return keeps it. */
export interface SetUpPoint {
  readonly kind: 'to-return' | 'to-set' | 'open' | 'to-measure' | 'box-spread' | 'torque' | 'interval';
  readonly says: string;
}

const plugs = (pieces: readonly number[]): string =>
  `${pieces.length === 1 ? 'Plug' : 'Plugs'} ${listed(pieces.map(String))}`;

function sayPiece({ piece, state }: PieceOfBox, say: Say): SetUpPoint | undefined {
  if (state.kind === 'to-set') {
    const { changeMm, setToMm } = state.move;
    const way = changeMm > 0 ? 'open' : 'close';
    return {
      kind: 'to-set',
      says: `Plug ${piece}: ${way} by ${say.quantity('gap', Math.abs(changeMm))} to ${say.quantity('gap', setToMm)}, then gauge it again.`,
    };
  }
  return undefined;
}

/** Everything that is still to be done or asked about a line's setting up, gravest first. Gap and wear: Desk. */
export function setUpPoints(line: LineToSet, say: Say): readonly SetUpPoint[] {
  if (line.figures.length === 0) return [];
  const { pieces, box, toMeasure } = deskOf(line);
  const points: SetUpPoint[] = [];
  const back = piecesToReturn(line);
  if (back.length > 0)
    points.push({
      kind: 'to-return',
      says: `${plugs(back)} cannot be brought into the range: put another in its place.`,
    });
  points.push(...pieces.flatMap((piece) => sayPiece(piece, say) ?? []));
  const open = pieces.filter(({ state }) => state.kind === 'open');
  if (open.length > 0) {
    const wants = open.some(({ state }) => state.kind === 'open' && state.wants === 'range')
      ? `what the engine asks is not known. ${line.figures.find(({ gap }) => gap.wants)?.gap.wants ?? 'Its sources share nothing: which of them counts here?'}`
      : 'whether it may be set is not known: ask its maker.';
    points.push({ kind: 'open', says: `${plugs(open.map(({ piece }) => piece))} measured, and ${wants}` });
  }
  if (toMeasure.length > 0)
    points.push({
      kind: 'to-measure',
      says:
        toMeasure.length === pieces.length
          ? 'The gap of none is measured yet.'
          : `${plugs(toMeasure)}: the gap is not measured yet.`,
    });
  if (box?.fits === false)
    points.push({
      kind: 'box-spread',
      says: `The gaps of this box lie ${say.quantity('gap', box.spreadMm)} apart, more than ${say.quantity('gap', box.toleranceMm)} either way${box.isToleranceAssumed ? ', as is usual' : ' as its maker says'}: look at its proof.`,
    });
  for (const question of new Set(line.figures.flatMap(({ tightening }) => tightening.questions)))
    points.push({ kind: 'torque', says: question });
  if (line.figures.some(({ interval }) => interval?.outlivesPart))
    points.push({
      kind: 'interval',
      says: 'The engine maker’s interval is longer than this plug lives: due at its own life.',
    });
  return points;
}
