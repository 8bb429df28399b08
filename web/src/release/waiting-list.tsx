import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { WaitingLine } from '@brackenfell/contract/release';
import { Key } from '../controls/key.tsx';
import { Mark } from '../controls/mark.tsx';
import { printMoment } from '../controls/moment.ts';
import { useHeldPlaces } from '../live/held-list.ts';
import { NewsMark } from '../live/news-mark.tsx';
import { useKeys } from '../keys/keys.ts';
import { call } from '../wire/call.ts';
import { ReleaseDialog } from './release-dialog.tsx';

const BY_LINE = {
  keyOf: ({ lineId }: WaitingLine) => lineId,
  tellOf: ({ says, quantity }: WaitingLine) => `${quantity} ${says.join(' ')}`,
};

/** The supervisor's queue: lines that wait for a word, the longest first. */
export function WaitingList() {
  const waiting = useQuery({
    queryKey: ['waiting'],
    queryFn: () => call('listWaiting', {}),
  });
  const [releasing, release] = useState<WaitingLine>();
  const asked = waiting.isFetchedAfterMount ? '' : undefined;
  const { held: lines = [], layOut } = useHeldPlaces(waiting.data?.lines, asked, BY_LINE);
  const isNews = lines.some(({ news }) => news !== null);
  const count = waiting.data?.lines.length ?? 0;
  const first = lines.find(({ news }) => news !== 'gone')?.item;
  useKeys('Waiting lines', [
    ...(first ? [{ press: 'r', does: 'Release the line that waits longest', run: () => release(first) }] : []),
  ]);
  return (
    <section className="p-4" aria-label="Waits for the supervisor">
      <h2 className="pb-1 text-head font-semibold">
        Waits for the supervisor, <span className="num">{count}</span>
      </h2>
      {waiting.error && (
        <p role="alert" className="text-madder">
          {waiting.error.message}
        </p>
      )}
      {isNews && (
        <button type="button" className="button-quiet" onClick={layOut}>
          What changed is seen
        </button>
      )}
      {waiting.data && count === 0 && <p className="text-soft">Nothing waits.</p>}
      <ul className="grid max-w-3xl gap-1">
        {lines.map(({ item: line, news }) => (
          <li key={line.lineId} className="border border-hair p-2">
            <p className="flex items-baseline gap-2">
              <Mark kind="caution" label="Needs supervisor" />
              <NewsMark news={news} />
              <b className="num font-semibold">{line.printed}</b>
              <span className="text-soft">
                {line.quantity} × {line.maker}, slip <span className="num">{line.docket}</span>
                {line.customer ? `, ${line.customer}` : ''}
                {line.engine ? `, ${line.engine}` : ''}
              </span>
              {news !== 'gone' && (
                <button type="button" className="ml-auto underline" onClick={() => release(line)}>
                  {line === first && <Key>r</Key>} release
                </button>
              )}
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
