import { existsSync, mkdtempSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout's top folder; told to programs that run bundled, elsewhere than where they were written. */
export const ROOT = process.env.BRACKENFELL_ROOT ?? dirname(dirname(fileURLToPath(import.meta.url)));
/** What this machine keeps for the application: database, passwords, build stamps. Never committed. */
export const STATE = join(ROOT, '.brackenfell');
export const DIST = join(ROOT, 'dist');
export const SERVER_BUNDLE = join(DIST, 'server', 'main.js');
export const WEB_BUILD = join(DIST, 'web');

const GIB = 1024 ** 3;

/**
 * Where a database that is thrown away afterwards is put: in memory where there is room for it, so that it is as quick on a
 * slow disk as on a fast one; among the temporary files otherwise.
 */
export function scratchFolder(name: string, roomGib: number): string {
  const inMemory = '/dev/shm';
  const hasRoom = existsSync(inMemory) && statfsSync(inMemory).bavail * statfsSync(inMemory).bsize > roomGib * GIB;
  return mkdtempSync(join(hasRoom ? inMemory : tmpdir(), `brackenfell-${name}-`));
}
