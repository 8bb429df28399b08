import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import { toast } from '../controls/toast.ts';
import type { ProblemCode } from '@brackenfell/contract/problem';
import type { HandOver, LineTicks } from '@brackenfell/contract/hand-over';
import type { Slip } from '@brackenfell/contract/slip';
import type { SlipDetails } from '@brackenfell/core/slip/details';
import { useSession } from '../session/use-session.ts';
import { call, ProblemError } from '../wire/call.ts';
import { NEW_SLIP, Outbox, type Intent, type Outcome } from '../wire/outbox.ts';
import { isServerAway, onServerReturn } from '../wire/server-presence.ts';
import type { SlipCall } from './slip-call.ts';
import { keptNow } from './last-kept.ts';
import { saidUnsent } from './said-unsent.ts';
import { inverseOf, type Undo } from './undo.ts';
import { pushUndo } from './undo-stack.ts';

/** Words of the server after which sending the same once more would be of no use. */
const FINAL: ReadonlySet<ProblemCode> = new Set<ProblemCode>([
  'invalid-request',
  'not-found',
  'key-reused',
  'role-not-allowed',
  'not-allowed-now',
  'already-there',
  'not-collected',
  'body-too-large',
  'unreadable-body',
]);

async function send({ name, request, version, key }: Intent): Promise<Outcome<unknown>> {
  const { params, body = {} } = request;
  const full = { ...(params ? { params } : {}), body: version === undefined ? body : { ...body, version } };
  try {
    return { kind: 'stored', reply: await call(name, full as never, { key }) };
  } catch (error) {
    if (!(error instanceof ProblemError)) return { kind: 'kept' };
    const { code, detail } = error.problem;
    if (code === 'changed-meanwhile') return { kind: 'overtaken' };
    return FINAL.has(code) ? { kind: 'refused', why: detail, error } : { kind: 'kept' };
  }
}

const isSlip = (reply: unknown): reply is Slip =>
  typeof reply === 'object' && reply !== null && 'docket' in reply && 'version' in reply;

const isTicks = (reply: unknown): reply is LineTicks => typeof reply === 'object' && reply !== null && 'ticks' in reply;

const outbox = new Outbox<unknown>(window.localStorage, {
  send,
  versionOf: (slipId) =>
    call('getSlip', { params: { slipId } }).then(
      ({ version }) => version,
      (error: unknown) => (error instanceof ProblemError ? 1 : undefined),
    ),
  readSlip: (reply) => (isSlip(reply) ? reply : undefined),
  heard: (reply) => hear(reply),
});

/** What is done with every answer; set while somebody is signed in. */
let hear: (reply: unknown) => void = () => undefined;

/** Only one window sends at a time; another's sending is heard of through the storage they share. */
function flush(staffId: string): void {
  const locks = navigator.locks as LockManager | undefined;
  if (locks) void locks.request('brackenfell outbox', () => outbox.flush(staffId));
  else void outbox.flush(staffId);
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
    hear = (reply) => {
      if (isSlip(reply)) keep(queries, reply);
      else if (isTicks(reply)) keepTicks(queries, reply);
    };
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

/** Nobody waits longer than this to hand the counter over. */
const HAND_OVER_MS = 3000;

/** Sends what a person wrote before their session ends here. Resolves with how many writes are still not known to be stored. */
export function untilSent(staffId: string): Promise<number> {
  flush(staffId);
  return outbox.untilSent((intent) => intent.staffId === staffId, HAND_OVER_MS);
}

/** What was written before is waited for so long while the server answers. */
const ARRIVES_MS = 10_000;

/**
 * Sends what rests on a slip as it is here and is no write of the outbox, once what was written on the slip before is stored:
 * ahead of that it would be printed, or refused, by a slip that lacks it.
 */
export function useAfterWrites(slipId: string | undefined): <T>(send: () => Promise<T>) => Promise<T> {
  const { data: me } = useSession();
  return async (send) => {
    if (me) flush(me.id);
    const left = await outbox.untilSent(isOwnOf(slipId, me?.id), isServerAway() ? 0 : ARRIVES_MS);
    if (left > 0) throw new Error('What was written on this slip before is not stored yet: once more when it is.');
    return send();
  };
}

function useWaiting(): readonly Intent[] {
  return useSyncExternalStore(outbox.subscribe, () => outbox.waiting);
}

/** A slip by the number the server gave it, where it was begun here and has one. */
const asBegun = (slipId: string | null): string | null =>
  slipId?.startsWith(NEW_SLIP) ? (outbox.begunAs(slipId) ?? slipId) : slipId;

/** Writes of this computer, whoever's slip they are of, that are not known to be stored. */
export const useAllUnsent = useWaiting;

/** Writes of a slip that are not known to be stored. */
export function useUnsent(slipId: string | undefined): readonly Intent[] {
  const waiting = useWaiting();
  return useMemo(
    () =>
      // A write that is addressed has the slip's number while the page may still call it by our own name, and the other way round.
      waiting.filter((intent) => asBegun(intent.slipId) === asBegun(slipId ?? null)),
    [waiting, slipId],
  );
}

/** What one person wrote on a slip; a colleague's write waits for them. */
const isOwnOf =
  (slipId: string | undefined, staffId: string | undefined) =>
  (intent: Intent): boolean =>
    slipId !== undefined && intent.staffId === staffId && asBegun(intent.slipId) === asBegun(slipId);

/** What who is signed in said of what a slip is for and is on its way; the same object as long as it says the same. */
export function useSaidUnsent(slipId: string | undefined): Partial<SlipDetails> {
  const { data: me } = useSession();
  const said = useSyncExternalStore(outbox.subscribe, () =>
    JSON.stringify(saidUnsent(outbox.waiting.filter(isOwnOf(slipId, me?.id)))),
  );
  return useMemo(() => JSON.parse(said) as Partial<SlipDetails>, [said]);
}

/** The number of a slip that was begun here, once the server has given it one. */
export function useBegunAs(slipId: string | undefined): string | undefined {
  useWaiting();
  return slipId?.startsWith(NEW_SLIP) ? outbox.begunAs(slipId) : undefined;
}

export const isUnsentSlip = (slipId: string | undefined): boolean => slipId?.startsWith(NEW_SLIP) ?? false;

/** A name of our own for a slip that is begun now, until it has a number. */
export const nameNewSlip = (): string => `${NEW_SLIP}${crypto.randomUUID()}`;

/** Has seen a slip: what is written on it next goes out against this version. */
export function sawSlip({ slipId, version }: Slip): Slip['slipId'] {
  outbox.saw(slipId, version);
  return slipId;
}

interface Hearing {
  readonly onSuccess?: (reply: never) => void;
  readonly onRefused?: (error: Error) => void;
  /** Not undone by stepping back: it is itself a step back. */
  readonly isUndo?: boolean;
}

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

/** Writes on slips. Each is kept until the server has it, and can be stepped back from where that makes sense. */
export function useSlipWrite() {
  const queries = useQueryClient();
  const { data: me } = useSession();
  const mutate = useCallback(
    (one: SlipCall, hearing: Hearing = {}, slipId: string | null = one.request.params?.slipId ?? null) => {
      if (!me) return;
      const seen = slipId === null ? undefined : queries.getQueryData<Slip>(['slips', slipId]);
      // What is kept and on its way is what a step back goes back to.
      const own = outbox.waiting.filter((intent) => asBegun(intent.slipId) === asBegun(slipId));
      const before = seen && { ...seen, kept: keptNow(seen.kept, own) };
      outbox.add(
        { staffId: me.id, name: one.name, request: one.request, slipId, says: one.says },
        {
          onStored: (reply) => {
            if (isSlip(reply)) {
              const undo: Undo | undefined = hearing.isUndo ? undefined : inverseOf(one, before, reply);
              if (undo) pushUndo(reply.slipId, undo);
            }
            (hearing.onSuccess as ((reply: unknown) => void) | undefined)?.(reply);
          },
          onRefused: (why, error) => {
            if (hearing.onRefused) hearing.onRefused(error);
            else toast.error(why);
            void queries.invalidateQueries({ queryKey: ['slips'] });
          },
        },
      );
      flush(me.id);
    },
    [me, queries],
  );
  return { mutate };
}
