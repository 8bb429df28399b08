import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { demoStaff } from '@brackenfell/demo/staff';
import { ensureDatabase, newPassword, openCluster, privateFolder } from '@brackenfell/scripts/cluster';
import { hold } from '@brackenfell/scripts/figures';
import { fillDemo } from '@brackenfell/scripts/fill-demo';
import { scratchFolder } from '@brackenfell/scripts/places';
import { startServer, stopServer } from '@brackenfell/scripts/server-process';
import { windsOf, type Site } from './bad-hours/winds.ts';
import { Till, type Answer } from './faults/till.ts';
import { memoryMb } from './memory.ts';
import { percentile, row } from './percentiles.ts';

/**
 * A counter at work while something goes wrong: a flood of sign-ins, slow connections, an emptied pool, a database that stands
 * still or is gone, a full disk. Every call is answered, or told why not; what was acknowledged is there once; and all is well
 * again soon after, without a hand put to it.
 */
const TILLS = 12;
const PACE_MS = 300;
const [QUIET_MS, WIND_MS, AFTER_MS] = [6000, 20_000, 12_000];
/** A problem that says what is the matter; anything else above it says nothing. */
const TOLD = new Set([503, 507, 429]);
const DISK_MB = 900;

interface Call {
  readonly at: number;
  readonly ms: number;
  readonly kind: string;
  /** 0 where the call was not answered at all. */
  readonly status: number;
  readonly says: string;
}

async function main(): Promise<void> {
  const scratch = scratchFolder('bad-hours', 4);
  privateFolder(scratch);
  const disk = join(scratch, 'disk');
  mkdirSync(disk, { mode: 0o755 });
  const isMounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${String(DISK_MB)}m`, 'tmpfs', disk]).status === 0;
  if (!isMounted) console.log('No disk of its own could be made: a full one is not tried.');
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword() };
  const clusterAt = (port?: number) =>
    openCluster({
      folder: join(disk, 'postgres'),
      password: secrets.super,
      log: join(scratch, 'postgres.log'),
      cacheMb: 128,
      ...(port === undefined ? {} : { port }),
    });
  const site: Site = {
    cluster: await clusterAt(),
    reopen: clusterAt,
    database: 'brackenfell',
    address: () => server.address,
    disk: isMounted ? disk : undefined,
  };
  const { ownerUrl, appUrl } = await ensureDatabase(site.cluster, site.database, secrets);
  await fillDemo(ownerUrl, () => undefined);
  const server = await startServer(appUrl, 0, { BRACKENFELL_LOG: 'silent', BRACKENFELL_SECRET: newPassword() });
  try {
    const tills: Till[] = [];
    const people = demoStaff.filter(({ role }) => role !== 'editor');
    for (let i = 0; i < TILLS; i += 1)
      tills.push(await new Till(() => server.address).signIn(people[i % people.length]!.name));
    const { engines } = (await tills[0]!.send('GET', '/api/engines')).body as { engines: { engineId: string }[] };
    const slips = async () => {
      const client = new pg.Client({ connectionString: ownerUrl });
      await client.connect();
      try {
        const { rows } = await client.query<{ id: string }>('select id::text from slip');
        return rows.map(({ id }) => id);
      } finally {
        await client.end();
      }
    };

    console.log(
      row('what goes wrong', 'calls', 'answered', 'told why', 'no word', 'p95 before', 'p95 in it', 'well again s'),
    );
    let [silent, lost, doubled, longest] = [0, 0, 0, 0];
    for (const wind of windsOf(site.disk)) {
      const calls: Call[] = [];
      const began = performance.now();
      const since = () => performance.now() - began;
      let isOver = false;
      const call = async (kind: string, work: () => Promise<Answer>): Promise<Answer | undefined> => {
        const at = since();
        const answer = await work().catch(() => undefined);
        const { status = 0, body = {} } = answer ?? {};
        const says = typeof body.detail === 'string' ? body.detail : '';
        calls.push({ at, ms: since() - at, kind, status, says });
        return answer;
      };
      const before = (await slips()).length;
      const acknowledged: string[] = [];
      const work = async (till: Till, place: number) => {
        for (let i = place; !isOver; i += 1) {
          const { engineId } = engines[i % engines.length]!;
          await call('ask', () => till.send('GET', `/api/ask?q=${encodeURIComponent('KN 419G-63DR')}`));
          await call('tray', () => till.send('GET', `/api/engines/${engineId}/tray`));
          // One slip under one key, until it is there.
          const key = randomUUID();
          for (;;) {
            const begun = await call('begin', () => till.send('POST', '/api/slips', { engineId }, key));
            if (begun && begun.status < 500) {
              acknowledged.push(String(begun.body.slipId));
              break;
            }
            await sleep(PACE_MS);
          }
          await sleep(PACE_MS * (0.5 + Math.random()));
        }
      };
      const working = Promise.all(tills.map(work));
      await sleep(QUIET_MS);
      const { calm } = await wind.blow(site);
      await sleep(WIND_MS);
      await calm();
      const calmAt = since();
      await sleep(AFTER_MS);
      isOver = true;
      await working;
      const during = calls.filter(({ at, ms }) => at + ms > QUIET_MS && at < calmAt);
      const quiet = calls.filter(({ at, ms }) => at + ms <= QUIET_MS);
      const isFine = ({ status }: Call) => status > 0 && status < 400;
      const isTold = ({ status, says }: Call) => TOLD.has(status) && says !== '';
      const mute = calls.filter((one) => !isFine(one) && !isTold(one));
      // Well again: from then on nothing was refused any more.
      const lastBad = Math.max(calmAt, ...calls.filter((one) => !isFine(one)).map(({ at, ms }) => at + ms));
      const p95 = (of: readonly Call[]) =>
        percentile(
          of.map(({ ms }) => ms),
          0.95,
        );
      console.log(
        row(
          wind.name,
          String(during.length),
          String(during.filter(isFine).length),
          String(during.filter(isTold).length),
          String(mute.length),
          p95(quiet).toFixed(0),
          p95(during).toFixed(0),
          ((lastBad - calmAt) / 1000).toFixed(1),
        ),
      );
      for (const says of new Set(during.filter(isTold).map((one) => `    ${one.status} ${one.says}`)))
        console.log(says);
      for (const one of mute.slice(0, 3))
        console.log(`    no word: ${one.kind} ${one.status} after ${one.ms.toFixed(0)} ms`);
      const there = new Set(await slips());
      lost += acknowledged.filter((id) => !there.has(id)).length;
      doubled += there.size - before - new Set(acknowledged).size;
      silent += mute.length;
      longest = Math.max(longest, (lastBad - calmAt) / 1000);
    }
    console.log(`memory ${memoryMb(server)[0]} MB`);
    hold({ what: 'bad hours: calls neither answered nor told why', value: silent, target: 0 });
    hold({ what: 'bad hours: slips acknowledged and lost', value: lost, target: 0 });
    hold({ what: 'bad hours: slips doubled', value: doubled, target: 0 });
    hold({ what: 'bad hours: well again after the worst of them', value: longest, target: 10, unit: 's' });
    if (silent + lost + doubled > 0) process.exitCode = 1;
  } finally {
    await stopServer(server);
    await site.cluster.stop();
    if (isMounted) spawnSync('umount', ['-l', disk]);
    rmSync(scratch, { recursive: true, force: true });
  }
}

await main();
