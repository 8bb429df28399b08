import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { DIST, ROOT, SERVER_BUNDLE, WEB_BUILD } from './places.ts';

const STAMP = join(DIST, 'build-stamp');
const SOURCES = ['core/src', 'contract/src', 'server/src', 'stand-ins/src', 'web'];

function* filesIn(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (!['node_modules', 'dist'].includes(entry.name)) yield* filesIn(path);
    } else if (!/\.test\.tsx?$/.test(entry.name)) yield path;
  }
}

function sourceStamp(): string {
  const hash = createHash('sha256');
  const files = [join(ROOT, 'package-lock.json'), ...SOURCES.flatMap((folder) => [...filesIn(join(ROOT, folder))])];
  for (const file of files) hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Builds the server bundle and the web application, unless nothing they are made of has changed. */
export async function buildAll(say: (line: string) => void): Promise<void> {
  const stamp = sourceStamp();
  const done = existsSync(STAMP) && readFileSync(STAMP, 'utf8') === stamp;
  if (done && existsSync(SERVER_BUNDLE) && existsSync(join(WEB_BUILD, 'index.html'))) return;
  say('Building …');
  // The tools are heavy and mostly not needed, so they are loaded only here.
  const { build: buildWeb } = await import('vite');
  mkdirSync(DIST, { recursive: true });
  await Promise.all([
    bundleForNode(
      { main: join(ROOT, 'server/src/main.ts'), worker: join(ROOT, 'server/src/worker.ts') },
      dirname(SERVER_BUNDLE),
      SERVER_PACKAGES_OUTSIDE,
    ),
    buildWeb({
      root: join(ROOT, 'web'),
      configFile: join(ROOT, 'web/vite.config.ts'),
      logLevel: 'warn',
      build: { outDir: WEB_BUILD, emptyOutDir: true, chunkSizeWarningLimit: 700 },
    }),
  ]);
  writeFileSync(STAMP, stamp);
}

/** What cannot go into one file: machine code, files of its own beside it, a thread of its own; and what is fetched only when needed. */
const SERVER_PACKAGES_OUTSIDE = ['@node-rs/argon2', 'bwip-js', 'exceljs', 'pdfkit', 'pg-native', 'pino'];

/**
 * Bundles programs for Node.js, each into a file of its name. Our own workspaces, which are TypeScript, go in. So do packages
 * where those are named that stay outside: a server starts in half the time when it need not find a thousand files.
 */
export async function bundleForNode(
  programs: Record<string, string>,
  folder: string,
  outside?: readonly string[],
): Promise<void> {
  const { build: bundle } = await import('esbuild');
  const goesIn = (path: string) =>
    outside !== undefined && !outside.some((name) => path === name || path.startsWith(`${name}/`));
  await bundle({
    entryPoints: programs,
    outdir: folder,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: true,
    // What newer releases say of themselves: without it the database's driver loads a whole HTTP client to learn where it runs.
    define: { navigator: '{"userAgent":"Node.js"}' },
    // Where a fault is, by file and line; the lines themselves would be read at each start.
    sourcesContent: false,
    banner: {
      js: 'import { createRequire as requireFrom } from "node:module"; const require = requireFrom(import.meta.url);',
    },
    logLevel: 'warning',
    plugins: [
      {
        name: 'own-workspaces-inside',
        setup(build) {
          build.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
            kind === 'entry-point' || path.startsWith('@brackenfell/') || goesIn(path)
              ? undefined
              : { path, external: true },
          );
        },
      },
    ],
  });
}
