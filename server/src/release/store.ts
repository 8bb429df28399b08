import { sql } from 'kysely';
import { LIVE_STATES } from '@brackenfell/core/slip/slip-states';
import type { Database, Writing } from '../db/database.ts';
import type { Finding } from '@brackenfell/contract/tray';

interface WaitingRow {
  readonly slip_id: string;
  readonly docket: number;
  readonly version: number;
  readonly line_id: string;
  readonly customer: string;
  readonly engine: string | null;
  readonly printed: string;
  readonly maker: string;
  readonly quantity: number;
  readonly reason: string;
  readonly holder: string | null;
  readonly findings: Finding[];
  readonly at: Date;
}

const MOST_WAITING = 200;

/** Lines whose latest judgement needs the supervisor and has not been released. */
export async function readWaiting(db: Database): Promise<WaitingRow[]> {
  const { rows } = await sql<WaitingRow>`
    select s.id as slip_id, s.docket, s.version, l.id as line_id, s.customer, m.name || ' ' || e.code as engine, n.printed,
           pm.name as maker, l.quantity, j.reason, h.name as holder, j.findings, j.at
      from slip_line l
      join slip s on s.id = l.slip_id and s.state = any (${[...LIVE_STATES]}::text[])
      join lateral (select * from judgement j where j.slip_line_id = l.id order by j.id desc limit 1) j on true
      join part p on p.id = l.part_id
      join maker pm on pm.id = p.maker_id
      join part_name n on n.part_id = p.id and n.kind = 'catalogue'
      left join engine e on e.id = s.engine_id
      left join maker m on m.id = e.maker_id
      left join staff h on h.id = s.holder_id
     where l.removed_at is null and l.kind = 'sale' and j.verdict = 'needs-supervisor'
       and not exists (select from release r where r.judgement_id = j.id)
     order by j.at limit ${MOST_WAITING}`.execute(db);
  return rows;
}

export async function storeRelease(
  trx: Writing,
  release: { judgementId: string; supervisorId: string; askedBy: string; reason: string },
): Promise<void> {
  await trx
    .insertInto('release')
    .values({
      judgement_id: release.judgementId,
      supervisor_id: release.supervisorId,
      asked_by: release.askedBy,
      reason: release.reason,
    })
    .execute();
}
