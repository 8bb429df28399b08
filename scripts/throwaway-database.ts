import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDatabase, newPassword, openCluster, privateFolder } from './cluster.ts';
import { ensurePostgres } from './debian.ts';
import { fillDemo } from './fill-demo.ts';

/** A database cluster of the tests' own, with the demo world in a template that every test file copies; gone with its folder afterwards. */
export async function withThrowawayDatabase<T>(
  scratch: string,
  work: (env: NodeJS.ProcessEnv) => Promise<T>,
  cacheMb = 256,
): Promise<T> {
  ensurePostgres();
  privateFolder(scratch);
  const secrets = { super: newPassword(), owner: newPassword(), app: newPassword() };
  const cluster = await openCluster({
    folder: join(scratch, 'postgres'),
    password: secrets.super,
    log: join(scratch, 'postgres.log'),
    throwaway: true,
    cacheMb,
  });
  try {
    const { ownerUrl, appUrl } = await ensureDatabase(cluster, 'template_world', secrets);
    await fillDemo(ownerUrl, (line) => {
      console.log(line);
    });
    return await work({
      BRACKENFELL_TEST_SUPER_URL: cluster.superUrl('postgres'),
      BRACKENFELL_TEST_OWNER_URL: ownerUrl,
      BRACKENFELL_TEST_APP_URL: appUrl,
      // One for all servers of a journey: a retry after a restart is known again.
      BRACKENFELL_SECRET: newPassword(),
    });
  } finally {
    await cluster.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
}
