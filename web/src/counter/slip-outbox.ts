import type { LineTicks } from '@brackenfell/contract/hand-over';
import type { ProblemCode } from '@brackenfell/contract/problem';
import type { Slip } from '@brackenfell/contract/slip';
import { call, ProblemError } from '../wire/call.ts';
import { NEW_SLIP, Outbox, type Intent, type Outcome } from '../wire/outbox.ts';

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

export const isSlip = (reply: unknown): reply is Slip =>
  typeof reply === 'object' && reply !== null && 'docket' in reply && 'version' in reply;

export const isTicks = (reply: unknown): reply is LineTicks =>
  typeof reply === 'object' && reply !== null && 'ticks' in reply;

/** Writes on slips, each kept until the server has it. */
export const outbox = new Outbox<unknown>(window.localStorage, {
  send,
  versionOf: (slipId) =>
    call('getSlip', { params: { slipId } }).then(
      ({ version }) => version,
      (error: unknown) => (error instanceof ProblemError ? 1 : undefined),
    ),
  readSlip: (reply) => (isSlip(reply) ? reply : undefined),
  heard: (reply) => hear(reply),
});

let hear: (reply: unknown) => void = () => undefined;

/** Says what is done with every answer, while somebody is signed in. */
export function hearBy(hearing: typeof hear): void {
  hear = hearing;
}

/** Only one window sends at a time; another's sending is heard of through the storage they share. */
export function flush(staffId: string): void {
  const locks = navigator.locks as LockManager | undefined;
  if (locks) void locks.request('brackenfell outbox', () => outbox.flush(staffId));
  else void outbox.flush(staffId);
}

/** Nobody waits longer than this to hand the counter over. */
const HAND_OVER_MS = 3000;

/** Sends what a person wrote before their session ends here. Resolves with how many writes are still not known to be stored. */
export function untilSent(staffId: string): Promise<number> {
  flush(staffId);
  return outbox.untilSent((intent) => intent.staffId === staffId, HAND_OVER_MS);
}

/** A slip by the number the server gave it, where it was begun here and has one. */
export const asBegun = (slipId: string | null): string | null =>
  slipId?.startsWith(NEW_SLIP) ? (outbox.begunAs(slipId) ?? slipId) : slipId;

/** What one person wrote on a slip; a colleague's write waits for them. */
export const isOwnOf =
  (slipId: string | undefined, staffId: string | undefined) =>
  (intent: Intent): boolean =>
    slipId !== undefined && intent.staffId === staffId && asBegun(intent.slipId) === asBegun(slipId);

export const isUnsentSlip = (slipId: string | undefined): boolean => slipId?.startsWith(NEW_SLIP) ?? false;

/** A name of our own for a slip that is begun now, until it has a number. */
export const nameNewSlip = (): string => `${NEW_SLIP}${crypto.randomUUID()}`;

/** Has seen a slip: what is written on it next goes out against this version. */
export function sawSlip({ slipId, version }: Slip): Slip['slipId'] {
  outbox.saw(slipId, version);
  return slipId;
}
