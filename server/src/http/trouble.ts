import type { OpenMatter } from '@brackenfell/contract/open-matter';
import type { Problem, ProblemCode } from '@brackenfell/contract/problem';

/** Expected trouble: returned as a value by whatever meets it, turned into a response in one place. */
export interface Trouble {
  readonly kind: 'trouble';
  readonly code: ProblemCode;
  /** What to do about it. */
  readonly detail: string;
  readonly fields?: Record<string, string>;
  readonly open?: OpenMatter[];
}

export function trouble(code: ProblemCode, detail: string, fields?: Record<string, string>): Trouble {
  return fields ? { kind: 'trouble', code, detail, fields } : { kind: 'trouble', code, detail };
}

export function isTrouble(value: unknown): value is Trouble {
  return (
    typeof value === 'object' && value !== null && (value as { kind?: unknown }).kind === 'trouble' && 'code' in value
  );
}

/** The one table of what each kind of trouble means over HTTP. */
const HTTP: Readonly<Record<ProblemCode, { status: number; title: string }>> = {
  'not-signed-in': { status: 401, title: 'Nobody is signed in.' },
  'wrong-sign-in': { status: 401, title: 'Name and password do not belong together.' },
  'role-not-allowed': { status: 403, title: 'Your role does not do this.' },
  'wrong-origin': { status: 403, title: 'The call came from another site.' },
  'not-found': { status: 404, title: 'There is no such thing here.' },
  'invalid-request': { status: 400, title: 'The request cannot be understood.' },
  'unreadable-body': { status: 400, title: 'The body is not readable JSON.' },
  'body-too-large': { status: 413, title: 'The body is too large.' },
  'wrong-media-type': { status: 415, title: 'The body must be JSON.' },
  'too-many-tries': { status: 429, title: 'Too many tries.' },
  'changed-meanwhile': { status: 409, title: 'Somebody changed it meanwhile.' },
  'not-allowed-now': { status: 409, title: 'This cannot be done as things stand.' },
  'already-there': { status: 409, title: 'It is on the slip already.' },
  'not-collected': { status: 409, title: 'The slip is not collected: something on it is open.' },
  'key-reused': { status: 422, title: 'The idempotency key belongs to another call.' },
  busy: { status: 503, title: 'The database does not answer.' },
  'disk-full': { status: 507, title: 'The disk is full.' },
  fault: { status: 500, title: 'Something went wrong here.' },
};

/** A problem document for a trouble; the request id lets a fault be found in the log. */
export function problemOf({ code, detail, fields, open }: Trouble, requestId?: string): Problem {
  const { status, title } = HTTP[code];
  return {
    type: `urn:brackenfell:problem:${code}`,
    title,
    status,
    code,
    detail,
    ...(fields ? { fields } : {}),
    ...(open ? { open } : {}),
    ...(requestId ? { requestId } : {}),
  };
}
