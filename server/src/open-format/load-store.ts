import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { OpenLine, type OpenLineOf, type PartRef } from '@brackenfell/contract/open-catalogue';
import { chooseFigures } from '../catalogue/figure-store.ts';
import type { Database, Writing } from '../db/database.ts';
import { completeDerived } from '../loading/complete-derived.ts';
import { figureRows } from '../loading/open-rows.ts';
import { engineRow, insertAll, positionRow, vehicleRows } from '../loading/rows.ts';

/** A file of the open format that cannot be loaded, with the line that is wrong. */
export class WrongLine extends Error {}

const PAGE = 1000;

/** What later lines refer to. */
interface Loaded {
  readonly parts: Map<string, string>;
  readonly signs: Map<string, string>;
  readonly makers: Map<string, string>;
  readonly positionIds: string[];
}

const keyOf = ({ maker, number }: PartRef): string => `${maker}\u001f${number}`;

/**
 * Loads a catalogue of the open format into an empty one, as the database's owner and in one transaction: all of it or
 * nothing. Every line is checked; the first wrong one is named.
 */
export async function loadOpen(db: Database, lines: AsyncIterable<string> | Iterable<string>): Promise<number> {
  const count = await db.transaction().execute(async (trx) => {
    if (await trx.selectFrom('part').select('id').limit(1).executeTakeFirst())
      throw new WrongLine('The catalogue is not empty: a whole one is loaded into an empty one alone.');
    const loaded: Loaded = { parts: new Map(), signs: new Map(), makers: new Map(), positionIds: [] };
    let held: OpenLine[] = [];
    let read = 0;
    const settle = async () => {
      await loadAlike(trx, held, loaded);
      held = [];
    };
    for await (const text of lines) {
      if (text.trim() === '') continue;
      read += 1;
      const line = readLine(text, read);
      // Lines of one kind are written together; a kind refers only to those before it.
      if (held.length >= PAGE || (held[0] && held[0].line !== line.line)) await settle();
      held.push(line);
    }
    await settle();
    if (read === 0) throw new WrongLine('The file is empty.');
    await chooseFigures(trx, [...loaded.parts.values()], loaded.positionIds);
    return read;
  });
  await completeDerived(db);
  return count;
}

function readLine(text: string, at: number): OpenLine {
  const parsed = ((): unknown => {
    try {
      return JSON.parse(text);
    } catch {
      throw new WrongLine(`Line ${at} is no JSON object.`);
    }
  })();
  const line = OpenLine.safeParse(parsed);
  if (!line.success) {
    const [issue] = line.error.issues;
    throw new WrongLine(`Line ${at}, ${issue!.path.join('.') || 'as a whole'}: ${issue!.message}.`);
  }
  if ((at === 1) !== (line.data.line === 'catalogue'))
    throw new WrongLine(`Line ${at}: the first line, and no other, says what the file is.`);
  return line.data;
}

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
      await trx.insertInto('maker').values(makers).execute();
      for (const { id, name } of makers) loaded.makers.set(id, name);
      return;
    }
    case 'heat-scale':
      return insertAll(
        trx,
        'heat_rating',
        of(lines, kind).flatMap(({ maker, ratings }) =>
          ratings.map(({ code, indexBar }, ordinal) => ({ maker_id: maker, ordinal, code, index_bar: indexBar })),
        ),
      );
    case 'numbering': {
      const grammars = of(lines, kind).map(({ grammar }) => grammar);
      for (const { maker, significant } of grammars) loaded.signs.set(maker, significant);
      return insertAll(
        trx,
        'maker_grammar',
        grammars.map((grammar) => ({ maker_id: grammar.maker, grammar: JSON.stringify(grammar) })),
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
          engine_ids: r.engines ?? null,
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
          engine_id: l.engine,
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

async function loadParts(trx: Writing, parts: readonly OpenLineOf<'part'>[], loaded: Loaded): Promise<void> {
  const added = await trx
    .insertInto('part')
    .values(parts.map(({ maker, kind }) => ({ maker_id: maker, kind })))
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
    .values(engineRow(engine, loaded.makers.get(engine.maker) ?? engine.maker))
    .execute();
  const positions = await trx
    .insertInto('engine_position')
    .values(engine.positions.map((one) => positionRow(engine.id, one)))
    .returning('id')
    .execute();
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
