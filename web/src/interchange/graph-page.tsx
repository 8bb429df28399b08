import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import type { PartGraph } from '@brackenfell/contract/part';
import { Key } from '../controls/key.tsx';
import { useKeys } from '../frame/keys.ts';
import { useCounter } from '../frame/use-counter.ts';
import { call } from '../wire/call.ts';
import { bundle, layOut } from './graph-geometry.ts';
import { GRADE_MEANS } from './grade-words.ts';

/** Room for the labels of the outermost numbers, px. */
const MARGIN_X = 70;
const MARGIN_Y = 24;

/** The references around a part, drawn and in words. */
export function GraphPage() {
  const { partId = '' } = useParams();
  const graph = useQuery({
    queryKey: ['graph', partId],
    queryFn: () => call('getPartGraph', { params: { partId } }),
  });
  if (!graph.data)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="References">
        {graph.error ? (
          <p role="alert" className="text-madder">
            {graph.error.message}
          </p>
        ) : (
          <p className="text-soft">Fetching the references …</p>
        )}
      </main>
    );
  return <Graph key={partId} graph={graph.data} />;
}

function Graph({ graph }: { graph: PartGraph }) {
  const { go } = useCounter();
  const placed = useMemo(() => new Map(layOut(graph).map((node) => [node.partId, node])), [graph]);
  const [here, pick] = useState(0);
  const middle = graph.nodes.find(({ partId }) => partId === graph.partId)!;
  const picked = graph.nodes[here]!;
  const move = (by: number) => pick((here + by + graph.nodes.length) % graph.nodes.length);
  useKeys('References', [
    { press: 'j', does: 'Next number', run: () => move(1), takeBack: () => move(-1) },
    { press: 'k', does: 'Number before', run: () => move(-1), takeBack: () => move(1) },
    { press: 'Enter', does: 'Put the number in the middle', run: () => go(`/parts/${picked.partId}/graph`) },
    { press: 'p', does: 'The part in the middle', run: () => go(`/parts/${graph.partId}`) },
  ]);
  const around = graph.edges.filter(({ from, to }) => from === picked.partId || to === picked.partId);
  const printed = (id: string) => graph.nodes.find(({ partId }) => partId === id)!.printed;
  const xs = [...placed.values()].map(({ x }) => x);
  const ys = [...placed.values()].map(({ y }) => y);
  const [left, top] = [Math.min(...xs, -180) - MARGIN_X, Math.min(...ys, -160) - MARGIN_Y];
  const [right, bottom] = [Math.max(...xs, 180) + MARGIN_X, Math.max(...ys, 160) + MARGIN_Y];
  return (
    <main className="desk-main col-span-2" aria-label="References">
      <div className="flex items-baseline gap-4 border-b border-line px-4 py-3">
        <h1 className="text-verdict font-semibold">
          References around <span className="num">{middle.printed}</span>
        </h1>
        <span className="text-soft">
          {graph.nodes.length} {graph.nodes.length === 1 ? 'number' : 'numbers'}, {graph.edges.length}{' '}
          {graph.edges.length === 1 ? 'reference' : 'references'}
          {graph.more > 0 ? `; ${graph.more} further numbers are not drawn` : ''}
        </span>
        <button type="button" className="button-plain ml-auto" onClick={() => go(`/parts/${graph.partId}`)}>
          The part <Key>p</Key>
        </button>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_19rem]">
        <svg
          viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
          className="size-full"
          role="group"
          aria-label={`Drawing of the references around ${middle.printed}; the list beside it says the same`}
        >
          {bundle(graph.edges).map((edges) => {
            const [edge] = edges;
            const [a, b] = [placed.get(edge!.from)!, placed.get(edge!.to)!];
            const isWeak = edges.every(({ grade }) => grade === 'alternative' || grade === 'observed');
            const isPicked = edges.some(({ from, to }) => from === picked.partId || to === picked.partId);
            const renames = edges.some(({ grade }) => grade === 'supersedes');
            return (
              <line
                key={edge!.edgeId}
                x1={a.x}
                y1={a.y}
                x2={b.x}
                y2={b.y}
                stroke={isPicked ? 'var(--bracken)' : 'var(--line)'}
                strokeWidth={isWeak ? 1 : renames ? 3 : 1.5}
                strokeDasharray={isWeak ? '3 5' : undefined}
                opacity={isPicked ? 1 : 0.55}
              />
            );
          })}
          {graph.nodes.map((node, i) => {
            const { x, y } = placed.get(node.partId)!;
            const width = node.printed.length * 8.2 + 14;
            return (
              <g
                key={node.partId}
                role="button"
                tabIndex={i === here ? 0 : -1}
                aria-label={`${node.printed}, ${node.maker}, ${node.hops} references away`}
                aria-current={i === here || undefined}
                className="cursor-pointer"
                onClick={() => pick(i)}
                onDoubleClick={() => go(`/parts/${node.partId}/graph`)}
              >
                <rect
                  x={x - width / 2}
                  y={y - 13}
                  width={width}
                  height={26}
                  fill={node.partId === graph.partId ? 'var(--bracken-wash)' : 'var(--slip)'}
                  stroke={i === here ? 'var(--bracken)' : 'var(--line)'}
                  strokeWidth={i === here ? 2.5 : 1}
                  strokeDasharray={node.kind === 'unheld' ? '4 3' : undefined}
                  rx={node.kind === 'oe-number' ? 0 : 6}
                />
                <text x={x} y={y + 4.5} textAnchor="middle" className="num" fontSize={13} fill="var(--peat)">
                  {node.printed}
                </text>
              </g>
            );
          })}
        </svg>
        <aside className="overflow-auto border-l border-line p-3" aria-label="References in words" tabIndex={0}>
          <h2 className="text-head font-semibold">
            <span className="num">{picked.printed}</span>
          </h2>
          <p className="text-soft">
            {picked.maker}
            {picked.kind === 'oe-number'
              ? ', a number to order by'
              : picked.kind === 'unheld'
                ? '; spoken of, held by no catalogue'
                : `, ${picked.onHand ?? 0} here`}
          </p>
          <ul className="mt-2">
            {around.map((edge) => (
              <li key={edge.edgeId} className="border-t border-hair py-1">
                <span className="num">{printed(edge.from)}</span> <b className="font-semibold">{edge.grade}</b>{' '}
                <span className="num">{printed(edge.to)}</span>
                <span className="block text-soft">
                  {GRADE_MEANS[edge.grade]}; {edge.source}, {edge.notedOn}
                  {edge.note ? `; ${edge.note}` : ''}
                </span>
              </li>
            ))}
          </ul>
          {around.length === 0 && <p className="mt-2">Nothing refers to it and it refers to nothing.</p>}
          <p className="mt-3 border-t border-line pt-2 text-soft">
            <Key>j</Key> <Key>k</Key> go round, <Key>Enter</Key> puts a number in the middle. Dashed lines are
            alternatives and things noted here; thick ones replace.
          </p>
        </aside>
      </div>
    </main>
  );
}
