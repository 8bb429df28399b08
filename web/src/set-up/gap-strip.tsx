import { middleOf } from '@brackenfell/core/gap/gap-move';
import type { Say } from '@brackenfell/core/fitment/say';
import type { GapAsked, PieceOfBox } from '@brackenfell/core/gap/gap-desk';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import type { MarkKind } from '../controls/mark-shapes.ts';
import { gapScale, type GapScale } from './gap-geometry.ts';

interface GapStripProps {
  readonly asked: GapAsked;
  readonly pieces: readonly PieceOfBox[];
  /** Labels of the places, by piece; a spare has none. */
  readonly places: readonly string[];
  readonly picked: number;
  readonly toMeasure: readonly number[];
  /** Pieces of which something is written down here and not sent yet. */
  readonly unsent: ReadonlySet<number>;
  readonly say: Say;
  readonly onPick: (piece: number) => void;
}

const MARKS: Readonly<Record<PieceOfBox['state']['kind'], MarkKind>> = {
  'not-measured': 'unknown',
  fits: 'match-small',
  'to-set': 'caution',
  'to-return': 'refuse',
  open: 'unknown',
};

/** What a piece's readings make of it, in a few words. */
export function sayState({ state, beforeMm, afterMm }: PieceOfBox, isAsked: boolean, say: Say): string {
  switch (state.kind) {
    case 'not-measured':
      return isAsked ? 'not measured' : 'as delivered, not asked for';
    case 'fits':
      return state.wasSet && beforeMm !== undefined ? `set from ${say.quantity('gap', beforeMm)}, inside` : 'inside';
    case 'to-set': {
      const { changeMm, setToMm } = state.move;
      return `${changeMm > 0 ? 'open' : 'close'} by ${say.quantity('gap', Math.abs(changeMm))} to ${say.quantity('gap', setToMm)}${state.isAgain ? ', again' : ''}`;
    }
    case 'to-return':
      return state.because === 'past-limit' ? 'past what may be changed: goes back' : 'must not be set: goes back';
    case 'open':
      return state.wants === 'range'
        ? `${say.quantity('gap', afterMm ?? beforeMm!)}, and nothing to hold it against`
        : 'outside, and nobody says whether it may be set';
  }
}

/** Each piece of a box as a tick against the range that is asked, to one scale. */
export function GapStrip({ asked, pieces, places, picked, toMeasure, unsent, say, onPick }: GapStripProps) {
  const { range } = asked;
  const readings = pieces.flatMap(({ beforeMm, afterMm }) => [beforeMm, afterMm].filter((mm) => mm !== undefined));
  const scale = gapScale(range, readings, undefined);
  return (
    <div className="gap-strip">
      <ol aria-label="Plugs of this line" className="contents">
        {pieces.map((piece) => {
          const isAsked = toMeasure.includes(piece.piece);
          const now = piece.afterMm ?? piece.beforeMm;
          const place = places[piece.piece - 1];
          const says = sayState(piece, isAsked, say);
          return (
            <li key={piece.piece} className="contents">
              <button
                type="button"
                className="gap-row"
                aria-pressed={piece.piece === picked}
                onClick={() => onPick(piece.piece)}
              >
                <b className="num font-semibold">{piece.piece}</b>
                <Mark kind={MARKS[piece.state.kind]} rem={0.75} />
                <span className="text-xs text-soft">{place === undefined ? 'spare' : `at ${place}`}</span>
                <PieceTick piece={piece} asked={asked} scale={scale} />
                <span className="num text-right">{now === undefined ? '–' : say.quantity('gap', now)}</span>
                <span className={`text-left ${piece.state.kind === 'to-set' ? 'font-semibold text-gorse' : ''}`}>
                  {says}
                  {unsent.has(piece.piece) && <span className="text-soft"> · kept here, not sent yet</span>}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <Axis scale={scale} range={range} say={say} />
    </div>
  );
}

/** One piece against the range: as delivered, and where it was set to, with the way between. */
function PieceTick({ piece, asked, scale }: { piece: PieceOfBox; asked: GapAsked; scale: GapScale }) {
  const { beforeMm, afterMm, state } = piece;
  const { range } = asked;
  const from = afterMm ?? beforeMm;
  const goesTo = state.kind === 'to-set' ? state.move.setToMm : undefined;
  return (
    <svg viewBox="0 0 100 24" preserveAspectRatio="none" className="h-6 w-full" aria-hidden="true">
      {range && (
        <rect
          x={scale.at(range.low)}
          width={Math.max(0.4, scale.at(range.high) - scale.at(range.low))}
          y="0"
          height="24"
          className="fill-lichen-wash"
        />
      )}
      {range && (
        <path
          d={`M${scale.at(middleOf(range))} 0V24`}
          className="stroke-bracken"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      )}
      <path d="M0 23.5H100" className="stroke-hair" vectorEffect="non-scaling-stroke" />
      {beforeMm !== undefined && afterMm !== undefined && (
        <path
          d={`M${scale.at(beforeMm)} 7V17`}
          className="stroke-line"
          strokeWidth="2"
          strokeDasharray="2 2"
          vectorEffect="non-scaling-stroke"
        />
      )}
      {from !== undefined && goesTo !== undefined && (
        <path
          d={`M${scale.at(from)} 12H${scale.at(goesTo)}`}
          className="stroke-bracken"
          strokeWidth="1.5"
          strokeDasharray="4 2"
          vectorEffect="non-scaling-stroke"
        />
      )}
      {from !== undefined && (
        <path
          d={`M${scale.at(from)} 3V21`}
          className={state.kind === 'to-return' ? 'stroke-madder' : 'stroke-peat'}
          strokeWidth="3"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}

function Axis({ scale, range, say }: { scale: GapScale; range: GapAsked['range']; say: Say }) {
  return (
    <div className="gap-axis" aria-hidden="true">
      <span className="relative col-start-4 block h-4">
        {scale.ticks.map((mm) => (
          <span
            key={mm}
            className="num absolute -translate-x-1/2 text-xs text-soft"
            style={{ left: `${scale.at(mm)}%` }}
          >
            {mm.toFixed(1)}
          </span>
        ))}
      </span>
      <span className="col-span-2 text-xs text-soft">
        mm{range && `, shaded ${say.span('gap', range)}`} <Key>j</Key> <Key>k</Key>
      </span>
    </div>
  );
}
