import { wordFor } from '@brackenfell/core/words/counted';
import { useState } from 'react';
import { toast } from '../controls/toast.ts';
import type { AuditLine, AuditList } from '@brackenfell/contract/audit';
import { usePickList } from '../controls/pick-list.ts';
import { Key } from '../controls/key.tsx';
import { printMoment } from '../controls/moment.ts';
import { Mark } from '../controls/mark.tsx';
import { useKeys } from '../keys/keys.ts';
import { useMayMend } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { FindingDetail } from './finding-detail.tsx';
import { useAudit, useAuditWrite, useFinding } from './use-audit.ts';

/** Contradictions of the catalogue, ranked by what they touch; the picked one with its evidence and what can be done. */
export function AuditPage() {
  const audit = useAudit();
  const mayEdit = useMayMend();
  const [picked, pick] = useState(0);
  const lines = audit.data?.findings ?? [];
  const list = usePickList({ label: 'Contradictions', row: 'contradiction', count: lines.length, picked, pick });
  const { here } = list;
  const finding = useFinding(lines[here]?.findingId);
  const write = useAuditWrite();
  const job = audit.data?.job;
  const isRunning = job?.state === 'waiting' || job?.state === 'running';
  const start = () => {
    write.mutate(() => call('startAudit', { body: {} }), {
      onError: (error) => toast.error(error.message),
    });
  };
  const cancel = () => {
    if (job) write.mutate(() => call('cancelAudit', { params: { jobId: job.jobId }, body: {} }));
  };
  useKeys('Audit', [
    ...(mayEdit ? [{ press: 'Control+Enter', printed: 'Ctrl Enter', does: 'Run the audit', run: start }] : []),
    ...(mayEdit && isRunning ? [{ press: 'x', does: 'Cancel the audit', run: cancel }] : []),
  ]);
  return (
    <>
      <aside className="desk-list" aria-label="Contradictions">
        <div className="border-b border-line px-3 py-2">
          <h1 className="text-verdict font-semibold">
            <span className="num">{audit.data?.open ?? 0}</span>{' '}
            {wordFor(audit.data?.open ?? 0, 'contradiction open', 'contradictions open')}
          </h1>
          <p className="text-soft">
            {audit.data ? `of ${audit.data.total} found; by engines, then stock touched` : 'Fetching the audit …'}
          </p>
          {audit.data && <Progress audit={audit.data} />}
          {mayEdit && (
            <p className="flex gap-2 pt-1">
              {isRunning ? (
                <button type="button" className="button-plain" onClick={cancel}>
                  Cancel it <Key>x</Key>
                </button>
              ) : (
                <button type="button" className="button-plain" onClick={start}>
                  {job ? 'Run it again' : 'Run the audit'} <Key>Ctrl Enter</Key>
                </button>
              )}
            </p>
          )}
          {audit.error && (
            <p role="alert" className="text-madder">
              {audit.error.message}
            </p>
          )}
        </div>
        <ol {...list.listProps} className="min-h-0 flex-1 overflow-auto">
          {lines.map((line, i) => (
            <Line key={line.findingId} line={line} row={list.rowProps(i)} />
          ))}
        </ol>
        {audit.data && lines.length === 0 && (
          <p className="p-3 text-soft">
            {job?.state === 'done'
              ? 'Nothing contradicts anything.'
              : 'Nothing is listed yet: the audit looks through every cluster, number and source.'}
          </p>
        )}
        {audit.data && audit.data.total > lines.length && (
          <p className="p-3 text-soft">{audit.data.total - lines.length} more below, touching less.</p>
        )}
      </aside>
      {finding.data && lines.length > 0 ? (
        <FindingDetail key={finding.data.findingId} finding={finding.data} mayEdit={mayEdit} />
      ) : (
        <main className="desk-main p-6" aria-label="Evidence">
          <p className="text-soft">
            {finding.error
              ? finding.error.message
              : 'A contradiction is shown here with its evidence once there is one.'}
          </p>
        </main>
      )}
    </>
  );
}

function Progress({ audit }: { audit: AuditList }) {
  const { job } = audit;
  if (!job) return <p className="text-soft">It was never run.</p>;
  if (job.state === 'waiting' || job.state === 'running')
    return (
      <div role="status">
        <progress max={1} value={job.progress} aria-label="Progress of the audit" />
        <span className="text-soft">{job.state === 'waiting' ? 'Waiting for its turn …' : `${job.doing} …`}</span>
      </div>
    );
  return (
    <p className="text-soft">
      {printMoment(job.endedAt ?? job.askedAt)}: {job.outcome}
    </p>
  );
}

function Line({ line, row }: { line: AuditLine; row: ReturnType<ReturnType<typeof usePickList>['rowProps']> }) {
  const settled = line.decision && line.decision.action !== 'note';
  return (
    <li {...row} className="audit-line">
      <Mark kind={settled ? 'match' : line.engines > 0 ? 'refuse' : 'caution'} />
      <span className="min-w-0">
        <b className="block font-semibold">{line.title}</b>
        <span className="num block text-soft">{line.between}</span>
        {line.says && <span className="block text-soft">{line.says}</span>}
        {line.decision && (
          <span className="block text-soft">
            {DONE[line.decision.action]} by {line.decision.by}
          </span>
        )}
      </span>
      <span className="num text-right" title="engines">
        {line.engines}
        <span className="sr-only"> engines</span>
      </span>
      <span className="num text-right text-soft" title="in stock">
        {line.stock}
        <span className="sr-only"> in stock</span>
      </span>
    </li>
  );
}

const DONE = { accept: 'accepted', note: 'noted', cut: 'cut', choose: 'figure chosen' } as const;
