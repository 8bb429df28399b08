import { useQuery } from '@tanstack/react-query';
import type { SlipLine } from '@brackenfell/contract/slip';
import { Dialog } from '../controls/dialog.tsx';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { useKeys } from '../keys/keys.ts';
import { batchCode, STATE_MARK, STATE_WORDS } from '../quarantine/batch-words.ts';
import { LETTERS } from '../session/switch-person.tsx';
import { call } from '../wire/call.ts';

interface BatchDialogProps {
  readonly line: SlipLine;
  readonly onChoose: (batchId: string | null) => void;
  readonly onClose: () => void;
}

/** Which batch the pieces of a line are from: read on the box, chosen by a letter. */
export function BatchDialog({ line, onChoose, onClose }: BatchDialogProps) {
  const batches = useQuery({
    queryKey: ['batches', line.partId],
    queryFn: () => call('listBatches', { query: { partId: line.partId } }),
  });
  const shelf = (batches.data?.batches ?? []).filter(({ onHand }) => onHand > 0).slice(0, LETTERS.length);
  const maySell = ({ state }: { state: string }) => state === 'open' || state === 'released';
  useKeys(
    'Which batch',
    [
      ...shelf.flatMap((batch, i) =>
        maySell(batch)
          ? [{ press: LETTERS[i]!, does: `Batch ${batchCode(batch.code)}`, run: () => onChoose(batch.batchId) }]
          : [],
      ),
      { press: 'n', does: 'Nobody can say', run: () => onChoose(null) },
    ],
    { inDialog: true },
  );
  return (
    <Dialog
      title={`Which batch are the ${line.printed} from?`}
      about="Read the code on the box. A batch in quarantine cannot be chosen: none of it is handed over."
      onClose={onClose}
    >
      {batches.error && (
        <p role="alert" className="text-madder">
          {batches.error.message}
        </p>
      )}
      {batches.data && shelf.length === 0 && <p className="text-soft">No batch of it is on the shelf.</p>}
      <ul className="grid gap-1">
        {shelf.map((batch, i) => (
          <li key={batch.batchId}>
            <button
              type="button"
              disabled={!maySell(batch)}
              className="grid min-h-8 w-full grid-cols-[1.5rem_1rem_8rem_1fr] items-center gap-2 border border-hair px-2 text-left"
              onClick={() => onChoose(batch.batchId)}
            >
              <Key>{maySell(batch) ? LETTERS[i] : ''}</Key>
              <Mark kind={STATE_MARK[batch.state]} />
              <b className="num font-semibold">{batchCode(batch.code)}</b>
              <span className={maySell(batch) ? 'text-soft' : 'text-madder'}>
                {batch.seller}, {batch.onHand} on the shelf, {STATE_WORDS[batch.state]}
              </span>
            </button>
          </li>
        ))}
        <li>
          <button type="button" className="button-plain" onClick={() => onChoose(null)}>
            <Key>n</Key> nobody can say
          </button>
        </li>
      </ul>
    </Dialog>
  );
}
