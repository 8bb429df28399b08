import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Express, Request, Response } from 'express';
import type { z } from 'zod';
import type { Endpoint } from '@brackenfell/contract/endpoint';
import type { Staff } from '@brackenfell/contract/session';
import { upperFirst } from '@brackenfell/core/words/case';
import type { Context } from '../context/context.ts';
import type { Database, Writing } from '../db/database.ts';
import { findSession } from '../staff/store.ts';
import { readSessionToken } from '../staff/cookie.ts';
import { claimKey, storeReply } from './receipt-store.ts';
import { callHash } from './receipts.ts';
import { readBytes } from './read-bytes.ts';
import { isTrouble, problemOf, trouble, type Trouble } from './trouble.ts';

type Parsed<S> = S extends z.ZodType ? z.output<S> : object;
/** An answer as it goes out, where the same is often asked. A receipt keeps what was meant, so that no write has one. */
export interface Written<T> {
  readonly json: Buffer;
  /** Never there: only says what is written. */
  readonly of?: T;
}
type Plain<E extends Endpoint> = z.input<E['response']>;
type Reply<E extends Endpoint> = Plain<E> | Trouble | (E extends { idempotent: true } ? never : Written<Plain<E>>);

interface Call<E extends Endpoint> {
  readonly params: Parsed<E['params']>;
  readonly query: Parsed<E['query']>;
  readonly body: Parsed<E['body']>;
  readonly req: Request;
  readonly res: Response;
  /** The file that was sent, where the endpoint takes one; empty else. */
  readonly bytes: Buffer;
}
type WithStaff<E extends Endpoint> = E['roles'] extends 'public' ? object : { readonly staff: Staff };
/** Idempotent endpoints write, inside the transaction that also keeps their receipt; the others read. */
type WithDatabase<E extends Endpoint> = E extends { idempotent: true }
  ? { readonly trx: Writing }
  : { readonly db: Database };

export type Handler<E extends Endpoint> = (call: Call<E> & WithStaff<E> & WithDatabase<E>) => Promise<Reply<E>>;

/** Endpoints registered on an application, for the test that none is missing. */
export const registered = new WeakMap<Express, Endpoint[]>();

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** Registers an endpoint: session and role, then validation, then the handler, then one shape of answer or problem. */
export function serve<const E extends Endpoint>(
  app: Express,
  context: Context,
  endpoint: E,
  handler: Handler<E>,
): void {
  registered.set(app, [...(registered.get(app) ?? []), endpoint]);
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'patch' | 'delete';
  app[method](endpoint.path, async (req, res) => {
    const began = performance.now();
    // How long a page stays open says nothing of speed.
    if (endpoint.produces !== 'text/event-stream')
      res.once('close', () => {
        const call = { route: endpoint.path, method: endpoint.method, status: res.statusCode };
        const ended = performance.now();
        context.metrics.took((ended - began) / 1000, call);
        const slow = context.metrics.slow.note(call, began, ended);
        if (slow) context.log.warn(slow, 'slow call');
      });
    const reply = await answer(context, endpoint, handler, req, res);
    if (isTrouble(reply)) sendTrouble(req, res, reply);
    else if (isLines(reply)) await sendLines(endpoint, res, reply);
    else if (isWritten(reply))
      res
        .status(endpoint.status ?? 200)
        .type('application/json')
        .send(reply.json);
    else if (reply instanceof Uint8Array) res.status(200).type(endpoint.produces!).send(Buffer.from(reply));
    else res.status(endpoint.status ?? 200).json(reply);
  });
}

export const write = <T>(answer: T): Written<T> => ({ json: Buffer.from(JSON.stringify(answer)) });

const isWritten = (reply: unknown): reply is Written<unknown> =>
  typeof reply === 'object' && reply !== null && 'json' in reply && Buffer.isBuffer(reply.json);

const isLines = (reply: unknown): reply is AsyncIterable<string | Uint8Array> =>
  typeof reply === 'object' && reply !== null && Symbol.asyncIterator in reply;

/** A document as it is made, however long: a reader who is slow slows its making, and one who goes ends it. */
async function sendLines(endpoint: Endpoint, res: Response, lines: AsyncIterable<string | Uint8Array>): Promise<void> {
  if (endpoint.produces === 'text/event-stream') {
    // Neither packed nor gathered on the way: what is told late is told wrong.
    // Its connection ends with it: one that stood idle afterwards would keep a server from stopping.
    res.set({ 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no', Connection: 'close' });
    res.status(200).type(endpoint.produces).flushHeaders();
    // A page that leaves is no fault.
    await pipeline(Readable.from(lines), res).catch(() => undefined);
    return;
  }
  // Called as its address ends.
  const name = endpoint.path.split('/').at(-1)!;
  res.status(200).type(endpoint.produces!).set('Content-Disposition', `attachment; filename="${name}"`);
  await pipeline(Readable.from(lines), res);
}

const requestIdOf = (req: Request): string => (typeof req.id === 'string' ? req.id : '');

export function sendTrouble(req: Request, res: Response, reply: Trouble): void {
  const problem = problemOf(reply, reply.code === 'fault' ? requestIdOf(req) : undefined);
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

async function answer(
  context: Context,
  endpoint: Endpoint,
  handler: Handler<Endpoint>,
  req: Request,
  res: Response,
): Promise<unknown> {
  let staff: Staff | undefined;
  if (endpoint.roles !== 'public') {
    const token = readSessionToken(req);
    if (token)
      staff = endpoint.followsTyping
        ? await context.recentSessions.find(context.db, token)
        : await findSession(context.db, token);
    if (!staff) return trouble('not-signed-in', 'Sign in, then try again. What you typed is kept.');
    if (!endpoint.roles.includes(staff.role)) {
      return trouble(
        'role-not-allowed',
        `This needs one of: ${endpoint.roles.join(', ')}. Hand over to a colleague who may.`,
      );
    }
  }
  const parsed: Record<string, unknown> = {};
  for (const part of ['params', 'query', 'body'] as const) {
    const schema = endpoint[part];
    if (!schema) continue;
    const read = schema.safeParse(req[part] ?? {});
    if (!read.success) {
      const fields = fieldsOf(read.error);
      return trouble('invalid-request', `Correct it and send it again. ${sayFields(fields)}.`, fields);
    }
    parsed[part] = read.data;
  }
  // Before any transaction begins: a slow line holds no connection of the database.
  const bytes = endpoint.consumes === undefined ? Buffer.alloc(0) : await readBytes(req, endpoint.consumes);
  if (isTrouble(bytes)) return bytes;
  const call = { ...parsed, req, res, staff, bytes };
  if (!endpoint.idempotent) return handler({ ...call, db: context.db } as never);
  return onceOnly(context, endpoint, staff!, call, handler);
}

function fieldsOf(error: z.ZodError): Record<string, string> {
  return Object.fromEntries(
    error.issues.slice(0, 20).map((issue) => [issue.path.join('.') || 'request', issue.message]),
  );
}

const MOST_SAID = 3;
/** What is wrong, in the sentence itself: not every place that shows it has a field to show it at. */
const sayFields = (fields: Readonly<Record<string, string>>): string =>
  Object.entries(fields)
    .slice(0, MOST_SAID)
    .map(([name, says]) => `${upperFirst(name)}: ${says}`)
    .join('; ');

/** Carries a trouble out of a transaction so that everything it wrote is undone. */
class Undone extends Error {
  readonly reply: Trouble;
  constructor(reply: Trouble) {
    super(reply.code);
    this.reply = reply;
  }
}

const DEADLOCK = '40P01';
const MOST_TRIES = 4;

/** Runs a write once per Idempotency-Key: a retry gets the first answer, another call under the same key is refused. */
async function onceOnly(
  context: Context,
  endpoint: Endpoint,
  staff: Staff,
  call: { req: Request },
  handler: Handler<Endpoint>,
): Promise<unknown> {
  const { req } = call;
  const key = req.get('idempotency-key');
  if (key === undefined || !UUID.test(key)) {
    return trouble('invalid-request', 'Send an Idempotency-Key header holding a UUID.', {
      'idempotency-key': 'must be a UUID',
    });
  }
  const hash = callHash(context.secret, req.method, req.originalUrl, req.body);
  for (let tries = 1; ; tries += 1) {
    try {
      return await context.db.transaction().execute(async (trx) => {
        const first = await claimKey(trx, key, staff.id, hash);
        if (first)
          return first.call_hash === hash && first.staff_id === staff.id
            ? first.response
            : trouble('key-reused', 'Use a fresh key for a new call.');
        const reply = await handler({ ...call, trx } as never);
        if (isTrouble(reply)) throw new Undone(reply);
        await storeReply(trx, key, endpoint.status ?? 200, reply);
        return reply;
      });
    } catch (error) {
      if (error instanceof Undone) return error.reply;
      // Two transactions waited for each other and this one was chosen to give way: nothing of it was written.
      if ((error as { code?: string }).code === DEADLOCK && tries < MOST_TRIES) continue;
      throw error;
    }
  }
}
