import { sql, type Kysely } from 'kysely';

/**
 * A figure's value becomes one JSON value of the shape its fact declares, instead of numbers, words and packed text in four
 * columns. What each attribute was packed as is written down here as the release before had it.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const list = (ids: readonly string[]) => ids.map((id) => `'${id}'`).join(', ');
const SPANS = [
  'position.reachMm',
  'position.lengthMm',
  'position.gapMm',
  'leadsAsked.kohmPerM',
  'rotorAsked.resistanceKohm',
];
const FLAGS = [
  'plug.nutCanBeFitted',
  'position.singlePreciousBan',
  'position.seizesTwoPiece',
  'position.wrenchReaches',
  'position.hasBattery',
  'coil.builtInDriver',
  'coilAsked.builtInDriver',
  'coilAsked.oneRevision',
];

const STATEMENTS = [
  `alter table figure add column value jsonb`,
  `update figure set value = case
     when attribute = 'plug.heat'
       then jsonb_build_object('maker', split_part(code, ':', 1), 'code', substr(code, strpos(code, ':') + 1))
     when attribute = 'position.heat'
       then jsonb_build_object('maker', split_part(code, ':', 1),
                               'codes', to_jsonb(string_to_array(substr(code, strpos(code, ':') + 1), ',')))
     when attribute like '%.supply'
       then jsonb_strip_nulls(jsonb_build_object('state', split_part(code, ':', 1),
              'successor', case when strpos(code, ':') > 0 then substr(code, strpos(code, ':') + 1) end))
     when attribute = 'plug.resistor' then jsonb_strip_nulls(jsonb_build_object('kind', code, 'kohm', low))
     when attribute = 'plug.gapAdjust' then jsonb_strip_nulls(jsonb_build_object('kind', code, 'mm', low))
     when attribute = 'position.resistor'
       then jsonb_strip_nulls(jsonb_build_object('kind', code, 'low', low, 'high', high))
     when attribute in (${list(SPANS)}) then jsonb_build_object('low', low, 'high', high)
     when attribute = 'coilAsked.primaryOhm' and low <> high then jsonb_build_object('low', low, 'high', high)
     when attribute in (${list(FLAGS)}) then to_jsonb(code = 'yes')
     when code is null then to_jsonb(low)
     when code ~ '^[{[]' then code::jsonb
     else to_jsonb(code) end`,
  `alter table figure alter column value set not null, drop column low, drop column high, drop column code, drop column unit`,
];
