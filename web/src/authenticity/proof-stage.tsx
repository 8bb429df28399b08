import { useRef, useState } from 'react';
import { useParams } from 'react-router';
import { toast } from '../controls/toast.ts';
import type { JudgedInspection } from '@brackenfell/core/authenticity/inspection';
import { MEASURED } from '@brackenfell/core/authenticity/measured';
import { MEASURED_IDS, type MeasuredId, type TellAnswer } from '@brackenfell/core/authenticity/tell';
import type { Inspection } from '@brackenfell/contract/inspection';
import { useKeys, type KeyBinding } from '../keys/keys.ts';
import { useSession } from '../session/use-session.ts';
import { EvidenceWaterfall } from './evidence-waterfall.tsx';
import { GaugePanel } from './gauge-panel.tsx';
import type { NewEntry } from './inspection-outbox.ts';
import { NextCheckPanel } from './next-check-panel.tsx';
import { NumbersDialog } from './numbers-dialog.tsx';
import { PieceCard } from './piece-card.tsx';
import { ProofHead } from './proof-head.tsx';
import { ReadingsDialog } from './readings-dialog.tsx';
import { TellCard } from './tell-card.tsx';
import { useDevice } from '../measuring/use-device.ts';
import { useConclude, useInspection, useRepack } from './use-inspection.ts';

/** An inspection of pieces in hand: tells, readings and numbers, weighed as they come. */
export function ProofStage() {
  const { inspectionId = '' } = useParams();
  const { stored, judged, pending, note, whenStored } = useInspection(inspectionId);
  if (!stored.data || !judged)
    return (
      <main className="desk-main col-span-2 p-6" aria-label="Proof stage">
        {stored.error ? (
          <p role="alert" className="text-madder">
            {stored.error.message}
          </p>
        ) : (
          <p className="text-soft">Fetching the inspection …</p>
        )}
      </main>
    );
  return (
    <OpenInspection
      key={inspectionId}
      inspection={stored.data}
      judged={judged}
      waiting={pending.length}
      onNote={note}
      onStored={whenStored}
    />
  );
}

interface OpenInspectionProps {
  readonly inspection: Inspection;
  readonly judged: JudgedInspection;
  /** Entries that the server does not have yet. */
  readonly waiting: number;
  readonly onNote: (entries: readonly NewEntry[]) => void;
  /** Resolves once the server has everything that was noted. */
  readonly onStored: () => Promise<void>;
}

function OpenInspection({ inspection, judged, waiting, onNote, onStored }: OpenInspectionProps) {
  const [selected, select] = useState<number>(0);
  const [pickedTell, pickTell] = useState<string>();
  const [showFigures, setShowFigures] = useState(false);
  const [sheet, open] = useState<'numbers' | 'readings'>();
  const undone = useRef<(readonly NewEntry[])[]>([]);
  const conclude = useConclude(inspection.inspectionId);
  const repack = useRepack();
  const { data: me } = useSession();
  // The catalogue editor looks; the counter answers.
  const mayNote = me !== undefined && me !== null && me.role !== 'editor';
  const tells = inspection.reference?.content.tells ?? [];
  const shown = selected === 0 ? judged.worst : judged.pieces[selected - 1]!;
  const meant = selected === 0 ? judged.pieces : [shown];
  const openFor = (id: string) => meant.some(({ answers }) => answers[id] === undefined);
  // The tell picked by hand stays while it is open; otherwise the next best is looked at.
  const nextId = shown.next.find(({ tell }) => openFor(tell.id))?.tell.id ?? tells.find(({ id }) => openFor(id))?.id;
  const hereId = pickedTell ?? nextId;
  const here = tells.find(({ id }) => id === hereId);

  const measure = here?.measure;
  const nominal =
    measure && (measure.nominal === 'catalogue' ? inspection.catalogue[measure.quantity] : measure.nominal);
  const turn = measure && meant.find(({ readings }) => !readings.some(({ id }) => id === measure.quantity))?.piece;
  const { device, state } = useDevice(
    measure && MEASURED[measure.quantity].device,
    measure && nominal !== undefined
      ? { quantity: measure.quantity, nominal, batchCode: inspection.batchCode, piece: turn ?? 1 }
      : undefined,
  );

  const noteUndoable = (entries: readonly NewEntry[]) => {
    undone.current.push(entries.map((entry) => before(entry, judged)));
    onNote(entries);
  };
  const answer = (tellId: string, said: TellAnswer) => {
    noteUndoable(meant.map(({ piece }) => ({ what: 'tell', subject: tellId, piece, answer: said })));
    pickTell(undefined);
  };
  const answerHere = (said: TellAnswer) => {
    if (!here) return;
    if (here.measure && said !== 'cannot-see') {
      toast(`${here.title} is measured: Space takes the reading, m types it, n cannot tell.`);
      return;
    }
    answer(here.id, said);
  };
  const take = () => {
    if (!measure || turn === undefined) return;
    if (state?.kind !== 'reading') {
      toast.error(`Nothing was taken: ${state ? state.why : 'the device is not ready'}. What was taken before stays.`);
      return;
    }
    if (!state.steady) {
      toast('Not steady yet: hold it still and press again.');
      return;
    }
    const value = Number(state.value.toFixed(MEASURED[measure.quantity].decimals));
    noteUndoable([{ what: 'measure', subject: measure.quantity, piece: turn, value, device: device!.name }]);
    const last = meant.filter(({ readings }) => !readings.some(({ id }) => id === measure.quantity)).length === 1;
    pickTell(last ? undefined : here.id);
  };
  const undo = () => {
    const entries = undone.current.pop();
    if (!entries) {
      toast('Nothing to take back in this sitting.');
      return;
    }
    onNote(entries);
    pickTell(undefined);
  };
  const move = (by: number) => {
    const at = tells.findIndex(({ id }) => id === hereId);
    const next = tells[Math.max(0, Math.min(tells.length - 1, at + by))];
    if (next) pickTell(next.id);
  };
  const turnPiece = (by: number) => {
    const count = inspection.pieces + 1;
    if (inspection.pieces > 1) select((selected + by + count) % count);
    pickTell(undefined);
  };
  const [concluding, setConcluding] = useState(false);
  // What was noted last goes to the server first; while that is away the conclusion waits with it.
  const finish = (hold: boolean) => {
    if (concluding) return;
    setConcluding(true);
    void onStored()
      .then(() => conclude.mutateAsync({ hold }))
      .then(({ conclusion, batch }) =>
        toast(`${conclusion!.says[0]!}${batch?.state === 'held' ? ' The batch is held.' : ''}`),
      )
      // The mutation has told why.
      .catch(() => undefined)
      .finally(() => setConcluding(false));
  };
  const commit = () => finish(false);
  const printPack = () => {
    if (inspection.batch) window.open(`/api/batches/${inspection.batch.batchId}/evidence.pdf`, '_blank', 'noopener');
    else toast('There is a pack once the pieces’ batch is known: conclude first.');
  };
  const [other] = inspection.otherReferences;
  const noting: KeyBinding[] = [
    { press: 'a', does: 'As genuine (left)', run: () => answerHere('genuine-like') },
    { press: 'b', does: 'Differs (right)', run: () => answerHere('differs') },
    { press: 'n', does: 'Cannot tell', run: () => answerHere('cannot-see') },
    { press: 'Space', does: 'Take the reading', run: take },
    { press: 'i', does: 'Numbers read: box, stamping, barcode, batch code, price', run: () => open('numbers') },
    { press: 'm', does: 'Readings, typed', run: () => open('readings') },
    { press: 'z', does: 'Take back the last answer or reading', run: undo },
    ...(other
      ? [
          {
            press: 'g',
            does: `Hold it against ${other.title}`,
            run: () => repack.mutate({ inspection, referenceId: other.referenceId }),
          },
        ]
      : []),
    { press: 'h', does: 'Conclude, and hold the batch whatever was found', run: () => finish(true) },
    { press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Conclude: keep what was found', run: commit },
  ];
  useKeys('Proof', [
    { press: '.', does: 'Next best check', run: () => pickTell(undefined) },
    { press: 'j', does: 'Next tell', run: () => move(1), takeBack: () => move(-1) },
    { press: 'k', does: 'Tell before', run: () => move(-1), takeBack: () => move(1) },
    { press: 'ArrowDown', printed: '↓', does: 'Next tell', run: () => move(1) },
    { press: 'ArrowUp', printed: '↑', does: 'Tell before', run: () => move(-1) },
    { press: ']', does: 'Next piece, or all of them', run: () => turnPiece(1) },
    { press: '[', does: 'Piece before', run: () => turnPiece(-1) },
    { press: 's', does: 'Figures behind the evidence', run: () => setShowFigures((shownNow) => !shownNow) },
    { press: 'p', does: 'Evidence pack on paper', run: printPack },
    ...(mayNote ? noting : []),
  ]);
  return (
    <>
      <aside className="desk-card" aria-label="What is in hand">
        <div tabIndex={0} role="group" aria-label="Numbers, batch and seller">
          <PieceCard
            inspection={inspection}
            judged={judged}
            piece={shown}
            here={hereId}
            onPackaging={mayNote ? (referenceId) => repack.mutate({ inspection, referenceId }) : undefined}
          />
        </div>
      </aside>
      <main className="desk-main" aria-label="Proof stage">
        <ProofHead
          inspection={inspection}
          judged={judged}
          selected={selected}
          waiting={waiting}
          concluding={concluding}
          mayNote={mayNote}
          onSelect={(piece) => {
            select(piece);
            pickTell(undefined);
          }}
          onConclude={commit}
          onHold={() => finish(true)}
          onPack={printPack}
        />
        <div className="proof-tells" tabIndex={0} role="region" aria-label="Tells">
          {tells.map((tell, i) => (
            <TellCard
              key={tell.id}
              tell={tell}
              number={i + 1}
              answer={shared(meant.map(({ answers }) => answers[tell.id]))}
              isHere={tell.id === hereId}
              isNext={tell.id === nextId}
              onPick={() => pickTell(tell.id)}
              onAnswer={mayNote ? (said) => answer(tell.id, said) : undefined}
            />
          ))}
          {tells.length === 0 && (
            <p className="p-4">
              <b className="font-semibold">No reference of {inspection.part.maker} is recorded.</b> Without one nothing
              can be called consistent: numbers and readings still speak. The catalogue editor adds references in
              Quarantine, sheet 4.
            </p>
          )}
        </div>
        <div className="proof-lower">
          <EvidenceWaterfall
            inspection={inspection}
            piece={shown}
            prior={judged.prior}
            channelPrior={judged.channelPrior}
            showFigures={showFigures}
          />
          <div
            className="flex min-h-0 flex-col overflow-auto border-l border-line"
            tabIndex={0}
            role="group"
            aria-label="Next check and readings"
          >
            {measure && (
              <GaugePanel
                quantity={measure.quantity}
                nominal={nominal}
                tolerance={measure.tolerance}
                judged={judged}
                turn={turn}
                device={device}
                state={state}
                onTake={take}
              />
            )}
            <NextCheckPanel piece={shown} onGo={({ id }) => pickTell(id)} />
          </div>
        </div>
      </main>
      {sheet === 'numbers' && (
        <NumbersDialog
          pieces={inspection.pieces}
          batchCode={inspection.batchCode}
          onNote={noteUndoable}
          onClose={() => open(undefined)}
        />
      )}
      {sheet === 'readings' && (
        <ReadingsDialog
          quantities={measurable(inspection)}
          first={measure?.quantity ?? shown.next.find(({ tell }) => tell.measure)?.tell.measure?.quantity}
          catalogue={inspection.catalogue}
          pieces={meant.map(({ piece }) => piece)}
          onNote={noteUndoable}
          onClose={() => open(undefined)}
        />
      )}
    </>
  );
}

const OF_COIL: readonly MeasuredId[] = ['primaryOhm', 'weightG'];

const measurable = ({ part }: Inspection): readonly MeasuredId[] =>
  part.kind === 'plug' ? MEASURED_IDS.filter((id) => id !== 'primaryOhm') : OF_COIL;

/** One answer for several pieces: theirs where they agree. */
function shared(answers: readonly (TellAnswer | undefined)[]): TellAnswer | 'mixed' | undefined {
  const [first] = answers;
  if (answers.every((answer) => answer === first)) return first;
  return 'mixed';
}

/** What brings back what stood before an entry. */
function before(entry: NewEntry, judged: JudgedInspection): NewEntry {
  const { what, subject, piece } = entry;
  const held = judged.pieces.find((one) => one.piece === piece);
  const withdrawn: NewEntry = { what, subject, piece, answer: 'withdrawn' };
  if (what === 'tell') return { ...withdrawn, answer: held?.answers[subject] ?? 'withdrawn' };
  const reading = what === 'measure' ? held?.readings.find(({ id }) => id === subject) : undefined;
  return reading ? { what, subject, piece, value: reading.value } : withdrawn;
}
