import type pg from 'pg';
import { startServer, type RunningServer } from '@brackenfell/scripts/server-process';
import { Till, type Tally } from './till.ts';
import { memoryMb } from '../memory.ts';

const WRITERS = 6;
const KILLS = 12;
const BETWEEN_MS = 900;

/**
 * The server is killed again and again beside six writers, each of whom keeps its key until it is answered. Afterwards the
 * database is asked: is every acknowledged note there, once, and does every slip's history agree with its version?
 */
export async function killsBesideWriters(databaseUrl: string, secret: string, client: pg.Client): Promise<Tally> {
  let server: RunningServer = await startServer(databaseUrl, 0, { BRACKENFELL_SECRET: secret });
  const { port } = server;
  const address = () => `http://127.0.0.1:${port}`;
  const acknowledged: string[] = [];
  let worstMs = 0;
  let going = true;
  const tills = [];
  for (let i = 0; i < WRITERS; i += 1) tills.push(await new Till(address).signIn());
  const writers = tills.map(async (till, i) => {
    const begun = await till.insist('POST', '/api/slips', { customer: `writer ${i}` });
    let { slipId, version } = begun.body as { slipId: string; version: number };
    for (let n = 0; going; n += 1) {
      const text = `writer ${i} note ${n}`;
      const answer = await till.insist('POST', `/api/slips/${slipId}/notes`, { version, text });
      worstMs = Math.max(worstMs, answer.waitedMs);
      if (answer.status !== 200 && answer.status !== 201) throw new Error(`${text}: ${JSON.stringify(answer)}`);
      acknowledged.push(text);
      ({ slipId, version } = answer.body as { slipId: string; version: number });
    }
  });
  for (let kill = 0; kill < KILLS; kill += 1) {
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
    const gone = new Promise((resolve) => server.process.once('exit', resolve));
    server.process.kill('SIGKILL');
    await gone;
    server = await startServer(databaseUrl, port, { BRACKENFELL_SECRET: secret });
  }
  going = false;
  await Promise.all(writers);
  const memory = memoryMb(server)[0]!;
  server.process.kill('SIGTERM');
  const { rows } = await client.query<{ text: string; times: string }>(
    `select text, count(*) as times from slip_note where text like 'writer %' group by text`,
  );
  const times = new Map(rows.map((row) => [row.text, Number(row.times)]));
  const { rows: torn } = await client.query(
    `select s.id from slip s where s.customer like 'writer %'
       and s.version <> 1 + (select count(*) from slip_note n where n.slip_id = s.id)`,
  );
  return {
    run: 'kills beside writers',
    calls: acknowledged.length,
    lost: acknowledged.filter((text) => !times.has(text)).length,
    doubled: [...times.values()].filter((count) => count > 1).length,
    torn: torn.length,
    faults5xx: 0,
    worstMs: Math.round(worstMs),
    memoryMb: memory,
    says: `${KILLS} kills, ${WRITERS} writers, ${acknowledged.length} notes acknowledged`,
  };
}
