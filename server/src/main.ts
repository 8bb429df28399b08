import { createServer } from 'node:http';
import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import pino from 'pino';
import { workJobs } from './audit/work-jobs.ts';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { createContext } from './context.ts';
import { openDatabase } from './db/database.ts';

const GRACE_MS = 3000;
/** The argument under which this program is the server's job worker. */
const WORK = 'work-jobs';

/** Starts the server on loopback, tells its parent the port, and stops when asked or when the parent is gone. */
function main(): void {
  const config = readConfig(process.env);
  const log = pino({
    level: config.logLevel,
    redact: ['req.headers.cookie', 'req.headers["idempotency-key"]', 'res.headers["set-cookie"]'],
  });
  const db = openDatabase(config.databaseUrl, (error) => {
    log.warn({ err: error }, 'database connection lost');
  });
  const context = createContext(db, log, config.webFolder);
  const server = createServer(createApp(context));
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
  const worker = fork(fileURLToPath(import.meta.url), [WORK]);
  let stopping = false;
  worker.on('exit', (code) => {
    if (!stopping) log.error({ code }, 'the job worker stopped; audits wait until the server is started again');
  });
  const stop = () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => process.exit(0), GRACE_MS).unref();
    worker.kill();
    server.closeIdleConnections();
    server.close(() => void db.destroy().finally(() => process.exit(0)));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  process.on('disconnect', stop);
}

/** Works jobs in a process and on connections of its own, so that an audit never holds the counter up. */
function work(): void {
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const db = openDatabase(config.databaseUrl, (error) => log.warn({ err: error }, 'database connection lost'), 2);
  // It lives and dies with the server that started it.
  process.on('disconnect', () => process.exit(0));
  process.on('SIGINT', () => undefined);
  void workJobs(db, log, new AbortController().signal);
}

if (process.argv[2] === WORK) work();
else main();
