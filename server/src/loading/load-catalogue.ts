import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import type { Database, Writing } from '../db/database.ts';
import { MAKER_NOT_KNOWN } from '../db/tables/catalogue.ts';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { completeDerived } from './complete-derived.ts';
import { loadEngines } from './load-engines.ts';
import { figureRows, insertAll, orderNumbers, within } from './rows.ts';

export interface CatalogueCount {
  readonly engines: number;
  readonly vehicles: number;
  readonly plugs: number;
  /** Coils, lead sets, caps and rotors. */
  readonly others: number;
  readonly references: number;
  readonly listings: number;
}

/**
 * Loads an open catalogue file into an empty catalogue, as the database's owner and in one transaction: all of it or
 * nothing. The file is checked against the contract first; what is wrong is thrown with the place where it stands.
 */
export async function loadCatalogue(db: Database, raw: unknown): Promise<CatalogueCount> {
  const file = CatalogueFile.parse(raw);
  checkNumbers(file);
  const formOf = within(file);
  const count = await db.transaction().execute(async (trx) => {
    await trx.insertInto('maker').values(file.makers).execute();
    await insertAll(
      trx,
      'maker_grammar',
      file.grammars.map((grammar) => ({ maker_id: grammar.maker, grammar: JSON.stringify(grammar) })),
    );
    await insertAll(
      trx,
      'heat_rating',
      file.heatScales.flatMap((scale) =>
        scale.ratings.map((rating, ordinal) => ({
          maker_id: scale.maker,
          ordinal,
          code: rating.code,
          index_bar: rating.indexBar,
        })),
      ),
    );
    const partIds = await loadParts(trx, file);
    const positionIds = await loadEngines(trx, file, partIds);
    const idOf = (number: string): string => partIds.get(formOf(number))!;
    await insertAll(
      trx,
      'reference',
      file.references.map((r) => ({
        from_part_id: idOf(r.from),
        to_part_id: idOf(r.to),
        grade: r.grade,
        source: r.source,
        noted_on: r.notedOn,
        note: r.note ?? null,
        condition: r.condition ?? null,
        engine_ids: r.engines ?? null,
        in_force_from: r.inForceFrom ?? null,
        rejected_at: null,
        rejected_by: null,
      })),
    );
    await insertAll(
      trx,
      'listing',
      file.listings.map((l) => ({
        part_id: idOf(l.number),
        engine_id: l.engineId,
        place: l.place ?? null,
        source: l.source,
        stated_on: l.statedOn,
        built_from: l.builtFrom ?? null,
        built_to: l.builtTo ?? null,
      })),
    );
    await insertAll(
      trx,
      'class_list',
      file.classLists.map((list) => ({
        class_name: list.className,
        valid_from: list.from,
        valid_to: list.to ?? null,
        numbers: list.numbers.map((number) => normalForm(number)),
        source: list.source,
      })),
    );
    await chooseFigures(trx, [...new Set(partIds.values())], positionIds);
    return {
      engines: file.engines.length,
      vehicles: file.engines.reduce((sum, engine) => sum + engine.vehicles.length, 0),
      plugs: file.plugs.length,
      others: file.parts.length,
      references: file.references.length,
      listings: file.listings.length,
    };
  });
  await completeDerived(db);
  return count;
}

/**
 * What a schema cannot see: every number stands once, and references and listings are made about numbers and engines held.
 * A reference may lead to a number that nobody holds: that is kept as said, and the audit lists it.
 */
function checkNumbers(file: CatalogueFile): void {
  const formOf = within(file);
  const held = new Set(file.engines.flatMap(orderNumbers).map(({ number }) => formOf(number)));
  for (const { number } of [...file.plugs, ...file.parts, ...file.sundries, ...file.kits]) {
    if (held.has(formOf(number))) throw new Error(`${number} stands twice in the catalogue file.`);
    held.add(formOf(number));
  }
  const spokenOf = [
    ...file.references.map(({ from }) => from),
    ...file.listings.map((l) => l.number),
    ...file.kits.flatMap(({ holds }) => holds.map(({ number }) => number)),
  ];
  const stranger = spokenOf.find((number) => !held.has(formOf(number)));
  if (stranger !== undefined) throw new Error(`The catalogue file refers to ${stranger}, which it does not hold.`);
  const engines = new Set(file.engines.map((engine) => engine.id));
  const lost = file.listings.find((listing) => !engines.has(listing.engineId));
  if (lost) throw new Error(`${lost.number} is listed for ${lost.engineId}, which the catalogue file does not hold.`);
}

/** Of what no engine asks for there is nothing to be known but its name and price. */
const BARE = {
  names: [],
  source: undefined,
  extra: [],
  facts: {},
  onHand: undefined,
  priceMinor: undefined,
  packOf: undefined,
} as const;

async function loadParts(trx: Writing, file: CatalogueFile): Promise<Map<string, string>> {
  const formOf = within(file);
  const parts = [
    ...file.plugs.map((plug) => ({ ...plug, kind: 'plug' as const })),
    ...file.parts,
    ...file.sundries.map((sundry) => ({ ...BARE, ...sundry, kind: 'sundry' as const })),
    ...file.kits.map((kit) => ({ ...BARE, ...kit, kind: 'kit' as const })),
  ];
  const oeNumbers = file.engines.flatMap((engine) =>
    orderNumbers(engine).map(({ number }) => ({ maker: engine.maker, number })),
  );
  const uniqueOe = [...new Map(oeNumbers.map((oe) => [formOf(oe.number), oe])).values()];
  const held = new Set([...uniqueOe, ...parts].map(({ number }) => formOf(number)));
  const spokenOf = new Map(file.references.map(({ to }) => [formOf(to), to]));
  const unheld = [...spokenOf].filter(([normal]) => !held.has(normal)).map(([, printed]) => printed);
  if (unheld.length > 0)
    await trx.insertInto('maker').values({ id: MAKER_NOT_KNOWN, name: 'Maker not known' }).execute();
  const inserted = await trx
    .insertInto('part')
    .values([
      ...uniqueOe.map(({ maker }) => ({ maker_id: maker, kind: 'oe-number' as const })),
      ...parts.map(({ maker, kind }) => ({ maker_id: maker, kind })),
      ...unheld.map(() => ({ maker_id: MAKER_NOT_KNOWN, kind: 'unheld' as const })),
    ])
    .returning('id')
    .execute();
  const ids = inserted.map(({ id }) => id);
  const byNumber = new Map<string, string>();
  const signsOf = new Map(file.grammars.map(({ maker, significant }) => [maker, significant]));
  const name = (part_id: string, maker_id: string, kind: string, printed: string) => ({
    part_id,
    maker_id,
    kind,
    printed,
    normal_form: normalForm(printed, signsOf.get(maker_id)),
    fold_key: foldKey(printed, signsOf.get(maker_id)),
  });
  const names = uniqueOe.map(({ number, maker }, i) => {
    byNumber.set(formOf(number), ids[i]!);
    return name(ids[i]!, maker, 'oe', number);
  });
  unheld.forEach((number, i) => {
    const id = ids[uniqueOe.length + parts.length + i]!;
    byNumber.set(formOf(number), id);
    names.push(name(id, MAKER_NOT_KNOWN, 'catalogue', number));
  });
  const figures: object[] = [];
  const stock: object[] = [];
  const prices: object[] = [];
  const makerName = new Map(file.makers.map((maker) => [maker.id, maker.name]));
  parts.forEach((part, i) => {
    const id = ids[uniqueOe.length + i]!;
    byNumber.set(formOf(part.number), id);
    names.push(
      name(id, part.maker, 'catalogue', part.number),
      ...part.names.map((n) => name(id, part.maker, n.kind, n.printed)),
    );
    const source = part.source ?? { rank: 'part-maker', name: `${makerName.get(part.maker) ?? part.maker} catalogue` };
    const subject = { part_id: id, position_id: null } as const;
    figures.push(...figureRows(subject, part.facts, source));
    for (const extra of part.extra) figures.push(...figureRows(subject, extra.facts, extra.source, extra.readings));
    if (part.onHand !== undefined) stock.push({ part_id: id, on_hand: part.onHand, bin: part.bin ?? null });
    if (part.priceMinor !== undefined)
      prices.push({ part_id: id, each_minor: part.priceMinor, pack_of: part.packOf ?? 1 });
  });
  await insertAll(trx, 'part_name', names);
  await insertAll(trx, 'figure', figures);
  await insertAll(trx, 'stock', stock);
  await insertAll(trx, 'price', prices);
  await insertAll(
    trx,
    'sundry',
    file.sundries.map(({ number, title, use }) => ({ part_id: byNumber.get(formOf(number))!, title, use })),
  );
  await insertAll(
    trx,
    'kit_part',
    file.kits.flatMap(({ number, holds }) =>
      holds.map((held) => ({
        kit_id: byNumber.get(formOf(number))!,
        part_id: byNumber.get(formOf(held.number))!,
        quantity: held.quantity,
      })),
    ),
  );
  return byNumber;
}
