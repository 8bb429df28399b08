import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { useNavigate } from 'react-router';
import { toast } from '../controls/toast.ts';
import { judgeInspection } from '@brackenfell/core/authenticity/inspection';
import type { RequestOf } from '@brackenfell/contract/endpoints';
import type { Inspection, NotedEvidence } from '@brackenfell/contract/inspection';
import { matterOf } from '@brackenfell/contract/inspection-matter';
import { isUnsentSlip } from '../counter/slip-outbox.ts';
import { useSession } from '../session/use-session.ts';
import { call } from '../wire/call.ts';
import { onServerReturn } from '../wire/server-presence.ts';
import { failureOf, InspectionOutbox, type NewEntry, type Waiting } from './inspection-outbox.ts';

/** Entries that go in one call. */
const MOST_ENTRIES = 40;
/** What could not be sent is tried again after this. */
const TRY_AGAIN_MS = 5000;
const keyOf = (inspectionId: string) => ['inspection', inspectionId] as const;

/** Notes entries, and gives the journal they stand in: of numbers and prices the whole inspection, for it says more now. */
async function noted(
  inspectionId: string,
  entries: readonly NewEntry[],
  key: string,
): Promise<NotedEvidence | Inspection> {
  const params = { inspectionId };
  const reply = await call('noteEvidence', { params, body: { entries: [...entries] } }, { key });
  return reply.rereads ? call('getInspection', { params }) : reply;
}

/** An inspection as it stands after what the server answered. */
function after(reply: NotedEvidence | Inspection, known: Inspection | undefined): Inspection | undefined {
  if ('part' in reply) return reply;
  const { journal, stale } = reply;
  return known && { ...known, journal, conclusion: known.conclusion && { ...known.conclusion, stale } };
}

async function send({ inspectionId, entries, key }: Waiting) {
  try {
    return { stored: await noted(inspectionId, entries, key) };
  } catch (error) {
    return failureOf(error);
  }
}

const outbox = new InspectionOutbox(window.localStorage, send);

/** An inspection, judged at once from what is stored and what this counter has just noted. */
export function useInspection(inspectionId: string) {
  const queries = useQueryClient();
  const { data: me } = useSession();
  const stored = useQuery({
    queryKey: keyOf(inspectionId),
    queryFn: () => call('getInspection', { params: { inspectionId } }),
  });
  const waiting = useSyncExternalStore(outbox.subscribe, () => outbox.waiting);
  const staffId = me?.id;
  const told = useMemo(
    () => ({
      onStored: (reply: NotedEvidence | Inspection) => {
        const queryKey = keyOf(reply.inspectionId);
        const { data: known, fetchStatus } = queries.getQueryState<Inspection>(queryKey) ?? {};
        queries.setQueryData<Inspection>(queryKey, after(reply, known));
        // A reading that was under way may have been made before these entries were: it is let go, and made again.
        if (!known || fetchStatus === 'fetching')
          void queries.cancelQueries({ queryKey }).then(() => queries.invalidateQueries({ queryKey }));
      },
      onRefused: toast.error,
    }),
    [queries],
  );
  useEffect(() => {
    if (!staffId) return undefined;
    const flush = () => void outbox.flush(staffId, told);
    flush();
    const again = setInterval(flush, TRY_AGAIN_MS);
    const stop = onServerReturn(flush);
    return () => {
      clearInterval(again);
      stop();
    };
  }, [staffId, told]);
  const pending = useMemo(
    () => waiting.filter((one) => one.inspectionId === inspectionId).flatMap(({ entries }) => entries),
    [waiting, inspectionId],
  );
  const judged = useMemo(
    () =>
      stored.data &&
      judgeInspection(
        matterOf(
          stored.data,
          pending.map((entry) => ({ ...entry, answer: entry.answer ?? '', value: entry.value ?? null })),
        ),
      ),
    [stored.data, pending],
  );
  const note = (entries: readonly NewEntry[]) => {
    if (!staffId || entries.length === 0) return;
    outbox.add({ key: crypto.randomUUID(), staffId, inspectionId, entries });
    void outbox.flush(staffId, told);
  };
  const whenStored = () => outbox.drained(inspectionId);
  return { stored, judged, pending, note, whenStored };
}

export function useBeginInspection() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: RequestOf<'beginInspection'>['body']) => call('beginInspection', { body }),
    onSuccess: (inspection: Inspection) => {
      client.setQueryData(keyOf(inspection.inspectionId), inspection);
      void client.invalidateQueries({ queryKey: ['inspections'] });
    },
    onError: (error) => toast.error(error.message),
  });
}

/**
 * The same pieces held against another packaging: an inspection of its own, with the numbers and readings taken so far. Tells
 * are looked at anew, for they are the packaging's own.
 */
export function useRepack() {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: async ({ inspection, referenceId }: { inspection: Inspection; referenceId: string }) => {
      const { part, seller, channel, batch, pieces, askedFor, slip, referenceUsed } = inspection;
      const begun = await call('beginInspection', {
        body: {
          partId: part.partId,
          sellerId: seller?.sellerId ?? null,
          channel,
          batchId: batch?.batchId ?? null,
          pieces,
          askedFor,
          slipLineId: slip?.lineId ?? null,
          referenceId,
          referenceUsed,
        },
      });
      const kept = inspection.journal
        .filter(({ what }) => what !== 'tell')
        .slice(-MOST_ENTRIES)
        .map(({ at: _at, by: _by, ...entry }) => entry);
      if (kept.length === 0) return begun;
      return after(await noted(begun.inspectionId, kept, crypto.randomUUID()), begun) ?? begun;
    },
    onSuccess: (begun) => {
      client.setQueryData(keyOf(begun.inspectionId), begun);
      void client.invalidateQueries({ queryKey: ['inspections'] });
      void navigate(`/counter/proof/${begun.inspectionId}${window.location.search}`, { replace: true });
    },
    onError: (error) => toast.error(error.message),
  });
}

/** Keeps what was found. Slips, trays and batches rest on it. */
export function useConclude(inspectionId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: RequestOf<'concludeInspection'>['body']) =>
      call('concludeInspection', { params: { inspectionId }, body }),
    onSuccess: (inspection) => {
      client.setQueryData(keyOf(inspectionId), inspection);
    },
    onError: (error) => toast.error(error.message),
    onSettled: () => {
      for (const key of [['inspections'], ['slips'], ['tray'], ['batches'], ['batch']])
        void client.invalidateQueries({ queryKey: key });
    },
  });
}

/** Inspections of a slip, or of any; for one that has no number yet nothing was looked at. */
export function useInspections(slipId: string | undefined) {
  return useQuery({
    queryKey: ['inspections', slipId],
    queryFn: () =>
      isUnsentSlip(slipId) ? { inspections: [] } : call('listInspections', { query: slipId ? { slipId } : {} }),
  });
}
