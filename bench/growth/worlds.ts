import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { Till } from '../faults/till.ts';
import { buildWorld } from '../large/build-world.ts';
import { medianMs, type Series } from './series.ts';

const SIZES = [4000, 16_000, 64_000, 256_000];
const ASKED = 120;

const env = (name: string) => process.env[name]!;

function auditMs(url: string): Promise<number> {
  const worker = fork(fileURLToPath(new URL('./audit-worker.js', import.meta.url)), [url]);
  return new Promise((resolve, reject) => {
    worker.once('message', ({ ms }: { ms: number }) => resolve(ms));
    worker.once('error', reject);
  });
}

/** Ask line, tray and audit in worlds of four sizes. */
export async function ofWorlds(): Promise<readonly Series[]> {
  const root = new pg.Client({ connectionString: env('BRACKENFELL_TEST_SUPER_URL') });
  await root.connect();
  const points = { ask: [], tray: [], audit: [] } as Record<'ask' | 'tray' | 'audit', { count: number; ms: number }[]>;
  for (const count of SIZES) {
    const name = `growth_${count}`;
    await root.query(`create database ${name} template template_world owner brackenfell_owner`);
    const superUrl = env('BRACKENFELL_TEST_SUPER_URL').replace(/postgres$/, name);
    const appUrl = env('BRACKENFELL_TEST_APP_URL').replace('template_world', name);
    await buildWorld(superUrl, 1, count, () => undefined);
    const world = new pg.Client({ connectionString: superUrl });
    await world.connect();
    const engines = await world.query<{ id: string }>(
      `select id from engine where id like 'large-%' order by hashtext(id) limit ${ASKED}`,
    );
    const numbers = await world.query<{ printed: string }>(
      `select printed from part_name where part_id > 1000 order by hashtext(printed) limit ${ASKED}`,
    );
    await world.end();
    const server = await startServer(appUrl, 0, {
      BRACKENFELL_LOG: 'silent',
      BRACKENFELL_SECRET: env('BRACKENFELL_SECRET'),
    });
    const till = await new Till(() => server.address).signIn();
    const tray = (i: number) => till.send('GET', `/api/engines/${engines.rows[i % engines.rows.length]!.id}/tray`);
    const ask = (i: number) => till.send('GET', `/api/ask?q=${encodeURIComponent(numbers.rows[i]!.printed)}`);
    // The first of a server's trays reads all plugs.
    await tray(0);
    await medianMs(20, ask);
    points.ask.push({ count, ms: await medianMs(ASKED, ask) });
    points.tray.push({ count, ms: await medianMs(Math.min(ASKED, engines.rows.length) - 1, (i) => tray(i + 1)) });
    await stopServer(server);
    points.audit.push({ count, ms: await auditMs(appUrl) });
    await root.query(`drop database ${name} with (force)`);
  }
  await root.end();
  return [
    { what: 'ask line', of: 'parts', points: points.ask },
    { what: 'tray, asked first', of: 'parts', points: points.tray },
    { what: 'audit of everything', of: 'parts', points: points.audit },
  ];
}
