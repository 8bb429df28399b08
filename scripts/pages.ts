import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { chromium } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import type { Staff } from '@brackenfell/contract/session';
import { buildAll } from './build.ts';
import { freePort } from './cluster.ts';
import { CHROMIUM_LAUNCH, ensureChromium } from './debian.ts';
import { ROOT, scratchFolder } from './places.ts';
import { startServer, stopServer } from './server-process.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';
import { writePage } from './write-page.ts';

/** The main views with the demo data, each as the person who works there; nobody is signed in at the door. */
const VIEWS: readonly { readonly path: string; readonly as: Staff['role'] | undefined }[] = [
  { path: '/', as: undefined },
  { path: '/counter/engine', as: 'specialist' },
  { path: '/counter/parts?engine=skerrow-sc20', as: 'specialist' },
  { path: '/counter/parts?engine=ostrel-of16t&part=coil', as: 'specialist' },
  { path: '/counter/parts?engine=pellworth-pg66&part=lead-set', as: 'specialist' },
  { path: '/counter/proof', as: 'specialist' },
  { path: '/counter/old-parts?engine=dunmarrow-h6', as: 'specialist' },
  { path: '/counter/old-parts/comeback?engine=aldersyke-as22', as: 'specialist' },
  { path: '/sums/spark', as: 'specialist' },
  { path: '/garage/vehicles', as: 'specialist' },
  { path: '/help', as: 'specialist' },
  { path: '/quarantine/batches', as: 'supervisor' },
  { path: '/house-rules', as: 'supervisor' },
  { path: '/shop', as: 'supervisor' },
  { path: '/catalogue', as: 'editor' },
  { path: '/catalogue/audit', as: 'editor' },
  { path: '/catalogue/imports', as: 'editor' },
];
const CATEGORIES = ['accessibility', 'best-practices', 'performance'] as const;
/** Asked of every view; of performance what was measured is only stated. */
const LEAST = 95;
const SPEED = join(ROOT, 'docs/speed.md');

async function cookieOf(address: string, role: Staff['role']): Promise<string> {
  const person = demoStaff.find((one) => one.role === role)!;
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ name: person.name, password: person.password }),
  });
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}

/** Fetched when it is asked for, by npm's own means: with what it needs it would be an eighth of all packages, for one command. */
const AUDITOR = 'lighthouse@12.8.2';
const MOST_BYTES = 64 * 1024 * 1024;

/** What is read of its report. */
interface Report {
  readonly categories: Record<string, { score: number | null; auditRefs: { id: string; weight: number }[] }>;
  readonly audits: Record<string, { id: string; title: string; score: number | null }>;
  readonly runtimeError?: { message: string };
}

const TRIES = 3;

/** One view, looked at anew where the browser lost its trace of the load. */
async function look(address: string, port: number, cookie: string | undefined): Promise<Report> {
  const options = [
    `--port=${port}`,
    '--preset=desktop',
    '--output=json',
    '--quiet',
    `--only-categories=${CATEGORIES.join(',')}`,
    // The line of what is told live never falls silent, which would be waited for.
    '--max-wait-for-load=20000',
    ...(cookie ? [`--extra-headers=${JSON.stringify({ Cookie: cookie })}`] : []),
  ];
  for (let tries = 1; ; tries += 1) {
    const { stdout } = await promisify(execFile)(
      'npm',
      ['exec', '--yes', `--package=${AUDITOR}`, '--', 'lighthouse', address, ...options],
      { cwd: ROOT, maxBuffer: MOST_BYTES },
    );
    const report = JSON.parse(stdout) as Report;
    if (!report.runtimeError) return report;
    if (tries === TRIES) throw new Error(`${address}: ${report.runtimeError.message}`);
  }
}

/** Looks at every main view as a browser's own audit does and writes what it scores into docs/speed.md: `npm run pages`. */
async function main(): Promise<void> {
  ensureChromium();
  await buildAll(console.log);
  await withThrowawayDatabase(scratchFolder('pages', 3), async (env) => {
    const server = await startServer(env.BRACKENFELL_TEST_APP_URL!, 0);
    const port = await freePort();
    const browser = await chromium.launch({
      ...CHROMIUM_LAUNCH,
      args: [...CHROMIUM_LAUNCH.args, `--remote-debugging-port=${String(port)}`],
    });
    const rows: string[] = [];
    try {
      for (const { path, as } of VIEWS) {
        const cookie = as && (await cookieOf(server.address, as));
        const { categories, audits } = await look(`${server.address}${path}`, port, cookie);
        const scores = CATEGORIES.map((id) => Math.round((categories[id]?.score ?? 0) * 100));
        rows.push(`| \`${path}\` | ${as ?? 'nobody'} | ${scores.join(' | ')} |`);
        console.log(rows.at(-1));
        for (const [i, id] of CATEGORIES.slice(0, 2).entries()) {
          const failed = (categories[id]?.auditRefs ?? [])
            .map((ref) => ({ weight: ref.weight, audit: audits[ref.id]! }))
            .filter(({ weight, audit }) => weight > 0 && audit.score !== null && audit.score < 1);
          for (const { audit } of failed) console.log(`  ${audit.id}: ${audit.title}`);
          if (scores[i]! < LEAST) process.exitCode = 1;
        }
      }
    } finally {
      await browser.close();
      await stopServer(server);
    }
    const table = [
      '| view | as | accessibility | best practices | performance |',
      '| --- | --- | --- | --- | --- |',
      ...rows,
    ];
    const page = readFileSync(SPEED, 'utf8');
    const written = page.replace(/(<!-- pages -->\n)[^]*(\n<!-- \/pages -->)/, `$1\n${table.join('\n')}\n$2`);
    writePage(SPEED, written);
  });
}

await main();
