import type { Shop } from '@brackenfell/contract/shop';
import { writeMomentsAs } from '@brackenfell/core/words/moments';
import { writeMoneyIn } from '@brackenfell/core/words/money';
import type { Database } from '../db/database.ts';
import { readShop } from './store.ts';

let written = '';

/** From here on this process writes money, and reckons days, as the shop does. */
export function writeAsShop({ currency, locale, timeZone }: Pick<Shop, 'currency' | 'locale' | 'timeZone'>): void {
  const asked = [currency, locale, timeZone].join();
  // Looked at every few seconds: to make the writers anew each time would be in a call's way.
  if (asked === written) return;
  written = asked;
  if (timeZone !== null && process.env.TZ !== timeZone) process.env.TZ = timeZone;
  writeMoneyIn(currency, locale);
  writeMomentsAs(locale);
}

const LOOK_EVERY_MS = 5000;

/**
 * Keeps this process to what the shop has settled, also where another server was told: it is looked at every five seconds.
 * A database that is away changes nothing.
 */
export function keepToShop(db: Database): void {
  const look = () =>
    void readShop(db).then(
      (shop) => shop && writeAsShop(shop),
      () => undefined,
    );
  look();
  setInterval(look, LOOK_EVERY_MS).unref();
}
