import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './places.ts';

/** Checks types at every change and, of a workspace that is named (core, contract, web, demo), runs its tests. */
const [workspace] = process.argv.slice(2);
const start = (name: string, args: readonly string[]) =>
  spawn(join(ROOT, 'node_modules', '.bin', name), args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules' },
  });

const watchers = [
  start('../tsc7/bin/tsc', ['-b', '--watch', '--preserveWatchOutput']),
  ...(workspace === undefined ? [] : [start('jest', ['--selectProjects', workspace, '--watch'])]),
];
for (const watcher of watchers)
  watcher.on('exit', (code) => {
    for (const other of watchers) other.kill();
    process.exitCode = code ?? 0;
  });
