import { Agent, get } from 'node:http';
import express from 'express';
import pino from 'pino';
import { createApp } from '@brackenfell/server/app';
import { createContext } from '@brackenfell/server/context/context';
import { openDatabase } from '@brackenfell/server/db/database';
import { demoStaff } from '@brackenfell/demo/staff';
import { hold } from '@brackenfell/scripts/figures';
import { percentile, row } from './percentiles.ts';

const option = (name: string, usual: string): string =>
  process.argv.find((word) => word.startsWith(`--${name}=`))?.split('=')[1] ?? usual;
/** Only routes whose name holds this, and the yardstick: for a profile. */
const only = option('only', '');
const ROUNDS = Number(option('rounds', '300'));
const WARM_UP = 40;

const db = openDatabase(process.env.BRACKENFELL_TEST_APP_URL!, () => undefined);
const { id: partId } = await db.selectFrom('part').select('id').limit(1).executeTakeFirstOrThrow();

// The yardsticks stand on a bare Express beside the application, over the same pool.
const yardsticks = express();
yardsticks.get('/constant', (_req, res) => {
  res.json({ ok: true });
});
yardsticks.get('/pk', async (_req, res) => {
  res.json(await db.selectFrom('part').selectAll().where('id', '=', partId).executeTakeFirst());
});
const app = createApp(createContext(db, pino({ level: 'silent' })));
const listen = (on: express.Express) =>
  new Promise<{ port: number; close: () => void }>((resolve) => {
    const server = on.listen(0, '127.0.0.1', () => {
      const address = server.address();
      resolve({ port: typeof address === 'object' && address ? address.port : 0, close: () => server.close() });
    });
  });
const [bare, real] = [await listen(yardsticks), await listen(app)];
const signedIn = await fetch(`http://127.0.0.1:${real.port}/api/session`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ name: demoStaff[0]!.name, password: demoStaff[0]!.password }),
});
const cookie = signedIn.headers.get('set-cookie')!.split(';')[0]!;
const agent = new Agent({ keepAlive: true, maxSockets: 1 });

function timed(port: number, path: string): Promise<number> {
  return new Promise((resolve, reject) => {
    const start = performance.now();
    get({ host: '127.0.0.1', port, path, agent, headers: { cookie } }, (response) => {
      response.resume();
      response.on('end', () => {
        if (response.statusCode === 200) resolve(performance.now() - start);
        else reject(new Error(`${path} answered ${response.statusCode}`));
      });
    }).on('error', reject);
  });
}

const everyRoute = [
  { name: 'constant JSON', port: bare.port, path: '/constant' },
  { name: 'primary key', port: bare.port, path: '/pk' },
  { name: 'who am I (session alone)', port: real.port, path: '/api/session' },
  { name: 'ask, exact', port: real.port, path: '/api/ask?q=KN%20419G-63DR' },
  { name: 'ask, worn stamping', port: real.port, path: '/api/ask?q=KN%2042GG-63DR' },
  { name: 'ask, prefix', port: real.port, path: '/api/ask?q=KN%20419' },
  { name: 'tray HF22 (13 candidates)', port: real.port, path: '/api/engines/dunmarrow-hf22/tray' },
  { name: 'tray SC20 (55 candidates)', port: real.port, path: '/api/engines/skerrow-sc20/tray' },
  { name: 'coil tray OF16T', port: real.port, path: '/api/engines/ostrel-of16t/tray?kind=coil' },
  { name: 'lead tray PG66', port: real.port, path: '/api/engines/pellworth-pg66/tray?kind=lead-set' },
];
const routes = everyRoute.filter(({ name, port }) => port === bare.port || name.includes(only));
const samples = new Map<string, number[]>(routes.map((r) => [r.name, []]));
// One request of each in turn, so that whatever else the machine does falls on all alike.
for (let i = 0; i < ROUNDS + WARM_UP; i += 1) {
  for (const { name, port, path } of routes) {
    const ms = await timed(port, path);
    if (i >= WARM_UP) samples.get(name)!.push(ms);
  }
}
const p50 = (name: string) => percentile(samples.get(name)!, 0.5);
console.log(row('route', 'p50 ms', 'p95 ms', '÷ constant', '÷ pk'));
for (const { name } of routes) {
  const [mid, high] = [p50(name), percentile(samples.get(name)!, 0.95)];
  console.log(
    row(
      name,
      mid.toFixed(2),
      high.toFixed(2),
      (mid / p50('constant JSON')).toFixed(1),
      (mid / p50('primary key')).toFixed(1),
    ),
  );
}
const held = [
  { name: 'ask, exact', target: 4.5, before: 3.6 },
  { name: 'tray SC20 (55 candidates)', target: 8, before: 21 },
  { name: 'coil tray OF16T', target: 8, before: 18 },
  { name: 'lead tray PG66', target: 8, before: 17 },
];
for (const { name, target, before } of held.filter(({ name }) => samples.has(name)))
  hold({ what: `demo world, ${name} ÷ pk route`, value: p50(name) / p50('primary key'), target, before });
agent.destroy();
bare.close();
real.close();
await db.destroy();
