import { spawn } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { buildAll } from './build.ts';
import { privateFolder } from './cluster.ts';
import { ensureChromium, ensurePaperReaders } from './debian.ts';
import { ROOT, scratchFolder, STATE } from './places.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';

/** Outcome of one part of the tests. */
interface Count {
  passed: number;
  failed: number;
}

const scratch = scratchFolder('test', 3);
const bin = (name: string) => join(ROOT, 'node_modules', '.bin', name);

function run(command: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<number> {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    });
    child.on('exit', (code) => {
      resolve(code ?? 1);
    });
    child.on('error', () => {
      resolve(1);
    });
  });
}

/** Checks that read the code without running it; each counts as one. */
const STATIC: readonly (readonly [string, string, readonly string[]])[] = [
  ['types and lint', 'oxlint', ['--deny-warnings', '--report-unused-disable-directives']],
  ['format', 'oxfmt', ['--check']],
  [
    'boundaries',
    'depcruise',
    ['--output-type', 'err', 'core', 'contract', 'server', 'web', 'demo', 'stand-ins', 'e2e', 'bench', 'scripts'],
  ],
  [
    'folders',
    'depcruise',
    [
      '--config',
      '.dependency-cruiser-folders.cjs',
      '--output-type',
      'err',
      'core',
      'contract',
      'server',
      'web',
      'demo',
      'stand-ins',
    ],
  ],
  ['dead code', 'knip', []],
];

/** Beside journeys it takes what they leave, and a little more: after them it would have the machine to itself and use half of it. */
async function readCode(): Promise<Count> {
  const count = { passed: 0, failed: 0 };
  for (const [what, command, args] of STATIC) {
    const code = await run('nice', ['-n', '5', bin(command), ...args]);
    console.log(`${code === 0 ? 'passed' : 'FAILED'}: ${what}`);
    count[code === 0 ? 'passed' : 'failed'] += 1;
  }
  return count;
}

function readJson(file: string): unknown {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
}

async function runUnit(env: NodeJS.ProcessEnv): Promise<Count> {
  const report = join(scratch, 'jest.json');
  const code = await run(
    bin('jest'),
    ['--json', `--outputFile=${report}`, '--testTimeout=90000', ...process.argv.slice(3)],
    { ...env, NODE_OPTIONS: '--experimental-vm-modules' },
  );
  const read = readJson(report) as
    | { numPassedTests: number; numFailedTests: number; numRuntimeErrorTestSuites: number }
    | undefined;
  const failed = (read?.numFailedTests ?? 1) + (read?.numRuntimeErrorTestSuites ?? 0);
  return { passed: read?.numPassedTests ?? 0, failed: code !== 0 && failed === 0 ? 1 : failed };
}

async function runJourneys(env: NodeJS.ProcessEnv): Promise<Count> {
  ensureChromium();
  await buildAll((line) => {
    console.log(line);
  });
  const report = join(scratch, 'playwright.json');
  const code = await run(
    bin('playwright'),
    ['test', '--config', join(ROOT, 'e2e/playwright.config.ts'), ...process.argv.slice(3)],
    { ...env, PLAYWRIGHT_JSON_OUTPUT_FILE: report },
  );
  const read = readJson(report) as { stats: { expected: number; unexpected: number; flaky: number } } | undefined;
  if (code !== 0) {
    sayWhatWasShown();
    // Each step's document is a tenth of the time, so it is kept only here. What failed has failed, whatever comes of this.
    console.log('What failed is walked once more, for its trace:');
    await run(
      bin('playwright'),
      ['test', '--config', join(ROOT, 'e2e/playwright.config.ts'), '--last-failed', '--trace', 'retain-on-failure'],
      { ...env, PLAYWRIGHT_JSON_OUTPUT_FILE: join(scratch, 'again.json') },
    );
  }
  const failed = read ? read.stats.unexpected + read.stats.flaky : 1;
  return { passed: read?.stats.expected ?? 0, failed: code !== 0 && failed === 0 ? 1 : failed };
}

const MOST_LINES = 120;

/** What the page showed where a journey failed, in the words of its roles: where it failed may be a machine that nobody can look at. */
function sayWhatWasShown(): void {
  const results = join(ROOT, 'test-results');
  if (!existsSync(results)) return;
  const kept = readdirSync(results, { recursive: true, encoding: 'utf8' }).filter((name) =>
    name.endsWith('error-context.md'),
  );
  for (const name of kept) {
    const lines = readFileSync(join(results, name), 'utf8').split('\n');
    // Under its own heading, or, of what was waited for in vain, within that fault.
    const from = lines.findIndex((line) => line === '```yaml');
    const shown = from < 0 ? ['Nothing: the page told of none.'] : lines.slice(from);
    console.log([`What was shown, ${dirname(name)}:`, ...shown.slice(0, MOST_LINES)].join('\n'));
  }
}

/** Only the server's tests need one: those of another workspace named by its path start at once. */
const needNoDatabase = (paths: readonly string[]): boolean =>
  paths.length > 0 && paths.every((path) => /^(core|contract|web|demo)(\/|$)/.test(path));

const PARTS = ['code', 'unit', 'journeys'] as const;

/** Runs everything, or the one part named: `code`, `unit`, `journeys`. Closes with one line that counts. */
async function main(): Promise<void> {
  const asked = process.argv[2];
  const parts = PARTS.filter((part) => asked === undefined || part === asked);
  if (parts.length === 0) throw new Error(`There is no part “${asked}”; choose ${PARTS.join(', ')}.`);
  privateFolder(STATE);
  const counts: Count[] = [];
  const code = () => (parts.includes('code') ? readCode() : Promise.resolve({ passed: 0, failed: 0 }));
  let reading: Promise<Count> | undefined;
  if (parts.length === 1 && parts[0] === 'unit' && needNoDatabase(process.argv.slice(3))) {
    counts.push(await runUnit({}));
  } else if (parts.includes('unit') || parts.includes('journeys')) {
    ensurePaperReaders();
    await withThrowawayDatabase(scratch, async (env) => {
      if (parts.includes('unit')) counts.push(await runUnit(env));
      reading = code();
      if (parts.includes('journeys')) counts.push(await runJourneys(env));
    });
  }
  counts.push(await (reading ?? code()));
  const total = counts.reduce((sum, c) => ({ passed: sum.passed + c.passed, failed: sum.failed + c.failed }), {
    passed: 0,
    failed: 0,
  });
  console.log(`\n${total.passed} passed, ${total.failed} failed`);
  process.exitCode = total.failed > 0 || total.passed === 0 ? 1 : 0;
}

main()
  .catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    console.log('\n0 passed, 1 failed');
    process.exitCode = 1;
  })
  .finally(() => {
    rmSync(scratch, { recursive: true, force: true });
  });
