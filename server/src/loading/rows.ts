import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import type { EngineBuild, EngineTraits } from '@brackenfell/core/identification/traits';
import { FACTS, type FactId, type FactSource } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { EngineNote } from '@brackenfell/contract/engine-plan';
import type { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import type { Writing } from '../db/database.ts';

const BATCH = 500;

/** A number as the file tells it from others: with every sign that one of its makers declares significant. */
export const within = (file: CatalogueFile): ((number: string) => string) => {
  const signs = [...new Set(file.grammars.flatMap(({ significant }) => [...significant]))].join('');
  return (number) => normalForm(number, signs);
};

export type Engine = CatalogueFile['engines'][number];

/** The numbers an engine maker names, each with the kind of part that is ordered by it. */
export const orderNumbers = (engine: Engine) => [
  ...engine.oeNumbers.map((oe) => ({ ...oe, kind: 'plug' as const })),
  ...engine.needs.flatMap(({ kind, place, oeNumbers }) => oeNumbers.map((oe) => ({ place, ...oe, kind }))),
];

/** An engine as its row, whichever file it comes from. */
export const engineRow = (engine: EngineStated, makerName: string) => ({
  id: engine.id,
  maker_id: engine.maker,
  code: engine.code,
  summary: engine.summary,
  layout: engine.layout,
  visits: engine.visits,
  cautions: JSON.stringify(engine.cautions) as unknown as string[],
  words: `${makerName} ${engine.code} ${engine.summary}`.toLowerCase(),
  traits: JSON.stringify(engine.traits) as unknown as EngineTraits,
  builds: JSON.stringify(engine.builds) as unknown as EngineBuild[],
  notes: JSON.stringify(engine.notes) as unknown as EngineNote[],
  plan: engine.plan ? (JSON.stringify(engine.plan) as unknown as EnginePlan) : null,
});
type EngineStated = Pick<
  Engine,
  'id' | 'maker' | 'code' | 'summary' | 'layout' | 'visits' | 'cautions' | 'traits' | 'builds' | 'notes' | 'plan'
>;

/** Vehicles an engine sits in, as their rows. */
export const vehicleRows = ({ id, code, vehicles }: Pick<Engine, 'id' | 'code' | 'vehicles'>) =>
  vehicles.map(({ make, model, from, to }) => ({
    engine_id: id,
    make,
    model,
    built_from: from,
    built_to: to ?? null,
    words: `${make} ${model} ${code} ${from} ${to ?? ''}`.toLowerCase(),
  }));

/** The typed columns of a place, before its figures are chosen. */
export const NOT_CHOSEN = {
  thread_diameter_mm: null,
  thread_pitch_mm: null,
  reach_low_mm: null,
  reach_high_mm: null,
  seat: null,
  gap_low_mm: null,
  gap_high_mm: null,
} as const;

interface PositionStated {
  readonly kind: PartKind;
  readonly cylinder: number;
  readonly place: string;
  readonly label: string;
  readonly build?: string | undefined;
}

/** A place of an engine as its row. */
export const positionRow = (engineId: string, { kind, cylinder, place, label, build }: PositionStated) => ({
  engine_id: engineId,
  kind,
  cylinder,
  place,
  label,
  build: build ?? null,
  ...NOT_CHOSEN,
});

export type Filled =
  | 'heat_rating'
  | 'maker_grammar'
  | 'part_name'
  | 'reference'
  | 'listing'
  | 'figure'
  | 'stock'
  | 'price'
  | 'vehicle'
  | 'named_number'
  | 'class_list'
  | 'sundry'
  | 'kit_part';

export async function insertAll(trx: Writing, table: Filled, rows: readonly object[]): Promise<void> {
  for (let i = 0; i < rows.length; i += BATCH) {
    await trx
      .insertInto(table)
      .values(rows.slice(i, i + BATCH))
      .execute();
  }
}

export type Subject = { part_id: string; position_id: null } | { part_id: null; position_id: string };

export function figureRows(subject: Subject, facts: object, source: FactSource, readings = 1) {
  return Object.entries(facts)
    .filter(([, value]) => value !== undefined)
    .map(([attribute, value]) => {
      if (!(attribute in FACTS)) throw new Error(`${attribute} is not a fact the checks know.`);
      return {
        ...subject,
        attribute: attribute as FactId,
        value: JSON.stringify(value),
        source_rank: source.rank,
        source_name: source.name,
        readings,
        withdrawn_at: null,
      };
    });
}
