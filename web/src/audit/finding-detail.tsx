import { counted } from '@brackenfell/core/words/counted';
import { useMemo, useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { AuditFinding, EvidenceEdge } from '@brackenfell/contract/audit';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { Mark } from '../controls/mark.tsx';
import { NO_HEAD } from '../drawing/head-outline.ts';
import { drawPlug } from '../drawing/plug-outline.ts';
import { frameFor } from '../drawing/section-frame.ts';
import { Section } from '../drawing/section.tsx';
import { SOURCE_LETTERS } from '../engine/engine-card.tsx';
import { useKeys, type KeyBinding } from '../keys/keys.ts';
import { useCounter } from '../counter/use-counter.ts';
import { useSettings } from '../settings/settings.ts';
import { call } from '../wire/call.ts';
import { useAuditWrite } from './use-audit.ts';

const SIZE = { widthPx: 360, heightPx: 190 };
const DONE = { accept: 'Accepted', note: 'Noted', cut: 'Reference cut', choose: 'Figure chosen' } as const;
const FIGURE_KEYS = [...'defgh'];

interface Body {
  action: 'accept' | 'note' | 'cut' | 'choose';
  note?: string;
  edgeId?: string;
  figureId?: string;
}

/** One contradiction: the shortest trail, both parts drawn, what it does at the counter, what can be done. */
export function FindingDetail({ finding, mayEdit }: { finding: AuditFinding; mayEdit: boolean }) {
  const { go } = useCounter();
  const write = useAuditWrite();
  const [note, setNote] = useState('');
  const [writing, setWriting] = useState(false);
  const decide = (body: Body) => {
    write.mutate(() => call('decideFinding', { params: { findingId: finding.findingId }, body }), {
      onSuccess: () => toast('Written. It holds at the counter at once; z takes it back.'),
      onError: (error) => toast.error(error.message),
    });
  };
  const [last] = finding.decisions;
  const undo = () => {
    if (last)
      write.mutate(() => call('undoDecision', { params: { decisionId: last.decisionId }, body: {} }), {
        onSuccess: () => toast('Taken back; everything stands as before.'),
        onError: (error) => toast.error(error.message),
      });
  };
  const uncut = finding.edges.filter((edge) => !edge.isCut);
  const cut = () => {
    if (uncut[0]) decide({ action: 'cut', edgeId: uncut[0].edgeId });
  };
  const bindings: KeyBinding[] = [
    { press: 'a', does: 'Accept it as it is', run: () => decide({ action: 'accept', note }) },
    { press: 'r', does: 'Write a note', run: () => setWriting(true) },
    ...(uncut.length > 0 ? [{ press: 'c', does: 'Cut the reference', run: cut }] : []),
    ...(last ? [{ press: 'z', does: `Take back: ${DONE[last.action]}`, run: undo }] : []),
    ...finding.figures.map(({ figureId, value }, i): KeyBinding => ({
      press: FIGURE_KEYS[i]!,
      does: `Let ${value} stand alone`,
      run: () => decide({ action: 'choose', figureId }),
    })),
  ];
  useKeys('Decide', bindings, { active: mayEdit });
  return (
    <main className="desk-main overflow-auto" aria-label="Evidence">
      <div className="border-b border-line px-4 py-2">
        <h2 className="flex items-center gap-2 text-verdict font-semibold">
          <Mark kind="refuse" rem={1.125} /> {finding.title}
        </h2>
        <p>
          {finding.consequence}{' '}
          <b className="font-semibold">
            {counted(finding.engines.length, 'engine')}, {finding.stock} in stock.
          </b>
        </p>
      </div>
      <section className="border-b border-line px-4 py-2" aria-label="Shortest trail">
        <h3 className="font-semibold text-slate">
          Evidence <span className="font-normal text-soft">the shortest trail</span>
        </h3>
        <Trail finding={finding} />
      </section>
      <Plugs finding={finding} />
      <div className="grid grid-cols-2 border-t border-line">
        <section className="px-4 py-2" aria-label="At the counter">
          <h3 className="font-semibold text-slate">
            At the counter <span className="font-normal text-soft">engines it is offered to</span>
          </h3>
          <ul>
            {finding.engines.slice(0, 8).map((engine) => (
              <li key={engine.engineId}>
                <button
                  type="button"
                  className="min-h-6 underline decoration-line"
                  onClick={() => go(`/engines/${engine.engineId}`)}
                >
                  {engine.title}
                </button>
              </li>
            ))}
          </ul>
          {finding.engines.length > 8 && <p className="text-soft">and {finding.engines.length - 8} more</p>}
          {finding.engines.length === 0 && <p className="text-soft">No engine names or lists these numbers.</p>}
        </section>
        <section className="border-l border-hair px-4 py-2" aria-label="Do">
          <h3 className="font-semibold text-slate">
            Do <span className="font-normal text-soft">written at once, and undone with z</span>
          </h3>
          {!mayEdit && <p className="text-soft">The catalogue editor or the supervisor decides.</p>}
          {mayEdit && (
            <ul className="grid gap-1">
              {uncut.map((edge, i) => (
                <li key={edge.edgeId}>
                  <button
                    type="button"
                    className="min-h-6 text-left hover:bg-bracken-wash"
                    onClick={() => decide({ action: 'cut', edgeId: edge.edgeId })}
                  >
                    {i === 0 && <Key>c</Key>} Cut <span className="num">{edge.from}</span> {edge.grade}{' '}
                    <span className="num">{edge.to}</span> <span className="text-soft">{edge.source}</span>
                  </button>
                </li>
              ))}
              {finding.figures.map((figure, i) => (
                <li key={figure.figureId}>
                  <button
                    type="button"
                    className="min-h-6 text-left hover:bg-bracken-wash"
                    onClick={() => decide({ action: 'choose', figureId: figure.figureId })}
                  >
                    <Key>{FIGURE_KEYS[i]}</Key> Let <b className="num font-semibold">{figure.value}</b> stand alone{' '}
                    <span className="text-soft">
                      {figure.source.name}, {SOURCE_LETTERS[figure.source.rank][1]}
                      {figure.readings > 1 ? `, ${figure.readings} readings` : ''}
                    </span>
                  </button>
                </li>
              ))}
              <li>
                <button
                  type="button"
                  className="min-h-6 text-left hover:bg-bracken-wash"
                  onClick={() => decide({ action: 'accept', note })}
                >
                  <Key>a</Key> Accept it as it is
                </button>
              </li>
              <li>
                {writing ? (
                  <form
                    onSubmit={(event) => {
                      event.preventDefault();
                      if (note.trim() === '') return;
                      decide({ action: 'note', note: note.trim() });
                      setNote('');
                      setWriting(false);
                    }}
                  >
                    <label>
                      Note
                      <input
                        className="field"
                        value={note}
                        maxLength={300}
                        autoFocus
                        onChange={(event) => setNote(event.target.value)}
                        onKeyDown={(event) => {
                          if (event.key === 'Escape') setWriting(false);
                        }}
                      />
                    </label>
                  </form>
                ) : (
                  <button
                    type="button"
                    className="min-h-6 text-left hover:bg-bracken-wash"
                    onClick={() => setWriting(true)}
                  >
                    <Key>r</Key> Write a note
                  </button>
                )}
              </li>
            </ul>
          )}
          {finding.decisions.map((decision) => (
            <p key={decision.decisionId} className="border-t border-hair py-1">
              {DONE[decision.action]} by {decision.by} <span className="text-soft">{printMoment(decision.at)}</span>
              {decision.note && <span className="block">“{decision.note}”</span>}
            </p>
          ))}
          {mayEdit && last && (
            <button type="button" className="button-plain" onClick={undo}>
              Take back <Key>z</Key>
            </button>
          )}
        </section>
      </div>
    </main>
  );
}

function Trail({ finding }: { finding: AuditFinding }) {
  const guilty = new Set(finding.edges.map((edge) => edge.edgeId));
  return (
    <div className="flex flex-wrap items-center gap-y-2 py-2">
      {finding.trail.map(({ partId, printed, onward }, i) => (
        <span key={`${partId} ${i}`} className="flex items-center">
          <b className="num font-semibold">{printed}</b>
          {onward && <Hop edge={onward} isGuilty={guilty.has(onward.edgeId)} from={printed} />}
        </span>
      ))}
    </div>
  );
}

function Hop({ edge, isGuilty, from }: { edge: EvidenceEdge; isGuilty: boolean; from: string }) {
  const forward = edge.from === from;
  return (
    <span className={`mx-2 border-b-2 px-2 text-center ${isGuilty ? 'border-madder text-madder' : 'border-line'}`}>
      <b className="font-semibold">
        {forward ? '' : '← '}“{edge.grade}”{forward ? ' →' : ''}
      </b>
      <span className="block text-soft">
        {edge.source}, {edge.notedOn}
        {edge.isCut ? '; cut' : ''}
      </span>
    </span>
  );
}

function Plugs({ finding }: { finding: AuditFinding }) {
  const { units } = useSettings();
  const drawn = useMemo(
    () => finding.parts.flatMap(({ shape }) => (shape ? [drawPlug(shape)] : [])).slice(0, 2),
    [finding],
  );
  const frame = useMemo(() => (drawn.length > 0 ? frameFor(drawn, NO_HEAD, SIZE) : null), [drawn]);
  const bySide = finding.says.length === finding.parts.length;
  return (
    <section className="grid grid-cols-[repeat(auto-fit,minmax(22.5rem,1fr))] gap-4 px-4 py-2" aria-label="The parts">
      {finding.parts.slice(0, 2).map((part, i) => (
        <div key={part.partId}>
          <h3 className="flex flex-wrap items-baseline gap-2">
            <b className="num text-lead font-semibold">{part.printed}</b>{' '}
            <span className="text-soft">{part.maker}</span>
            {bySide && (
              <b className="ml-auto flex items-center gap-1 font-semibold text-madder">
                <Mark kind="refuse" /> {finding.says[i]}
              </b>
            )}
          </h3>
          {part.shape && frame && (
            <Section
              head={NO_HEAD}
              plug={{ printed: part.printed, shape: part.shape }}
              oePlug={null}
              engine="no engine"
              frame={frame}
              size={SIZE}
              units={units}
            />
          )}
          <p className="text-soft">
            {part.shape
              ? `${part.onHand ?? 0} in stock${part.bin ? `, bin ${part.bin}` : ''}`
              : 'a number without a drawing'}
          </p>
        </div>
      ))}
      {!bySide && finding.says.length > 0 && <p className="col-span-full">{finding.says.join(', ')}</p>}
    </section>
  );
}
