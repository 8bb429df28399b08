import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { ShopState } from '@brackenfell/contract/shop';
import { counted, printCount } from '@brackenfell/core/words/counted';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { Trouble } from '../controls/trouble.tsx';
import { useAllUnsent } from '../counter/use-unsent.ts';
import { call } from '../wire/call.ts';
import { warnings } from './warnings.ts';

const MEGABYTE = 1_000_000;
const GIGABYTE = 1_000_000_000;
const megabytes = (bytes: number) => `${printCount(Math.ceil(bytes / MEGABYTE))} MB`;
const gigabytes = (bytes: number) => `${printCount(Math.floor(bytes / GIGABYTE))} GB`;

/** How the instance stands, for whoever answers for it: what needs seeing to first, then every figure. */
export function InstanceState() {
  const state = useQuery({ queryKey: ['instance'], queryFn: () => call('getShopState', {}) });
  const unsent = useAllUnsent();
  return (
    <section aria-label="How it stands" className="grid gap-2">
      <h2 className="font-semibold text-slate">How it stands</h2>
      <Trouble error={state.error} />
      {state.isPending && <p className="text-soft">Looking …</p>}
      {state.data && (
        <>
          <Warnings state={state.data} unsent={unsent.length} />
          <Figures state={state.data} unsent={unsent.length} />
          <Queue queue={state.data.queue} />
          <SlowCalls slow={state.data.slow} />
        </>
      )}
    </section>
  );
}

interface OfState {
  readonly state: ShopState;
  /** Writes that wait on this computer. */
  readonly unsent: number;
}

function Warnings({ state, unsent }: OfState) {
  const said = warnings(state, unsent, Date.parse(state.now));
  return (
    <ul aria-label="To see to" className="grid gap-1">
      {said.length === 0 && <li className="text-soft">Nothing needs seeing to.</li>}
      {said.map((says) => (
        <li key={says} className="flex items-start gap-2 border-l-2 border-heather pl-2">
          <span className="pt-0.5">
            <Mark kind="caution" label="See to it" />
          </span>
          {says}
        </li>
      ))}
    </ul>
  );
}

function Figures({ state: { backup, databaseBytes, lastMigration, jobs, server }, unsent }: OfState) {
  const rows: readonly (readonly [string, ReactNode])[] = [
    [
      'Last backup',
      backup
        ? `${printMoment(backup.at)}: ${printCount(backup.rows)} rows of ${backup.tables} tables, read back`
        : 'None yet. npm run backup makes one.',
    ],
    [
      'Disk',
      server.disk
        ? `${gigabytes(server.disk.freeBytes)} free of ${gigabytes(server.disk.bytes)}, where this server runs`
        : 'not told by this system',
    ],
    ['Database', megabytes(databaseBytes)],
    ['Server', `since ${printMoment(server.since)}, holds ${megabytes(server.memoryBytes)}`],
    ['Pages open', printCount(server.pages)],
    ['Unsent here', unsent === 0 ? 'nothing' : counted(unsent, 'write')],
    [
      'Jobs so far',
      jobs.map(({ kind, state: at, count }) => `${kind} ${at}: ${printCount(count)}`).join('; ') || 'none',
    ],
    ['Brought up to', lastMigration],
  ];
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      {rows.map(([what, says]) => (
        <div key={what} className="contents">
          <dt className="text-slate">{what}</dt>
          <dd className="num">{says}</dd>
        </div>
      ))}
    </dl>
  );
}

function Queue({ queue }: Pick<ShopState, 'queue'>) {
  return (
    <section aria-label="Queue of jobs">
      <h3 className="font-semibold text-slate">Queue</h3>
      {queue.length === 0 && <p className="text-soft">No job waits or runs.</p>}
      <ol className="grid gap-1">
        {queue.map((job) => (
          <li key={job.jobId}>
            {job.kind === 'audit' ? 'Audit' : 'List'}, {job.state}
            {job.state === 'running' && `, ${Math.round(job.progress * 100)}%: ${job.doing}`}.
            <span className="text-soft">
              {' '}
              Asked by {job.askedBy}, {printMoment(job.askedAt)}
              {job.tries > 1 && `, taken up ${job.tries} times`}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

function SlowCalls({ slow }: Pick<ShopState, 'slow'>) {
  return (
    <section aria-label="Slow calls">
      <h3 className="font-semibold text-slate">Slow since the server started</h3>
      {slow.length === 0 && <p className="text-soft">No call took longer than a second.</p>}
      <ol className="grid gap-1">
        {slow.map((one) => (
          <li key={`${one.at} ${one.route} ${one.ms}`}>
            <span className="num">
              {printMoment(one.at)}, {(one.ms / 1000).toFixed(1)} s: {one.method} {one.route}
              {one.status >= 400 && `, answered ${one.status}`}
            </span>
            <span className="block break-words text-soft">{one.why}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
