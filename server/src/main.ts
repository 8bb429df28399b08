import { createServer } from 'node:http';
import { fork } from 'node:child_process';
import { extname } from 'node:path';
import pino from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './context/config.ts';
import { createContext } from './context/context.ts';
import { openDatabase } from './db/database.ts';
import { sayLost } from './db/say-lost.ts';
import { sweepReceipts } from './http/receipt-store.ts';
import { tellBusy } from './jobs/give-way.ts';
import { listen } from './tidings/listen-store.ts';
import { serveMetrics } from './metrics/metrics.ts';
import { keepToShop } from './shop/write-as-shop.ts';
import { keepAlive } from './keep-alive.ts';

const GRACE_MS = 3000;
/** Plugs, other parts and a version are read one at a time each, whoever waits for them. */
const MOST_ASIDE = 3;
/** A page's connection lies idle between two calls. One that is shut just then, after the machine stood still, loses a call. */
const IDLE_MS = 65_000;
const SWEEP_MS = 60 * 60 * 1000;
/** The job worker, beside this program: bundled as this is, or as it is written. */
const WORKER = new URL(`./worker${extname(import.meta.url)}`, import.meta.url);

/** Starts the server on loopback, tells its parent the port, and stops when asked or when the parent is gone. */
function main(): void {
  const config = readConfig(process.env);
  const log = pino({
    level: config.logLevel,
    redact: ['req.headers.cookie', 'req.headers["idempotency-key"]', 'res.headers["set-cookie"]'],
  });
  const onLost = (error: Error) => {
    sayLost(log, error);
  };
  const db = openDatabase(config.databaseUrl, onLost);
  const aside = openDatabase(config.databaseUrl, onLost, { max: MOST_ASIDE });
  const context = createContext(db, log, { ...config, aside });
  keepToShop(db);
  const listening = listen(config.databaseUrl, context.live, (error) => sayLost(log, error));
  if (config.metricsPort !== undefined) serveMetrics(context.metrics, db, config.metricsPort, log);
  const server = createServer({ keepAliveTimeout: IDLE_MS }, createApp(context));
  server.on('error', (error) => {
    log.error({ err: error }, 'cannot listen');
    process.exit(1);
  });
  server.listen(config.port, '127.0.0.1', () => {
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    process.send?.({ port });
    // Read ahead, so that nobody's first tray waits for every plug there is.
    context.sheets.withPlugs(db).catch((error: unknown) => {
      log.warn({ err: error }, 'the plugs are read at the first tray instead');
    });
  });
  let stopping = false;
  const worker = keepAlive(
    () => tellBusy(fork(WORKER)),
    (code) => {
      log.error({ code }, 'the job worker stopped and is started again; its job is taken up anew');
    },
  );
  const sweep = setInterval(() => void sweepReceipts(db).catch(() => undefined), SWEEP_MS);
  sweep.unref();
  const stop = () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => process.exit(0), GRACE_MS).unref();
    worker.stop();
    listening.stop();
    context.live.close();
    // What is still being answered leaves with its answer.
    server.keepAliveTimeout = 1;
    server.closeIdleConnections();
    server.close(() => void Promise.allSettled([db.destroy(), aside.destroy()]).then(() => process.exit(0)));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  process.on('disconnect', stop);
}

main();
