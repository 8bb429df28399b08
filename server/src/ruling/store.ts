import { sql } from 'kysely';
import { DEFAULT_HOUSE_RULES, HOUSE_RULES, RULE_IDS, type RuleId } from '@brackenfell/core/house-rules/house-rules';
import { CONDITION_IDS, type ConditionId } from '@brackenfell/core/house-rules/conditions';
import type { ShopRules } from '@brackenfell/core/house-rules/settle-rules';
import type { ClassList } from '@brackenfell/core/duty/duty-facts';
import type { Database, Writing } from '../db/database.ts';

export interface RuleChoice {
  readonly id: string;
  readonly rule: string;
  readonly school: string | null;
  readonly condition: string | null;
  readonly by: string;
  readonly at: Date;
}

/** The latest choice of each rule, and of each condition of it, that was ever chosen; in the order they were made. */
export const choicesOf = () => sql<RuleChoice>`(
    select * from (
      select distinct on (c.rule, c.condition) c.id, c.rule, c.school, c.condition, s.name as by, c.at
        from house_rule_choice c join staff s on s.id = c.staff_id order by c.rule, c.condition, c.id desc) latest
     order by id::bigint)`;

export const readChoices = async (db: Database): Promise<RuleChoice[]> => (await choicesOf().execute(db)).rows;

/** The rules the shop works by now: its choices, and the first school of what nobody chose. */
export async function readShopRules(db: Database): Promise<ShopRules> {
  return shopRulesOf(await readChoices(db));
}

/** A choice of a rule, school or condition that this release does not know is passed over. */
export function shopRulesOf(choices: readonly RuleChoice[]): ShopRules {
  const known = choices.filter(
    ({ rule, school }) =>
      RULE_IDS.includes(rule as RuleId) && HOUSE_RULES[rule as RuleId].schools.some(({ id }) => id === school),
  );
  const version = 1 + Math.max(0, ...choices.map(({ id }) => Number(id)));
  const defaults = known.filter(({ condition }) => condition === null);
  return {
    defaults: {
      ...DEFAULT_HOUSE_RULES,
      ...Object.fromEntries(defaults.map(({ rule, school }) => [rule, school])),
      version,
    },
    conditional: known.flatMap(({ rule, school, condition }) =>
      condition !== null && CONDITION_IDS.includes(condition as ConditionId)
        ? [{ rule: rule as RuleId, school: school!, condition: condition as ConditionId }]
        : [],
    ),
  };
}

export interface SlipChoiceRow {
  readonly rule: RuleId;
  readonly school: string | null;
  readonly reason: string;
  readonly by: string;
  readonly at: Date;
}

/** The latest that was settled otherwise for one slip, by rule, with who settled it; without a school it was taken back. */
export const slipChoicesOf = (slipId: string) => sql<SlipChoiceRow>`(
  select distinct on (c.rule) c.rule, c.school, c.reason, s.name as by, c.at
    from slip_rule_choice c join staff s on s.id = c.staff_id where c.slip_id = ${slipId}
   order by c.rule, c.id desc)`;

export const standingChoices = (rows: readonly SlipChoiceRow[]) =>
  rows.flatMap(({ school, ...choice }) =>
    school !== null && RULE_IDS.includes(choice.rule) ? [{ ...choice, school }] : [],
  );

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

export async function storeSlipChoice(
  trx: Writing,
  choice: { slipId: string; rule: RuleId; school: string | null; reason: string; staffId: string },
): Promise<void> {
  const { slipId: slip_id, staffId: staff_id, ...rest } = choice;
  await trx
    .insertInto('slip_rule_choice')
    .values({ slip_id, staff_id, ...rest })
    .execute();
}
