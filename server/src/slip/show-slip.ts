import type { Slip } from '@brackenfell/contract/slip';
import type { Database } from '../db/database.ts';
import { readTogether } from '../db/together.ts';
import { trouble, type Trouble } from '../http/trouble.ts';
import { inspectionLine } from '../inspection/present.ts';
import { inspectionsOf } from '../inspection/store.ts';
import { foundOf } from '../reading/store.ts';
import { standingChoices } from '../ruling/store.ts';
import { judgementsOf, linesOf } from './line-store.ts';
import { slipView } from './present.ts';
import { keptOf, notesOf, slipOf } from './store.ts';

/** A slip as it stands, with what was told of its lines before: one reading. */
export async function showSlip(db: Database, slipId: string): Promise<Slip | Trouble> {
  const { slips, lines, inspections, choices, kept, ...beside } = await readTogether(db, {
    slips: slipOf(db, slipId),
    lines: linesOf(db, slipId),
    notes: notesOf(db, slipId),
    judgements: judgementsOf(db, slipId),
    inspections: inspectionsOf({ slipId }),
    kept: keptOf(db, slipId),
    ...foundOf(db, slipId),
  });
  const [slip] = slips;
  if (!slip) return trouble('not-found', 'There is no slip of that number.');
  return slipView(slip, lines, {
    ...beside,
    inspections: inspections.map(inspectionLine),
    rules: standingChoices(choices),
    kept: kept.map((one) => one.kept),
  });
}
