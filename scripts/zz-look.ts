import { writeFileSync } from 'node:fs';
import { buildAll } from './build.ts';
import { scratchFolder } from './places.ts';
import { startServer } from './server-process.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';
if (process.argv[2] !== 'nobuild') await buildAll(console.log);
await withThrowawayDatabase(scratchFolder('look', 3), async (env) => {
  const server = await startServer(env.BRACKENFELL_TEST_APP_URL!, 4599);
  writeFileSync('/tmp/look.json', JSON.stringify({ address: server.address, pid: process.pid }));
  await new Promise((resolve) => process.once('SIGINT', resolve));
});
