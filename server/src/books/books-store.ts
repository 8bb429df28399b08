import { sql } from 'kysely';
import type { Database } from '../db/database.ts';

const PAGE = 2000;

export interface StockRow {
  readonly id: string;
  readonly number: string;
  readonly maker: string;
  readonly kind: string;
  readonly on_hand: number;
  readonly bin: string | null;
  readonly each_minor: number | null;
  readonly pack_of: number | null;
}

/** The shelf by part, a page at a time. */
export const stockPage = async (db: Database, after: string) =>
  (
    await sql<StockRow>`
      select p.id, (select printed from part_name n where n.part_id = p.id order by n.id limit 1) as number, m.name as maker,
             p.kind, s.on_hand, s.bin, pr.each_minor, pr.pack_of
        from stock s join part p on p.id = s.part_id join maker m on m.id = p.maker_id
        left join price pr on pr.part_id = p.id
       where p.id > ${after} order by p.id limit ${PAGE}`.execute(db)
  ).rows;

export interface SoldRow {
  readonly id: string;
  readonly docket: number;
  readonly state: string;
  readonly day: string;
  readonly number: string;
  readonly maker: string;
  readonly kind: string;
  readonly quantity: number;
  readonly unit_price_minor: number | null;
  readonly tax_basis_points: number;
}

/** Lines of slips by the day they were last written on, what was taken off left out; a page at a time. */
export const soldPage = async (db: Database, { from, to }: { from: string; to: string }, after: string) =>
  (
    await sql<SoldRow>`
      select l.id, s.docket, s.state, s.updated_at::date::text as day,
             (select printed from part_name n where n.part_id = l.part_id order by n.id limit 1) as number, m.name as maker,
             l.kind, l.quantity, l.unit_price_minor, s.tax_basis_points
        from slip_line l join slip s on s.id = l.slip_id join part p on p.id = l.part_id join maker m on m.id = p.maker_id
       where l.removed_at is null and s.updated_at::date between ${from}::date and ${to}::date and l.id > ${after}
       order by l.id limit ${PAGE}`.execute(db)
  ).rows;
