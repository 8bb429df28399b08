import type { EndpointName, RequestOf, ResponseOf } from '@brackenfell/contract/endpoints';
import type { Problem } from '@brackenfell/contract/problem';
import { ADDRESSES } from '@brackenfell/contract/addresses';
import { reportAway, reportBack } from './server-presence.ts';

/** A call that the server answered with a problem. */
export class ProblemError extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(`${problem.title} ${problem.detail}`);
    this.problem = problem;
  }
}

/** A call that never reached the server, or found it without its database. Nothing was changed. */
export class AwayError extends Error {
  constructor() {
    super('The server does not answer. What you typed is kept. Retrying.');
  }
}

interface Parts {
  readonly params?: Record<string, string>;
  readonly query?: Record<string, string | number | readonly string[] | undefined>;
  readonly body?: unknown;
}

function addressOf(path: string, { params = {}, query = {} }: Parts): string {
  const filled = path.replaceAll(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
  const search = new URLSearchParams(
    Object.entries(query).flatMap(([name, value]) =>
      (typeof value === 'object' ? value : value === undefined ? [] : [String(value)]).map((one): [string, string] => [
        name,
        one,
      ]),
    ),
  );
  return search.size > 0 ? `${filled}?${search.toString()}` : filled;
}

/**
 * Calls an endpoint. `key` makes a write repeatable: the same key gives the first answer again. Throws `AwayError` when
 * the server is out of reach, `ProblemError` when it refuses.
 */
export async function call<N extends EndpointName>(
  name: N,
  request: RequestOf<N>,
  options: { key?: string; signal?: AbortSignal; bytes?: Blob } = {},
): Promise<ResponseOf<N>> {
  const [method, path] = ADDRESSES[name];
  const parts = request as Parts;
  const headers: Record<string, string> = { accept: 'application/json' };
  if (parts.body !== undefined) headers['content-type'] = 'application/json';
  if (options.bytes) headers['content-type'] = 'application/octet-stream';
  if (method !== 'GET') headers['idempotency-key'] = options.key ?? crypto.randomUUID();
  const address = addressOf(path, parts);
  let response: Response;
  try {
    response = await fetch(address, {
      method,
      headers,
      ...(options.bytes
        ? { body: options.bytes }
        : parts.body === undefined
          ? {}
          : { body: JSON.stringify(parts.body) }),
      ...(options.signal ? { signal: options.signal } : {}),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    reportAway();
    throw new AwayError();
  }
  if (response.status === 503 || response.status === 502 || response.status === 504) {
    reportAway();
    throw new AwayError();
  }
  reportBack();
  if (!response.ok) throw new ProblemError((await response.json()) as Problem);
  return (await response.json()) as ResponseOf<N>;
}
