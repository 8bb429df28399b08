import { sql } from 'kysely';
import type { GapStage } from '@brackenfell/core/gap/gap-desk';
import type { GapHow } from '@brackenfell/contract/set-up';
import type { Writing } from '../db/database.ts';

/** A gap that stands, as a line's row carries it. */
export interface StoredGap {
  readonly piece: number;
  readonly stage: GapStage;
  readonly gapMm: number;
  readonly how: GapHow;
  readonly device: string | null;
  readonly by: string;
  readonly at: string;
}

/** The gaps that stand of a line, in the order read; for a query that has `slip_line` in sight. */
export const gapsOfLine = sql<StoredGap[]>`(
  select coalesce(jsonb_agg(jsonb_build_object('piece', g.piece, 'stage', g.stage, 'gapMm', g.gap_mm, 'how', g.how,
                                               'device', g.device, 'by', s.name, 'at', g.at) order by g.id), '[]')
    from gap_reading g join staff s on s.id = g.staff_id
   where g.slip_line_id = slip_line.id and g.withdrawn_at is null)`;

interface NewGap {
  readonly lineId: string;
  readonly piece: number;
  readonly stage: GapStage;
  readonly gapMm: number;
  readonly how: GapHow;
  readonly device: string | null;
  readonly staffId: string;
}

export async function storeGap(trx: Writing, gap: NewGap): Promise<void> {
  const { lineId, gapMm, staffId, ...rest } = gap;
  await trx
    .insertInto('gap_reading')
    .values({ ...rest, slip_line_id: lineId, gap_mm: gapMm, staff_id: staffId })
    .execute();
}

/** Takes back the last reading of a piece, or all of them; the rows are kept. How many were taken back. */
export async function withdrawGaps(
  trx: Writing,
  { lineId, piece, which }: { lineId: string; piece: number; which: 'last' | 'all' },
): Promise<number> {
  const standing = trx
    .selectFrom('gap_reading')
    .select('id')
    .where('slip_line_id', '=', lineId)
    .where('piece', '=', piece)
    .where('withdrawn_at', 'is', null)
    .orderBy('id', 'desc');
  const gone = await trx
    .updateTable('gap_reading')
    .set({ withdrawn_at: new Date() })
    .where('id', 'in', which === 'last' ? standing.limit(1) : standing)
    .returning('id')
    .execute();
  return gone.length;
}
