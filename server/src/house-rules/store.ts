import { sql } from 'kysely';
import {
  DEFAULT_HOUSE_RULES,
  HOUSE_RULES,
  RULE_IDS,
  type HouseRules,
  type RuleId,
} from '@brackenfell/core/house-rules/house-rules';
import type { ClassList } from '@brackenfell/core/duty/duty-facts';
import type { Database, Writing } from '../db/database.ts';
import type { LineReview } from '../db/tables/counter.ts';

export interface RuleChoice {
  readonly id: string;
  readonly rule: string;
  readonly school: string;
  readonly by: string;
  readonly at: Date;
}

/** The latest choice of each rule that was ever chosen. */
export async function readChoices(db: Database): Promise<RuleChoice[]> {
  const { rows } = await sql<RuleChoice>`
    select distinct on (c.rule) c.id, c.rule, c.school, s.name as by, c.at
      from house_rule_choice c join staff s on s.id = c.staff_id order by c.rule, c.id desc`.execute(db);
  return rows;
}

/** The rules the shop works by now: its choices, and the first school of what nobody chose. */
export async function readHouseRules(db: Database): Promise<HouseRules> {
  return rulesOf(await readChoices(db));
}

/** A choice of a rule or school that this release does not know is passed over. */
export function rulesOf(choices: readonly RuleChoice[]): HouseRules {
  const known = choices.filter(
    ({ rule, school }) =>
      RULE_IDS.includes(rule as RuleId) && HOUSE_RULES[rule as RuleId].schools.some(({ id }) => id === school),
  );
  const version = 1 + Math.max(0, ...choices.map(({ id }) => Number(id)));
  return { ...DEFAULT_HOUSE_RULES, ...Object.fromEntries(known.map(({ rule, school }) => [rule, school])), version };
}

export async function readClassLists(db: Database): Promise<ClassList[]> {
  const rows = await db
    .selectFrom('class_list')
    .select(['class_name', 'valid_from', 'valid_to', 'numbers'])
    .orderBy('class_name')
    .orderBy('valid_from')
    .execute();
  return rows.map((row) => ({
    className: row.class_name,
    from: row.valid_from,
    to: row.valid_to,
    permitted: row.numbers,
  }));
}

export async function storeChoice(trx: Writing, rule: RuleId, school: string, staffId: string): Promise<void> {
  await trx.insertInto('house_rule_choice').values({ rule, school, staff_id: staffId }).execute();
}

/** A sale older than this is not looked at again for a rule. */
const REVIEW_DAYS = 90;

/** Slips with an engine whose lines rest on the rules: open and parked ones, and what was sold of late. */
export async function slipsTouchedByRules(db: Database): Promise<string[]> {
  const { rows } = await sql<{ id: string }>`
    select s.id from slip s
     where s.engine_id is not null
       and (s.state in ('open', 'parked') or s.state = 'collected' and s.updated_at > now() - make_interval(days => ${REVIEW_DAYS}))
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
