import { knowFact, type FactEntry, type FactSheet, type RecordedFactId } from '@brackenfell/core/facts/facts';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import { resolveFigures, type RecordedFigure } from '@brackenfell/core/facts/resolve-figures';
import type { Database } from '../db/database.ts';

/** Figures that would be recorded, and those that would not stand any more. */
export interface FigureChange {
  readonly added: readonly (RecordedFigure<unknown> & { readonly fact: RecordedFactId })[];
  readonly withdrawn: readonly string[];
}

/**
 * Sheets as they would be after changes, by part; `held` gives them as they are. Only the facts that are touched are settled
 * anew, by core's ranking of sources.
 */
export async function wouldBe(
  db: Database,
  scales: HeatScales,
  changes: ReadonlyMap<string, FigureChange>,
  held: (partId: string) => Promise<FactSheet>,
): Promise<Map<string, FactSheet>> {
  const ids = [...changes.keys()];
  if (ids.length === 0) return new Map();
  const recorded = await db
    .selectFrom('figure')
    .select(['id', 'part_id', 'attribute', 'value', 'source_rank', 'source_name', 'readings'])
    .where('part_id', 'in', ids)
    .where('withdrawn_at', 'is', null)
    .orderBy('id')
    .execute();
  const sheets = new Map<string, FactSheet>();
  for (const [partId, { added, withdrawn }] of changes) {
    const own = recorded.filter((figure) => figure.part_id === partId);
    const touched = new Set<RecordedFactId>([
      ...added.map(({ fact }) => fact),
      ...own.filter(({ id }) => withdrawn.includes(id)).map(({ attribute }) => attribute as RecordedFactId),
    ]);
    const facts = new Map<string, FactEntry<unknown>>(Object.entries(await held(partId)));
    for (const fact of touched) {
      const figures = [
        ...own
          .filter(({ id, attribute }) => attribute === fact && !withdrawn.includes(id))
          .map((figure): RecordedFigure<unknown> => ({
            value: figure.value,
            source: { rank: figure.source_rank, name: figure.source_name },
            readings: figure.readings,
          })),
        ...added.filter((figure) => figure.fact === fact),
      ];
      const entry = resolveFigures(figures);
      const known = (all: FactEntry<unknown>['ruling'] = []) =>
        all.flatMap(({ value, source }) => {
          const read = knowFact(fact, value, scales);
          return read === undefined ? [] : [{ value: read, source }];
        });
      const [ruling, questioning] = [known(entry?.ruling), known(entry?.questioning)];
      if (ruling.length + questioning.length === 0) facts.delete(fact);
      else facts.set(fact, questioning.length > 0 ? { ruling, questioning } : { ruling });
    }
    sheets.set(partId, Object.fromEntries(facts));
  }
  return sheets;
}
