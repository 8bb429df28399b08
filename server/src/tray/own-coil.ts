import type { FactEntry, FactId, FactSheet } from '@brackenfell/core/facts/facts';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import { readPartSheets } from '../catalogue/fact-store.ts';
import type { Database } from '../db/database.ts';
import { listNamedNumbers } from '../engine/store.ts';
import { readEdgesAround } from '../interchange/store.ts';

/** What is known of the coil that the engine maker names for each place of a plug: what a spark can be reckoned against. */
export type OwnCoils = (plugPlace: string) => FactSheet;

/** A place's own coils where there are such (`intake` and `intake pack`), else those of the whole engine. */
const servingPlace = <T extends { readonly place: string | null }>(named: readonly T[], plugPlace: string): T[] => {
  const own = named.filter(({ place }) => place?.startsWith(plugPlace));
  return own.length > 0 ? own : [...named];
};

/** Figures of several coils, each said once: where revisions differ both rule. */
function together(sheets: readonly FactSheet[]): FactSheet {
  const joined: Partial<Record<FactId, FactEntry<unknown>>> = {};
  for (const sheet of sheets)
    for (const [fact, entry] of Object.entries(sheet) as [FactId, FactEntry<unknown>][]) {
      if (!fact.startsWith('coil.')) continue;
      const known = joined[fact]?.ruling ?? [];
      const more = entry.ruling.filter(
        ({ value }) => !known.some((one) => JSON.stringify(one.value) === JSON.stringify(value)),
      );
      joined[fact] = { ruling: [...known, ...more] };
    }
  return joined as FactSheet;
}

/** Reads the coils an engine is named for, by the number itself and by those that are the same part under another. */
export async function readOwnCoils(db: Database, scales: HeatScales, engineId: string): Promise<OwnCoils> {
  const named = await listNamedNumbers(db, engineId, ['coil']);
  if (named.length === 0) return () => ({});
  const edges = await readEdgesAround(
    db,
    named.map(({ part_id }) => part_id),
  );
  const sameAs = (partId: string) => [
    partId,
    ...edges.flatMap(({ grade, from, to }) => (grade === 'same' && from === partId ? [to] : [])),
  ];
  const sheets = await readPartSheets(db, scales, [...new Set(named.flatMap(({ part_id }) => sameAs(part_id)))]);
  return (plugPlace) =>
    together(
      servingPlace(named, plugPlace).flatMap(({ part_id }) => sameAs(part_id).map((id) => sheets.get(id) ?? {})),
    );
}
