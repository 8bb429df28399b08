import { FACTS, type FactId, type FactSource } from '@brackenfell/core/facts/facts';
import type { EnginePlan } from '@brackenfell/core/engine-plan/engine-plan';
import type { EngineBuild, EngineTraits } from '@brackenfell/core/identification/traits';
import { foldKey } from '@brackenfell/core/part-numbers/fold-key';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { EngineNote } from '@brackenfell/contract/engine-plan';
import { CatalogueFile } from '@brackenfell/contract/catalogue-file';
import type { Database, Writing } from '../db/database.ts';
import { MAKER_NOT_KNOWN } from '../db/tables/catalogue.ts';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { completeDerived } from './complete-derived.ts';

export interface CatalogueCount {
  readonly engines: number;
  readonly vehicles: number;
  readonly plugs: number;
  /** Coils, lead sets, caps and rotors. */
  readonly others: number;
  readonly references: number;
  readonly listings: number;
}

const BATCH = 500;

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

/** A number as the file tells it from others: with every sign that one of its makers declares significant. */
const within = (file: CatalogueFile): ((number: string) => string) => {
  const signs = [...new Set(file.grammars.flatMap(({ significant }) => [...significant]))].join('');
  return (number) => normalForm(number, signs);
};

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

type Engine = CatalogueFile['engines'][number];

/** The numbers an engine maker names, each with the kind of part that is ordered by it. */
const orderNumbers = (engine: Engine) => [
  ...engine.oeNumbers.map((oe) => ({ ...oe, kind: 'plug' as const })),
  ...engine.needs.flatMap(({ kind, place, oeNumbers }) => oeNumbers.map((oe) => ({ place, ...oe, kind }))),
];

type Filled =
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

async function insertAll(trx: Writing, table: Filled, rows: readonly object[]): Promise<void> {
  for (let i = 0; i < rows.length; i += BATCH) {
    await trx
      .insertInto(table)
      .values(rows.slice(i, i + BATCH))
      .execute();
  }
}

type Subject = { part_id: string; position_id: null } | { part_id: null; position_id: string };

function figureRows(subject: Subject, facts: object, source: FactSource, readings = 1) {
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

/** A place of an engine that takes a part, and what it asks of it. */
interface Station {
  readonly kind: PartKind;
  readonly cylinder: number;
  readonly place: string;
  readonly label: string;
  readonly build: string | null;
  readonly facts: object;
}

/** Where plugs go: a cylinder's places are told only where it has several. */
function plugStations({ positions, facts }: Engine): Station[] {
  const places = new Set(positions.map(({ place }) => place)).size;
  return positions.map(({ cylinder, place, facts: own }) => ({
    kind: 'plug',
    cylinder,
    place,
    label: places > 1 ? `${cylinder} ${place}` : String(cylinder),
    build: null as string | null,
    facts: { ...facts, ...own },
  }));
}

/** Where its other parts go: one for each cylinder named, or one in all. */
function needStations({ needs }: Engine): Station[] {
  return needs.flatMap(({ kind, place, cylinders, build, facts }) => {
    const several = new Set(needs.filter((need) => need.kind === kind).map((need) => need.place)).size > 1;
    return (cylinders ?? [0]).map((cylinder) => ({
      kind: kind,
      cylinder,
      place,
      label: cylinder === 0 ? place : several ? `${cylinder} ${place}` : String(cylinder),
      build: build ?? null,
      facts: facts,
    }));
  });
}

async function loadEngines(trx: Writing, file: CatalogueFile, partIds: Map<string, string>): Promise<string[]> {
  const formOf = within(file);
  const makerName = new Map(file.makers.map((maker) => [maker.id, maker.name]));
  const positionIds: string[] = [];
  for (const engine of file.engines) {
    const title = `${makerName.get(engine.maker) ?? engine.maker} ${engine.code}`;
    await trx
      .insertInto('engine')
      .values({
        id: engine.id,
        maker_id: engine.maker,
        code: engine.code,
        summary: engine.summary,
        layout: engine.layout,
        visits: engine.visits,
        cautions: JSON.stringify(engine.cautions) as unknown as string[],
        words: `${title} ${engine.summary}`.toLowerCase(),
        traits: JSON.stringify(engine.traits) as unknown as EngineTraits,
        builds: JSON.stringify(engine.builds) as unknown as EngineBuild[],
        notes: JSON.stringify(engine.notes) as unknown as EngineNote[],
        plan: engine.plan ? (JSON.stringify(engine.plan) as unknown as EnginePlan) : null,
      })
      .execute();
    const stations = [...plugStations(engine), ...needStations(engine)];
    const positions = await trx
      .insertInto('engine_position')
      .values(
        stations.map(({ facts: _, ...station }) => ({
          engine_id: engine.id,
          ...station,
          thread_diameter_mm: null,
          thread_pitch_mm: null,
          reach_low_mm: null,
          reach_high_mm: null,
          seat: null,
          gap_low_mm: null,
          gap_high_mm: null,
        })),
      )
      .returning('id')
      .execute();
    const figures = positions.flatMap(({ id }, i) => {
      const subject = { part_id: null, position_id: id } as const;
      return [
        ...figureRows(subject, stations[i]!.facts, engine.source),
        ...(stations[i]!.kind === 'plug'
          ? engine.extra.flatMap((extra) => figureRows(subject, extra.facts, extra.source, extra.readings))
          : []),
      ];
    });
    positionIds.push(...positions.map(({ id }) => id));
    await insertAll(trx, 'figure', figures);
    await insertAll(
      trx,
      'vehicle',
      engine.vehicles.map((v) => ({
        engine_id: engine.id,
        make: v.make,
        model: v.model,
        built_from: v.from,
        built_to: v.to ?? null,
        words: `${v.make} ${v.model} ${engine.code} ${v.from} ${v.to ?? ''}`.toLowerCase(),
      })),
    );
    await insertAll(
      trx,
      'named_number',
      orderNumbers(engine).map((oe) => ({
        engine_id: engine.id,
        part_id: partIds.get(formOf(oe.number)),
        kind: oe.kind,
        place: oe.place ?? null,
        note: oe.note ?? null,
      })),
    );
  }
  return positionIds;
}
