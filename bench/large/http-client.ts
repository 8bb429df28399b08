import { Agent, get } from 'node:http';

/** One keep-alive connection, as a counter's browser holds it. */
export class HttpClient {
  readonly #agent = new Agent({ keepAlive: true, maxSockets: 1 });
  readonly #cookie: string;

  constructor(cookie: string) {
    this.#cookie = cookie;
  }

  /** The body of a successful GET and the milliseconds until its last byte. */
  get(port: number, path: string): Promise<{ ms: number; body: string }> {
    return new Promise((resolve, reject) => {
      const start = performance.now();
      get({ host: '127.0.0.1', port, path, agent: this.#agent, headers: { cookie: this.#cookie } }, (response) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => {
          const ms = performance.now() - start;
          const body = Buffer.concat(chunks).toString();
          if (response.statusCode === 200) resolve({ ms, body });
          else reject(new Error(`${path} answered ${response.statusCode}: ${body}`));
        });
      }).on('error', reject);
    });
  }

  close(): void {
    this.#agent.destroy();
  }
}
