import { randomBytes } from 'node:crypto';
import { z } from 'zod';

const Config = z.object({
  /** The application's own role: it may not rewrite evidence or history. */
  BRACKENFELL_DATABASE_URL: z.string().min(1),
  BRACKENFELL_PORT: z.coerce.number().int().min(0).max(65535).default(0),
  BRACKENFELL_WEB: z.string().optional(),
  /** What receipts of calls are keyed with; the same for every server on one database. Random for this process when left out. */
  BRACKENFELL_SECRET: z.string().min(16).optional(),
  /** Host names this server answers to besides loopback, separated by commas. */
  BRACKENFELL_HOSTS: z.string().default(''),
  /** Addresses or the number of proxies that may say who calls; none when left out. */
  BRACKENFELL_TRUST_PROXY: z.string().optional(),
  /** What the first-run page asks for; printed by who starts the server. Without it no shop can be begun here. */
  BRACKENFELL_FIRST_CODE: z.string().min(8).optional(),
  /** Port on loopback that figures for a monitor are read from; none when left out. */
  BRACKENFELL_METRICS_PORT: z.coerce.number().int().min(1).max(65535).optional(),
  BRACKENFELL_LOG: z.enum(['silent', 'error', 'warn', 'info']).default('warn'),
});

export interface Config {
  readonly databaseUrl: string;
  readonly port: number;
  /** Folder of the built web application; none while it is served by its own development server. */
  readonly webFolder: string | undefined;
  readonly secret: string;
  readonly hosts: readonly string[];
  readonly trustProxy: string | number | undefined;
  readonly firstCode: string | undefined;
  readonly metricsPort: number | undefined;
  readonly logLevel: string;
}

/** Reads the settings from the environment; throws one sentence naming what is missing. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const read = Config.safeParse(env);
  if (!read.success) {
    const names = read.error.issues.map((issue) => issue.path.join('.')).join(', ');
    throw new Error(`The server cannot start: check the settings ${names}.`);
  }
  return {
    databaseUrl: read.data.BRACKENFELL_DATABASE_URL,
    port: read.data.BRACKENFELL_PORT,
    webFolder: read.data.BRACKENFELL_WEB,
    secret: read.data.BRACKENFELL_SECRET ?? randomBytes(32).toString('base64url'),
    hosts: read.data.BRACKENFELL_HOSTS.split(',')
      .map((host) => host.trim().toLowerCase())
      .filter((host) => host !== ''),
    trustProxy: proxyOf(read.data.BRACKENFELL_TRUST_PROXY),
    firstCode: read.data.BRACKENFELL_FIRST_CODE,
    metricsPort: read.data.BRACKENFELL_METRICS_PORT,
    logLevel: read.data.BRACKENFELL_LOG,
  };
}

/** A count of proxies, or addresses, as Express takes them. */
const proxyOf = (text: string | undefined): string | number | undefined =>
  text !== undefined && /^\d+$/.test(text) ? Number(text) : text;
