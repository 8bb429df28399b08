import { createReadStream } from 'node:fs';
import { resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { openDatabase } from '@brackenfell/server/db/database';
import { loadOpen } from '@brackenfell/server/open-format/load-store';
import { textLines } from '@brackenfell/server/open-format/open-lines';
import { settleTables } from '@brackenfell/server/db/settle-tables';
import { migrate } from '@brackenfell/server/upgrade/migrate';
import { failWith, openInstance, say } from './instance.ts';
import { readShopConfig } from './shop-config.ts';

/** Opened when the first line is asked for: what comes before would be lost. */
async function* linesOf(file: string): AsyncGenerator<string> {
  yield* createInterface({ input: createReadStream(file), crlfDelay: Infinity });
}

/** Loads a whole catalogue of the open format into a shop whose catalogue is empty: all of it, or nothing. */
async function main(): Promise<void> {
  const [file] = process.argv.slice(2);
  if (file === undefined) throw new Error('Say which file: npm run catalogue -- <file>.');
  const { places } = readShopConfig(process.env, say);
  const { cluster, urls } = await openInstance(places);
  const db = openDatabase(urls.ownerUrl, () => undefined, { max: 2, patient: true });
  try {
    await migrate(db);
    const lines = await loadOpen(db, textLines(linesOf(resolve(file))));
    await settleTables(db);
    say(`${lines} lines loaded. A shop that is at work has them at its next look.`);
  } finally {
    await db.destroy();
    if (!cluster.isAdopted) await cluster.stop();
  }
}

main().catch(failWith);
