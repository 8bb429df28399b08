import { constants, getPriority, setPriority } from 'node:os';
import pino from 'pino';
import { readConfig } from './context/config.ts';
import { openDatabase } from './db/database.ts';
import { sayLost } from './db/say-lost.ts';
import { restBeside } from './jobs/give-way.ts';
import { workJobs } from './jobs/work-jobs.ts';
import { keepToShop } from './shop/write-as-shop.ts';

/** Works jobs in a process and on connections of its own, which give way to the counter: an audit never holds it up. */
function work(): void {
  // Who started all of it low keeps it low: nobody may raise their own.
  setPriority(Math.max(getPriority(), constants.priority.PRIORITY_BELOW_NORMAL));
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const db = openDatabase(config.databaseUrl, (error) => sayLost(log, error), {
    max: 2,
    patient: true,
    plansAnew: true,
  });
  keepToShop(db);
  // It lives and dies with the server that started it, even one that died before this was heard.
  if (!process.connected) process.exit(0);
  process.on('disconnect', () => process.exit(0));
  process.on('SIGINT', () => undefined);
  void workJobs(db, log, new AbortController().signal, restBeside(process));
}

work();
