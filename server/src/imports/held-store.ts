import { sql } from 'kysely';
import { auditedPlug, contradictionOf } from '@brackenfell/core/catalogue-audit/reference-contradiction';
import { FIGURE_USE_IDS, type FigureUse } from '@brackenfell/core/imports/columns';
import type { ReadRow } from '@brackenfell/core/imports/read-row';
import type { Ours } from '@brackenfell/core/imports/sort-row';
import { rulingValue, type FactSheet } from '@brackenfell/core/facts/facts';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import { readHeatScales, readPartSheets } from '../catalogue/fact-store.ts';
import type { Database } from '../db/database.ts';

/** Each figure of a list as the fact it states of a plug. */
export const FACT_OF = {
  gap: 'plug.gapMm',
  reach: 'plug.reachMm',
  hex: 'plug.hexMm',
} as const satisfies Readonly<Record<FigureUse, string>>;

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
    select distinct n.part_id as "partId", n.maker_id as "makerId", n.normal_form as normal
      from unnest(${forms}::text[]) form
      -- Each by the index, whatever the database believes of a table that has just grown.
      cross join lateral (select part_id, maker_id, normal_form from part_name
                           where normal_form = form and kind <> 'barcode' offset 0) n
      cross join lateral (select 1 from part where id = n.part_id and kind <> 'unheld' offset 0) p
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

/** What is held of the given parts, and of this supplier's word on them. */
export async function readHeld(db: Database, supplier: string, ids: readonly string[]) {
  const { rows } = await sql<HeldRow>`
    select p.id, s.net_minor as "netMinor", c.each_minor as "ourMinor", coalesce(c.pack_of, 1) as "packOf",
           array(select n.normal_form from part_name n where n.part_id = p.id and n.kind = 'barcode') as barcodes
      from part p
      left join supplier_price s on s.part_id = p.id and s.supplier = ${supplier}
      left join price c on c.part_id = p.id
     where p.id = any(${ids}::bigint[])`.execute(db);
  const said = await sql<{ pair: string }>`
    select from_part_id || ' ' || to_part_id as pair from reference
     where source = ${supplier} and from_part_id = any(${ids}::bigint[])`.execute(db);
  const pairs = new Set(said.rows.map(({ pair }) => pair));
  const sheets = await readPartSheets(db, await readHeatScales(db), ids);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return {
    oursOf: (id: string): Ours => ({ ...byId.get(id)!, figuresMm: figuresOf(sheets.get(id)!) }),
    isSaid: (from: string, to: string): boolean => pairs.has(`${from} ${to}`),
    /** What is held of the one, and where nothing is, what its row states, against the other. */
    contradiction: (from: string | undefined, { figuresMm }: ReadRow, to: string): string | undefined => {
      const plug = auditedPlug(from === undefined ? {} : sheets.get(from)!);
      const stated = {
        ...plug,
        reachMm: plug.reachMm ?? figuresMm.reach ?? null,
        hexMm: plug.hexMm ?? figuresMm.hex ?? null,
      };
      return contradictionOf(stated, auditedPlug(sheets.get(to)!));
    },
  };
}

function figuresOf(sheet: FactSheet): Ours['figuresMm'] {
  return Object.fromEntries(
    FIGURE_USE_IDS.flatMap((use) => {
      const fact = FACT_OF[use];
      const mm = rulingValue(sheet, fact);
      const source = sheet[fact]?.ruling[0]?.source.name;
      return typeof mm === 'number' && source !== undefined ? [[use, { mm, source }]] : [];
    }),
  );
}
