import { sql, type Kysely } from 'kysely';

/**
 * The piston's top is called so; a crown is a terminal's. Figures, readings of pieces and what an editor decided go with the
 * name; judgements stay as they were told, and are read with the name of today (`factNow`).
 */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}

const [BEFORE, NOW] = ['position.crownMm', 'position.pistonTopMm'];

const STATEMENTS = [
  `insert into attribute (id, label, question) select '${NOW}', label, question from attribute where id = '${BEFORE}'
     on conflict do nothing`,
  `update figure set attribute = '${NOW}' where attribute = '${BEFORE}'`,
  `delete from attribute where id = '${BEFORE}'`,
  `update piece_reading set fact = '${NOW}' where fact = '${BEFORE}'`,
  `update audit_decision set subject = replace(subject, '${BEFORE}', '${NOW}') where subject like '%${BEFORE}%'`,
];
