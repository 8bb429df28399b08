import { createServer, type Server } from 'node:http';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import type { Logger } from 'pino';
import type { Database } from '../db/database.ts';
import { countJobs } from '../db/job-counts-store.ts';
import { SlowCalls } from './slow-calls.ts';

/** How long calls took, by the route they were for and how they ended: nothing of who called, nor of what was asked. */
export class Metrics {
  readonly registry = new Registry();
  readonly slow = new SlowCalls();
  readonly #calls = new Histogram({
    name: 'brackenfell_call_seconds',
    help: 'How long a call took, by route, method and status.',
    labelNames: ['route', 'method', 'status'] as const,
    buckets: [0.002, 0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
    registers: [this.registry],
  });

  took(seconds: number, of: { readonly route: string; readonly method: string; readonly status: number }): void {
    this.#calls.observe({ ...of, status: String(of.status) }, seconds);
  }
}

/** Serves the figures in the Prometheus text format on loopback, on a port of their own: no proxy leads to it by mistake. */
export function serveMetrics({ registry }: Metrics, db: Database, port: number, log: Logger): Server {
  collectDefaultMetrics({ register: registry });
  new Gauge({
    name: 'brackenfell_jobs',
    help: 'Jobs by kind and state.',
    labelNames: ['kind', 'state'] as const,
    registers: [registry],
    async collect() {
      const jobs = await countJobs(db);
      this.reset();
      for (const { kind, state, count } of jobs) this.set({ kind, state }, count);
    },
  });
  const server = createServer((req, res) => {
    if (req.url !== '/metrics') {
      res.writeHead(404).end();
      return;
    }
    registry.metrics().then(
      (text) => res.writeHead(200, { 'content-type': registry.contentType }).end(text),
      // The database is away: that is a figure too, by its absence.
      () => res.writeHead(503).end(),
    );
  });
  server.on('error', (error) => {
    log.error({ err: error }, 'the port for metrics cannot be listened on');
  });
  return server.listen(port, '127.0.0.1');
}
