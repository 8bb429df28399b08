import { wordFor } from '@brackenfell/core/words/counted';
import { isHeld } from '@brackenfell/core/authenticity/batch-states';
import { useNavigate, useParams } from 'react-router';
import type { BatchLine } from '@brackenfell/contract/quarantine';
import { Mark } from '../controls/mark.tsx';
import { usePickList } from '../controls/pick-list.ts';
import { BatchDetail } from './batch-detail.tsx';
import { batchCode, STATE_MARK, STATE_WORDS } from './batch-words.ts';
import { useBatch, useBatches } from './use-quarantine.ts';

/** Every batch received or met, held ones first; the picked one with its evidence, events and buyers. */
export function BatchesPage() {
  const { batchId } = useParams();
  const navigate = useNavigate();
  const batches = useBatches();
  const lines = batches.data?.batches ?? [];
  const found = lines.findIndex((line) => line.batchId === batchId);
  const list = usePickList({
    label: 'Batches',
    row: 'batch',
    count: lines.length,
    picked: batchId === undefined ? 0 : found,
    pick: (index) => pick(lines[index]),
  });
  const picked = batchId ?? lines[0]?.batchId;
  const batch = useBatch(picked);
  const pick = (line: BatchLine | undefined) => {
    if (line) void navigate(`/quarantine/batches/${line.batchId}`, { replace: true });
  };
  const held = lines.filter(({ state }) => state === 'held').length;
  return (
    <>
      <aside className="desk-list" aria-label="Batches">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">
            <span className="num">{held}</span> {wordFor(held, 'batch held', 'batches held')}
          </h1>
          <p className="text-soft">
            {batches.data ? `of ${lines.length + batches.data.more} received or met` : 'Fetching the batches …'}
          </p>
          {batches.error && (
            <p role="alert" className="text-madder">
              {batches.error.message}
            </p>
          )}
        </div>
        <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
          {lines.map((line, i) => (
            <li key={line.batchId} {...list.rowProps(i)} className="audit-line">
              <Mark kind={STATE_MARK[line.state]} label={STATE_WORDS[line.state]} />
              <span className="min-w-0">
                <b className="num block font-semibold [overflow-wrap:anywhere]">{line.printed}</b>
                <span className="num block text-soft">{batchCode(line.code)}</span>
              </span>
              <span className="num text-right" title="on the shelf">
                {line.onHand}
                <span className="sr-only"> on the shelf</span>
              </span>
              <span className="num text-right text-soft" title="sold">
                {line.sold}
                <span className="sr-only"> sold</span>
              </span>
              <span className="col-[2/-1] text-soft">
                {line.seller}, {STATE_WORDS[line.state]}
                {isHeld(line.state) && line.toContact > 0 && (
                  <span className="text-madder">, {line.toContact} to reach</span>
                )}
              </span>
            </li>
          ))}
        </ol>
        {batches.data && lines.length === 0 && (
          <p className="p-3 text-soft">No batch has been received yet. Sheet 3 takes a delivery in.</p>
        )}
      </aside>
      {batch.data ? (
        <BatchDetail key={batch.data.batchId} batch={batch.data} />
      ) : (
        <main className="desk-main p-6" aria-label="Batch">
          <p className={batch.error ? 'text-madder' : 'text-soft'} role={batch.error ? 'alert' : undefined}>
            {batch.error
              ? batch.error.message
              : picked
                ? 'Fetching the batch …'
                : 'A batch is shown here once there is one.'}
          </p>
        </main>
      )}
    </>
  );
}
