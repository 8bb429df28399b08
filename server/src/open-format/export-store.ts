import { sql, type RawBuilder } from 'kysely';
import type { OpenFigure, OpenLine, OpenLineOf, PartRef } from '@brackenfell/contract/open-catalogue';
import type { Database } from '../db/database.ts';

const PAGE = 1000;

/** Of a figure, without what is usual. */
const FIGURE = sql.raw(`jsonb_agg(jsonb_build_object('fact', f.attribute, 'value', f.value, 'rank', f.source_rank,
  'source', f.source_name, 'readings', f.readings) order by f.id)`);
const STANDS = sql.raw(`f.withdrawn_at is null`);
/** The number a part is called by: the first of its names that is one. */
const NUMBER = sql.raw(`select part_id, maker_id, printed from (
    select n.part_id, n.maker_id, n.printed, row_number() over (partition by n.part_id order by n.id) as at
      from part_name n) named where at = 1`);

const NUMBER_OF_NAMED = (engineId: string) => sql`select distinct on (part_id) part_id, maker_id, printed from part_name
    where part_id in (select part_id from named_number where engine_id = ${engineId}) order by part_id, id`;

/**
 * The whole catalogue as it stands at one moment, line by line, in the order in which it can be loaded again. What was
 * withdrawn is not in it.
 */
export async function* readOpenLines(db: Database): AsyncGenerator<OpenLine> {
  const trx = await db.startTransaction().setIsolationLevel('repeatable read').setAccessMode('read only').execute();
  try {
    yield { line: 'catalogue', format: 'brackenfell', version: 1 };
    yield* await readMakers(trx);
    yield* await readScales(trx);
    yield* await readNumbering(trx);
    yield* readParts(trx);
    yield* await readKits(trx);
    yield* await readEngines(trx);
    yield* readReferences(trx);
    yield* readListings(trx);
    yield* await readClassLists(trx);
  } finally {
    await trx.rollback().execute();
  }
}

async function readMakers(db: Database): Promise<OpenLineOf<'maker'>[]> {
  const rows = await db.selectFrom('maker').select(['id', 'name']).orderBy('id').execute();
  return rows.map(({ id, name }) => ({ line: 'maker', id, name }));
}

/** Of all makers, or of one. */
export async function readScales(db: Database, of?: string): Promise<OpenLineOf<'heat-scale'>[]> {
  const rows = await db
    .selectFrom('heat_rating')
    .selectAll()
    .$if(of !== undefined, (query) => query.where('maker_id', '=', of!))
    .orderBy('maker_id')
    .orderBy('ordinal')
    .execute();
  return [...new Set(rows.map(({ maker_id }) => maker_id))].map((maker) => ({
    line: 'heat-scale',
    maker,
    ratings: rows
      .filter(({ maker_id }) => maker_id === maker)
      .map(({ code, index_bar }) => ({ code, indexBar: index_bar })),
  }));
}

/** Of all makers, or of one. */
export async function readNumbering(db: Database, of?: string): Promise<OpenLineOf<'numbering'>[]> {
  const rows = await db
    .selectFrom('maker_grammar')
    .select('grammar')
    .$if(of !== undefined, (query) => query.where('maker_id', '=', of!))
    .orderBy('maker_id')
    .execute();
  return rows.map(({ grammar }) => ({ line: 'numbering', grammar: grammar as OpenLineOf<'numbering'>['grammar'] }));
}

/** Rows by ascending id, a page at a time: memory stays flat however many there are. */
async function* paged<R extends { readonly id: string }>(page: (after: string) => Promise<readonly R[]>) {
  for (let after = '0'; ;) {
    const rows = await page(after);
    yield* rows;
    if (rows.length < PAGE) return;
    after = rows.at(-1)!.id;
  }
}

type Figures = readonly (Omit<OpenFigure, 'readings'> & { readonly readings: number })[];
const figuresOf = (figures: Figures | null): OpenFigure[] =>
  (figures ?? []).map(({ fact, value, rank, source, readings }) => ({
    fact,
    value,
    rank,
    source,
    ...(readings === 1 ? {} : { readings }),
  }));

interface PartRow {
  readonly id: string;
  readonly maker: string;
  readonly kind: OpenLineOf<'part'>['kind'];
  readonly names: readonly { as: OpenLineOf<'part'>['names'][number]['as']; printed: string }[];
  readonly figures: Figures | null;
  readonly each_minor: number | null;
  readonly pack_of: number | null;
  readonly title: string | null;
  readonly use: string | null;
}

async function* readParts(db: Database): AsyncGenerator<OpenLineOf<'part'>> {
  const rows = paged<PartRow>(
    async (after) =>
      (
        await sql<PartRow>`
          select p.id, p.maker_id as maker, p.kind, c.each_minor, c.pack_of, s.title, s.use,
                 (select jsonb_agg(jsonb_build_object('as', n.kind, 'printed', n.printed) order by n.id)
                    from part_name n where n.part_id = p.id) as names,
                 (select ${FIGURE} from figure f where f.part_id = p.id and ${STANDS}) as figures
            from part p left join price c on c.part_id = p.id left join sundry s on s.part_id = p.id
           where p.id > ${after} order by p.id limit ${PAGE}`.execute(db)
      ).rows,
  );
  for await (const { maker, kind, names, figures, each_minor, pack_of, title, use } of rows)
    yield {
      line: 'part',
      maker,
      kind,
      names: names.map(({ as, printed }) => ({ as, printed })),
      ...(figures ? { figures: figuresOf(figures) } : {}),
      ...(each_minor === null
        ? {}
        : { price: { eachMinor: each_minor, ...(pack_of === null || pack_of === 1 ? {} : { packOf: pack_of }) } }),
      ...(title === null ? {} : { sundry: { title, use: use! } }),
    };
}

async function readKits(db: Database): Promise<OpenLineOf<'kit'>[]> {
  const { rows } = await sql<{
    maker: string;
    number: string;
    holds: { maker: string; number: string; quantity: number }[];
  }>`
    with called as (${NUMBER})
    select k.maker_id as maker, k.printed as number,
           jsonb_agg(jsonb_build_object('maker', h.maker_id, 'number', h.printed, 'quantity', p.quantity) order by p.part_id) as holds
      from kit_part p join called k on k.part_id = p.kit_id join called h on h.part_id = p.part_id
     group by p.kit_id, k.maker_id, k.printed order by p.kit_id`.execute(db);
  return rows.map(({ maker, number, holds }) => ({
    line: 'kit',
    kit: { maker, number },
    holds: holds.map((held) => ({ part: { maker: held.maker, number: held.number }, quantity: held.quantity })),
  }));
}

/** Rows by their engine, each looked at once however many engines there are. */
function byEngine<R extends { readonly engine_id: string }>(rows: readonly R[]) {
  const by = new Map<string, R[]>();
  for (const row of rows) {
    const own = by.get(row.engine_id);
    if (own) own.push(row);
    else by.set(row.engine_id, [row]);
  }
  return (engineId: string): readonly R[] => by.get(engineId) ?? [];
}

/** All engines, or one. */
export async function readEngines(db: Database, of?: string): Promise<OpenLineOf<'engine'>[]> {
  const ofEngine = (column: string) => (of === undefined ? sql`true` : sql`${sql.ref(column)} = ${of}`);
  const engines = await db
    .selectFrom('engine')
    .selectAll()
    .where(ofEngine('id') as RawBuilder<boolean>)
    .orderBy('id')
    .execute();
  const { rows: positions } = await sql<{
    engine_id: string;
    kind: OpenLineOf<'engine'>['positions'][number]['kind'];
    cylinder: number;
    place: string;
    label: string;
    build: string | null;
    figures: Figures | null;
  }>`
    select p.engine_id, p.kind, p.cylinder, p.place, p.label, p.build,
           (select ${FIGURE} from figure f where f.position_id = p.id and ${STANDS}) as figures
      from engine_position p where ${ofEngine('p.engine_id')} order by p.id`.execute(db);
  const vehicles = await db
    .selectFrom('vehicle')
    .selectAll()
    .where(ofEngine('engine_id') as RawBuilder<boolean>)
    .orderBy('id')
    .execute();
  const { rows: named } = await sql<{
    engine_id: string;
    maker: string;
    number: string;
    kind: OpenLineOf<'engine'>['named'][number]['kind'];
    place: string | null;
    note: string | null;
  }>`
    with called as (${of === undefined ? NUMBER : NUMBER_OF_NAMED(of)})
    select n.engine_id, c.maker_id as maker, c.printed as number, n.kind, n.place, n.note
      from named_number n join called c on c.part_id = n.part_id
     where ${ofEngine('n.engine_id')}
     order by n.engine_id, n.kind, n.part_id, n.place`.execute(db);
  const [positionsOf, vehiclesOf, namedOf] = [byEngine(positions), byEngine(vehicles), byEngine(named)];
  return engines.map((engine) => ({
    line: 'engine',
    id: engine.id,
    maker: engine.maker_id,
    code: engine.code,
    summary: engine.summary,
    layout: engine.layout,
    visits: engine.visits,
    cautions: engine.cautions,
    traits: engine.traits,
    builds: engine.builds,
    ...(engine.plan ? { plan: engine.plan as NonNullable<OpenLineOf<'engine'>['plan']> } : {}),
    notes: engine.notes,
    positions: positionsOf(engine.id).map(({ kind, cylinder, place, label, build, figures }) => ({
      kind,
      cylinder,
      place,
      label,
      ...(build === null ? {} : { build }),
      figures: figuresOf(figures),
    })),
    vehicles: vehiclesOf(engine.id).map(({ make, model, built_from, built_to }) => ({
      make,
      model,
      from: built_from,
      ...(built_to === null ? {} : { to: built_to }),
    })),
    named: namedOf(engine.id).map(({ maker, number, kind, place, note }) => ({
      part: { maker, number },
      kind,
      ...(place === null ? {} : { place }),
      ...(note === null ? {} : { note }),
    })),
  }));
}

interface Ends {
  readonly id: string;
  readonly from: PartRef;
  readonly to: PartRef;
}
interface ReferenceRow extends Ends {
  readonly grade: OpenLineOf<'reference'>['grade'];
  readonly source: string;
  readonly noted_on: string;
  readonly note: string | null;
  readonly condition: string | null;
  readonly engine_ids: string[] | null;
  readonly in_force_from: string | null;
  readonly is_cut: boolean;
}

/** A part as it is referred to, looked up by its id. */
const refOf = (id: string) =>
  sql.raw(`(select jsonb_build_object('maker', n.maker_id, 'number', n.printed) from part_name n
             where n.part_id = ${id} order by n.id limit 1)`);
const plain = ({ maker, number }: PartRef): PartRef => ({ maker, number });

async function* readReferences(db: Database): AsyncGenerator<OpenLineOf<'reference'>> {
  const rows = paged<ReferenceRow>(
    async (after) =>
      (
        await sql<ReferenceRow>`
          select r.id, ${refOf('r.from_part_id')} as "from", ${refOf('r.to_part_id')} as "to", r.grade, r.source,
                 r.noted_on::text, r.note, r.condition, r.engine_ids, r.in_force_from::text, r.rejected_at is not null as is_cut
            from reference r where r.id > ${after} order by r.id limit ${PAGE}`.execute(db)
      ).rows,
  );
  for await (const row of rows)
    yield {
      line: 'reference',
      from: plain(row.from),
      to: plain(row.to),
      grade: row.grade,
      source: row.source,
      notedOn: row.noted_on,
      ...(row.note === null ? {} : { note: row.note }),
      ...(row.condition === null ? {} : { condition: row.condition }),
      ...(row.engine_ids === null ? {} : { engines: row.engine_ids }),
      ...(row.in_force_from === null ? {} : { inForceFrom: row.in_force_from }),
      ...(row.is_cut ? { isCut: true as const } : {}),
    };
}

interface ListingRow {
  readonly id: string;
  readonly part: PartRef;
  readonly engine_id: string;
  readonly place: string | null;
  readonly source: string;
  readonly stated_on: string;
  readonly built_from: string | null;
  readonly built_to: string | null;
}

async function* readListings(db: Database): AsyncGenerator<OpenLineOf<'listing'>> {
  const rows = paged<ListingRow>(
    async (after) =>
      (
        await sql<ListingRow>`
          select l.id, ${refOf('l.part_id')} as part, l.engine_id, l.place, l.source, l.stated_on::text, l.built_from, l.built_to
            from listing l where l.id > ${after} order by l.id limit ${PAGE}`.execute(db)
      ).rows,
  );
  for await (const row of rows)
    yield {
      line: 'listing',
      part: plain(row.part),
      engine: row.engine_id,
      ...(row.place === null ? {} : { place: row.place }),
      source: row.source,
      statedOn: row.stated_on,
      ...(row.built_from === null ? {} : { builtFrom: row.built_from }),
      ...(row.built_to === null ? {} : { builtTo: row.built_to }),
    };
}

async function readClassLists(db: Database): Promise<OpenLineOf<'class-list'>[]> {
  const rows = await db.selectFrom('class_list').selectAll().orderBy('id').execute();
  return rows.map(({ class_name, valid_from, valid_to, numbers, source }) => ({
    line: 'class-list',
    className: class_name,
    from: valid_from,
    ...(valid_to === null ? {} : { to: valid_to }),
    numbers,
    source,
  }));
}
