import { sql } from 'kysely';
import type { RecordedFactId } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Writing } from '../db/database.ts';

/** What rules each part or position, by its id and by fact: figures as they are recorded, more than one where sources of one rank disagree. */
export type Ruling = ReadonlyMap<string, ReadonlyMap<string, readonly { readonly value: unknown }[]>>;

/** The one value that rules a fact of a subject; null where nothing rules it, or sources of one rank disagree. */
function ruled(ruling: Ruling, id: string, fact: RecordedFactId): unknown {
  const [figure, another] = ruling.get(id)?.get(fact) ?? [];
  return figure && !another ? figure.value : null;
}

/** The typed columns of the projection for some subjects: a plain number or word, or a part of a value that has parts. */
function columnsOf(ruling: Ruling, ids: readonly string[]) {
  const part = (value: unknown, name: string): unknown =>
    typeof value === 'object' && value !== null ? (value as Readonly<Record<string, unknown>>)[name] : null;
  const asNumber = (value: unknown): number | null => (typeof value === 'number' ? value : null);
  const asText = (value: unknown): string | null => (typeof value === 'string' ? value : null);
  const each =
    <T>(as: (value: unknown) => T) =>
    (fact: RecordedFactId, name?: string): T[] =>
      ids.map((id) => {
        const value = ruled(ruling, id, fact);
        return as(name === undefined ? value : part(value, name));
      });
  return { number: each(asNumber), text: each(asText) };
}

/** Puts what rules parts of one kind each into the columns that they are screened by. `areNew`: nothing of them stands there yet. */
export async function projectParts(
  trx: Writing,
  ruling: Ruling,
  kindOf: ReadonlyMap<string, PartKind>,
  areNew: boolean,
): Promise<void> {
  for (const { kinds, table, insert } of PROJECTIONS) {
    const ids = [...kindOf].filter(([, kind]) => kinds.includes(kind)).map(([id]) => id);
    if (ids.length === 0) continue;
    if (!areNew)
      await trx
        .deleteFrom(table)
        .where('part_id', '=', sql<string>`any(${ids}::bigint[])`)
        .execute();
    await insert(trx, ruling, ids);
  }
}

interface Projection {
  readonly kinds: readonly PartKind[];
  readonly table: 'plug_spec' | 'coil_spec' | 'lead_set' | 'distributor_spec';
  readonly insert: (trx: Writing, ruling: Ruling, ids: readonly string[]) => Promise<unknown>;
}

const PROJECTIONS: readonly Projection[] = [
  {
    kinds: ['plug'],
    table: 'plug_spec',
    insert: (trx, ruling, ids) => {
      const { number, text } = columnsOf(ruling, ids);
      return sql`
        insert into plug_spec (part_id, thread_diameter_mm, thread_pitch_mm, reach_mm, seat, hex_mm, heat_index_bar, resistor, supply,
                               catalogue_version)
        select p.id, p.diameter, p.pitch, p.reach, p.seat, p.hex, h.index_bar, p.resistor, p.supply, v.version
          from unnest(${ids}::bigint[], ${number('plug.threadDiameterMm')}::float8[], ${number('plug.threadPitchMm')}::float8[],
                      ${number('plug.reachMm')}::float8[], ${text('plug.seat')}::text[], ${number('plug.hexMm')}::float8[],
                      ${text('plug.heat', 'maker')}::text[], ${text('plug.heat', 'code')}::text[],
                      ${text('plug.resistor', 'kind')}::text[], ${text('plug.supply', 'state')}::text[])
                 as p (id, diameter, pitch, reach, seat, hex, heat_maker, heat_code, resistor, supply)
          left join heat_rating h on h.maker_id = p.heat_maker and h.code = p.heat_code
          cross join catalogue_version v`.execute(trx);
    },
  },
  {
    kinds: ['coil'],
    table: 'coil_spec',
    insert: (trx, ruling, ids) => {
      const { number, text } = columnsOf(ruling, ids);
      return sql`
        insert into coil_spec (part_id, topology, connector, pins, towers, catalogue_version)
        select p.*, v.version
          from unnest(${ids}::bigint[], ${text('coil.topology')}::text[], ${text('coil.connector')}::text[],
                      ${number('coil.pinsCount')}::int[], ${number('coil.towersCount')}::int[]) as p
          cross join catalogue_version v`.execute(trx);
    },
  },
  {
    kinds: ['lead-set'],
    table: 'lead_set',
    insert: (trx, ruling, ids) => {
      const leads = ids.map((id) => ruled(ruling, id, 'leads.set') as readonly { readonly lengthMm?: number }[] | null);
      const longest = (set: readonly { readonly lengthMm?: number }[]) =>
        Math.max(...set.flatMap(({ lengthMm }) => lengthMm ?? []));
      return sql`
        insert into lead_set (part_id, leads, longest_mm, catalogue_version)
        select p.*, v.version
          from unnest(${ids}::bigint[], ${leads.map((set) => set?.length ?? null)}::int[],
                      ${leads.map((set) => (set && Number.isFinite(longest(set)) ? longest(set) : null))}::float8[]) as p
          cross join catalogue_version v`.execute(trx);
    },
  },
  {
    kinds: ['cap', 'rotor'],
    table: 'distributor_spec',
    insert: (trx, ruling, ids) => {
      const { text } = columnsOf(ruling, ids);
      const [caps, rotors] = [text('cap.family'), text('rotor.family')];
      return sql`
        insert into distributor_spec (part_id, family, catalogue_version)
        select p.*, v.version
          from unnest(${ids}::bigint[], ${caps.map((family, i) => family ?? rotors[i])}::text[]) as p
          cross join catalogue_version v`.execute(trx);
    },
  },
];

/** The same of what engines ask. A position of which nothing is known keeps what it had. */
export async function projectPositions(trx: Writing, ruling: Ruling): Promise<void> {
  const ids = [...ruling.keys()];
  const { number, text } = columnsOf(ruling, ids);
  await sql`
    update engine_position e
       set thread_diameter_mm = p.diameter, thread_pitch_mm = p.pitch, reach_low_mm = p.reach_low, reach_high_mm = p.reach_high,
           seat = p.seat, gap_low_mm = p.gap_low, gap_high_mm = p.gap_high
      from unnest(${ids}::bigint[], ${number('position.threadDiameterMm')}::float8[], ${number('position.threadPitchMm')}::float8[],
                  ${number('position.reachMm', 'low')}::float8[], ${number('position.reachMm', 'high')}::float8[],
                  ${text('position.seat')}::text[], ${number('position.gapMm', 'low')}::float8[],
                  ${number('position.gapMm', 'high')}::float8[])
             as p (id, diameter, pitch, reach_low, reach_high, seat, gap_low, gap_high)
     where e.id = p.id`.execute(trx);
}
