import { statedIn, STATING_USES } from '@brackenfell/core/imports/stated';
import type { PartKind } from '@brackenfell/core/facts/part-kinds';
import type { Consequences } from '@brackenfell/contract/consequences';
import { consequencesOf } from '../consequences/consequences.ts';
import { wouldBe, type FigureChange } from '../consequences/would-be-store.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { readStockedFigures, type ImportFound } from './store.ts';

/** So many parts are looked at, of those the most of which is on the shelf. */
const MOST_LOOKED = 40;

/** What a sorted list would turn of the verdicts on what is on the shelf, were it written now. */
export async function verdictsTurned(
  context: Context,
  db: Database,
  { id, supplier, state }: ImportFound,
): Promise<{ consequences: Consequences; stocked: number; looked: number }> {
  const rows = state === 'sorted' ? await readStockedFigures(db, id, MOST_LOOKED) : [];
  const kinds = new Map(rows.map(({ part_id, kind }) => [part_id, kind as PartKind]));
  const changes = new Map(
    rows.map(({ part_id, read, uses }): [string, FigureChange] => [
      part_id,
      {
        added: STATING_USES.filter((use) => uses.includes(use))
          .flatMap((use) => statedIn(read, use))
          .map(([fact, value]) => ({ fact, value, source: { rank: 'supplier', name: supplier } })),
        withdrawn: [],
      },
    ]),
  );
  const { scales } = await context.sheets.at(db);
  const sheets = await wouldBe(db, scales, changes, async (partId) => {
    const { sheet } = await context.sheets.ofPart(db, kinds.get(partId)!, partId);
    return sheet;
  });
  const consequences = await consequencesOf(context, db, sheets);
  return { consequences, stocked: rows[0]?.stocked ?? 0, looked: rows.length };
}
