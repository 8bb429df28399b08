import { sql } from 'kysely';
import { normalForm } from '@brackenfell/core/part-numbers/normal-form';
import type { SlipState } from '@brackenfell/core/slip/slip-states';
import type { Database } from '../db/database.ts';
import { bareDigits, digitsOf, holding, SHORTEST_PHONE } from '../db/search.ts';

const MOST_SLIPS = 100;

interface Listed {
  readonly states?: readonly SlipState[] | undefined;
  readonly q?: string | undefined;
  readonly day?: string | undefined;
}

/** Slips by state, by what they are about or of a day, the latest first, with what each is short of. */
export async function listSlipRows(db: Database, { states, q = '', day }: Listed) {
  let query = db
    .selectFrom('slip')
    .leftJoin('engine', 'engine.id', 'slip.engine_id')
    .leftJoin('maker', 'maker.id', 'engine.maker_id')
    .leftJoin('staff', 'staff.id', 'slip.holder_id')
    .selectAll('slip')
    .select((eb) => [
      'engine.code as engine_code',
      'maker.name as engine_maker',
      'staff.name as holder',
      eb
        .selectFrom('slip_line')
        .select((line) => line.fn.countAll<string>().as('count'))
        .whereRef('slip_line.slip_id', '=', 'slip.id')
        .where('slip_line.removed_at', 'is', null)
        .as('line_count'),
      eb
        .selectFrom('slip_line')
        .leftJoin('stock', 'stock.part_id', 'slip_line.part_id')
        .select((line) => line.fn.countAll<string>().as('count'))
        .whereRef('slip_line.slip_id', '=', 'slip.id')
        .where('slip_line.removed_at', 'is', null)
        .where('slip_line.kind', '=', 'sale')
        .where(sql<boolean>`coalesce(stock.on_hand, 0) < slip_line.quantity`)
        .as('lines_short'),
    ])
    .orderBy('slip.updated_at', 'desc')
    .orderBy('slip.id', 'desc')
    .limit(MOST_SLIPS);
  if (states) query = query.where('slip.state', 'in', [...states]);
  if (day) query = query.where(sql<string>`slip.updated_at::date`, '=', day);
  const asked = q.trim().toLowerCase();
  if (asked !== '') {
    const digits = digitsOf(asked);
    query = query.where((eb) =>
      eb.or([
        eb(sql<string>`lower(slip.customer || ' ' || slip.vehicle)`, 'like', holding(asked)),
        ...(/^\d{1,9}$/.test(asked) ? [eb('slip.docket', '=', Number(asked))] : []),
        ...(digits.length >= SHORTEST_PHONE ? [eb(bareDigits('slip.phone'), 'like', holding(digits))] : []),
        eb.exists(
          eb
            .selectFrom('slip_line')
            .innerJoin('part_name', 'part_name.part_id', 'slip_line.part_id')
            .select('slip_line.id')
            .whereRef('slip_line.slip_id', '=', 'slip.id')
            .where('slip_line.removed_at', 'is', null)
            .where('part_name.normal_form', '=', normalForm(asked)),
        ),
      ]),
    );
  }
  return query.execute();
}
