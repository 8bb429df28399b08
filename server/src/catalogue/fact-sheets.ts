import type { FactEntry, FactId, FactSheet, Sourced } from '@brackenfell/core/fitment/facts';
import type { PlugJudgement } from '@brackenfell/core/fitment/judge-plug';
import type { HeatScale } from '@brackenfell/core/heat-range/heat-scale';
import type { Database } from '../db/database.ts';
import { decodeFigure, type HeatScales } from './figure-codec.ts';

type SheetDraft = Record<string, { ruling: Sourced<unknown>[]; questioning?: Sourced<unknown>[] }>;

/** What the catalogue held at one version: sheets are fetched as they are asked for and kept while the version stands. */
interface Held {
  readonly version: string;
  readonly scales: HeatScales;
  readonly plugs: Map<string, FactSheet>;
  readonly positions: Map<string, FactSheet>;
  /** Judgements of plugs at positions under this version, by all that they depend on. */
  readonly judgements: Map<string, PlugJudgement>;
}

/** Past this many kept judgements all are dropped: a few hundred trays, some tens of megabytes. */
const MOST_JUDGEMENTS = 20_000;

/** A judgement kept under its key, or made now and kept. */
export function keptJudgement({ judgements }: Held, key: string, judge: () => PlugJudgement): PlugJudgement {
  const kept = judgements.get(key);
  if (kept) return kept;
  if (judgements.size >= MOST_JUDGEMENTS) judgements.clear();
  const made = judge();
  judgements.set(key, made);
  return made;
}

/**
 * Fact sheets of plugs and positions, kept in memory by catalogue version. The version row is read before anything else,
 * so a sheet is never newer than the answer it goes into by more than the change that bumps the version.
 */
export class FactSheets {
  #held: Held | undefined;

  async at(db: Database): Promise<Held> {
    const { version } = await db.selectFrom('catalogue_version').select('version').executeTakeFirstOrThrow();
    if (this.#held?.version !== version) {
      this.#held = {
        version,
        scales: await readScales(db),
        plugs: new Map(),
        positions: new Map(),
        judgements: new Map(),
      };
    }
    return this.#held;
  }

  /** Sheets of the given plugs; a plug without figures has an empty one. */
  async plugs(db: Database, held: Held, partIds: readonly string[]): Promise<Map<string, FactSheet>> {
    const missing = partIds.filter((id) => !held.plugs.has(id));
    if (missing.length > 0) {
      const [figures, numbers] = await Promise.all([
        readSheets(db, 'part_id', missing, held.scales),
        readPrintedNumbers(db, missing),
      ]);
      for (const id of missing) held.plugs.set(id, { ...figures.get(id), ...numbers.get(id) });
    }
    return held.plugs;
  }

  /** Sheets of what the given engine positions ask. */
  async positions(db: Database, held: Held, positionIds: readonly string[]): Promise<Map<string, FactSheet>> {
    const missing = positionIds.filter((id) => !held.positions.has(id));
    if (missing.length > 0) {
      const sheets = await readSheets(db, 'position_id', missing, held.scales);
      for (const id of missing) held.positions.set(id, sheets.get(id) ?? {});
    }
    return held.positions;
  }
}

async function readScales(db: Database): Promise<HeatScales> {
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

async function readSheets(
  db: Database,
  subject: 'part_id' | 'position_id',
  ids: readonly string[],
  scales: HeatScales,
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
  const drafts = new Map<string, SheetDraft>();
  for (const row of rows) {
    const fact = row.attribute as FactId;
    const value = decodeFigure(fact, row, scales);
    if (value === undefined) continue;
    const draft = drafts.get(row.subject!) ?? {};
    drafts.set(row.subject!, draft);
    const entry = (draft[fact] ??= { ruling: [] });
    const sourced = { value, source: { rank: row.source_rank, name: row.source_name } };
    if (row.rules) entry.ruling.push(sourced);
    else (entry.questioning ??= []).push(sourced);
  }
  return drafts;
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
