import { sql } from 'kysely';
import type { Supply } from '@brackenfell/core/facts/fact-shapes';
import type { Database, Writing } from '../db/database.ts';

/** Whether nothing of a part is left but what may not be sold, by part. */
export async function readOnlyHeld(db: Database, partId: string): Promise<{ onlyHeld: boolean; code: string }> {
  const { rows } = await sql<{ held: number; on_hand: number | null; code: string | null }>`
    select coalesce(sum(b.on_hand) filter (where b.state in ('held', 'confirmed') and b.on_hand > 0), 0)::int as held,
           (select on_hand from stock where part_id = ${partId}) as on_hand,
           min(b.code) filter (where b.state in ('held', 'confirmed') and b.on_hand > 0) as code
      from batch b where b.part_id = ${partId}`.execute(db);
  const { held, on_hand, code } = rows[0]!;
  return { onlyHeld: held > 0 && (on_hand ?? 0) <= held, code: code ?? '' };
}

/** Puts a part's supply figure of the quarantine in place, or takes it away; true when that changed anything. */
export async function setQuarantineFigure(
  trx: Writing,
  figure: { partId: string; attribute: string; source: string; present: boolean },
): Promise<boolean> {
  const standing = await trx
    .selectFrom('figure')
    .select(['id', 'source_name'])
    .where('part_id', '=', figure.partId)
    .where('attribute', '=', figure.attribute)
    .where('source_rank', '=', 'gauged')
    .where(sql`value ->> 'state'`, '=', 'quarantined')
    .where('withdrawn_at', 'is', null)
    .execute();
  const right = standing.filter(({ source_name }) => figure.present && source_name === figure.source);
  const wrong = standing.filter((one) => !right.includes(one)).map(({ id }) => id);
  if (wrong.length > 0)
    await trx.updateTable('figure').set({ withdrawn_at: new Date() }).where('id', 'in', wrong).execute();
  const missing = figure.present && right.length === 0;
  if (missing)
    await trx
      .insertInto('figure')
      .values({
        part_id: figure.partId,
        position_id: null,
        attribute: figure.attribute,
        value: JSON.stringify({ state: 'quarantined' } satisfies Supply),
        // Of the pieces in hand, held by somebody who looked: it outranks all paper, as a repeated gauging does.
        source_rank: 'gauged',
        source_name: figure.source,
        readings: 2,
        withdrawn_at: null,
      })
      .execute();
  return missing || wrong.length > 0;
}

export async function readPartKind(db: Database, partId: string) {
  return db.selectFrom('part').select('kind').where('id', '=', partId).executeTakeFirstOrThrow();
}
