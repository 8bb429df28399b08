import { spawn, type ChildProcess } from 'node:child_process';
import { SERVER_BUNDLE, WEB_BUILD } from './places.ts';

export interface RunningServer {
  readonly process: ChildProcess;
  readonly port: number;
  readonly address: string;
}

/** Starts the built server as a child that stops when its parent is gone, and waits for the port it listens on. */
export async function startServer(
  databaseUrl: string,
  port: number,
  settings: NodeJS.ProcessEnv = {},
): Promise<RunningServer> {
  const child = spawn(process.execPath, ['--enable-source-maps', SERVER_BUNDLE], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      BRACKENFELL_DATABASE_URL: databaseUrl,
      BRACKENFELL_PORT: String(port),
      BRACKENFELL_WEB: WEB_BUILD,
      ...settings,
    },
  });
  return new Promise((resolve, reject) => {
    child.once('message', (message: { port: number }) => {
      resolve({ process: child, port: message.port, address: `http://127.0.0.1:${message.port}` });
    });
    child.once('exit', (code) => {
      reject(new Error(`The server stopped while starting (exit ${String(code)}).`));
    });
  });
}

/** Stops a server in order; one that does not heed is ended. */
export async function stopServer({ process: child }: RunningServer): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  const late = setTimeout(() => child.kill('SIGKILL'), 5000);
  await gone;
  clearTimeout(late);
}
