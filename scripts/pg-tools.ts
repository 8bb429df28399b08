import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import pg from 'pg';
import { ensurePostgres } from './debian.ts';

/** Runs one of PostgreSQL's own programs against an address; its password goes by the environment, where no list of processes shows it. */
export function runTool(data: string, program: string, url: string, args: readonly string[]): void {
  const at = new URL(url);
  const done = spawnSync(join(ensurePostgres(data), program), args, {
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
    env: {
      ...process.env,
      PGHOST: at.hostname,
      PGPORT: at.port,
      PGUSER: at.username,
      PGPASSWORD: at.password,
      PGDATABASE: at.pathname.slice(1),
    },
  });
  if (done.status !== 0) throw new Error(`${program} failed: ${done.stderr.trim() || String(done.error)}`);
}

export async function withClient<T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Work in one view of the data, which others may be given by the snapshot's name. */
export const inOneView = <T>(url: string, work: (client: pg.Client) => Promise<T>): Promise<T> =>
  withClient(url, async (client) => {
    await client.query('begin isolation level repeatable read read only');
    return work(client);
  });
