import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { demoStaff } from '@brackenfell/demo/staff';
import { ensureDatabase, newPassword, openCluster, privateFolder, type Cluster } from '@brackenfell/scripts/cluster';
import { fillDemo } from '@brackenfell/scripts/fill-demo';
import { scratchFolder } from '@brackenfell/scripts/places';
import { startServer, type RunningServer } from '@brackenfell/scripts/server-process';
import { chances, crash } from './faults/crash.ts';

/** A list written and taken back again and again; server or database is killed in the midst. It is the old or the new, never between. */
const KILLS = 20;
const ROWS = 3000;
const SEED = 424_242;
/** A write of so many rows takes about so long. */
const SPAN_MS = 3000;

const TABLES = [
  'part',
  'part_name',
  'name_neighbour',
  'figure',
  'chosen_figure',
  'plug_spec',
  'price',
  'supplier_price',
  'reference',
];

async function main(): Promise<void> {
  const scratch = scratchFolder('import-kills', 4);
  privateFolder(scratch);
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword() };
  const clusterOf = (port?: number) =>
    openCluster({
      folder: join(scratch, 'postgres'),
      password: secrets.super,
      log: join(scratch, 'postgres.log'),
      cacheMb: 128,
      ...(port === undefined ? {} : { port }),
    });
  let cluster: Cluster = await clusterOf();
  const { ownerUrl, appUrl } = await ensureDatabase(cluster, 'brackenfell', secrets);
  await fillDemo(ownerUrl, () => undefined);
  const settings = { BRACKENFELL_LOG: 'silent', BRACKENFELL_SECRET: newPassword() };
  let server: RunningServer = await startServer(appUrl, 0, settings);
  const { port } = server;
  const { name, password } = demoStaff.find(({ role }) => role === 'editor')!;

  /** A call under one key until it is answered; after a kill the cookie still holds. */
  let cookie = '';
  const send = async (method: string, path: string, body: BodyInit | undefined, type: string) => {
    const key = randomUUID();
    for (let tries = 0; tries < 400; tries += 1) {
      const answer = await fetch(`http://127.0.0.1:${port}${path}`, {
        method,
        headers: { cookie, 'content-type': type, 'idempotency-key': key },
        ...(body === undefined ? {} : { body }),
      }).catch(() => undefined);
      if (answer && answer.status < 500) {
        cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? cookie;
        return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
      }
      await sleep(100);
    }
    throw new Error(`${path} was not answered.`);
  };
  const post = (path: string, body: object) => send('POST', path, JSON.stringify(body), 'application/json');
  await post('/api/session', { name, password });

  const query = async <R extends pg.QueryResultRow>(text: string): Promise<R[]> => {
    for (;;) {
      const client = new pg.Client({ connectionString: ownerUrl });
      try {
        await client.connect();
        return (await client.query<R>(text)).rows;
      } catch {
        await sleep(100);
      } finally {
        await client.end().catch(() => undefined);
      }
    }
  };
  /** Everything a list can change, as one figure: in one reading. */
  const sumOf = async () => {
    const parts = TABLES.map(
      (table) => `(select coalesce(sum(hashtextextended(t::text, 0)::numeric), 0) from ${table} t)`,
    );
    const [row] = await query<{ sum: string }>(`select concat_ws(' ', ${parts.join(', ')}) as sum`);
    return row!.sum;
  };
  const view = async (id: string) =>
    (await send('GET', `/api/imports/${id}`, undefined, 'application/json')).body as { state: string; version: number };
  const reaches = async (id: string, states: readonly string[]) => {
    for (let tries = 0; tries < 1200; tries += 1) {
      const now = await view(id);
      if (states.includes(now.state)) return now;
      await sleep(100);
    }
    throw new Error(`It never was ${states.join(' or ')}.`);
  };

  const list = ['Number;Maker;Price;Pack;Gap mm']
    .concat(Array.from({ length: ROWS }, (_, i) => `QX ${i}-R;Kestrane;${(2 + (i % 90) / 10).toFixed(2)};4;0.9`))
    .join('\n');
  /** A list taken in and sorted, its numbers being plugs. */
  const take = async () => {
    const path = '/api/imports?supplier=Eastgate&fileName=kills.csv';
    const { body } = await send('POST', path, list, 'application/octet-stream');
    const id = body.importId as string;
    const { version } = await reaches(id, ['sorted']);
    await post(`/api/imports/${id}/columns`, { version, newKind: 'plug' });
    await reaches(id, ['sorted']);
    return id;
  };
  /** How much of the list there is, thing by thing. */
  const made = async () => {
    const [row] = await query<Record<string, number>>(`
      with own as (select distinct part_id from part_name where normal_form like 'QX%R')
      select (select count(*) from own)::int as parts,
             (select count(*) from price where part_id in (select part_id from own))::int as prices,
             (select count(*) from figure where part_id in (select part_id from own))::int as figures,
             (select count(*) from chosen_figure where part_id in (select part_id from own))::int as chosen`);
    return Object.values(row!);
  };
  const old = await sumOf();
  const chance = chances(SEED);
  const tally = { kills: 0, server: 0, database: 0, 'found old': 0, 'found new': 0, between: 0 };
  /** What is there at this moment: all of the list or nothing of it. */
  const look = async () => {
    const counts = await made();
    const isNew = counts.every((count) => count === ROWS);
    const isOld = counts.every((count) => count === 0) && (await sumOf()) === old;
    if (isNew) tally['found new'] += 1;
    else if (isOld) tally['found old'] += 1;
    else {
      tally.between += 1;
      console.log(`between: ${counts.join(', ')}`);
    }
  };
  /** Asks for a step, kills in its midst, looks, and lets it come to its end. */
  const killedIn = async (id: string, step: 'write' | 'take-back', end: string) => {
    const { version } = await view(id);
    const asked = await post(`/api/imports/${id}/${step}`, { version });
    if (asked.status !== 200) throw new Error(JSON.stringify(asked));
    await sleep(chance.next().value * SPAN_MS);
    tally.kills += 1;
    if (chance.next().value < 0.5) {
      const gone = new Promise((resolve) => server.process.once('exit', resolve));
      server.process.kill('SIGKILL');
      await gone;
      await look();
      server = await startServer(appUrl, port, settings);
      tally.server += 1;
    } else {
      cluster = await crash(cluster, clusterOf);
      await look();
      tally.database += 1;
    }
    for (let tries = 0; tries < 600; tries += 1) {
      const { state } = await view(id);
      if (state === end) return;
      // Stopped by the database's death, it says so and waits for somebody to go on.
      if (state === 'sorted' || state === 'written') {
        await sleep(300);
        const again = await view(id);
        if (again.state === state) await post(`/api/imports/${id}/${step}`, { version: again.version });
      }
      // A worker that is dead would be found out in a minute.
      await query(
        `update job set beat_at = now() - interval '2 minutes' where state = 'running' and beat_at < now() - interval '3 seconds' returning id`,
      );
      await sleep(500);
    }
    throw new Error(`${step} of ${id} did not come to its end.`);
  };
  while (tally.kills < KILLS) {
    const id = await take();
    await killedIn(id, 'write', 'written');
    await look();
    await killedIn(id, 'take-back', 'taken-back');
    await look();
  }
  console.table([tally]);
  await cluster.stop();
  rmSync(scratch, { recursive: true, force: true });
  if (tally.between > 0) process.exitCode = 1;
  process.exit();
}

await main();
