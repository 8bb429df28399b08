import { sql } from 'kysely';
import { auditedPlug, contradictionOf } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import type { RecordedFactId } from '@brackenfell/core/facts/facts';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import type { HeldFacts, Ours } from '@brackenfell/core/imports/sort-row';
import { STATED_FACTS, statedOf } from '@brackenfell/core/imports/stated';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { readHeatScales, readPartSheets } from '../catalogue/fact-store.ts';
import type { HeatScales } from '@brackenfell/core/facts/fact';
import type { Database } from '../db/database.ts';

export interface Maker {
  readonly id: string;
  readonly name: string;
  readonly significant: string;
}
export async function readMakers(db: Database): Promise<readonly Maker[]> {
  const { rows } = await sql<Maker>`
    select m.id, m.name, coalesce(g.grammar ->> 'significant', '') as significant
      from maker m left join maker_grammar g on g.maker_id = m.id`.execute(db);
  return rows;
}

interface Named {
  readonly partId: string;
  readonly kind: PartKind;
  readonly makerId: string;
  readonly normal: string;
}

/** Every part that is called by one of the numbers, each read with the signs that its own maker declares significant. */
export async function readNamed(db: Database, makers: readonly Maker[], numbers: readonly string[]) {
  const signs = [...new Set(['', ...makers.map(({ significant }) => significant)])];
  const forms = [...new Set(numbers.flatMap((number) => signs.map((sign) => normalForm(number, sign))))].filter(
    Boolean,
  );
  const { rows } = await sql<Named>`
    select distinct n.part_id as "partId", p.kind, n.maker_id as "makerId", n.normal_form as normal
      from unnest(${forms}::text[]) form
      -- Each by the index, whatever the database believes of a table that has just grown.
      cross join lateral (select part_id, maker_id, normal_form from part_name
                           where normal_form = form and kind <> 'barcode' offset 0) n
      cross join lateral (select kind from part where id = n.part_id and kind <> 'unheld' offset 0) p
     order by n.part_id`.execute(db);
  const byForm = new Map<string, Named[]>();
  for (const row of rows) byForm.set(row.normal, [...(byForm.get(row.normal) ?? []), row]);
  const signOf = new Map(makers.map(({ id, significant }) => [id, significant]));
  return (number: string): readonly Named[] =>
    [...new Set(signs.map((sign) => normalForm(number, sign)))]
      .flatMap((form) => byForm.get(form) ?? [])
      .filter(({ makerId, normal }) => normalForm(number, signOf.get(makerId) ?? '') === normal);
}

interface HeldRow {
  readonly id: string;
  readonly netMinor: number | null;
  readonly ourMinor: number | null;
  readonly packOf: number;
  readonly barcodes: string[];
}

interface Asked {
  /** Parts that rows speak of. */
  readonly ids: readonly string[];
  /** Of those, the ones of which a row states what rules a plug. */
  readonly stated: readonly string[];
  /** Parts that rows call equal to one another. */
  readonly paired: readonly string[];
}

/** What is held of the given parts, and of this supplier's word on them: no more of each than its rows are laid beside. */
export async function readHeld(db: Database, supplier: string, { ids, stated, paired }: Asked) {
  const { rows } = await sql<HeldRow>`
    select p.id, s.net_minor as "netMinor", c.each_minor as "ourMinor", coalesce(c.pack_of, 1) as "packOf",
           array(select n.normal_form from part_name n where n.part_id = p.id and n.kind = 'barcode') as barcodes
      from unnest(${ids}::bigint[]) as p (id)
      -- Each by the index, as above.
      left join lateral (select net_minor from supplier_price where part_id = p.id and supplier = ${supplier} limit 1) s on true
      left join lateral (select each_minor, pack_of from price where part_id = p.id limit 1) c on true`.execute(db);
  const said =
    paired.length === 0
      ? []
      : (
          await sql<{ pair: string }>`
            select from_part_id || ' ' || to_part_id as pair from reference
             where source = ${supplier} and from_part_id = any(${paired}::bigint[])`.execute(db)
        ).rows;
  const pairs = new Set(said.map(({ pair }) => pair));
  const scales: HeatScales = paired.length === 0 ? new Map() : await readHeatScales(db);
  const sheets = await readPartSheets(db, scales, paired);
  const facts = await readFacts(db, stated);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return {
    oursOf: (id: string): Ours => ({ ...byId.get(id)!, facts: facts.get(id) ?? {} }),
    isSaid: (from: string, to: string): boolean => pairs.has(`${from} ${to}`),
    /** What is held of the one, and where nothing is, what its row states, against the other. */
    contradiction: (from: string | undefined, row: ReadRow, to: string): string | undefined => {
      const stated = Object.fromEntries(
        statedOf(row).map(([fact, value]) => [
          fact,
          { ruling: [{ value, source: { rank: 'supplier', name: supplier } }] },
        ]),
      );
      const sheet = { ...stated, ...(from === undefined ? {} : sheets.get(from)!) };
      return contradictionOf(auditedPlug(sheet), auditedPlug(sheets.get(to)!));
    },
  };
}

/** What rules of each part and a list can state; of several of one rank the first. */
async function readFacts(db: Database, ids: readonly string[]): Promise<ReadonlyMap<string, HeldFacts>> {
  if (ids.length === 0) return new Map();
  const { rows } = await sql<{ part: string; fact: RecordedFactId; value: unknown; source: string }>`
    select c.part_id as part, f.attribute as fact, f.source_name as source, f.value
      from unnest(${ids}::bigint[]) as p (id)
      cross join lateral (select part_id, figure_id from chosen_figure where part_id = p.id and rules offset 0) c
      cross join lateral (select attribute, value, source_name from figure where id = c.figure_id offset 0) f
     where f.attribute = any(${STATED_FACTS}::text[])
     order by c.figure_id`.execute(db);
  const byPart = new Map<string, HeldFacts>();
  for (const { part, fact, value, source } of rows) {
    const before = byPart.get(part);
    if (!before?.[fact]) byPart.set(part, { ...before, [fact]: { value, source } });
  }
  return byPart;
}
