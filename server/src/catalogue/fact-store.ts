import { sql } from 'kysely';
import {
  knowFact,
  type FactEntry,
  type FactId,
  type FactSheet,
  type Sourced,
  type SourceRank,
} from '@brackenfell/core/facts/facts';
import type { HeatScale } from '@brackenfell/core/heat-range/heat-scale';
import type { Database } from '../db/database.ts';
import type { StoredKind } from '../db/tables/catalogue.ts';
import { type HeatScales } from '@brackenfell/core/facts/fact';

interface SharedFigure {
  readonly fact: FactId;
  readonly entry: FactEntry<unknown> | undefined;
}

/** Figures met before, by their telling. Most plugs share theirs with many others; what is held in memory holds each once. */
export type SharedEntries = Map<string, SharedFigure>;

export async function readHeatScales(db: Database): Promise<HeatScales> {
  const rows = await db
    .selectFrom('heat_rating')
    .innerJoin('maker', 'maker.id', 'heat_rating.maker_id')
    .select(['heat_rating.maker_id', 'maker.name', 'heat_rating.code', 'heat_rating.index_bar'])
    .orderBy('heat_rating.maker_id')
    .orderBy('heat_rating.ordinal')
    .execute();
  const scales = new Map<string, HeatScale & { ratings: { code: string; indexBar: number }[] }>();
  for (const row of rows) {
    const scale = scales.get(row.maker_id) ?? { maker: row.name, ratings: [] };
    scale.ratings.push({ code: row.code, indexBar: row.index_bar });
    scales.set(row.maker_id, scale);
  }
  return scales;
}

/** What a part is, and what it is called at the counter. */
export interface PartTitle {
  readonly kind: StoredKind;
  readonly printed: string;
  readonly maker: string;
}

/** All that is known of the given parts; one of which nothing is known has an empty sheet. */
export async function readPartSheets(
  db: Database,
  scales: HeatScales,
  partIds: readonly string[],
  shared: SharedEntries = new Map(),
): Promise<Map<string, FactSheet>> {
  if (partIds.length === 0) return new Map();
  const [figures, numbers] = await Promise.all([
    readSheets(db, 'part_id', partIds, scales, shared),
    readPrintedNumbers(db, partIds),
  ]);
  return new Map(partIds.map((id) => [id, { ...figures.get(id), ...numbers.get(id) }]));
}

/** What the given engine positions ask. */
export async function readPositionSheets(
  db: Database,
  scales: HeatScales,
  positionIds: readonly string[],
): Promise<Map<string, FactSheet>> {
  const sheets = await readSheets(db, 'position_id', positionIds, scales, new Map());
  return new Map(positionIds.map((id) => [id, sheets.get(id) ?? {}]));
}

async function readSheets(
  db: Database,
  subject: 'part_id' | 'position_id',
  ids: readonly string[],
  scales: HeatScales,
  shared: SharedEntries,
): Promise<Map<string, FactSheet>> {
  // One row a subject: of the time that thousands of plugs take, most would go to some twenty rows of each.
  const { rows } = await sql<{ subject: string; told: string }>`
    select c.${sql.ref(subject)} as subject,
           string_agg(concat_ws(${SEPARATOR}, f.attribute, c.rules::text, f.value::text, f.source_rank, f.source_name),
                      ${FIGURES_APART} order by f.id) as told
      from chosen_figure c join figure f on f.id = c.figure_id
     where c.${sql.ref(subject)} = any(${ids}::bigint[])
     group by 1`.execute(db);
  return new Map(rows.map((row) => [row.subject, sheetOf(row.told, scales, shared)]));
}

/** A sheet of the figures that the database told of one subject. */
function sheetOf(all: string, scales: HeatScales, shared: SharedEntries): FactSheet {
  const sheet: Record<string, FactEntry<unknown>> = {};
  for (const told of all.split(FIGURES_APART)) {
    let figure = shared.get(told);
    if (figure === undefined) {
      // Of its own: a piece of a long text holds the whole of it in memory.
      const own = Buffer.from(told).toString();
      figure = readTold(own, scales);
      shared.set(own, figure);
    }
    const { fact, entry } = figure;
    if (entry !== undefined) sheet[fact] = sheet[fact] ? together(sheet[fact], entry) : entry;
  }
  return sheet;
}

/** Between the parts of a figure told in one line, and between figures: characters no text of a catalogue has. */
const SEPARATOR = '\u001f';
const FIGURES_APART = '\u001e';

/** Reads a figure that the database told in one line; no entry where its heat code is on no known scale. */
function readTold(told: string, scales: HeatScales): SharedFigure {
  const [fact, rules, recorded, rank, name] = told.split(SEPARATOR) as [FactId, string, string, string, string];
  const value = knowFact(fact, JSON.parse(recorded), scales);
  if (value === undefined) return { fact, entry: undefined };
  const sourced: Sourced<unknown> = { value, source: { rank: rank as SourceRank, name } };
  return { fact, entry: rules === 'true' ? { ruling: [sourced] } : { ruling: [], questioning: [sourced] } };
}

/** Two entries of one fact in one: figures of one rank that disagree, or a doubt beside what rules. */
function together(a: FactEntry<unknown>, b: FactEntry<unknown>): FactEntry<unknown> {
  const ruling = [...a.ruling, ...b.ruling];
  const questioning = [...(a.questioning ?? []), ...(b.questioning ?? [])];
  return questioning.length > 0 ? { ruling, questioning } : { ruling };
}

/** Class lists are read against what is printed on the plug: its catalogue number and its stamping. */
async function readPrintedNumbers(db: Database, partIds: readonly string[]): Promise<Map<string, FactSheet>> {
  const rows = await db
    .selectFrom('part_name')
    .innerJoin('part', 'part.id', 'part_name.part_id')
    .innerJoin('maker', 'maker.id', 'part.maker_id')
    .select(['part_name.part_id', 'part_name.normal_form', 'maker.name'])
    .where(sql<boolean>`part_name.part_id = any(${partIds}::bigint[])`)
    .where('part_name.kind', 'in', ['catalogue', 'stamping'])
    .orderBy('part_name.id')
    .execute();
  const sheets = new Map<string, { 'plug.printedNumbers': FactEntry<readonly string[]> }>();
  for (const { part_id: id, normal_form: number, name } of rows) {
    const before = sheets.get(id)?.['plug.printedNumbers'].ruling[0]?.value ?? [];
    const source = { rank: 'part-maker', name } as const;
    sheets.set(id, { 'plug.printedNumbers': { ruling: [{ value: [...before, number], source }] } });
  }
  return sheets;
}

/** The catalogue numbers and makers of the given parts. */
export async function readPartTitles(db: Database, partIds: readonly string[]): Promise<Map<string, PartTitle>> {
  if (partIds.length === 0) return new Map();
  const rows = await db
    .selectFrom('part')
    .innerJoin('maker', 'maker.id', 'part.maker_id')
    .innerJoin('part_name', (join) =>
      join.onRef('part_name.part_id', '=', 'part.id').on('part_name.kind', '=', 'catalogue'),
    )
    .select(['part.id', 'part.kind', 'part_name.printed', 'maker.name as maker'])
    .where(sql<boolean>`part.id = any(${partIds}::bigint[])`)
    .execute();
  return new Map(rows.map(({ id, ...title }) => [id, title]));
}

/** Plugs whose facts hold from a later version of the catalogue. */
export async function readPlugsChangedSince(db: Database, version: string): Promise<string[]> {
  const rows = await db
    .selectFrom('plug_spec')
    .select('part_id')
    .where('catalogue_version', '>', version)
    .orderBy('part_id')
    .execute();
  return rows.map((row) => row.part_id);
}

/** The same of coils, sets of leads, caps and rotors. */
export async function readOthersChangedSince(db: Database, version: string): Promise<string[]> {
  const changed = (table: 'coil_spec' | 'lead_set' | 'distributor_spec') =>
    db.selectFrom(table).select('part_id').where('catalogue_version', '>', version);
  const rows = await changed('coil_spec').unionAll(changed('lead_set')).unionAll(changed('distributor_spec')).execute();
  return rows.map((row) => row.part_id);
}
