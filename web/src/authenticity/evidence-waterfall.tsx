import type { JudgedPiece } from '@brackenfell/core/authenticity/inspection';
import { BAND_WORDS } from '@brackenfell/core/authenticity/judge-piece';
import { CHANNEL_WORDS } from '@brackenfell/core/authenticity/prior';
import { printChance } from '@brackenfell/core/authenticity/say-conclusion';
import type { Inspection } from '@brackenfell/contract/inspection';
import { KeyButton } from '../controls/key-button.tsx';
import { useSize } from '../drawing/use-size.ts';
import { useSettings } from '../settings/settings.ts';
import { waterfall } from './waterfall-geometry.ts';

interface EvidenceWaterfallProps {
  readonly inspection: Inspection;
  readonly piece: JudgedPiece;
  readonly prior: number;
  readonly channelPrior: number;
  /** The factors instead of what they mean in words. */
  readonly showFigures: boolean;
}

/** At the usual size of letters; all grow with them. */
const ROW = 18;
const HEAD = 32;
const FACTOR = 92;
/** Narrower than this the labels give way to the axis. */
const NARROW = 470;

/** How each observation moved the chance, bar by bar on a log-odds axis, with what the next check would do. */
export function EvidenceWaterfall({ inspection, piece, prior, channelPrior, showFigures }: EvidenceWaterfallProps) {
  const [ref, { widthPx }] = useSize();
  const scale = useSettings().textSize / 100;
  const [rowPx, headPx, factorPx] = [ROW * scale, HEAD * scale, FACTOR * scale];
  const isNarrow = widthPx < NARROW * scale;
  const [label, longest] = isNarrow ? [112, 18] : [168, 28];
  const labelPx = label * scale;
  const axis = Math.max(90, widthPx - labelPx - factorPx);
  const { record, channel } = inspection;
  const drawn = waterfall(piece.judgement, { channel: channelPrior, prior }, axis);
  const next = piece.next[0];
  const bars = drawn.bars.map((bar) =>
    bar.id === 'record'
      ? {
          ...bar,
          title:
            channel === 'returned'
              ? 'Its record: out of sight'
              : `Record: ${record.notGenuine} of ${record.settled} not genuine`,
        }
      : bar,
  );
  const heightPx = headPx + (bars.length + 2 + (next ? 1 : 0)) * rowPx + 4;
  const rowY = (row: number) => headPx + row * rowPx + rowPx / 2;
  const nowRow = bars.length + 1;
  const says = [
    `Begins at ${printChance(channelPrior)} for ${CHANNEL_WORDS[channel]}.`,
    ...bars.map(({ title, factor }) => `${title}: ${factor}.`),
    `Now ${printChance(piece.judgement.chance)}, ${BAND_WORDS[piece.judgement.band]}.`,
  ].join(' ');
  return (
    <section
      ref={ref}
      className="min-h-0 min-w-0 overflow-auto"
      tabIndex={0}
      aria-label={`Evidence on piece ${piece.label}`}
    >
      <h2 className="flex items-baseline gap-2 px-3 pt-1">
        <b className="text-lead font-semibold">Evidence on {piece.label}</b>
        <span className="text-xs text-soft">
          each bar moves the chance; right is toward not genuine;{' '}
          <KeyButton press="s" does="Figures behind the evidence" /> figures
        </span>
      </h2>
      {widthPx > 0 && (
        <svg width={widthPx} height={heightPx} role="img" aria-label={says}>
          <g transform={`translate(${labelPx} 0)`}>
            <rect
              x="0"
              y={headPx}
              width={drawn.consistentTo}
              height={nowRow * rowPx + rowPx}
              className="fill-lichen-wash"
            />
            <rect
              x={drawn.suspectFrom}
              y={headPx}
              width={axis - drawn.suspectFrom}
              height={nowRow * rowPx + rowPx}
              className="fill-madder-wash"
            />
            <text x="2" y={12 * scale} className="fill-lichen text-xs">
              {isNarrow ? 'gen.' : 'consistent'}
            </text>
            {!isNarrow && (
              <text
                x={(drawn.consistentTo + drawn.suspectFrom) / 2}
                y={12 * scale}
                textAnchor="middle"
                className="fill-soft text-xs"
              >
                not proven
              </text>
            )}
            <text x={axis - 2} y={12 * scale} textAnchor="end" className="fill-madder text-xs">
              suspect
            </text>
            {drawn.ticks
              .filter(({ label }) => !isNarrow || ['1', '5', '50', '95'].includes(label))
              .map(({ label, px }) => (
                <g key={label}>
                  <path d={`M${px} ${headPx - 4}V${headPx}`} className="stroke-line" />
                  <text x={px} y={headPx - 6} textAnchor="middle" className="num fill-soft text-[0.6875rem]">
                    {label}
                  </text>
                </g>
              ))}
            <circle cx={drawn.startPx} cy={rowY(0)} r="3.5" className="fill-peat" />
            {bars.map(({ id, fromPx, toPx, towards, capped }, i) => (
              <g key={id}>
                <path d={`M${fromPx} ${rowY(i) + (i === 0 ? 4 : 5)}V${rowY(i + 1) - 5}`} className="stroke-line" />
                {towards === 'neither' ? (
                  <path d={`M${fromPx} ${rowY(i + 1) - 5}v10`} className="stroke-line" strokeWidth="1.4" />
                ) : (
                  <rect
                    x={Math.min(fromPx, toPx)}
                    y={rowY(i + 1) - 5}
                    width={Math.max(1.5, Math.abs(toPx - fromPx))}
                    height="10"
                    className={towards === 'fake' ? 'fill-madder' : 'fill-lichen stroke-lichen'}
                    {...(towards === 'fake' ? {} : { fillOpacity: 0.45, strokeWidth: 1 })}
                  />
                )}
                {capped && (
                  <path
                    d={`M${toPx} ${rowY(i + 1) - 7}v14`}
                    className="stroke-peat"
                    strokeWidth="1.6"
                    strokeDasharray="2 2"
                  />
                )}
              </g>
            ))}
            <path d={`M${drawn.nowPx} ${rowY(nowRow) - 8}v16`} className="stroke-bracken" strokeWidth="2.4" />
            <text
              x={drawn.nowPx + (drawn.nowPx > axis - 60 ? -6 : 6)}
              y={rowY(nowRow) + 4}
              textAnchor={drawn.nowPx > axis - 60 ? 'end' : 'start'}
              className="num fill-peat text-sm font-semibold"
            >
              {printChance(piece.judgement.chance)}
            </text>
            {next && (
              <g className="stroke-bracken" strokeWidth="1.3">
                <path
                  d={`M${drawn.at(next.ifGenuineLike.chance)} ${rowY(nowRow + 1)}H${drawn.at(next.ifDiffers.chance)}`}
                  strokeDasharray="3 3"
                />
                <path
                  d={`M${drawn.at(next.ifGenuineLike.chance)} ${rowY(nowRow + 1) - 4}v8M${drawn.at(next.ifDiffers.chance)} ${rowY(nowRow + 1) - 4}v8`}
                />
              </g>
            )}
          </g>
          <Label longest={longest} y={rowY(0)} text={`Start: ${CHANNEL_WORDS[channel]}`} />
          {bars.map(({ id, title, factor, says: move, capped }, i) => (
            <g key={id}>
              <Label longest={longest} y={rowY(i + 1)} text={title} />
              <text x={widthPx - 4} y={rowY(i + 1) + 4} textAnchor="end" className="num fill-peat text-xs">
                {showFigures
                  ? capped
                    ? factor === '–'
                      ? 'capped'
                      : `${factor} cap`
                    : factor
                  : capped
                    ? `${move}, cap`
                    : move}
              </text>
            </g>
          ))}
          <Label longest={longest} y={rowY(nowRow)} text="Now" strong />
          {next && <Label longest={longest} y={rowY(nowRow + 1)} text={`After ${next.tell.title.toLowerCase()}`} />}
        </svg>
      )}
    </section>
  );
}

interface LabelProps {
  readonly y: number;
  readonly text: string;
  readonly longest: number;
  readonly strong?: boolean;
}

function Label({ y, text, longest, strong = false }: LabelProps) {
  const shown = text.length > longest ? `${text.slice(0, longest - 1)}…` : text;
  return (
    <text x="12" y={y + 4} className={`fill-peat text-xs ${strong ? 'font-semibold' : ''}`}>
      {shown}
      {shown !== text && <title>{text}</title>}
    </text>
  );
}
