import type { InspectionLine } from '@brackenfell/contract/inspection';
import type { InspectionListRow } from './store.ts';

export const inspectionLine = (row: InspectionListRow): InspectionLine => ({
  inspectionId: row.id,
  printed: row.printed,
  maker: row.maker,
  seller: row.seller,
  pieces: row.pieces,
  band: row.band,
  chance: row.chance,
  at: row.at.toISOString(),
  by: row.by,
  slipLineId: row.slip_line_id,
});
