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
import { startServer, stopServer } from './server-process.ts';

const USUAL_PORT = 8417;
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

function readSecrets(): { super: string; owner: string; app: string } {
  if (existsSync(SECRETS))
    return JSON.parse(readFileSync(SECRETS, 'utf8')) as { super: string; owner: string; app: string };
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword() };
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
  const secrets = readSecrets();
  const cluster = await openCluster({ folder, password: secrets.super, log: join(STATE, 'postgres.log') });
  let stopping = false;
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
    const server = await startServer(appUrl, (await isFree(USUAL_PORT)) ? USUAL_PORT : 0);
    stopAll = async () => {
      await stopServer(server);
      await cluster.stop();
    };
    writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, address: server.address }));
    server.process.once('exit', () => {
      if (stopping) return;
      say('The server stopped; its last words are above.');
      process.exitCode = 1;
      stop();
    });
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
