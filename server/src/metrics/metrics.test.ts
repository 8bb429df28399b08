import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createServer } from 'node:net';
import supertest from 'supertest';
import { createApp } from '../app.ts';
import { createContext } from '../context/context.ts';
import { silentLog } from '../context/log.ts';
import { openTestCounter, type TestCounter } from '../testing/counter.ts';
import { serveMetrics } from './metrics.ts';

let counter: TestCounter;
beforeAll(async () => {
  counter = await openTestCounter();
});
afterAll(() => counter.close());

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const at = probe.address();
      probe.close(() => resolve(typeof at === 'object' && at ? at.port : 0));
    });
  });

test('a monitor reads how long calls took, by their route and not by whose slip it was; and how the jobs stand', async () => {
  const context = createContext(counter.db, silentLog());
  const app = createApp(context);
  const port = await freePort();
  const server = serveMetrics(context.metrics, counter.db, port, context.log);
  await supertest(app).get('/api/health').expect(200);
  await supertest(app).get('/api/slips/1234567').expect(401);
  const { text } = await supertest(`http://127.0.0.1:${port}`).get('/metrics').expect(200);
  expect(text).toContain('brackenfell_call_seconds_count{route="/api/health",method="GET",status="200"} 1');
  expect(text).toContain('brackenfell_call_seconds_count{route="/api/slips/:slipId",method="GET",status="401"} 1');
  expect(text).not.toContain('1234567');
  expect(text).toContain('# HELP brackenfell_jobs');
  await supertest(`http://127.0.0.1:${port}`).get('/').expect(404);
  server.close();
});
