import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { HandOver, LineTicks } from '@brackenfell/contract/hand-over';
import type { Slip } from '@brackenfell/contract/slip';
import { useSession } from '../session/use-session.ts';
import { onServerReturn } from '../wire/server-presence.ts';
import { flush, hearBy, isSlip, isTicks, outbox } from './slip-outbox.ts';

/** The latest version of each slip that came back with an answer to this page's own writes. */
const ownVersions = new Map<string, number>();

/** Whether this page made a slip what it is, or what it was before: nobody here needs to be told. */
export const isOwnVersion = ({ slipId, version }: Slip): boolean => version <= (ownVersions.get(slipId) ?? 0);

function keep(queries: QueryClient, slip: Slip): void {
  ownVersions.set(slip.slipId, slip.version);
  queries.setQueryData(['slips', slip.slipId], slip);
  void queries.invalidateQueries({ queryKey: ['slips', 'list'] });
}

/** What is ticked on a line stands at once, also where it was ticked before the page was loaded; what is being fetched meanwhile may not know of it. */
function keepTicks(queries: QueryClient, { slipId, lineId, ticks }: LineTicks): void {
  const queryKey = ['hand-over', slipId];
  // First, for what is cancelled goes back to what it knew before.
  const cancelled = queries.cancelQueries({ queryKey });
  queries.setQueriesData<HandOver>(
    { queryKey },
    (card) =>
      card && { ...card, fitted: card.fitted.map((line) => (line.lineId === lineId ? { ...line, ticks } : line)) },
  );
  // Without data yet a fetch under way would not be begun anew by that alone, and would lay what it knew over this.
  void cancelled.then(() => queries.invalidateQueries({ queryKey }));
}

/** What could not be sent is tried again after this. */
const TRY_AGAIN_MS = 3000;

/** Keeps the outbox going while somebody is signed in. Stands once, in the frame. */
export function useOutboxFlow(): void {
  const { data: me } = useSession();
  const queries = useQueryClient();
  const staffId = me?.id;
  useEffect(() => {
    if (!staffId) return undefined;
    const go = () => {
      if (outbox.waiting.some((intent) => intent.staffId === staffId)) flush(staffId);
    };
    const heard = () => {
      outbox.refresh();
      void queries.invalidateQueries({ queryKey: ['slips'] });
    };
    hearBy((reply) => {
      if (isSlip(reply)) keep(queries, reply);
      else if (isTicks(reply)) keepTicks(queries, reply);
    });
    go();
    const again = setInterval(go, TRY_AGAIN_MS);
    const stop = onServerReturn(go);
    window.addEventListener('storage', heard);
    return () => {
      clearInterval(again);
      stop();
      window.removeEventListener('storage', heard);
    };
  }, [staffId, queries]);
}
