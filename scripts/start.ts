import { randomInt } from 'node:crypto';
import { join } from 'node:path';
import { openDatabase } from '@brackenfell/server/db/database';
import { readShop } from '@brackenfell/server/shop/store';
import { migrate } from '@brackenfell/server/upgrade/migrate';
import { alreadyRunning, failWith, runInstance, say } from './instance.ts';
import { ROOT } from './places.ts';
import { readShopConfig } from './shop-config.ts';

/** Nothing that is read as something else. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const newCode = (): string =>
  Array.from({ length: 8 }, (_, i) => `${i === 4 ? '-' : ''}${LETTERS[randomInt(LETTERS.length)]!}`).join('');

/** Starts a shop of its own: an empty one at first, which its first supervisor begins in the browser. */
async function main(): Promise<void> {
  const config = readShopConfig(process.env, say);
  const running = alreadyRunning(config.places);
  if (running) {
    say(`The shop is already running: ${running}`);
    return;
  }
  let code: string | undefined;
  await runInstance({
    places: config.places,
    program: join(ROOT, 'scripts', 'start.ts'),
    port: config.port,
    isPortFixed: true,
    settings: config.server,
    prepare: async (ownerUrl) => {
      const db = openDatabase(ownerUrl, () => undefined, { max: 2, patient: true });
      try {
        const applied = await migrate(db);
        if (applied.length > 0) say(`Brought up to date: ${applied.at(-1)!}.`);
        const shop = await readShop(db);
        if (!shop) code = newCode();
        return {
          ...(shop?.timeZone ? { TZ: shop.timeZone } : {}),
          ...(code === undefined ? {} : { BRACKENFELL_FIRST_CODE: code }),
        };
      } finally {
        await db.destroy();
      }
    },
    greet: (address) => {
      say(`\nBrackenfell is at ${address}\n`);
      if (code !== undefined) say(`Nothing is here yet. Open it and begin the shop with the code ${code}\n`);
      say('Ctrl-C stops everything; the data is kept.');
    },
  });
}

main().catch(failWith);
