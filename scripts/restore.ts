import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { openDatabase } from '@brackenfell/server/db/database';
import { migrate } from '@brackenfell/server/upgrade/migrate';
import { DUMP, MANIFEST, SECRETS, sha256Of, type Manifest } from './backup-files.ts';
import { sumTables, rowsIn, unlike } from './checksums.ts';
import { giveToOwner, openCluster, privateFolder } from './cluster.ts';
import { alreadyRunning, failWith, openInstance, readSecrets, say } from './instance.ts';
import { inOneView, runTool, withClient } from './pg-tools.ts';
import { readShopConfig, type ShopConfig } from './shop-config.ts';

const NOTHING_CHANGED = 'Nothing was changed.';

/** Puts a whole backup into a shop that is empty, and compares every table with what was backed up. */
async function restoreDump({ places }: ShopConfig, folder: string): Promise<void> {
  const dump = join(folder, DUMP);
  const manifest = JSON.parse(readFileSync(join(folder, MANIFEST), 'utf8')) as Manifest;
  if ((await sha256Of(dump)) !== manifest.sha256)
    throw new Error(`${dump} is not what was backed up: it has changed since. ${NOTHING_CHANGED}`);
  const { cluster, urls } = await openInstance(places);
  try {
    const database = new URL(urls.ownerUrl).pathname.slice(1);
    const used = await withClient(urls.ownerUrl, async (client) => {
      const { rows } = await client.query<{ there: boolean }>(`select to_regclass('staff') is not null as there`);
      if (!rows[0]!.there) return false;
      const found = await client.query<{ used: boolean }>(
        `select exists (select from staff) or exists (select from part) or exists (select from slip) as used`,
      );
      return found.rows[0]!.used;
    });
    if (used)
      throw new Error(`There is a shop in ${places.data} already. Restore into an empty one. ${NOTHING_CHANGED}`);
    const anew = () =>
      withClient(cluster.superUrl('postgres'), async (client) => {
        const name = pg.escapeIdentifier(database);
        await client.query(`drop database ${name} with (force)`);
        await client.query(`create database ${name} owner brackenfell_owner`);
      });
    await anew();
    try {
      runTool(places.data, 'pg_restore', urls.ownerUrl, [
        '--no-owner',
        '--exit-on-error',
        '--single-transaction',
        `--dbname=${database}`,
        dump,
      ]);
      const odd = unlike(manifest.tables, await inOneView(urls.ownerUrl, sumTables));
      if (odd.length > 0) throw new Error(`${odd.join(', ')} are not as they were backed up.`);
    } catch (error) {
      await anew();
      throw new Error(`The shop is empty as before. ${error instanceof Error ? error.message : ''}`, { cause: error });
    }
    const db = openDatabase(urls.ownerUrl, () => undefined, { max: 1, patient: true });
    let applied: readonly string[];
    try {
      applied = await migrate(db);
    } finally {
      await db.destroy();
    }
    say(
      `Restored as of ${manifest.madeAt}: ${rowsIn(manifest.tables)} rows of ${Object.keys(manifest.tables).length} tables, equal by checksum.` +
        (applied.length > 0 ? ` Brought up to date since: ${applied.join(', ')}.` : ''),
    );
  } finally {
    if (!cluster.isAdopted) await cluster.stop();
  }
}

/** Puts a copy of the database's files in place and plays the journal up to a moment. */
async function recover({ places }: ShopConfig, folder: string, until: Date): Promise<void> {
  if (places.wal === undefined || !existsSync(places.wal))
    throw new Error(`Recovery to a moment needs the archived journal: set \`journal\`. ${NOTHING_CHANGED}`);
  if (existsSync(places.data))
    throw new Error(`${places.data} is there already: move it away first. ${NOTHING_CHANGED}`);
  privateFolder(places.state);
  mkdirSync(join(places.data, '..'), { recursive: true });
  if (!existsSync(join(places.state, SECRETS))) cpSync(join(folder, SECRETS), join(places.state, SECRETS));
  try {
    cpSync(join(folder, 'data'), places.data, { recursive: true });
    writeFileSync(join(places.data, 'recovery.signal'), '');
    giveToOwner(places.data);
    const secrets = readSecrets(places);
    const cluster = await openCluster({
      folder: places.data,
      password: secrets.super,
      log: join(places.state, 'postgres.log'),
      wal: places.wal,
      until,
    });
    try {
      await withClient(cluster.superUrl('postgres'), async (client) => {
        for (;;) {
          const { rows } = await client.query<{ on: boolean }>('select pg_is_in_recovery() as on');
          if (!rows[0]!.on) return;
          await sleep(100);
        }
      });
    } finally {
      await cluster.stop();
    }
  } catch (error) {
    rmSync(places.data, { recursive: true, force: true });
    throw new Error(
      `The journal does not lead to ${until.toISOString()}; ${places.data} is as empty as before. ${error instanceof Error ? error.message : ''}`,
      { cause: error },
    );
  }
  say(`Recovered to ${until.toISOString()}. Start it with npm start.`);
}

async function main(): Promise<void> {
  const args = process.argv.slice(2);
  const at = args.indexOf('--until');
  const folder = args.find((arg, i) => !arg.startsWith('--') && (at < 0 || i !== at + 1));
  const config = readShopConfig(process.env, say);
  if (folder === undefined) throw new Error('Say which backup: npm run restore -- <folder> [--until <moment>].');
  if (alreadyRunning(config.places)) throw new Error(`The shop is at work: stop it first. ${NOTHING_CHANGED}`);
  if (at < 0) return restoreDump(config, resolve(folder));
  const until = new Date(args[at + 1] ?? '');
  if (Number.isNaN(until.getTime())) throw new Error('Say the moment as 2026-11-27T15:30:00Z.');
  return recover(config, resolve(folder), until);
}

main().catch(failWith);
