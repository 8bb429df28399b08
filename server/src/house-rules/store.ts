import { sql } from 'kysely';
import { type RuleId } from '@brackenfell/core/house-rules/house-rules';
import { type ConditionId } from '@brackenfell/core/house-rules/conditions';
import { LIVE_STATES } from '@brackenfell/core/slip/slip-states';
import type { Database, Writing } from '../db/database.ts';
import type { LineReview } from '../db/tables/counter.ts';

interface Chosen {
  readonly rule: RuleId;
  readonly school: string | null;
  readonly condition: ConditionId | null;
}

export async function storeChoice(trx: Writing, chosen: Chosen, staffId: string): Promise<void> {
  await trx
    .insertInto('house_rule_choice')
    .values({ ...chosen, staff_id: staffId })
    .execute();
}

/** Choices of rules are made one after another: two made at one version would both stand. */
export const lockRules = (trx: Writing) => sql`select pg_advisory_xact_lock(hashtext('house rules'))`.execute(trx);

/** A sale older than this is not looked at again for a rule. */
const REVIEW_DAYS = 90;

/** Slips with an engine whose lines rest on the rules: those not done, and what was sold of late. */
export async function slipsTouchedByRules(db: Database): Promise<string[]> {
  const { rows } = await sql<{ id: string }>`
    select s.id from slip s
     where s.engine_id is not null
       and (s.state = any (${[...LIVE_STATES]}::text[]) or s.state = 'collected' and s.updated_at > now() - make_interval(days => ${REVIEW_DAYS}))
       and exists (select from slip_line l where l.slip_id = s.id and l.removed_at is null)
     order by s.id`.execute(db);
  return rows.map(({ id }) => id);
}

export async function flagLine(trx: Writing, lineId: string, review: LineReview): Promise<void> {
  await trx
    .updateTable('slip_line')
    .set({ review: JSON.stringify(review) })
    .where('id', '=', lineId)
    .execute();
}
