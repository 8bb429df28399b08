import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import {
  ensureDatabase,
  giveToOwner,
  newPassword,
  openCluster,
  privateFolder,
  type Cluster,
} from '@brackenfell/scripts/cluster';
import { fillDemo } from '@brackenfell/scripts/fill-demo';
import { runTool } from '@brackenfell/scripts/pg-tools';
import { scratchFolder } from '@brackenfell/scripts/places';
import { startServer, type RunningServer } from '@brackenfell/scripts/server-process';
import { chances, crash } from './faults/crash.ts';
import { roundRobin } from './faults/round-robin.ts';
import { Till } from './faults/till.ts';

/** Three servers behind a proxy, on a primary that a replica follows; each of them killed at random beside writers. */
const SERVERS = 3;
const WRITERS = 8;
const BETWEEN_MS = 150;
const kills = Number(process.argv.find((arg) => arg.startsWith('--kills='))?.slice(8) ?? 60);
const SEED = 20261127;

interface Written {
  slipId: string;
  /** As the last answer had it. */
  version: number;
  readonly notes: string[];
  cameFor: string;
}

async function main(): Promise<void> {
  // Written through as a shop's is: what is acknowledged has to outlive the database's own death.
  const scratch = scratchFolder('servers', 4);
  privateFolder(scratch);
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword() };
  const primaryOf = (port?: number) =>
    openCluster({
      folder: join(scratch, 'primary'),
      password: secrets.super,
      log: join(scratch, 'primary.log'),
      cacheMb: 128,
      ...(port === undefined ? {} : { port }),
    });
  let primary: Cluster = await primaryOf();
  const { ownerUrl, appUrl } = await ensureDatabase(primary, 'brackenfell', secrets);
  await fillDemo(ownerUrl, (line) => {
    console.log(line);
  });
  const copy = join(scratch, 'replica');
  runTool(join(scratch, 'primary'), 'pg_basebackup', primary.superUrl('postgres'), ['-D', copy, '-R', '-c', 'fast']);
  giveToOwner(copy);
  const replicaOf = (port?: number) =>
    openCluster({
      folder: copy,
      password: secrets.super,
      log: join(scratch, 'replica.log'),
      cacheMb: 64,
      ...(port === undefined ? {} : { port }),
    });
  let replica = await replicaOf();
  const settings = { BRACKENFELL_SECRET: newPassword(), BRACKENFELL_LOG: 'silent' };
  const servers: RunningServer[] = [];
  for (let i = 0; i < SERVERS; i += 1) servers.push(await startServer(appUrl, 0, settings));
  const proxy = await roundRobin(() => servers.map(({ port }) => port));
  const address = () => `http://127.0.0.1:${proxy.port}`;

  let going = true;
  let worstMs = 0;
  const tills: Till[] = [];
  for (let i = 0; i < WRITERS; i += 1) tills.push(await new Till(address).signIn());
  const written: Written[] = [];
  const writers = tills.map(async (till, i) => {
    for (let slip = 0; going; slip += 1) {
      const begun = await till.insist('POST', '/api/slips', { customer: `writer ${i} slip ${slip}` });
      const own: Written = { ...(begun.body as { slipId: string; version: number }), notes: [], cameFor: '' };
      written.push(own);
      for (let n = 0; n < 40; n += 1) {
        // oxlint-disable-next-line typescript/no-unnecessary-condition -- it is set while a writer waits
        if (!going) return;
        const text = `writer ${i} slip ${slip} word ${n}`;
        const { version } = own;
        const answer =
          n % 3 === 2
            ? await till.insist('PATCH', `/api/slips/${own.slipId}`, { version, cameFor: text })
            : await till.insist('POST', `/api/slips/${own.slipId}/notes`, { version, text });
        worstMs = Math.max(worstMs, answer.waitedMs);
        if (answer.status >= 300) throw new Error(`${text}: ${answer.status} ${JSON.stringify(answer.body)}`);
        own.version = (answer.body as { version: number }).version;
        if (n % 3 === 2) own.cameFor = text;
        else own.notes.push(text);
      }
    }
  });

  const chance = chances(SEED);
  const killed = { server: 0, primary: 0, replica: 0 };
  for (let kill = 0; kill < kills; kill += 1) {
    await sleep(BETWEEN_MS + chance.next().value * 600);
    const lot = chance.next().value;
    if (lot < 0.75) {
      const at = Math.floor(chance.next().value * SERVERS);
      const { process: child, port } = servers[at]!;
      const gone = new Promise((resolve) => child.once('exit', resolve));
      child.kill('SIGKILL');
      await gone;
      servers[at] = await startServer(appUrl, port, settings);
      killed.server += 1;
    } else if (lot < 0.9) {
      primary = await crash(primary, primaryOf);
      killed.primary += 1;
    } else {
      replica = await crash(replica, replicaOf);
      killed.replica += 1;
    }
  }
  going = false;
  await Promise.all(writers);

  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  const { rows: notes } = await client.query<{ slip_id: string; text: string; times: number }>(
    `select slip_id, text, count(*)::int as times from slip_note where text like 'writer %' group by slip_id, text`,
  );
  const { rows: slips } = await client.query<{ id: string; version: number; came_for: string }>(
    `select id, version, came_for from slip where customer like 'writer %'`,
  );
  const timesOf = new Map(notes.map((note) => [`${note.slip_id} ${note.text}`, note.times]));
  const slipOf = new Map(slips.map((slip) => [slip.id, slip]));
  const acknowledged = written.flatMap(({ slipId, notes: own }) => own.map((text) => `${slipId} ${text}`));
  const lost =
    acknowledged.filter((key) => !timesOf.has(key)).length +
    written.filter(({ slipId, cameFor }) => slipOf.get(slipId)?.came_for !== cameFor).length;
  const doubled = notes.filter(({ times }) => times > 1).length + Math.max(0, slips.length - written.length);
  const torn = written.filter(({ slipId, version }) => slipOf.get(slipId)?.version !== version).length;
  const since = performance.now();
  const follows = await caughtUp(client, replica);
  console.table([
    {
      kills,
      servers: killed.server,
      primary: killed.primary,
      replica: killed.replica,
      'acknowledged writes': written.reduce((sum, { version }) => sum + version, 0),
      lost,
      doubled,
      torn,
      'worst wait, s': Math.round(worstMs / 100) / 10,
      'replica level after, ms': follows ? Math.round(performance.now() - since) : 'never',
    },
  ]);
  if (lost + doubled + torn > 0 || !follows) process.exitCode = 1;
  await client.end();
  proxy.server.close();
  for (const { process: child } of servers) child.kill('SIGTERM');
  await sleep(1500);
  await replica.stop();
  await primary.stop();
  rmSync(scratch, { recursive: true, force: true });
  process.exit();
}

/** Whether the replica reaches where the primary is, within ten seconds. */
async function caughtUp(client: pg.Client, replica: Cluster): Promise<boolean> {
  const { rows } = await client.query<{ at: string }>('select pg_current_wal_lsn() as at');
  const reader = new pg.Client({ connectionString: replica.superUrl('brackenfell') });
  await reader.connect();
  try {
    for (let tries = 0; tries < 200; tries += 1) {
      const found = await reader.query<{ there: boolean }>('select pg_last_wal_replay_lsn() >= $1::pg_lsn as there', [
        rows[0]!.at,
      ]);
      if (found.rows[0]!.there) return true;
      await sleep(50);
    }
    return false;
  } finally {
    await reader.end();
  }
}

await main();
