import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { WaitingLine } from '@brackenfell/contract/release';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';
import { ReleaseDialog } from './release-dialog.tsx';

/** The supervisor's queue: lines that wait for a word, the longest first. */
export function WaitingList() {
  const waiting = useQuery({
    queryKey: ['waiting'],
    queryFn: () => call('listWaiting', {}),
    refetchInterval: 15_000,
  });
  const [releasing, release] = useState<WaitingLine>();
  const lines = waiting.data?.lines ?? [];
  useKeys('Waiting lines', [
    ...(lines[0] ? [{ press: 'r', does: 'Release the line that waits longest', run: () => release(lines[0]) }] : []),
  ]);
  return (
    <section className="p-4" aria-label="Waits for the supervisor">
      <h2 className="pb-1 text-head font-semibold">
        Waits for the supervisor, <span className="num">{lines.length}</span>
      </h2>
      {waiting.error && (
        <p role="alert" className="text-madder">
          {waiting.error.message}
        </p>
      )}
      {waiting.data && lines.length === 0 && <p className="text-soft">Nothing waits.</p>}
      <ul className="grid max-w-3xl gap-1">
        {lines.map((line, i) => (
          <li key={line.lineId} className="border border-hair p-2">
            <p className="flex items-baseline gap-2">
              <Mark kind="caution" label="Needs supervisor" />
              <b className="num font-semibold">{line.printed}</b>
              <span className="text-soft">
                {line.quantity} × {line.maker}, slip <span className="num">{line.docket}</span>
                {line.customer ? `, ${line.customer}` : ''}
                {line.engine ? `, ${line.engine}` : ''}
              </span>
              <button type="button" className="ml-auto underline" onClick={() => release(line)}>
                {i === 0 && <Key>r</Key>} release
              </button>
            </p>
            {line.says.map((says) => (
              <p key={says}>{says}</p>
            ))}
            <p className="text-soft">
              Since {printMoment(line.since)}
              {line.holder ? `, ${line.holder} holds it` : ''}
            </p>
          </li>
        ))}
      </ul>
      {releasing && (
        <ReleaseDialog
          slip={releasing}
          line={releasing}
          says={releasing.says}
          ownSession
          onClose={() => release(undefined)}
        />
      )}
    </section>
  );
}
