import { z } from 'zod';

const Config = z.object({
  /** The application's own role: it may not rewrite evidence or history. */
  BRACKENFELL_DATABASE_URL: z.string().min(1),
  BRACKENFELL_PORT: z.coerce.number().int().min(0).max(65535).default(0),
  BRACKENFELL_WEB: z.string().optional(),
  BRACKENFELL_LOG: z.enum(['silent', 'error', 'warn', 'info']).default('warn'),
});

export interface Config {
  readonly databaseUrl: string;
  readonly port: number;
  /** Folder of the built web application; none while it is served by its own development server. */
  readonly webFolder: string | undefined;
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
    logLevel: read.data.BRACKENFELL_LOG,
  };
}
