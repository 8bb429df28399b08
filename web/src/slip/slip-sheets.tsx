import { Suspense } from 'react';
import { room, SheetOnItsWay } from '../controls/room.tsx';
import type { Staff } from '@brackenfell/contract/session';
import type { Slip } from '@brackenfell/contract/slip';
import { useCounter } from '../counter/use-counter.ts';
import { slipSheet } from '../counter/slip-sheet.ts';
import { printDocket } from '../counter/print-docket.ts';
import { slipCall } from '../counter/slip-call.ts';
import { useSlipWrite } from '../counter/use-slip-write.ts';
import { useOpenMatter } from '../counter/use-open-matter.ts';

/** Not part of the first load: they bring along how a sheet is laid over the desk, how every fact is answered and a form checked. */
const NoteDialog = room(async () => (await import('./dialogs.ts')).NoteDialog);
const QuantityDialog = room(async () => (await import('./dialogs.ts')).QuantityDialog);
const CollectDialog = room(async () => (await import('./dialogs.ts')).CollectDialog);
const EndDialog = room(async () => (await import('./dialogs.ts')).EndDialog);
const BatchDialog = room(async () => (await import('./dialogs.ts')).BatchDialog);
const ReleaseDialog = room(async () => (await import('./dialogs.ts')).ReleaseDialog);
const ToldDialog = room(async () => (await import('./dialogs.ts')).ToldDialog);
const AnswerDialog = room(async () => (await import('./dialogs.ts')).AnswerDialog);

const close = () => slipSheet.set(undefined);

/** The sheet that is open about the slip: one at a time. */
export function SlipSheets({ slip, me }: { slip: Slip | undefined; me: Staff }) {
  const sheet = slipSheet.use();
  if (!sheet) return null;
  return (
    <Suspense fallback={<SheetOnItsWay />}>
      {sheet.kind === 'answer' ? (
        <AnswerDialog sheet={sheet} slip={slip} onClose={close} />
      ) : (
        slip && <OfSlip slip={slip} me={me} sheet={sheet} />
      )}
    </Suspense>
  );
}

interface OfSlipProps {
  readonly slip: Slip;
  readonly me: Staff;
  readonly sheet: Exclude<ReturnType<typeof slipSheet.use>, undefined | { kind: 'answer' }>;
}

function OfSlip({ slip, me, sheet }: OfSlipProps) {
  const write = useSlipWrite();
  const { clear } = useCounter();
  const openMatter = useOpenMatter(slip);
  const params = { slipId: slip.slipId };
  const line = 'lineId' in sheet ? slip.lines.find(({ lineId }) => lineId === sheet.lineId) : undefined;
  switch (sheet.kind) {
    case 'collect':
      return (
        <CollectDialog
          slip={slip}
          onAnswer={openMatter}
          onCollect={() => {
            close();
            write.mutate(slipCall('collectSlip', { params, body: {} }, 'collected'), { onSuccess: clear });
          }}
          onCollectPart={(lines) => {
            close();
            write.mutate(slipCall('collectPart', { params, body: { lines: [...lines] } }, 'collected in part'), {
              onSuccess: clear,
            });
          }}
          onClose={close}
        />
      );
    case 'end':
      return (
        <EndDialog
          slip={slip}
          onEnd={(reason) => {
            close();
            write.mutate(slipCall('endSlip', { params, body: { reason } }, 'ended'), { onSuccess: clear });
          }}
          onClose={close}
        />
      );
    case 'note': {
      const note = slip.notes.find(({ noteId }) => noteId === sheet.noteId);
      return (
        <NoteDialog
          docket={printDocket(slip.docket)}
          draft={note ? `mend ${note.noteId}` : slip.slipId}
          wording={note?.text ?? ''}
          onClose={close}
          store={(text) =>
            write.mutate(
              note
                ? slipCall(
                    'mendNote',
                    { params: { ...params, noteId: note.noteId }, body: { text } },
                    `note anew: ${text}`,
                  )
                : slipCall('addNote', { params, body: { text } }, `note: ${text}`),
            )
          }
        />
      );
    }
    case 'release':
      return line ? (
        <ReleaseDialog
          slip={slip}
          line={line}
          says={line.toTell}
          ownSession={me.role === 'supervisor'}
          onClose={close}
        />
      ) : null;
    case 'told':
      return line ? <ToldDialog slip={slip} line={line} onClose={close} /> : null;
    case 'quantity':
      return line ? (
        <QuantityDialog
          slip={slip}
          line={line}
          onClose={close}
          store={(quantity) =>
            write.mutate(
              slipCall(
                'changeLine',
                { params: { ...params, lineId: line.lineId }, body: { quantity } },
                `${line.printed}: ${quantity}`,
              ),
            )
          }
        />
      ) : null;
    case 'batch':
      return line ? (
        <BatchDialog
          line={line}
          onClose={close}
          onChoose={(batchId) => {
            close();
            write.mutate(
              slipCall(
                'changeLine',
                { params: { ...params, lineId: line.lineId }, body: { batchId } },
                `${line.printed}: its batch`,
              ),
            );
          }}
        />
      ) : null;
  }
}
