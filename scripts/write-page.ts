import { writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './places.ts';

/** Writes a page of the docs laid out as the code's own check of format wants it. */
export function writePage(file: string, text: string): void {
  writeFileSync(file, text);
  spawnSync(join(ROOT, 'node_modules/.bin/oxfmt'), [file], { cwd: ROOT, stdio: 'inherit' });
}
