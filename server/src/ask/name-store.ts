import { sql, type RawBuilder } from 'kysely';
import { SHORTEST, type AskedNumber } from '@brackenfell/core/part-numbers/match-name';
import { nameHash, neighbourKeys } from '@brackenfell/core/part-numbers/one-edit';
import { fillAllButOne, FOLDED_ALPHABET, likeOf } from '@brackenfell/core/part-numbers/wildcard';
import type { Database } from '../db/database.ts';

export interface FoundName {
  readonly partId: string;
  readonly makerId: string;
  readonly kind: string;
  readonly printed: string;
  readonly normal: string;
  readonly fold: string;
}

// Limits stand in the statements themselves: planned for any value, one that may be large is planned for much.

const MOST_LOOSE = 8;
const MOST_A_STAGE = 24;
/** A one-edit neighbourhood of dense codes runs to a few hundred names; past this they are too many to rank anyway. */
const MOST_NEIGHBOURS = 1500;
const MOST_BY_PATTERN = 60;
/** Questions that several `?` stand for, looked up at once; two signs in the folded alphabet are fewer. */
const MOST_FILLED = 64;
const FIRST_AFTER = '\u{10FFFD}';

const COLUMNS = sql`n.part_id as "partId", n.maker_id as "makerId", n.kind, n.printed, n.normal_form as normal, n.fold_key as fold`;

const ofMakers = (makers: readonly string[]): RawBuilder<unknown> =>
  makers.length === 0 ? sql`` : sql`and n.maker_id = any(${makers}::text[])`;

type Form = 'normal_form' | 'fold_key';

/** A range over an index in byte order: what begins with a text, without a pattern that has to be planned anew. */
const begins = (column: Form, text: string, of: 'n' | 'f' = 'n'): RawBuilder<unknown> =>
  sql`${sql.ref(`${of}.${column}`)} ~>=~ ${text} and ${sql.ref(`${of}.${column}`)} ~<~ ${text + FIRST_AFTER}`;

/**
 * Names that could answer a question, unranked: as written, through look-alikes, longer ones, and unless `quick` those one
 * character away. One round trip; every stage is an index range or a list of keys.
 */
export async function findNames(
  db: Database,
  asked: AskedNumber,
  makers: readonly string[],
  quick: boolean,
): Promise<FoundName[]> {
  if (asked.pattern) return findByPattern(db, asked, makers);
  const { normal, fold } = asked;
  if (normal === '') return [];
  const maker = ofMakers(makers);
  const exact = [normal, asked.inside, asked.signed?.normal].filter((form) => form !== undefined);
  const folds = [fold, asked.signed?.fold].filter((form) => form !== undefined);
  const stages: RawBuilder<unknown>[] = [
    sql`(select ${COLUMNS} from part_name n where n.normal_form = any(${exact}::text[]) ${maker} limit ${sql.lit(MOST_A_STAGE)})`,
    sql`(select ${COLUMNS} from part_name n where n.fold_key = any(${folds}::text[]) ${maker} limit ${sql.lit(MOST_A_STAGE)})`,
  ];
  if (normal.length >= SHORTEST.prefix) {
    stages.push(
      sql`(select ${COLUMNS} from part_name n where ${begins('normal_form', normal)} ${maker} limit ${sql.lit(MOST_A_STAGE)})`,
      sql`(select ${COLUMNS} from part_name n where ${begins('fold_key', fold)} ${maker} limit ${sql.lit(MOST_A_STAGE)})`,
    );
  }
  if (!quick && normal.length >= SHORTEST.oneEdit) stages.push(neighbours(neighbourKeys(fold), maker));
  return (await sql<FoundName>`${sql.join(stages, sql` union all `)}`.execute(db)).rows;
}

/** Names that are merely alike, the most alike first. Slow at full size, and so asked for by itself, after the answer. */
export async function findAlike(db: Database, asked: AskedNumber, makers: readonly string[]): Promise<FoundName[]> {
  const { rows } = await sql<FoundName>`
    select ${COLUMNS} from part_name n where n.normal_form % ${asked.normal} ${ofMakers(makers)}
     order by similarity(n.normal_form, ${asked.normal}) desc, n.normal_form limit ${sql.lit(MOST_LOOSE)}`.execute(db);
  return rows;
}

const neighbours = (hashes: readonly number[], maker: RawBuilder<unknown>): RawBuilder<unknown> =>
  sql`(select ${COLUMNS} from (select distinct name_id from name_neighbour where hash = any(${hashes}::bigint[])
        limit ${sql.lit(MOST_NEIGHBOURS)}) b join part_name n on n.id = b.name_id where true ${maker})`;

async function findByPattern(db: Database, asked: AskedNumber, makers: readonly string[]): Promise<FoundName[]> {
  const pattern = asked.pattern!;
  const maker = ofMakers(makers);
  if (pattern.known < SHORTEST.prefix) return [];
  if (!pattern.hasRun) {
    // A name less the character at the sign is one of its deletions: the key answers a lone `?` exactly.
    const filled = fillAllButOne(pattern.fold, FOLDED_ALPHABET, MOST_FILLED);
    if (filled) {
      const hashes = filled.map((text) => nameHash(text.replace('?', '')));
      const { rows } = await neighbours(hashes, sql`and length(n.fold_key) = ${pattern.fold.length} ${maker}`)
        .$castTo<FoundName>()
        .execute(db);
      return rows;
    }
  }
  const selectFitting = (column: Form): RawBuilder<unknown> | undefined => {
    const form = column === 'fold_key' ? pattern.fold : pattern.normal;
    const leading = /^[^?*]*/.exec(form)![0];
    const isRange = leading.length >= SHORTEST.prefix;
    if (!isRange && column === 'fold_key') return undefined;
    const fits = (of: 'n' | 'f') =>
      sql`${sql.ref(`${of}.${column}`)} like ${likeOf(form)} ${isRange ? sql`and ${begins(column, leading, of)}` : sql``}`;
    // Which of thousands in the range fit is read off the index alone, and only these are fetched. It knows of no makers.
    const where =
      isRange && makers.length === 0
        ? sql`${sql.ref(`n.${column}`)} = any(array(
            select ${sql.ref(`f.${column}`)} from part_name f where ${fits('f')} limit ${sql.lit(MOST_BY_PATTERN)}))`
        : sql`${fits('n')} ${maker}`;
    return sql`(select ${COLUMNS} from part_name n where ${where} limit ${sql.lit(MOST_BY_PATTERN)})`;
  };
  // As written first; what only the look-alikes answer to follows.
  const selects = (['normal_form', 'fold_key'] as const).flatMap((column) => selectFitting(column) ?? []);
  const { rows } = await sql<FoundName>`${sql.join(selects, sql` union all `)}`.execute(db);
  return rows;
}
