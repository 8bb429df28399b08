import { sql } from 'kysely';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import type { Database } from '../db/database.ts';

export interface NameHit {
  readonly stage: 'exact' | 'fold' | 'prefix';
  readonly part_id: string;
  readonly part_kind: 'plug' | 'oe-number';
  readonly maker: string;
  readonly name_kind: string;
  readonly number: string;
  readonly printed: string;
  readonly normal_form: string;
  readonly shared_by: number;
  readonly on_hand: number | null;
  readonly each_minor: number | null;
  readonly replaced_by: string | null;
}

const MOST_A_STAGE = 20;
/** Escapes what LIKE would read as a pattern; part numbers in normal form hold none, but a grammar may keep such signs. */
const literal = (text: string): string => text.replaceAll(/[\\%_]/g, '\\$&');

/** Names that answer a question, exact first, then read through look-alikes, then longer ones: one round trip. */
export async function findNames(db: Database, normal: string): Promise<NameHit[]> {
  const fold = foldKey(normal);
  const prefix = `${literal(normal)}%`;
  const foldPrefix = `${literal(fold)}%`;
  const { rows } = await sql<NameHit>`
    with hit as (
      (select 0 as rank, 'exact' as stage, n.* from part_name n where n.normal_form = ${normal} limit ${MOST_A_STAGE})
      union all
      (select 1, 'fold', n.* from part_name n where n.fold_key = ${fold} and n.normal_form <> ${normal} limit ${MOST_A_STAGE})
      union all
      (select 2, 'prefix', n.* from part_name n
        where ${normal.length >= 2} and n.normal_form like ${prefix} and n.normal_form <> ${normal}
        order by n.normal_form limit ${MOST_A_STAGE})
      union all
      (select 3, 'prefix', n.* from part_name n
        where ${normal.length >= 2} and n.fold_key like ${foldPrefix} and n.fold_key <> ${fold}
        order by n.fold_key limit ${MOST_A_STAGE})
    ), first as (
      select distinct on (part_id) * from hit order by part_id, rank, (kind <> 'catalogue')
    )
    select f.stage, f.part_id, p.kind as part_kind, m.name as maker, f.kind as name_kind, f.printed, f.normal_form,
           (select count(distinct o.part_id)::int from part_name o where o.normal_form = f.normal_form) as shared_by,
           (select min(c.printed) from part_name c where c.part_id = f.part_id and c.kind in ('catalogue', 'oe')) as number,
           s.on_hand, pr.each_minor,
           (select min(t.printed) from reference r join part_name t on t.part_id = r.to_part_id and t.kind in ('catalogue', 'oe')
             where r.from_part_id = f.part_id and r.grade = 'supersedes' and r.rejected_at is null) as replaced_by
      from first f
      join part p on p.id = f.part_id
      join maker m on m.id = p.maker_id
      left join stock s on s.part_id = p.id
      left join price pr on pr.part_id = p.id
     order by f.rank, length(f.normal_form), f.normal_form
     limit ${MOST_A_STAGE}`.execute(db);
  return rows;
}

const wordsOf = (question: string): string[] =>
  question
    .toLowerCase()
    .split(/[\s,;]+/)
    .filter((word) => word.length > 0)
    .slice(0, 8);

/** Engines that answer to every word of the question, the counter's commonest first. */
export async function findEngines(db: Database, question: string, most: number) {
  const words = wordsOf(question);
  if (words.length === 0) return [];
  return db
    .selectFrom('engine')
    .innerJoin('maker', 'maker.id', 'engine.maker_id')
    .select(['engine.id', 'engine.code', 'engine.summary', 'maker.name as maker'])
    .where((eb) => eb.and(words.map((word) => eb('engine.words', 'like', `%${literal(word)}%`))))
    .orderBy('engine.visits', 'desc')
    .limit(most)
    .execute();
}

/** Vehicles that answer to every word, a year among the words meaning "built then". */
export async function findVehicles(db: Database, question: string, most: number) {
  const words = wordsOf(question);
  const years = words.filter((word) => /^(19|20)\d\d$/.test(word)).map(Number);
  const names = words.filter((word) => !/^(19|20)\d\d$/.test(word));
  if (names.length === 0) return [];
  return db
    .selectFrom('vehicle')
    .innerJoin('engine', 'engine.id', 'vehicle.engine_id')
    .select([
      'vehicle.id',
      'vehicle.engine_id',
      'vehicle.make',
      'vehicle.model',
      'vehicle.built_from',
      'vehicle.built_to',
      'engine.code',
    ])
    .where((eb) =>
      eb.and([
        ...names.map((word) => eb('vehicle.words', 'like', `%${literal(word)}%`)),
        ...years.map((year) =>
          eb.and([eb('built_from', '<=', year), eb.or([eb('built_to', 'is', null), eb('built_to', '>=', year)])]),
        ),
      ]),
    )
    .orderBy('engine.visits', 'desc')
    .orderBy('vehicle.built_from')
    .limit(most)
    .execute();
}

/** Slips by docket number, or whose customer or vehicle holds the words. */
export async function findSlips(db: Database, question: string, most: number) {
  const docket = /^\d{1,9}$/.test(question.trim()) ? Number(question.trim()) : null;
  const like = `%${literal(question.trim().toLowerCase())}%`;
  return db
    .selectFrom('slip')
    .select(['id', 'docket', 'customer', 'vehicle', 'state'])
    .where((eb) =>
      eb.or([
        ...(docket === null ? [] : [eb('docket', '=', docket)]),
        eb(eb.fn<string>('lower', ['customer']), 'like', like),
        eb(eb.fn<string>('lower', ['vehicle']), 'like', like),
      ]),
    )
    .orderBy('updated_at', 'desc')
    .limit(most)
    .execute();
}
