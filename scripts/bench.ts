import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { buildAll, bundleForNode } from './build.ts';
import { ensureChromium } from './debian.ts';
import { DIST, ROOT, scratchFolder } from './places.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';

const BENCH_BUNDLES = join(DIST, 'bench');
const BENCHES = ['proof-simulation', 'judge-plugs', 'http-latency', 'tray-keys', 'spark-slider', 'large-world'];
/** Run only when they are named: they kill servers, and databases, for minutes. */
const ONLY_ASKED = ['faults', 'servers', 'import-kills', 'import-million', 'tills'];
/** The large world's indexes fit in this, so that it is measured with a hot cache. */
const CACHE_MB = 4096;

/** Runs every benchmark (or those named) on a database of its own, and states the machine. Options go to the benchmarks. */
async function main(): Promise<void> {
  const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
  const options = process.argv.slice(2).filter((word) => word.startsWith('--'));
  const scratch = scratchFolder('bench', 14);
  try {
    ensureChromium();
    await buildAll((line) => {
      console.log(line);
    });
    // As the application runs: what loads TypeScript on the way slows the code it loads.
    const programs: Record<string, string> = { 'audit-worker': join(ROOT, 'bench/large/audit-worker.ts') };
    for (const bench of [...BENCHES, ...ONLY_ASKED]) programs[bench] = join(ROOT, 'bench', `${bench}.ts`);
    await bundleForNode(programs, BENCH_BUNDLES);
    console.log(`Machine: ${cpus().length} × ${cpus()[0]?.model ?? 'unknown'}, Node.js ${process.versions.node}`);
    await withThrowawayDatabase(
      scratch,
      (env) => {
        const chosen =
          asked.length === 0 ? BENCHES : [...BENCHES, ...ONLY_ASKED].filter((name) => asked.includes(name));
        for (const bench of chosen) {
          console.log(`\n## ${bench}`);
          const { status } = spawnSync(
            process.execPath,
            ['--enable-source-maps', join(BENCH_BUNDLES, `${bench}.js`), ...options],
            {
              stdio: 'inherit',
              cwd: ROOT,
              env: { ...process.env, ...env, NODE_ENV: 'production', BRACKENFELL_ROOT: ROOT },
            },
          );
          if (status !== 0) {
            console.error(`FAILED: ${bench}`);
            process.exitCode = 1;
          }
        }
        return Promise.resolve();
      },
      CACHE_MB,
    );
  } finally {
    rmSync(scratch, { recursive: true, force: true });
  }
}

await main();
