import { sql } from 'kysely';
import type { PartRef } from '@brackenfell/contract/open-catalogue';
import type { RecordKind, RecordLine } from '@brackenfell/contract/record';
import type { Database } from '../db/database.ts';
import { readEngines, readNumbering, readScales } from '../open-format/export-store.ts';

/** The record as a line of the open format; undefined where there is none. */
export async function readLine(db: Database, kind: RecordKind, key: string): Promise<RecordLine | undefined> {
  const read = { engine: readEngines, 'heat-scale': readScales, numbering: readNumbering }[kind];
  const [line] = await read(db, key);
  return line;
}

export const findMaker = (db: Database, id: string) =>
  db.selectFrom('maker').select(['id', 'name']).where('id', '=', id).executeTakeFirst();

/** Parts by their maker and the number they are called by; one that there is not is left out. */
export async function findParts(db: Database, refs: readonly PartRef[]): Promise<Map<string, string>> {
  if (refs.length === 0) return new Map();
  const { rows } = await sql<{ maker_id: string; printed: string; part_id: string }>`
    select n.maker_id, n.printed, n.part_id
      from json_to_recordset(${JSON.stringify(refs)}::json) as asked(maker text, number text)
      join part_name n on n.maker_id = asked.maker and n.printed = asked.number
     where not exists (select from part_name o where o.part_id = n.part_id and o.id < n.id)`.execute(db);
  return new Map(rows.map(({ maker_id: maker, printed: number, part_id }) => [partKey({ maker, number }), part_id]));
}

export const partKey = ({ maker, number }: PartRef): string => `${maker}\u001f${number}`;

/** Plugs whose heat is stated on a maker's scale, those on the shelf first. */
export async function readRatedOn(db: Database, maker: string, most: number): Promise<string[]> {
  const { rows } = await sql<{ part_id: string }>`
    select f.part_id from figure f left join stock s on s.part_id = f.part_id
     where f.part_id is not null and f.attribute = 'plug.heat' and f.value ->> 'maker' = ${maker} and f.withdrawn_at is null
     group by f.part_id order by max(coalesce(s.on_hand, 0)) desc, f.part_id limit ${most}`.execute(db);
  return rows.map(({ part_id }) => part_id);
}

/** Numbers of a maker's catalogue, by which a numbering is tried. */
export async function readNumbersOf(db: Database, maker: string, most: number): Promise<string[]> {
  const rows = await db
    .selectFrom('part_name')
    .select('printed')
    .where('maker_id', '=', maker)
    .where('kind', '=', 'catalogue')
    .orderBy('id')
    .limit(most)
    .execute();
  return rows.map(({ printed }) => printed);
}

export interface RecordEntry {
  readonly id: string;
  readonly at: Date;
  readonly by: string;
  readonly before: RecordLine | null;
  readonly after: RecordLine | null;
}

const MOST_ENTRIES = 50;

/** What was changed of a record by hand, the latest first. */
export async function readEntries(db: Database, kind: RecordKind, key: string): Promise<readonly RecordEntry[]> {
  const { rows } = await sql<RecordEntry>`
    select c.id, c.at, coalesce(s.name, '') as by, c.before, c.after
      from change_entry c left join staff s on s.id = c.staff_id
     where c.subject = ${kind} and c.subject_id = ${key}
     order by c.id desc limit ${MOST_ENTRIES}`.execute(db);
  return rows;
}

/** Every maker with what is recorded of how it rates and numbers. */
export async function readMakers(db: Database) {
  const { rows } = await sql<{
    makerId: string;
    name: string;
    parts: number;
    ratings: number;
    numbering: string | null;
  }>`
    select m.id as "makerId", m.name, coalesce(p.parts, 0) as parts,
           (select count(*)::int from heat_rating h where h.maker_id = m.id) as ratings, g.grammar ->> 'title' as numbering
      from maker m
      -- Counted in one pass: maker by maker, a million parts would be looked through for each.
      left join (select maker_id, count(*)::int as parts from part group by maker_id) p on p.maker_id = m.id
      left join maker_grammar g on g.maker_id = m.id order by m.name`.execute(db);
  return rows;
}
