import { FACTS, type FactId, type FactSource } from '@brackenfell/core/facts/facts';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
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
