import { sql, type Insertable, type Selectable } from 'kysely';
import { resolveFigures } from '@brackenfell/core/facts/resolve-figures';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Writing } from '../db/database.ts';
import type { ChosenFigureTable, FigureTable } from '../db/tables/catalogue.ts';
import { bumpCatalogueVersion, bumpVersionOfPlugs } from './version-store.ts';

/** So many subjects are decided at a time: a list may bring a million. */
const BATCH = 1000;

/**
 * Decides anew which figures rule the given parts and positions, and projects them into the typed columns of `plug_spec`,
 * `coil_spec`, `lead_set`, `distributor_spec` and `engine_position`. The only writer of those columns; runs in the transaction that wrote the figures, and gives the
 * catalogue its next version. Who changes more than figures says so by `bumpCatalogueVersion`.
 */
export async function chooseFigures(
  trx: Writing,
  partIds: readonly string[],
  positionIds: readonly string[],
): Promise<void> {
  // Who has no figure to choose has changed something else, such as whom an engine names.
  const areFigures = partIds.length > 0 && positionIds.length === 0;
  if (areFigures && (await areAllPlugs(trx, partIds))) await bumpVersionOfPlugs(trx);
  else await bumpCatalogueVersion(trx);
  await choosePartFigures(trx, partIds);
  for (let i = 0; i < positionIds.length; i += BATCH) {
    const page = positionIds.slice(i, i + BATCH);
    await chooseFor(trx, 'position_id', page);
    await projectPositions(trx, page);
  }
}

/** The same of parts alone, for who has many pages of them and gives the catalogue its version once. */
export async function choosePartFigures(trx: Writing, partIds: readonly string[]): Promise<void> {
  for (let i = 0; i < partIds.length; i += BATCH) {
    const page = partIds.slice(i, i + BATCH);
    await chooseFor(trx, 'part_id', page);
    await projectPlugs(trx, page);
    // A part stays of its kind.
    if (!(await areAllPlugs(trx, page))) await projectOthers(trx, page);
  }
}

/** What engines ask may rest on the figures of a coil, never on those of a plug. */
export async function areAllPlugs(trx: Writing, partIds: readonly string[]): Promise<boolean> {
  const { rows } = await sql`
    select from part where id = any(${partIds}::bigint[]) and kind <> 'plug' limit 1`.execute(trx);
  return rows.length === 0;
}

type StoredFigure = Pick<
  Selectable<FigureTable>,
  'id' | 'part_id' | 'position_id' | 'attribute' | 'value' | 'source_rank' | 'source_name' | 'readings'
>;

async function chooseFor(trx: Writing, subject: 'part_id' | 'position_id', ids: readonly string[]): Promise<void> {
  const own = sql`${sql.ref(subject)} = s.id`;
  // Each by the index, whatever the database believes of tables that have just grown: a list of a million is decided page by page.
  await sql`
    delete from chosen_figure where figure_id = any(array(
      select c.figure_id from unnest(${ids}::bigint[]) as s (id)
        cross join lateral (select figure_id from chosen_figure where ${own} offset 0) c))`.execute(trx);
  const { rows: figures } = await sql<StoredFigure>`
    select f.* from unnest(${ids}::bigint[]) as s (id)
      cross join lateral (select id, part_id, position_id, attribute, value, source_rank, source_name, readings
                            from figure where ${own} and withdrawn_at is null offset 0) f
     order by f.id`.execute(trx);
  const groups = groupBy(figures, (figure) => `${figure[subject]!} ${figure.attribute}`);
  const chosen = [...groups.values()].flatMap((group) => choose(group));
  await sql`
    insert into chosen_figure (figure_id, part_id, position_id, rules)
    select * from unnest(${chosen.map((one) => one.figure_id)}::bigint[], ${chosen.map((one) => one.part_id)}::bigint[],
                         ${chosen.map((one) => one.position_id)}::bigint[], ${chosen.map((one) => one.rules)}::boolean[])`.execute(
    trx,
  );
}

function groupBy<T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group) group.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return groups;
}

/** One fact's figures, resolved by core's ranking of sources. */
function choose(figures: readonly StoredFigure[]): Insertable<ChosenFigureTable>[] {
  const recorded = figures.map((figure) => ({
    value: figure.value,
    source: { rank: figure.source_rank, name: figure.source_name },
    readings: figure.readings,
    figure,
  }));
  const entry = resolveFigures(recorded);
  const rowOf = (source: { name: string; rank: string }, value: unknown, rules: boolean) => {
    const { figure } = recorded.find(
      (r) =>
        r.source.name === source.name &&
        r.source.rank === source.rank &&
        JSON.stringify(r.value) === JSON.stringify(value),
    )!;
    return { figure_id: figure.id, part_id: figure.part_id, position_id: figure.position_id, rules };
  };
  return [
    ...(entry?.ruling ?? []).map((r) => rowOf(r.source, r.value, true)),
    ...(entry?.questioning ?? []).map((q) => rowOf(q.source, q.value, false)),
  ];
}

/** The single ruling value of an attribute as JSON, or null where sources of one rank disagree. */
const ruling = (attribute: string) =>
  `(case when count(*) filter (where f.attribute = '${attribute}') = 1
         then (array_agg(f.value) filter (where f.attribute = '${attribute}'))[1] end)`;
/** Typed columns of the projection: a plain number or word, or a part of a value that has parts. */
const number = (attribute: string) => sql.raw(`(${ruling(attribute)} #>> '{}')::double precision`);
const text = (attribute: string) => sql.raw(`(${ruling(attribute)} #>> '{}')`);
const partOf = (attribute: string, part: string) => sql.raw(`(${ruling(attribute)} ->> '${part}')`);
const end = (attribute: string, which: 'low' | 'high') =>
  sql.raw(`(${ruling(attribute)} ->> '${which}')::double precision`);

/** Parts of some kinds among those given, each with what rules it; by the index as above. */
const ruledParts = (partIds: readonly string[], kinds: readonly PartKind[]) => sql`
  unnest(${partIds}::bigint[]) as s (id)
      cross join lateral (select id from part where id = s.id and kind = any(${kinds}::text[]) offset 0) p
      left join lateral (select figure_id from chosen_figure where part_id = s.id and rules offset 0) c on true
      left join lateral (select attribute, value from figure where id = c.figure_id offset 0) f on true`;

async function projectPlugs(trx: Writing, partIds: readonly string[]): Promise<void> {
  await sql`delete from plug_spec where part_id = any(${partIds}::bigint[])`.execute(trx);
  await sql`
    insert into plug_spec (part_id, thread_diameter_mm, thread_pitch_mm, reach_mm, seat, hex_mm, heat_index_bar,
                           resistor, supply, catalogue_version)
    select p.id, ${number('plug.threadDiameterMm')}, ${number('plug.threadPitchMm')},
           ${number('plug.reachMm')}, ${text('plug.seat')}, ${number('plug.hexMm')},
           (select index_bar from heat_rating h
             where h.maker_id = ${partOf('plug.heat', 'maker')} and h.code = ${partOf('plug.heat', 'code')}),
           ${partOf('plug.resistor', 'kind')}, ${partOf('plug.supply', 'state')},
           (select version from catalogue_version)
      from ${ruledParts(partIds, ['plug'])}
     group by p.id`.execute(trx);
}

async function projectOthers(trx: Writing, partIds: readonly string[]): Promise<void> {
  await sql`delete from coil_spec where part_id = any(${partIds}::bigint[])`.execute(trx);
  await sql`
    insert into coil_spec (part_id, topology, connector, pins, towers, catalogue_version)
    select p.id, ${text('coil.topology')}, ${text('coil.connector')},
           ${number('coil.pinsCount')}, ${number('coil.towersCount')}, (select version from catalogue_version)
      from ${ruledParts(partIds, ['coil'])}
     group by p.id`.execute(trx);
  await sql`delete from lead_set where part_id = any(${partIds}::bigint[])`.execute(trx);
  await sql`
    insert into lead_set (part_id, leads, longest_mm, catalogue_version)
    select s.id, jsonb_array_length(s.leads),
           (select max((lead ->> 'lengthMm')::double precision) from jsonb_array_elements(s.leads) lead),
           (select version from catalogue_version)
      from (select p.id, ${sql.raw(ruling('leads.set'))} as leads
              from ${ruledParts(partIds, ['lead-set'])}
             group by p.id) s`.execute(trx);
  await sql`delete from distributor_spec where part_id = any(${partIds}::bigint[])`.execute(trx);
  await sql`
    insert into distributor_spec (part_id, family, catalogue_version)
    select p.id, coalesce(${text('cap.family')}, ${text('rotor.family')}), (select version from catalogue_version)
      from ${ruledParts(partIds, ['cap', 'rotor'])}
     group by p.id`.execute(trx);
}

async function projectPositions(trx: Writing, positionIds: readonly string[]): Promise<void> {
  await sql`
    update engine_position e
       set thread_diameter_mm = s.diameter, thread_pitch_mm = s.pitch, reach_low_mm = s.reach_low, reach_high_mm = s.reach_high,
           seat = s.seat, gap_low_mm = s.gap_low, gap_high_mm = s.gap_high
      from (select c.position_id, ${number('position.threadDiameterMm')} diameter,
                   ${number('position.threadPitchMm')} pitch, ${end('position.reachMm', 'low')} reach_low,
                   ${end('position.reachMm', 'high')} reach_high, ${text('position.seat')} seat,
                   ${end('position.gapMm', 'low')} gap_low, ${end('position.gapMm', 'high')} gap_high
              from chosen_figure c join figure f on f.id = c.figure_id
             where c.rules and c.position_id = any(${positionIds}::bigint[])
             group by c.position_id) s
     where e.id = s.position_id`.execute(trx);
}
