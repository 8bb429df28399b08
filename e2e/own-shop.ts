import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dataFolder, freePort } from '@brackenfell/scripts/cluster';
import { ROOT } from '@brackenfell/scripts/places';

const PATIENCE_MS = 120_000;

/** A machine that a shop is started on: the same commands as the README's, its state in a folder of the test's own. */
export class Machine {
  readonly folder: string;
  #started: ChildProcess | undefined;
  #said = '';
  readonly #journal: string;
  #port = 0;

  constructor(journal?: string) {
    this.folder = mkdtempSync(join(tmpdir(), 'brackenfell-shop-'));
    // The database's user comes through here.
    chmodSync(this.folder, 0o755);
    this.#journal = journal ?? join(this.folder, 'journal');
  }

  get journal(): string {
    return this.#journal;
  }

  #env(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      BRACKENFELL_STATE: join(this.folder, 'state'),
      BRACKENFELL_JOURNAL: this.#journal,
      ...(this.#port ? { BRACKENFELL_PORT: String(this.#port) } : {}),
    };
  }

  /** Runs a script to its end; what it said, and whether it succeeded. */
  run(script: string, ...args: readonly string[]): { said: string; isDone: boolean } {
    const done = spawnSync(process.execPath, ['--import', 'tsx', join(ROOT, 'scripts', `${script}.ts`), ...args], {
      cwd: ROOT,
      env: this.#env(),
      encoding: 'utf8',
    });
    return { said: `${done.stdout}${done.stderr}`, isDone: done.status === 0 };
  }

  /** Starts the shop; its address, and the code for a first run where it printed one. */
  async start(): Promise<{ address: string; code: string | undefined }> {
    this.#port ||= await freePort();
    this.#said = '';
    const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'scripts', 'start.ts')], {
      cwd: ROOT,
      env: this.#env(),
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.#started = child;
    await new Promise<void>((resolve, reject) => {
      const late = setTimeout(() => reject(new Error(`It did not start: ${this.#said}`)), PATIENCE_MS);
      const hear = (chunk: Buffer) => {
        this.#said += chunk.toString();
        if (!this.#said.includes('Ctrl-C stops')) return;
        clearTimeout(late);
        resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.once('exit', () => reject(new Error(`It stopped: ${this.#said}`)));
    });
    return {
      address: /at (http:\/\/\S+)/.exec(this.#said)![1]!,
      code: /with the code (\S+)/.exec(this.#said)?.[1],
    };
  }

  async stop(): Promise<void> {
    const child = this.#started;
    this.#started = undefined;
    if (child?.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await gone;
  }

  /** Folders of backups it has made, of one kind. */
  backups(kind: 'shop' | 'base'): string[] {
    const into = join(this.folder, 'state', 'backups');
    return readdirSync(into)
      .filter((name) => name.startsWith(kind))
      .map((name) => join(into, name));
  }

  async leave(): Promise<void> {
    await this.stop();
    const data = dataFolder(join(this.folder, 'state'), () => undefined);
    for (const folder of [this.folder, data]) rmSync(folder, { recursive: true, force: true });
  }
}
