import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { demoStaff } from '@brackenfell/demo/staff';
import { buildAll } from './build.ts';
import { closedParent, ensureDatabase, newPassword, openCluster, privateFolder, removeCluster } from './cluster.ts';
import { ensurePostgres } from './debian.ts';
import { fillDemo } from './fill-demo.ts';
import { ROOT, STATE } from './places.ts';
import { startServer, stopServer, type RunningServer } from './server-process.ts';

const USUAL_PORT = 8417;
const LOOK_EVERY_MS = 1000;
/** A server that ran this long was well. */
const WELL_AFTER_MS = 60_000;
const MOST_FAILURES = 6;
const SECRETS = join(STATE, 'secrets.json');
const RUNNING = join(STATE, 'running.json');
const say = (line: string) => {
  console.log(line);
};

/** Where the data lives: in the checkout, or elsewhere when PostgreSQL's user may not reach into it. */
function dataFolder(): string {
  const here = join(STATE, 'postgres');
  const closed = process.getuid?.() === 0 ? closedParent(here) : undefined;
  if (!closed) return here;
  const elsewhere = join('/var/lib/brackenfell', createHash('sha256').update(ROOT).digest('hex').slice(0, 12));
  mkdirSync('/var/lib/brackenfell', { recursive: true, mode: 0o755 });
  say(`${closed} is closed to PostgreSQL's user, so the data is kept in ${elsewhere}.`);
  return elsewhere;
}

interface Secrets {
  readonly super: string;
  readonly owner: string;
  readonly app: string;
  /** What the server keys its receipts with. */
  readonly receipts: string;
}

/** The passwords of this checkout's database. Missing beside data they cannot be made anew: that is said, nothing is written. */
function readSecrets(folder: string): Secrets {
  if (existsSync(SECRETS)) {
    let kept: Partial<Secrets>;
    try {
      kept = JSON.parse(readFileSync(SECRETS, 'utf8')) as Partial<Secrets>;
    } catch {
      throw new Error(`${SECRETS} cannot be read. Put it back from a copy; nothing was changed.`);
    }
    if (!kept.super || !kept.owner || !kept.app)
      throw new Error(`${SECRETS} lacks a password. Put it back from a copy; nothing was changed.`);
    const secrets = { super: kept.super, owner: kept.owner, app: kept.app, receipts: kept.receipts ?? newPassword() };
    if (!kept.receipts) writeFileSync(SECRETS, JSON.stringify(secrets), { mode: 0o600 });
    return secrets;
  }
  if (existsSync(join(folder, 'PG_VERSION')))
    throw new Error(
      `${SECRETS} is missing, and the data in ${folder} opens with the passwords in it. Put it back from a copy; only if the data may go, start over with --fresh.`,
    );
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword(), receipts: newPassword() };
  writeFileSync(SECRETS, JSON.stringify(secrets), { mode: 0o600 });
  return secrets;
}

/** The address of a demo that is already running from this checkout. */
function alreadyRunning(): string | undefined {
  if (!existsSync(RUNNING)) return undefined;
  try {
    const { pid, address } = JSON.parse(readFileSync(RUNNING, 'utf8')) as { pid: number; address: string };
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(join(ROOT, 'scripts', 'demo.ts'))
      ? address
      : undefined;
  } catch {
    return undefined;
  }
}

async function isFree(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => {
      resolve(false);
    });
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

async function main(): Promise<void> {
  const fresh = process.argv.includes('--fresh');
  privateFolder(STATE);
  const running = alreadyRunning();
  if (running) {
    const serves = await fetch(`${running}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
    if (!serves) say('It does not serve just now: its database is started again, or see its own window.');
    say(`Brackenfell is already running: ${running}${fresh ? '\nStop it first to start over.' : ''}`);
    process.exitCode = fresh ? 1 : 0;
    return;
  }
  ensurePostgres();
  const folder = dataFolder();
  if (fresh) {
    await removeCluster(folder);
    rmSync(SECRETS, { force: true });
  }
  const secrets = readSecrets(folder);
  const open = { folder, password: secrets.super, log: join(STATE, 'postgres.log') };
  let cluster = await openCluster(open);
  let stopping = false;
  let failures = 0;
  let stopAll = () => cluster.stop();
  const stop = () => {
    if (stopping) return;
    stopping = true;
    void stopAll().finally(() => {
      rmSync(RUNNING, { force: true });
      process.exit();
    });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
  try {
    const { ownerUrl, appUrl } = await ensureDatabase(cluster, 'brackenfell', secrets);
    await fillDemo(ownerUrl, say);
    await buildAll(say);
    const settings = { BRACKENFELL_SECRET: secrets.receipts };
    let server = await startServer(appUrl, (await isFree(USUAL_PORT)) ? USUAL_PORT : 0, settings);
    stopAll = async () => {
      await stopServer(server);
      await cluster.stop();
    };
    writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, address: server.address }));
    const watch = (running: RunningServer) => {
      const since = Date.now();
      running.process.once('exit', () => {
        if (stopping) return;
        failures = Date.now() - since > WELL_AFTER_MS ? 1 : failures + 1;
        if (failures > MOST_FAILURES) {
          say(`The server stopped ${failures} times in a row and is not started again; its last words are above.`);
          process.exitCode = 1;
          stop();
          return;
        }
        const pauseS = 2 ** (failures - 1);
        say(`The server stopped; it is started again in ${pauseS} s.`);
        setTimeout(() => {
          startServer(appUrl, running.port, settings).then(
            (again) => {
              server = again;
              watch(again);
            },
            (error: unknown) => {
              say(error instanceof Error ? error.message : String(error));
              process.exitCode = 1;
              stop();
            },
          );
        }, pauseS * 1000);
      });
    };
    watch(server);
    let reviving = false;
    setInterval(() => {
      if (stopping || reviving || cluster.isUp()) return;
      reviving = true;
      say('PostgreSQL stopped; it is started again.');
      openCluster({ ...open, port: cluster.port })
        .then(
          (again) => (cluster = again),
          (error: unknown) => say(error instanceof Error ? error.message : String(error)),
        )
        .finally(() => (reviving = false));
    }, LOOK_EVERY_MS).unref();
    say(`\nBrackenfell is at ${server.address}\n`);
    say('Sign in with (PIN for handing over the counter):');
    for (const { name, role, password, pin } of demoStaff)
      say(`  ${name.padEnd(8)} ${password.padEnd(22)} ${pin}  ${role}`);
    say('\nCtrl-C stops everything; the data is kept. --fresh starts over.');
  } catch (error) {
    await cluster.stop();
    throw error;
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
