import { sql } from 'kysely';
import type { AuditedPlug } from '@brackenfell/core/catalogue-audit/rules';
import { SAME_HEX_MM } from '@brackenfell/core/plugs/socket';
import { REACH_MM } from '@brackenfell/core/plugs/checks/reach';
import { PLUG_CHECKS } from '@brackenfell/core/plugs/plug-checks';
import { KM_PER_HOUR } from '@brackenfell/core/service-plan/running-hours';
import type { ReferenceEdge } from '@brackenfell/core/interchange/trail';
import type { Renaming } from '@brackenfell/core/interchange/supersession';
import type { Database } from '../db/database.ts';

/** Clusters in which some compared fact takes more than one value; one pass over all plugs. */
export async function suspectClusters(db: Database, smallestStepBar: number): Promise<string[]> {
  const { rows } = await sql<{ id: string }>`
    select p.cluster_id as id
      from plug_spec s join part p on p.id = s.part_id
     group by p.cluster_id
    having count(distinct s.thread_diameter_mm) > 1 or count(distinct s.thread_pitch_mm) > 1
        or max(s.reach_mm) - min(s.reach_mm) > ${REACH_MM.match} or max(s.hex_mm) - min(s.hex_mm) > ${SAME_HEX_MM}
        or bool_or(s.seat = 'taper') and bool_or(s.seat <> 'taper')
        or bool_or(s.resistor = 'none') and bool_or(s.resistor <> 'none')
        or max(s.heat_index_bar) - min(s.heat_index_bar) > ${smallestStepBar}
     order by 1`.execute(db);
  return rows.map((row) => row.id);
}

export interface SuspectMember {
  readonly id: string;
  readonly clusterId: string;
  readonly plug: AuditedPlug;
}

/** The members of some clusters with what they are compared by, and the references that join them. */
export async function readSuspects(db: Database, clusterIds: readonly string[]) {
  const { rows } = await sql<{ id: string; cluster_id: string } & AuditedPlug>`
    with step as (
      select maker_id, index_bar,
             greatest(index_bar - lag(index_bar) over w, lead(index_bar) over w - index_bar) as bar
        from heat_rating window w as (partition by maker_id order by ordinal))
    select p.id, p.cluster_id, s.thread_diameter_mm as "threadDiameterMm", s.thread_pitch_mm as "threadPitchMm",
           s.reach_mm as "reachMm", s.seat, s.hex_mm as "hexMm", s.resistor, s.heat_index_bar as "heatIndexBar",
           h.bar as "heatStepBar"
      from part p left join plug_spec s on s.part_id = p.id
      left join step h on h.maker_id = p.maker_id and h.index_bar = s.heat_index_bar
     where p.cluster_id = any(${clusterIds}::bigint[]) order by p.id`.execute(db);
  const members = rows.map(({ id, cluster_id, ...plug }): SuspectMember => ({ id, clusterId: cluster_id, plug }));
  const edges = await db
    .selectFrom('reference')
    .select(['id', 'from_part_id as from', 'to_part_id as to', 'grade', 'from_cluster_id as clusterId'])
    .where(sql<boolean>`from_cluster_id = any(${clusterIds}::bigint[])`)
    .where('rejected_at', 'is', null)
    .where('grade', 'in', ['same', 'equivalent'])
    .orderBy('id')
    .execute();
  return { members, edges: edges as (ReferenceEdge & { clusterId: string })[] };
}

/** All renamings that stand, in strides, so that a million numbers are never held as rows at once. */
export async function* readAllRenamings(db: Database, stride = 5000): AsyncGenerator<(Renaming & { id: string })[]> {
  for (let after = '0'; ;) {
    const rows = await db
      .selectFrom('reference')
      .select(['id', 'from_part_id as from', 'to_part_id as to', 'condition'])
      .where('id', '>', after)
      .where('grade', '=', 'supersedes')
      .where('rejected_at', 'is', null)
      .orderBy('id')
      .limit(stride)
      .execute();
    if (rows.length > 0) yield rows;
    if (rows.length < stride) return;
    after = rows.at(-1)!.id;
  }
}

/** Within the checks' own bands two figures say the same. */
const MATCH_BANDS = PLUG_CHECKS.flatMap(({ sameWithin }) => sameWithin ?? []);
/** Two readings of a length agree when they are no further apart. */
const ALIKE_MM = 0.15;
const BANDED = MATCH_BANDS.map(({ fact }) => fact);
const BANDS = MATCH_BANDS.map(({ by }) => by);

export interface PartSuspect {
  readonly partId: string;
  readonly otherId: string | null;
  readonly edgeIds: readonly string[];
  readonly says: readonly string[];
}

/** References that promise a discontinued part. */
export const leadingToDiscontinued = async (db: Database): Promise<PartSuspect[]> =>
  (
    await sql<PartSuspect>`
      select s.part_id as "partId", null as "otherId", array_agg(r.id order by r.id) as "edgeIds", array['discontinued'] as says
        from plug_spec s join reference r on r.to_part_id = s.part_id and r.rejected_at is null
             and r.grade in ('same', 'equivalent', 'supersedes')
       where s.supply = 'discontinued' group by s.part_id order by s.part_id`.execute(db)
  ).rows;

/** References to numbers that no catalogue holds. */
export const leadingToNothing = async (db: Database): Promise<PartSuspect[]> =>
  (
    await sql<PartSuspect>`
      select r.to_part_id as "partId", null as "otherId", array_agg(r.id order by r.id) as "edgeIds",
             array_agg(distinct r.source) as says
        from part p join reference r on r.to_part_id = p.id and r.rejected_at is null
             and (r.in_force_from is null or r.in_force_from <= current_date)
       where p.kind = 'unheld' group by r.to_part_id order by r.to_part_id`.execute(db)
  ).rows;

/** How many are looked at more closely in one question: their number is not foreseen by who plans it. */
const STRIDE = 1000;

async function inStrides<T>(of: readonly string[], look: (some: readonly string[]) => Promise<T[]>): Promise<T[]> {
  const found: T[] = [];
  for (let i = 0; i < of.length; i += STRIDE) found.push(...(await look(of.slice(i, i + STRIDE))));
  return found;
}

/** Numbers that two makers use. Short stampings repeat from maker to maker by nature and are left out. */
export async function sharedNumbers(db: Database): Promise<PartSuspect[]> {
  // One walk along the index, where those alike are neighbours: to group all numbers there are would take their room on the disk.
  const shared = await sql<{ normal: string }>`
    select distinct normal_form as normal
      from (select normal_form, part_id, lag(normal_form) over w as before, lag(part_id) over w as "partBefore"
              from part_name window w as (order by normal_form using ~<~)) n
     where normal_form = before and part_id <> "partBefore"`.execute(db);
  return inStrides(
    shared.rows.map(({ normal }) => normal),
    async (some) =>
      // Joined, so that each goes by the index: as a list to be among, all names are held against a thousand one by one.
      (
        await sql<PartSuspect>`
          select min(part_id) as "partId", max(part_id) as "otherId", '{}'::text[] as "edgeIds", array[min(printed)] as says
            from unnest(${some}::text[]) as s (normal) join part_name n on n.normal_form = s.normal
           where n.kind <> 'stamping'
           group by normal_form having min(maker_id) <> max(maker_id) order by 1`.execute(db)
      ).rows,
  );
}

/**
 * Facts of a part for which sources give more than one figure: of one rank, or of a weaker one that says something else than
 * what rules by more than the check's match band.
 */
export async function disagreeingFigures(db: Database): Promise<PartSuspect[]> {
  const told = await sql<{ id: string }>`
    select part_id as id from figure where part_id is not null
     group by part_id having count(*) > count(distinct attribute) order by 1`.execute(db);
  return inStrides(
    told.rows.map(({ id }) => id),
    async (some) =>
      (
        await sql<PartSuspect>`
          select part_id as "partId", null as "otherId", '{}'::text[] as "edgeIds", array[attribute] as says
            from (select c.part_id, f.attribute, count(*) as figures
                    from chosen_figure c join figure f on f.id = c.figure_id
                   where c.part_id = any(${some}::bigint[]) group by c.part_id, f.attribute) x
           where figures > 1
          union
          select f.part_id, null, '{}'::text[], array[f.attribute]
            from figure f
            join chosen_figure c on c.part_id = f.part_id and c.rules
            join figure r on r.id = c.figure_id and r.attribute = f.attribute
            left join unnest(${BANDED}::text[], ${BANDS}::double precision[]) as b (attribute, band) on b.attribute = f.attribute
           where f.part_id = any(${some}::bigint[]) and f.withdrawn_at is null and f.id <> r.id and f.attribute not like '%.supply'
             and f.source_rank <> r.source_rank and f.source_rank not in ('hearsay', 'gauged', 'house-rule')
             and case when jsonb_typeof(f.value) = 'number' and jsonb_typeof(r.value) = 'number'
                        then abs(f.value::double precision - r.value::double precision) > coalesce(b.band, 0) + 1e-6
                      when f.value ? 'kohm'
                        then abs((f.value ->> 'kohm')::double precision - (r.value ->> 'kohm')::double precision) > coalesce(b.band, 0) + 1e-6
                      else f.value <> r.value end
           order by 1, 4`.execute(db)
      ).rows,
  );
}

/** Numbers engine makers name that are said to be the same as parts of several makers. */
export const filledByTwo = async (db: Database): Promise<PartSuspect[]> =>
  (
    await sql<PartSuspect>`
      select n.part_id as "partId", null as "otherId", array_agg(distinct r.id) as "edgeIds",
             array_agg(distinct m.name) as says
        from (select distinct part_id from named_number) n
        join part o on o.id = n.part_id and o.kind = 'oe-number'
        join reference r on r.from_part_id = n.part_id and r.grade = 'same' and r.rejected_at is null
        join part p on p.id = r.to_part_id and p.kind not in ('oe-number', 'unheld')
        join maker m on m.id = p.maker_id
       group by n.part_id having count(distinct p.maker_id) > 1 order by n.part_id`.execute(db)
  ).rows;

/**
 * Parts of which pieces on slips were gauged twice alike, and otherwise than the ruling figure by more than the check's match
 * band: the catalogue's editor is told, whatever was done with the pieces.
 */
export const gaugedOtherwise = async (db: Database): Promise<PartSuspect[]> =>
  (
    await sql<PartSuspect>`
      with gauged as (
        select part_id, fact, slip_id, avg((value #>> '{}')::double precision) as mean,
               max((value #>> '{}')::double precision) - min((value #>> '{}')::double precision) as apart
          from piece_reading
         where how = 'gauged' and withdrawn_at is null and part_id is not null and jsonb_typeof(value) = 'number'
         group by part_id, fact, slip_id having count(*) > 1
      )
      select g.part_id as "partId", null as "otherId", '{}'::text[] as "edgeIds",
             array_agg(distinct g.fact || ': gauged ' || round(g.mean::numeric, 2) || ', on paper ' || (f.value #>> '{}')) as says
        from gauged g
        join unnest(${BANDED}::text[], ${BANDS}::double precision[]) as b (attribute, band) on b.attribute = g.fact
        join chosen_figure c on c.part_id = g.part_id and c.rules
        join figure f on f.id = c.figure_id and f.attribute = g.fact and jsonb_typeof(f.value) = 'number'
       where g.apart <= ${ALIKE_MM} + 1e-6 and abs(g.mean - case jsonb_typeof(f.value) when 'number' then f.value::double precision end) > b.band + 1e-6
       group by g.part_id order by g.part_id`.execute(db)
  ).rows;

/** Plugs that engine makers name, whose stated life is shorter than the engine's own interval: one of the two is wrong. */
export const shorterThanInterval = async (db: Database): Promise<PartSuspect[]> =>
  (
    await sql<PartSuspect>`
      with interval_of as (
        select p.engine_id, max(case f.attribute when 'position.intervalKm' then f.value::double precision
                                                 else f.value::double precision * ${KM_PER_HOUR} end) as km
          from engine_position p join chosen_figure c on c.position_id = p.id and c.rules
          join figure f on f.id = c.figure_id and f.attribute in ('position.intervalKm', 'position.intervalHours')
         where p.kind = 'plug' group by p.engine_id
      ), life_of as (
        select c.part_id, min(f.value::double precision) as km from chosen_figure c join figure f on f.id = c.figure_id
         where c.rules and f.attribute = 'plug.lifeKm' group by c.part_id
      )
      select l.part_id as "partId", null as "otherId", '{}'::text[] as "edgeIds",
             array_agg(distinct e.code || ': life ' || l.km || ' km, interval ' || i.km || ' km') as says
        from named_number n join engine e on e.id = n.engine_id join interval_of i on i.engine_id = n.engine_id
        join reference r on r.from_part_id = n.part_id and r.grade = 'same' and r.rejected_at is null
        join life_of l on l.part_id = r.to_part_id
       where n.kind = 'plug' and l.km < i.km
       group by l.part_id order by l.part_id`.execute(db)
  ).rows;

/** How many engines and how much stock each suspect touches: engines that name or are listed for its clusters. */
export async function readTouched(
  db: Database,
  suspects: readonly { readonly parts: readonly string[] }[],
): Promise<{ engines: number; stock: number }[]> {
  const places = suspects.flatMap(({ parts }, place) => parts.map((part) => ({ place, part })));
  const { rows } = await sql<{ place: number; engines: number; stock: number }>`
    with asked as (
      select distinct a.place, p.id, p.cluster_id
        from unnest(${places.map(({ place }) => place)}::int[], ${places.map(({ part }) => part)}::bigint[]) a (place, part_id)
        join part p on p.id = a.part_id
    ), touched as (
      select a.place, n.engine_id from (select distinct place, cluster_id from asked) a
        join part p on p.cluster_id = a.cluster_id join named_number n on n.part_id = p.id
      union select a.place, l.engine_id from asked a join listing l on l.part_id = a.id
    )
    select a.place, (select count(*)::int from touched t where t.place = a.place) as engines,
           coalesce(sum(s.on_hand), 0)::int as stock
      from asked a left join stock s on s.part_id = a.id group by a.place`.execute(db);
  const byPlace = new Map(rows.map((row) => [row.place, row]));
  return suspects.map((_, place) => byPlace.get(place) ?? { engines: 0, stock: 0 });
}

export const readRatings = (db: Database) =>
  db.selectFrom('heat_rating').selectAll().orderBy('maker_id').orderBy('ordinal').execute();
