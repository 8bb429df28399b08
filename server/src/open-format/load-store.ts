import { sql } from 'kysely';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { OpenLine, OpenLineOf, PartRef } from '@brackenfell/contract/open-catalogue';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { bumpCatalogueVersion } from '../catalogue/version-store.ts';
import type { Database, Writing } from '../db/database.ts';
import { lockAllClusters } from '../interchange/cluster-store.ts';
import { deriveWithin } from '../loading/complete-derived.ts';
import { figureRows } from '../loading/open-rows.ts';
import { engineRow, insertAll, positionRow, vehicleRows } from '../loading/rows.ts';
import { checkedLines, WrongLine, type RawLine } from './open-lines.ts';

const PAGE = 1000;

/** What later lines refer to. */
interface Loaded {
  readonly parts: Map<string, string>;
  readonly signs: Map<string, string>;
  readonly makers: Map<string, string>;
  readonly engines: Set<string>;
  readonly positionIds: string[];
}

const keyOf = ({ maker, number }: PartRef): string => `${maker}\u001f${number}`;

const EMPTY_OF = ['part', 'engine', 'heat_rating', 'maker_grammar', 'class_list'] as const;

/** Whether nothing is in the catalogue but names of makers. */
export async function isCatalogueEmpty(db: Database): Promise<boolean> {
  const found = await Promise.all(
    EMPTY_OF.map((table) =>
      db
        .selectFrom(table)
        .select(sql`1`.as('one'))
        .limit(1)
        .executeTakeFirst(),
    ),
  );
  return found.every((row) => row === undefined);
}

/**
 * Loads a catalogue of the open format into an empty one, in the caller's transaction, with all that follows from it: what
 * names are found by, which figures rule, who is called equal to whom. Gives how many lines there were.
 * Throws {@link WrongLine} at the first line that is wrong, and where the catalogue is not empty.
 */
export async function loadLines(
  trx: Writing,
  raw: AsyncIterable<RawLine>,
  step: (loaded: number) => Promise<void> = () => Promise.resolve(),
): Promise<number> {
  await lockAllClusters(trx);
  if (!(await isCatalogueEmpty(trx)))
    throw new WrongLine('The catalogue is not empty: a whole one is loaded into an empty one alone.');
  const loaded: Loaded = { parts: new Map(), signs: new Map(), makers: new Map(), engines: new Set(), positionIds: [] };
  let held: OpenLine[] = [];
  let read = 0;
  const settle = async () => {
    await loadAlike(trx, held, loaded).catch((error: unknown) => {
      throw keptOut(held[0]!, error);
    });
    held = [];
    await step(read);
  };
  for await (const line of checkedLines(raw)) {
    // Lines of one kind are written together; a kind refers only to those before it.
    if (held.length >= PAGE || (held[0] && held[0].line !== line.line)) await settle();
    held.push(line);
    read += 1;
  }
  await settle();
  await chooseFigures(trx, [...loaded.parts.values()], loaded.positionIds);
  await deriveWithin(trx);
  await bumpCatalogueVersion(trx);
  return read;
}

const INTEGRITY = '23';
/** What no line shows by itself and the database refuses: two that are of one thing, a kit of more than there are. */
function keptOut({ line }: OpenLine, error: unknown): unknown {
  const { code = '', detail, message } = error as { code?: string; detail?: string; message?: string };
  return code.startsWith(INTEGRITY) ? new WrongLine(`Of the lines of kind ${line}: ${detail ?? message ?? ''}`) : error;
}

/** The same in one transaction of its own: all of it or nothing. */
export const loadOpen = (db: Database, lines: AsyncIterable<RawLine>): Promise<number> =>
  db.transaction().execute((trx) => loadLines(trx, lines));

const of = <K extends OpenLine['line']>(lines: readonly OpenLine[], kind: K) =>
  lines.filter((line): line is OpenLineOf<K> => line.line === kind);

/** Lines of one kind. */
async function loadAlike(trx: Writing, lines: readonly OpenLine[], loaded: Loaded): Promise<void> {
  const kind = lines[0]?.line;
  switch (kind) {
    case undefined:
    case 'catalogue':
      return;
    case 'maker': {
      const makers = of(lines, kind).map(({ id, name }) => ({ id, name }));
      // A maker that a list named before is held already.
      await trx
        .insertInto('maker')
        .values(makers)
        .onConflict((conflict) => conflict.doNothing())
        .execute();
      for (const { id, name } of makers) {
        if (loaded.makers.has(id)) throw new WrongLine(`${id} stands on two lines.`);
        loaded.makers.set(id, name);
      }
      return;
    }
    case 'heat-scale':
      return insertAll(
        trx,
        'heat_rating',
        of(lines, kind).flatMap(({ maker, ratings }) =>
          ratings.map(({ code, indexBar }, ordinal) => ({
            maker_id: stands(loaded.makers, maker),
            ordinal,
            code,
            index_bar: indexBar,
          })),
        ),
      );
    case 'numbering': {
      const grammars = of(lines, kind).map(({ grammar }) => grammar);
      for (const { maker, significant } of grammars) loaded.signs.set(maker, significant);
      return insertAll(
        trx,
        'maker_grammar',
        grammars.map((grammar) => ({
          maker_id: stands(loaded.makers, grammar.maker),
          grammar: JSON.stringify(grammar),
        })),
      );
    }
    case 'part':
      return loadParts(trx, of(lines, kind), loaded);
    case 'kit':
      return insertAll(
        trx,
        'kit_part',
        of(lines, kind).flatMap(({ kit, holds }) =>
          holds.map(({ part, quantity }) => ({ kit_id: idOf(loaded, kit), part_id: idOf(loaded, part), quantity })),
        ),
      );
    case 'engine':
      for (const engine of of(lines, kind)) await loadEngine(trx, engine, loaded);
      return;
    case 'reference':
      return insertAll(
        trx,
        'reference',
        of(lines, kind).map((r) => ({
          from_part_id: idOf(loaded, r.from),
          to_part_id: idOf(loaded, r.to),
          grade: r.grade,
          source: r.source,
          noted_on: r.notedOn,
          note: r.note ?? null,
          condition: r.condition ?? null,
          engine_ids: r.engines?.map((engine) => stands(loaded.engines, engine)) ?? null,
          in_force_from: r.inForceFrom ?? null,
          rejected_at: r.isCut ? new Date() : null,
          rejected_by: null,
        })),
      );
    case 'listing':
      return insertAll(
        trx,
        'listing',
        of(lines, kind).map((l) => ({
          part_id: idOf(loaded, l.part),
          engine_id: stands(loaded.engines, l.engine),
          place: l.place ?? null,
          source: l.source,
          stated_on: l.statedOn,
          built_from: l.builtFrom ?? null,
          built_to: l.builtTo ?? null,
        })),
      );
    case 'class-list':
      return insertAll(
        trx,
        'class_list',
        of(lines, kind).map((list) => ({
          class_name: list.className,
          valid_from: list.from,
          valid_to: list.to ?? null,
          numbers: list.numbers,
          source: list.source,
        })),
      );
  }
}

function idOf({ parts }: Loaded, part: PartRef): string {
  const id = parts.get(keyOf(part));
  if (id === undefined) throw new WrongLine(`${part.maker} ${part.number} is spoken of and stands on no line before.`);
  return id;
}

/** What a line is about, which stands on a line before it. */
function stands(held: { has(id: string): boolean }, id: string): string {
  if (!held.has(id)) throw new WrongLine(`${id} is spoken of and stands on no line before.`);
  return id;
}

async function loadParts(trx: Writing, parts: readonly OpenLineOf<'part'>[], loaded: Loaded): Promise<void> {
  const added = await trx
    .insertInto('part')
    .values(parts.map(({ maker, kind }) => ({ maker_id: stands(loaded.makers, maker), kind })))
    .returning('id')
    .execute();
  const ids = added.map(({ id }) => id);
  parts.forEach(({ maker, names }, i) => {
    const key = keyOf({ maker, number: names[0]!.printed });
    if (loaded.parts.has(key)) throw new WrongLine(`${maker} ${names[0]!.printed} stands on two lines.`);
    loaded.parts.set(key, ids[i]!);
  });
  const each = parts.map((part, i) => ({ ...part, id: ids[i]! }));
  await insertAll(
    trx,
    'part_name',
    each.flatMap(({ id, maker, names }) =>
      names.map(({ as, printed }) => ({
        part_id: id,
        maker_id: maker,
        kind: as,
        printed,
        normal_form: normalForm(printed, loaded.signs.get(maker)),
        fold_key: foldKey(printed, loaded.signs.get(maker)),
      })),
    ),
  );
  await insertAll(
    trx,
    'figure',
    each.flatMap(({ id, figures }) => figureRows({ part_id: id, position_id: null }, figures ?? [])),
  );
  await insertAll(
    trx,
    'price',
    each.flatMap(({ id, price }) =>
      price ? [{ part_id: id, each_minor: price.eachMinor, pack_of: price.packOf ?? 1 }] : [],
    ),
  );
  await insertAll(
    trx,
    'sundry',
    each.flatMap(({ id, sundry }) => (sundry ? [{ part_id: id, ...sundry }] : [])),
  );
}

async function loadEngine(trx: Writing, engine: OpenLineOf<'engine'>, loaded: Loaded): Promise<void> {
  await trx
    .insertInto('engine')
    .values(engineRow(engine, loaded.makers.get(stands(loaded.makers, engine.maker))!))
    .execute();
  const positions = await trx
    .insertInto('engine_position')
    .values(engine.positions.map((one) => positionRow(engine.id, one)))
    .returning('id')
    .execute();
  loaded.engines.add(engine.id);
  loaded.positionIds.push(...positions.map(({ id }) => id));
  await insertAll(
    trx,
    'figure',
    positions.flatMap(({ id }, i) => figureRows({ part_id: null, position_id: id }, engine.positions[i]!.figures)),
  );
  await insertAll(trx, 'vehicle', vehicleRows(engine));
  await insertAll(
    trx,
    'named_number',
    engine.named.map(({ part, kind, place, note }) => ({
      engine_id: engine.id,
      part_id: idOf(loaded, part),
      kind,
      place: place ?? null,
      note: note ?? null,
    })),
  );
}
