import { z } from 'zod';
import { ADDRESSES } from './addresses.ts';

export const ROLES = ['specialist', 'starter', 'supervisor', 'editor'] as const;
export const Role = z.enum(ROLES).meta({ id: 'Role', description: 'What a member of staff may do.' });
export type Role = z.infer<typeof Role>;

/** One route on the wire: who may call it, what it takes, what it gives. The server registers it, OpenAPI describes it. */
export interface Endpoint {
  readonly method: 'GET' | 'POST' | 'PATCH' | 'DELETE';
  /** Express style, `:name` for parameters. */
  readonly path: string;
  readonly summary: string;
  /** `public` is for sign-in and health alone; everything else names its roles. */
  readonly roles: 'public' | readonly Role[];
  readonly params?: z.ZodObject;
  readonly query?: z.ZodObject;
  readonly body?: z.ZodObject;
  readonly response: z.ZodType;
  readonly status?: 200 | 201;
  /** Takes a file of at most so many bytes instead of a body of JSON; `application/octet-stream`. */
  readonly consumes?: number;
  /** A document instead of JSON: the handler gives its bytes. */
  readonly produces?:
    | 'application/pdf'
    | 'text/calendar'
    | 'text/csv'
    | 'text/event-stream'
    | 'application/x-ndjson'
    | 'application/zip';
  /** Repeating the call with the same Idempotency-Key gives the first answer again. */
  readonly idempotent?: boolean;
  /** A read that follows every key stroke: its session may have been looked up up to two seconds ago. */
  readonly followsTyping?: boolean;
}

type Name = keyof typeof ADDRESSES;
export interface Addressed<N extends Name> {
  readonly method: (typeof ADDRESSES)[N][0];
  readonly path: (typeof ADDRESSES)[N][1];
}

/** Keeps an endpoint's own types while checking its shape; where it is stands in the addresses. */
export function endpoint<N extends Name, const E extends Omit<Endpoint, 'method' | 'path'>>(
  name: N,
  definition: E,
): Addressed<N> & E {
  const [method, path] = ADDRESSES[name];
  return { method, path, ...definition };
}

export const EVERYONE = ['specialist', 'starter', 'supervisor', 'editor'] as const;
/** Those who serve customers: everyone but the catalogue editor, whose work is the catalogue. */
export const COUNTER = ['specialist', 'starter', 'supervisor'] as const;

/** Those who mend the catalogue. */
export const EDITORS = ['editor', 'supervisor'] as const;

/** Database ids travel as decimal strings: they may outgrow a double. */
export const Id = z
  .string()
  .regex(/^[1-9]\d{0,17}$/, 'must be a number')
  .meta({ id: 'Id', description: 'A record’s number, as decimal digits.' });

export const EngineKey = z
  .string()
  .max(60)
  .regex(/^[a-z0-9-]+$/, 'must be an engine key such as skerrow-sc20');

/** Free text of a person, on one line, without control characters or the remains of a broken encoding. */
export const line = (longest: number) =>
  z
    .string()
    .max(longest)
    // oxlint-disable-next-line no-control-regex -- control characters are exactly what is refused
    .regex(/^[^\u0000-\u001f\u007f\ufffd\ud800-\udfff]*$/u, 'must not contain control or unreadable characters');

export const Units = z.enum(['metric', 'imperial', 'both']);
