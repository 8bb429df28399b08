import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { buildAll } from './build.ts';
import {
  ensureDatabase,
  newPassword,
  openCluster,
  privateFolder,
  removeCluster,
  type Cluster,
  type RoleUrls,
} from './cluster.ts';
import { ensurePostgres } from './debian.ts';
import { startServer, stopServer, type RunningServer } from './server-process.ts';

const DATABASE = 'brackenfell';
const LOOK_EVERY_MS = 1000;
/** A server that ran this long was well. */
const WELL_AFTER_MS = 60_000;
const MOST_FAILURES = 6;

export const say = (line: string) => {
  console.log(line);
};

/** Where an instance keeps what is its own. */
export interface Places {
  /** Passwords, log, who is running. */
  readonly state: string;
  /** PostgreSQL's data. */
  readonly data: string;
  /** Every finished segment of the database's journal is copied here, for recovery to a point in time; not kept when left out. */
  readonly wal?: string | undefined;
}

export interface Secrets {
  readonly super: string;
  readonly owner: string;
  readonly app: string;
  /** What the server keys its receipts with. */
  readonly receipts: string;
}

const secretsFile = ({ state }: Places) => join(state, 'secrets.json');
const runningFile = ({ state }: Places) => join(state, 'running.json');

/** The passwords of an instance's database. Missing beside data they cannot be made anew: that is said, nothing is written. */
export function readSecrets(places: Places): Secrets {
  const file = secretsFile(places);
  if (existsSync(file)) {
    let kept: Partial<Secrets>;
    try {
      kept = JSON.parse(readFileSync(file, 'utf8')) as Partial<Secrets>;
    } catch {
      throw new Error(`${file} cannot be read. Put it back from a copy; nothing was changed.`);
    }
    if (!kept.super || !kept.owner || !kept.app)
      throw new Error(`${file} lacks a password. Put it back from a copy; nothing was changed.`);
    const secrets = { super: kept.super, owner: kept.owner, app: kept.app, receipts: kept.receipts ?? newPassword() };
    if (!kept.receipts) writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
    return secrets;
  }
  if (existsSync(join(places.data, 'PG_VERSION')))
    throw new Error(
      `${file} is missing, and the data in ${places.data} opens with the passwords in it. Put it back from a copy; only if the data may go, remove it and start over.`,
    );
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword(), receipts: newPassword() };
  writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
  return secrets;
}

/** The address of an instance of these places that is already running. */
export function alreadyRunning(places: Places): string | undefined {
  const file = runningFile(places);
  if (!existsSync(file)) return undefined;
  try {
    const { pid, address, program } = JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>;
    return readFileSync(`/proc/${pid!}/cmdline`, 'utf8').includes(program!) ? address : undefined;
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

/** Opens the instance's own database, making it first if need be. */
export async function openInstance(places: Places): Promise<{ cluster: Cluster; urls: RoleUrls; secrets: Secrets }> {
  privateFolder(places.state);
  ensurePostgres(places.data);
  const secrets = readSecrets(places);
  const cluster = await openCluster(clusterOf(places, secrets));
  try {
    return { cluster, secrets, urls: await ensureDatabase(cluster, DATABASE, secrets) };
  } catch (error) {
    await cluster.stop();
    throw error;
  }
}

const clusterOf = (places: Places, secrets: Secrets) => ({
  folder: places.data,
  password: secrets.super,
  log: join(places.state, 'postgres.log'),
  wal: places.wal,
});

interface Running {
  readonly places: Places;
  /** The file that was started, by which a running instance is known again. */
  readonly program: string;
  /** Tried first; another is taken where it is not free, unless it must be this one. */
  readonly port: number;
  readonly isPortFixed?: boolean;
  readonly settings?: NodeJS.ProcessEnv;
  /** Brings the database to where the server can serve it, and gives settings that follow from what it holds. */
  readonly prepare: (ownerUrl: string) => Promise<NodeJS.ProcessEnv>;
  /** Said once it serves. */
  readonly greet: (address: string) => void;
}

/** Runs database and server together until it is asked to stop, and starts again what dies. */
export async function runInstance({
  places,
  program,
  port,
  isPortFixed = false,
  settings: given = {},
  prepare,
  greet,
}: Running): Promise<void> {
  const opened = await openInstance(places);
  let { cluster } = opened;
  const { secrets, urls } = opened;
  let stopping = false;
  let failures = 0;
  let stopAll = () => cluster.stop();
  const stop = () => {
    if (stopping) return;
    stopping = true;
    void stopAll().finally(() => {
      rmSync(runningFile(places), { force: true });
      process.exit();
    });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
  try {
    const settings = { BRACKENFELL_SECRET: secrets.receipts, ...given, ...(await prepare(urls.ownerUrl)) };
    await buildAll(say);
    const first = isPortFixed || (await isFree(port)) ? port : 0;
    let server = await startServer(urls.appUrl, first, settings);
    stopAll = async () => {
      await stopServer(server);
      await cluster.stop();
    };
    writeFileSync(runningFile(places), JSON.stringify({ pid: String(process.pid), address: server.address, program }));
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
          startServer(urls.appUrl, running.port, settings).then(
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
      openCluster({ ...clusterOf(places, secrets), port: cluster.port })
        .then(
          (again) => (cluster = again),
          (error: unknown) => say(error instanceof Error ? error.message : String(error)),
        )
        .finally(() => (reviving = false));
    }, LOOK_EVERY_MS).unref();
    greet(server.address);
  } catch (error) {
    await cluster.stop();
    throw error;
  }
}

/** Removes an instance's data and passwords for good. */
export async function removeInstance(places: Places): Promise<void> {
  await removeCluster(places.data);
  rmSync(secretsFile(places), { force: true });
}

/** What a script's own failure looks like: its sentence, without the way it came. */
export function failWith(error: unknown): never {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
