import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import type { ReferenceGrade } from '@brackenfell/core/interchange/trail';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { countAt, lineTo, MIDDLE, NODE_WIDTH, stepX, type GraphLayout, type GraphRow } from './graph-geometry.ts';
import { GRADE_MEANS } from './grade-words.ts';

const DASH: Partial<Record<ReferenceGrade, string>> = { alternative: '7 4', observed: '2 4' };

/** Lengths grow with the reader's letters. */
const rem = (px: number): string => `${px / 16}rem`;

interface GraphDrawingProps {
  readonly layout: GraphLayout;
  readonly isPicked: (partId: string) => boolean;
  readonly rowProps: (partId: string) => object;
}

/** Steps from the middle run across, grades down; one line for all lists that say the same, with their count. */
export function GraphDrawing({ layout, isPicked, rowProps }: GraphDrawingProps) {
  const { before, middle, after, rows, bands, width, height } = layout;
  const placed = new Map([...before, middle, ...after, ...rows].map((row) => [row.node.partId, row]));
  const steps = [...new Set(rows.map(({ step }) => step))].sort();
  return (
    <div className="relative" style={{ width: rem(width), height: rem(height) }}>
      <svg viewBox={`0 0 ${width} ${height}`} className="absolute inset-0 size-full" aria-hidden="true">
        {bands.map((band, i) => (
          <rect
            key={band.grade}
            x={stepX(1) - 50}
            y={band.top}
            width={width - stepX(1) + 40}
            height={band.height}
            fill={i % 2 === 0 ? 'var(--hair)' : 'transparent'}
            opacity={0.35}
          />
        ))}
        {[...before, ...after, ...rows].map((row) => (
          <Line key={row.node.partId} row={row} parent={placed.get(row.parent)!} isPicked={isPicked(row.node.partId)} />
        ))}
      </svg>
      {steps.map((step) => (
        <span key={step} className="absolute text-soft" style={{ left: rem(stepX(step)), top: rem(6) }}>
          {step === 1 ? 'one reference away' : `${step} references away`}
        </span>
      ))}
      {bands.map((band) => (
        <span key={band.grade} className="absolute" style={{ left: rem(stepX(1) - 40), top: rem(band.top + 3) }}>
          <b className="font-semibold">{band.grade}</b> <span className="text-soft">{GRADE_MEANS[band.grade]}</span>
          {band.folded > 0 && <span className="text-slate"> · {band.folded} more are not drawn</span>}
        </span>
      ))}
      {[...before, middle, ...after, ...rows].map((row) => (
        <GraphNode
          key={row.node.partId}
          row={row}
          isMiddle={row === middle}
          isPicked={isPicked(row.node.partId)}
          rowProps={rowProps(row.node.partId)}
        />
      ))}
    </div>
  );
}

function Line({ row, parent, isPicked }: { row: GraphRow; parent: GraphRow; isPicked: boolean }) {
  const [first] = row.edges;
  const wrong = row.edges.some(({ contradicts }) => contradicts !== null);
  const grade = first!.grade;
  const at = countAt(row);
  const colour = wrong ? 'var(--madder)' : isPicked ? 'var(--bracken)' : 'var(--slate)';
  const toCome = row.edges.every(({ inForceFrom }) => inForceFrom !== null);
  return (
    <>
      <path
        d={lineTo(row, parent)}
        fill="none"
        stroke={colour}
        strokeWidth={row.edges.length > 1 ? 2.5 : 1.25}
        strokeDasharray={toCome ? '4 4' : wrong ? '6 3' : DASH[grade]}
      />
      {row.step > 0 && (
        <>
          <rect x={at.x - 11} y={at.y - 9} width={22} height={18} fill="var(--chalk)" stroke={colour} />
          <text x={at.x} y={at.y + 4} textAnchor="middle" className="num" fontSize={12} fill="var(--peat)">
            {row.edges.length}
          </text>
        </>
      )}
    </>
  );
}

interface GraphNodeProps {
  readonly row: GraphRow;
  readonly isMiddle: boolean;
  readonly isPicked: boolean;
  readonly rowProps: object;
}

function GraphNode({ row: { node, x, y, edges, step }, isMiddle, isPicked, rowProps }: GraphNodeProps) {
  const wrong = edges.find(({ contradicts }) => contradicts !== null)?.contradicts;
  const day = edges.find(({ inForceFrom }) => inForceFrom !== null)?.inForceFrom;
  const under =
    wrong ??
    (step === 0 && !isMiddle
      ? edges[0]!.from === node.partId
        ? `replaced by it, ${edges[0]!.notedOn}`
        : day
          ? `replaces it from ${day}`
          : `replaced it, ${edges[0]!.notedOn}`
      : node.verdict
        ? (node.reason ?? '')
        : node.kind === 'oe-number'
          ? `${node.maker}, to order by`
          : node.maker);
  return (
    <div
      {...rowProps}
      className={`absolute cursor-pointer border px-1.5 leading-tight ${isPicked ? 'border-bracken bg-bracken-wash outline-2 outline-bracken' : isMiddle ? 'border-peat bg-slip' : 'border-transparent'}`}
      style={{ left: rem(x), top: rem(y), width: rem(step === 0 ? MIDDLE.width : NODE_WIDTH), height: rem(36) }}
    >
      <span className="flex items-center gap-1.5">
        {node.verdict && <Mark kind={VERDICT_MARK[node.verdict]} label={VERDICT_WORDS[node.verdict]} />}
        <b className="num truncate font-semibold">{node.printed}</b>
      </span>
      <span className={`block truncate text-xs ${wrong ? 'font-semibold text-madder' : 'text-soft'}`} title={under}>
        {under}
      </span>
    </div>
  );
}
