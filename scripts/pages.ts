import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { demoStaff } from '@brackenfell/demo/staff';
import type { Staff } from '@brackenfell/contract/session';
import lighthouse, { desktopConfig } from 'lighthouse';
import { buildAll } from './build.ts';
import { freePort } from './cluster.ts';
import { CHROMIUM_LAUNCH, ensureChromium } from './debian.ts';
import { ROOT, scratchFolder } from './places.ts';
import { startServer, stopServer } from './server-process.ts';
import { withThrowawayDatabase } from './throwaway-database.ts';

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

const TRIES = 3;

/** One view, looked at anew where the browser lost its trace of the load. */
async function look(address: string, port: number, cookie: string | undefined) {
  for (let tries = 1; ; tries += 1) {
    const result = await lighthouse(
      address,
      {
        port,
        logLevel: 'error',
        // The line of what is told live never falls silent, which would be waited for.
        maxWaitForLoad: 20_000,
        onlyCategories: [...CATEGORIES],
        ...(cookie ? { extraHeaders: { Cookie: cookie } } : {}),
      },
      desktopConfig,
    );
    if (result && !result.lhr.runtimeError) return result.lhr;
    if (tries === TRIES) throw new Error(`${address}: ${result?.lhr.runtimeError?.message ?? 'no answer'}`);
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
    writeFileSync(SPEED, written);
  });
}

await main();
