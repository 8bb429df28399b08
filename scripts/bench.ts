import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { cellsOf, type Figure } from './figures.ts';
import { buildAll, bundleForNode } from './build.ts';
import { ensureChromium } from './debian.ts';
import { DIST, ROOT, scratchFolder } from './places.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';
import { writePage } from './write-page.ts';

const BENCH_BUNDLES = join(DIST, 'bench');
const BENCHES = [
  'proof-simulation',
  'judge-plugs',
  'http-latency',
  'many-others',
  'tray-keys',
  'spark-slider',
  'growth',
  'large-world',
  'tills',
];
/** Run only when they are named: they kill servers, and databases, for minutes. */
const ONLY_ASKED = ['faults', 'bad-hours', 'servers', 'import-kills', 'import-million'];
const SPEED = join(ROOT, 'docs/speed.md');
/** The large world's indexes fit in this, so that it is measured with a hot cache. */
const CACHE_MB = 4096;

/** Puts the figures of this run where the table of the page stands, with the machine and the day. */
function writeTable(figures: string, machine: string): void {
  const rows = readFileSync(figures, 'utf8')
    .trim()
    .split('\n')
    .map((line) => `| ${cellsOf(JSON.parse(line) as Figure).join(' | ')} |`);
  const table = [
    `Measured on ${new Date().toISOString().slice(0, 10)}: ${machine}.`,
    '',
    '| what | before | measured | target | verdict |',
    '| --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
  const page = readFileSync(SPEED, 'utf8');
  const written = page.replace(/(<!-- one run -->\n)[^]*(\n<!-- \/one run -->)/, `$1\n${table}\n$2`);
  if (written === page) throw new Error('docs/speed.md has no place for the table.');
  writePage(SPEED, written);
}

/**
 * Runs every benchmark (or those named) on a database of its own, and states the machine. With `--table` their figures become the
 * table of docs/speed.md; `--profile=folder` leaves a processor profile of each there. Other options go to the benchmarks.
 */
async function main(): Promise<void> {
  const asked = process.argv.slice(2).filter((word) => !word.startsWith('--'));
  const options = process.argv.slice(2).filter((word) => word.startsWith('--'));
  const profile = options.flatMap((word) => /^--profile=(.+)$/.exec(word)?.[1] ?? []);
  const profiled = profile.flatMap((folder) => ['--cpu-prof', `--cpu-prof-dir=${folder}`]);
  const scratch = scratchFolder('bench', 14);
  // Not in the folder of the database, which goes with it.
  const noted = mkdtempSync(join(tmpdir(), 'brackenfell-figures-'));
  const figures = join(noted, 'figures');
  const machine = `${cpus().length} × ${cpus()[0]?.model ?? 'unknown'}, Node.js ${process.versions.node}`;
  try {
    ensureChromium();
    await buildAll((line) => {
      console.log(line);
    });
    // As the application runs: what loads TypeScript on the way slows the code it loads.
    const programs: Record<string, string> = { 'audit-worker': join(ROOT, 'bench/large/audit-worker.ts') };
    for (const bench of [...BENCHES, ...ONLY_ASKED]) programs[bench] = join(ROOT, 'bench', `${bench}.ts`);
    await bundleForNode(programs, BENCH_BUNDLES);
    console.log(`Machine: ${machine}`);
    await withThrowawayDatabase(
      scratch,
      (env) => {
        const chosen =
          asked.length === 0 ? BENCHES : [...BENCHES, ...ONLY_ASKED].filter((name) => asked.includes(name));
        for (const bench of chosen) {
          console.log(`\n## ${bench}`);
          const { status } = spawnSync(
            process.execPath,
            ['--enable-source-maps', ...profiled, join(BENCH_BUNDLES, `${bench}.js`), ...options],
            {
              stdio: 'inherit',
              cwd: ROOT,
              env: {
                ...process.env,
                ...env,
                NODE_ENV: 'production',
                BRACKENFELL_ROOT: ROOT,
                BRACKENFELL_FIGURES: figures,
              },
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
    if (options.includes('--table')) writeTable(figures, machine);
  } finally {
    for (const folder of [scratch, noted]) rmSync(folder, { recursive: true, force: true });
  }
}

await main();
