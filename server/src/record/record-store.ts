import { sql } from 'kysely';
import { stable } from '@brackenfell/core/words/stable';
import type { OpenFigure, OpenLineOf } from '@brackenfell/contract/open-catalogue';
import type { RecordKind, RecordLine } from '@brackenfell/contract/record';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import type { Writing } from '../db/database.ts';
import { figureRows } from '../loading/open-rows.ts';
import { engineRow, insertAll, NOT_CHOSEN, positionRow, vehicleRows } from '../loading/rows.ts';
import { findMaker, findParts, partKey, readLine, readRatedOn } from './store.ts';

type EngineLine = OpenLineOf<'engine'>;
type Position = EngineLine['positions'][number];

const ALL = 1_000_000;

/** Puts a record in the place of what stands. What stays as it was is not written; a figure is never overwritten. */
export async function putRecord(trx: Writing, line: RecordLine): Promise<void> {
  if (line.line === 'engine') await putEngine(trx, line);
  else if (line.line === 'heat-scale') await putScale(trx, line);
  else {
    const { grammar } = line;
    const row = { maker_id: grammar.maker, grammar: JSON.stringify(grammar) as never };
    await trx
      .insertInto('maker_grammar')
      .values(row)
      .onConflict((conflict) => conflict.column('maker_id').doUpdateSet(row))
      .execute();
    await bumpCatalogueVersion(trx);
  }
}

async function putScale(trx: Writing, { maker, ratings }: Omit<OpenLineOf<'heat-scale'>, 'line'>): Promise<void> {
  await trx.deleteFrom('heat_rating').where('maker_id', '=', maker).execute();
  await insertAll(
    trx,
    'heat_rating',
    ratings.map(({ code, indexBar }, ordinal) => ({ maker_id: maker, ordinal, code, index_bar: indexBar })),
  );
  await bumpCatalogueVersion(trx);
  await chooseFigures(trx, await readRatedOn(trx, maker, ALL), []);
}

async function putEngine(trx: Writing, line: EngineLine): Promise<void> {
  const maker = await findMaker(trx, line.maker);
  const row = engineRow(line, maker!.name);
  await trx
    .insertInto('engine')
    .values(row)
    .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
    .execute();
  await putVehicles(trx, line);
  await putNamed(trx, line);
  await chooseFigures(trx, [], await putPositions(trx, line));
}

async function putVehicles(trx: Writing, line: EngineLine): Promise<void> {
  const held = await trx.selectFrom('vehicle').selectAll().where('engine_id', '=', line.id).orderBy('id').execute();
  const wanted = vehicleRows(line);
  const told = (row: { make: string; model: string; built_from: number; built_to: number | null }) =>
    `${row.make}|${row.model}|${row.built_from}|${row.built_to ?? ''}`;
  const { gone, come } = apart(held, wanted, told, told);
  if (gone.length > 0)
    await trx
      .deleteFrom('vehicle')
      .where(
        'id',
        'in',
        gone.map(({ id }) => id),
      )
      .execute();
  await insertAll(trx, 'vehicle', come);
  // One whose years or model were mended; the engine’s code is part of its words.
  for (const { words, ...row } of wanted)
    await trx
      .updateTable('vehicle')
      .set({ words })
      .where('engine_id', '=', line.id)
      .where('make', '=', row.make)
      .where('model', '=', row.model)
      .where('built_from', '=', row.built_from)
      .where('words', '!=', words)
      .execute();
}

async function putNamed(trx: Writing, { id, named }: EngineLine): Promise<void> {
  const parts = await findParts(
    trx,
    named.map(({ part }) => part),
  );
  await trx.deleteFrom('named_number').where('engine_id', '=', id).execute();
  await insertAll(
    trx,
    'named_number',
    named.map(({ part, kind, place, note }) => ({
      engine_id: id,
      part_id: parts.get(partKey(part))!,
      kind,
      place: place ?? null,
      note: note ?? null,
    })),
  );
}

const placeOf = ({
  kind,
  cylinder,
  place,
  build,
}: Pick<Position, 'kind' | 'cylinder' | 'place'> & { build?: string | null | undefined }) =>
  `${kind} ${cylinder} ${place} ${build ?? ''}`;

/** The ids of all places that stand afterwards. A place that is gone is gone with its figures; the history has them. */
async function putPositions(trx: Writing, { id: engineId, positions }: EngineLine): Promise<string[]> {
  const held = await trx
    .selectFrom('engine_position')
    .select(['id', 'kind', 'cylinder', 'place', 'label', 'build'])
    .where('engine_id', '=', engineId)
    .orderBy('id')
    .execute();
  const { gone, come } = apart(held, positions, placeOf, placeOf);
  if (gone.length > 0) await sql`select remove_places(${gone.map(({ id }) => id)}::bigint[])`.execute(trx);
  const ids = new Map(held.filter((one) => !gone.includes(one)).map((one) => [placeOf(one), one.id]));
  if (come.length > 0) {
    const added = await trx
      .insertInto('engine_position')
      .values(come.map((one) => positionRow(engineId, one)))
      .returning('id')
      .execute();
    come.forEach((one, i) => ids.set(placeOf(one), added[i]!.id));
  }
  for (const position of positions) {
    const id = ids.get(placeOf(position))!;
    await trx
      .updateTable('engine_position')
      .set({ label: position.label, ...NOT_CHOSEN })
      .where('id', '=', id)
      .execute();
    await putFigures(trx, id, position.figures);
  }
  return [...ids.values()];
}

/** Figures that are not stated any more are withdrawn; one that was and is stated again stands again; new ones are recorded. */
async function putFigures(trx: Writing, positionId: string, stated: readonly OpenFigure[]): Promise<void> {
  const held = await trx
    .selectFrom('figure')
    .select(['id', 'attribute', 'value', 'source_rank', 'source_name', 'readings', 'withdrawn_at'])
    .where('position_id', '=', positionId)
    .orderBy('id')
    .execute();
  const ofHeld = (row: (typeof held)[number]) =>
    stable([row.attribute, row.value, row.source_rank, row.source_name, row.readings]);
  const ofStated = ({ fact, value, rank, source, readings }: OpenFigure) =>
    stable([fact, value, rank, source, readings ?? 1]);
  const standing = held.filter(({ withdrawn_at }) => withdrawn_at === null);
  const { gone, come } = apart(standing, stated, ofHeld, ofStated);
  const before = held.filter(({ withdrawn_at }) => withdrawn_at !== null);
  const { gone: stayGone, come: fresh } = apart(before, come, ofHeld, ofStated);
  await setStanding(trx, gone, false);
  await setStanding(
    trx,
    before.filter((one) => !stayGone.includes(one)),
    true,
  );
  await insertAll(trx, 'figure', figureRows({ part_id: null, position_id: positionId }, fresh));
}

async function setStanding(trx: Writing, figures: readonly { readonly id: string }[], stands: boolean): Promise<void> {
  if (figures.length === 0) return;
  await trx
    .updateTable('figure')
    .set({ withdrawn_at: stands ? null : sql`now()` })
    .where(
      'id',
      'in',
      figures.map(({ id }) => id),
    )
    .execute();
}

/** What stands and is not wanted, and what is wanted and does not stand; each as often as it is so. */
function apart<H, W>(
  held: readonly H[],
  wanted: readonly W[],
  ofHeld: (one: H) => string,
  ofWanted: (one: W) => string,
): { readonly gone: H[]; readonly come: W[] } {
  const left = [...held];
  const come = wanted.filter((one) => {
    const at = left.findIndex((other) => ofHeld(other) === ofWanted(one));
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
  return { gone: left, come };
}

/** Whether something besides the catalogue's own record speaks of it. */
export async function isSpokenFor(trx: Writing, kind: RecordKind, key: string): Promise<boolean> {
  if (kind !== 'engine') return false;
  const { rows } = await sql<{ spoken: boolean }>`
    select exists (select from slip where engine_id = ${key}) or exists (select from garage_vehicle where engine_id = ${key})
        or exists (select from listing where engine_id = ${key}) as spoken`.execute(trx);
  return rows[0]!.spoken;
}

/** Takes a record out whole; the history has it. */
export async function removeRecord(trx: Writing, kind: RecordKind, key: string): Promise<void> {
  if (kind === 'heat-scale') await putScale(trx, { maker: key, ratings: [] });
  else if (kind === 'numbering') await trx.deleteFrom('maker_grammar').where('maker_id', '=', key).execute();
  else {
    const held = await readLine(trx, kind, key);
    if (held?.line !== 'engine') return;
    await putVehicles(trx, { ...held, vehicles: [] });
    await putNamed(trx, { ...held, named: [] });
    await putPositions(trx, { ...held, positions: [] });
    await trx.deleteFrom('engine').where('id', '=', key).execute();
  }
  await bumpCatalogueVersion(trx);
}
