import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll } from './build.ts';
import { ensureChromium } from './debian.ts';
import { ROOT } from './places.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';

const BENCHES = ['judge-plugs', 'http-latency', 'tray-keys'];

/** Runs every benchmark (or those named) on a database of its own, and states the machine. */
async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  const scratch = mkdtempSync(join(tmpdir(), 'brackenfell-bench-'));
  try {
    ensureChromium();
    await buildAll((line) => {
      console.log(line);
    });
    console.log(`Machine: ${cpus().length} × ${cpus()[0]?.model ?? 'unknown'}, Node.js ${process.versions.node}`);
    await withThrowawayDatabase(scratch, (env) => {
      for (const bench of BENCHES.filter((name) => asked.length === 0 || asked.includes(name))) {
        console.log(`\n## ${bench}`);
        spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'bench', `${bench}.ts`)], {
          stdio: 'inherit',
          cwd: ROOT,
          env: { ...process.env, ...env, NODE_ENV: 'production' },
        });
      }
      return Promise.resolve();
    });
  } finally {
    rmSync(scratch, { recursive: true, force: true });
  }
}

await main();
