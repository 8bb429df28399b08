import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { createServer } from 'vite';
import { ensureDatabase, newPassword, openCluster, privateFolder } from './cluster.ts';
import { fillDemo } from './fill-demo.ts';
import { ROOT, STATE } from './places.ts';

const API_PORT = '8418';

/** For working on it: a throwaway database, the server restarted at every change, and the web served with hot reload. */
async function main(): Promise<void> {
  privateFolder(STATE);
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword() };
  const folder = join(STATE, `dev-${process.pid}`);
  const cluster = await openCluster({
    folder,
    password: secrets.super,
    log: join(STATE, 'dev-postgres.log'),
    throwaway: true,
  });
  const { ownerUrl, appUrl } = await ensureDatabase(cluster, 'brackenfell', secrets);
  await fillDemo(ownerUrl, console.log);
  const server = spawn(join(ROOT, 'node_modules/.bin/tsx'), ['watch', join(ROOT, 'server/src/main.ts')], {
    stdio: 'inherit',
    env: { ...process.env, BRACKENFELL_DATABASE_URL: appUrl, BRACKENFELL_PORT: API_PORT },
  });
  process.env.BRACKENFELL_PORT = API_PORT;
  const web = await createServer({ root: join(ROOT, 'web'), configFile: join(ROOT, 'web/vite.config.ts') });
  await web.listen();
  web.printUrls();
  process.on('SIGINT', () => {
    server.kill();
    void Promise.all([web.close(), cluster.stop()]).finally(() => process.exit());
  });
}

await main();
