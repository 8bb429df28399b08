import type { FactEntry, FactId, FactSheet, Sourced } from '@brackenfell/core/fitment/facts';
import type { HeatScale } from '@brackenfell/core/heat-range/heat-scale';
import type { Database } from '../db/database.ts';
import { decodeFigure, type HeatScales } from './figure-codec.ts';

/** Entries met before. Most plugs share theirs with many others; a catalogue held in memory holds each once. */
export type SharedEntries = Map<string, FactEntry<unknown>>;

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

/** All that is known of the given plugs; one of which nothing is known has an empty sheet. */
export async function readPlugSheets(
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
  const rows = await db
    .selectFrom('chosen_figure')
    .innerJoin('figure', 'figure.id', 'chosen_figure.figure_id')
    .select([
      `chosen_figure.${subject} as subject`,
      'chosen_figure.rules',
      'figure.attribute',
      'figure.low',
      'figure.high',
      'figure.code',
      'figure.unit',
      'figure.source_rank',
      'figure.source_name',
    ])
    .where(`chosen_figure.${subject}`, 'in', ids)
    .orderBy('figure.id')
    .execute();
  const sheets = new Map<string, Record<string, FactEntry<unknown>>>();
  for (const row of rows) {
    const { attribute, rules, low, high, code, source_rank: rank, source_name: name } = row;
    const key = `${attribute}|${String(rules)}|${String(low)}|${String(high)}|${String(code)}|${rank}|${name}`;
    let entry = shared.get(key);
    if (entry === undefined) {
      const value = decodeFigure(attribute as FactId, row, scales);
      if (value === undefined) continue;
      const sourced: Sourced<unknown> = { value, source: { rank, name } };
      entry = rules ? { ruling: [sourced] } : { ruling: [], questioning: [sourced] };
      shared.set(key, entry);
    }
    const sheet = sheets.get(row.subject!) ?? {};
    sheets.set(row.subject!, sheet);
    sheet[attribute] = sheet[attribute] ? together(sheet[attribute], entry) : entry;
  }
  return sheets;
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
    .where('part_name.part_id', 'in', partIds)
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
