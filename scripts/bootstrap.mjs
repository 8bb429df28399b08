// The one script that runs before any package is installed: plain Node.js, no dependencies.
// Installs the packages of the lock file when they are missing or out of date, then runs scripts/<task>.ts.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Brackenfell needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  process.exit(1);
}

const lock = createHash('sha256')
  .update(readFileSync(join(root, 'package-lock.json')))
  .digest('hex');
const stamp = join(root, 'node_modules', '.brackenfell-lock');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  console.log('Installing packages …');
  const npm = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: 'inherit' });
  if (npm.status !== 0) {
    console.error('The packages could not be installed; see above. Nothing else was done.');
    process.exit(npm.status ?? 1);
  }
  writeFileSync(stamp, lock);
}

const [task, ...args] = process.argv.slice(2);
const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'scripts', `${task}.ts`), ...args], {
  cwd: root,
  stdio: 'inherit',
});
// Ctrl-C reaches the whole group; the task stops what it started in its own order, and this waits for it.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    if (signal !== 'SIGINT') child.kill(signal);
  });
}
child.on('exit', (code, signal) => process.exit(code ?? (signal ? 1 : 0)));
