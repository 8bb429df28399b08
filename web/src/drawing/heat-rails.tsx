import { scaleLinear } from 'd3-scale';
import { memo, useMemo } from 'react';
import type { DrawingOf } from '@brackenfell/contract/tray';

const WIDTH = 218;
const HEIGHT = 210;
const TOP = 40;
const LEFT = 26;
/** Room beyond the last rail for its codes and its maker's name. */
const RIGHT = 42;

interface HeatRailsProps {
  readonly heat: DrawingOf<'plug'>['heat'];
  readonly maker: string | undefined;
  readonly bar: number | null;
  readonly code: string | null;
  readonly outcome: string;
}

/** More rails than this cannot be told apart. */
const MOST_RAILS = 4;
/** Longer names do not fit side by side: they stand in two rows by turns. */
const LONG_NAME = 9;

/** The rails shown: the asked maker's, the picked plug's, and the first of the others. */
function chooseRails(heat: DrawingOf<'plug'>['heat'], picked: string | undefined): DrawingOf<'plug'>['heat'] {
  const first = heat.rails.filter(({ maker }) => maker === heat.requiredMaker || maker === picked);
  const others = heat.rails.filter((rail) => !first.includes(rail)).slice(0, MOST_RAILS - first.length);
  return { ...heat, rails: heat.rails.filter((rail) => first.includes(rail) || others.includes(rail)) };
}

const railX = (rails: number, i: number): number => LEFT + 14 + (i * (WIDTH - LEFT - RIGHT)) / Math.max(1, rails - 1);

/** Hot at the top; room either side of the outermost ratings for a plug past the scale's end. */
const heightOf = (heat: DrawingOf<'plug'>['heat']) => {
  const all = [
    ...heat.rails.flatMap((rail) => rail.ratings.map((r) => r.indexBar)),
    ...[heat.targetHighBar, heat.other?.highBar].filter((bar) => typeof bar === 'number'),
  ];
  return scaleLinear([Math.min(...all) - 0.4, Math.max(...all) + 0.4], [TOP, HEIGHT - 6]).clamp(true);
};

/** Every maker's scale side by side on the common heat index: hot at the top, whichever way its numbers run. */
export function HeatRails({ heat: all, maker, bar, code, outcome }: HeatRailsProps) {
  const usual = useMemo(() => chooseRails(all, undefined), [all]);
  // The usual ones stay as they are while one moves; only a maker without a rail among them takes a place.
  const heat = useMemo(
    () => (maker === undefined || usual.rails.some((rail) => rail.maker === maker) ? usual : chooseRails(all, maker)),
    [all, usual, maker],
  );
  const y = useMemo(() => heightOf(heat), [heat]);
  const at = heat.rails.findIndex((rail) => rail.maker === maker);
  const said = [
    `Heat scales of ${heat.rails.map((rail) => rail.maker).join(', ')} on one index in bar.`,
    heat.requiredBar.length > 0
      ? `Asked: ${heat.requiredBar.map((b) => b.toFixed(1)).join(', ')} bar.`
      : 'The asked heat is not known.',
    heat.targetLowBar !== null && heat.targetHighBar !== null
      ? `Target by the shop’s rule: ${heat.targetLowBar.toFixed(1)} to ${heat.targetHighBar.toFixed(1)} bar.`
      : '',
    heat.other
      ? `The other school, ${heat.other.school.toLowerCase()}: ${heat.other.lowBar.toFixed(1)} to ${heat.other.highBar.toFixed(1)} bar.`
      : '',
    bar === null
      ? 'The heat of the plug picked is not known.'
      : `Picked: ${maker ?? ''} ${code ?? ''}, ${bar.toFixed(1)} bar: ${outcome}.`,
  ]
    .filter(Boolean)
    .join(' ');
  return (
    <section aria-label="Heat" className="flex-none border-t border-line px-2 pt-1.5 pb-1">
      <h3 className="flex gap-3 px-1 text-xs">
        <b className="font-semibold">Heat</b>
        <span className="text-soft">▸ picked</span>
        <span className="text-soft">- - asked, ± ½ step{heat.other ? '; dotted: other school' : ''}</span>
      </h3>
      <svg
        style={{ width: `${WIDTH / 16}rem` }}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={said}
        className="block max-w-full"
      >
        <Scales heat={heat} />
        {at >= 0 && bar !== null && (
          <path d={`M${railX(heat.rails.length, at) - 15} ${y(bar) - 5}l10 5l-10 5z`} className="fill-bracken" />
        )}
      </svg>
    </section>
  );
}

/** What stays while one moves through the tray. */
const Scales = memo(function Scales({ heat }: { heat: DrawingOf<'plug'>['heat'] }) {
  const y = heightOf(heat);
  const { targetLowBar: low, targetHighBar: high } = heat;
  const isCrowded = heat.rails.some(({ maker }) => maker.split(' & ').some((name) => name.length > LONG_NAME));
  const namesOver = (maker: string) => (isCrowded ? [maker] : maker.split(' & '));
  const ticks = y.ticks(8).filter((tick) => Number.isInteger(tick));
  return (
    <>
      {ticks.map((tick) => (
        <g key={tick}>
          <path d={`M${LEFT} ${y(tick)}H${WIDTH}`} className="stroke-grid" />
          <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="num fill-slate" fontSize="12">
            {tick}
          </text>
        </g>
      ))}
      {/* Over its figures, under the makers' names; which way is hot stands beyond the last rail. */}
      <text x={LEFT - 6} y={TOP - 7} textAnchor="end" className="fill-slate" fontSize="12">
        bar
      </text>
      {[
        { word: 'hot', at: TOP - 1 },
        { word: 'cold', at: HEIGHT - 6 },
      ].map(({ word, at }) => (
        <text key={word} x={WIDTH} y={at} textAnchor="end" className="fill-slate" fontSize="12">
          {word}
        </text>
      ))}
      {low !== null && high !== null && (
        <rect x={LEFT} y={y(low)} width={WIDTH - LEFT} height={y(high) - y(low)} className="fill-lichen-wash" />
      )}
      {heat.other && (
        <rect
          x={LEFT}
          y={y(heat.other.lowBar)}
          width={WIDTH - LEFT}
          height={y(heat.other.highBar) - y(heat.other.lowBar)}
          fill="none"
          className="stroke-gorse"
          strokeDasharray="3 3"
        />
      )}
      {heat.requiredBar.map((required) => (
        <path
          key={required}
          d={`M${LEFT} ${y(required)}H${WIDTH}`}
          className="stroke-peat"
          strokeWidth="1.2"
          strokeDasharray="5 2.5"
        />
      ))}
      {heat.rails.map((rail, i) => {
        const x = railX(heat.rails.length, i);
        const isFirstOfLong = isCrowded && i === 0;
        return (
          <g key={rail.maker}>
            {namesOver(rail.maker).map((word, w, words) => (
              <text
                key={word}
                x={isFirstOfLong ? 0 : x}
                y={isCrowded ? 22 - (i % 2) * 13 : (words.length > 1 ? 12 : 25) + w * 13}
                textAnchor={isFirstOfLong ? 'start' : 'middle'}
                className="fill-slate"
                fontSize="12"
              >
                {w > 0 ? `& ${word}` : word}
              </text>
            ))}
            <path d={`M${x} ${TOP - 4}V${HEIGHT - 4}`} className="stroke-slate" />
            {rail.ratings.map(({ code: rating, indexBar }) => (
              <g key={rating}>
                <path d={`M${x - 4} ${y(indexBar)}H${x + 4}`} className="stroke-slate" strokeWidth="1.3" />
                <text x={x + 7} y={y(indexBar) + 4} className="num fill-slate" fontSize="12">
                  {rating}
                </text>
              </g>
            ))}
          </g>
        );
      })}
    </>
  );
});
