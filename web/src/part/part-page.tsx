import { isPartKind } from '@brackenfell/core/facts/part-kinds';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef } from 'react';
import { useParams } from 'react-router';
import type { PartCard } from '@brackenfell/contract/part';
import { Key } from '../controls/key.tsx';
import { KeyButton } from '../controls/key-button.tsx';
import { Mark } from '../controls/mark.tsx';
import { printPrice } from '@brackenfell/core/words/money';
import { NO_HEAD } from '../drawing/head-outline.ts';
import { drawPlug } from '../drawing/plug-outline.ts';
import { frameFor } from '../drawing/section-frame.ts';
import { Section } from '../drawing/section.tsx';
import { useSize } from '../drawing/use-size.ts';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';
import { useKeys } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { saveDrawing } from '../drawing/save-drawing.ts';
import { useMayMend } from '../session/use-session.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { FillsTable } from './fills-table.tsx';
import { JudgedEngines } from './judged-engines.tsx';
import { ShelfCard } from './shelf-card.tsx';
import { NumberPositions } from './number-positions.tsx';
import { todayHere } from '../controls/moment.ts';

const DRAWING_HEIGHT_PX = 230;
const GRADE_WORDS = {
  same: 'same as',
  supersedes: 'replaced by',
  equivalent: 'equivalent to',
  alternative: 'alternative to',
  observed: 'seen as',
} as const;

/** One part by itself: price and stock at once, its figures with their sources, where it is said to fit. */
export function PartPage() {
  const { partId = '' } = useParams();
  const { units } = useSettings();
  const part = useQuery({
    queryKey: ['part', partId, units],
    queryFn: () => call('getPart', { params: { partId }, query: { units } }),
  });
  if (!part.data) {
    return (
      <main className="desk-main col-span-2" aria-label="Part">
        {part.error ? (
          <p role="alert" className="p-6 text-madder">
            {part.error.message}
          </p>
        ) : (
          <p className="p-6 text-soft">Fetching the part …</p>
        )}
      </main>
    );
  }
  return part.data.shelf ? <ShelfCard part={part.data} shelf={part.data.shelf} /> : <Card part={part.data} />;
}

function Card({ part }: { part: PartCard }) {
  const { go } = useCounter();
  const { units } = useSettings();
  const [pane, size] = useSize();
  const drawn = useMemo(() => frameFor([drawPlug(part.shape)], NO_HEAD, size), [part, size]);
  const successor = part.succession?.kind === 'replaced' ? part.succession.to.at(-1) : undefined;
  const engines = part.engines.slice(0, LETTERS.length);
  const isPart = isPartKind(part.kind);
  const inHand = isPart ? { inHand: part.partId, row: part.partId, part: part.kind === 'plug' ? null : part.kind } : {};
  const mayMend = useMayMend() && isPart;
  const about = useRef<HTMLDivElement>(null);
  const save = () => saveDrawing(about.current, `${part.maker} ${part.printed}`);
  const judge = (engineId: string) => go('/counter/parts', { engine: engineId, ...inHand });
  useKeys('Part', [
    ...engines.map((engine, i) => ({
      press: LETTERS[i]!,
      does: `Judge it for ${engine.title}`,
      run: () => judge(engine.engineId),
    })),
    ...(successor
      ? [{ press: 'n', does: `Its successor, ${successor.printed}`, run: () => go(`/parts/${successor.partId}`) }]
      : []),
    ...(part.kind === 'plug' ? [{ press: 'x', does: 'Save the drawing as SVG', run: save }] : []),
    ...(mayMend
      ? [{ press: 'w', does: 'Mend what is recorded of it', run: () => go(`/parts/${part.partId}/mend`) }]
      : []),
    { press: 'v', does: 'References as a graph', run: () => go(`/parts/${part.partId}/graph`) },
  ]);
  return (
    <main className="desk-main col-span-2" aria-label="Part">
      <div className="flex items-baseline gap-4 border-b border-line px-4 py-3">
        <h1 className="num text-verdict font-semibold">{part.printed}</h1>
        <span className="text-lead">{part.maker}</span>
        {!isPart ? (
          <span className="text-soft">
            {part.kind === 'oe-number'
              ? 'A number to order by; the parts that fill it are below.'
              : 'Spoken of in a list; no catalogue here holds it.'}
          </span>
        ) : (
          <p className="ml-auto flex gap-6 text-lead" aria-label="Price and stock">
            <span>
              <b className="num text-verdict font-semibold">{printPrice(part.priceMinor)}</b> each, before tax
            </span>
            <span>
              <b className="num text-verdict font-semibold">{part.onHand ?? 0}</b> on the shelf
              {part.bin ? (
                <>
                  , bin <span className="num">{part.bin}</span>
                </>
              ) : (
                ''
              )}
            </span>
          </p>
        )}
      </div>
      {part.succession && (
        <p className="flex flex-wrap items-center gap-2 border-b border-line px-4 py-2">
          <Mark kind={part.succession.kind === 'replaced' ? 'caution' : 'unknown'} />
          <b className="font-semibold">{part.succession.says}</b>
          {part.succession.to.map((target) => (
            <button
              key={target.partId}
              type="button"
              className="num min-h-6 underline decoration-line"
              onClick={() => go(`/parts/${target.partId}`)}
            >
              {target.printed} {target === successor && <Key>n</Key>}
            </button>
          ))}
        </p>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(16rem,38%)] overflow-auto">
        <div ref={about} className="p-4">
          {part.kind === 'oe-number' && <FillsTable partId={part.partId} printed={part.printed} />}
          {part.kind === 'plug' && (
            <div ref={pane} className="max-w-[32.5rem] overflow-hidden" style={{ height: DRAWING_HEIGHT_PX }}>
              <Section
                head={NO_HEAD}
                plug={part}
                oePlug={null}
                engine="no engine"
                frame={drawn}
                size={size}
                units={units}
              />
            </div>
          )}
          {part.kind === 'plug' && (
            <button type="button" className="button-plain mr-2" onClick={save}>
              Save the drawing <Key>x</Key>
            </button>
          )}
          {mayMend && (
            <button type="button" className="button-plain" onClick={() => go(`/parts/${part.partId}/mend`)}>
              Mend what is recorded of it <Key>w</Key>
            </button>
          )}
          <h2 className="pt-3 pb-1 font-semibold text-slate">For which engine?</h2>
          <p className="pb-2 text-soft">
            It is not judged until the engine is known. <KeyButton press="1" does="Engine stage" /> shows every engine;
            the part stays in hand.
          </p>
          <ul className="grid max-w-xl gap-1">
            {engines.map((engine, i) => (
              <li key={`${engine.engineId} ${engine.how}`}>
                <button
                  type="button"
                  className="flex min-h-7 w-full items-center gap-2 border border-hair px-2 text-left hover:bg-bracken-wash"
                  onClick={() => judge(engine.engineId)}
                >
                  <Key>{LETTERS[i]}</Key> <b className="font-semibold">{engine.title}</b>{' '}
                  <span className="text-soft">{engine.how}</span>
                </button>
              </li>
            ))}
          </ul>
          {engines.length === 0 && <p>No engine maker names it and no maker lists it for an engine here.</p>}
          {isPart && <JudgedEngines partId={part.partId} />}
          <h2 className="flex items-center gap-3 pt-4 pb-1 font-semibold text-slate">
            References
            <button
              type="button"
              className="button-plain font-normal"
              onClick={() => go(`/parts/${part.partId}/graph`)}
            >
              Drawn as a graph <Key>v</Key>
            </button>
          </h2>
          <ul className="columns-2 gap-6">
            {part.references.map((r) => (
              <li key={`${r.partId} ${r.grade} ${r.source}`} className="break-inside-avoid py-0.5">
                <span className="text-soft">
                  {r.direction === 'to'
                    ? GRADE_WORDS[r.grade]
                    : r.grade === 'supersedes'
                      ? 'replaces'
                      : GRADE_WORDS[r.grade]}
                </span>{' '}
                <button
                  type="button"
                  className="num min-h-6 underline decoration-line"
                  onClick={() => go(`/parts/${r.partId}`)}
                >
                  {r.printed}
                </button>{' '}
                <span className="text-soft">
                  {r.maker}; {r.source}, {r.notedOn}
                  {r.note ? `; ${r.note}` : ''}
                  {r.inForceFrom !== null && r.inForceFrom > todayHere() ? `; not before ${r.inForceFrom}` : ''}
                </span>
              </li>
            ))}
          </ul>
          {part.references.length === 0 && <p className="text-soft">None is recorded.</p>}
        </div>
        <aside className="border-l border-line p-4" aria-label="Specification">
          {part.decoded && <NumberPositions printed={part.printed} decoded={part.decoded} />}
          <h2 className="pb-1 font-semibold text-slate">Names</h2>
          <ul className="pb-3">
            {part.names.map((name) => (
              <li key={`${name.kind} ${name.printed}`}>
                <span className="num">{name.printed}</span> <span className="text-soft">{name.kind}</span>
              </li>
            ))}
          </ul>
          <h2 className="pb-1 font-semibold text-slate">Specification</h2>
          <dl className="spec spec-wide">
            {part.facts.map((fact) => (
              <div key={`${fact.label} ${fact.value} ${fact.sources[0]!.name}`} className="contents">
                <dt>{fact.label}</dt>
                <dd className={fact.ruling ? '' : 'text-ash'}>
                  {fact.value}
                  {fact.ruling ? '' : ' (not proven)'}
                </dd>
                <dd className="spec-source num" title={fact.sources[0]!.name}>
                  {SOURCE_LETTERS[fact.sources[0]!.rank][0]}
                </dd>
              </div>
            ))}
          </dl>
          <p className="flex flex-wrap gap-x-2 pt-1 text-xs text-slate">
            {[...new Set(part.facts.map((fact) => fact.sources[0]!.rank))].map((rank) => (
              <span key={rank}>
                <span className="num font-semibold">{SOURCE_LETTERS[rank][0]}</span> {SOURCE_LETTERS[rank][1]}
              </span>
            ))}
          </p>
        </aside>
      </div>
    </main>
  );
}
