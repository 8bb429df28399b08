import { createServer } from 'node:http';
import pino from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { createContext } from './context.ts';
import { openDatabase } from './db/database.ts';

const GRACE_MS = 3000;

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
  const server = createServer(createApp(createContext(db, log, config.webFolder)));
  server.on('error', (error) => {
    log.error({ err: error }, 'cannot listen');
    process.exit(1);
  });
  server.listen(config.port, '127.0.0.1', () => {
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    process.send?.({ port });
  });
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    setTimeout(() => process.exit(0), GRACE_MS).unref();
    server.closeIdleConnections();
    server.close(() => void db.destroy().finally(() => process.exit(0)));
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  process.on('disconnect', stop);
}

main();
