import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const isRoot = process.getuid?.() === 0;

/** Installs Debian packages as root; as an ordinary user it says what to have installed, and throws. */
function install(packages: readonly string[]): void {
  if (!isRoot) {
    throw new Error(
      `Debian packages are missing. Have them installed once: sudo apt-get install --no-install-recommends ${packages.join(' ')}`,
    );
  }
  console.log(`Installing ${packages.join(', ')} from Debian …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const run = (args: string[]) =>
    spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env }).status === 0;
  const once = () => run(['install', '-y', '-q', '--no-install-recommends', ...packages]);
  if (!once() && !(run(['update', '-q']) && once()))
    throw new Error(`apt-get could not install ${packages.join(', ')}.`);
}

const POSTGRES_FOLDER = '/usr/lib/postgresql';

/** The programs that read a data folder: of its own major version, or the newest there is for one that is not made yet. */
function findPostgres(folder?: string): string | undefined {
  if (!existsSync(POSTGRES_FOLDER)) return undefined;
  const versions = readdirSync(POSTGRES_FOLDER)
    .map(Number)
    .filter((v) => v >= 15);
  const marker = folder === undefined ? undefined : join(folder, 'PG_VERSION');
  const made = marker !== undefined && existsSync(marker) ? Number(readFileSync(marker, 'utf8').trim()) : undefined;
  const newest = versions
    .filter((version) => made === undefined || version === made)
    .sort((a, b) => b - a)
    .find((v) => existsSync(join(POSTGRES_FOLDER, String(v), 'bin', 'initdb')));
  return newest === undefined ? undefined : join(POSTGRES_FOLDER, String(newest), 'bin');
}

/** Folder of PostgreSQL's programs for a data folder, installed when missing. No system cluster is created or touched. */
export function ensurePostgres(folder?: string): string {
  const present = findPostgres(folder);
  if (present) return present;
  const settings = '/etc/postgresql-common/createcluster.conf';
  if (isRoot && !existsSync(settings)) {
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync(settings, 'create_main_cluster = false\n');
  }
  install(['postgresql-15']);
  const installed = findPostgres(folder);
  if (!installed && findPostgres())
    throw new Error(
      `The data in ${folder ?? ''} was made by another major version of PostgreSQL than is installed. Install that version beside this one, or start over with --fresh.`,
    );
  if (!installed) throw new Error('PostgreSQL was installed but its programs are not where Debian puts them.');
  return installed;
}

const CHROMIUM = '/usr/bin/chromium-headless-shell';
/** How the browser is started, for journeys, pictures and measurements alike: as root, and asking nothing of anybody. */
export const CHROMIUM_LAUNCH = {
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-dev-shm-usage',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-quic',
    '--no-first-run',
  ],
};

/** Read a paper back: its text, and its barcodes from a picture of it; readers that have nothing to do with what wrote them. */
export const PDF_READER = '/usr/bin/pdftotext';
const PAPER_READERS = { 'poppler-utils': PDF_READER, 'zbar-tools': '/usr/bin/zbarimg' } as const;

export function ensurePaperReaders(): void {
  const missing = Object.entries(PAPER_READERS).filter(([, program]) => !existsSync(program));
  if (missing.length > 0) install(missing.map(([name]) => name));
}

/** Debian's Chromium, installed when missing. */
export function ensureChromium(): void {
  if (!existsSync(CHROMIUM)) install(['chromium-headless-shell']);
}
