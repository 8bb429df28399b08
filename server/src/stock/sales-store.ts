import { sql, type RawBuilder } from 'kysely';

/** Sales of one batch that stand, by line: what was sold of it and not taken back since. */
export const salesOf = (batchId: RawBuilder<unknown>) => sql`
  select slip_line_id, -sum(quantity)::int as quantity, bool_or(named) as named, min(at) filter (where why = 'sold') as at
    from stock_movement where batch_id = ${batchId} and slip_line_id is not null
   group by slip_line_id having sum(quantity) < 0`;
