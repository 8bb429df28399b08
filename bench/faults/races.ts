import type pg from 'pg';
import { startServer } from '@brackenfell/scripts/server-process';
import { Till, type Answer, type Tally } from './till.ts';
import { memoryMb } from '../memory.ts';

const TILLS = 50;
const BOXES = 10;
const SESSIONS = 10;

const count = (answers: readonly Answer[], status: number) => answers.filter((one) => one.status === status).length;

/** Fifty tills sell the last ten boxes; one rule is chosen twice at one version; six ask for one audit. All at once. */
export async function races(databaseUrl: string, client: pg.Client): Promise<Tally> {
  const server = await startServer(databaseUrl, 0);
  const till = () => new Till(() => server.address);
  try {
    const { rows } = await client.query<{ part_id: string }>(
      `select part_id from part_name where printed = 'KN 409G-59N'`,
    );
    const partId = rows[0]!.part_id;
    await client.query(`update stock set on_hand = $1 where part_id = $2`, [BOXES, partId]);
    const sessions: Till[] = [];
    for (let i = 0; i < SESSIONS; i += 1) sessions.push(await till().signIn());
    const slips: { slipId: string; version: number }[] = [];
    for (let i = 0; i < TILLS; i += 1) {
      const begun = await sessions[i % SESSIONS]!.send('POST', '/api/slips', { engineId: 'pellworth-pp20' });
      const { slipId, version } = begun.body as { slipId: string; version: number };
      const put = await sessions[i % SESSIONS]!.send('POST', `/api/slips/${slipId}/lines`, {
        version,
        partId,
        quantity: 1,
      });
      slips.push(put.body as { slipId: string; version: number });
    }
    const begun = performance.now();
    const sold = await Promise.all(
      slips.map(({ slipId, version }, i) =>
        sessions[i % SESSIONS]!.send('POST', `/api/slips/${slipId}/collect`, { version }),
      ),
    );
    const worstMs = performance.now() - begun;
    const left = await client.query<{ on_hand: number }>(`select on_hand from stock where part_id = $1`, [partId]);
    const supervisor = await till().signIn('Isolde');
    const rules = (await supervisor.send('GET', '/api/house-rules')).body as { version: number };
    const chosen = await Promise.all(
      ['dry', 'smear', 'dry'].map((school) =>
        supervisor.send('POST', '/api/house-rules/grease', { school, version: rules.version }),
      ),
    );
    const audits = await Promise.all(Array.from({ length: 6 }, () => supervisor.send('POST', '/api/audit/jobs', {})));
    const all = [...sold, ...chosen, ...audits];
    const audited = new Set(audits.map(({ body }) => body.jobId)).size;
    return {
      run: 'races',
      calls: all.length,
      lost: Math.max(0, BOXES - count(sold, 200)),
      doubled: Math.max(0, count(sold, 200) - BOXES) + Math.max(0, count(chosen, 200) - 1) + (audited - 1),
      torn: left.rows[0]!.on_hand < 0 ? 1 : 0,
      faults5xx: all.filter(({ status }) => status >= 500).length,
      worstMs: Math.round(worstMs),
      memoryMb: memoryMb(server)[0]!,
      says: `${count(sold, 200)} sold and ${count(sold, 409)} told of ${BOXES} boxes, ${left.rows[0]!.on_hand} left; ${count(chosen, 200)} of 3 choices; ${audited} audit of 6`,
    };
  } finally {
    server.process.kill('SIGTERM');
  }
}
