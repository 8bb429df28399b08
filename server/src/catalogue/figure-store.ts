import { sql, type Selectable } from 'kysely';
import { resolveFigures } from '@brackenfell/core/facts/resolve-figures';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Writing } from '../db/database.ts';
import type { FigureTable } from '../db/tables/catalogue.ts';
import { projectParts, projectPositions, type Ruling } from './projection-store.ts';
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
    await projectPositions(trx, await chooseFor(trx, 'position_id', page, false));
  }
}

/**
 * The same of parts alone, for who has many pages of them and gives the catalogue its version once. `justMade`: what all of them
 * are that were made just now, of which nothing was chosen before.
 */
export async function choosePartFigures(
  trx: Writing,
  partIds: readonly string[],
  { justMade }: { readonly justMade?: PartKind } = {},
): Promise<void> {
  const areNew = justMade !== undefined;
  for (let i = 0; i < partIds.length; i += BATCH) {
    const page = partIds.slice(i, i + BATCH);
    const ruling = await chooseFor(trx, 'part_id', page, areNew);
    const kindOf = areNew ? new Map(page.map((id) => [id, justMade])) : await readKinds(trx, page);
    await projectParts(trx, ruling, kindOf, areNew);
  }
}

async function readKinds(trx: Writing, partIds: readonly string[]): Promise<ReadonlyMap<string, PartKind>> {
  const { rows } = await sql<{ id: string; kind: PartKind }>`
    select p.* from unnest(${partIds}::bigint[]) as s (id)
      -- Each by the index, as below.
      cross join lateral (select id, kind from part where id = s.id offset 0) p`.execute(trx);
  return new Map(rows.map(({ id, kind }) => [id, kind]));
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

async function chooseFor(
  trx: Writing,
  subject: 'part_id' | 'position_id',
  ids: readonly string[],
  areNew: boolean,
): Promise<Ruling> {
  const own = sql`${sql.ref(subject)} = s.id`;
  // Each by the index, whatever the database believes of tables that have just grown: a list of a million is decided page by page.
  if (!areNew)
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
    select * from unnest(${chosen.map(({ figure }) => figure.id)}::bigint[], ${chosen.map(({ figure }) => figure.part_id)}::bigint[],
                         ${chosen.map(({ figure }) => figure.position_id)}::bigint[], ${chosen.map(({ rules }) => rules)}::boolean[])`.execute(
    trx,
  );
  const ruling = chosen.filter(({ rules }) => rules).map(({ figure }) => figure);
  const bySubject = groupBy(ruling, (figure) => figure[subject]!);
  return new Map([...bySubject].map(([id, own]) => [id, groupBy(own, ({ attribute }) => attribute)]));
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

interface Chosen {
  readonly figure: StoredFigure;
  readonly rules: boolean;
}

/** One fact's figures, resolved by core's ranking of sources. */
function choose(figures: readonly StoredFigure[]): readonly Chosen[] {
  const recorded = figures.map((figure) => ({
    value: figure.value,
    source: { rank: figure.source_rank, name: figure.source_name },
    readings: figure.readings,
    figure,
  }));
  const entry = resolveFigures(recorded);
  const figureOf = (source: { name: string; rank: string }, value: unknown): StoredFigure =>
    recorded.find(
      (r) =>
        r.source.name === source.name &&
        r.source.rank === source.rank &&
        JSON.stringify(r.value) === JSON.stringify(value),
    )!.figure;
  return [
    ...(entry?.ruling ?? []).map((r) => ({ figure: figureOf(r.source, r.value), rules: true })),
    ...(entry?.questioning ?? []).map((q) => ({ figure: figureOf(q.source, q.value), rules: false })),
  ];
}
