import { scaleLinear } from 'd3-scale';
import type { FittedRecord, GarageVehicle } from '@brackenfell/contract/garage';
import type { Say } from '@brackenfell/core/fitment/say';
import { sayRun, wearKm } from '@brackenfell/core/garage/say-due';
import { grownMm, WORN_PAST_MM } from '@brackenfell/core/wear/growth';
import { useSize } from '../drawing/use-size.ts';

const [LEFT, RIGHT, ROW, GAP_HEIGHT] = [92, 12, 24, 132] as const;

/** How a gap stood: when fitted, or on the day it was read. */
interface GapPoint {
  readonly served: number;
  readonly lowMm: number;
  readonly highMm: number;
}

const gapOf = ({ served, gaps }: FittedRecord): GapPoint | undefined =>
  served === null || gaps.length === 0
    ? undefined
    : {
        served,
        lowMm: Math.min(...gaps.map(({ gapMm }) => gapMm)),
        highMm: Math.max(...gaps.map(({ gapMm }) => gapMm)),
      };

/** What sat where and since when, and under it the gap as it was set and as it is expected to grow, to one scale of distance. */
export function HistoryChart({ vehicle, say }: { readonly vehicle: GarageVehicle; readonly say: Say }) {
  const [pane, { widthPx }] = useSize();
  const { fitted, servedNow, dues, countsIn, growthMm } = vehicle;
  const placed = fitted.filter((record) => record.served !== null);
  if (placed.length === 0 || !servedNow)
    return (
      <p className="text-soft">
        Drawn once something is fitted at a known distance: read the vehicle on the day of the sale, or write a record.
      </p>
    );
  const now = servedNow.served;
  const ends = dues.flatMap(({ at }) => (at === null ? [] : [at]));
  const far = Math.max(now, ...ends, ...placed.map(({ served }) => served!)) * 1.02;
  const first = Math.min(...placed.map(({ served }) => served!), now);
  const from = Math.max(0, first - (far - first) * 0.08);
  const x = scaleLinear([from, far], [LEFT, Math.max(LEFT + 60, widthPx - RIGHT)]);
  const run = (served: number) => sayRun(served, countsIn, say);
  const rows = [...new Map(placed.map((record) => [`${record.partKind} ${record.places.join()}`, record])).values()];
  const gapTop = rows.length * ROW + 54;
  const plugs = placed.filter(({ partKind }) => partKind === 'plug');
  const current = plugs.find(({ isCurrent }) => isCurrent);
  const asked = current?.askedMm ?? null;
  const set = current && gapOf(current);
  const before = plugs.flatMap((record) => (record === current ? [] : (gapOf(record) ?? [])));
  const dueAt = ends[0];
  const grown =
    set && growthMm !== null && dueAt !== undefined
      ? { served: dueAt, mm: set.highMm + grownMm(wearKm(dueAt - set.served, countsIn), growthMm) }
      : undefined;
  const wornMm = asked ? asked.high + WORN_PAST_MM : undefined;
  const all = [asked?.low, wornMm, set?.lowMm, grown?.mm].filter((mm) => mm !== undefined);
  const y = scaleLinear([Math.min(...all) - 0.05, Math.max(...all) + 0.05], [gapTop + GAP_HEIGHT, gapTop + 8]);
  const hasGaps = asked !== null;
  const height = hasGaps ? gapTop + GAP_HEIGHT + 26 : gapTop;
  const axisY = hasGaps ? gapTop + GAP_HEIGHT : gapTop - 18;
  const says = [
    ...placed.map((record) => `${record.quantity} ${record.printed} at ${run(record.served!)}`),
    `now ${run(now)}`,
    ...(dueAt === undefined ? [] : [`due at ${run(dueAt)}`]),
    ...(set ? [`gap set to ${say.quantity('gap', set.highMm)}`] : []),
    ...(grown ? [`about ${say.quantity('gap', grown.mm)} by then`] : []),
    ...(wornMm === undefined ? [] : [`worn out at ${say.quantity('gap', wornMm)}`]),
  ].join('; ');
  return (
    <div ref={pane} className="w-full">
      <svg role="img" aria-label={`History and wear. ${says}.`} width={widthPx} height={height} className="block">
        {rows.map((row, i) => {
          const same = placed.filter(
            (record) => record.partKind === row.partKind && record.places.join() === row.places.join(),
          );
          const top = 34 + i * ROW;
          return (
            <g key={`${row.partKind} ${row.places.join()}`}>
              <text x={0} y={top + 13} className="fill-peat text-xs">
                {row.partKind}
                {row.places.length > 0 && row.places.length < 3 ? ` ${row.places.join(', ')}` : ''}
              </text>
              {same.map((record) => {
                const next = same.find(({ served }) => served! > record.served!)?.served ?? now;
                const [a, b] = [x(record.served!), x(Math.max(record.served!, next))];
                return (
                  <g key={record.fittedId}>
                    <rect
                      x={a}
                      y={top}
                      width={Math.max(2, b - a)}
                      height={16}
                      className="fill-well stroke-slate"
                      strokeDasharray={record.how === 'said' ? '3 2' : undefined}
                    />
                    {b - a > 84 && (
                      <text x={a + 4} y={top + 12} className="num fill-peat text-xs">
                        {record.printed}
                      </text>
                    )}
                  </g>
                );
              })}
            </g>
          );
        })}
        {dueAt !== undefined && (
          <>
            <path d={`M${x(dueAt)} 14V${axisY}`} className="stroke-peat" strokeDasharray="2 3" />
            <text x={x(dueAt)} y={11} textAnchor="end" className="fill-peat text-xs">
              due {run(dueAt)}
            </text>
          </>
        )}
        <path d={`M${x(now)} 28V${axisY}`} className="stroke-bracken" strokeWidth={2} />
        <text x={x(now)} y={24} textAnchor={x(now) > widthPx * 0.55 ? 'end' : 'start'} className="fill-bracken text-xs">
          now {run(now)}
        </text>
        {hasGaps && (
          <g>
            <text x={0} y={gapTop + 14} className="fill-peat text-xs">
              Gap, mm
            </text>
            <rect
              x={LEFT}
              y={y(asked.high)}
              width={Math.max(0, widthPx - RIGHT - LEFT)}
              height={Math.max(1, y(asked.low) - y(asked.high))}
              className="fill-lichen-wash"
            />
            <text x={LEFT + 4} y={y(asked.low) - 3} className="fill-peat text-xs">
              asked {say.span('gap', asked)}
            </text>
            <path d={`M${LEFT} ${y(wornMm!)}H${widthPx - RIGHT}`} className="stroke-madder" strokeDasharray="6 3" />
            <text x={LEFT + 4} y={y(wornMm!) - 4} className="fill-madder text-xs">
              worn out at {say.quantity('gap', wornMm!)}
            </text>
            {before.map((point) => (
              <path
                key={point.served}
                d={`M${x(point.served)} ${y(point.lowMm) + 1}V${y(point.highMm) - 1}`}
                className="stroke-slate"
                strokeWidth={3}
              />
            ))}
            {set && (
              <>
                {grown && (
                  <path
                    d={`M${x(set.served)} ${y(set.highMm)}L${x(grown.served)} ${y(grown.mm)}`}
                    className="stroke-peat"
                    strokeDasharray="4 3"
                    strokeWidth={1.5}
                  />
                )}
                <path
                  d={`M${x(set.served)} ${y(set.lowMm)}V${y(set.highMm)}`}
                  className="stroke-peat"
                  strokeWidth={3}
                />
                <circle cx={x(set.served)} cy={y(set.highMm)} r={3.5} className="fill-slip stroke-peat" />
                {grown && <circle cx={x(grown.served)} cy={y(grown.mm)} r={3} className="fill-peat" />}
              </>
            )}
            {y.ticks(4).map((mm) => (
              <text key={mm} x={LEFT - 6} y={y(mm) + 4} textAnchor="end" className="num fill-peat text-xs">
                {mm.toFixed(2)}
              </text>
            ))}
          </g>
        )}
        <path d={`M${LEFT} ${axisY}H${widthPx - RIGHT}`} className="stroke-slate" />
        {hasGaps &&
          x.ticks(4).map((served) =>
            x(served) < LEFT + 24 || x(served) > widthPx - 36 ? null : (
              <text key={served} x={x(served)} y={axisY + 16} textAnchor="middle" className="num fill-peat text-xs">
                {run(served)}
              </text>
            ),
          )}
      </svg>
      <p className="text-xs text-soft">
        {hasGaps
          ? growthMm === null
            ? 'How the gap grows here is not estimated: material or polarity is not known.'
            : `Usual growth here: ${growthMm.toFixed(3)} mm for 10 000 km${countsIn === 'hours' ? ' or 200 h' : ''}. Dashed is expected, not measured.`
          : 'No gap was asked or read: only what sat where is drawn.'}
        {fitted.some(({ how }) => how === 'said') ? ' Dashed parts are only said.' : ''}
      </p>
    </div>
  );
}
