import { rulingValue } from '@brackenfell/core/facts/facts';
import { PART_KINDS } from '@brackenfell/core/facts/part-kinds';
import { readPartSheets } from '../catalogue/fact-store.ts';
import type { HeldFacts } from '../catalogue/fact-sheets.ts';
import type { Context } from '../context/context.ts';
import type { Database } from '../db/database.ts';
import { listNamedNumbers, listPositions } from '../engine/store.ts';
import { readEdgesAround } from '../interchange/store.ts';
import type { Around } from './drawing.ts';
import { plugShape } from './shapes.ts';
import { today } from '../context/today.ts';

/** Reads what stands around the other parts of an engine, for drawing them where they go. */
export async function readAround(
  context: Context,
  db: Database,
  engineId: string,
  catalogueVersion: string,
): Promise<Around> {
  const held = await context.sheets.at(db, catalogueVersion);
  return held.memo.once(`around ${engineId} ${today()}`, () => readStored(context, db, held, engineId));
}

async function readStored(context: Context, db: Database, held: HeldFacts, engineId: string): Promise<Around> {
  const positions = await listPositions(db, [engineId], PART_KINDS);
  const first = (kind: (typeof PART_KINDS)[number]) => positions.find((position) => position.kind === kind);
  const [plug, cap] = [first('plug'), first('cap')];
  const sheets = await context.sheets.positions(
    db,
    held,
    [plug, cap].flatMap((position) => position?.id ?? []),
  );
  const plugAsked = (plug && sheets.get(plug.id)) ?? {};
  // The number to order by has no figures of its own: those of the plug it is the same as are drawn.
  const named = (await listNamedNumbers(db, engineId)).filter((n) => n.place === null || n.place === plug?.place);
  const edges = await readEdgesAround(
    db,
    named.map(({ part_id }) => part_id),
  );
  const own = edges.find(({ grade, from }) => grade === 'same' && named.some(({ part_id }) => part_id === from))?.to;
  const ownSheet = own && (await readPartSheets(db, held.scales, [own])).get(own);
  return {
    plugAsked,
    ownPlug: ownSheet && rulingValue(ownSheet, 'plug.reachMm') !== undefined ? plugShape(ownSheet) : null,
    capAsked: cap && sheets.get(cap.id),
  };
}
