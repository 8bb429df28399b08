import { Agent, get } from 'node:http';
import express from 'express';
import pino from 'pino';
import { createApp } from '@brackenfell/server/app';
import { createContext } from '@brackenfell/server/context/context';
import { openDatabase } from '@brackenfell/server/db/database';
import { demoStaff } from '@brackenfell/demo/staff';
import { percentile, row } from './percentiles.ts';

export interface Route {
  readonly name: string;
  readonly path: string;
}

export const PRIMARY_KEY = 'primary key';
const WARM_UP = 40;

const listen = (on: express.Express) =>
  new Promise<{ port: number; close: () => void }>((resolve) => {
    const server = on.listen(0, '127.0.0.1', () => {
      const address = server.address();
      resolve({ port: typeof address === 'object' && address ? address.port : 0, close: () => server.close() });
    });
  });

/**
 * The application on a database, and beside it, over the same pool, yardsticks on a bare Express: a constant and one query by
 * primary key.
 */
export async function standBesideYardsticks(appUrl: string) {
  const db = openDatabase(appUrl, () => undefined);
  const { id: partId } = await db.selectFrom('part').select('id').limit(1).executeTakeFirstOrThrow();
  const yardsticks = express();
  yardsticks.get('/constant', (_req, res) => {
    res.json({ ok: true });
  });
  yardsticks.get('/pk', async (_req, res) => {
    res.json(await db.selectFrom('part').selectAll().where('id', '=', partId).executeTakeFirst());
  });
  const app = createApp(createContext(db, pino({ level: 'silent' })));
  const [bare, real] = [await listen(yardsticks), await listen(app)];
  const signedIn = await fetch(`http://127.0.0.1:${real.port}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: demoStaff[0]!.name, password: demoStaff[0]!.password }),
  });
  const cookie = signedIn.headers.get('set-cookie')!.split(';')[0]!;
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  const timedAt = (port: number, path: string): Promise<number> =>
    new Promise((resolve, reject) => {
      const start = performance.now();
      get({ host: '127.0.0.1', port, path, agent, headers: { cookie } }, (response) => {
        response.resume();
        response.on('end', () => {
          if (response.statusCode === 200) resolve(performance.now() - start);
          else reject(new Error(`${path} answered ${response.statusCode}`));
        });
      }).on('error', reject);
    });
  const alone = [
    { name: 'constant JSON', port: bare.port, path: '/constant' },
    { name: PRIMARY_KEY, port: bare.port, path: '/pk' },
  ];

  /** One request of each in turn, so that whatever else the machine does falls on all alike; says and gives what each took. */
  async function measure(routes: readonly Route[], rounds: number, before?: () => Promise<void>) {
    const all = [...alone, ...routes.map((route) => ({ ...route, port: real.port }))];
    const samples = new Map<string, number[]>(all.map(({ name }) => [name, []]));
    for (let i = 0; i < rounds + WARM_UP; i += 1) {
      await before?.();
      for (const { name, port, path } of all) {
        const ms = await timedAt(port, path);
        if (i >= WARM_UP) samples.get(name)!.push(ms);
      }
    }
    const at = (name: string, share = 0.5) => percentile(samples.get(name)!, share);
    console.log(row('route', 'p50 ms', 'p95 ms', '÷ constant', '÷ pk'));
    for (const { name } of all)
      console.log(
        row(
          name,
          at(name).toFixed(2),
          at(name, 0.95).toFixed(2),
          (at(name) / at('constant JSON')).toFixed(1),
          (at(name) / at(PRIMARY_KEY)).toFixed(1),
        ),
      );
    return (name: string): number | undefined => (samples.has(name) ? at(name) / at(PRIMARY_KEY) : undefined);
  }

  return {
    measure,
    close: async () => {
      agent.destroy();
      bare.close();
      real.close();
      await db.destroy();
    },
  };
}
