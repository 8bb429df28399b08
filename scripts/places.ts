import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout's top folder. */
export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
/** What this machine keeps for the application: database, passwords, build stamps. Never committed. */
export const STATE = join(ROOT, '.brackenfell');
export const DIST = join(ROOT, 'dist');
export const SERVER_BUNDLE = join(DIST, 'server', 'main.js');
export const WEB_BUILD = join(DIST, 'web');
