import { counted, wordFor } from '@brackenfell/core/words/counted';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { VERDICT_WORDS } from '@brackenfell/core/fitment/verdict';
import type { PartGraph } from '@brackenfell/contract/part';
import { KeyButton } from '../controls/key-button.tsx';
import { Key } from '../controls/key.tsx';
import { Mark, VERDICT_MARK } from '../controls/mark.tsx';
import { usePickList } from '../controls/pick-list.ts';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { call } from '../wire/call.ts';
import { GraphDrawing } from './graph-drawing.tsx';
import { bundle, layOut } from './graph-geometry.ts';
import { GRADE_MEANS } from './grade-words.ts';

/** The references around a part, drawn and in words. */
export function GraphPage() {
  const { partId = '' } = useParams();
  const { engineId } = useCounter();
  const graph = useQuery({
    queryKey: ['graph', partId, engineId],
    queryFn: () => call('getPartGraph', { params: { partId }, query: engineId ? { engine: engineId } : {} }),
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
  return <Graph key={partId} graph={graph.data} isJudged={engineId !== undefined} />;
}

function Graph({ graph, isJudged }: { graph: PartGraph; isJudged: boolean }) {
  const { go } = useCounter();
  const layout = useMemo(() => layOut(graph), [graph]);
  const order = useMemo(
    () => [layout.middle, ...layout.before, ...layout.after, ...layout.rows].map(({ node }) => node),
    [layout],
  );
  const [at, pick] = useState(0);
  const list = usePickList({ label: 'Numbers', row: 'number', count: order.length, picked: at, pick });
  const picked = order[list.here]!;
  const middle = layout.middle.node;
  useKeys('References', [
    { press: 'Enter', does: 'Put the number in the middle', run: () => go(`/parts/${picked.partId}/graph`) },
    { press: 'p', does: 'The picked number’s own page', run: () => go(`/parts/${picked.partId}`) },
  ]);
  const around = graph.edges.filter(({ from, to }) => from === picked.partId || to === picked.partId);
  const printed = (id: string) => graph.nodes.find(({ partId }) => partId === id)!.printed;
  const contradicted = graph.edges.filter(({ contradicts }) => contradicts !== null).length;
  return (
    <main className="desk-main col-span-2" aria-label="References">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b border-line px-4 py-2">
        <h1 className="text-verdict font-semibold">
          References around <span className="num">{middle.printed}</span>
        </h1>
        <span className="text-soft">
          {counted(graph.nodes.length, 'number')}, {graph.edges.length} {wordFor(graph.edges.length, 'reference')}
          {graph.more > 0 ? `; ${graph.more} further numbers are not drawn` : ''}
          {isJudged ? '. Marks: for the engine on the slip.' : '. No engine is chosen, so nothing is judged.'}
        </span>
        {contradicted > 0 && <span className="text-madder">{contradicted} contradicted by dimensions</span>}
        <span className="ml-auto flex gap-2">
          <KeyButton press="j" does="Next number" />
          <KeyButton press="k" does="Earlier number" />
          <button type="button" className="button-plain" onClick={() => go(`/parts/${picked.partId}/graph`)}>
            Make it the middle <Key>Enter</Key>
          </button>
          <button type="button" className="button-plain" onClick={() => go(`/parts/${picked.partId}`)}>
            Its page <Key>p</Key>
          </button>
        </span>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_19rem]">
        <div className="relative overflow-auto" {...list.listProps}>
          <GraphDrawing
            layout={layout}
            isPicked={(id) => id === picked.partId}
            rowProps={(id) => list.rowProps(order.findIndex((node) => node.partId === id))}
          />
        </div>
        <aside className="overflow-auto border-l border-line p-3" aria-label="References in words" tabIndex={0}>
          <h2 className="flex items-center gap-2 text-head font-semibold">
            {picked.verdict && <Mark kind={VERDICT_MARK[picked.verdict]} />}
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
          {picked.verdict && (
            <p>
              <b className="font-semibold">{VERDICT_WORDS[picked.verdict]}</b>: {picked.reason}
            </p>
          )}
          <ul className="mt-2">
            {around.map((edge) => (
              <li
                key={edge.edgeId}
                className={`border-t border-hair py-1 ${edge.contradicts ? 'bg-madder-wash px-1' : ''}`}
              >
                <span className="num">{printed(edge.from)}</span> <b className="font-semibold">{edge.grade}</b>{' '}
                <span className="num">{printed(edge.to)}</span>
                {edge.contradicts && (
                  <span className="block font-semibold text-madder">
                    {edge.contradicts}: dimensions rule, whatever the list says.
                  </span>
                )}
                {edge.inForceFrom && (
                  <span className="block text-slate">from {edge.inForceFrom}, not in force yet</span>
                )}
                <span className="block text-soft">
                  {GRADE_MEANS[edge.grade]}; {edge.source}, {edge.notedOn}
                  {edge.note ? `; ${edge.note}` : ''}
                </span>
              </li>
            ))}
          </ul>
          {around.length === 0 && <p className="mt-2">Nothing refers to it and it refers to nothing.</p>}
          {layout.beside.length > 0 && (
            <>
              <h3 className="mt-3 border-t border-line pt-2 font-semibold">
                {layout.beside.length} among the outer numbers, not drawn
              </h3>
              <ul className="text-soft">
                {bundle(layout.beside).map((edges) => {
                  const [edge] = edges;
                  return (
                    <li key={edge!.edgeId}>
                      <span className="num">{printed(edge!.from)}</span> {edge!.grade}{' '}
                      <span className="num">{printed(edge!.to)}</span>
                      {edges.length > 1 ? `, ${edges.length} lists` : ''}
                      {edge!.contradicts && <span className="text-madder">: {edge!.contradicts}</span>}
                    </li>
                  );
                })}
              </ul>
            </>
          )}
        </aside>
      </div>
    </main>
  );
}
