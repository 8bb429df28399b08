import { demoShop, demoStaff } from '@brackenfell/demo/staff';
import { openDatabase } from '@brackenfell/server/db/database';
import { settleTables } from '@brackenfell/server/db/settle-tables';
import { migrate } from '@brackenfell/server/upgrade/migrate';

const PRACTICE_SEED = 7;
const FINE = 1_000_000;

/** Migrates a database and, where it is still empty, fills it with the demo world. Says what it did. */
export async function fillDemo(ownerUrl: string, say: (line: string) => void): Promise<void> {
  const db = openDatabase(ownerUrl, () => undefined, { max: 2, patient: true });
  try {
    const applied = await migrate(db);
    if (applied.length > 0) say(`Migrated: ${applied.join(', ')}.`);
    const engine = await db.selectFrom('engine').select('id').limit(1).executeTakeFirst();
    if (!engine) {
      // Loaded only when there is something to fill: a start that finds its data does not wait for this.
      const { demoWorld } = await import('@brackenfell/demo/world');
      const { loadCatalogue } = await import('@brackenfell/server/loading/load-catalogue');
      const count = await loadCatalogue(db, demoWorld);
      say(
        `Loaded the demo world: ${Object.entries(count)
          .map(([what, n]) => `${n} ${what}`)
          .join(', ')}.`,
      );
    }
    await db
      .insertInto('shop')
      .values({
        ...demoShop,
        currency: 'GBP',
        tax_basis_points: 2000,
        locale: 'en-GB',
        time_zone: null,
        units: 'metric',
      })
      .onConflict((conflict) => conflict.doNothing())
      .execute();
    const someone = await db.selectFrom('staff').select('id').limit(1).executeTakeFirst();
    if (!someone) {
      const { addStaff } = await import('@brackenfell/server/loading/add-staff');
      await addStaff(db, demoStaff);
    }
    const batch = await db.selectFrom('batch').select('id').limit(1).executeTakeFirst();
    if (!batch) {
      const { demoProof } = await import('@brackenfell/demo/proof/world');
      const { loadProof } = await import('@brackenfell/server/loading/load-proof');
      const { batches, sales } = await loadProof(db, demoProof);
      say(`Loaded the past: ${batches} batches, ${sales} slips.`);
    }
    const vehicle = await db.selectFrom('garage_vehicle').select('id').limit(1).executeTakeFirst();
    if (!vehicle) {
      const { demoGarage } = await import('@brackenfell/demo/garage');
      const { loadGarage } = await import('@brackenfell/server/garage/load-garage-store');
      const { createContext } = await import('@brackenfell/server/context/context');
      const { silentLog } = await import('@brackenfell/server/context/log');
      const context = createContext(db, silentLog());
      const { vehicles, records } = await loadGarage(context, demoGarage);
      const { demoDay } = await import('@brackenfell/demo/day');
      const { loadDay } = await import('@brackenfell/server/garage/load-day-store');
      const day = await loadDay(context, demoDay);
      say(
        `Loaded the garage book: ${vehicles} vehicles, ${records} records of what sits in them, ${day} slips of the day.`,
      );
    }
    const practised = await db.selectFrom('drill_case').select('id').limit(1).executeTakeFirst();
    if (!practised) {
      const { demoPractice } = await import('@brackenfell/demo/practice');
      const { chance } = await import('@brackenfell/demo/large/random');
      const { loadPractice } = await import('@brackenfell/server/drill/load-practice-store');
      const { createContext } = await import('@brackenfell/server/context/context');
      const { silentLog } = await import('@brackenfell/server/context/log');
      const dealt = chance(PRACTICE_SEED);
      const cases = await loadPractice(createContext(db, silentLog()), demoPractice, () => dealt.below(FINE) / FINE);
      say(`Loaded practice: ${cases} cases of ${demoPractice.name}.`);
    }
    if (!engine || !batch || !vehicle) await settleTables(db);
  } finally {
    await db.destroy();
  }
}
