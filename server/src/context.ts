import type { Logger } from 'pino';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '@brackenfell/core/fitment/house-rules';
import { FactSheets } from './catalogue/fact-sheets.ts';
import type { Database } from './db/database.ts';

/** What every route works with. */
export interface Context {
  readonly db: Database;
  readonly sheets: FactSheets;
  readonly rules: HouseRules;
  readonly log: Logger;
  readonly webFolder: string | undefined;
}

export function createContext(db: Database, log: Logger, webFolder?: string): Context {
  return { db, sheets: new FactSheets(), rules: DEFAULT_HOUSE_RULES, log, webFolder };
}
