import { randomBytes } from 'node:crypto';
import type { Logger } from 'pino';
import { simulatedPlates, type PlateRegister } from '@brackenfell/stand-ins/plate-register';
import { CatalogueIndexes } from '../catalogue/catalogue-index.ts';
import { FactSheets } from '../catalogue/fact-sheets.ts';
import type { Database } from '../db/database.ts';
import { EntryFrames } from '../inspection/entry-frames.ts';
import { Live } from '../tidings/live.ts';
import { Metrics } from '../metrics/metrics.ts';
import { RecentSessions } from '../staff/recent-sessions.ts';

/** What every route works with. */
export interface Context {
  readonly db: Database;
  /**
   * Connections for what is read or written down while a transaction holds one of the others: were they the same, all that
   * hold one could wait for another.
   */
  readonly aside: Database;
  readonly sheets: FactSheets;
  readonly indexes: CatalogueIndexes;
  readonly recentSessions: RecentSessions;
  readonly entryFrames: EntryFrames;
  readonly live: Live;
  /** The register of plates and serial numbers: the simulated one until a real one is put in its place. */
  readonly plates: PlateRegister;
  readonly log: Logger;
  readonly metrics: Metrics;
  readonly webFolder: string | undefined;
  /** What receipts of calls are keyed with. */
  readonly secret: string;
  /** Host names answered to besides loopback. */
  readonly hosts: readonly string[];
  readonly trustProxy: string | number | undefined;
  /** What the first-run page asks for. */
  readonly firstCode: string | undefined;
}

interface Serving {
  /** Of a pool of their own wherever several are served at a time. */
  readonly aside?: Database;
  readonly webFolder?: string | undefined;
  readonly secret?: string;
  readonly hosts?: readonly string[];
  readonly trustProxy?: string | number | undefined;
  readonly firstCode?: string | undefined;
}

export function createContext(
  db: Database,
  log: Logger,
  { aside = db, webFolder, secret, hosts = [], trustProxy, firstCode }: Serving = {},
): Context {
  return {
    db,
    aside,
    sheets: new FactSheets(aside),
    indexes: new CatalogueIndexes(),
    recentSessions: new RecentSessions(),
    entryFrames: new EntryFrames(),
    live: new Live(),
    plates: simulatedPlates,
    metrics: new Metrics(),
    log,
    webFolder,
    secret: secret ?? randomBytes(32).toString('base64url'),
    hosts,
    trustProxy,
    firstCode,
  };
}
