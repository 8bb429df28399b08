import { sql } from 'kysely';
import { statedIn, STATING_USES } from '@brackenfell/core/imports/stated';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { areAllPlugs, choosePartFigures } from '../catalogue/figure-store.ts';
import { addNames } from '../catalogue/name-store.ts';
import { bumpCatalogueVersion, bumpVersionOfPlugs } from '../catalogue/version-store.ts';
import { allEnded } from '../db/all-ended.ts';
import type { Writing } from '../db/database.ts';
import { settleClusters } from '../interchange/cluster-store.ts';
import { readMakers, type Maker } from './held-store.ts';
import { AS_SORTED, pagesOf, type SortedRow as Row } from './row-store.ts';
import { madeFacts, type ImportFound } from './store.ts';

const PAGE = 1000;

type Made = readonly [
  kind: 'part' | 'name' | 'figure' | 'reference' | 'price' | 'supplier-price',
  id: string,
  before?: object | null,
  after?: object,
];

/**
 * Writes what is new and changed of a list, in the caller's one transaction, which holds all clusters: all of it or nothing. Everything it makes is
 * noted with what was before, so that the whole can be taken back. No more than a page of it is in memory, whatever its length.
 * `step` hears how many rows are written, and how many of the things made are parts and figures.
 */
export async function writeList(
  trx: Writing,
  list: ImportFound,
  today: string,
  step: (written: number, facts: number) => Promise<void>,
): Promise<number> {
  const makers = new Map((await readMakers(trx)).map((maker) => [maker.id, maker]));
  const joined = new Set<string>();
  let [written, facts, ofHeld] = [0, 0, '0'];
  for (const heap of ['new', 'changed'] as const) {
    // What is noted from here on is of parts that were held before.
    if (heap === 'changed') ofHeld = await readLastNote(trx, list.id);
    for await (const rows of pagesOf(trx, list.id, PAGE, AS_SORTED, heap)) {
      const { ids, fresh } = await makeParts(trx, list, rows, makers);
      // At once: what the next is to say is put together while the database writes the one before.
      const made = await allEnded([
        writePrices(trx, rows, ids),
        writeSupplierPrices(trx, list, rows, ids),
        writeBarcodes(trx, rows, ids, makers),
        writeFigures(trx, list, rows, ids),
        writeReferences(trx, list, rows, ids, today, joined),
      ]);
      await note(trx, list.id, made.flat());
      written += rows.length;
      facts += fresh + made[3].length;
      await step(written, facts);
    }
  }
  await chooseListed(trx, list, { refers: joined.size > 0, ofHeld }, () => step(written, facts));
  await settleClusters(trx, joined);
  return written;
}

/**
 * Decides anew which figures rule the parts that a list made or stated a figure of. `ofHeld`: the note after which figures are of parts
 * that were held before.
 */
async function chooseListed(
  trx: Writing,
  { id: importId, new_kind: newKind }: ImportFound,
  { refers, ofHeld }: { readonly refers: boolean; readonly ofHeld: string },
  alive: () => Promise<void>,
): Promise<void> {
  if (!(await madeFacts(trx, importId))) return;
  await bumpVersionOfPlugs(trx);
  let isButPlugs = refers;
  for await (const made of pagesMade(trx, importId, 'part', '0')) {
    isButPlugs ||= newKind !== 'plug';
    await choosePartFigures(trx, made, { justMade: newKind! });
    await alive();
  }
  for await (const figures of pagesMade(trx, importId, 'figure', ofHeld)) {
    const parts = await readWhose(trx, figures);
    isButPlugs ||= !(await areAllPlugs(trx, parts));
    await choosePartFigures(trx, parts);
    await alive();
  }
  if (isButPlugs) await bumpCatalogueVersion(trx);
}

const readLastNote = async (trx: Writing, importId: string): Promise<string> =>
  (await sql<{ last: string | null }>`select max(id) as last from list_made where import_id = ${importId}`.execute(trx))
    .rows[0]!.last ?? '0';

/** What a list made of one kind, as it was noted after some note, page by page. */
async function* pagesMade(
  trx: Writing,
  importId: string,
  kind: Made[0],
  first: string,
): AsyncGenerator<readonly string[]> {
  for (let after = first; ;) {
    const { rows } = await sql<{ id: string; subject_ids: string[] }>`
      select id, subject_ids from list_made where import_id = ${importId} and kind = ${kind} and id > ${after}
       order by id limit 1`.execute(trx);
    const [page] = rows;
    if (!page) return;
    yield page.subject_ids;
    after = page.id;
  }
}

/** Whose the figures are. Each by the index, whatever the database believes of tables that have just grown. */
async function readWhose(trx: Writing, figureIds: readonly string[]): Promise<readonly string[]> {
  const { rows } = await sql<{ id: string }>`
    select distinct f.part_id as id from unnest(${figureIds}::bigint[]) as s (id)
      cross join lateral (select part_id from figure where id = s.id offset 0) f`.execute(trx);
  return rows.map(({ id }) => id);
}

/** Notes what a page made, by kind. */
async function note(trx: Writing, importId: string, made: readonly Made[]): Promise<void> {
  const kinds = new Set(made.map(([kind]) => kind));
  for (const kind of kinds) {
    const of = made.filter(([one]) => one === kind);
    const json = (values: readonly (object | null | undefined)[]) =>
      values.some(Boolean) ? JSON.stringify(values.map((value) => value ?? null)) : null;
    await sql`
      insert into list_made (import_id, kind, subject_ids, before, after)
      values (${importId}, ${kind}, ${of.map(([, id]) => id)}::bigint[], ${json(of.map(([, , before]) => before))}::json,
              ${json(of.map(([, , , after]) => after))}::json)`.execute(trx);
  }
}

/** The part of each row, by line, and how many were made: a number that nobody has once, however many rows name it. */
async function makeParts(
  trx: Writing,
  list: ImportFound,
  rows: readonly Row[],
  makers: ReadonlyMap<string, Maker>,
): Promise<{ readonly ids: ReadonlyMap<number, string>; readonly fresh: number }> {
  const formOf = ({ number, maker_id }: Row) => normalForm(number, makers.get(maker_id!)?.significant);
  const keyOf = (row: Row) => `${row.maker_id!} ${formOf(row)}`;
  const unheld = rows.filter(({ part_id }) => part_id === null);
  const again = unheld.filter(({ again_of }) => again_of !== null);
  const partOf = new Map(await readMadeOf(trx, [...new Set(again.map(formOf))]));
  const fresh = [...new Map(unheld.map((row) => [keyOf(row), row]))].filter(([key]) => !partOf.has(key));
  if (fresh.length > 0) {
    const { rows: parts } = await sql<{ id: string }>`
      select nextval(s.name) as id
        from (select pg_get_serial_sequence('part', 'id')::regclass as name offset 0) s, generate_series(1, ${fresh.length}::int)`.execute(
      trx,
    );
    await sql`
      insert into part (id, maker_id, kind, cluster_id) overriding system value
      select id, maker_id, ${list.new_kind}, id
        from unnest(${parts.map(({ id }) => id)}::bigint[], ${fresh.map(([, { maker_id }]) => maker_id)}::text[]) as p (id, maker_id)`.execute(
      trx,
    );
    const names = await addNames(
      trx,
      fresh.map(([, row], i) => ({
        partId: parts[i]!.id,
        maker: makers.get(row.maker_id!)!,
        kind: 'catalogue',
        printed: row.number,
      })),
    );
    fresh.forEach(([key], i) => partOf.set(key, parts[i]!.id));
    await note(trx, list.id, [...parts.map(({ id }): Made => ['part', id]), ...names.map((id): Made => ['name', id])]);
  }
  const ids = new Map(rows.map((row) => [row.line, row.part_id ?? partOf.get(keyOf(row))!]));
  return { ids, fresh: fresh.length };
}

/** Parts that an earlier page of the list made, in this very transaction, by maker and number. */
async function readMadeOf(
  trx: Writing,
  forms: readonly string[],
): Promise<readonly (readonly [key: string, part: string])[]> {
  if (forms.length === 0) return [];
  const { rows } = await sql<{ key: string; part: string }>`
    select n.maker_id || ' ' || n.normal_form as key, n.part_id as part
      from unnest(${forms}::text[]) form
      cross join lateral (select part_id, maker_id, normal_form from part_name
                           where normal_form = form and kind = 'catalogue' offset 0) n
      cross join lateral (select from part where id = n.part_id and xmin = pg_current_xact_id()::xid offset 0) m`.execute(
    trx,
  );
  return rows.map(({ key, part }) => [key, part]);
}

/** Of parts that the list has just made, nothing was said before. */
const wereHeld = (rows: readonly Row[], ids: ReadonlyMap<number, string>): readonly string[] => [
  ...new Set(rows.filter(({ part_id }) => part_id !== null).map(({ line }) => ids.get(line)!)),
];

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
  const { rows: prices } = await sql<{ part_id: string; each_minor: number; pack_of: number }>`
    select c.* from unnest(${wereHeld(rows, ids)}::bigint[]) as p (id)
      -- Each by the index, as below.
      cross join lateral (select part_id, each_minor, pack_of from price where part_id = p.id limit 1 for update) c`.execute(
    trx,
  );
  const held = new Map(
    prices.map(({ part_id, each_minor, pack_of }) => [part_id, { ourMinor: each_minor, packOf: pack_of }]),
  );
  const priced = [...stated].map(([partId, { ourMinor, packOf }]) => {
    const before = held.get(partId) ?? null;
    return {
      partId,
      before,
      after: { ourMinor: ourMinor ?? before!.ourMinor, packOf: packOf ?? before?.packOf ?? 1 },
    };
  });
  await sql`
    insert into price (part_id, each_minor, pack_of)
    select * from unnest(${priced.map(({ partId }) => partId)}::bigint[], ${priced.map(({ after }) => after.ourMinor)}::int[],
                         ${priced.map(({ after }) => after.packOf)}::int[])
    on conflict (part_id) do update set each_minor = excluded.each_minor, pack_of = excluded.pack_of`.execute(trx);
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
  const ofParts = [...priced.keys()];
  const { rows: prices } = await sql<{ part_id: string; net_minor: number; import_id: string }>`
    select p.id as part_id, s.net_minor, s.import_id from unnest(${wereHeld(rows, ids)}::bigint[]) as p (id)
      -- Each by the index: all that this supplier has said would else be read for every page of a list.
      cross join lateral (select net_minor, import_id from supplier_price
                           where supplier = ${supplier} and part_id = p.id limit 1) s`.execute(trx);
  const held = new Map(prices.map((price) => [price.part_id, price]));
  await sql`
    insert into supplier_price (supplier, part_id, net_minor, import_id)
    select ${supplier}, part_id, net_minor, ${id}::bigint
      from unnest(${ofParts}::bigint[], ${[...priced.values()]}::int[]) as p (part_id, net_minor)
    on conflict (supplier, part_id) do update set net_minor = excluded.net_minor, import_id = excluded.import_id`.execute(
    trx,
  );
  return ofParts.map((partId): Made => {
    const before = held.get(partId);
    return ['supplier-price', partId, before ? { netMinor: before.net_minor, importId: before.import_id } : null];
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
  const { rows: parts } = await sql<{ id: string; maker_id: string }>`
    select id, maker_id from part where id = any(${coded.map(({ line }) => ids.get(line)!)}::bigint[])`.execute(trx);
  const makerOf = new Map(parts.map(({ id, maker_id }) => [id, makers.get(maker_id)!]));
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
): Promise<readonly Made[]> {
  const figures = new Map(
    rows.flatMap((row) =>
      STATING_USES.filter((use) => changes(row, use))
        .flatMap((use) => statedIn(row.read!, use))
        .map(([fact, value]) => {
          const partId = ids.get(row.line)!;
          return [`${partId} ${fact}`, { partId, fact, value }] as const;
        }),
    ),
  );
  if (figures.size === 0) return [];
  const stated = [...figures.values()];
  const { rows: added } = await sql<{ id: string }>`
    insert into figure (part_id, attribute, value, source_rank, source_name)
    select part_id, attribute, value, 'supplier', ${supplier}
      from unnest(${stated.map(({ partId }) => partId)}::bigint[], ${stated.map(({ fact }) => fact)}::text[],
                  ${stated.map(({ value }) => JSON.stringify(value))}::jsonb[]) as f (part_id, attribute, value)
    returning id`.execute(trx);
  return added.map(({ id }): Made => ['figure', id]);
}

async function writeReferences(
  trx: Writing,
  { supplier }: ImportFound,
  rows: readonly Row[],
  ids: ReadonlyMap<number, string>,
  today: string,
  touched: Set<string>,
): Promise<readonly Made[]> {
  const joined = new Map(
    rows
      .filter((row) => changes(row, 'equal-to') && row.equal_id !== null)
      .map((row) => [`${ids.get(row.line)!} ${row.equal_id!}`, [ids.get(row.line)!, row.equal_id!] as const]),
  );
  if (joined.size === 0) return [];
  const pairs = [...joined.values()];
  for (const id of pairs.flat()) touched.add(id);
  const { rows: added } = await sql<{ id: string }>`
    insert into reference (from_part_id, to_part_id, grade, source, noted_on, from_cluster_id, to_cluster_id)
    select f.id, t.id, 'equivalent', ${supplier}, ${today}, f.cluster_id, t.cluster_id
      from unnest(${pairs.map(([from]) => from)}::bigint[], ${pairs.map(([, to]) => to)}::bigint[]) as j (f, t)
      join part f on f.id = j.f join part t on t.id = j.t
    returning id`.execute(trx);
  return added.map(({ id }): Made => ['reference', id]);
}
