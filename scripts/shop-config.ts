import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { z } from 'zod';
import { dataFolder } from './cluster.ts';
import type { Places } from './instance.ts';
import { ROOT, STATE } from './places.ts';

const USUAL_PORT = 8418;

/** Paths go into commands that PostgreSQL runs: none that a shell would read otherwise. */
const Path = z.string().regex(/^[\w./ -]+$/, 'must be a path of letters, digits, spaces, dots, dashes and slashes');
const Port = z.coerce.number().int().min(1).max(65535);

const Settings = z
  .object({
    /** Folder that keeps what is the shop's own. */
    state: Path,
    /** Folder that the database's journal is archived to; no recovery to a point in time without it. */
    journal: Path,
    port: Port,
    /** Host names the shop is reached by, besides loopback; separated by commas. */
    hosts: z.string(),
    /** How many proxies stand before it. */
    trustProxy: z.coerce.string(),
    metricsPort: Port,
    log: z.enum(['silent', 'error', 'warn', 'info']),
  })
  .partial()
  .strict();
type Settings = z.infer<typeof Settings>;

const VARIABLES: Readonly<Record<keyof Settings, string>> = {
  state: 'BRACKENFELL_STATE',
  journal: 'BRACKENFELL_JOURNAL',
  port: 'BRACKENFELL_PORT',
  hosts: 'BRACKENFELL_HOSTS',
  trustProxy: 'BRACKENFELL_TRUST_PROXY',
  metricsPort: 'BRACKENFELL_METRICS_PORT',
  log: 'BRACKENFELL_LOG',
};
const KEYS = Object.keys(VARIABLES) as (keyof Settings)[];

export interface ShopConfig {
  readonly places: Places;
  readonly port: number;
  /** What the server is told, by its own variables. */
  readonly server: NodeJS.ProcessEnv;
}

/** The settings of a shop: a file (`brackenfell.json`, or the one that BRACKENFELL_CONFIG names), over which the environment goes. */
export function readShopConfig(env: NodeJS.ProcessEnv, say: (line: string) => void): ShopConfig {
  const file = env.BRACKENFELL_CONFIG ?? join(ROOT, 'brackenfell.json');
  if (env.BRACKENFELL_CONFIG !== undefined && !existsSync(file)) throw new Error(`${file} is not there.`);
  const written: unknown = existsSync(file) ? parse(file) : {};
  const named = KEYS.flatMap((key) => {
    const value = env[VARIABLES[key]];
    return value === undefined ? [] : [[key, value] as const];
  });
  const read = Settings.safeParse({ ...(written as object), ...Object.fromEntries(named) });
  if (!read.success)
    throw new Error(
      `The settings cannot be used: ${read.error.issues.map(({ path, message }) => `${path.join('.') || file} ${message}`).join('; ')}.`,
    );
  const { state: folder, journal, port = USUAL_PORT, ...server } = read.data;
  const state = resolve(folder ?? join(STATE, 'shop'));
  return {
    places: { state, data: dataFolder(state, say), wal: journal === undefined ? undefined : resolve(journal) },
    port,
    server: Object.fromEntries(
      Object.entries(server).map(([key, value]) => [VARIABLES[key as keyof Settings], String(value)]),
    ),
  };
}

function parse(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new Error(`${file} is no JSON.`);
  }
}
