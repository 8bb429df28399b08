import { randomUUID } from 'node:crypto';
import { demoStaff } from '@brackenfell/demo/staff';

export interface Answer {
  readonly status: number;
  readonly body: Record<string, unknown>;
}

/** Somebody at a counter: signed in, each write under a key that is kept through retries. */
export class Till {
  readonly #address: () => string;
  #cookie = '';

  constructor(address: () => string) {
    this.#address = address;
  }

  /** What says who is signed in. */
  get cookie(): string {
    return this.#cookie;
  }

  async signIn(name = demoStaff[0]!.name): Promise<this> {
    const { password } = demoStaff.find((person) => person.name === name)!;
    const response = await fetch(`${this.#address()}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name, password }),
    });
    this.#cookie = response.headers.get('set-cookie')!.split(';')[0]!;
    return this;
  }

  /** One attempt. Throws when the connection is lost. */
  send(method: string, path: string, body?: unknown, key: string = randomUUID()): Promise<Answer> {
    if (method === 'GET') return this.#fetch(path, { method });
    return this.#fetch(path, {
      method,
      headers: { 'content-type': 'application/json', 'idempotency-key': key },
      body: typeof body === 'string' ? body : JSON.stringify(body ?? {}),
    });
  }

  /** A file, as it stands. */
  sendFile(path: string, text: string): Promise<Answer> {
    return this.#fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream', 'idempotency-key': randomUUID() },
      body: text,
    });
  }

  async #fetch(path: string, { headers, ...request }: RequestInit): Promise<Answer> {
    const response = await fetch(`${this.#address()}${path}`, {
      ...request,
      headers: { ...headers, cookie: this.#cookie },
      signal: AbortSignal.timeout(20_000),
    });
    const text = await response.text();
    const isJson = response.headers.get('content-type')?.includes('json') === true;
    return { status: response.status, body: isJson && text !== '' ? (JSON.parse(text) as Answer['body']) : {} };
  }

  /** The same call under one key until it is answered by other than a fault. */
  async insist(method: string, path: string, body: unknown, pauseMs = 60): Promise<Answer & { waitedMs: number }> {
    const key = randomUUID();
    const begun = performance.now();
    for (;;) {
      const answer = await this.send(method, path, body, key).catch(() => undefined);
      if (answer && answer.status < 500) return { ...answer, waitedMs: performance.now() - begun };
      await new Promise((resolve) => setTimeout(resolve, pauseMs));
    }
  }
}

/** What every fault run ends with. */
export interface Tally {
  readonly run: string;
  readonly calls: number;
  readonly lost: number;
  readonly doubled: number;
  readonly torn: number;
  readonly faults5xx: number;
  readonly worstMs: number;
  readonly memoryMb: number;
  readonly says: string;
}
