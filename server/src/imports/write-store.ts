import { sql } from 'kysely';
import { FIGURE_USE_IDS } from '@brackenfell/core/imports/columns';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { chooseFigures } from '../catalogue/figure-store.ts';
import { addNames } from '../catalogue/name-store.ts';
import type { Writing } from '../db/database.ts';
import { recluster } from '../interchange/cluster-store.ts';
import { FACT_OF, readMakers, type Maker } from './held-store.ts';
import { readRows, type ImportFound } from './store.ts';

const PAGE = 500;

type Row = Awaited<ReturnType<typeof readRows>>[number];
type Made = readonly [
  kind: 'part' | 'name' | 'figure' | 'reference' | 'price' | 'supplier-price',
  id: string,
  before?: object | null,
  after?: object,
];

/** Parts whose ruling figures, and parts whose clusters, are to be settled once everything is written. */
interface Touched {
  readonly figures: Set<string>;
  readonly clusters: Set<string>;
}

/**
 * Writes what is new and changed of a list, in the caller's one transaction, which holds all clusters: all of it or nothing. Everything it makes is
 * noted with what was before, so that the whole can be taken back.
 */
export async function writeList(
  trx: Writing,
  list: ImportFound,
  today: string,
  step: (written: number) => Promise<void>,
): Promise<number> {
  const makers = new Map((await readMakers(trx)).map((maker) => [maker.id, maker]));
  const touched: Touched = { figures: new Set(), clusters: new Set() };
  const newParts = new Map<string, string>();
  let written = 0;
  for (const heap of ['new', 'changed'] as const)
    for (let after = -1; ;) {
      const rows = await readRows(trx, list.id, after, PAGE, heap);
      const ids = await makeParts(trx, list, rows, makers, newParts, touched);
      const made = [
        ...(await writePrices(trx, rows, ids)),
        ...(await writeSupplierPrices(trx, list, rows, ids)),
        ...(await writeBarcodes(trx, rows, ids, makers)),
        ...(await writeFigures(trx, list, rows, ids, touched)),
        ...(await writeReferences(trx, list, rows, ids, today, touched)),
      ];
      await note(trx, list.id, made);
      written += rows.length;
      await step(written);
      if (rows.length < PAGE) break;
      after = rows.at(-1)!.line;
    }
  await chooseFigures(trx, [...touched.figures], []);
  await settleClusters(trx, touched.clusters);
  return written;
}

/** Makes the clusters of the given parts anew. */
export async function settleClusters(trx: Writing, partIds: ReadonlySet<string>): Promise<void> {
  if (partIds.size === 0) return;
  const rows = await trx
    .selectFrom('part')
    .select('cluster_id')
    .where('id', 'in', [...partIds])
    .distinct()
    .execute();
  await recluster(
    trx,
    rows.map(({ cluster_id }) => cluster_id!),
  );
}

async function note(trx: Writing, importId: string, made: readonly Made[]): Promise<void> {
  if (made.length === 0) return;
  await trx
    .insertInto('list_made')
    .values(
      made.map(([kind, subject_id, before, after]) => ({
        import_id: importId,
        kind,
        subject_id,
        before: before ? JSON.stringify(before) : null,
        after: after ? JSON.stringify(after) : null,
      })),
    )
    .execute();
}

/** The part of each row, by line; a number that nobody has is made once, however many rows name it. */
async function makeParts(
  trx: Writing,
  list: ImportFound,
  rows: readonly Row[],
  makers: ReadonlyMap<string, Maker>,
  newParts: Map<string, string>,
  touched: Touched,
): Promise<ReadonlyMap<number, string>> {
  const keyOf = ({ number, maker_id }: Row) => `${maker_id!} ${normalForm(number, makers.get(maker_id!)?.significant)}`;
  const fresh = [...new Map(rows.filter(({ part_id }) => part_id === null).map((row) => [keyOf(row), row]))].filter(
    ([key]) => !newParts.has(key),
  );
  if (fresh.length > 0) {
    const parts = await trx
      .insertInto('part')
      .values(fresh.map(([, { maker_id }]) => ({ maker_id: maker_id!, kind: list.new_kind! })))
      .returning('id')
      .execute();
    await sql`update part set cluster_id = id where id = any(${parts.map(({ id }) => id)}::bigint[])`.execute(trx);
    const names = await addNames(
      trx,
      fresh.map(([, row], i) => ({
        partId: parts[i]!.id,
        maker: makers.get(row.maker_id!)!,
        kind: 'catalogue',
        printed: row.number,
      })),
    );
    fresh.forEach(([key], i) => {
      newParts.set(key, parts[i]!.id);
      touched.figures.add(parts[i]!.id);
    });
    await note(trx, list.id, [...parts.map(({ id }): Made => ['part', id]), ...names.map((id): Made => ['name', id])]);
  }
  return new Map(rows.map((row) => [row.line, row.part_id ?? newParts.get(keyOf(row))!]));
}

const changes = (row: Row, ...what: readonly string[]) => row.changes.some((change) => what.includes(change.what));

async function writePrices(
  trx: Writing,
  rows: readonly Row[],
  ids: ReadonlyMap<number, string>,
): Promise<readonly Made[]> {
  const stated = new Map<string, { ourMinor: number | undefined; packOf: number | undefined }>();
  for (const row of rows.filter((one) => changes(one, 'our-price', 'pack'))) {
    const partId = ids.get(row.line)!;
    const before = stated.get(partId);
    stated.set(partId, {
      ourMinor: row.read!.ourMinor ?? before?.ourMinor,
      packOf: row.read!.packOf ?? before?.packOf,
    });
  }
  if (stated.size === 0) return [];
  const held = new Map(
    (
      await trx
        .selectFrom('price')
        .select(['part_id', 'each_minor', 'pack_of'])
        .where('part_id', 'in', [...stated.keys()])
        .forUpdate()
        .execute()
    ).map(({ part_id, each_minor, pack_of }) => [part_id, { ourMinor: each_minor, packOf: pack_of }]),
  );
  const priced = [...stated].map(([partId, { ourMinor, packOf }]) => {
    const before = held.get(partId) ?? null;
    return {
      partId,
      before,
      after: { ourMinor: ourMinor ?? before!.ourMinor, packOf: packOf ?? before?.packOf ?? 1 },
    };
  });
  await trx
    .insertInto('price')
    .values(priced.map(({ partId, after }) => ({ part_id: partId, each_minor: after.ourMinor, pack_of: after.packOf })))
    .onConflict((conflict) =>
      conflict
        .column('part_id')
        .doUpdateSet((eb) => ({ each_minor: eb.ref('excluded.each_minor'), pack_of: eb.ref('excluded.pack_of') })),
    )
    .execute();
  return priced.map(({ partId, before, after }): Made => ['price', partId, before, after]);
}

async function writeSupplierPrices(
  trx: Writing,
  { id, supplier }: ImportFound,
  rows: readonly Row[],
  ids: ReadonlyMap<number, string>,
): Promise<readonly Made[]> {
  const priced = new Map(
    rows.filter((row) => changes(row, 'net-price')).map((row) => [ids.get(row.line)!, row.read!.netMinor!]),
  );
  if (priced.size === 0) return [];
  const held = await trx
    .selectFrom('supplier_price')
    .select(['part_id', 'net_minor', 'import_id'])
    .where('supplier', '=', supplier)
    .where('part_id', 'in', [...priced.keys()])
    .execute();
  await trx
    .insertInto('supplier_price')
    .values([...priced].map(([part_id, net_minor]) => ({ supplier, part_id, net_minor, import_id: id })))
    .onConflict((conflict) =>
      conflict
        .columns(['supplier', 'part_id'])
        .doUpdateSet((eb) => ({ net_minor: eb.ref('excluded.net_minor'), import_id: eb.ref('excluded.import_id') })),
    )
    .execute();
  return [...priced].map(([partId, netMinor]): Made => {
    const before = held.find(({ part_id }) => part_id === partId);
    return [
      'supplier-price',
      partId,
      before ? { netMinor: before.net_minor, importId: before.import_id } : null,
      { netMinor },
    ];
  });
}

async function writeBarcodes(
  trx: Writing,
  rows: readonly Row[],
  ids: ReadonlyMap<number, string>,
  makers: ReadonlyMap<string, Maker>,
): Promise<readonly Made[]> {
  const coded = rows.filter((row) => changes(row, 'barcode'));
  if (coded.length === 0) return [];
  const makerOf = new Map(
    (
      await trx
        .selectFrom('part')
        .select(['id', 'maker_id'])
        .where(
          'id',
          'in',
          coded.map(({ line }) => ids.get(line)!),
        )
        .execute()
    ).map(({ id, maker_id }) => [id, makers.get(maker_id)!]),
  );
  const names = coded.map(({ line, read }) => {
    const partId = ids.get(line)!;
    return { partId, maker: makerOf.get(partId)!, kind: 'barcode' as const, printed: read!.barcode! };
  });
  const once = [...new Map(names.map((name) => [`${name.partId} ${name.printed}`, name])).values()];
  return (await addNames(trx, once)).map((id): Made => ['name', id]);
}

async function writeFigures(
  trx: Writing,
  { supplier }: ImportFound,
  rows: readonly Row[],
  ids: ReadonlyMap<number, string>,
  touched: Touched,
): Promise<readonly Made[]> {
  const figures = new Map(
    rows.flatMap((row) =>
      FIGURE_USE_IDS.filter((use) => changes(row, use)).map((use) => {
        const partId = ids.get(row.line)!;
        return [`${partId} ${use}`, { partId, use, mm: row.read!.figuresMm[use]! }] as const;
      }),
    ),
  );
  if (figures.size === 0) return [];
  for (const { partId } of figures.values()) touched.figures.add(partId);
  const added = await trx
    .insertInto('figure')
    .values(
      [...figures.values()].map(({ partId, use, mm }) => ({
        part_id: partId,
        position_id: null,
        attribute: FACT_OF[use],
        value: JSON.stringify(mm),
        source_rank: 'supplier' as const,
        source_name: supplier,
        withdrawn_at: null,
      })),
    )
    .returning('id')
    .execute();
  return added.map(({ id }): Made => ['figure', id]);
}

async function writeReferences(
  trx: Writing,
  { supplier }: ImportFound,
  rows: readonly Row[],
  ids: ReadonlyMap<number, string>,
  today: string,
  touched: Touched,
): Promise<readonly Made[]> {
  const joined = new Map(
    rows
      .filter((row) => changes(row, 'equal-to') && row.equal_id !== null)
      .map((row) => [`${ids.get(row.line)!} ${row.equal_id!}`, [ids.get(row.line)!, row.equal_id!] as const]),
  );
  if (joined.size === 0) return [];
  const pairs = [...joined.values()];
  for (const id of pairs.flat()) touched.clusters.add(id);
  const { rows: added } = await sql<{ id: string }>`
    insert into reference (from_part_id, to_part_id, grade, source, noted_on, from_cluster_id, to_cluster_id)
    select f.id, t.id, 'equivalent', ${supplier}, ${today}, f.cluster_id, t.cluster_id
      from unnest(${pairs.map(([from]) => from)}::bigint[], ${pairs.map(([, to]) => to)}::bigint[]) as j (f, t)
      join part f on f.id = j.f join part t on t.id = j.t
    returning id`.execute(trx);
  return added.map(({ id }): Made => ['reference', id]);
}
