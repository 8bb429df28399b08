import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import pg from 'pg';
import { DUMP, MANIFEST, SECRETS, sha256Of, type Manifest } from './backup-files.ts';
import { openInstance, failWith, say } from './instance.ts';
import { LEFT_OUT, rowsIn, sumTables, unlike } from './checksums.ts';
import { inOneView, runTool, withClient } from './pg-tools.ts';
import { readShopConfig } from './shop-config.ts';

/** A new database beside the shop's, gone afterwards. */
async function withScratch<T>(superUrl: (name: string) => string, ownerUrl: string, work: (url: string) => Promise<T>) {
  const name = `backup_check_${randomUUID().replaceAll('-', '')}`;
  const asSuper = (statement: string) => withClient(superUrl('postgres'), (client) => client.query(statement));
  await asSuper(`create database ${pg.escapeIdentifier(name)} owner brackenfell_owner`);
  try {
    const url = new URL(ownerUrl);
    url.pathname = `/${name}`;
    return await work(url.href);
  } finally {
    await asSuper(`drop database ${pg.escapeIdentifier(name)} with (force)`);
  }
}

/** Backs the whole shop up while it works, and reads it back before it is called one. `--base` copies the database's files instead. */
async function main(): Promise<void> {
  const args = process.argv.slice(2);
  const isBase = args.includes('--base');
  const { places } = readShopConfig(process.env, say);
  const into = resolve(args.find((arg) => !arg.startsWith('--')) ?? join(places.state, 'backups'));
  const { cluster, urls } = await openInstance(places);
  const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
  const folder = join(into, `${isBase ? 'base' : 'shop'}-${stamp}`);
  const making = `${folder}.making`;
  mkdirSync(making, { recursive: true, mode: 0o700 });
  try {
    if (isBase) {
      runTool(places.data, 'pg_basebackup', cluster.superUrl('postgres'), ['-D', join(making, 'data'), '-c', 'fast']);
      runTool(places.data, 'pg_verifybackup', cluster.superUrl('postgres'), [join(making, 'data')]);
      copyFileSync(join(places.state, SECRETS), join(making, SECRETS));
      renameSync(making, folder);
      say(`${folder}: the database's files, verified. With the journal it goes back to any moment from now on.`);
      return;
    }
    const dump = join(making, DUMP);
    const tables = await inOneView(urls.ownerUrl, async (client) => {
      const { rows } = await client.query<{ id: string }>('select pg_export_snapshot() as id');
      const snapshot = rows[0]!.id;
      const whole = ['--format=custom', `--exclude-table-data=public.${LEFT_OUT}`, `--snapshot=${snapshot}`];
      runTool(places.data, 'pg_dump', urls.ownerUrl, [...whole, `--file=${dump}`]);
      return sumTables(client);
    });
    const again = await withScratch(
      (name) => cluster.superUrl(name),
      urls.ownerUrl,
      (url) => {
        runTool(places.data, 'pg_restore', url, [
          '--no-owner',
          '--exit-on-error',
          `--dbname=${new URL(url).pathname.slice(1)}`,
          dump,
        ]);
        return inOneView(url, sumTables);
      },
    );
    const odd = unlike(tables, again);
    if (odd.length > 0) throw new Error(`Read back, ${odd.join(', ')} differ: this is no backup, and is not kept.`);
    const manifest: Manifest = { madeAt: new Date().toISOString(), sha256: await sha256Of(dump), tables };
    writeFileSync(join(making, MANIFEST), JSON.stringify(manifest, null, 2));
    renameSync(making, folder);
    const [count, rows] = [Object.keys(tables).length, rowsIn(tables)];
    await withClient(urls.ownerUrl, (client) =>
      client.query('insert into backup_made (tables, rows) values ($1, $2)', [count, rows]),
    );
    say(`${folder}: ${rows} rows of ${count} tables, read back and equal.`);
  } finally {
    rmSync(making, { recursive: true, force: true });
    // Where the shop is at work, its database goes on.
    if (!cluster.isAdopted) await cluster.stop();
  }
}

main().catch(failWith);
